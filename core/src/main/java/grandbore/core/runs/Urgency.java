package grandbore.core.runs;

/** Which run goes first: the earlier word before the later one. */
public enum Urgency {
  /** The curve that stands beside every edit. */
  LIVE,
  /** What somebody looks at and waits for. */
  SEEN,
  /** Sweeps, which take what is left. */
  STUDY;

  boolean isBefore(Urgency other) {
    return compareTo(other) < 0;
  }
}
