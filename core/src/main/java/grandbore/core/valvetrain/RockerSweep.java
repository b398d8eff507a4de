package grandbore.core.valvetrain;

/**
 * How a rocker's tip wipes over the stem: its arm turns about the pivot while the valve goes down,
 * so that the tip moves out and in again (geometry).
 *
 * @param arm from pivot to tip, m
 * @param rise of the tip above the pivot, across the stem, with the valve shut, m
 * @param lift of the valve, m
 */
public record RockerSweep(double arm, double rise, double lift) {
  /** Distance of the tip from the pivot along the stem's face, m, at a lift of the valve. */
  public double reach(double at) {
    double height = rise - at;
    return Math.sqrt(Math.max(0, arm * arm - height * height));
  }

  /** Width of the pattern, m. */
  public double width() {
    double shut = reach(0);
    double open = reach(lift);
    // The tip is farthest where the arm is square to the stem, if it passes there.
    double most = rise >= 0 && rise <= lift ? arm : Math.max(shut, open);
    return most - Math.min(shut, open);
  }

  /**
   * Rise that makes the pattern narrowest: half of the lift, so that the arm is square half way.
   */
  public double narrowest() {
    return 0.5 * lift;
  }

  /** How much longer the pushrod has to be to get there, m, by a rocker's ratio. */
  public double pushrod(double ratio) {
    return (narrowest() - rise) * (1 + 1 / ratio);
  }
}
