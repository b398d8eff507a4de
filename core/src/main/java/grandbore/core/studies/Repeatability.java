package grandbore.core.studies;

/**
 * How sharp a figure of the model is against itself: the same engine begun from elsewhere ends as
 * near to where it ended as this. A gain below it is no difference that the model can tell. How far
 * the model is from a dyno is another matter.
 */
public final class Repeatability {
  /**
   * Of a band's average. Of ten engines, each begun cold and from three others, the worst with
   * headers was 2.3 parts in 10,000 off, the worst with a cast manifold on one live cylinder, whose
   * copies hunt, 6.
   */
  private static final double SHARE = 6e-4;

  private Repeatability() {}

  /** The least difference that can be told of a figure of this size, in its unit. */
  public static double of(double figure) {
    return SHARE * Math.abs(figure);
  }

  /** Whether a gain can be told from none. */
  public static boolean tells(double gain, double figure) {
    return Math.abs(gain) > of(figure);
  }
}
