package grandbore.core.geometry;

/**
 * Piston motion of a crank, a rod and an offset pin, exact. Angles in radians after top centre.
 *
 * @param throwRadius half the stroke, m
 * @param rod m
 * @param offset of the pin from the cylinder's axis, toward the thrust side, m
 */
public record SliderCrank(double throwRadius, double rod, double offset) {

  /** Distance of the pin below its highest place, m. */
  public double depth(double angle) {
    double side = throwRadius * Math.sin(angle) - offset;
    return highest() - throwRadius * Math.cos(angle) - Math.sqrt(rod * rod - side * side);
  }

  private double highest() {
    double reach = rod + throwRadius;
    return Math.sqrt(reach * reach - offset * offset);
  }

  /** Change of depth with angle, m/rad. */
  public double slope(double angle) {
    double side = throwRadius * Math.sin(angle) - offset;
    return throwRadius * Math.sin(angle)
        + side * throwRadius * Math.cos(angle) / Math.sqrt(rod * rod - side * side);
  }

  /** Angle of the rod to the cylinder's axis, rad. */
  public double tilt(double angle) {
    return Math.asin((throwRadius * Math.sin(angle) - offset) / rod);
  }

  /** Second derivative of depth with angle, m/rad². */
  public double curvature(double angle) {
    double s = Math.sin(angle);
    double c = Math.cos(angle);
    double side = throwRadius * s - offset;
    double root = Math.sqrt(rod * rod - side * side);
    double dSide = throwRadius * c;
    return throwRadius * c
        + (dSide * dSide - side * throwRadius * s) / root
        + side * side * dSide * dSide / (root * root * root);
  }
}
