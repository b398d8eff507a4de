package grandbore.core.mechanics;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import grandbore.core.build.Build;
import grandbore.core.checks.Check;
import grandbore.core.clearances.Readings;
import grandbore.core.combination.Arrangement;
import grandbore.core.combination.Combination;
import grandbore.core.combination.Losses;
import grandbore.core.combination.Provenance;
import grandbore.core.compression.DonorCheck;
import grandbore.core.compression.Evening;
import grandbore.core.compression.EveningCost;
import grandbore.core.compression.Squish;
import grandbore.core.demo.DemoBuilds;
import grandbore.core.geometry.SliderCrank;
import grandbore.core.prediction.BuiltEngine;
import grandbore.core.prediction.Fidelity;
import grandbore.core.prediction.Predictor;
import grandbore.core.prediction.RandomEngines;
import grandbore.core.topend.CardReading;
import grandbore.core.topend.Degreeing;
import grandbore.core.topend.FlowVerdict;
import grandbore.core.topend.ValveGear;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** Sensible engines and silly ones: what has to hold for all of them. */
class AnyEngineTest {
  private static final Build EIGHT = DemoBuilds.hillClimbEight();
  private static final Readings NONE = new Readings(List.of());

  private static List<Check> checks(Build build) {
    var all = new ArrayList<Check>();
    all.addAll(PartsFit.of(build));
    all.addAll(Overspeed.of(build));
    all.addAll(DonorCheck.of(build, NONE));
    all.addAll(EveningCost.of(build, BuiltEngine.asSpecified(build.combination())));
    all.addAll(ValveGear.pistonToValve(build));
    all.addAll(ValveGear.rockerAndLobes(build));
    all.addAll(FlowVerdict.of(build));
    all.addAll(Degreeing.of(build));
    return all;
  }

  /** Every check has a verdict, says something, and can show how it came to it. */
  @Test
  void everyCheckSpeaksAndShowsItsWorking() {
    var engines = new RandomEngines(33);
    for (int i = 0; i < 60; i++) {
      var build = EIGHT.with(engines.next());
      var names = new HashSet<String>();
      for (var c : checks(build)) {
        assertThat(names.add(c.name())).as(c.name()).isTrue();
        assertThat(c.verdict()).isNotNull();
        assertThat(c.says()).as(c.name()).isNotBlank().doesNotContain("NaN", "null");
        assertThat(c.working()).as(c.name()).isNotBlank().doesNotContain("NaN", "null");
      }
    }
  }

  /** What is only on paper does not move the prediction, to the last digit. */
  @Test
  void whatIsOnPaperDoesNotMoveThePrediction() {
    try (var predictor = new Predictor(1)) {
      for (var build : List.of(EIGHT, DemoBuilds.paddockFour())) {
        var engine = BuiltEngine.asSpecified(build.combination());
        var wanted = build.combination().worksheet().ratioWanted();
        var worked =
            BuiltEngine.asSpecified(
                build
                    .combination()
                    .with("worksheet.ratioWanted", wanted.with(13, Provenance.CARD)));
        assertThat(worked).isNotEqualTo(engine);
        assertThat(worked.key()).isEqualTo(engine.key());
        var speeds = List.of(5000.0);
        assertThat(predictor.predict(worked, speeds, Fidelity.LIVE))
            .isEqualTo(predictor.predict(engine, speeds, Fidelity.LIVE));
        var squeezed = build.combination().compression().chamberVolume();
        var other =
            build
                .combination()
                .with(
                    "compression.chamberVolume",
                    squeezed.with(squeezed.si() * 1.02, Provenance.CARD));
        assertThat(BuiltEngine.asSpecified(other).key()).isNotEqualTo(engine.key());
      }
    }
  }

  /** A card that anything may stand on is read, or refused in words, and never breaks. */
  @Test
  void anyCardIsReadOrRefusedInWords() {
    var engines = new RandomEngines(5);
    int read = 0;
    for (int i = 0; i < 60; i++) {
      var build = EIGHT.with(engines.next());
      try {
        var card = CardReading.of(build);
        if (card.isPresent()) {
          read++;
          assertThat(card.get().cam().intakeSeat().si())
              .isGreaterThan(card.get().cam().intakeDuration().si());
        }
      } catch (grandbore.core.combination.InvalidInput e) {
        assertThat(e.getMessage()).contains("cam.");
      }
    }
    assertThat(read).isPositive();
  }

  /**
   * Force and couple of the two terms against the exact motion of every piston: what differs is the
   * fourth and higher orders, which go with the cube of throw over rod.
   */
  @ParameterizedTest
  @EnumSource(Arrangement.class)
  void theSumOfAllPistonsIsTheExactOneButForHighOrders(Arrangement a) {
    var c = a.of(EIGHT.combination());
    var factor = c.weights().balanceFactor();
    c = c.with("weights.balanceFactor", factor.with(0, Provenance.CARD));
    var b = c.bottomEnd();
    var balance = new Balance(c);
    var crank = new SliderCrank(b.stroke().si() / 2, b.rodLength().si(), 0);
    double w = 500;
    double mass = c.weights().reciprocating();
    double unit = mass * b.stroke().si() / 2 * w * w;
    double cube = Math.pow(b.stroke().si() / 2 / b.rodLength().si(), 3);
    for (int degree = 0; degree < 360; degree += 15) {
      double angle = Math.toRadians(degree);
      double x = 0;
      double y = 0;
      for (int n = 1; n <= b.cylinders(); n++) {
        double phase = balance.throwAt(n, angle) - balance.lean(n);
        double force = mass * crank.curvature(phase) * w * w;
        x += force * Math.sin(balance.lean(n));
        y += force * Math.cos(balance.lean(n));
      }
      var first = balance.primary(angle, w);
      var second = balance.secondary(angle, w);
      double allowed = unit * cube * b.cylinders();
      assertThat(first.forceX() + second.forceX()).as(a + " x").isCloseTo(x, within(allowed));
      assertThat(first.forceY() + second.forceY()).as(a + " y").isCloseTo(y, within(allowed));
    }
  }

  /** Two cylinders that share a throw in a vee stand on it together at every crank angle. */
  @ParameterizedTest
  @EnumSource(
      value = Arrangement.class,
      names = {"VEE_8_CROSS", "VEE_8_FLAT", "VEE_12"})
  void sharedThrowsAreShared(Arrangement a) {
    var c = a.of(EIGHT.combination());
    var balance = new Balance(c);
    for (int n = 1; n <= c.bottomEnd().cylinders(); n += 2) {
      double apart = balance.throwAt(n, 0.3) - balance.throwAt(n + 1, 0.3);
      assertThat(Math.cos(apart)).as("cylinders %d and %d", n, n + 1).isCloseTo(1, within(1e-9));
      assertThat(balance.place(n)).isEqualTo(balance.place(n + 1));
    }
  }

  /** Shims and cuts never ask for less than nothing, and leave no cylinder behind. */
  @Test
  void eveningNeverAddsMetal() {
    var random = new java.util.Random(8);
    for (int i = 0; i < 40; i++) {
      var volumes = random.doubles(8, 60e-6, 80e-6).boxed().toList();
      var even = Evening.of(new BuiltEngine(EIGHT.combination(), volumes));
      assertThat(even.shims()).allSatisfy(s -> assertThat(s).isGreaterThanOrEqualTo(0));
      assertThat(even.shims().stream().mapToDouble(s -> s).min().orElseThrow()).isZero();
      assertThat(even.banks())
          .allSatisfy(
              bank -> {
                assertThat(bank.deck()).isGreaterThanOrEqualTo(0);
                assertThat(bank.mill()).isGreaterThanOrEqualTo(0);
                assertThat(bank.mean()).isBetween(bank.least(), bank.most());
              });
      assertThat(even.banks().stream().mapToDouble(Evening.Bank::deck).min().orElseThrow())
          .isZero();
    }
  }

  /** Windage goes with the cube of speed, and each remedy takes some of it away. */
  @Test
  void windageGoesWithTheCubeAndRemediesHelp() {
    var c = EIGHT.combination();
    double low = WindagePower.at(c, 3000);
    assertThat(WindagePower.at(c, 6000) / low).isCloseTo(8, within(1e-9));
    double before = Double.MAX_VALUE;
    for (var sump : Losses.Windage.values()) {
      double now = WindagePower.at(c, sump, Losses.Counterweights.PLAIN, 7000);
      assertThat(now).as(sump.name()).isLessThan(before).isPositive();
      assertThat(WindagePower.at(c, sump, Losses.Counterweights.SHAPED, 7000)).isLessThan(now);
      before = now;
    }
    var vacuum = c.losses().vacuum();
    var sucked = c.with("losses.vacuum", vacuum.with(30e3, Provenance.CARD));
    assertThat(WindagePower.at(sucked, 7000)).isLessThan(WindagePower.at(c, 7000));
    assertThat(WindagePower.skirts(c, 7000)).isPositive();
  }

  /** A short rod tilts more: more friction under the skirts, a faster piston, a sharper top. */
  @Test
  void aShorterRodDoesWhatBothSchoolsSay() {
    var c = EIGHT.combination();
    var shorter = rod(c, 5.5);
    var longer = rod(c, 6.1);
    assertThat(WindagePower.skirts(shorter, 7000)).isGreaterThan(WindagePower.skirts(longer, 7000));
    var quick = crank(shorter);
    var slow = crank(longer);
    assertThat(quick.dwell(0.5e-3)).isLessThan(slow.dwell(0.5e-3));
    assertThat(quick.steepest()).isGreaterThan(slow.steepest());
    assertThat(quick.sharpest()).isGreaterThan(slow.sharpest());
    // Later near bottom: it has come up less at the same angle after bottom centre.
    assertThat(quick.depth(Math.PI + 0.9)).isGreaterThan(slow.depth(Math.PI + 0.9));
    assertThat(Squish.most(shorter, 700)).isGreaterThan(0);
  }

  private static SliderCrank crank(Combination c) {
    var b = c.bottomEnd();
    return new SliderCrank(b.stroke().si() / 2, b.rodLength().si(), 0);
  }

  private static Combination rod(Combination c, double inches) {
    var b = c.bottomEnd();
    double change = inches * 0.0254 - b.rodLength().si();
    return c.with(
        grandbore.core.combination.Specs.changed(
            b,
            java.util.Map.of(
                "rodLength",
                b.rodLength().with(inches * 0.0254, Provenance.CARD),
                "blockDeck",
                b.blockDeck().with(b.blockDeck().si() + change, Provenance.CARD))));
  }
}
