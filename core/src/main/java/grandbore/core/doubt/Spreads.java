package grandbore.core.doubt;

import grandbore.core.combination.Given;
import grandbore.core.combination.Provenance;
import java.util.Set;

/**
 * How far an input may lie off, one standard deviation.
 *
 * <p>Mostly a share of the value, by where it came from. That does not hold for the sizes of the
 * bottom end and its gasket, which are machined and gauged to hundredths of a millimetre however
 * long they are, and whose sum, the deck, is known far better than any share of a rod's length.
 * Common practice, no source.
 */
final class Spreads {
  private static final Set<String> MACHINED =
      Set.of(
          "bottomEnd.bore",
          "bottomEnd.stroke",
          "bottomEnd.rodLength",
          "bottomEnd.blockDeck",
          "bottomEnd.pinHeight",
          "bottomEnd.pinOffset",
          "bottomEnd.mainJournal",
          "bottomEnd.rodJournal",
          "compression.gasketBore");

  /** A guess that still has the piston near the deck, m. */
  private static final double GUESSED = 0.25e-3;

  /** As parts are made against their cards, m. */
  private static final double MADE = 0.05e-3;

  /** Read with a micrometer or an indicator, m. */
  private static final double READ = 0.010e-3;

  private static final double READ_TWICE = 0.005e-3;

  private Spreads() {}

  /** What was said for this input, or what is usual for its kind and origin; SI. */
  static double of(String path, Given given) {
    double usual = Given.usualSpread(given.si(), given.quantity(), given.provenance());
    return given.spread() == usual && MACHINED.contains(path)
        ? Math.min(usual, machined(given.provenance()))
        : given.spread();
  }

  private static double machined(Provenance from) {
    return switch (from) {
      case ASSUMED -> GUESSED;
      case CARD -> MADE;
      case MEASURED -> READ;
      case REPEATED -> READ_TWICE;
    };
  }
}
