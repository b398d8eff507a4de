package grandbore.core.studies;

import grandbore.core.combination.InvalidInput;

/**
 * The model's own doubt, which no reading takes away.
 *
 * @param share one standard deviation of its peaks, as a share of them; 0.001 to 0.5
 * @param engines by which it is known
 * @param of whose engines these are
 */
public record ModelSpread(double share, int engines, String of) {
  /**
   * The root mean square of the errors of peak power and peak torque against the dyno results that
   * are checked. The inputs of those engines are partly assumed, so that it holds a little of their
   * doubt as well.
   */
  public static final ModelSpread OWN = new ModelSpread(0.052, 8, "its own checks against dynos");

  /** Closer than any brake reads. */
  public static final double LEAST = 0.001;

  private static final double MOST = 0.5;

  public ModelSpread {
    if (!(share >= LEAST && share <= MOST)) {
      throw new InvalidInput(
          "The model's own doubt",
          "%.2f %%".formatted(100 * share),
          "0.1 to 50 %",
          "closer no brake reads, farther off no curve is of use");
    }
  }

  /** A range with this doubt: both independent, so that their squares add. */
  public Doubt.Range with(Doubt.Range range, double stands) {
    double model = Doubt.FOUR_FIFTHS * share * stands;
    return new Doubt.Range(
        range.middle() - Math.hypot(range.middle() - range.low(), model),
        range.middle(),
        range.middle() + Math.hypot(range.high() - range.middle(), model));
  }

  /** What it is, in words. */
  public String says() {
    return "the model's own doubt of %.1f %%, from %s".formatted(100 * share, of);
  }
}
