package grandbore.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import grandbore.book.Summary;
import grandbore.core.clearances.Measurement;
import grandbore.core.clearances.Reading;
import grandbore.core.combination.Provenance;
import grandbore.core.job.parts.EnginePart;
import grandbore.core.job.parts.Item;
import grandbore.core.job.parts.ItemState;
import grandbore.desktop.job.OrdersView;
import grandbore.desktop.job.RouteView;
import grandbore.desktop.station.Station;
import java.nio.file.Files;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.regex.Pattern;
import javafx.geometry.Bounds;
import javafx.scene.Node;
import javafx.scene.control.ToggleButton;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.Region;
import org.junit.jupiter.api.Test;

/** The job in the window: dates, what opens again, orders from reading to judgement, parts. */
class JobTest extends JobBench {
  private static final Pattern DAY = Pattern.compile("\\d{4}-\\d\\d-\\d\\d");

  private LocalDate dyno() {
    var day = DAY.matcher(text("#job-dyno"));
    assertThat(day.find()).isTrue();
    return LocalDate.parse(day.group());
  }

  private void untilShown(String id) {
    until(id, () -> isShown(id));
  }

  private void warned(boolean is, String words) {
    until(
        words,
        () ->
            robot
                    .lookup("#job-warnings .label")
                    .queryAllAs(javafx.scene.control.Label.class)
                    .stream()
                    .anyMatch(l -> l.getText().contains(words))
                == is);
  }

  /** The cam was ordered before the ratio was measured; put back to wanted the warning goes. */
  @Test
  void whatIsOrderedTooEarlyIsWarnedOf() {
    warned(true, "Cam ordered before compression ratio is proved");
    view("job-parts");
    item(EnginePart.CAM);
    choose("#item-state", ItemState.WANTED);
    view("job-route");
    warned(false, "Cam ordered");
    robot.interact(() -> bench.session().undo());
    warned(true, "Cam ordered");
    // Pushrods, before anybody saw a wipe pattern.
    view("job-parts");
    item(EnginePart.PUSHRODS);
    choose("#item-state", ItemState.ORDERED);
    view("job-route");
    warned(true, "Pushrods ordered before wipe pattern");
  }

  /** A late promise, typed or dragged, moves the day of the dyno; undo moves it back. */
  @Test
  void anotherDateMovesTheDayOfTheDyno() {
    var day = dyno();
    view("job-parts");
    item(EnginePart.ROD_SHELLS);
    var promised = job().items(EnginePart.ROD_SHELLS).getFirst().promised();
    write("#item-promised", promised.plusDays(14).toString());
    press("#item-keep");
    view("job-route");
    until("two weeks later", () -> dyno().equals(day.plusDays(14)));
    robot.interact(() -> bench.session().undo());
    until("as it was", () -> dyno().equals(day));
    // The bar of a step that decides the day, dragged to the right.
    var chart = robot.lookup("#job-chart").<Region>query();
    var step = job().step("bearings").orElseThrow();
    robot.interact(
        () -> {
          RouteView view = robot.lookup("#route-view").query();
          view.choose(step.id());
        });
    drag(chart, "bearings", 300);
    until("put off", () -> job().step("bearings").orElseThrow().notBefore() != null);
    until("the dyno with it", () -> dyno().isAfter(day));
    assertThat(job().step("bearings").orElseThrow().notBefore()).isAfter(promised);
  }

  /** Presses the row of a step in the chart, moves so far to the right, lets go. */
  private void drag(Region chart, String id, double by) {
    var open = job().steps().stream().filter(s -> !s.isDone()).map(s -> s.id()).toList();
    double y = 36 + 22 * (open.indexOf(id) + 0.5);
    robot.interact(
        () -> {
          mouse(chart, MouseEvent.MOUSE_PRESSED, 400, y);
          mouse(chart, MouseEvent.MOUSE_DRAGGED, 400 + by, y);
          mouse(chart, MouseEvent.MOUSE_RELEASED, 400 + by, y);
        });
  }

  private static void mouse(Node on, javafx.event.EventType<MouseEvent> type, double x, double y) {
    Bounds at = on.localToScene(on.getBoundsInLocal());
    on.fireEvent(
        new MouseEvent(
            type,
            at.getMinX() + x,
            at.getMinY() + y,
            x,
            y,
            MouseButton.PRIMARY,
            1,
            false,
            false,
            false,
            false,
            true,
            false,
            false,
            false,
            false,
            false,
            null));
  }

  private boolean isAgain(String id) {
    return isShown("#now-" + id) && text("#now-" + id).startsWith("▲");
  }

  /** Heads milled to 54 cm³: the order comes back, four things open again, it is judged. */
  @Test
  void anOrderRunsFromTheReadingToTheJudgedReturn() throws Exception {
    view("route-board");
    for (var id : List.of("fills", "wipe", "valves", "manifold", "springs")) {
      press("#board-" + id);
      until(id, () -> text("#step-head").equals(job().step(id).orElseThrow().title()));
      press("#step-done");
      until(id + " is done", () -> job().step(id).orElseThrow().isDone());
    }
    view("job-orders");
    until("W2 is shown", () -> text("#order-dates").startsWith("Away"));
    var sheet = folder.resolve("w2.html");
    robot.interact(
        () -> {
          OrdersView view = robot.lookup("#orders-view").query();
          view.writeSheet(sheet);
        });
    assertThat(Files.readString(sheet)).contains("Mill the head", "57.3 cc", "54.0 cc");
    press("#order-back");
    until("it is back", () -> text("#order-dates").startsWith("Back"));
    assertThat(bench.session().readings().at(Measurement.CHAMBER, 1)).isEmpty();
    assertThat(job().items(EnginePart.HEAD)).extracting(Item::state).containsOnly(ItemState.BACK);
    robot.interact(() -> bench.session().undo());
    until("it is away again", () -> text("#order-dates").startsWith("Away"));
    assertThat(bench.session().readings().at(Measurement.CHAMBER, 1)).isNotEmpty();
    robot.interact(() -> bench.session().redo());
    until("it is back again", () -> text("#order-dates").startsWith("Back"));
    assertThat(bench.session().readings().at(Measurement.CHAMBER, 1)).isEmpty();
    view("job-route");
    for (var id : List.of("fills", "wipe", "valves", "manifold")) {
      until(id + " again", () -> isAgain(id));
    }
    // Guides and a valve job were on the order as well: retainers and coil bind with them.
    assertThat(isAgain("springs")).isTrue();
    view("job-orders");
    var now = Instant.now().plusSeconds(1);
    double[] cc = {54.1, 54.0, 53.9, 54.2, 55.6, 54.1, 53.2, 54.0};
    robot.interact(
        () -> {
          for (int i = 0; i < cc.length; i++) {
            bench
                .session()
                .read(
                    new Reading(
                        0,
                        Measurement.CHAMBER,
                        i + 1,
                        Reading.Side.NONE,
                        1e-6 * cc[i],
                        "",
                        "burette",
                        now,
                        false));
          }
        });
    untilShown("#check-returned_ratio");
    assertThat(text("#check-returned_chamber_1")).startsWith("met");
    assertThat(text("#check-returned_chamber_5")).startsWith("not far enough");
    assertThat(text("#check-returned_chamber_7")).startsWith("too far");
    write("#order-decided", "Bank one again, 5 to be opened");
    press("#order-decide");
    until("it is kept", () -> job().order("W2").orElseThrow().decided().startsWith("Bank one"));
  }

  /** Heads are ordered milled from what was read, on an engine that has no order yet. */
  @Test
  void aNewRouteAndAnOrderAreBegunFromNothing() {
    robot.interact(() -> bench.session().open(2));
    until("it is open", () -> bench.session().id() == 2 && isShown("#route-begin-TOP_END"));
    press("#route-begin-TOP_END");
    until("the route stands", () -> text("#job-dyno").contains("On the dyno"));
    view("job-orders");
    write("#write-supplier", "Valley Machine");
    write("#write-chamber", "40 cc");
    press("#write-mill");
    assertThat(text("#job-trouble")).contains("Chamber volume wanted");
    robot.interact(
        () -> {
          for (int n = 1; n <= 4; n++) {
            bench
                .session()
                .read(
                    new Reading(
                        0,
                        Measurement.CHAMBER,
                        n,
                        Reading.Side.NONE,
                        (45 + 0.2 * n) * 1e-6,
                        "",
                        "burette",
                        Instant.now(),
                        false));
          }
        });
    press("#write-mill");
    until("it is written", () -> job().orders().size() == 1);
    assertThat(job().orders().getFirst().lines()).hasSize(4);
    untilShown("#order-W1");
    write("#order-promised", "+7");
    press("#order-send");
    until("it is sent", () -> job().orders().getFirst().isSent());
    assertThat(job().orders().getFirst().promised())
        .isEqualTo(LocalDate.now(ZoneId.systemDefault()).plusDays(7));
    view("job-parts");
    press("#match-WEIGHT");
    assertThat(text("#match-says")).startsWith("○ It takes weights");
  }

  /** Parts go where they match best, and the copy, the archive and undo lose nothing of the job. */
  @Test
  void nothingOfTheJobIsLost() {
    view("job-parts");
    press("#match-WEIGHT");
    assertThat(text("#match-says")).startsWith("● Reciprocating weight: spread");
    press("#match-set");
    until("they moved", () -> job().items(EnginePart.PIN).stream().noneMatch(i -> i.place() == 0));
    view("job-money");
    until("the sum stands", () -> text("#money-sum").startsWith("Spent"));
    String sum = text("#money-sum");
    var before = job();
    robot.interact(() -> bench.session().shelf().copy("The copy"));
    until("the copy", () -> bench.session().build().name().equals("The copy"));
    assertThat(job()).isEqualTo(before);
    until("the same sum", () -> text("#money-sum").equals(sum));
    long copy = bench.session().id();
    robot.interact(() -> bench.session().open(1));
    until("back", () -> bench.session().id() == 1);
    robot.interact(() -> bench.session().shelf().move(copy, Summary.Place.ARCHIVE));
    bench.session().settled().join();
    robot.interact(() -> bench.session().open(copy));
    until("the archived one", () -> bench.session().id() == copy);
    assertThat(job()).isEqualTo(before);
    view("job-route");
    view("route-board");
    press("#board-look");
    until("chosen", () -> text("#step-head").startsWith("Clean"));
    press("#step-again");
    until("not done", () -> !job().step("look").orElseThrow().isDone());
    robot.interact(() -> bench.session().undo());
    assertThat(job()).isEqualTo(before);
    // Home tells of it.
    var line =
        bench.session().books().builds().stream()
            .filter(s -> s.id() == 1)
            .findFirst()
            .flatMap(Summary::line)
            .orElseThrow();
    assertThat(line.steps()).isEqualTo(before.steps().size());
    assertThat(line.spent()).isPositive();
  }

  /** A kind of reading of the shop's own: added, typed into, judged, taken back, on every build. */
  @Test
  void theShopReadsWhatItLikes() throws Exception {
    robot.interact(() -> bench.rail().choose(Station.CLEARANCES));
    view("bench-own");
    assertThat(text("#own-value-1-0")).isEqualTo("–");
    robot.interact(() -> robot.lookup("#own-wall-thickness-by-sound").<ToggleButton>query().fire());
    Pulse.await();
    assertThat(text("#own-value-4-0")).startsWith("0.1772 in");
    type("#own-read-4-0", "0.150");
    until("the mean of both", () -> text("#own-value-4-0").contains("2 read"));
    view("bench-todo");
    assertThat(words("#todo-tasks"))
        .anyMatch(
            w -> w.contains("Wall thickness by sound, cylinder 4, thrust, middle: 0.1636 in"));
    robot.interact(() -> bench.session().undo());
    assertThat(words("#todo-tasks")).noneMatch(w -> w.contains("Wall thickness by sound"));
    view("bench-own");
    write("#own-label", "Link bar to block");
    write("#own-points", "");
    write("#own-from", "0.060 in");
    write("#own-least", "0 in");
    write("#own-most", "0.5 in");
    press("#own-keep");
    until("it is there", () -> isShown("#own-link-bar-to-block"));
    type("#own-read-1-0", "1 in");
    assertThat(words("#own-view"))
        .anyMatch(w -> w.contains("Link bar to block is 25.400 mm; allowed"));
    type("#own-read-1-0", "0.080");
    until("it is kept", () -> text("#own-value-1-0").startsWith("0.0800 in"));
    // Found like any other reading; the first place that nobody has read waits.
    robot.interact(() -> bench.rail().choose(Station.BRIEF));
    find("link bar to bl");
    until("the next place", () -> "own-read-2-0".equals(focused()));
    // What an instrument shows goes where the cursor is, and the cursor goes on.
    view("bench-readings");
    press("#instrument-simulate");
    until("live", () -> !text("#instrument-live").isBlank());
    find("link bar to bl");
    until("the next place again", () -> "own-read-2-0".equals(focused()));
    press("#own-take");
    until("taken", () -> !text("#own-value-2-0").equals("–"));
    robot.interact(() -> bench.session().open(2));
    until(
        "the other build has it",
        () -> bench.session().id() == 2 && isShown("#own-link-bar-to-block"));
  }

  /** A state with a name is compared, gone back to, and that is undone. */
  @Test
  void aStateWithANameIsGoneBackTo() {
    view("job-states");
    until("the demo's state", () -> isShown("#state-compare-0"));
    var before = combination();
    edit("bottomEnd.bore", before.bottomEnd().bore().with(0.1045, Provenance.CARD));
    press("#state-compare-0");
    until("it differs", () -> words("#state-differences").contains("Bore"));
    write("#state-name", "Bored");
    press("#state-keep");
    until("it has a name", () -> isShown("#state-compare-1"));
    press("#state-back-0");
    until("gone back", () -> combination().equals(before));
    robot.interact(() -> bench.session().undo());
    assertThat(combination().bottomEnd().bore().si()).isEqualTo(0.1045);
  }
}
