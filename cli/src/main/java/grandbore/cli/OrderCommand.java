package grandbore.cli;

import grandbore.book.JobSheet;
import grandbore.core.clearances.Readings;
import grandbore.core.combination.InvalidInput;
import grandbore.core.job.orders.OrderLine;
import grandbore.core.job.orders.OrderReturn;
import grandbore.core.job.orders.WorkOrder;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;

@Command(
    name = "order",
    description = "Work orders line by line, each judged by what was read since it is back.")
final class OrderCommand implements Callable<Integer> {
  @Mixin private JobOption job = new JobOption();

  @Option(names = "--number", description = "only this order")
  private String number;

  @Option(
      names = "--sheet",
      paramLabel = "FILE",
      description = "writes that order as a sheet (HTML)")
  private Path sheet;

  @Mixin private TableOption table = new TableOption();

  @Override
  public Integer call() {
    var document = job.build().read();
    var of = JobOption.job(document);
    var orders =
        number == null
            ? of.orders()
            : of.orders().stream().filter(o -> o.number().equals(number)).toList();
    if (orders.isEmpty()) {
      throw new InvalidInput(
          "--number",
          String.valueOf(number),
          "one of " + of.orders().stream().map(WorkOrder::number).toList(),
          "the job has those orders");
    }
    var rows = new ArrayList<Map<String, Object>>();
    for (var order : orders) {
      var judged =
          new OrderReturn(document.build(), order, new Readings(document.readings())).judged();
      for (var line : order.lines()) {
        var found = judged.stream().filter(j -> j.line().equals(line)).findFirst();
        rows.add(row(order, line, found));
      }
    }
    table.print(rows);
    if (sheet != null) {
      if (orders.size() != 1) {
        throw new InvalidInput(
            "--sheet", sheet.toString(), "together with --number", "a sheet is of one order");
      }
      job.build().write("--sheet", sheet, JobSheet.order(document.build(), of, orders.getFirst()));
    }
    return 0;
  }

  private static Map<String, Object> row(
      WorkOrder order, OrderLine line, java.util.Optional<OrderReturn.Judged> judged) {
    var row = new LinkedHashMap<String, Object>();
    row.put("order", order.number());
    row.put("supplier", order.supplier());
    row.put("state", order.isBack() ? "back" : order.isSent() ? "sent" : "written");
    row.put("promised", order.day().map(Object::toString).orElse(""));
    row.put("part", line.part().title());
    row.put("work", line.operation().title());
    row.put("read", line.isRead() ? line.reading().at(line.place(), line.side()) : "");
    row.put("from_si", number(line.from()));
    row.put("to_si", number(line.to()));
    row.put("either_side_si", number(line.tolerance()));
    row.put("after_si", judged.map(j -> number(j.after())).orElse(""));
    row.put("outcome", judged.map(j -> j.outcome().title()).orElse(""));
    row.put("price", line.price());
    row.put("why", line.why());
    return row;
  }

  private static Object number(double si) {
    return Double.isNaN(si) ? "" : Double.valueOf("%.6g".formatted(si));
  }
}
