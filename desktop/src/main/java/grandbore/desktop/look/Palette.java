package grandbore.desktop.look;

import javafx.scene.paint.Color;

/**
 * The colours that drawings and charts use; the style sheet holds the same ones.
 *
 * @param page behind everything
 * @param panel of a pane
 * @param line thin lines and grids
 * @param ink text and outlines
 * @param soft lesser text
 * @param dye what is selected or edited; torque
 * @param power the second series
 * @param straw measured
 * @param metal section fill
 * @param gas what the gas fills
 * @param below under the middle of a scale
 * @param above over the middle of a scale
 */
public record Palette(
    Color page,
    Color panel,
    Color line,
    Color ink,
    Color soft,
    Color dye,
    Color power,
    Color straw,
    Color metal,
    Color gas,
    Color below,
    Color above) {
  static final Palette LIGHT =
      new Palette(
          Color.web("#eceae6"),
          Color.web("#f7f6f3"),
          Color.web("#cbc8c1"),
          Color.web("#23262a"),
          Color.web("#585d64"),
          Color.web("#1d4f91"),
          Color.web("#9a4a12"),
          Color.web("#8a6410"),
          Color.web("#dcd9d2"),
          Color.web("#e3ecf7"),
          Color.web("#1c4c8c"),
          Color.web("#b0440d"));
  static final Palette DARK =
      new Palette(
          Color.web("#1b1d20"),
          Color.web("#24272b"),
          Color.web("#43474d"),
          Color.web("#e8e6e1"),
          Color.web("#a8adb4"),
          Color.web("#84b4f2"),
          Color.web("#eba56c"),
          Color.web("#e2bd63"),
          Color.web("#3a3e44"),
          Color.web("#22344c"),
          Color.web("#5fa0f5"),
          Color.web("#f0933f"));

  /** The same colour for the chart's library. */
  public static java.awt.Color awt(Color c) {
    return new java.awt.Color(
        (float) c.getRed(), (float) c.getGreen(), (float) c.getBlue(), (float) c.getOpacity());
  }
}
