package grandbore.core.checks;

/**
 * Something that has to hold, with its working.
 *
 * @param name for machines
 * @param label for people
 * @param says in a short sentence
 * @param working how it was reckoned, with the values put in and the source
 * @param margin share of what is allowed that is left, less than nothing beyond it; not a number
 *     where there is no such share
 */
public record Check(
    String name, String label, Verdict verdict, String says, String working, double margin) {
  /** How it stands. */
  public enum Verdict {
    GOOD("good"),
    CLOSE("close"),
    BAD("does not hold"),
    UNKNOWN("not known");

    private final String word;

    Verdict(String word) {
      this.word = word;
    }

    public String word() {
      return word;
    }
  }

  /** Good with room to spare, close within a margin, bad beyond. */
  public static Verdict judge(double is, double limit, double margin) {
    if (is > limit) {
      return Verdict.BAD;
    }
    return is > limit - margin ? Verdict.CLOSE : Verdict.GOOD;
  }
}
