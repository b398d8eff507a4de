package grandbore.core.clearances;

import grandbore.core.combination.Bounds;
import grandbore.core.combination.InvalidInput;
import java.time.Instant;

/**
 * How a reading was taken. Numbers are 0 where they are not known.
 *
 * @param by who read it, may be empty
 * @param instrument with what, may be empty
 * @param typed as it was written or sent, its unit with it, may be empty
 * @param zeroBefore what the instrument showed on its zero before, SI
 * @param zeroAfter and after
 * @param temperature of the part, K
 * @param note in the builder's words, may be empty
 */
public record Taken(
    String by,
    String instrument,
    String typed,
    double zeroBefore,
    double zeroAfter,
    double temperature,
    String note,
    Instant at) {
  private static final int LONGEST = 400;

  public Taken {
    for (String text : new String[] {by, instrument, typed, note}) {
      if (text == null || text.length() > LONGEST) {
        throw new InvalidInput(
            "Words of a reading",
            text == null ? "missing" : text.length() + " characters",
            "0 to " + LONGEST + " characters",
            "they stand beside it");
      }
    }
    if (!Double.isFinite(zeroBefore) || !Double.isFinite(zeroAfter)) {
      throw new InvalidInput("Zero of the instrument", "no number", "a number", "it is read");
    }
    if (temperature != 0 && !Bounds.hold(temperature, 230, 450)) {
      throw new InvalidInput(
          "Temperature of the part",
          "%.0f K".formatted(temperature),
          "230 to 450 K (-46 to 350 °F), or none",
          "parts are measured on a bench");
    }
    if (at == null) {
      throw new InvalidInput("Time of a reading", "missing", "a time", "it is kept");
    }
  }

  /** By somebody, with something, now or then; nothing else known. */
  public static Taken by(String by, String instrument, Instant at) {
    return new Taken(by, instrument, "", 0, 0, 0, "", at);
  }

  /** How far the zero moved while it was read, SI. */
  public double drift() {
    return zeroAfter - zeroBefore;
  }
}
