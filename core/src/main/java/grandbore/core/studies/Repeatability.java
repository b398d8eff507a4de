package grandbore.core.studies;

/**
 * How sharp a figure of the model is against itself: the same engine begun from elsewhere ends as
 * near to where it ended as this. A gain below it is no difference that the model can tell. How far
 * the model is from a dyno is another matter.
 */
public final class Repeatability {
  /**
   * Of a band's average; the worst of 31 engines of one ladder was 1 part in 10,000, begun warm and
   * cold.
   */
  private static final double SHARE = 2e-4;

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
