package grandbore.desktop.look;

import java.util.Locale;

/** How large all words and numbers are. */
public enum TextSize {
  NORMAL("Normal text", 13),
  LARGE("Large text", 16),
  BENCH("Text for the bench", 20);

  private final String title;
  private final double pixels;

  TextSize(String title, double pixels) {
    this.title = title;
    this.pixels = pixels;
  }

  public String title() {
    return title;
  }

  /** Of ordinary words; all other sizes follow from it. */
  public double pixels() {
    return pixels;
  }

  /** Of the window's root. */
  String styleClass() {
    return "text-" + name().toLowerCase(Locale.ROOT);
  }

  /** Over that of normal text. */
  public double factor() {
    return pixels / NORMAL.pixels;
  }

  /** The one after it, round and round. */
  public TextSize next() {
    return values()[(ordinal() + 1) % values().length];
  }
}
