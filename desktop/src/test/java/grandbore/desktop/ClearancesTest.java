package grandbore.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import grandbore.book.BuildDocument;
import grandbore.core.clearances.Band;
import grandbore.core.clearances.Fastener;
import grandbore.core.clearances.Finding;
import grandbore.core.clearances.Measurement;
import grandbore.core.clearances.Reading;
import grandbore.core.demo.DemoBuilds;
import java.nio.file.Files;
import java.time.Instant;
import java.util.List;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;

/** The measured book: entry, bands, doubts, tasks, torque, sign-offs, findings, backups. */
class ClearancesTest extends BenchTest {
  @Override
  List<BuildDocument> documents() {
    return List.of(
        new BuildDocument(DemoBuilds.hillClimbEight(), List.of()),
        new BuildDocument(DemoBuilds.paddockFour(), List.of()));
  }

  private void readings(String group, String measure) {
    robot.clickOn("#station-clearances");
    view("bench-readings");
    robot.clickOn("#group-" + group);
    robot.clickOn("#measure-" + measure);
    Pulse.await();
  }

  private int count() {
    return bench.session().readings().all().size();
  }

  /** Number pad only: Enter walks from valve to valve, and each place says how it stands. */
  @Test
  void valvesAreWalkedOneByOneAndJudged() {
    readings("valves", "valve_to_piston");
    robot.clickOn("#piston-to-valve,-depth-1-intake-text");
    for (var typed : List.of(".094", ".135", ".070", ".128")) {
      int before = count();
      robot.write(typed).type(KeyCode.ENTER);
      until("kept", () -> count() == before + 1);
    }
    assertThat(bench.session().readings().all())
        .extracting(Reading::side)
        .containsExactly(
            Reading.Side.INTAKE, Reading.Side.EXHAUST, Reading.Side.INTAKE, Reading.Side.EXHAUST);
    assertThat(text("#verdict-1-intake")).contains("inside");
    assertThat(text("#verdict-2-intake")).contains("too tight");
    assertThat(text("#bench-doubts")).contains("cylinder 2, intake").contains("more pocket");
    press("#strike-2-intake");
    until("struck", () -> text("#value-2-intake").equals("—"));
    assertThat(bench.session().readings().all()).hasSize(4);
    robot.press(KeyCode.CONTROL, KeyCode.Z).release(KeyCode.Z, KeyCode.CONTROL);
    until("taken back", () -> text("#value-2-intake").equals("0.0700"));
  }

  /** A chamber far above its brothers asks for its plug; another reading in its place clears it. */
  @Test
  void aReadingThatCantBeRightIsQuestioned() {
    readings("decks", "chamber");
    robot.clickOn("#chamber-volume-1-text");
    for (var typed : List.of("57.1", "57.0", "56.9", "59.4", "57.1", "57.0", "57.2", "56.9")) {
      int before = count();
      robot.write(typed).type(KeyCode.ENTER);
      until("kept", () -> count() == before + 1);
    }
    assertThat(text("#bench-doubts")).contains("can't be right").contains("plug left out");
    assertThat(text("#verdict-4")).contains("cannot be right");
    assertThat(text("#verdict-3")).doesNotContain("cannot be right");
    assertThat(text("#spread-verdict")).contains("more than the");
    view("bench-todo");
    assertThat(robot.lookup("#todo-doubts .label").queryAllAs(Label.class))
        .anySatisfy(l -> assertThat(l.getText()).contains("Chamber volume, cylinder 4"));
    view("bench-readings");
    press("#strike-4");
    until("struck", () -> text("#value-4").equals("—"));
    type("#chamber-volume-4-text", "57.0");
    until("kept", () -> count() == 9);
    assertThat(text("#bench-doubts")).doesNotContain("can't be right");
    settle();
    until("told", () -> text("#bench-change").contains("peak power"));
  }

  @Test
  void theMakersFigureTakesThePlaceOfPractice() {
    readings("pistons", "second_ring_gap");
    assertThat(text("#bench-bands")).contains("older school");
    type("#second-ring-end-gap-3-text", "19 thou");
    until("kept", () -> count() == 1);
    assertThat(text("#verdict-3")).contains("too tight");
    type("#rule-least", "0.016");
    type("#rule-most", "0.020");
    type("#rule-said", "ring sheet, page 3");
    press("#rule-maker");
    until("counts", () -> text("#verdict-3").contains("inside"));
    assertThat(text("#bench-bands")).contains("ring sheet, page 3").contains("the part's maker");
    assertThat(bench.session().ledger().band(Measurement.SECOND_RING_GAP, Reading.Side.NONE))
        .hasValueSatisfying(b -> assertThat(b.source()).isEqualTo(Band.Source.MAKER));
    type("#rule-least", "0.030");
    type("#rule-most", "0.020");
    press("#rule-house");
    assertThat(robot.lookup(".refusal").queryAllAs(Label.class))
        .anySatisfy(l -> assertThat(l.getText()).contains("the first is the smaller"));
  }

  /** Oil clearance follows at once from bore and journal, the note and the zero with them. */
  @Test
  void partsMeasuredApartGiveTheClearance() {
    readings("ends", "main_bore");
    robot.interact(
        () -> {
          robot.lookup("#zero-before").<javafx.scene.control.TextField>query().setText("0");
          robot.lookup("#zero-after").<javafx.scene.control.TextField>query().setText("0.0003");
          robot.lookup("#read-by").<javafx.scene.control.TextField>query().setText("Ines");
        });
    type("#main-bore,-shells-in-2-text", "2.5226");
    until("kept", () -> count() == 1);
    assertThat(text("#bench-doubts")).contains("zero moved").contains("loose base");
    robot.interact(
        () -> robot.lookup("#zero-after").<javafx.scene.control.TextField>query().setText("0"));
    robot.clickOn("#measure-main_journal");
    type("#main-journal-2-text", "2.5200");
    until("kept", () -> count() == 2);
    robot.clickOn("#measure-main_bearing");
    assertThat(text("#value-2")).isEqualTo("0.0026");
    assertThat(text("#verdict-2")).contains("inside");
    assertThat(bench.session().readings().all().getFirst().taken().by()).isEqualTo("Ines");
  }

  @Test
  void fastenersAreTickedStageByStage() {
    robot.clickOn("#station-clearances");
    view("bench-torque");
    type("#fastener-name", "head bolts");
    type("#fastener-rows", "2");
    type("#fastener-sequence", "5 3 4 6 2 1");
    type("#fastener-stages", "20 N·m; 40 N·m; 90°");
    press("#fastener-keep");
    assertThat(text("#fastener-refusal")).contains("lubricant");
    type("#fastener-lubricant", "engine oil");
    press("#fastener-keep");
    until("kept", () -> bench.session().notes(Fastener.class).size() == 1);
    assertThat(robot.lookup("#tick-head-bolts-2").<CheckBox>query().isDisabled()).isTrue();
    robot.interact(() -> robot.lookup("#tick-head-bolts-1").<CheckBox>query().fire());
    until("next", () -> !robot.lookup("#tick-head-bolts-2").<CheckBox>query().isDisabled());
    press("#undo");
    until("back", () -> robot.lookup("#tick-head-bolts-2").<CheckBox>query().isDisabled());
  }

  @Test
  void signedAndFoundThingsSurviveARestart() throws Exception {
    robot.clickOn("#station-clearances");
    view("bench-assembly");
    type("#signed-by", "Tomasz");
    press("#sign-primed");
    until("signed", () -> text("#sign-primed").equals("Take back"));
    view("bench-findings");
    choose("#finding-part", Finding.Part.RING);
    choose("#finding-kind", Finding.Kind.BUTTED);
    type("#finding-words", "ends shine");
    press("#finding-keep");
    until("kept", () -> !bench.session().notes(Finding.class).isEmpty());
    stop();
    start();
    robot.clickOn("#station-clearances");
    view("bench-assembly");
    assertThat(text("#sign-primed")).isEqualTo("Take back");
    assertThat(robot.lookup(".label").queryAllAs(Label.class))
        .anySatisfy(l -> assertThat(l.getText()).contains("signed by Tomasz"));
    view("bench-findings");
    assertThat(robot.lookup(".label").queryAllAs(Label.class))
        .anySatisfy(l -> assertThat(l.getText()).contains("was not read at cylinder 1"));
  }

  /** A backup brings back what was there, and what came after it is kept beside the book. */
  @Test
  void aBackupIsRestoredFromTheWindow() throws Exception {
    readings("decks", "chamber");
    type("#chamber-volume-1-text", "57");
    until("kept", () -> count() == 1);
    view("bench-book");
    int listed = restores().size();
    press("#book-backup");
    until("made", () -> text("#book-says").contains("A backup was made"));
    // The list is read after it: the newest stands first.
    until("listed", () -> restores().size() > listed);
    robot.interact(
        () ->
            bench
                .session()
                .read(
                    new Reading(
                        0,
                        Measurement.CHAMBER,
                        2,
                        Reading.Side.NONE,
                        58e-6,
                        "",
                        "",
                        Instant.now(),
                        false)));
    until("kept", () -> count() == 2);
    robot.interact(() -> restores().getFirst().fire());
    until("restored", () -> count() == 1);
    assertThat(text("#book-says")).contains("replaced");
    try (var files = Files.list(folder)) {
      assertThat(files.map(f -> f.getFileName().toString()))
          .anyMatch(n -> n.startsWith("book.sqlite-replaced-"));
    }
  }

  /** The newest backup's first. */
  private List<Button> restores() {
    return robot.lookup(".button").queryAllAs(Button.class).stream()
        .filter(b -> b.getText().equals("Restore"))
        .toList();
  }
}
