package grandbore.desktop.composition;

/**
 * How much of the window the pane beside the page takes.
 *
 * @param share of the width, or of the height where it lies below
 */
public record Side(Mode mode, double share) {
  private static final double LEAST = 0.18;
  private static final double MOST = 0.62;

  /** What it does. */
  public enum Mode {
    /** Beside the page, or below it in an upright window. */
    BESIDE,
    /** Narrowed to a strip. */
    STRIP,
    /** Over the whole window. */
    WHOLE
  }

  /** What a window begins with. */
  public static final Side USUAL = new Side(Mode.BESIDE, 0.29);

  public Side {
    share = Math.clamp(Double.isFinite(share) ? share : USUAL.share, LEAST, MOST);
  }

  public Side with(Mode other) {
    return new Side(other, share);
  }

  public Side with(double other) {
    return new Side(mode, other);
  }
}
