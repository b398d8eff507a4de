package grandbore.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import grandbore.book.BuildDocument;
import grandbore.core.combination.Boost;
import grandbore.core.combination.BottomEnd;
import grandbore.core.combination.Exhaust;
import grandbore.core.combination.Intake;
import grandbore.core.demo.DemoBuilds;
import grandbore.desktop.camshaft.LiftTables;
import grandbore.desktop.plot.PlotPane;
import grandbore.desktop.station.MixtureRow;
import java.nio.file.Files;
import java.util.List;
import javafx.scene.control.Label;
import javafx.scene.control.Slider;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;

/** The prediction's pages and the inputs that belong to it, in the real window. */
class ResultsTest extends BenchTest {
  @Override
  boolean studies() {
    return true;
  }

  @Override
  List<BuildDocument> documents() {
    return List.of(new BuildDocument(DemoBuilds.paddockFour(), List.of()));
  }

  private PlotPane plot(String id) {
    return robot.lookup(id).query();
  }

  private void station(String name) {
    robot.clickOn("#station-" + name);
    Pulse.await();
  }

  private void quiet() {
    until("results stand", () -> !robot.lookup("#results-run").query().isVisible());
  }

  /** One speed is solved whole, follows the cursor, and its plots export three ways. */
  @Test
  void oneSpeedFollowsTheCursorAndItsPlotsExport() throws Exception {
    robot.interact(() -> robot.lookup("#rpm-cursor").<Slider>query().setValue(6000));
    station("prediction");
    until("solved", () -> text("#results-status").contains("6,000 rpm, every cylinder solved"));
    assertThat(text("#worst-cylinder")).contains("fill alike", "hottest", "nearest to knock");
    assertThat(text("#flame-words"))
        .matches("Spark \\d+° before top centre; a tenth burned at .*Ten degrees less spark: -.*");
    // With one poor port it says which cylinder goes short.
    edit("heads.intakeShares", List.of(1.0, 1.0, 0.9, 1.0));
    until("unequal", () -> text("#worst-cylinder").contains("Cylinder 3 gets least charge"));
    robot.interact(() -> robot.lookup("#rpm-cursor").<Slider>query().setValue(7000));
    until("moved", () -> text("#results-status").contains("7,000 rpm, every cylinder solved"));
    // The cross-hair reads every line in the plot's own units.
    robot.moveTo("#plot-valves");
    until(
        "read",
        () ->
            text("#plot-valves-reading").contains("intake")
                && text("#plot-valves-reading").contains("cylinder"));
    for (var ending : List.of("svg", "png", "csv")) {
      var file = folder.resolve("plot." + ending);
      robot.interact(() -> plot("#plot-loop").save(file));
      assertThat(text("#plot-loop-reading")).contains(file.toString());
      assertThat(Files.size(file)).isGreaterThan(2000);
    }
    assertThat(Files.readString(folder.resolve("plot.svg"))).contains("<svg");
    assertThat(Files.readAllBytes(folder.resolve("plot.png"))).startsWith(0x89, 'P', 'N', 'G');
    var rows = Files.readAllLines(folder.resolve("plot.csv"));
    assertThat(rows.getFirst()).isEqualTo("\"volume, cc\",one cycle");
    assertThat(rows.size()).isGreaterThan(700);
    robot.interact(() -> plot("#plot-loop").save(folder.resolve("no/such.csv")));
    assertThat(text("#plot-loop-reading")).contains("✕", "can't be written");
  }

  /** All speeds, losses and slow running each come from a run and say what they are. */
  @Test
  void everyViewIsFilledFromARun() {
    station("prediction");
    robot.clickOn("#view-all");
    quiet();
    assertThat(isShown("#plot-pressures")).isTrue();
    assertThat(isShown("#plot-margins")).isTrue();
    robot.clickOn("#view-losses");
    until("running", () -> text("#results-run-words").contains("without each loss: "));
    until("losses", () -> text("#results-status").contains("do not add up"));
    assertThat(robot.lookup("#loss-table .input-label").queryAllAs(Label.class))
        .extracting(Label::getText)
        .contains("Friction, windage, accessories", "All together");
    robot.clickOn("#view-slow");
    until("slow", () -> text("#results-status").contains("coolant"));
    // A throttle for every runner: no common vacuum, and the page says so.
    assertThat(robot.lookup("#slow-results .soft").queryAllAs(Label.class))
        .anySatisfy(l -> assertThat(l.getText()).contains("no common vacuum"));
    assertThat(robot.lookup("#slow-results .number").queryAll()).hasSize(4);
  }

  /** A run that is cancelled ends at once and is not shown as done. */
  @Test
  void aRunCanBeCancelled() {
    station("prediction");
    quiet();
    robot.clickOn("#view-losses");
    until("running", () -> text("#results-run-words").contains("without each loss"));
    robot.clickOn("#results-run-stop");
    Pulse.await();
    assertThat(text("#results-run-words")).isEqualTo("Stopped.");
    assertThat(robot.lookup("#loss-table .input-label").queryAll()).isEmpty();
    assertThat(text("#results-run-stop")).isEqualTo("Run again");
    robot.clickOn("#results-run-stop");
    until("again", () -> text("#results-run-words").contains("without each loss"));
  }

  /** A long run is seen at the foot, whatever page asked for it, and can be stopped there. */
  @Test
  void aLongRunIsStoppedAtTheFoot() {
    station("prediction");
    quiet();
    robot.clickOn("#view-losses");
    until("at the foot", () -> robot.lookup("#foot-runs").query().isVisible());
    assertThat(text("#foot-runs-words")).contains("without each loss");
    robot.clickOn("#foot-runs-stop");
    until("stopped", () -> "Stopped.".equals(text("#results-run-words")));
    until("gone", () -> !robot.lookup("#foot-runs").query().isVisible());
    assertThat(text("#results-run-stop")).isEqualTo("Run again");
    assertThat(robot.lookup("#loss-table .input-label").queryAll()).isEmpty();
  }

  /** Inputs come and go with what they belong to. */
  @Test
  void inputsComeAndGoWithWhatTheyBelongTo() {
    station("breathing");
    assertThat(isShown("#boost-pressure-text")).isFalse();
    choose("#boost-by", Boost.Kind.TURBOCHARGER);
    assertThat(isShown("#boost-pressure-text")).isTrue();
    assertThat(isShown("#boost-turbineArea-text")).isTrue();
    assertThat(isShown("#boost-ratedSpeed-text")).isFalse();
    choose("#boost-by", Boost.Kind.CENTRIFUGAL);
    assertThat(isShown("#boost-ratedSpeed-text")).isTrue();
    assertThat(isShown("#boost-turbineArea-text")).isFalse();
    assertThat(robot.lookup(".caution").queryAllAs(Label.class))
        .anySatisfy(l -> assertThat(l.getText()).contains("pressure vessel"));
    assertThat(isShown("#intake-plenumVolume-text")).isFalse();
    choose("#manifold", Intake.Manifold.DUAL_PLANE);
    assertThat(isShown("#intake-planeWindow-text")).isTrue();
    assertThat(isShown("#exhaust-secondaryLength-text")).isFalse();
    choose("#exhaust", Exhaust.Kind.STEPPED);
    assertThat(isShown("#exhaust-secondaryLength-text")).isTrue();
    type("#intake-throttles-text", "2");
    assertThat(bench.session().build().combination().intake().throttles()).isEqualTo(2);
    type("#intake-throttles-text", "many");
    assertThat(bench.session().build().combination().intake().throttles()).isEqualTo(2);
    type("#by-intake-runnerChanges-3", "20");
    assertThat(bench.session().build().combination().intake().runnerChanges())
        .hasSize(4)
        .element(2)
        .isEqualTo(0.020);
    type("#by-intake-runnerChanges-3", "0");
    assertThat(bench.session().build().combination().intake().runnerChanges()).isEmpty();
  }

  /** Layout and firing order are one choice and one line; a choice that can't be says why. */
  @Test
  void layoutAndFiringOrderAreTypedTheWayTheyAreSaid() {
    type("#firing-order", "1-2-4-3");
    assertThat(bench.session().build().combination().bottomEnd().firingOrder())
        .containsExactly(1, 2, 4, 3);
    type("#firing-order", "1-2-2-3");
    assertThat(bench.session().build().combination().bottomEnd().firingOrder())
        .containsExactly(1, 2, 4, 3);
    // What was refused stands as typed until it is given up.
    assertThat(text("#firing-order")).isEqualTo("1-2-2-3");
    robot.type(KeyCode.ESCAPE);
    choose("#layout", grandbore.core.combination.Arrangement.VEE_TWIN_45);
    var bottom = bench.session().build().combination().bottomEnd();
    assertThat(bottom.layout()).isEqualTo(BottomEnd.Layout.VEE);
    assertThat(text("#firing-order")).isEqualTo("1(315)-2(405)");
    settle();
    station("breathing");
    choose("#manifold", Intake.Manifold.DUAL_PLANE);
    assertThat(bench.session().build().combination().intake().manifold())
        .isEqualTo(Intake.Manifold.INDIVIDUAL);
    assertThat(text("#foot")).contains("✕", "Manifold", "because");
    choose("#boost-by", Boost.Kind.CENTRIFUGAL);
    assertThat(text("#foot")).doesNotContain("✕");
  }

  /** A measured lobe takes the card's place, and goes out again. */
  @Test
  void aMeasuredLobeTakesTheCardsPlace() throws Exception {
    station("cam");
    var file = folder.resolve("lobe.csv");
    var table = new StringBuilder("angle_deg,lift_mm\n");
    for (int a = -120; a <= 120; a += 10) {
      double lift = 10.1 * Math.pow(Math.cos(Math.toRadians(a) * 0.75), 2);
      table.append(a).append(',').append(lift).append('\n');
    }
    Files.writeString(file, table);
    var tables = robot.lookup(n -> n instanceof LiftTables).<LiftTables>query();
    robot.interact(() -> tables.bringIn("Intake lobe", "cam.intakeTable", file));
    assertThat(bench.session().build().combination().cam().intakeTable().rows()).hasSize(25);
    assertThat(robot.lookup(".soft").queryAllAs(Label.class))
        .anySatisfy(l -> assertThat(l.getText()).isEqualTo("Intake lobe: measured, 25 rows"));
    var back = folder.resolve("back.csv");
    robot.interact(() -> tables.sendOut("cam.intakeTable", back));
    var again = grandbore.book.LiftTableCsv.read(Files.readString(back));
    assertThat(again.peak()).isBetween(10.05e-3, 10.15e-3);
    assertThat(again.rows()).hasSizeGreaterThan(100);
    Files.writeString(file, table.toString().replace("0,", "x,"));
    robot.interact(() -> tables.bringIn("Intake lobe", "cam.intakeTable", file));
    assertThat(robot.lookup(".refusal").queryAllAs(Label.class))
        .anySatisfy(l -> assertThat(l.getText()).contains("✕", "is no number"));
    robot.clickOn("#undo");
    until("undone", () -> !bench.session().build().combination().cam().intakeTable().isGiven());
  }

  /** Lambda by cylinder is typed over the mean, refused with its range, undone, and put back. */
  @Test
  void mixtureByCylinderIsTyped() {
    station("brief");
    assertThat(combination().mixture().byCylinder()).isEmpty();
    type("#by-mixture-byCylinder-3", "104");
    until("taken", () -> combination().mixture().byCylinder().size() == 4);
    assertThat(combination().mixture().byCylinder().get(2))
        .isCloseTo(1.04, org.assertj.core.api.Assertions.within(1e-9));
    assertThat(combination().mixture().lambda(3)).isGreaterThan(combination().mixture().lambda(1));
    type("#by-mixture-byCylinder-2", "200");
    assertThat(
            robot.lookup(".refusal").queryAllAs(Label.class).stream()
                .map(Label::getText)
                .filter(t -> t.contains("0.70 to 1.40")))
        .isNotEmpty();
    assertThat(combination().mixture().byCylinder().get(1)).isEqualTo(1);
    robot.clickOn("#undo");
    until("alike again", () -> combination().mixture().byCylinder().isEmpty());
  }

  /** Mixture and spark by speed are typed in the brief, refused with the row, taken out again. */
  @Test
  void mixtureBySpeedIsTyped() throws Exception {
    station("brief");
    type("#mixture-rows", "3000 0.95 26; 6000 0.50 34");
    assertThat(text("#mixture-row .refusal")).contains("row 2, lambda", "0.65 to 1.25");
    type("#mixture-rows", "3000 0.95 26; fast");
    assertThat(text("#mixture-row .refusal")).contains("“fast”", "3000 0.88 28");
    type("#mixture-rows", "3000 0.95 26; 6000 0.85 34");
    until("taken", () -> combination().mixture().bySpeed().rows().size() == 2);
    assertThat(combination().mixture().lambda().si())
        .isCloseTo(0.9, org.assertj.core.api.Assertions.within(1e-12));
    assertThat(text("#mixture-table")).startsWith("2 speeds");
    var file = folder.resolve("mixture.csv");
    Files.writeString(file, "speed_rpm,lambda\n3000,0.9\n4000,0.88\n5000,0.86\n");
    robot.interact(() -> robot.lookup("#mixture-row").<MixtureRow>query().load(file));
    until("loaded", () -> combination().mixture().bySpeed().rows().size() == 3);
    press("#mixture-drop");
    until("one for all", () -> !combination().mixture().bySpeed().isGiven());
    assertThat(combination().mixture().lambda().si())
        .isCloseTo(0.88, org.assertj.core.api.Assertions.within(1e-12));
  }
}
