package grandbore.desktop.results;

/** Lets what grows be drawn now and then, and not at every step. */
public final class Paced {
  private static final long EVERY_MILLISECONDS = 400;

  private long last;

  /** Whether it is time again; if so, the next time is some tenths of a second later. */
  public boolean isDue() {
    long now = System.currentTimeMillis();
    if (now - last <= EVERY_MILLISECONDS) {
      return false;
    }
    last = now;
    return true;
  }
}
