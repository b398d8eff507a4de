package grandbore.desktop.job;

/** Words that begin a line. */
final class Capital {
  private Capital() {}

  static String of(String words) {
    return words.isEmpty() ? words : Character.toUpperCase(words.charAt(0)) + words.substring(1);
  }
}
