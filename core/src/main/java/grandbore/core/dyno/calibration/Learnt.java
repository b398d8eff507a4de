package grandbore.core.dyno.calibration;

/**
 * What pulls say of one coefficient.
 *
 * @param value factor
 * @param error one standard error
 * @param believed what was believed before, one standard deviation about {@code prior}
 */
public record Learnt(
    Coefficient coefficient, double value, double error, double prior, double believed) {
  private static final double WELL = 0.5;
  private static final double PARTLY = 0.8;

  /** How far the pulls can tell it. */
  public enum Told {
    WELL("told by these pulls"),
    PARTLY("told in part"),
    NOT("not told: what was believed before decides");

    private final String word;

    Told(String word) {
      this.word = word;
    }

    public String word() {
      return word;
    }
  }

  /** By how much of the doubt is left. */
  public Told told() {
    double left = error / believed;
    return left < WELL ? Told.WELL : left < PARTLY ? Told.PARTLY : Told.NOT;
  }
}
