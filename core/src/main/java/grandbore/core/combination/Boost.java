package grandbore.core.combination;

import static grandbore.core.units.Quantity.AREA;
import static grandbore.core.units.Quantity.PRESSURE;
import static grandbore.core.units.Quantity.ROTATION;
import static grandbore.core.units.Quantity.SHARE;
import static grandbore.core.units.Quantity.VOLUME;

/**
 * What presses the air in, if anything does.
 *
 * @param pressure above the air's: where the waste-gate or the relief valve opens; for a
 *     centrifugal compressor what it makes at its rated speed
 * @param ratedSpeed crank speed at which a centrifugal compressor makes that pressure
 * @param sweptPerTurn what a positive-displacement blower moves in one turn of the crank
 * @param filling share of it that it really moves
 * @param cooling share of the compressor's heat that an intercooler takes out; none without one
 * @param turbineArea effective, of the turbine on one bank
 * @param map of a turbocharger's or centrifugal compressor, where there is one; its efficiency then
 *     counts
 */
public record Boost(
    Kind kind,
    @Spec(
            label = "Boost",
            quantity = PRESSURE,
            min = 5e3,
            max = 350e3,
            usual = 60e3,
            why = "it is the pressure above the air's")
        Given pressure,
    @Spec(
            label = "Rated crank speed",
            quantity = ROTATION,
            min = 150,
            max = 1600,
            usual = 680,
            why = "it is where the compressor makes its boost")
        Given ratedSpeed,
    @Spec(
            label = "Blower volume a crank turn",
            quantity = VOLUME,
            min = 200e-6,
            max = 20e-3,
            usual = 4.0e-3,
            why = "it is the blower's size times its drive ratio")
        Given sweptPerTurn,
    @Spec(
            label = "Blower volumetric efficiency",
            quantity = SHARE,
            min = 0.4,
            max = 1,
            usual = 0.85,
            why = "rotors leak")
        Given filling,
    @Spec(
            label = "Compressor efficiency",
            quantity = SHARE,
            min = 0.3,
            max = 0.9,
            usual = 0.68,
            why = "it is the adiabatic efficiency")
        Given efficiency,
    @Spec(
            label = "Intercooler effectiveness",
            quantity = SHARE,
            min = 0,
            max = 0.98,
            usual = 0,
            why = "it is the share of the compressor's heat taken out; none without one")
        Given cooling,
    @Spec(
            label = "Intercooler pressure loss",
            quantity = PRESSURE,
            min = 0,
            max = 40e3,
            usual = 5e3,
            why = "it is lost between compressor and manifold")
        Given coolerLoss,
    @Spec(
            label = "Drive or shaft efficiency",
            quantity = SHARE,
            min = 0.5,
            max = 1,
            usual = 0.95,
            why = "belts, gears and bearings take some")
        Given driveEfficiency,
    @Spec(
            label = "Turbine effective area",
            quantity = AREA,
            min = 1e-4,
            max = 60e-4,
            usual = 9e-4,
            why = "it is what the turbine passes as a nozzle")
        Given turbineArea,
    @Spec(
            label = "Turbine efficiency",
            quantity = SHARE,
            min = 0.3,
            max = 0.85,
            usual = 0.65,
            why = "it is the adiabatic efficiency")
        Given turbineEfficiency,
    CompressorMap map) {
  public Boost {
    Specs.check(
        Boost.class,
        "boost",
        pressure,
        ratedSpeed,
        sweptPerTurn,
        filling,
        efficiency,
        cooling,
        coolerLoss,
        driveEfficiency,
        turbineArea,
        turbineEfficiency);
    if (kind == null || map == null) {
      throw new InvalidInput(
          "Boost (boost.kind, boost.map)", "missing", "a kind and a map or none", "it is needed");
    }
  }

  /** Whether anything presses the air in. */
  public boolean isFitted() {
    return kind != Kind.NONE;
  }

  /** Whether it has a wheel, whose map counts. */
  public boolean hasWheel() {
    return kind == Kind.TURBOCHARGER || kind == Kind.CENTRIFUGAL;
  }

  /** Pressure lost in the intercooler, Pa; none without one. */
  public double lostCooling() {
    return cooling.si() > 0 ? coolerLoss.si() : 0;
  }

  /** What drives the compressor and how it moves the air. */
  public enum Kind {
    NONE,
    TURBOCHARGER,
    CENTRIFUGAL,
    POSITIVE_DISPLACEMENT
  }
}
