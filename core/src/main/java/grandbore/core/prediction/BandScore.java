package grandbore.core.prediction;

import java.util.Optional;

/**
 * Average over the speeds that matter, each speed counting alike.
 *
 * @param power W
 * @param torque N m
 */
public record BandScore(double power, double torque) {
  private static final int ROWS = 200;

  /**
   * The averages of a curve between two speeds, rev/min; nothing where the curve has no settled
   * speed there or does not span them.
   */
  public static Optional<BandScore> of(Curve curve, double from, double to) {
    var points = curve.settled();
    if (points.size() < 2
        || points.getFirst().rpm() > from + 1
        || points.getLast().rpm() < to - 1) {
      return Optional.empty();
    }
    double power = 0;
    double torque = 0;
    for (int k = 0; k < ROWS; k++) {
      double rpm =
          Math.clamp(
              from + (to - from) * (k + 0.5) / ROWS,
              points.getFirst().rpm(),
              points.getLast().rpm());
      int i = 1;
      while (points.get(i).rpm() < rpm) {
        i++;
      }
      var a = points.get(i - 1);
      var b = points.get(i);
      double f = (rpm - a.rpm()) / (b.rpm() - a.rpm());
      double t = a.torque() + f * (b.torque() - a.torque());
      torque += t / ROWS;
      power += t * rpm * Math.PI / 30 / ROWS;
    }
    return Optional.of(new BandScore(power, torque));
  }
}
