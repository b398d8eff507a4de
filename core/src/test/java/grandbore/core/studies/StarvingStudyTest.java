package grandbore.core.studies;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import grandbore.core.Said;
import grandbore.core.combination.Arrangement;
import grandbore.core.combination.Combination;
import grandbore.core.combination.Intake;
import grandbore.core.demo.DemoBuilds;
import grandbore.core.prediction.BuiltEngine;
import grandbore.core.runs.RunQueue;
import grandbore.core.runs.Urgency;
import grandbore.core.studies.Starving.Cause;
import grandbore.core.studies.Starving.Share;
import grandbore.core.units.Measure;
import java.util.List;
import org.junit.jupiter.api.Test;

/** The cylinder that starves is the one that was made to, for the reason it was given. */
class StarvingStudyTest {
  private static final Combination FOUR =
      DemoBuilds.paddockFour().combination().with("intake.manifold", Intake.Manifold.PLENUM);

  private static Starving run(BuiltEngine engine, double rpm) {
    try (var queue = new RunQueue()) {
      return queue.submit(new StarvingStudy(engine, rpm), Urgency.STUDY).await();
    }
  }

  private static Starving run(Combination c, double rpm) {
    return run(BuiltEngine.asSpecified(c), rpm);
  }

  @Test
  void aPoorPortStarvesItsCylinder() {
    var found = run(FOUR.with("heads.intakeShares", List.of(1.0, 1.0, 0.88, 1.0)), 7000);
    assertThat(found.cylinder()).isEqualTo(3);
    assertThat(found.lack()).isBetween(0.01, 0.12);
    assertThat(found.shares()).extracting(Share::cause).containsExactly(Cause.PORT);
    assertThat(found.shares().getFirst().lack()).isCloseTo(found.lack(), within(1e-3));
    assertThat(found.rest()).isCloseTo(0, within(1e-3));
  }

  /** Of two causes each carries its own; what is left is nothing where all fire evenly. */
  @Test
  void twoCausesAreToldApart() {
    var both =
        FOUR.with("heads.intakeShares", List.of(1.0, 0.9, 1.0, 1.0))
            .with("intake.runnerChanges", List.of(0.0, -0.08, 0.0, 0.0));
    var found = run(both, 5000);
    assertThat(found.cylinder()).isEqualTo(2);
    assertThat(found.shares())
        .extracting(Share::cause)
        .containsExactlyInAnyOrder(Cause.PORT, Cause.RUNNER);
    assertThat(found.shares().getFirst().lack())
        .isGreaterThanOrEqualTo(found.shares().getLast().lack());
    double sum = found.shares().stream().mapToDouble(Share::lack).sum();
    assertThat(sum + found.rest()).isCloseTo(found.lack(), within(0.5 * found.lack()));
    assertThat(found.rest()).isCloseTo(0, within(1e-3));
  }

  /** A bank of a cross-plane eight fires unevenly: nothing to even, all of it is where it fires. */
  @Test
  void whereACylinderFiresIsTheRest() {
    var cross = Arrangement.VEE_8_CROSS.of(DemoBuilds.hillClimbEight().combination());
    var found = run(cross, 5000);
    assertThat(found.shares()).isEmpty();
    assertThat(found.lack()).isPositive();
    assertThat(found.rest()).isEqualTo(found.lack());
  }

  /** Along a box the place counts; a shorter box leaves less of it. */
  @Test
  void aPlaceAlongABoxIsNamed() {
    var roomy = Said.with(FOUR, "intake.plenumVolume", 4000, Measure.CUBIC_CENTIMETRES);
    var found = run(Said.with(roomy, "intake.boxLength", 18, Measure.INCHES), 6000);
    assertThat(found.shares()).extracting(Share::cause).containsExactly(Cause.PLACE);
    assertThat(found.lack()).isPositive();
    assertThat(found.rest()).isCloseTo(0, within(1e-3));
    var brief = run(Said.with(roomy, "intake.boxLength", 6, Measure.INCHES), 6000);
    assertThat(brief.lack()).isLessThan(found.lack());
  }
}
