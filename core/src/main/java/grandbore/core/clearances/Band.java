package grandbore.core.clearances;

import grandbore.core.units.Quantity;
import grandbore.core.units.UnitSystem;

/**
 * What a clearance should lie in.
 *
 * @param least SI
 * @param most SI; infinite where there is only a least
 * @param rule how it follows from this engine, in words
 * @param source who says so
 */
public record Band(double least, double most, String rule, Source source) {
  /** Who says so; the first that is there counts. */
  public enum Source {
    MAKER("the part's maker"),
    PRACTICE("common practice, no source"),
    HOUSE("this shop's own rule");

    private final String words;

    Source(String words) {
      this.words = words;
    }

    public String words() {
      return words;
    }
  }

  /** How a value stands to its band. */
  public enum Verdict {
    INSIDE("inside"),
    NEAR_EDGE("near the edge"),
    TIGHT("too tight"),
    WIDE("too wide");

    private final String word;

    Verdict(String word) {
      this.word = word;
    }

    public String word() {
      return word;
    }

    public boolean isOutside() {
      return this == TIGHT || this == WIDE;
    }
  }

  private static final double EDGE_SHARE = 0.1;

  /** How a value stands to this band. */
  public Verdict judge(double value) {
    if (value < least) {
      return Verdict.TIGHT;
    }
    if (value > most) {
      return Verdict.WIDE;
    }
    double edge = EDGE_SHARE * (Double.isInfinite(most) ? least : most - least);
    return value < least + edge || value > most - edge ? Verdict.NEAR_EDGE : Verdict.INSIDE;
  }

  /** What to aim at: the middle, or a little above the least. */
  public double aim() {
    return Double.isInfinite(most) ? least * (1 + EDGE_SHARE) : 0.5 * (least + most);
  }

  /** In words: “0.0020 in to 0.0025 in”. */
  public String show(Quantity q, UnitSystem units) {
    return Double.isInfinite(most)
        ? "at least " + q.show(least, units)
        : q.show(least, units) + " to " + q.show(most, units);
  }
}
