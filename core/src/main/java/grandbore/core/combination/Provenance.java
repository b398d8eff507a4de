package grandbore.core.combination;

/** Where an input came from, weakest first. */
public enum Provenance {
  /** A guess, or the usual value for such an engine. */
  ASSUMED("assumed", 0.04),
  /** From a card, a catalogue or a flow sheet. */
  CARD("card", 0.01),
  /** Measured once on this engine. */
  MEASURED("measured", 0.003),
  /** Measured and repeated. */
  REPEATED("repeated", 0.0015);

  private final String word;
  private final double relativeSpread;

  Provenance(String word, double relativeSpread) {
    this.word = word;
    this.relativeSpread = relativeSpread;
  }

  public String word() {
    return word;
  }

  /** The usual spread of such an input, one standard deviation as a share of the value. */
  double relativeSpread() {
    return relativeSpread;
  }

  /** The weaker of two. */
  public Provenance and(Provenance other) {
    return compareTo(other) < 0 ? this : other;
  }
}
