package grandbore.desktop.find;

/**
 * Something that can be found.
 *
 * @param kind what it is
 * @param title its name as it stands on the screen
 * @param where the place it is at, in words
 * @param value what it is now; empty for none
 * @param key the keys that do the same; empty for none
 * @param go goes there, or does it
 */
public record Target(Kind kind, String title, String where, String value, String key, Runnable go) {
  /** What it is. */
  public enum Kind {
    INPUT("input"),
    FIGURE("figure"),
    READING("reading"),
    VIEW("view"),
    COMMAND("command"),
    HELP("help");

    private final String word;

    Kind(String word) {
      this.word = word;
    }

    public String word() {
      return word;
    }
  }
}
