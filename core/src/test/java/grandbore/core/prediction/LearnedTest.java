package grandbore.core.prediction;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import grandbore.core.combination.Combination;
import grandbore.core.combination.Given;
import grandbore.core.combination.InvalidInput;
import grandbore.core.combination.Mixture;
import grandbore.core.combination.Provenance;
import grandbore.core.demo.DemoBuilds;
import grandbore.core.doubt.Uncertain;
import grandbore.core.dyno.calibration.Coefficient;
import java.util.List;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;

/** What pulls teach acts where it says: as the input that it is upon, or upon what has none. */
class LearnedTest {
  private static final List<Double> SPEEDS = List.of(4000.0, 6500.0);
  private static Predictor predictor;
  private static Combination plain;
  private static Curve stands;

  @BeforeAll
  static void run() {
    predictor = new Predictor();
    // A spark that is held, so that what is compared has the same.
    var c = DemoBuilds.paddockFour().combination();
    plain =
        c.with("mixture.spark", Mixture.Spark.FIXED)
            .with("mixture.advance", c.mixture().advance().with(0.28, Provenance.CARD));
    stands = curve(plain);
  }

  @AfterAll
  static void close() {
    predictor.close();
  }

  private static Curve curve(Combination c) {
    return predictor.predict(BuiltEngine.asSpecified(c), SPEEDS, Fidelity.LIVE);
  }

  private static Combination taught(Coefficient what, double factor) {
    return plain.with(what.path(), what.given(factor));
  }

  private static Combination scaled(String path, double factor) {
    var was = (Given) plain.at(path);
    return plain.with(path, was.with(factor * was.si(), Provenance.CARD));
  }

  private static void alike(Curve one, Curve other) {
    for (int k = 0; k < SPEEDS.size(); k++) {
      var a = one.points().get(k);
      var b = other.points().get(k);
      assertThat(a.converged()).isTrue();
      assertThat(a.torque()).isCloseTo(b.torque(), within(1e-9 * b.torque()));
      assertThat(a.airFlow()).isCloseTo(b.airFlow(), within(1e-9 * b.airFlow()));
    }
  }

  /** A factor upon something that is an input runs as that input so many times as large. */
  @Test
  void factorsUponInputsRunAsThoseInputs() {
    alike(curve(taught(Coefficient.METER_FLOW, 1.1)), curve(scaled("intake.throttleFlow", 1.1)));
    alike(curve(taught(Coefficient.INTAKE_LENGTH, 1.1)), curve(scaled("intake.runnerLength", 1.1)));
    alike(
        curve(taught(Coefficient.EXHAUST_LENGTH, 0.9)),
        curve(scaled("exhaust.primaryLength", 0.9)));
    alike(curve(taught(Coefficient.MIXTURE, 1.05)), curve(scaled("mixture.lambda", 1.05)));
    var heads = plain.heads();
    alike(
        curve(taught(Coefficient.INTAKE_FLOW, 1.08)),
        curve(plain.with("heads.intakeFlow", heads.intakeFlow().scaled(1.08))));
    alike(
        curve(taught(Coefficient.EXHAUST_FLOW, 0.92)),
        curve(plain.with("heads.exhaustFlow", heads.exhaustFlow().scaled(0.92))));
  }

  /** Friction is multiplied; its growth turns about 5,000 rev/min. */
  @Test
  void frictionIsMultiplied() {
    var more = curve(taught(Coefficient.FRICTION, 1.2));
    var grows = curve(taught(Coefficient.FRICTION_GROWTH, 1.3));
    for (int k = 0; k < SPEEDS.size(); k++) {
      double was = stands.points().get(k).fmep();
      double n = SPEEDS.get(k);
      assertThat(more.points().get(k).fmep()).isCloseTo(1.2 * was, within(2e-3 * was));
      assertThat(grows.points().get(k).fmep())
          .isCloseTo(Math.pow(n / 5000, 0.3) * was, within(2e-3 * was));
      assertThat(more.points().get(k).imep())
          .isCloseTo(stands.points().get(k).imep(), within(1e-6 * was));
    }
  }

  /** More heat to the walls takes torque and cools the exhaust; its share grows as it is told. */
  @Test
  void wallHeatTakesTorque() {
    var more = curve(taught(Coefficient.WALL_HEAT, 1.3));
    for (int k = 0; k < SPEEDS.size(); k++) {
      var is = more.points().get(k);
      var was = stands.points().get(k);
      assertThat(is.torque()).isLessThan(0.99 * was.torque());
      assertThat(is.exhaustTemperature()).isLessThan(was.exhaustTemperature() - 10);
      assertThat(is.heatShare() / was.heatShare()).isBetween(1.1, 1.3);
    }
  }

  /** A faster flame is half through sooner after the same spark. */
  @Test
  void fasterFlameIsThroughSooner() {
    var fast = curve(taught(Coefficient.BURN_SPEED, 1.25));
    for (int k = 0; k < SPEEDS.size(); k++) {
      var is = fast.points().get(k);
      var was = stands.points().get(k);
      double half = was.spark() + was.burned50();
      assertThat(is.spark()).isEqualTo(was.spark());
      assertThat((is.spark() + is.burned50()) / half).isBetween(1 / 1.29, 1 / 1.18);
    }
  }

  /** One is as the parts say, to the last digit; and has no doubt of its own. */
  @Test
  void oneIsAsThePartsSay() {
    var c = plain;
    for (var k : Coefficient.values()) {
      c = c.with(k.path(), k.given(1));
      assertThat(k.of(c)).isEqualTo(1);
    }
    assertThat(c.learned().isAny()).isFalse();
    assertThat(BuiltEngine.asSpecified(c).key()).isEqualTo(BuiltEngine.asSpecified(plain).key());
    var taught = BuiltEngine.asSpecified(taught(Coefficient.FRICTION, 1.1));
    assertThat(taught.key()).isNotEqualTo(BuiltEngine.asSpecified(plain).key());
    assertThat(Uncertain.of(taught)).noneMatch(u -> u.path().startsWith("learned."));
    assertThat(Uncertain.of(BuiltEngine.asSpecified(plain)))
        .noneMatch(u -> u.path().startsWith("learned."));
  }

  @Test
  void factorsBeyondBelievingAreRefused() {
    var field = (Given) plain.at("learned.burnSpeed");
    assertThatThrownBy(() -> plain.with("learned.burnSpeed", field.with(2.5, Provenance.CARD)))
        .isInstanceOf(InvalidInput.class)
        .hasMessageContaining("Learned: burn speed")
        .hasMessageContaining("lacks something else");
    // What a calibration finds beyond them is kept to them.
    assertThat(Coefficient.BURN_SPEED.given(2.5).si()).isEqualTo(1.6);
  }
}
