package grandbore.core.clearances;

import grandbore.core.combination.BottomEnd;
import grandbore.core.units.Quantity;
import grandbore.core.units.UnitSystem;
import java.util.Optional;

/**
 * What a clearance should lie in. Common practice, no source; the figure of the part's maker always
 * goes before it.
 *
 * @param least SI
 * @param most SI
 * @param rule how it follows from this engine, in words
 */
public record Band(double least, double most, String rule) {
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
  }

  private static final double EDGE_SHARE = 0.1;

  /** A ring gap has a least value; this much above it still seals. */
  private static final double WIDEST_GAP = 1.35;

  /** The band of a measurement on this engine, where practice has one. */
  public static Optional<Band> of(Measurement m, BottomEnd bottom, Application application) {
    return switch (m) {
      case MAIN_BEARING -> Optional.of(bearing(bottom.mainJournal().si(), application));
      case ROD_BEARING -> Optional.of(bearing(bottom.rodJournal().si(), application));
      case TOP_RING_GAP ->
          Optional.of(
              gap(
                  bottom.bore().si(),
                  switch (application.wear()) {
                    case STREET -> 0.0045;
                    case RACE -> 0.0050;
                    case BOOST -> 0.0063;
                  }));
      case SECOND_RING_GAP ->
          Optional.of(
              gap(
                  bottom.bore().si(),
                  switch (application.wear()) {
                    case STREET -> 0.0050;
                    case RACE -> 0.0055;
                    case BOOST -> 0.0068;
                  }));
      case DECK, CHAMBER, COMPRESSION, COMPRESSION_OILED, LEAK_DOWN -> Optional.empty();
    };
  }

  /** Whether racing's bands hold for a use. */
  public static boolean isRace(Application application) {
    return application.wear() != Application.Wear.STREET;
  }

  private static Band bearing(double journal, Application application) {
    double low = application.wear() == Application.Wear.STREET ? 0.0008 : 0.0010;
    double high = application.wear() == Application.Wear.STREET ? 0.0010 : 0.0013;
    return new Band(
        low * journal,
        high * journal,
        "%s to %s for each inch of a %s journal"
            .formatted(thou(low), thou(high), Quantity.LENGTH.show(journal, UnitSystem.US)));
  }

  private static Band gap(double bore, double factor) {
    return new Band(
        factor * bore,
        WIDEST_GAP * factor * bore,
        "at least %s for each inch of a %s bore"
            .formatted(thou(factor), Quantity.LENGTH.show(bore, UnitSystem.US)));
  }

  private static String thou(double perInch) {
    return String.format(java.util.Locale.ROOT, "%.4f in", perInch);
  }

  /** How a value stands to this band. */
  public Verdict judge(double value) {
    if (value < least) {
      return Verdict.TIGHT;
    }
    if (value > most) {
      return Verdict.WIDE;
    }
    double edge = EDGE_SHARE * (most - least);
    return value < least + edge || value > most - edge ? Verdict.NEAR_EDGE : Verdict.INSIDE;
  }

  /** How far the places may differ among themselves, where practice says. */
  public static Optional<Double> spreadAllowed(Measurement m, Application application) {
    boolean street = application.wear() == Application.Wear.STREET;
    return switch (m) {
      case DECK -> Optional.of(street ? 0.004 * 0.0254 : 0.002 * 0.0254);
      case CHAMBER -> Optional.of(street ? 1e-6 : 0.5e-6);
      default -> Optional.empty();
    };
  }
}
