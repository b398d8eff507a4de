package grandbore.core.job;

/** Counts of days in words. */
public final class Days {
  private Days() {}

  /** "1 day", "3 days". */
  public static String words(long days) {
    return days + (Math.abs(days) == 1 ? " day" : " days");
  }
}
