package grandbore.core.dyno.calibration;

import java.util.List;

/**
 * How the misfit rises where one coefficient is held off its best and the others follow: the
 * profile of its likelihood. A model straight in its coefficients rises by the square of the
 * standard errors; where this one rises otherwise, its standard error tells one side too much.
 *
 * @param points by rising offset, the best itself left out
 */
public record Profile(Coefficient coefficient, List<Point> points) {
  /** Beyond this share of a standard error the model is called bent. */
  private static final double BENT = 0.35;

  /**
   * Nearer the best than this, in standard errors, what two runs of one engine differ by moves the
   * rise of one as far as a bend would.
   */
  private static final double TOLD = 1.5;

  /**
   * @param errors held off the best by so many standard errors
   * @param rise of the sum of squares, each over its own standard deviation; 1 at one standard
   *     error of a straight model
   */
  public record Point(double errors, double rise) {}

  public Profile {
    points = List.copyOf(points);
  }

  /** By how many standard errors it tells a point nearer or farther than a straight model does. */
  public double bend() {
    return points.stream()
        .filter(p -> Math.abs(p.errors) >= TOLD)
        .mapToDouble(p -> Math.sqrt(Math.max(0, p.rise)) / Math.abs(p.errors) - 1)
        .map(Math::abs)
        .max()
        .orElse(0);
  }

  /** Whether the standard error says all there is. */
  public boolean isStraight() {
    return bend() < BENT;
  }
}
