package grandbore.core.prediction;

/**
 * The most that a curve reaches, between its points.
 *
 * @param rpm rev/min
 * @param torque N m
 */
public record Peak(double rpm, double torque) {
  /** Power there, W. */
  public double power() {
    return torque * rpm * Math.PI / 30;
  }
}
