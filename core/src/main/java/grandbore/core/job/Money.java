package grandbore.core.job;

import grandbore.core.combination.BottomEnd;
import grandbore.core.job.parts.ItemState;
import grandbore.core.job.route.Stage;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;

/** What a job costs: every line of it, and the sums. */
public record Money(List<Line> lines) {
  /** Whether money went, is promised, or only thought of. */
  public enum Kind {
    SPENT("spent"),
    COMMITTED("committed"),
    PLANNED("planned");

    private final String title;

    Kind(String title) {
      this.title = title;
    }

    public String title() {
      return title;
    }
  }

  /**
   * @param supplier empty for the shop itself
   * @param amount in the shop's currency
   */
  public record Line(Stage stage, String supplier, String what, double amount, Kind kind) {}

  /** Sums of the three kinds. */
  public record Sum(double spent, double committed, double planned) {
    public double all() {
      return spent + committed + planned;
    }
  }

  public Money {
    lines = List.copyOf(lines);
  }

  /** Of parts, orders, and steps that nobody is ordered for. */
  public static Money of(Job job, BottomEnd b) {
    var all = new ArrayList<Line>();
    for (var i : job.items()) {
      if (i.price() > 0 && i.state() != ItemState.SOLD) {
        all.add(
            new Line(
                stage(job, i.part()),
                i.supplier(),
                i.part().at(i.place(), b),
                i.price(),
                i.state().isPaid()
                    ? Kind.SPENT
                    : i.state().isBought() ? Kind.COMMITTED : Kind.PLANNED));
      }
    }
    for (var o : job.orders()) {
      all.add(
          new Line(
              job.step(o.step()).map(s -> s.stage()).orElse(Stage.MACHINE),
              o.supplier(),
              "order " + o.number(),
              o.price(),
              o.isBack() ? Kind.SPENT : o.isSent() ? Kind.COMMITTED : Kind.PLANNED));
    }
    for (var s : job.steps()) {
      double own = s.who().isBlank() ? s.hours() * job.plan().hourPrice() : 0;
      double paid = job.orderOf(s).isPresent() ? 0 : s.cost();
      if (own + paid > 0) {
        all.add(
            new Line(
                s.stage(), s.who(), s.title(), own + paid, s.isDone() ? Kind.SPENT : Kind.PLANNED));
      }
    }
    return new Money(all);
  }

  /** The stage of the first step that needs such a part; the assembly where none does. */
  private static Stage stage(Job job, grandbore.core.job.parts.EnginePart part) {
    return job.steps().stream()
        .filter(s -> s.parts().contains(part))
        .map(s -> s.stage())
        .findFirst()
        .orElse(Stage.ASSEMBLY);
  }

  /** Of all lines. */
  public Sum sum() {
    return sum(lines);
  }

  private static Sum sum(List<Line> lines) {
    return new Sum(of(lines, Kind.SPENT), of(lines, Kind.COMMITTED), of(lines, Kind.PLANNED));
  }

  private static double of(List<Line> lines, Kind kind) {
    return lines.stream().filter(l -> l.kind() == kind).mapToDouble(Line::amount).sum();
  }

  /** By stage, in their order. */
  public Map<String, Sum> byStage() {
    return by(l -> l.stage().title());
  }

  /** By supplier, as they come. */
  public Map<String, Sum> bySupplier() {
    return by(l -> l.supplier().isBlank() ? "the shop itself" : l.supplier());
  }

  private Map<String, Sum> by(Function<Line, String> key) {
    Map<String, List<Line>> grouped = new LinkedHashMap<>();
    lines.stream()
        .sorted(java.util.Comparator.comparing(Line::stage))
        .forEach(l -> grouped.computeIfAbsent(key.apply(l), k -> new ArrayList<>()).add(l));
    Map<String, Sum> sums = new LinkedHashMap<>();
    grouped.forEach((k, v) -> sums.put(k, sum(v)));
    return sums;
  }

  /** Price of a unit of power, 0 where there is none. */
  public double per(double power) {
    return power > 0 ? sum().all() / power : 0;
  }
}
