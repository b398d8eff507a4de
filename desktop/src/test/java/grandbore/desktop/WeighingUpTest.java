package grandbore.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import grandbore.book.PlannedChanges;
import grandbore.core.changes.Cost;
import grandbore.core.clearances.Measurement;
import grandbore.core.clearances.Planned;
import grandbore.core.clearances.Reading;
import grandbore.core.combination.Given;
import grandbore.core.combination.Specs;
import grandbore.core.doubt.Uncertain;
import grandbore.core.prediction.EngineKey;
import grandbore.core.runs.Urgency;
import grandbore.core.studies.Doubt;
import grandbore.core.studies.Goal;
import grandbore.desktop.station.Station;
import grandbore.desktop.weighing.LadderView;
import java.nio.file.Files;
import java.time.Instant;
import java.util.List;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Slider;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;

/** An input swept from where it stands to the best of it in the build; searches, ladders, maps. */
class WeighingUpTest extends WeighingBench {
  /** One key from an input to its sweep; the best value goes into the build, and back by undo. */
  @Test
  void anInputIsSweptAndItsBestTakenOver() {
    edit(
        "intake.runnerLength",
        ((Given) combination().at("intake.runnerLength"))
            .with(0.18, grandbore.core.combination.Provenance.CARD));
    double before = combination().intake().runnerLength().si();
    robot.interact(() -> robot.lookup("#intake-runnerLength-text").query().requestFocus());
    robot
        .press(KeyCode.CONTROL, KeyCode.SHIFT, KeyCode.W)
        .release(KeyCode.W, KeyCode.SHIFT, KeyCode.CONTROL);
    until("the station", () -> bench.rail().chosenProperty().get() == Station.WEIGHING);
    assertThat(robot.lookup("#sweep-input").<ComboBox<?>>query().getValue().toString())
        .contains("runnerLength");
    until("its end", () -> !text("#sweep-status").isEmpty());
    assertThat(text("#sweep-status")).startsWith("Most at");
    assertThat(words("#sweep-table")).contains("Average power, kW", "none");
    // Another score of the same runs: a runner's length moves no valve.
    var most = text("#sweep-status");
    choose("#sweep-score", Goal.PISTON_TO_VALVE);
    assertThat(text("#sweep-status")).isEqualTo("No difference it can tell over this range.");
    assertThat(words("#sweep-table")).contains("Room from piston to valve");
    choose("#sweep-score", Goal.BAND_POWER);
    assertThat(text("#sweep-status")).isEqualTo(most);
    // One curve of the fan is picked, and says what it comes to.
    assertThat(text("#sweep-picked")).isEqualTo("all of them");
    robot.interact(() -> robot.lookup("#sweep-pick").<Slider>query().setValue(3));
    assertThat(text("#sweep-picked")).matches("[\\d.]+ mm: \\d+\\.\\d kW");
    // Kept, it is asked again of the same engine and comes to the same.
    press("#sweep-keep");
    view("weighing-kept");
    until("kept", () -> robot.lookup("Ask it again as it was").tryQuery().isPresent());
    robot.clickOn("Open");
    var said = text("#kept-said");
    assertThat(said).startsWith("Most at ");
    robot.clickOn("Ask it again as it was");
    until("again", () -> words("#kept-studies").stream().anyMatch(w -> w.contains("as it was on")));
    assertThat(text("#kept-said")).isEqualTo(said);
    view("weighing-sweep");
    until("there again", () -> isShown("#sweep-take"));
    press("#sweep-take");
    double after = combination().intake().runnerLength().si();
    assertThat(after).isNotEqualTo(before);
    assertThat(text("#sweep-from")).isNotEmpty();
    // What was taken over is swept about anew only when it is asked for; the range stays.
    until("its new end", () -> text("#sweep-status").startsWith("It stands at its best"));
    robot.clickOn("#undo");
    until("undone", () -> combination().intake().runnerLength().si() == before);
  }

  @Test
  void aRangeOutOfBoundsIsRefusedAndWhatIsUnknownAsksForOne() {
    bench.curves().runs().hold(Urgency.STUDY);
    go("weighing-sweep");
    type("#sweep-to", "9000");
    assertThat(words(".sweep-view"))
        .anyMatch(w -> w.contains("Primary length") && w.contains("allowed"));
    assertThat(text("#sweep-to")).isEqualTo("9000");
    type("#sweep-to", "1000");
    assertThat(words(".sweep-view")).noneMatch(w -> w.contains("allowed"));
    until("it waits", () -> !bench.curves().runs().isIdle());
  }

  private Doubt whole(EngineKey other) {
    var known = bench.curves().doubt().knownProperty();
    until(
        "sampled", () -> known.get().filter(k -> k.isWhole() && !k.of().equals(other)).isPresent());
    return known.get().orElseThrow().doubt();
  }

  /** How far the chamber's volume was drawn from where it stands, m³; nought where it was not. */
  private static double spread(Doubt doubt) {
    return doubt.inputs().stream()
        .filter(u -> u.path().equals("compression.chamberVolume"))
        .mapToDouble(Uncertain::spread)
        .sum();
  }

  /** From what carries the doubt to its reading, and back to a narrower band. */
  @Test
  void theListOfWhatToMeasureLeadsToTheReadingAndItIsKnownBetter() {
    robot.interact(() -> bench.curves().doubt().samplesProperty().set(24));
    go("weighing-doubt");
    assertThat(robot.lookup("#doubt-samples").<ComboBox<Integer>>query().getValue()).isEqualTo(24);
    var before = whole(null);
    assertThat(before.wanted()).isEqualTo(24);
    until("shares", () -> isShown("#settle-compression-chamberVolume"));
    assertThat(text("#doubt-says")).contains("samples of what its inputs allow", "own doubt");
    assertThat(text("#curve-status")).contains("band: four fifths of ");
    until("alone", () -> words("#doubt-table").stream().anyMatch(w -> w.matches("[+-].* [+-].*")));

    robot.clickOn("#settle-compression-chamberVolume");
    assertThat(bench.rail().chosenProperty().get()).isEqualTo(Station.CLEARANCES);
    assertThat(robot.lookup("#measure-chamber").<ToggleButton>query().isSelected()).isTrue();
    var key = bench.session().engine().key();
    double volume = bench.session().engine().combination().compression().chamberVolume().si();
    robot.interact(
        () -> {
          for (int cylinder = 1; cylinder <= 4; cylinder++) {
            bench
                .session()
                .read(
                    new Reading(
                        0,
                        Measurement.CHAMBER,
                        cylinder,
                        Reading.Side.NONE,
                        1.001 * volume,
                        "",
                        "",
                        Instant.now(),
                        false));
          }
        });
    go("weighing-doubt");
    var after = whole(key);
    assertThat(spread(after)).isPositive().isLessThan(0.5 * spread(before));
    // What was measured is not to be measured.
    until("shares again", () -> isShown("#settle-intake-throttleFlow"));
    assertThat(isShown("#settle-compression-chamberVolume")).isFalse();

    // Without a reading of its own an input is settled where it stands.
    robot.clickOn("#settle-intake-throttleFlow");
    assertThat(bench.rail().chosenProperty().get()).isEqualTo(Station.BREATHING);
    assertThat(robot.lookup("#intake-throttleFlow-text").query().isFocused()).isTrue();

    robot.clickOn("#curve-doubt");
    assertThat(text("#curve-status")).doesNotContain("band");
  }

  private List<String> rungs() {
    return words("#ladder-table").stream().filter(w -> w.matches("\\d  .*")).toList();
  }

  /** A change is written by editing, costs what was said, climbs the ladder, and is made. */
  @Test
  void changesAreWrittenOrderedAndMadeOnTheLadder() throws Exception {
    var session = bench.session();
    go("weighing-ladder");
    assertThat(isShown("#ladder-table")).isFalse();
    robot.clickOn("#change-begin");
    var before = session.build().combination();
    scale("intake.throttleFlow", 1.15);
    robot.clickOn("#change-name").write("Freer throttles");
    robot.clickOn("#change-price").write("many");
    robot.clickOn("#change-close");
    assertThat(words("#change-writer")).anyMatch(w -> w.contains("many"));
    assertThat(session.build().combination()).as("nothing is lost").isNotEqualTo(before);
    robot.interact(() -> robot.lookup("#change-price").<TextField>query().setText("80"));
    robot.clickOn("#change-labour").write("20");
    robot.clickOn("#change-hours").write("2.5");
    robot.clickOn("#change-supplier").write("own shop");
    robot.clickOn("#change-needs").write("a longer cable; jets");
    robot.clickOn("#change-close");
    var written = PlannedChanges.of(session.notes(Planned.class)).changes().getFirst();
    assertThat(written.cost()).isEqualTo(new Cost(80, 20, 2.5));
    assertThat(written.supplier()).isEqualTo("own shop");
    assertThat(written.needs()).containsExactly("a longer cable", "jets");
    assertThat(session.build().combination()).isEqualTo(before);
    assertThat(rungs()).containsExactly("1  Freer throttles");

    // The difference of another build is the second.
    robot.clickOn("#ladder-from");
    Pulse.await();
    robot.clickOn("Tight four");
    until("two", () -> rungs().size() == 2);
    until("run", () -> isShown("#ladder-pairs") && !words("#ladder-pairs").contains("–"));
    var first = words("#ladder-table");
    assertThat(first).contains("100", "All of it");

    // Two stages, each with its subtotal.
    press("#rung-stage-1");
    until("staged", () -> words("#ladder-table").contains("Stage 2"));
    var staged = words("#ladder-table");
    int one = staged.indexOf("Stage 1");
    assertThat(staged.get(one + 1)).isEqualTo("100");
    press("#rung-stage-1");
    assertThat(words("#ladder-table")).doesNotContain("Stage 1");

    // Moved by a key, taken back by undo.
    robot.interact(() -> robot.lookup("#rung-2").query().requestFocus());
    robot.press(KeyCode.ALT).type(KeyCode.UP).release(KeyCode.ALT);
    Pulse.await();
    assertThat(rungs()).containsExactly("1  As Tight four", "2  Freer throttles");
    robot.interact(session::undo);
    assertThat(rungs()).containsExactly("1  Freer throttles", "2  As Tight four");
    // All of it stands again at once.
    until("run", () -> isShown("#ladder-pairs") && !words("#ladder-pairs").contains("–"));
    // Dragged by the mouse: the first rung dropped on the second.
    robot.dragOnto("#rung-1", "#rung-2");
    until("dragged", 10, () -> rungs().getFirst().equals("1  As Tight four"));
    robot.interact(session::undo);
    assertThat(rungs()).containsExactly("1  Freer throttles", "2  As Tight four");
    // Compression costs nothing here, and so comes first.
    robot.clickOn("#ladder-order");
    until("ordered", () -> rungs().getFirst().equals("1  As Tight four"));

    robot.clickOn("#rung-away-1");
    assertThat(rungs()).containsExactly("1  Freer throttles");
    robot.clickOn("#rung-make-1");
    assertThat(((Given) session.build().combination().at("intake.throttleFlow")).si())
        .isEqualTo(1.15 * ((Given) before.at("intake.throttleFlow")).si());

    // A damaged file is refused whole.
    var file = Files.writeString(folder.resolve("changes.json"), "{\"format\": 3}");
    robot.interact(() -> ((LadderView) robot.lookup("#ladder-view").query()).read(file));
    assertThat(text("#ladder-status")).contains("✕ changes.json");
    assertThat(rungs()).hasSize(1);
  }

  private void scale(String path, double factor) {
    robot.interact(
        () ->
            bench
                .session()
                .edit(
                    path,
                    b -> {
                      var was = (Given) b.combination().at(path);
                      return b.with(
                          b.combination()
                              .with(path, was.with(factor * was.si(), was.provenance())));
                    }));
  }

  /** What is free is searched, stopped, gone on with, and the best goes into the build. */
  @Test
  void theBestOfASearchGoesIntoTheBuild() {
    var session = bench.session();
    go("weighing-search");
    robot.clickOn("#search-go");
    assertThat(words("#search-view")).anyMatch(w -> w.contains("nothing free"));
    robot.clickOn("#search-add");
    robot.interact(() -> robot.lookup("#search-candidates").<TextField>query().setText("some"));
    robot.clickOn("#search-go");
    assertThat(words("#search-view")).anyMatch(w -> w.contains("Candidates") && w.contains("some"));
    robot.interact(() -> robot.lookup("#search-candidates").<TextField>query().setText("100"));
    robot.clickOn("#search-go");
    until("some judged", () -> isShown("#search-progress"));
    robot.clickOn("#search-run-stop");
    until("stopped", () -> "Stopped.".equals(text("#search-run-words")));
    robot.clickOn("#search-go");
    until("searched", () -> text("#search-status").startsWith("100 candidates, seed 1."));
    assertThat(text("#search-status")).contains("Every cylinder solved");

    var field = Specs.field("exhaust.primaryLength");
    double before = field.get(session.build().combination()).si();
    robot.interact(() -> robot.lookup("#search-take-1").<Button>query().fire());
    double after = field.get(session.build().combination()).si();
    assertThat(after).isNotEqualTo(before).isBetween(0.8 * before, 1.2 * before);
    robot.interact(session::undo);
    assertThat(field.get(session.build().combination()).si()).isEqualTo(before);

    // With no way out the nearest miss is shown.
    robot.interact(() -> robot.lookup("#search-octane").<TextField>query().setText("70"));
    robot.interact(() -> robot.lookup("#search-candidates").<TextField>query().setText("10"));
    robot.interact(() -> robot.lookup("#search-go").<Button>query().fire());
    until("missed", () -> text("#search-status").startsWith("Nothing holds. The nearest miss"));
    assertThat(words("#search-table")).anyMatch(w -> w.contains("octane to spare"));
  }

  /**
   * Two inputs as a map, its best into the build; another score is read off without a run. Its
   * limits stand beside.
   */
  @Test
  void theBestOfAMapGoesIntoTheBuild() {
    var session = bench.session();
    // From the mouse on an input to its sweep.
    robot.rightClickOn("#exhaust-primaryLength-text");
    Pulse.await();
    robot.clickOn("#input-sweep");
    until("the station", () -> bench.rail().chosenProperty().get() == Station.WEIGHING);
    assertThat(robot.lookup("#sweep-input").<ComboBox<?>>query().getValue().toString())
        .contains("primaryLength");

    go("weighing-map");
    robot.clickOn("#map-go");
    until("mapped", () -> text("#map-status").startsWith("Most at"));
    var length = Specs.field("exhaust.primaryLength");
    var bore = Specs.field("exhaust.primaryDiameter");
    double before = length.get(session.build().combination()).si();
    double power = bench.curves().stateProperty().get().curve().peakPower().orElseThrow().power();
    assertThat(power).isPositive();
    var most = text("#map-status");
    choose("#map-score", Goal.OCTANE);
    assertThat(text("#map-status")).isNotEqualTo(most).contains("octane");
    choose("#map-score", Goal.BAND_POWER);
    assertThat(text("#map-status")).isEqualTo(most);
    robot.clickOn("#map-take");
    var after = session.build().combination();
    assertThat(most)
        .contains(
            length.spec().quantity().show(length.get(after).si(), session.build().units()),
            bore.spec().quantity().show(bore.get(after).si(), session.build().units()));
    robot.interact(session::undo);
    assertThat(length.get(session.build().combination()).si()).isEqualTo(before);

    // All limits beside, the first first, each with its working.
    go("weighing-limits");
    until("told", () -> text("#limits-says").contains("First: "));
    assertThat(isShown("#check-valves_follow")).isTrue();
    assertThat(words("#limits-view"))
        .anyMatch(w -> w.matches("\\d+ % (left|beyond): .*"))
        .anyMatch(w -> w.contains("maker's word"));
  }
}
