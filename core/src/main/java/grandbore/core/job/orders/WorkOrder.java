package grandbore.core.job.orders;

import grandbore.core.clearances.Reading;
import grandbore.core.clearances.Readings;
import grandbore.core.combination.InvalidInput;
import grandbore.core.combination.Specs;
import grandbore.core.job.facts.Operation;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * What one supplier is to do.
 *
 * @param number by which the build knows it
 * @param step of the route that waits for it, empty where none does
 * @param written when it was begun
 * @param sent when the parts left, {@code null} before
 * @param promised the day on which they are to be back, {@code null} where none was told
 * @param back when they came back, {@code null} before
 * @param decided what was decided on what came back, may be empty
 */
public record WorkOrder(
    String number,
    String supplier,
    String step,
    List<OrderLine> lines,
    Instant written,
    Instant sent,
    LocalDate promised,
    Instant back,
    String decided) {
  private static final int MOST = 60;

  public WorkOrder {
    if (number == null || number.isBlank() || number.length() > 40) {
      throw new InvalidInput(
          "Order, number", "“" + number + "”", "1 to 40 characters", "it is told by");
    }
    if (supplier == null || supplier.isBlank() || supplier.length() > 120) {
      throw new InvalidInput(
          "Order %s, supplier".formatted(number),
          "“" + supplier + "”",
          "1 to 120 characters",
          "somebody has to do it");
    }
    if (lines.isEmpty() || lines.size() > MOST) {
      throw new InvalidInput(
          "Order " + number, lines.size() + " lines", "1 to 60 lines", "it orders something");
    }
    if (step == null || written == null || decided == null || decided.length() > 2000) {
      throw new InvalidInput(
          "Order " + number, "no time, or words too long", "both", "it is looked up");
    }
    if (back != null && (sent == null || back.isBefore(sent))) {
      throw new InvalidInput(
          "Order %s, back".formatted(number), back.toString(), "after it was sent", "it was away");
    }
    lines = List.copyOf(lines);
  }

  /** One that is being written. */
  public static WorkOrder of(String number, String supplier, List<OrderLine> lines, Instant at) {
    return new WorkOrder(number, supplier, "", lines, at, null, null, null, "");
  }

  /** The same order waited for by a step of the route. */
  public WorkOrder forStep(String id) {
    return with("step", id);
  }

  /** The same order with its parts away. */
  public WorkOrder sent(Instant at, LocalDate until) {
    return with("sent", at).with("promised", until);
  }

  /** The same order promised for another day. */
  public WorkOrder promised(LocalDate until) {
    return with("promised", until);
  }

  /** The same order with its parts back. */
  public WorkOrder back(Instant at) {
    return with("back", at);
  }

  /** The same order with what was decided on it. */
  public WorkOrder decided(String words) {
    return with("decided", words);
  }

  private WorkOrder with(String component, Object value) {
    return Specs.changed(this, Collections.singletonMap(component, value));
  }

  public boolean isSent() {
    return sent != null;
  }

  public boolean isBack() {
    return back != null;
  }

  /** What it costs as quoted. */
  public double price() {
    return lines.stream().mapToDouble(OrderLine::price).sum();
  }

  /** The kinds of work on it. */
  public Set<Operation> operations() {
    return lines.stream().map(OrderLine::operation).collect(Collectors.toUnmodifiableSet());
  }

  /** Readings that were taken before the parts left; all of them while they have not. */
  public Readings before(Readings all) {
    return new Readings(
        all.all().stream().filter(r -> sent == null || r.taken().at().isBefore(sent)).toList());
  }

  /** Readings that were taken once the parts were back. */
  public Readings after(Readings all) {
    return new Readings(
        all.all().stream().filter(r -> back != null && !r.taken().at().isBefore(back)).toList());
  }

  /**
   * All readings as if those that this order's work made old were never taken: of what it names,
   * only those that were taken after it.
   */
  public Readings standing(Readings all) {
    if (back == null) {
      return all;
    }
    return new Readings(
        all.all().stream().filter(r -> !isOld(r) || !r.taken().at().isBefore(back)).toList());
  }

  private boolean isOld(Reading r) {
    return lines.stream().anyMatch(l -> l.reading() == r.measurement() && l.place() == r.place());
  }

  /** The day on which it is back, as promised. */
  public Optional<LocalDate> day() {
    return Optional.ofNullable(promised);
  }
}
