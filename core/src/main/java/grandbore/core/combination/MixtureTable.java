package grandbore.core.combination;

import grandbore.core.units.Quantity;
import grandbore.core.units.UnitSystem;
import java.util.List;
import java.util.function.ToDoubleFunction;

/**
 * Mixture strength, and spark where it is fixed, by speed: as a wide-band log read them, or as the
 * engine's own map has them. The single figures of the {@link Mixture} are the table's means and
 * move the whole of it, as jets and a turned distributor do:
 *
 * <pre>
 *   λ(n) = λ_table(n) λ / mean λ_table,   spark(n) = spark_table(n) + spark − mean spark_table
 * </pre>
 *
 * straight from row to row, held beyond the first and the last.
 */
public record MixtureTable(Provenance provenance, List<Row> rows) {
  /** No table: the single figures hold at every speed. */
  public static final MixtureTable NONE = new MixtureTable(Provenance.ASSUMED, List.of());

  private static final int MOST = 80;
  private static final double SLOWEST = 10;
  private static final double FASTEST = 2500;

  /**
   * @param speed of the crank, rad/s
   * @param lambda air-fuel ratio over the stoichiometric one
   * @param advance of the spark before top centre, rad; not a number in a table without spark
   */
  public record Row(double speed, double lambda, double advance) {}

  public MixtureTable {
    if (provenance == null || rows == null) {
      throw new InvalidInput("Mixture by speed", "missing", "a table or none", "it is needed");
    }
    rows = List.copyOf(rows);
    if (rows.size() == 1 || rows.size() > MOST) {
      throw new InvalidInput(
          "Mixture by speed", rows.size() + " rows", "2 to 80", "it runs over the speeds");
    }
    for (int i = 0; i < rows.size(); i++) {
      check(rows, i);
    }
  }

  private static void check(List<Row> rows, int i) {
    var row = rows.get(i);
    String name = "Mixture by speed, row " + (i + 1);
    if (!Bounds.hold(row.speed, SLOWEST, FASTEST) || i > 0 && row.speed <= rows.get(i - 1).speed) {
      throw new InvalidInput(
          name + ", speed",
          Quantity.ROTATION.show(row.speed, UnitSystem.METRIC),
          "95 to 23,900 rpm, more than the row before",
          "speeds rise from row to row");
    }
    if (!Bounds.hold(row.lambda, Mixture.RICHEST, Mixture.LEANEST)) {
      throw new InvalidInput(
          name + ", lambda",
          "%.4g".formatted(row.lambda),
          "%.2f to %.2f".formatted(Mixture.RICHEST, Mixture.LEANEST),
          "outside that a spark does not light the charge");
    }
    if (Double.isNaN(row.advance) != Double.isNaN(rows.getFirst().advance)) {
      throw new InvalidInput(
          name + ", spark",
          "in some rows only",
          "in all rows or in none",
          "it runs over the speeds");
    }
    if (!Double.isNaN(row.advance) && !Bounds.hold(row.advance, Mixture.LATEST, Mixture.EARLIEST)) {
      throw new InvalidInput(
          name + ", spark",
          Quantity.ANGLE.show(row.advance, UnitSystem.METRIC),
          "-40° to 60° before top centre",
          "it is measured before top centre, less than nothing after it");
    }
  }

  /** An engine with it: its means become the single figures. */
  public Combination on(Combination c) {
    var with = c.with("mixture.bySpeed", this);
    if (isGiven()) {
      with = with.with("mixture.lambda", c.mixture().lambda().with(meanLambda(), provenance));
    }
    return hasSpark()
        ? with.with("mixture.advance", c.mixture().advance().with(meanAdvance(), provenance))
        : with;
  }

  public boolean isGiven() {
    return !rows.isEmpty();
  }

  /** Whether it holds the spark, too. */
  public boolean hasSpark() {
    return isGiven() && !Double.isNaN(rows.getFirst().advance);
  }

  /** Mean of its mixtures. */
  public double meanLambda() {
    return rows.stream().mapToDouble(Row::lambda).average().orElse(Double.NaN);
  }

  /** Mean of its sparks, rad before top centre; not a number where it has none. */
  public double meanAdvance() {
    return rows.stream().mapToDouble(Row::advance).average().orElse(Double.NaN);
  }

  /** Mixture strength at a speed, rad/s. */
  double lambda(double speed) {
    return at(speed, Row::lambda);
  }

  /** Spark at a speed, rad/s; rad before top centre. */
  double advance(double speed) {
    return at(speed, Row::advance);
  }

  private double at(double speed, ToDoubleFunction<Row> of) {
    int i = 1;
    while (i < rows.size() - 1 && rows.get(i).speed < speed) {
      i++;
    }
    var a = rows.get(i - 1);
    var b = rows.get(i);
    double f = Math.clamp((speed - a.speed) / (b.speed - a.speed), 0, 1);
    return (1 - f) * of.applyAsDouble(a) + f * of.applyAsDouble(b);
  }
}
