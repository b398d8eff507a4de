package grandbore.core.studies;

import grandbore.core.combination.InvalidInput;
import grandbore.core.prediction.CurvePoint;
import grandbore.core.prediction.WantedBand;
import grandbore.core.units.Quantity;
import grandbore.core.units.UnitSystem;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/**
 * What has to hold of whatever a search finds.
 *
 * @param money at most, in the shop's currency; infinite for no bound
 * @param octane of the fuel over what is wanted, at least; −infinite for no bound
 * @param pistonSpeed mean, at most, m/s; infinite for no bound
 * @param pistonToValve at the closest, at least, m; −infinite for no bound
 * @param vacuum at idle, at least, Pa; none for no bound
 * @param follow whether the valves must follow their lobes over the band
 */
public record SearchBounds(
    double money,
    double octane,
    double pistonSpeed,
    double pistonToValve,
    double vacuum,
    boolean follow) {
  private static final double MOST_VACUUM = 100e3;

  public static final SearchBounds NONE =
      new SearchBounds(
          Double.POSITIVE_INFINITY,
          Double.NEGATIVE_INFINITY,
          Double.POSITIVE_INFINITY,
          Double.NEGATIVE_INFINITY,
          0,
          true);

  /** One that does not hold. */
  record Broken(double by, String words) {}

  public SearchBounds {
    if (!(money >= 0)) {
      throw new InvalidInput("Budget", String.valueOf(money), "0 or more", "it is what is spent");
    }
    if (!(vacuum >= 0 && vacuum < MOST_VACUUM)) {
      throw new InvalidInput(
          "Vacuum at idle",
          Quantity.PRESSURE.show(vacuum, UnitSystem.METRIC),
          "0 to 100 kPa",
          "it is measured below the air's pressure");
    }
    if (!(pistonSpeed > 0)) {
      throw new InvalidInput(
          "Mean piston speed", String.valueOf(pistonSpeed), "more than 0 m/s", "pistons move");
    }
  }

  /** Whether an engine's idle has to be solved to tell whether it holds. */
  boolean isOfIdle() {
    return vacuum > 0;
  }

  /** Those that do not hold, each by its share. */
  List<Broken> broken(Rung rung, WantedBand band, double spent) {
    var all = new ArrayList<Broken>();
    if (spent > money) {
      all.add(
          new Broken(
              spent / Math.max(1, money) - 1,
              String.format(Locale.US, "costs %.0f of %.0f", spent, money)));
    }
    if (pistonToValve > Double.NEGATIVE_INFINITY) {
      double has = rung.pistonToValve();
      if (has < pistonToValve) {
        all.add(
            new Broken(
                (pistonToValve - has) / 1e-3,
                "piston to valve " + Quantity.CLEARANCE.show(has, UnitSystem.METRIC)));
      }
    }
    if (isOfIdle() && !(rung.vacuum() >= vacuum)) {
      all.add(
          rung.idle().isEmpty()
              ? new Broken(1, "no throttle holds an idle")
              : new Broken(
                  1 - rung.vacuum() / vacuum,
                  Quantity.PRESSURE.show(rung.vacuum(), UnitSystem.METRIC) + " of vacuum at idle"));
    }
    for (var p : inBand(rung, band)) {
      point(p, all);
    }
    return all;
  }

  private void point(CurvePoint p, List<Broken> all) {
    var efforts = p.efforts();
    if (follow && !efforts.valvesFollow()) {
      all.add(new Broken(0.1, String.format(Locale.US, "valves float at %,.0f rpm", p.rpm())));
    }
    if (p.margins().octane() < octane) {
      all.add(
          new Broken(
              0.1 * (octane - p.margins().octane()),
              String.format(
                  Locale.US, "%.1f octane to spare at %,.0f rpm", p.margins().octane(), p.rpm())));
    }
    if (efforts.meanPistonSpeed() > pistonSpeed) {
      all.add(
          new Broken(
              efforts.meanPistonSpeed() / pistonSpeed - 1,
              String.format(
                  Locale.US,
                  "%.1f m/s of piston at %,.0f rpm",
                  efforts.meanPistonSpeed(),
                  p.rpm())));
    }
  }

  private static List<CurvePoint> inBand(Rung rung, WantedBand band) {
    return rung.curve().stream()
        .flatMap(c -> c.settled().stream())
        .filter(p -> p.rpm() >= band.from() - 1 && p.rpm() <= band.to() + 1)
        .toList();
  }
}
