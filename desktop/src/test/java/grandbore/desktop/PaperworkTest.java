package grandbore.desktop;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import grandbore.book.BuildDocument;
import grandbore.core.clearances.Measurement;
import grandbore.core.clearances.Reading;
import grandbore.core.combination.Brief;
import grandbore.core.combination.Provenance;
import grandbore.core.demo.DemoBuilds;
import grandbore.core.units.Measure;
import java.time.Instant;
import java.util.List;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;

/** What a builder works out before the machine shop, at the first three stations. */
class PaperworkTest extends BenchTest {
  @Override
  boolean studies() {
    return true;
  }

  @Override
  List<BuildDocument> documents() {
    return List.of(
        new BuildDocument(DemoBuilds.hillClimbEight(), List.of()),
        new BuildDocument(DemoBuilds.paddockFour(), List.of()));
  }

  @Test
  void aSolvedRatioIsTakenAndCanBeTakenBack() {
    station("compression", "compression-solve");
    type("#worksheet-ratioWanted-text", "11.25");
    double dish = combination().compression().pistonVolume().si();
    press("#take-ratio_by_dish");
    assertThat(combination().staticRatio()).isCloseTo(11.25, within(1e-9));
    assertThat(text("#figure-static_compression")).isEqualTo("11.25");
    robot.press(KeyCode.CONTROL, KeyCode.Z).release(KeyCode.Z, KeyCode.CONTROL);
    until(
        "taken back",
        () -> Math.abs(combination().compression().pistonVolume().si() - dish) < 1e-12);
    robot.clickOn("#station-brief");
    robot.interact(() -> robot.lookup("#kept-pistons").<CheckBox>query().fire());
    assertThat(combination().brief().kept()).containsExactly(Brief.Part.PISTONS);
    robot.clickOn("#station-compression");
    assertThat(robot.lookup("#take-ratio_by_dish").<Button>query().isDisabled()).isTrue();
    assertThat(text("#take-ratio_by_dish")).isEqualTo("Kept");
    assertThat(robot.lookup("#take-ratio_by_chamber").<Button>query().isDisabled()).isFalse();
  }

  @Test
  void aDomeIsFoundByFillingTheBoreDownToIt() {
    station("compression", "compression-solve");
    double area = combination().bottomEnd().boreArea();
    double poured = (area * Measure.INCHES.toSi(0.5) - 3.2e-6) * 1e6;
    type("#worksheet-fillDepth-text", ".500");
    type("#worksheet-fillVolume-text", "%.2f cc".formatted(poured));
    assertThat(text("#figure-piston_by_fill")).isEqualTo("-3.2 cc");
    press("#take-piston_by_fill");
    assertThat(combination().compression().pistonVolume().si()).isCloseTo(-3.2e-6, within(1e-8));
  }

  @Test
  void aPartThatDoesNotFitSaysWhyWithItsWorkingOneActionAway() {
    station("bottom_end", "bottom-stack");
    assertThat(text("#check-main_bearing_fit")).contains("oil clearance");
    type("#partSizes-mainHousing-text", "2.700");
    assertThat(text("#check-main_bearing_fit")).contains("does not go in", "grind");
    robot.interact(
        () -> {
          var line = robot.lookup("#open-main_bearing_fit").query();
          line.requestFocus();
          line.getOnKeyPressed()
              .handle(
                  new javafx.scene.input.KeyEvent(
                      javafx.scene.input.KeyEvent.KEY_PRESSED,
                      "",
                      "",
                      KeyCode.ENTER,
                      false,
                      false,
                      false,
                      false));
        });
    assertThat(text("#working-main_bearing_fit"))
        .contains("housing − 2 × shell", "common practice");
    robot.interact(
        () -> {
          TextField field = robot.lookup("#partSizes-mainHousing-text").query();
          field.requestFocus();
          field.clear();
        });
    robot.type(KeyCode.ENTER);
    Pulse.await();
    assertThat(text("#check-main_bearing_fit")).startsWith("say ");
    assertThat(combination().partSizes().mainHousing().isKnown()).isFalse();
  }

  @Test
  void bothRodsAreRunThroughTheWaveModelAndTheDifferenceIsSaid() {
    station("bottom_end", "bottom-motion");
    until("both run", () -> text("#other-rod-found").contains("changes torque by"));
    assertThat(text("#plot-depth-reading")).contains("this rod", "the other rod");
    type("#worksheet-otherRod-text", "9.0");
    until("refused", () -> text("#other-rod-found").startsWith("✕"));
    assertThat(text("#other-rod-found")).contains("Compression height");
  }

  @Test
  void forcesFollowTheCycleAndRatingsAreHeldAgainstThem() {
    station("bottom_end", "bottom-forces");
    until("solved", () -> text("#forces-status").contains("simulated pressure"));
    assertThat(text("#check-strength_rod_tension")).contains("% of its rating");
    type("#ratings-rodTension-text", "3000");
    assertThat(text("#check-strength_rod_tension")).contains("lbf");
    double share =
        Double.parseDouble(
            text("#check-strength_rod_tension").replaceAll(".* (\\d+) % of.*", "$1"));
    assertThat(share).isGreaterThan(100);
  }

  @Test
  void anotherBuildIsLaidOverAndTakenAway() {
    long other = bench.session().books().builds().getLast().id();
    robot.interact(() -> bench.session().layOver(other));
    until("its curve stands", () -> bench.curves().overProperty().get() != null);
    assertThat(text("#curve-status")).contains("Paddock four");
    station("bottom_end", "bottom-motion");
    assertThat(text("#plot-speed-reading")).contains("laid over");
    robot.interact(() -> bench.session().layOver(-1));
    assertThat(bench.curves().overProperty().get()).isNull();
    assertThat(text("#plot-speed-reading")).doesNotContain("laid over");
  }

  @Test
  void aCompressionTestIsReadBesideWhatIsPredicted() {
    robot.interact(
        () -> {
          for (int n = 1; n <= 8; n++) {
            double psi = n == 3 || n == 5 ? 120 : 205;
            bench
                .session()
                .read(
                    new Reading(
                        0,
                        Measurement.COMPRESSION,
                        n,
                        Reading.Side.NONE,
                        Measure.PSI.toSi(psi),
                        "",
                        "gauge",
                        Instant.EPOCH,
                        false));
          }
        });
    until("kept", () -> bench.session().readings().all().size() == 8);
    station("compression", "compression-tests");
    assertThat(text("#check-test_cylinder_3")).contains("gasket", "5");
    until("cranked", () -> isShown("#check-test_engine"));
    assertThat(text("#check-test_engine")).contains("psi predicted");
  }

  @Test
  void aClaimIsAnsweredInPlainWords() {
    robot.clickOn("#station-brief");
    type("#brief-soldAs-text", "350");
    assertThat(text("#check-donor_displacement")).contains("it is not", "stroke of");
    type("#brief-soldAs-text", "5264 cc");
    assertThat(text("#check-donor_displacement")).startsWith("it is:");
    assertThat(combination().brief().soldAs().provenance()).isEqualTo(Provenance.CARD);
  }

  /** What is only worked out on paper leaves the curve alone; what is built moves it. */
  @Test
  void paperLeavesTheCurveAlone() {
    var before = bench.curves().curve().getValue();
    station("compression", "compression-solve");
    type("#worksheet-ratioWanted-text", "12.75");
    assertThat(bench.curves().stateProperty().get().isRunning()).isFalse();
    assertThat(bench.curves().curve().getValue()).isSameAs(before);
    press("#take-ratio_by_dish");
    settle();
    assertThat(bench.curves().curve().getValue()).isNotEqualTo(before);
  }
}
