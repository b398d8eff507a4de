package grandbore.core.dyno;

import grandbore.core.changes.Change;
import grandbore.core.combination.InvalidInput;
import java.time.Instant;
import java.util.List;
import java.util.Optional;

/**
 * One pull, as it was recorded; never changed.
 *
 * @param number by which it is told, in the order of the build's pulls
 * @param day name of the session that it belongs to
 * @param at when it began
 * @param how the brake was run
 * @param rate of a sweep, rev/min a second; 0 where it was not said
 * @param inertia of engine and brake that a sweep has to turn faster, kg m²; 0 where the torque
 *     holds none of it or it is not known
 * @param air that the engine breathed; empty where nobody said
 * @param carries the correction that its torque already has
 * @param spark before top centre as read at the pointer, rad; not a number where it was not said
 * @param changed what was changed since the pull before it, in words; empty for a repeat
 * @param fitted how the engine differed from the build as it was frozen; empty where it did not
 * @param source recorder or sheet that it came from
 * @param note what the one at the brake has to say
 */
public record Pull(
    int number,
    String day,
    Instant at,
    How how,
    double rate,
    double inertia,
    Optional<DayAir> air,
    Standard carries,
    double spark,
    String changed,
    Optional<Change> fitted,
    String source,
    String note,
    Recorded rows) {
  private static final int LONGEST = 2000;
  private static final int MOST = 100_000;

  /** How the brake was run. */
  public enum How {
    /** Held at one speed after the other. */
    STEP,
    /** Let up through the speeds. */
    SWEEP
  }

  public Pull {
    if (number < 1 || number > MOST) {
      throw new InvalidInput("Pull, number", String.valueOf(number), "from 1", "pulls are counted");
    }
    if (day.isBlank() || day.length() > 120) {
      throw new InvalidInput(
          "Pull, day", "“" + day + "”", "1 to 120 characters", "it is told by it");
    }
    if (!(rate >= 0 && rate <= 5000)) {
      throw new InvalidInput(
          "Pull, rate", String.valueOf(rate), "0 to 5,000 rpm/s", "a brake sweeps no faster");
    }
    if (!(inertia >= 0 && inertia <= 50)) {
      throw new InvalidInput(
          "Pull, inertia", String.valueOf(inertia), "0 to 50 kg·m²", "no brake has more");
    }
    if (Math.abs(spark) > 1.4) {
      throw new InvalidInput(
          "Pull, spark", "%.0f°".formatted(Math.toDegrees(spark)), "−80 to 80°", "none is further");
    }
    for (String words : List.of(changed, source, note)) {
      if (words.length() > LONGEST) {
        throw new InvalidInput(
            "Pull, words", words.length() + " characters", "up to 2,000", "a note is short");
      }
    }
    if (carries != Standard.NONE && air.isEmpty()) {
      throw new InvalidInput(
          "Pull, correction",
          carries.label() + " without the day's air",
          "air pressure, temperature and humidity beside it",
          "it can't be taken back without them");
    }
  }

  /** The air of its own channels, or what was said; empty where neither knows. */
  public Optional<DayAir> breathed() {
    var p = rows.mean(Channel.AIR_PRESSURE);
    var t = rows.mean(Channel.AIR_TEMPERATURE);
    if (p.isPresent() && t.isPresent()) {
      double said = air.map(DayAir::humidity).orElse(0.0);
      return Optional.of(new DayAir(p.get(), t.get(), rows.mean(Channel.HUMIDITY).orElse(said)));
    }
    return air;
  }

  /** Whether its torque can be told under a standard: its air is known, or it came with that. */
  public boolean isTold(Standard standard) {
    return standard == carries || breathed().isPresent();
  }

  /**
   * What its recorded torque is multiplied by to stand under a standard: the correction it carries
   * is taken back first.
   *
   * @throws InvalidInput where nobody said what air it had
   */
  public double factor(Standard wanted) {
    if (wanted == carries) {
      return 1;
    }
    var day =
        breathed()
            .orElseThrow(
                () ->
                    new InvalidInput(
                        "Pull %d, air".formatted(number),
                        "not known",
                        "pressure, temperature and humidity",
                        "torque is corrected by them"));
    // What it carries was reckoned from what stood on its sheet.
    return wanted.factor(day) / carries.factor(air.orElse(day));
  }

  /** The same under another number. */
  public Pull numbered(int now) {
    return new Pull(
        now, day, at, how, rate, inertia, air, carries, spark, changed, fitted, source, note, rows);
  }

  /** As it is told in a line. */
  public String title() {
    return "Pull " + number;
  }
}
