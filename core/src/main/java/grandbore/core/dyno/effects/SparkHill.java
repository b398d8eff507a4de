package grandbore.core.dyno.effects;

import grandbore.core.dyno.Pull;
import grandbore.core.dyno.PullCurve;
import grandbore.core.dyno.Standard;
import java.util.ArrayList;
import java.util.List;

/**
 * Torque over spark at one speed, as a parabola.
 *
 * @param rpm rev/min
 * @param hill torque, N m, over the true spark, degrees before top centre
 * @param from least spark that was run, degrees
 * @param to most
 */
public record SparkHill(double rpm, Parabola hill, double from, double to) {
  private static final double STEP = 500;

  /** The share of the best that the school of the smallest spark gives away. */
  public static final double GIVEN_AWAY = 0.005;

  /** Degrees too much, whose cost is told. */
  private static final double TOO_MUCH = 4;

  /**
   * At every 500 rev/min that three sparks or more were run at.
   *
   * @param good pulls that differ in nothing but spark, among others
   * @param pointer how much more the pointer shows than there is, rad
   */
  public static List<SparkHill> of(List<Pull> good, Standard standard, double pointer) {
    var series = longest(good);
    var hills = new ArrayList<SparkHill>();
    if (series.isEmpty()) {
      return hills;
    }
    var curves =
        series.stream().map(p -> PullCurve.torque(p, standard, PullCurve.USUAL_WIDTH)).toList();
    double low = curves.stream().mapToDouble(PullCurve::from).min().orElse(0);
    double high = curves.stream().mapToDouble(PullCurve::to).max().orElse(0);
    for (double n = Math.ceil(low / STEP) * STEP; n <= high; n += STEP) {
      at(n, series, curves, pointer).ifPresent(hills::add);
    }
    return List.copyOf(hills);
  }

  private static java.util.Optional<SparkHill> at(
      double rpm, List<Pull> series, List<PullCurve> curves, double pointer) {
    var x = new ArrayList<Double>();
    var y = new ArrayList<Double>();
    for (int k = 0; k < series.size(); k++) {
      double torque = curves.get(k).at(rpm);
      if (Double.isFinite(torque)) {
        x.add(Math.toDegrees(series.get(k).spark() - pointer));
        y.add(torque);
      }
    }
    if (x.stream().distinct().count() < 3) {
      return java.util.Optional.empty();
    }
    var hill =
        Parabola.through(
            x.stream().mapToDouble(v -> v).toArray(), y.stream().mapToDouble(v -> v).toArray());
    return java.util.Optional.of(
        new SparkHill(
            rpm,
            hill,
            x.stream().mapToDouble(v -> v).min().orElseThrow(),
            x.stream().mapToDouble(v -> v).max().orElseThrow()));
  }

  /** Of all pulls alike but for the spark, the most. */
  private static List<Pull> longest(List<Pull> good) {
    var by = new java.util.LinkedHashMap<Object, List<Pull>>();
    for (var p : good) {
      if (!Double.isNaN(p.spark())) {
        var sets = new java.util.TreeMap<>(Setting.of(p).sets());
        sets.remove("mixture.advance");
        sets.remove("mixture.spark");
        by.computeIfAbsent(sets, k -> new ArrayList<>()).add(p);
      }
    }
    return by.values().stream()
        .max(java.util.Comparator.comparingInt(List::size))
        .orElse(List.of());
  }

  /** Whether its top was run past and can be told. */
  public boolean hasTop() {
    return hill.isHill() && hill.top() > from && hill.top() < to;
  }

  /** Spark of the top, degrees. */
  public double best() {
    return hill.top();
  }

  /** The torque there, N m. */
  public double torque() {
    return hill.at(best());
  }

  /** What four degrees more than the best cost, N m. */
  public double tooMuch() {
    return -hill.b2() * TOO_MUCH * TOO_MUCH;
  }

  /** The smallest spark within half a per cent of the best, degrees. */
  public double smallest() {
    return best() - Math.sqrt(GIVEN_AWAY * torque() / -hill.b2());
  }
}
