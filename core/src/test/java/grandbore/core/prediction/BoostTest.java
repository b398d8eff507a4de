package grandbore.core.prediction;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import grandbore.core.combination.Boost;
import grandbore.core.combination.Combination;
import grandbore.core.combination.Mixture;
import grandbore.core.combination.Nitrous;
import grandbore.core.gas.FuelKind;
import grandbore.core.units.Measure;
import java.util.List;
import org.assertj.core.data.Percentage;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Compressors, nitrous oxide and the knock they bring. */
class BoostTest extends EngineTest {
  private static final Combination PLAIN = EIGHT.with("mixture.fuel", FuelKind.RACE_116);

  private static Combination pressed(Boost.Kind kind, double psi, double cooling) {
    var c = PLAIN.with("boost.kind", kind);
    c = with(c, "boost.pressure", psi, Measure.PSI);
    c = with(c, "boost.ratedSpeed", 6500, Measure.RPM);
    return with(c, "boost.cooling", cooling, Measure.PERCENT);
  }

  /**
   * One atmosphere about doubles power, 1.8 times seen with a cooled belt-driven compressor: common
   * practice, no source.
   */
  @Test
  void oneAtmosphereAboutDoublesThePower() {
    double plain = point(PLAIN, 6500, Fidelity.FULL).power();
    double cooled = point(pressed(Boost.Kind.CENTRIFUGAL, 14.7, 70), 6500, Fidelity.FULL).power();
    double hot = point(pressed(Boost.Kind.CENTRIFUGAL, 14.7, 0), 6500, Fidelity.FULL).power();
    assertThat(cooled / plain).isBetween(1.7, 2.05);
    assertThat(hot).isLessThan(0.97 * cooled);
  }

  /** A centrifugal compressor's pressure goes with the square of its speed. */
  @Test
  void aCentrifugalCompressorsPressureGoesWithTheSquareOfItsSpeed() {
    var c = pressed(Boost.Kind.CENTRIFUGAL, 10, 0);
    var parts = new EngineParts(c, Fidelity.LIVE.mesh());
    double rated = 6500 * Math.PI / 30;
    double air = c.weather().pressure().si();
    for (double share : new double[] {0.5, 0.8, 1}) {
      var supply = new AirSupply(parts);
      supply.next(share * rated, 0.3, 0, 0.02);
      double gauge = supply.reservoir().pressure() - air;
      assertThat(gauge).isCloseTo(share * share * Measure.PSI.toSi(10), within(1.0));
      // Drive power by hand: m cp T (r^(2/7) − 1) / efficiencies.
      double ratio = (air + gauge) / air;
      double ideal = 0.3 * 1010 * c.weather().temperature().si() * (Math.pow(ratio, 1 / 3.5) - 1);
      double efficiencies = c.boost().efficiency().si() * c.boost().driveEfficiency().si();
      assertThat(supply.drivePower())
          .isCloseTo(ideal / efficiencies, Percentage.withPercentage(0.5));
    }
  }

  /**
   * Compressed air warms by the isentrope over the efficiency, and a cooler takes its share out.
   */
  @Test
  void compressedAirWarmsByTheIsentropeOverTheEfficiency() {
    double air = PLAIN.weather().temperature().si();
    for (double cooling : new double[] {0, 60}) {
      var c = pressed(Boost.Kind.CENTRIFUGAL, 14.7, cooling);
      var parts = new EngineParts(c, Fidelity.LIVE.mesh());
      var supply = new AirSupply(parts);
      double before = supply.reservoir().temperature();
      supply.next(6500 * Math.PI / 30, 0.3, 0, 0.02);
      double ratio = 1 + Measure.PSI.toSi(14.7) / c.weather().pressure().si();
      double rise =
          air * (Math.pow(ratio, 1 / 3.5) - 1) / c.boost().efficiency().si() * (1 - cooling / 100);
      assertThat(supply.reservoir().temperature() - before).isCloseTo(rise, within(0.5));
    }
  }

  /** A driven compressor's mean pressure is in the balance of the torque. */
  @Test
  void theDriveIsPaidFromTheCrank() {
    var p = point(pressed(Boost.Kind.CENTRIFUGAL, 10, 60), 6500, Fidelity.LIVE);
    assertThat(p.drive()).isBetween(0.3e5, 2.5e5);
    double displacement = PLAIN.bottomEnd().displacement();
    assertThat(p.imep() - p.pmep() - p.fmep() - p.drive())
        .isCloseTo(4 * Math.PI * p.torque() / displacement, within(1.0));
    assertThat(point(PLAIN, 6500, Fidelity.LIVE).drive()).isZero();
  }

  /** A waste-gate holds the boost where the turbine has power to spare. */
  @Test
  void aTurbochargersBoostComesWithFlowAndIsHeldByTheWasteGate() {
    var c = pressed(Boost.Kind.TURBOCHARGER, 8, 60);
    var points = curve(c, List.of(2000.0, 4000.0, 5000.0, 6000.0), Fidelity.LIVE);
    var plain = curve(PLAIN, List.of(2000.0, 4000.0, 5000.0, 6000.0), Fidelity.LIVE);
    double low = points.get(0).torque() / plain.get(0).torque();
    for (int i = 1; i < points.size(); i++) {
      double gain = points.get(i).torque() / plain.get(i).torque();
      assertThat(gain).isGreaterThan(low);
      assertThat(gain).isBetween(1.1, 1.9);
      assertThat(points.get(i).plenumPressure())
          .isLessThan(PLAIN.weather().pressure().si() + Measure.PSI.toSi(8.5));
      // The turbine's pressure in front of it is paid in gas exchange, not from the crank.
      assertThat(points.get(i).pmep()).isGreaterThan(plain.get(i).pmep() - 0.4e5);
      assertThat(points.get(i).drive()).isZero();
    }
  }

  /** A small turbine comes in early and chokes the top; a large one the other way about. */
  @Test
  void aSmallTurbineComesInEarly() {
    var c = pressed(Boost.Kind.TURBOCHARGER, 10, 60);
    var small = with(c, "boost.turbineArea", 6, Measure.SQUARE_CENTIMETRES);
    var large = with(c, "boost.turbineArea", 18, Measure.SQUARE_CENTIMETRES);
    assertThat(point(small, 3500, Fidelity.LIVE).torque())
        .isGreaterThan(1.2 * point(large, 3500, Fidelity.LIVE).torque());
    assertThat(point(small, 6500, Fidelity.LIVE).pmep())
        .isGreaterThan(point(large, 6500, Fidelity.LIVE).pmep());
  }

  /** A positive-displacement blower boosts from the bottom: torque low down rises most. */
  @ParameterizedTest
  @ValueSource(doubles = {2500, 4500})
  void aBlowerBoostsFromTheBottom(double rpm) {
    var blown = pressed(Boost.Kind.POSITIVE_DISPLACEMENT, 12, 0);
    blown = with(blown, "boost.sweptPerTurn", 4500, Measure.CUBIC_CENTIMETRES);
    var p = point(blown, rpm, Fidelity.LIVE);
    double plain = point(PLAIN, rpm, Fidelity.LIVE).torque();
    assertThat(p.torque() / plain).isBetween(1.2, 2.1);
    assertThat(p.drive()).isPositive();
    assertThat(p.plenumPressure()).isGreaterThan(1.15e5);
    // What it delivers is what it sweeps, less the share that leaks back.
    double density = blown.weather().pressure().si() / (287 * blown.weather().temperature().si());
    double swept = rpm / 60 * 4500e-6 * blown.boost().filling().si() * density;
    assertThat(p.airFlow()).isLessThan(1.1 * swept);
  }

  /**
   * Nitrous oxide: 36 % of it is oxygen, what comes with 1.57 times its weight of air, and a pound
   * of air a minute makes ten horsepower after all losses: common practice, no source. Its oxygen
   * comes without more friction, and its cooling makes room for more. Below the speed where it is
   * switched on it does nothing.
   */
  @Test
  void nitrousOxideAddsWhatItsOxygenBurns() {
    var dosed = PLAIN.with("nitrous.kind", Nitrous.Kind.FITTED);
    dosed = with(dosed, "nitrous.from", 4000, Measure.RPM);
    double flow = 8 * 0.45359237 / 60;
    var field = grandbore.core.combination.Specs.field("nitrous.flow");
    dosed =
        field.with(dosed, field.get(dosed).with(flow, grandbore.core.combination.Provenance.CARD));
    double gain =
        point(dosed, 5500, Fidelity.LIVE).power() - point(PLAIN, 5500, Fidelity.LIVE).power();
    assertThat(Measure.HORSEPOWER.fromSi(gain)).isBetween(8 * 1.57 * 10 * 0.9, 8 * 1.57 * 10 * 1.6);
    assertThat(point(dosed, 3500, Fidelity.LIVE).torque())
        .isCloseTo(point(PLAIN, 3500, Fidelity.LIVE).torque(), Percentage.withPercentage(0.2));
  }

  /** Alcohols cool the charge and bring their own oxygen: a few per cent more power. */
  @Test
  void alcoholsMakeAFewPerCentMoreOnMuchMoreFuel() {
    var gasoline = point(EIGHT, 5500, Fidelity.LIVE);
    for (var fuel : List.of(FuelKind.E85, FuelKind.METHANOL)) {
      var p = point(EIGHT.with("mixture.fuel", fuel), 5500, Fidelity.LIVE);
      assertThat(p.power() / gasoline.power()).isBetween(1.0, 1.3);
      assertThat(p.fuelPerJoule() / gasoline.fuelPerJoule()).isGreaterThan(1.25);
      assertThat(p.margins().octane()).isGreaterThan(gasoline.margins().octane());
    }
  }

  /** On poor fuel the knock limit takes timing and torque; on good fuel it takes nothing. */
  @Test
  void theKnockLimitTakesTimingOnPoorFuelOnly() {
    var squeezed = with(EIGHT, "compression.chamberVolume", 42, Measure.CUBIC_CENTIMETRES);
    var limited = squeezed.with("mixture.spark", Mixture.Spark.KNOCK_LIMITED);
    var poor = point(limited.with("mixture.fuel", FuelKind.PUMP_87), 4500, Fidelity.LIVE);
    var best = point(squeezed.with("mixture.fuel", FuelKind.PUMP_87), 4500, Fidelity.LIVE);
    assertThat(best.margins().octane()).isNegative();
    assertThat(best.margins().advance()).isNegative();
    assertThat(poor.spark()).isLessThan(best.spark() - Math.toRadians(2));
    assertThat(poor.torque()).isLessThan(best.torque());
    assertThat(poor.margins().octane()).isGreaterThan(-1.0);
    var good = point(limited.with("mixture.fuel", FuelKind.RACE_116), 4500, Fidelity.LIVE);
    var free = point(squeezed.with("mixture.fuel", FuelKind.RACE_116), 4500, Fidelity.LIVE);
    assertThat(good.spark()).isCloseTo(free.spark(), within(Math.toRadians(0.5)));
  }

  /** Compression, heat and boost all ask for more octane: common practice, no source. */
  @Test
  void compressionHeatAndBoostAskForOctane() {
    double base = point(EIGHT, 4500, Fidelity.LIVE).margins().octaneWanted();
    var squeezed = with(EIGHT, "compression.chamberVolume", 46, Measure.CUBIC_CENTIMETRES);
    var hot = with(EIGHT, "weather.temperature", 100, Measure.DEGREES_FAHRENHEIT);
    var boosted = EIGHT.with("boost.kind", Boost.Kind.TURBOCHARGER);
    for (var c : List.of(squeezed, hot, boosted)) {
      assertThat(point(c, 4500, Fidelity.LIVE).margins().octaneWanted()).isGreaterThan(base);
    }
  }

  /** Where even the latest spark knocks, the margin says so; nothing is thrown. */
  @Test
  void whatKnocksAtTheLatestSparkIsTold() {
    var c =
        with(
                pressed(Boost.Kind.POSITIVE_DISPLACEMENT, 49, 0),
                "compression.chamberVolume",
                21,
                Measure.CUBIC_CENTIMETRES)
            .with("mixture.fuel", FuelKind.PUMP_87)
            .with("mixture.spark", Mixture.Spark.FIXED);
    c = with(c, "boost.efficiency", 45, Measure.PERCENT);
    c = with(c, "boost.sweptPerTurn", 15, Measure.LITRES);
    c = with(c, "mixture.advance", -40, Measure.DEGREES);
    var late = point(c, 900, Fidelity.LIVE);
    assertThat(late.margins().octane()).isNegative();
    assertThat(late.margins().advance()).isBetween(-Math.toRadians(20), 0.0);
  }
}
