package grandbore.core.geometry;

import org.hipparchus.analysis.solvers.BrentSolver;

/**
 * Piston motion of a crank, a rod and an offset pin, exact. Angles in radians after top centre.
 *
 * @param throwRadius half the stroke, m
 * @param rod m
 * @param offset of the pin from the cylinder's axis, toward the thrust side, m
 */
public record SliderCrank(double throwRadius, double rod, double offset) {

  private static final int ROWS = 720;

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

  /** Most change of depth with angle in a turn, m/rad. */
  public double steepest() {
    double most = 0;
    for (int i = 0; i < ROWS; i++) {
      most = Math.max(most, Math.abs(slope(2 * Math.PI * i / ROWS)));
    }
    return most;
  }

  /** Most second derivative of depth with angle in a turn, m/rad². */
  public double sharpest() {
    double most = 0;
    for (int i = 0; i < ROWS; i++) {
      most = Math.max(most, Math.abs(curvature(2 * Math.PI * i / ROWS)));
    }
    return most;
  }

  /** Angle of the rod to the cylinder's axis, rad. */
  public double tilt(double angle) {
    return Math.asin((throwRadius * Math.sin(angle) - offset) / rod);
  }

  /** Third derivative of depth with angle, m/rad³. */
  public double third(double angle) {
    double side = throwRadius * Math.sin(angle) - offset;
    double first = throwRadius * Math.cos(angle);
    double second = -throwRadius * Math.sin(angle);
    double root = Math.sqrt(rod * rod - side * side);
    // The rod's share is -root(side); its derivatives by the chain of side's own.
    double d1 = side / root;
    double d2 = rod * rod / Math.pow(root, 3);
    double d3 = 3 * rod * rod * side / Math.pow(root, 5);
    return -throwRadius * Math.sin(angle)
        + d3 * first * first * first
        + 3 * d2 * first * second
        - d1 * first;
  }

  /** Crank angle of the highest place: zero without offset, rad. */
  public double topAngle() {
    return Math.asin(offset / (rod + throwRadius));
  }

  /** Crank angle for which the piston stays within a depth of its highest place, rad. */
  public double dwell(double within) {
    double top = topAngle();
    return edge(top, Math.PI, within) - edge(top, -Math.PI, within);
  }

  /** Where the depth is reached between the highest place and half a turn from it. */
  private double edge(double top, double toward, double within) {
    return new BrentSolver(1e-14, 1e-13)
        .solve(100, angle -> depth(top + angle) - within, Math.min(0, toward), Math.max(0, toward));
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
