package grandbore.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import grandbore.book.BuildDocument;
import grandbore.book.BuildJson;
import grandbore.core.clearances.Measurement;
import grandbore.core.combination.Provenance;
import grandbore.core.combination.Specs;
import grandbore.core.demo.DemoBuilds;
import grandbore.core.gas.FuelKind;
import grandbore.core.prediction.Fidelity;
import grandbore.core.runs.Desk;
import grandbore.core.units.UnitSystem;
import grandbore.desktop.curve.CurveService;
import grandbore.desktop.curve.CurveState;
import grandbore.desktop.look.Look;
import grandbore.desktop.plot.PlotTools;
import grandbore.desktop.station.Station;
import java.nio.file.Files;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import javafx.application.Platform;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.Labeled;
import javafx.scene.control.Slider;
import javafx.scene.input.Clipboard;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.Pane;
import org.assertj.core.data.Percentage;
import org.junit.jupiter.api.Test;

/** The real window, driven by mouse and keyboard on the toolkit's headless platform. */
class WindowTest extends BenchTest {
  /** What becomes of the curve at each edit is the point here. */
  @Override
  boolean studies() {
    return true;
  }

  @Override
  CurveService.Solver solver() {
    return Desk::curve;
  }

  @Override
  List<BuildDocument> documents() {
    return List.of(
        new BuildDocument(DemoBuilds.hillClimbEight(), List.of()),
        new BuildDocument(DemoBuilds.paddockFour(), List.of()));
  }

  private CurveState curve() {
    return bench.curves().stateProperty().get();
  }

  private double power() {
    return curve().curve().peakPower().orElseThrow().power();
  }

  private void click(String id, String text) {
    robot.clickOn(id).press(KeyCode.CONTROL, KeyCode.A).release(KeyCode.A, KeyCode.CONTROL);
    robot.write(text).type(KeyCode.ENTER);
    Pulse.await();
  }

  /** One cylinder sketches a cross-plane V8's curve, four of eight make it; beside it its like. */
  @Test
  void aSketchStandsUntilTheCurveDoes() {
    choose("#layout", grandbore.core.combination.Arrangement.VEE_8_CROSS);
    settle();
    var sketches = new ArrayList<CurveState.Sketch>();
    var watch =
        bench
            .curves()
            .stateProperty()
            .subscribe(s -> Optional.ofNullable(s.sketch()).ifPresent(sketches::add));
    double before = power();
    click("#bottomEnd-bore-text", ".060 over");
    settle();
    watch.unsubscribe();
    var sketch = sketches.getLast();
    assertThat(sketch.curve().fidelity()).isEqualTo(Fidelity.LIVE);
    assertThat(sketch.before().fidelity()).isEqualTo(Fidelity.LIVE);
    assertThat(sketch.curve().peakPower().orElseThrow().power())
        .isGreaterThan(sketch.before().peakPower().orElseThrow().power());
    assertThat(curve().sketch()).isNull();
    assertThat(curve().fidelity()).isEqualTo(Fidelity.PLACED);
    assertThat(curve().ghost().peakPower().orElseThrow().power()).isEqualTo(before);
    assertThat(text("#curve-status")).contains("4 of 8 cylinders solved");
  }

  @Test
  void aChangedBoreMovesTheCurveAndUndoRestoresIt() {
    double before = power();
    double displacement = bench.session().build().combination().bottomEnd().displacement();
    click("#bottomEnd-bore-text", ".060 over");
    settle();
    assertThat(text("#bottomEnd-bore-text")).isEqualTo("4.154");
    assertThat(power()).isGreaterThan(1.005 * before);
    assertThat(curve().ghost().peakPower().orElseThrow().power()).isEqualTo(before);
    assertThat(text("#figure-displacement")).isEqualTo("330.7 in³");
    robot.clickOn("#undo");
    until(
        "undone",
        () ->
            bench.session().build().combination().bottomEnd().displacement()
                < 1.0001 * displacement);
    settle();
    assertThat(text("#bottomEnd-bore-text")).isEqualTo("4.094");
    // Each speed starts from its own last state, so that the way back ends as near as runs settle.
    assertThat(power()).isCloseTo(before, Percentage.withPercentage(0.1));
    robot.press(KeyCode.CONTROL, KeyCode.Y).release(KeyCode.Y, KeyCode.CONTROL);
    until("redone", () -> text("#bottomEnd-bore-text").equals("4.154"));
  }

  /** What the reading line and the exported curve say is what the model said. */
  @Test
  void theCursorReadsTheCurveAndTheMarksCycle() {
    var point = curve().curve().points().get(8);
    robot.interact(() -> robot.lookup("#rpm-cursor").<Slider>query().setValue(point.rpm()));
    var numbers =
        robot.lookup("#curve-reading").<Pane>query().getChildrenUnmodifiable().stream()
            .map(box -> ((Labeled) ((Pane) box).getChildren().getFirst()).getText())
            .toList();
    assertThat(numbers.get(0)).isEqualTo("%,.0f".formatted(point.rpm()));
    assertThat(numbers.get(1)).isEqualTo("%.0f".formatted(point.torque() / 1.3558179));
    assertThat(numbers.get(2)).isEqualTo("%.0f".formatted(point.power() / 745.69987));
    var before = bench.session().build().combination().bottomEnd().bore().provenance();
    robot.clickOn("#bottomEnd-bore-mark");
    Pulse.await();
    assertThat(bench.session().build().combination().bottomEnd().bore().provenance())
        .isNotEqualTo(before);
  }

  @Test
  void whatCannotBeIsRefusedWithItsReasonAndStaysAsTyped() {
    var before = bench.session().build();
    click("#bottomEnd-bore-text", "12 mm");
    assertThat(text("#bottomEnd-bore-refusal"))
        .contains("Bore", "12.00 mm", "allowed: 30.00 mm", "because");
    assertThat(text("#bottomEnd-bore-text")).isEqualTo("12 mm");
    assertThat(bench.session().build()).isEqualTo(before);
    click("#bottomEnd-rodLength-text", "3.5");
    assertThat(text("#bottomEnd-rodLength-refusal")).contains("rod ratio of 1.2");
    click("#bottomEnd-bore-text", "wide");
    assertThat(text("#bottomEnd-bore-refusal")).contains("can't be read");
    robot.type(KeyCode.ESCAPE);
    Pulse.await();
    assertThat(text("#bottomEnd-bore-text")).isEqualTo("4.094");
    assertThat(robot.lookup("#bottomEnd-bore-refusal").<Label>query().isVisible()).isFalse();
  }

  @Test
  void chamberReadingsMoveCompressionAndCurveAndSurviveARestart() throws Exception {
    double before = power();
    robot.clickOn("#station-clearances");
    String specified = text("#figure-static_compression");
    robot.clickOn("#measure-chamber");
    Pulse.await();
    // Enter keeps each reading and waits at the next place: no mouse between them.
    robot.clickOn("#chamber-volume-1-text");
    for (int i = 1; i <= 8; i++) {
      robot.write("64.5").type(KeyCode.ENTER);
      int n = i;
      until("kept", () -> bench.session().readings().all().size() == n);
    }
    settle();
    String measured = text("#figure-static_compression");
    assertThat(Double.parseDouble(measured)).isLessThan(Double.parseDouble(specified) - 0.5);
    assertThat(power()).isLessThan(before);
    assertThat(text("#spread-verdict")).contains("8 of 8 places");
    double after = power();
    stop();
    start();
    robot.clickOn("#station-clearances");
    Pulse.await();
    assertThat(text("#figure-static_compression")).isEqualTo(measured);
    assertThat(bench.session().readings().over(Measurement.CHAMBER, 8)).hasSize(8);
    assertThat(power()).isCloseTo(after, org.assertj.core.data.Percentage.withPercentage(0.3));
  }

  @Test
  void aBadReadingIsRefusedAndAHalfReadDeckSaysSo() {
    robot.clickOn("#station-clearances");
    Pulse.await();
    click("#deck-clearance-2-thrust-text", "4 in");
    assertThat(bench.session().readings().all()).isEmpty();
    assertThat(robot.lookup(".refusal").queryAllAs(Label.class))
        .anySatisfy(l -> assertThat(l.getText()).contains("Deck clearance 2", "allowed"));
    click("#deck-clearance-2-thrust-text", "21 thou");
    until("kept", () -> bench.session().readings().all().size() == 1);
    assertThat(text("#verdict-2")).contains("other side");
    click("#deck-clearance-2-opposite-text", "11 thou");
    until("kept", () -> bench.session().readings().all().size() == 2);
    assertThat(text("#value-2")).isEqualTo("0.0160");
    robot.press(KeyCode.CONTROL, KeyCode.Z).release(KeyCode.Z, KeyCode.CONTROL);
    until("struck", () -> bench.session().readings().all().stream().anyMatch(r -> r.struck()));
    assertThat(bench.session().readings().all()).hasSize(2);
  }

  @Test
  void everyStationOpensInBothUnitsAndThemesWithItsWorkingOneActionAway() {
    for (var theme : Look.Theme.values()) {
      for (var station : Station.values()) {
        robot.clickOn("#station-" + station.name().toLowerCase(Locale.ROOT));
        Pulse.await();
        assertThat(robot.lookup(".page-title").queryAllAs(Label.class))
            .anySatisfy(l -> assertThat(l.getText()).isEqualTo(station.title()));
      }
      robot.clickOn("#theme");
      assertThat(theme).isNotEqualTo(bench.look().themeProperty().get());
    }
    robot.clickOn("#station-compression").clickOn("#open-static_compression");
    Pulse.await();
    assertThat(text("#working-static_compression")).contains("÷", "cc", "geometry");
    robot.clickOn("#units");
    Pulse.await();
    assertThat(bench.session().build().units()).isEqualTo(UnitSystem.METRIC);
    assertThat(text("#compression-gasketBore-text")).isEqualTo("105.16");
  }

  @Test
  void theOtherBuildGoesOnTheBenchAndChoicesAreKept() {
    robot.clickOn("#builds").type(KeyCode.DOWN).type(KeyCode.ENTER);
    until("opened", () -> bench.session().build().name().equals("Paddock four"));
    settle();
    assertThat(curve().ghost()).isNull();
    double before = power();
    robot.clickOn("#station-breathing");
    click("#intake-runnerLength-text", "300");
    settle();
    assertThat(power()).isNotEqualTo(before);
    robot.clickOn("#station-heads");
    click("#intake-flow-row-2-text", "10");
    assertThat(text("#intake-flow-refusal") == null ? "" : text("#intake-flow-refusal")).isEmpty();
    click("#intake-lift-row-2-text", "1");
    assertThat(text("#intake-flow-refusal")).contains("lifts rise");
  }

  @Test
  void everyCylinderIsSolvedInTheBackgroundAndCanBeCancelled() throws Exception {
    press("#full-run");
    assertThat(curve().isRunning()).isTrue();
    // The window goes on: an event put in its queue comes back at once.
    var turn = new CountDownLatch(1);
    Platform.runLater(turn::countDown);
    assertThat(turn.await(2, TimeUnit.SECONDS)).isTrue();
    press("#cancel-run");
    until("cancelled", () -> !curve().isRunning());
    assertThat(curve().curve().fidelity()).isEqualTo(Fidelity.PLACED);
    robot.clickOn("#full-run");
    until("solved", () -> !curve().isRunning() && curve().curve().fidelity() == Fidelity.FULL);
    assertThat(curve().failures()).isEmpty();
  }

  /** The curve goes out as a table, its own and that of a build laid over, and as a drawing. */
  @Test
  void theCurveGoesOutAsTableAndDrawing() throws Exception {
    var tools = (PlotTools) robot.lookup("#curve-export").query().getParent();
    long other = bench.session().books().builds().getLast().id();
    robot.interact(() -> bench.session().layOver(other));
    until("laid over", () -> bench.curves().overProperty().get() != null);
    var table = folder.resolve("curve.csv");
    robot.interact(() -> tools.save(table));
    var name = bench.session().overProperty().get().build().name();
    var lines = Files.readAllLines(table);
    assertThat(lines.getFirst())
        .startsWith("rpm,")
        .contains("torque, lb·ft", "power, hp", "power, hp, " + name);
    assertThat(lines).hasSize(1 + curve().curve().points().size());
    press("#curve-copy");
    robot.interact(
        () -> {
          var held = Clipboard.getSystemClipboard();
          assertThat(held.getString().lines().toList()).isEqualTo(lines);
          assertThat(held.getImage().getWidth()).isGreaterThan(600);
        });
    var drawing = folder.resolve("curve.svg");
    robot.interact(() -> tools.save(drawing));
    // The build laid over is named on the drawing, as are torque and power.
    assertThat(Files.readString(drawing)).contains(">" + name, ">torque<", ">power<");
  }

  /** A fuel too poor is marked along the foot of the curve, and is gone with a better one. */
  @Test
  void whatTheEngineRunsIntoIsMarkedOnTheCurve() throws Exception {
    var tools = (PlotTools) robot.lookup("#curve-export").query().getParent();
    var drawing = folder.resolve("curve.svg");
    edit("mixture.fuel", FuelKind.RACE_116);
    settle();
    edit("mixture.fuel", FuelKind.PUMP_87);
    settle();
    robot.interact(() -> tools.save(drawing));
    assertThat(Files.readString(drawing)).contains("octane short");
    robot.clickOn("#undo");
    until("undone", () -> combination().mixture().fuel() != FuelKind.PUMP_87);
    settle();
    robot.interact(() -> tools.save(drawing));
    assertThat(Files.readString(drawing)).doesNotContain("octane short");
  }

  @Test
  void documentsGoOutAndComeInAndDamagedOnesAreRefused() throws Exception {
    var file = folder.resolve("out.json");
    robot.interact(() -> bench.transfer().sendOut(file));
    assertThat(BuildJson.read(Files.readString(file)).build().name())
        .isEqualTo("Club hill-climb V8");
    robot.interact(() -> bench.transfer().sendOut(folder.resolve("a.curve.csv")));
    assertThat(Files.readString(folder.resolve("a.curve.csv"))).startsWith("rpm,brake_torque_nm");
    Files.writeString(file, Files.readString(file).substring(0, 700));
    robot.interact(() -> bench.transfer().bringIn(file));
    assertThat(text("#foot")).contains("✕", "line", "column");
    assertThat(bench.session().books().builds()).hasSize(2);
  }

  /** What the brief wants beside power stands under the curve's head, and leads to the brief. */
  @Test
  void wantsAreMarkedUnderTheCurvesHead() {
    settle();
    until("octane", () -> isShown("#want-brief_octane"));
    assertThat(isShown("#want-brief_vacuum")).isFalse();
    var field = Specs.field("brief.vacuum");
    robot.interact(
        () ->
            bench
                .session()
                .edit(
                    "vacuum",
                    b ->
                        b.with(
                            field.with(
                                b.combination(),
                                field.get(b.combination()).with(70e3, Provenance.CARD)))));
    until("vacuum", () -> isShown("#want-brief_vacuum"));
    assertThat(robot.lookup("#want-brief_vacuum").<Button>query().getText())
        .startsWith("▲ Vacuum at idle ");
    robot.clickOn("#want-brief_vacuum");
    assertThat(bench.rail().chosenProperty().get()).isEqualTo(Station.BRIEF);
    until("told there too", () -> isShown("#check-brief_vacuum"));
  }

  /** A pinned curve stays through edits and other builds, goes out with the table, and goes. */
  @Test
  void aPinnedCurveStaysWhateverBecomesOfTheBuild() {
    settle();
    var first = curve().curve();
    press("#curve-pin");
    String name = robot.lookup("#pin-A").<Button>query().getText();
    assertThat(name).startsWith("A  " + bench.session().build().name()).contains(" hp");
    double before = curve().curve().peakPower().orElseThrow().power();
    edit(
        "bottomEnd.bore",
        Specs.field("bottomEnd.bore")
            .get(combination())
            .with(1.01 * combination().bottomEnd().bore().si(), Provenance.CARD));
    settle();
    assertThat(curve().curve()).isNotEqualTo(first);
    assertThat(curve().curve().peakPower().orElseThrow().power()).isNotEqualTo(before);
    for (int k = 0; k < 5; k++) {
      press("#curve-pin");
    }
    assertThat(robot.lookup("#curve-pin").<Button>query().isDisabled()).isTrue();
    var file = folder.resolve("curves.csv");
    robot.interact(
        () -> ((PlotTools) robot.lookup("#curve-export").query().getParent()).save(file));
    assertThat(file).content().contains("A, " + bench.session().build().name(), "F, ");
    press("#pin-A");
    assertThat(isShown("#pin-A")).isFalse();
    assertThat(isShown("#pin-B")).isTrue();
  }
}
