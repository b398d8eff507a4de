package grandbore.core.studies;

import grandbore.core.prediction.CurvePoint;
import grandbore.core.prediction.WantedBand;
import grandbore.core.units.Quantity;
import grandbore.core.units.UnitSystem;
import java.util.Locale;

/** What is looked for; of each, more is better. */
public enum Goal {
  /** Average power over the band, W. */
  BAND_POWER("average power over the band"),
  /** Average torque over the band, N m. */
  BAND_TORQUE("average torque over the band"),
  /** The most power of any speed solved, W. */
  PEAK_POWER("most power"),
  /** The least torque in the band, N m. */
  LEAST_TORQUE("least torque in the band"),
  /** Octane of the fuel over what is wanted, where that is least. */
  OCTANE("octane to spare"),
  /** The closest that either valve comes to the piston, m. */
  PISTON_TO_VALVE("room from piston to valve"),
  /** In the manifold at the idle speed of the brief, below the air's pressure, Pa. */
  IDLE_VACUUM("vacuum at idle"),
  /** Money not spent, in the shop's currency. */
  THRIFT("least money");

  private final String label;

  Goal(String label) {
    this.label = label;
  }

  public String label() {
    return label;
  }

  /** A value of it with its unit; a dash where there is none, money as what is spent. */
  public String show(double si, UnitSystem units) {
    if (Double.isNaN(si)) {
      return "–";
    }
    return switch (this) {
      case BAND_POWER, PEAK_POWER -> tenth(Quantity.POWER, si, units);
      case BAND_TORQUE, LEAST_TORQUE -> tenth(Quantity.TORQUE, si, units);
      case OCTANE -> String.format(Locale.US, "%+.1f octane", si);
      case PISTON_TO_VALVE -> Quantity.CLEARANCE.show(si, units);
      case IDLE_VACUUM -> Quantity.PRESSURE.show(si, units);
      case THRIFT -> String.format(Locale.US, "%,.0f spent", 0.0 - si);
    };
  }

  private static String tenth(Quantity quantity, double si, UnitSystem units) {
    var unit = quantity.unit(units);
    return String.format(Locale.US, "%.1f %s", unit.fromSi(si), unit.symbol());
  }

  /** Whether an engine's idle has to be solved for it. */
  public boolean isOfIdle() {
    return this == IDLE_VACUUM;
  }

  /**
   * What an engine comes to in it; not a number where its curve does not tell.
   *
   * @param money that its changes cost
   */
  public double of(Rung rung, WantedBand band, double money) {
    return switch (this) {
      case BAND_POWER -> rung.power();
      case BAND_TORQUE -> rung.torque();
      case PEAK_POWER -> rung.figures().map(f -> f.power().power()).orElse(Double.NaN);
      case LEAST_TORQUE ->
          rung.figures().flatMap(CurveFigures::least).map(l -> l.torque()).orElse(Double.NaN);
      case OCTANE ->
          rung.curve().stream()
              .flatMap(c -> c.settled().stream())
              .filter(p -> p.rpm() >= band.from() && p.rpm() <= band.to())
              .mapToDouble(Goal::octane)
              .min()
              .orElse(Double.NaN);
      case PISTON_TO_VALVE -> rung.pistonToValve();
      case IDLE_VACUUM -> rung.vacuum();
      case THRIFT -> -money;
    };
  }

  private static double octane(CurvePoint point) {
    return point.margins().octane();
  }
}
