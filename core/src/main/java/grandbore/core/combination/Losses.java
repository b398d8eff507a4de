package grandbore.core.combination;

import static grandbore.core.units.Quantity.CLEARANCE;
import static grandbore.core.units.Quantity.PRESSURE;
import static grandbore.core.units.Quantity.SHARE;
import static grandbore.core.units.Quantity.TEMPERATURE;
import static grandbore.core.units.Quantity.VISCOSITY;

/**
 * What the engine loses: oil, rings, windage, accessories, gas past the rings.
 *
 * @param oil kinematic viscosity at 100 °C
 * @param ringTension over that of ordinary rings
 * @param topGap end gap of the top ring, warm
 * @param vacuum in the crankcase, below the air's pressure
 */
public record Losses(
    FrictionModel friction,
    HeatModel heat,
    @Spec(
            label = "Oil at 100 °C",
            quantity = VISCOSITY,
            min = 2e-6,
            max = 30e-6,
            usual = 10.5e-6,
            why = "engine oils lie inside that")
        Given oil,
    @Spec(
            label = "Oil temperature",
            quantity = TEMPERATURE,
            min = 293,
            max = 433,
            usual = 368,
            why = "it is the oil in the gallery, warm")
        Given oilTemperature,
    @Spec(
            label = "Ring tension",
            quantity = SHARE,
            min = 0.2,
            max = 2,
            usual = 1,
            why = "it is a share of an ordinary ring pack's")
        Given ringTension,
    @Spec(
            label = "Top ring gap, warm",
            quantity = CLEARANCE,
            min = 0,
            max = 0.003,
            usual = 0.00025,
            why = "the gap closes as the ring warms")
        Given topGap,
    @Spec(
            label = "Crankcase vacuum",
            quantity = PRESSURE,
            min = 0,
            max = 80e3,
            usual = 0,
            why = "it is measured below the air's pressure")
        Given vacuum,
    Windage windage,
    Accessories accessories,
    Counterweights counterweights) {
  public Losses {
    Specs.check(Losses.class, "losses", oil, oilTemperature, ringTension, topGap, vacuum);
    if (friction == null
        || heat == null
        || windage == null
        || accessories == null
        || counterweights == null) {
      throw new InvalidInput(
          "Losses (losses.friction, losses.heat, losses.windage, losses.accessories,"
              + " losses.counterweights)",
          "missing",
          "one of each",
          "they are needed");
    }
  }

  /** How friction is reckoned. */
  public enum FrictionModel {
    COMPONENTS,
    WHOLE_ENGINE
  }

  /** How heat to the walls is reckoned. */
  public enum HeatModel {
    WOSCHNI,
    HOHENBERG
  }

  /** What keeps the oil off the crank. */
  public enum Windage {
    WET_SUMP,
    TRAY,
    TRAY_AND_SCRAPER,
    DRY_SUMP
  }

  /** Edges that the counterweights meet the oil with. */
  public enum Counterweights {
    PLAIN,
    SHAPED
  }

  /** What the crank drives besides the wheels. */
  public enum Accessories {
    OIL_AND_WATER_PUMP,
    OIL_PUMP_ONLY,
    ALL
  }
}
