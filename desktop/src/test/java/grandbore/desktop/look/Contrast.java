package grandbore.desktop.look;

import javafx.scene.paint.Color;

/** Contrast by the formula of WCAG 2 (W3C): relative luminance. */
public final class Contrast {
  private Contrast() {}

  /** From 1, the same, to 21, black on white. */
  public static double of(Color a, Color b) {
    double x = luminance(a);
    double y = luminance(b);
    return (Math.max(x, y) + 0.05) / (Math.min(x, y) + 0.05);
  }

  private static double luminance(Color c) {
    return 0.2126 * linear(c.getRed())
        + 0.7152 * linear(c.getGreen())
        + 0.0722 * linear(c.getBlue());
  }

  private static double linear(double v) {
    return v <= 0.03928 ? v / 12.92 : Math.pow((v + 0.055) / 1.055, 2.4);
  }
}
