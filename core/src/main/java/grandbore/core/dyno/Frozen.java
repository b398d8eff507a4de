package grandbore.core.dyno;

import grandbore.core.combination.InvalidInput;
import grandbore.core.prediction.Curve;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.function.ToDoubleFunction;

/**
 * A prediction as it stood before the first pull; kept and never changed.
 *
 * @param name by which it is told
 * @param at when it was frozen
 * @param air that it was made for
 * @param lambda as set
 * @param rows by rising speed
 */
public record Frozen(String name, Instant at, DayAir air, double lambda, List<Row> rows) {
  private static final int FEWEST = 3;

  /**
   * One speed, SI.
   *
   * @param rpm rev/min
   * @param torque N m
   * @param low a tenth of what may be lies below, N m
   * @param high a tenth lies above, N m
   * @param airFlow kg/s
   * @param fuelFlow kg/s
   * @param exhaustTemperature of the gas that leaves the cylinders, K
   * @param plenumPressure Pa
   * @param spark that it was run with, rad before top centre
   * @param bestSpark of most torque, rad
   */
  public record Row(
      double rpm,
      double torque,
      double low,
      double high,
      double airFlow,
      double fuelFlow,
      double exhaustTemperature,
      double plenumPressure,
      double spark,
      double bestSpark) {}

  public Frozen {
    rows = rows.stream().sorted(Comparator.comparingDouble(Row::rpm)).toList();
    if (rows.size() < FEWEST || name.isBlank()) {
      throw new InvalidInput(
          "Frozen prediction",
          rows.size() + " speeds",
          "three or more, and a name",
          "it is a curve");
    }
  }

  /**
   * @param curve as it stands
   * @param best the same engine with the spark of most torque
   * @param doubt what each speed may lie low or high, as shares about one; of one speed the low,
   *     then the high
   */
  public static Frozen of(
      String name,
      Instant at,
      DayAir air,
      double lambda,
      Curve curve,
      Curve best,
      java.util.function.DoubleFunction<double[]> doubt) {
    var rows = new ArrayList<Row>();
    for (var p : curve.settled()) {
      var spread = doubt.apply(p.rpm());
      double spark =
          best.settled().stream()
              .filter(b -> b.rpm() == p.rpm())
              .mapToDouble(b -> b.spark())
              .findFirst()
              .orElse(Double.NaN);
      rows.add(
          new Row(
              p.rpm(),
              p.torque(),
              p.torque() * spread[0],
              p.torque() * spread[1],
              p.airFlow(),
              p.fuelPerJoule() * p.power(),
              p.exhaustTemperature(),
              p.plenumPressure(),
              p.spark(),
              spark));
    }
    return new Frozen(name, at, air, lambda, rows);
  }

  /**
   * Between two speeds running straight; not a number outside.
   *
   * @param rpm rev/min
   */
  public double at(double rpm, ToDoubleFunction<Row> what) {
    if (!(rpm >= rows.getFirst().rpm - 1e-6 && rpm <= rows.getLast().rpm + 1e-6)) {
      return Double.NaN;
    }
    int k = 1;
    while (k < rows.size() - 1 && rows.get(k).rpm < rpm) {
      k++;
    }
    var a = rows.get(k - 1);
    var b = rows.get(k);
    double f = (rpm - a.rpm) / (b.rpm - a.rpm);
    return (1 - f) * what.applyAsDouble(a) + f * what.applyAsDouble(b);
  }

  /** Torque under a standard, N m. */
  public double torque(double rpm, Standard standard) {
    return standard.factor(air) * at(rpm, Row::torque);
  }
}
