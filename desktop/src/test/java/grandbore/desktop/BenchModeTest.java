package grandbore.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import grandbore.book.BuildDocument;
import grandbore.core.clearances.Measurement;
import grandbore.core.clearances.Reading;
import grandbore.core.demo.DemoBuilds;
import grandbore.desktop.station.Station;
import java.util.List;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.Region;
import javafx.scene.text.Text;
import org.junit.jupiter.api.Test;

/** One place at a time over the whole window, by number pad, pad on the screen or instrument. */
class BenchModeTest extends BenchTest {
  /** Of numerals that are read from two metres: 12 mm at 96 dpi, pixels. */
  private static final double LEAST_NUMERAL = 12 / 25.4 * 96;

  @Override
  List<BuildDocument> documents() {
    return List.of(new BuildDocument(DemoBuilds.paddockFour(), List.of()));
  }

  private void enter(String measurement) {
    robot.interact(() -> bench.rail().choose(Station.CLEARANCES));
    view("group-ends");
    view(measurement);
    press("#bench-mode");
    until("bench mode", () -> isShown("#bench-numeral"));
    Pulse.await();
  }

  private List<Reading> readings() {
    return bench.session().readings().all().stream().filter(r -> !r.struck()).toList();
  }

  @Test
  void aPlaceAfterAnotherByTheNumberPad() {
    enter("measure-rod_bearing");
    assertThat(text("#bench-place")).isEqualTo(Measurement.ROD_BEARING.at(1, Reading.Side.NONE));
    robot.write("0.058");
    Pulse.await();
    assertThat(text("#bench-numeral")).isEqualTo("0.058");
    robot.type(KeyCode.ENTER);
    until("kept", () -> readings().size() == 1);
    assertThat(text("#bench-place")).isEqualTo(Measurement.ROD_BEARING.at(2, Reading.Side.NONE));
    assertThat(text("#bench-verdict")).isNotBlank();
    robot.write("0.06").type(KeyCode.ENTER);
    until("kept", () -> readings().size() == 2);
    // Minus takes the last one back, and its place waits again.
    robot.write("-");
    until("taken back", () -> readings().size() == 1);
    assertThat(text("#bench-place")).isEqualTo(Measurement.ROD_BEARING.at(2, Reading.Side.NONE));
    // What can't be is refused in words and not kept; delete takes a digit back.
    robot.write("58").type(KeyCode.ENTER);
    Pulse.await();
    assertThat(readings()).hasSize(1);
    assertThat(text("#bench-verdict")).startsWith("✕");
    robot.type(KeyCode.BACK_SPACE, KeyCode.BACK_SPACE);
    robot.write("/");
    Pulse.await();
    assertThat(text("#bench-place")).isEqualTo(Measurement.ROD_BEARING.at(3, Reading.Side.NONE));
    robot.type(KeyCode.ESCAPE);
    until("back", () -> !isShown("#bench-numeral"));
    assertThat(bench.session().readings().all()).hasSizeGreaterThanOrEqualTo(1);
  }

  /** Upright and lying: nothing is cut, numerals are large, keys are large. */
  @Test
  void itIsReadFromTwoMetresAtEverySize() {
    for (double[] size : new double[][] {{800, 990}, {1100, 700}, {1280, 800}, {1920, 990}}) {
      robot.interact(
          () -> {
            stage.setX(0);
            stage.setY(0);
            stage.setWidth(size[0]);
            stage.setHeight(size[1]);
          });
      enter("measure-main_bearing");
      robot.write("0.0523");
      robot.interact(() -> bench.scene().getRoot().layout());
      Pulse.await();
      var numeral = robot.lookup("#bench-numeral").<Label>query();
      assertThat(0.72 * numeral.getFont().getSize()).isGreaterThan(LEAST_NUMERAL);
      var shown = (Text) numeral.lookup(".text");
      assertThat(shown.getText()).isEqualTo("0.0523");
      var mode = robot.lookup(".bench-mode").<Region>query();
      for (var node : mode.lookupAll("*")) {
        if (node instanceof Button || node instanceof Label label && !label.getText().isBlank()) {
          var at = mode.sceneToLocal(node.localToScene(node.getBoundsInLocal()));
          assertThat(at.getMaxY())
              .as("%.0f×%.0f: %s", size[0], size[1], node)
              .isLessThanOrEqualTo(mode.getHeight());
          assertThat(at.getMinY()).as("%s", node).isGreaterThanOrEqualTo(0);
          assertThat(at.getMaxX()).as("%s", node).isLessThanOrEqualTo(mode.getWidth() + 1);
        }
      }
      robot.type(KeyCode.ESCAPE);
      until("back", () -> !isShown("#bench-numeral"));
    }
  }

  /** The pad on the screen does what keys do, and a simulated instrument's reading is taken. */
  @Test
  void padAndInstrumentDoTheSame() {
    enter("measure-main_bearing");
    for (var key : List.of("#pad-12", "#pad-13", "#pad-12", "#pad-5", "#pad-15")) {
      press(key);
    }
    until("kept", () -> readings().size() == 1);
    assertThat(readings().getFirst().value())
        .isEqualTo(0.05e-3, org.assertj.core.api.Assertions.within(1e-9));
    robot.type(KeyCode.ESCAPE);
    until("back", () -> !isShown("#bench-numeral"));
    press("#instrument-simulate");
    until("live", () -> !text("#instrument-live").isBlank());
    press("#bench-mode");
    until("live in large", () -> isShown("#bench-unit") && text("#bench-unit").endsWith("live"));
    robot.type(KeyCode.ENTER);
    until("taken", () -> readings().size() == 2 || text("#bench-verdict").startsWith("✕"));
  }
}
