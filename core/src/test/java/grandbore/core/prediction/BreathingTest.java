package grandbore.core.prediction;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import grandbore.core.combination.Combination;
import grandbore.core.combination.Exhaust;
import grandbore.core.combination.Intake;
import grandbore.core.combination.Mixture;
import grandbore.core.combination.Provenance;
import grandbore.core.demo.DynoCases;
import grandbore.core.gas.FuelKind;
import grandbore.core.units.Measure;
import java.util.ArrayList;
import java.util.List;
import org.assertj.core.data.Percentage;
import org.junit.jupiter.api.Test;

/** What manifolds, weather, fuel and spark do; signs and sizes are common practice, no source. */
class BreathingTest extends EngineTest {
  private static final List<Double> SPEEDS = List.of(3500.0, 5000.0, 6500.0);

  private static Combination piped(Combination c, Exhaust.Kind kind, Exhaust.Outlet outlet) {
    return c.with("exhaust.kind", kind).with("exhaust.outlet", outlet);
  }

  private static double power(Combination c) {
    return curve(c, List.of(6500.0), Fidelity.LIVE).getFirst().power();
  }

  /** Long-tube headers beat cast manifolds everywhere, at low speed too. */
  @Test
  void headersBeatCastManifoldsOverTheWholeCurve() {
    var cases = DynoCases.all();
    var headers = curve(cases.get(2).combination(), List.of(2500.0, 4500.0, 5500.0), Fidelity.FULL);
    var cast = curve(cases.get(3).combination(), List.of(2500.0, 4500.0, 5500.0), Fidelity.FULL);
    for (int i = 0; i < headers.size(); i++) {
      assertThat(headers.get(i).torque()).isGreaterThan(cast.get(i).torque());
      assertThat(headers.get(i).residual()).isLessThan(cast.get(i).residual());
    }
  }

  /** A larger cam gives most at the top and nothing much below 3,000. */
  @Test
  void aLargerCamGivesAtTheTop() {
    var small = curve(DynoCases.all().get(2).combination(), List.of(2500.0, 6300.0), Fidelity.LIVE);
    var large = curve(DynoCases.all().get(4).combination(), List.of(2500.0, 6300.0), Fidelity.LIVE);
    double low = large.get(0).power() / small.get(0).power();
    double high = large.get(1).power() / small.get(1).power();
    assertThat(high).isGreaterThan(1.06);
    assertThat(low).isBetween(0.9, 1.03);
  }

  @Test
  void silencersCostPowerAndMoreSoWhereTheyPassLess() {
    var headers = Exhaust.Kind.HEADERS;
    double open = power(piped(EIGHT, headers, Exhaust.Outlet.OPEN));
    var system = piped(EIGHT, headers, Exhaust.Outlet.SYSTEM);
    double easy = power(with(system, "exhaust.systemFlow", 900, Measure.CUBIC_FEET_PER_MINUTE));
    double tight = power(with(system, "exhaust.systemFlow", 250, Measure.CUBIC_FEET_PER_MINUTE));
    assertThat(easy).isLessThan(1.02 * open);
    assertThat(tight).isLessThan(0.97 * easy);
    var point =
        curve(
                with(system, "exhaust.systemFlow", 250, Measure.CUBIC_FEET_PER_MINUTE),
                List.of(6500.0),
                Fidelity.LIVE)
            .getFirst();
    assertThat(point.pmep())
        .isGreaterThan(curve(EIGHT, List.of(6500.0), Fidelity.LIVE).getFirst().pmep());
  }

  /** A throttle each for a manifold that was the restriction gains much: the demo's four. */
  @Test
  void oneSmallThrottleForAllStranglesAFour() {
    var flow = FOUR.intake().throttleFlow();
    var shared =
        FOUR.with("intake.manifold", Intake.Manifold.PLENUM)
            .with("intake.throttleFlow", flow.with(0.5 * flow.si(), Provenance.CARD));
    assertThat(power(shared)).isLessThan(0.87 * power(FOUR));
    assertThat(curve(shared, List.of(6500.0), Fidelity.LIVE).getFirst().plenumPressure())
        .isLessThan(0.93 * FOUR.weather().pressure().si());
  }

  /** Power goes nearly with the air's density: thin air and hot air cost it. */
  @Test
  void thinAndHotAirCostPower() {
    double sea = power(EIGHT);
    double hill = power(with(EIGHT, "weather.pressure", 25.0, Measure.INCHES_OF_MERCURY));
    assertThat(hill / sea).isBetween(0.76, 25.0 / 29.92 + 0.01);
    double hot = power(with(EIGHT, "weather.temperature", 110, Measure.DEGREES_FAHRENHEIT));
    // Between the square root and the whole of the density ratio.
    double ratio = Measure.DEGREES_FAHRENHEIT.toSi(60) / Measure.DEGREES_FAHRENHEIT.toSi(110);
    assertThat(hot / sea).isBetween(ratio - 0.02, Math.sqrt(ratio) + 0.01);
    double damp =
        power(
            with(
                with(EIGHT, "weather.temperature", 90, Measure.DEGREES_FAHRENHEIT),
                "weather.humidity",
                90,
                Measure.PERCENT));
    double dry = power(with(EIGHT, "weather.temperature", 90, Measure.DEGREES_FAHRENHEIT));
    assertThat(damp / dry).isBetween(0.93, 0.99);
  }

  /** Rich of stoichiometric gives most power, and it falls to both sides. */
  @Test
  void bestPowerLiesRichOfStoichiometric() {
    double best = power(with(EIGHT, "mixture.lambda", 0.87, Measure.NONE));
    assertThat(power(with(EIGHT, "mixture.lambda", 1.1, Measure.NONE))).isLessThan(0.95 * best);
    assertThat(power(with(EIGHT, "mixture.lambda", 0.68, Measure.NONE))).isLessThan(0.99 * best);
    double methanol = power(EIGHT.with("mixture.fuel", FuelKind.METHANOL));
    assertThat(methanol / best).isBetween(1.05, 1.3);
  }

  /** Timing steps give falling returns: 30, 32, 34, 35° gave 538, 546, 552, 555 hp. */
  @Test
  void bestTorqueSparkIsTheTopOfAFlatHill() {
    var best = curve(EIGHT, List.of(6000.0), Fidelity.LIVE).getFirst();
    double advance = Math.toDegrees(best.spark());
    var torques = new ArrayList<Double>();
    for (double d : new double[] {-12, -6, -2, 0, 2, 6}) {
      var fixed =
          with(EIGHT, "mixture.advance", advance + d, Measure.DEGREES)
              .with("mixture.spark", Mixture.Spark.FIXED);
      var p = curve(fixed, List.of(6000.0), Fidelity.LIVE).getFirst();
      assertThat(Math.toDegrees(p.spark())).isCloseTo(advance + d, within(1e-6));
      torques.add(p.torque() / best.torque());
    }
    assertThat(torques.get(0)).isBetween(0.90, 0.992);
    assertThat(torques.get(1)).isBetween(0.97, 0.999);
    assertThat(torques.get(2)).isCloseTo(1, within(0.006));
    assertThat(torques.get(3)).isCloseTo(1, within(0.003));
    assertThat(torques.get(4)).isCloseTo(1, within(0.006));
    assertThat(torques.get(5)).isLessThan(1.001);
    assertThat(torques.get(0)).isLessThan(torques.get(1));
  }

  /** Halving every cell moves the curve by less than one per cent. */
  @Test
  void theMeshIsFineEnough() {
    var engine = BuiltEngine.asSpecified(FOUR);
    var mesh = Fidelity.FULL.mesh();
    var finer = new Mesh(mesh.intake() / 2, mesh.exhaust() / 2, mesh.step());
    var coarse = PREDICTOR.predict(engine, SPEEDS, Fidelity.FULL).points();
    var fine =
        PREDICTOR.predict(engine, SPEEDS, Fidelity.FULL, finer, p -> {}, () -> false).points();
    for (int i = 0; i < SPEEDS.size(); i++) {
      assertThat(coarse.get(i).torque())
          .isCloseTo(fine.get(i).torque(), Percentage.withPercentage(1));
    }
  }

  /** Longer cells and steps, where the engine turns fast, do not show in the window's curve. */
  @Test
  void longCellsAndStepsDoNotShow() {
    var speeds = List.of(3500.0, 5000.0, 7000.0);
    var quick = Fidelity.LIVE.mesh();
    var steady = new Mesh(quick.intake(), quick.exhaust(), Math.toRadians(1));
    assertThat(quick.at(3000).intake()).isEqualTo(quick.intake());
    assertThat(quick.at(6750).exhaust()).isCloseTo(1.5 * quick.exhaust(), within(1e-9));
    assertThat(steady.at(6750)).isEqualTo(steady);
    for (var c : List.of(FOUR, EIGHT)) {
      var engine = BuiltEngine.asSpecified(c);
      var drawn = curve(c, speeds, Fidelity.LIVE);
      var fine =
          PREDICTOR.predict(engine, speeds, Fidelity.LIVE, steady, p -> {}, () -> false).points();
      for (int i = 0; i < speeds.size(); i++) {
        assertThat(drawn.get(i).torque())
            .isCloseTo(fine.get(i).torque(), Percentage.withPercentage(0.6));
        assertThat(drawn.get(i).cellSteps() * 1.0 / drawn.get(i).cycles())
            .isLessThan(0.6 * fine.get(i).cellSteps() / fine.get(i).cycles());
      }
    }
  }

  /** The same engine, whoever its neighbour in the curve was. */
  @Test
  void aPointDoesNotDependOnWhereTheRunCameFrom() {
    var alone = curve(EIGHT, List.of(5000.0), Fidelity.LIVE).getFirst();
    try (var single = new Predictor(1)) {
      var after =
          single
              .predict(
                  BuiltEngine.asSpecified(EIGHT), List.of(3500.0, 4500.0, 5000.0), Fidelity.LIVE)
              .points()
              .getLast();
      assertThat(after.torque()).isCloseTo(alone.torque(), Percentage.withPercentage(0.5));
    }
  }
}
