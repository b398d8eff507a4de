package grandbore.book;

/** Messages and texts kept to a line that can be read. */
final class Lines {
  private static final int LONGEST = 80;
  private static final char MARK = '\uFEFF';

  private Lines() {}

  /** A foreign text, short enough to be quoted. */
  static String shortened(String text) {
    String line = text.replaceAll("\\s*\\R\\s*", " ");
    return line.length() <= LONGEST ? line : line.substring(0, LONGEST) + "…";
  }

  /** A file's text without the byte order mark that some programs put before it. */
  static String unmarked(String text) {
    return !text.isEmpty() && text.charAt(0) == MARK ? text.substring(1) : text;
  }
}
