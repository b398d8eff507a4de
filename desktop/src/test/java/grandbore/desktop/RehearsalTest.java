package grandbore.desktop;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import grandbore.book.BuildDocument;
import grandbore.book.FastenerCsv;
import grandbore.core.clearances.Measurement;
import grandbore.core.clearances.Reading;
import grandbore.core.clearances.Tick;
import grandbore.core.demo.DemoBuilds;
import grandbore.core.guided.Routine;
import java.util.List;
import java.util.regex.Pattern;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.TextField;
import javafx.scene.layout.Region;
import org.junit.jupiter.api.Test;

/** Measurements led step by step with the simulated instruments, from set-up to verdict. */
class RehearsalTest extends BenchTest {
  private static final double CHECKING = 1.27e-3;
  private static final Pattern DIAL = Pattern.compile("dial indicator (-?[0-9.]+) mm");

  @Override
  List<BuildDocument> documents() {
    return List.of(new BuildDocument(DemoBuilds.hillClimbEight(), List.of()));
  }

  private String say(String line) {
    robot.interact(
        () -> {
          var field = robot.lookup("#console").<TextField>query();
          field.setText(line);
          field.getOnAction().handle(null);
        });
    return text("#console-answer");
  }

  private void begin(Routine routine) {
    robot.clickOn("#station-clearances");
    view("bench-guided");
    press("#rehearse");
    until("instruments", () -> text("#console-answer").startsWith("simulated instruments"));
    choose("#guide-routine", routine);
  }

  private double dial() {
    var m = DIAL.matcher(say("read dial"));
    assertThat(m.matches()).as("dial").isTrue();
    return Double.parseDouble(m.group(1)) * 1e-3;
  }

  /** Turns until the dial passes a height on its way up or down. */
  private void turnUntil(double step, boolean up, double height) {
    double is = dial();
    for (int i = 0; i < 900; i++) {
      say("turn " + (Math.abs(is - height) > 1e-3 ? 8 * step : step));
      is = dial();
      if (up ? is >= height : is <= height) {
        return;
      }
    }
    throw new AssertionError("the dial never came to " + height);
  }

  private void send(String step) {
    say("send encoder");
    until(step + " read", () -> !text("#step-" + step + "-text").isEmpty());
  }

  /** A cam that is 3° late in a drive with 4° of play is found, with how far to move it. */
  @Test
  void aCamIsDegreedFromStartToVerdict() {
    begin(Routine.DEGREE);
    say("cam 3");
    say("slack 4");
    // The drive's play is taken up by turning forward, round to top centre of the firing.
    say("turn 720");
    send("top");
    say("on intake");
    say("turn 200");
    say("zero dial");
    press("#step-done-set");
    say("turn 100");
    turnUntil(0.5, true, CHECKING);
    send("opens");
    double full = bench.session().build().combination().cam().intakeLobeLift().si();
    turnUntil(0.5, true, full - CHECKING);
    send("rise");
    say("turn 20");
    turnUntil(0.5, false, full - CHECKING);
    send("fall");
    say("turn 40");
    turnUntil(0.5, false, CHECKING);
    send("closes");
    assertThat(text("#guide-wrong")).isEmpty();
    assertThat(text("#guide-says"))
        .contains("Centreline, intake: ")
        .contains("late")
        .contains("advance by");
    // Card 105°, 3° late, the drive's play dragging the cam 2° behind: read where it really runs.
    double read = centreline();
    assertThat(read).isCloseTo(105 + 3 + 2, within(1.0));
    say("turn -300");
    turnUntil(-0.5, true, CHECKING);
    turnUntil(-0.5, false, CHECKING);
    send("back");
    assertThat(text("#guide-says")).contains("Slack of the drive: ");
    assertThat(robot.lookup("#guide-into").<Button>query().isDisabled()).isFalse();
    press("#guide-into");
    var degreed = bench.session().build().combination().degreed();
    assertThat(degreed.intakeOpens().isKnown()).isTrue();
    assertThat(degreed.intakeOpens().provenance())
        .isEqualTo(grandbore.core.combination.Provenance.MEASURED);
  }

  private double centreline() {
    var m = Pattern.compile("Centreline, intake: ([0-9.]+)").matcher(text("#guide-says"));
    assertThat(m.find()).isTrue();
    return Double.parseDouble(m.group(1));
  }

  /** Turned back before reading: said at once, and nothing goes into the book. */
  @Test
  void turningBackIsCaught() {
    begin(Routine.DEGREE);
    say("turn 720");
    send("top");
    say("on intake");
    say("turn 200");
    say("zero dial");
    press("#step-done-set");
    say("turn 160");
    say("turn -20");
    send("opens");
    until("caught", () -> text("#guide-wrong").contains("two more turns"));
    assertThat(robot.lookup("#guide-into").<Button>query().isDisabled()).isTrue();
  }

  /** Top centre by the stop with a wheel 5° off; then a deck with a dial whose base slips. */
  @Test
  void topCentreAndDeck() {
    begin(Routine.TOP_BY_STOP);
    say("turn 60");
    say("stop 8 mm");
    say("wheel 65");
    press("#step-done-fit");
    say("turn 300");
    say("send encoder");
    until("forward", () -> !text("#step-forward-text").isEmpty());
    say("turn -300");
    say("send encoder");
    until("back", () -> !text("#step-back-text").isEmpty());
    assertThat(text("#guide-says")).contains("reads 5.0°").contains("-5.0°");
    assertThat(robot.lookup("#guide-plan").query().isVisible())
        .as("the whole engine has no places")
        .isFalse();
    choose("#guide-routine", Routine.DECK);
    say("stop out");
    say("turn to 5");
    say("on deck");
    say("zero dial");
    say("send dial");
    until("zero", () -> !text("#step-zero-text").isEmpty());
    say("on piston thrust");
    say("send dial");
    until("thrust", () -> !text("#step-thrust-text").isEmpty());
    say("on piston opposite");
    say("send dial");
    until("opposite", () -> !text("#step-opposite-text").isEmpty());
    say("on deck");
    say("fault dial drift 0.04 mm");
    say("send dial");
    until("after", () -> text("#guide-wrong").contains("loose base"));
    assertThat(robot.lookup("#guide-into").<Button>query().isDisabled()).isTrue();
    say("fault dial none");
    say("zero dial");
    type("#step-after-text", "0");
    assertThat(text("#guide-wrong")).isEmpty();
    press("#guide-into");
    until("kept", () -> bench.session().readings().at(Measurement.DECK, 1).isPresent());
    double deck = bench.session().build().combination().bottomEnd().deckClearance();
    assertThat(bench.session().readings().at(Measurement.DECK, 1).orElseThrow().value())
        .isCloseTo(deck, within(0.02e-3));
    anotherCylinderIsChosenOnThePlan();
  }

  private void anotherCylinderIsChosenOnThePlan() {
    var plan = robot.lookup("#guide-plan").<Region>query();
    var place = robot.lookup("#guide-place").<ComboBox<Integer>>query();
    assertThat(place.getValue()).isEqualTo(1);
    for (double x = plan.getWidth() - 5; x > 0 && place.getValue() == 1; x -= 12) {
      robot.clickOn(plan.localToScreen(x, 0.18 * plan.getHeight()));
    }
    // From the right, the first of the upper row is the last of its bank.
    assertThat(place.getValue()).isEqualTo(7);
    assertThat(text("#step-zero-text")).isEmpty();
  }

  /** The wrench's click ticks the stage that waits, and no other. */
  @Test
  void theWrenchTicksItsStage() {
    begin(Routine.END_PLAY);
    var console = robot.lookup("#console").<TextField>query();
    robot.interact(
        () ->
            bench
                .session()
                .keep(FastenerCsv.fastener("caps", "oil", "1", "2 1 3", "30 N·m; 60 N·m"), ""));
    view("bench-torque");
    until("shown", () -> isShown("#tick-caps-1"));
    for (var line : List.of("pull 60 N·m", "send wrench", "pull 30.5 N·m", "send wrench")) {
      robot.interact(
          () -> {
            console.setText(line);
            console.getOnAction().handle(null);
          });
      Pulse.await();
    }
    until("ticked", () -> bench.session().notes(Tick.class).size() == 1);
    assertThat(bench.session().notes(Tick.class).getFirst().what()).endsWith("caps/1");
    assertThat(text("#fastener-refusal")).contains("no stage that waits");
  }

  /** At the readings: the burette's button fills the waiting place; a flat battery says so. */
  @Test
  void anInstrumentFillsThePlaceThatWaits() {
    begin(Routine.CHAMBER);
    say("fill 57.4 cc");
    view("bench-readings");
    robot.clickOn("#measure-chamber");
    view("bench-guided");
    var console = robot.lookup("#console").<TextField>query();
    view("bench-readings");
    robot.clickOn("#measure-chamber");
    robot.interact(
        () -> {
          console.setText("send burette");
          console.getOnAction().handle(null);
        });
    until("kept", () -> bench.session().readings().all().size() == 1);
    var reading = bench.session().readings().all().getFirst();
    assertThat(reading.value()).isCloseTo(57.4e-6, within(1e-9));
    assertThat(reading.taken().typed()).isEqualTo("57.4 cc");
    assertThat(reading.side()).isEqualTo(Reading.Side.NONE);
    robot.interact(
        () -> {
          console.setText("fault burette battery flat");
          console.getOnAction().handle(null);
          console.setText("send burette");
          console.getOnAction().handle(null);
        });
    until("told", () -> text("#instrument-status").contains("flat battery"));
    assertThat(bench.session().readings().all()).hasSize(1);
    // Without it: feeler leaves are summed.
    robot.clickOn("#group-pistons");
    robot.clickOn("#measure-top_ring_gap");
    type("#top-ring-end-gap-1-text", "0.012+0.008");
    until("kept", () -> bench.session().readings().all().size() == 2);
    assertThat(bench.session().readings().all().getLast().value())
        .isCloseTo(0.020 * 0.0254, within(1e-9));
  }
}
