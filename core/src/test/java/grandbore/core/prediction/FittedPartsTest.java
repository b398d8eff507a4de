package grandbore.core.prediction;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import grandbore.core.clearances.Measurement;
import grandbore.core.clearances.Reading;
import grandbore.core.clearances.Reading.Side;
import grandbore.core.clearances.Readings;
import grandbore.core.combination.Combination;
import grandbore.core.combination.Intake;
import grandbore.core.combination.Provenance;
import grandbore.core.demo.DemoBuilds;
import grandbore.core.flow.ThrottleSection;
import grandbore.core.units.Measure;
import grandbore.core.valvetrain.PistonToValve;
import grandbore.core.valvetrain.ValveMotion;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** Parts that are fitted and measured move the prediction as what they are. */
class FittedPartsTest extends EngineTest {
  private static CurvePoint point(Combination c, double rpm) {
    return new Predictor(1)
        .predict(BuiltEngine.asSpecified(c), List.of(rpm), Fidelity.LIVE)
        .points()
        .getFirst();
  }

  /**
   * A spacer is a length of the throttles' way: as wide as the bores it is longer bores, exactly;
   * where it is open it is another engine again.
   */
  @Test
  void aSpacerLengthensTheThrottlesWay() {
    var in = EIGHT.intake();
    double bores = in.throttles() * ThrottleSection.each(in);
    var four = with(EIGHT, "intake.spacerHeight", 2, Measure.INCHES);
    var holes =
        four.with("intake.spacerOpening", in.spacerOpening().with(bores, Provenance.MEASURED));
    double longer = in.throttleLength().si() + 2 * 0.0254;
    var stretched =
        EIGHT.with("intake.throttleLength", in.throttleLength().with(longer, Provenance.MEASURED));
    double torque = point(holes, 5500).torque();
    assertThat(torque).isCloseTo(point(stretched, 5500).torque(), within(1e-6 * torque));
    assertThat(torque).isNotCloseTo(point(EIGHT, 5500).torque(), within(1e-4 * torque));
    assertThat(torque).isNotCloseTo(point(four, 5500).torque(), within(1e-4 * torque));
  }

  /** A throttle a runner has no plenum, so that nothing stands on one. */
  @Test
  void aSpacerMeansNothingWithAThrottleARunner() {
    var each = EIGHT.with("intake.manifold", Intake.Manifold.INDIVIDUAL);
    var spaced = with(each, "intake.spacerHeight", 3, Measure.INCHES);
    assertThat(point(spaced, 5500).torque()).isEqualTo(point(each, 5500).torque());
  }

  /** Lash takes lift and duration: measured wider than the card's it costs power high up. */
  @Test
  void measuredLashAndSpringsGoIntoTheModel() {
    var build = DemoBuilds.hillClimbEight();
    var wide = new ArrayList<Reading>();
    for (int i = 1; i <= 8; i++) {
      for (var side : List.of(Side.INTAKE, Side.EXHAUST)) {
        wide.add(
            new Reading(
                0, Measurement.LASH, i, side, 0.9e-3, "", "feeler gauge", Instant.EPOCH, false));
      }
    }
    var measured = build.asMeasured(new Readings(wide));
    assertThat(measured.combination().valveTrain().intakeLash().provenance())
        .isEqualTo(Provenance.MEASURED);
    assertThat(point(measured.combination(), 7000).power())
        .isLessThan(0.995 * point(build.combination(), 7000).power());
    var weak = new ArrayList<Reading>();
    for (int i = 1; i <= 8; i++) {
      weak.add(
          new Reading(
              0, Measurement.SEAT_FORCE, i, Side.INTAKE, 150, "", "", Instant.EPOCH, false));
    }
    var soft = build.asMeasured(new Readings(weak)).combination();
    double most = Measure.RPM.toSi(12_000);
    assertThat(ValveMotion.intake(soft).floatSpeed(150, most))
        .isLessThan(ValveMotion.intake(build.combination()).floatSpeed(150, most));
  }

  /** A piston nearer by some length is nearer along the stem by it over the angle's cosine. */
  @Test
  void comingNearerIsSeenAlongTheStem() {
    var random = new Random(9);
    var c = DemoBuilds.hillClimbEight().combination();
    for (int i = 0; i < 40; i++) {
      boolean intake = random.nextBoolean();
      double nearer = random.nextDouble(0, 0.6e-3);
      var geometry = intake ? PistonToValve.intake(c) : PistonToValve.exhaust(c);
      var still = (intake ? ValveMotion.intake(c) : ValveMotion.exhaust(c)).still();
      double angle = (intake ? c.heads().intakeAngle() : c.heads().exhaustAngle()).si();
      double there = geometry.closest(still, 0).clearance();
      assertThat(there - geometry.closest(still, nearer).clearance())
          .isCloseTo(nearer / Math.cos(angle), within(1e-9));
      // As a checking spring finds it, lash is taken up; running, it is not.
      assertThat(there).isGreaterThan(geometry.closest().clearance());
    }
  }
}
