package grandbore.core.working;

import static grandbore.core.Said.check;
import static grandbore.core.Said.with;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import grandbore.core.build.Build;
import grandbore.core.changes.Change;
import grandbore.core.changes.Cost;
import grandbore.core.changes.Plan;
import grandbore.core.checks.Check.Verdict;
import grandbore.core.clearances.Readings;
import grandbore.core.combination.Brief;
import grandbore.core.combination.Compression;
import grandbore.core.compression.EveningCost;
import grandbore.core.compression.FuelStand;
import grandbore.core.compression.RatioSolver;
import grandbore.core.demo.DemoBuilds;
import grandbore.core.gas.FuelKind;
import grandbore.core.prediction.BandScore;
import grandbore.core.prediction.BuiltEngine;
import grandbore.core.prediction.Curve;
import grandbore.core.prediction.Fidelity;
import grandbore.core.prediction.Predictor;
import grandbore.core.prediction.SlowRunning;
import grandbore.core.prediction.WantedBand;
import grandbore.core.units.Measure;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;

/** The predicted engine against its brief, its fuel and its budget. */
class BriefTest {
  private static final Build EIGHT = DemoBuilds.hillClimbEight();
  private static final Predictor PREDICTOR = new Predictor(2);
  private static Curve curve;

  @BeforeAll
  static void predict() {
    curve =
        PREDICTOR.predict(
            EIGHT.asMeasured(new Readings(List.of())),
            Predictor.speeds(4500, 7500, 500),
            Fidelity.LIVE);
  }

  @AfterAll
  static void close() {
    PREDICTOR.close();
  }

  private static Build eight(String path, double value, Measure unit) {
    return EIGHT.with(with(EIGHT.combination(), path, value, unit));
  }

  /** The average over a span is the area under the straight lines between the points. */
  @Test
  void theBandsAverageIsTheAreaUnderTheCurve() {
    double sum = 0;
    var points = curve.points();
    for (int i = 1; i < points.size(); i++) {
      var a = points.get(i - 1);
      var b = points.get(i);
      // Torque is straight between points, power is not: Simpson's rule is exact for it.
      double middle = 0.5 * (a.torque() + b.torque()) * 0.5 * (a.rpm() + b.rpm()) * Math.PI / 30;
      sum += (a.power() + 4 * middle + b.power()) / 6 * (b.rpm() - a.rpm());
    }
    var score = BandScore.of(curve, 4500, 7500).orElseThrow();
    assertThat(score.power()).isCloseTo(sum / 3000, within(2e-4 * score.power()));
    assertThat(BandScore.of(curve, 3000, 7500)).isEmpty();
    assertThat(BandScore.of(curve, 4500, 9000)).isEmpty();
    var narrow = BandScore.of(curve, 4999, 5001).orElseThrow();
    assertThat(narrow.torque()).isCloseTo(points.get(1).torque(), within(0.5));
  }

  @Test
  void powerAndVacuumAreHeldAgainstWhatIsWanted() {
    double best = curve.peakPower().orElseThrow().power();
    for (double share : new double[] {0.9, 1.02, 1.2}) {
      var build = eight("brief.power", best * share, Measure.WATTS);
      assertThat(check(BriefChecks.of(build, curve, Optional.empty()), "brief_power").verdict())
          .isEqualTo(share < 1 ? Verdict.GOOD : share < 1.03 ? Verdict.CLOSE : Verdict.BAD);
    }
    var idle = new SlowRunning.Idle(1000, 0.01, 30e3, 0.2, true);
    for (double share : new double[] {0.9, 1.1, 1.5}) {
      var build = eight("brief.vacuum", 30e3 * share, Measure.PASCALS);
      var verdict =
          check(BriefChecks.of(build, curve, Optional.of(idle)), "brief_vacuum").verdict();
      assertThat(verdict)
          .isEqualTo(share < 1 ? Verdict.GOOD : share < 1.15 ? Verdict.CLOSE : Verdict.BAD);
    }
    var wide = eight("brief.bandFrom", 3000, Measure.RPM);
    assertThat(check(BriefChecks.of(wide, curve, Optional.empty()), "brief_band").verdict())
        .isEqualTo(Verdict.UNKNOWN);
  }

  /** Money of a ladder against the budget, octane of the fuel against the worst speed's want. */
  @Test
  void moneyAndOctaneAreHeldAgainstTheBrief() {
    var build = eight("brief.budget", 1000, Measure.NONE);
    assertThat(BriefChecks.budget(build, Plan.NONE)).as("no changes, no sum").isEmpty();
    for (double money : new double[] {900, 970, 1001}) {
      var longer =
          Change.between(
                  "Bored",
                  EIGHT.combination(),
                  with(EIGHT.combination(), "bottomEnd.bore", 4.1, Measure.INCHES))
              .costing(new Cost(money - 100, 100, 3));
      var found = BriefChecks.budget(build, Plan.NONE.with(List.of(longer)));
      assertThat(check(found, "brief_budget").verdict())
          .isEqualTo(money > 1000 ? Verdict.BAD : money > 950 ? Verdict.CLOSE : Verdict.GOOD);
      assertThat(found.getFirst().margin()).isCloseTo(1 - money / 1000, within(1e-9));
    }
    var engine = BuiltEngine.asSpecified(EIGHT.combination());
    var curve = PREDICTOR.predict(engine, List.of(3000.0, 5000.0, 6000.0), Fidelity.LIVE);
    var says = check(BriefChecks.octane(EIGHT, curve), "brief_octane").says();
    var band = WantedBand.of(EIGHT.combination().brief());
    double worst =
        curve.points().stream()
            .filter(p -> p.rpm() >= band.from() && p.rpm() <= band.to())
            .mapToDouble(p -> p.margins().octane())
            .min()
            .orElseThrow();
    assertThat(says).startsWith("%.1f ".formatted(Math.abs(worst)));
  }

  /**
   * The two schools disagree where valves close late; simulated margin falls as the ratio rises.
   */
  @Test
  void theFuelsStandIsJudgedByBothSchoolsAndBySimulation() {
    var c = EIGHT.combination().with("mixture.fuel", FuelKind.PUMP_93);
    var squeezed = with(c, "compression.chamberVolume", 50, Measure.CUBIC_CENTIMETRES);
    double[] margins = new double[2];
    int k = 0;
    for (var each : List.of(c, squeezed)) {
      var engine = BuiltEngine.asSpecified(each);
      var run = PREDICTOR.predict(engine, List.of(5000.0, 6000.0), Fidelity.LIVE);
      var checks = FuelStand.of(EIGHT.with(each), engine, run);
      assertThat(checks).hasSize(3);
      margins[k++] =
          run.points().stream().mapToDouble(p -> p.margins().octane()).min().orElseThrow();
      assertThat(check(checks, "knock_margin").says()).contains("octane numbers at");
    }
    assertThat(margins[1]).isLessThan(margins[0] - 2);
    var engine = BuiltEngine.asSpecified(squeezed);
    var run = PREDICTOR.predict(engine, List.of(6000.0), Fidelity.LIVE);
    var iron = squeezed.with("compression.head", Compression.Head.IRON);
    assertThat(
            check(
                    FuelStand.of(EIGHT.with(iron), BuiltEngine.asSpecified(iron), run),
                    "school_static")
                .says())
        .contains("it allows 9.62");
    assertThat(FuelStand.effectiveRatio(squeezed)).isLessThan(squeezed.staticRatio());
    double late = Math.toDegrees(squeezed.cam().intakeCentreline().si()) + 6;
    var retarded = with(squeezed, "cam.intakeCentreline", late, Measure.DEGREES);
    assertThat(FuelStand.effectiveRatio(retarded)).isLessThan(FuelStand.effectiveRatio(squeezed));
  }

  @Test
  void eveningIsPricedAndTheBriefIsHeardFirst() {
    var volumes = new ArrayList<>(Collections.nCopies(8, 72e-6));
    for (int n = 1; n < 8; n += 2) {
      volumes.set(n, 73.5e-6);
    }
    var engine = new BuiltEngine(EIGHT.combination(), volumes);
    var all = EveningCost.of(EIGHT, engine);
    assertThat(check(all, "banks_apart").verdict()).isEqualTo(Verdict.CLOSE);
    assertThat(check(all, "mill_cost").says()).contains("85", "9500");
    var kept = EIGHT.combination().with("brief.kept", List.of(Brief.Part.HEADS));
    var keeping = EveningCost.of(EIGHT.with(kept), new BuiltEngine(kept, volumes));
    assertThat(check(keeping, "mill_cost").verdict()).isEqualTo(Verdict.BAD);
    assertThat(check(keeping, "deck_cost").verdict()).isEqualTo(Verdict.GOOD);
    assertThat(RatioSolver.Lever.CHAMBER.isFree(kept)).isFalse();
    assertThat(RatioSolver.Lever.GASKET.isFree(kept)).isTrue();
    var poor = eight("brief.budget", 50, Measure.NONE);
    var dear = EveningCost.of(poor, new BuiltEngine(poor.combination(), volumes));
    assertThat(check(dear, "mill_cost").verdict()).isEqualTo(Verdict.BAD);
    var alike = EveningCost.of(EIGHT, BuiltEngine.asSpecified(EIGHT.combination()));
    assertThat(check(alike, "banks_apart").verdict()).isEqualTo(Verdict.GOOD);
  }

  /**
   * Liquids' densities and energies against handbook values, from memory: gasoline 32 MJ/l, ethanol
   * 21 MJ/l, methanol 16 MJ/l.
   */
  @Test
  void energyInALitreIsTheHandbooks() {
    assertThat(energy(FuelKind.PUMP_93)).isCloseTo(32, within(1.5));
    assertThat(energy(FuelKind.ETHANOL)).isCloseTo(21.2, within(1.5));
    assertThat(energy(FuelKind.METHANOL)).isCloseTo(15.8, within(1.5));
    assertThat(FuelKind.E85.density())
        .isBetween(FuelKind.PUMP_93.density(), FuelKind.ETHANOL.density());
  }

  private static double energy(FuelKind fuel) {
    return fuel.lowerHeatingValue() * fuel.density() / 1e9;
  }
}
