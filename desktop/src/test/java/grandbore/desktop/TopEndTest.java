package grandbore.desktop;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import grandbore.book.BuildDocument;
import grandbore.core.combination.Provenance;
import grandbore.core.demo.DemoBuilds;
import grandbore.core.valvetrain.PistonToValve;
import java.util.List;
import javafx.scene.control.Slider;
import javafx.scene.input.Clipboard;
import javafx.scene.input.ClipboardContent;
import javafx.scene.layout.Region;
import org.junit.jupiter.api.Test;
import org.testfx.util.WaitForAsyncUtils;

/** Cam, valves, heads and breathing, specified and checked as their papers describe them. */
class TopEndTest extends BenchTest {
  @Override
  boolean studies() {
    return true;
  }

  @Override
  List<BuildDocument> documents() {
    return List.of(new BuildDocument(DemoBuilds.hillClimbEight(), List.of()));
  }

  @Test
  void aCardIsReadItsContradictionNamedAndTaken() {
    station("cam", "cam-card");
    assertThat(text("#check-card_intake_events")).contains("agrees");
    type("#camCard-intakeAt50-text", "244");
    assertThat(text("#check-card_intake_events"))
        .contains("contradicts itself", "238.0°", "244.0°");
    type("#camCard-intakeOpens-text", "17");
    type("#camCard-intakeCloses-text", "47");
    type("#camCard-intakeSeat-text", "288");
    assertThat(text("#check-card_intake_events")).contains("agrees");
    assertThat(Math.toDegrees(combination().cam().intakeDuration().si()))
        .isCloseTo(238, within(1e-9));
    press("#take-card");
    assertThat(Math.toDegrees(combination().cam().intakeDuration().si()))
        .isCloseTo(244, within(1e-9));
    assertThat(text("#figure-intake_opens")).isEqualTo("17.0°");
  }

  @Test
  void draggingTheRingRetardsTheCam() {
    station("cam", "cam-events");
    var ring = robot.lookup("#events-ring").<Region>query();
    double before = combination().cam().intakeCentreline().si();
    var from = ring.localToScreen(ring.getWidth() / 2, 210 - 130.0);
    // Three degrees of the ring are six of the crank.
    double turn = Math.toRadians(3);
    var to =
        ring.localToScreen(ring.getWidth() / 2 + 130 * Math.sin(turn), 210 - 130 * Math.cos(turn));
    robot.drag(from.getX(), from.getY()).dropTo(to.getX(), to.getY());
    Pulse.await();
    double moved = Math.toDegrees(combination().cam().intakeCentreline().si() - before);
    assertThat(moved).isBetween(5.0, 7.0);
    assertThat(Math.IEEEremainder(moved, 0.5)).isCloseTo(0, within(1e-9));
  }

  @Test
  void aDegreedCamIsRunAsItWasRead() {
    station("cam", "cam-degreeing");
    assertThat(text("#check-degree_move")).contains("advance by");
    press("#use-degreed");
    var centreline = combination().cam().intakeCentreline();
    assertThat(Math.toDegrees(centreline.si())).isCloseTo(106.75, within(1e-9));
    assertThat(centreline.provenance()).isEqualTo(Provenance.MEASURED);
    type("#degreed-intakeFall-text", "150");
    assertThat(text("#check-degree_intake_methods")).contains("by events", "by equal lifts");
  }

  @Test
  void clayTeachesTheClearanceAndChangesAreSeenFromThere() {
    station("cam", "cam-piston");
    type("#worksheet-intakeRead-text", ".095");
    press("#set-intake-read");
    assertThat(PistonToValve.intake(combination()).closest().clearance() / 0.0254)
        .isCloseTo(0.095, within(1e-6));
    assertThat(combination().heads().intakeRecess().provenance()).isEqualTo(Provenance.MEASURED);
    assertThat(text("#check-intake_to_piston")).startsWith("0.0950 in");
    type("#compression-intakePocket-text", ".080");
    assertThat(text("#check-intake_to_piston")).startsWith("0.068");
  }

  @Test
  void theSeparationWantedIsFoundBesideTheRule() {
    station("cam", "cam-separation");
    until("swept", () -> text("#separation-found").contains("is best near"));
    assertThat(text("#separation-found")).contains("rule of thumb", "three degrees costs", "hp");
  }

  @Test
  void aSheetIsPastedAndItsDepressionStated() {
    station("heads", "heads-flow");
    robot.interact(
        () -> {
          var content = new ClipboardContent();
          content.putString("0.1\t60\n0.2\t125\n0.3\t185\n0.4\t230\n0.5\t252\n0.6\t262");
          Clipboard.getSystemClipboard().setContent(content);
        });
    press("#paste-intake");
    var sheet = combination().heads().intakeFlow();
    assertThat(sheet.rows()).hasSize(6);
    assertThat(sheet.rows().getFirst().flow() * 2118.88).isCloseTo(60, within(0.1));
    type("#intake-flow-depression-text", "25");
    assertThat(combination().heads().intakeFlow().depression())
        .isCloseTo(25 * 249.089, within(1.0));
    view("heads-sizing");
    until("varied", () -> text("#sizing-gains").contains("5 % larger"));
    assertThat(text("#check-intake_discharge")).contains("at best");
  }

  @Test
  void wavesRunWithTheCrankAndStopWhenLeft() {
    station("breathing", "breathing-waves");
    until("solved", () -> text("#waves-status").contains("every cylinder solved"));
    var cursor = robot.lookup("#wave-cursor").<Slider>query();
    double before = cursor.getValue();
    press("#run-waves");
    until("moves", () -> Math.abs(cursor.getValue() - before) > 20);
    assertThat(text("#plot-wave-valves-reading")).contains("intake", "exhaust");
    robot.clickOn("#station-brief");
    Pulse.await();
    double left = cursor.getValue();
    WaitForAsyncUtils.sleep(300, java.util.concurrent.TimeUnit.MILLISECONDS);
    assertThat(cursor.getValue()).isEqualTo(left);
  }
}
