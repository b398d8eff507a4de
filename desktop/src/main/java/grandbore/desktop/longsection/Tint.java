package grandbore.desktop.longsection;

import grandbore.desktop.look.Palette;
import javafx.scene.paint.Color;

/**
 * Colours from the low end of a scale over its middle to the high end: blue to orange, which all
 * kinds of colour sight tell apart, or from light to dark where there is no middle.
 */
final class Tint {
  private static final int STEPS = 256;
  private static final double GAMMA = 0.8;

  private final int[] colours = new int[2 * STEPS + 1];

  private Tint(Color low, Color middle, Color high) {
    for (int k = -STEPS; k <= STEPS; k++) {
      double share = Math.pow(Math.abs(k) / (double) STEPS, GAMMA);
      colours[k + STEPS] = argb(middle.interpolate(k < 0 ? low : high, share));
    }
  }

  static Tint of(GasView view, Palette p) {
    boolean diverges = view == GasView.PRESSURE || view == GasView.SPEED;
    return diverges
        ? new Tint(p.below(), p.panel(), p.above())
        : new Tint(p.panel(), p.panel().interpolate(p.above(), 0.5), p.above());
  }

  static int argb(Color c) {
    return 0xff000000
        | (int) Math.round(255 * c.getRed()) << 16
        | (int) Math.round(255 * c.getGreen()) << 8
        | (int) Math.round(255 * c.getBlue());
  }

  /**
   * @param place from −1 to 1
   */
  int at(double place) {
    return colours[(int) Math.round(STEPS * (1 + place))];
  }

  Color colour(double place) {
    int c = at(place);
    return Color.rgb(c >> 16 & 0xff, c >> 8 & 0xff, c & 0xff);
  }
}
