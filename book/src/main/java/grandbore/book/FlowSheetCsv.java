package grandbore.book;

import grandbore.core.combination.FlowSheet;
import grandbore.core.combination.Provenance;
import grandbore.core.units.Measure;
import grandbore.core.units.Quantity;
import grandbore.core.units.UnitSystem;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.regex.Pattern;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;

/** A flow sheet as a table: {@code lift_in,flow_cfm_at_28_inH2O} or in metric units. */
public final class FlowSheetCsv {
  private static final Pattern LIFT = Pattern.compile("lift_(?<unit>\\w+)");
  private static final Pattern FLOW =
      Pattern.compile("flow_(?<unit>.+)_at_(?<at>[0-9.]+)_(?<atunit>\\w+)");

  private FlowSheetCsv() {}

  /** The table in a system's units. */
  public static String write(FlowSheet sheet, UnitSystem units) {
    var lift = Quantity.LENGTH.unit(units);
    var flow = Quantity.AIRFLOW.unit(units);
    var depression = Quantity.DEPRESSION.unit(units);
    var out = new StringBuilder();
    try (var p = new CSVPrinter(out, CSVFormat.RFC4180.builder().setRecordSeparator("\n").get())) {
      p.printRecord(
          "lift_" + lift.symbol(),
          "flow_%s_at_%s_%s"
              .formatted(
                  flow.symbol(),
                  ExactNumber.in(depression, sheet.depression()),
                  depression.symbol()));
      for (var row : sheet.rows()) {
        p.printRecord(ExactNumber.in(lift, row.lift()), ExactNumber.in(flow, row.flow()));
      }
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return out.toString();
  }

  /**
   * Reads a table.
   *
   * @throws FormatException with the line of the damage
   */
  public static FlowSheet read(String text, Provenance provenance) {
    var records = Csv.records(text);
    if (records.isEmpty() || records.getFirst().size() != 2) {
      throw new FormatException("Line 1: two columns are wanted, lift and flow");
    }
    var liftHead = LIFT.matcher(records.getFirst().get(0).strip());
    var flowHead = FLOW.matcher(records.getFirst().get(1).strip());
    if (!liftHead.matches() || !flowHead.matches()) {
      throw new FormatException(
          "Line 1: “%s,%s” is not a heading like lift_in,flow_cfm_at_28_inH2O"
              .formatted(
                  Lines.shortened(records.getFirst().get(0)),
                  Lines.shortened(records.getFirst().get(1))));
    }
    var lift = unit(liftHead.group("unit"), Quantity.LENGTH);
    var flow = unit(flowHead.group("unit"), Quantity.AIRFLOW);
    var at = unit(flowHead.group("atunit"), Quantity.DEPRESSION);
    var rows = new ArrayList<FlowSheet.Row>();
    for (int i = 1; i < records.size(); i++) {
      var r = records.get(i);
      Csv.columns(r, 2);
      rows.add(new FlowSheet.Row(lift.toSi(Csv.number(r, 0)), flow.toSi(Csv.number(r, 1))));
    }
    return new FlowSheet(at.toSi(Double.parseDouble(flowHead.group("at"))), provenance, rows);
  }

  private static Measure unit(String symbol, Quantity quantity) {
    return Measure.of(symbol)
        .filter(quantity::accepts)
        .orElseThrow(
            () -> new FormatException("Line 1: the unit “" + symbol + "” is not known here"));
  }
}
