package grandbore.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import grandbore.book.BuildDocument;
import grandbore.book.Entry;
import grandbore.book.ShopBook;
import grandbore.book.Summary;
import grandbore.core.combination.Boost;
import grandbore.core.combination.Combination;
import grandbore.core.combination.Exhaust;
import grandbore.core.combination.Intake;
import grandbore.core.combination.Nitrous;
import grandbore.core.combination.Provenance;
import grandbore.core.runs.Urgency;
import grandbore.desktop.curve.CurveService;
import grandbore.desktop.session.Beginning;
import grandbore.desktop.station.Station;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;
import java.util.function.BooleanSupplier;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Labeled;
import javafx.scene.control.ListView;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.input.KeyCode;
import javafx.stage.Stage;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.io.TempDir;
import org.testfx.api.FxToolkit;

/** The real window on a book of its own, driven by mouse and keyboard on the headless platform. */
abstract class BenchTest {
  private static final long PATIENCE_SECONDS = 90;

  @TempDir Path folder;

  final WindowRobot robot = new WindowRobot();
  Stage stage;
  Workbench bench;

  /** The documents in the book; the first is on the bench. */
  abstract List<BuildDocument> documents();

  /** What solves the curves; a test whose point is the curve solves them itself. */
  CurveService.Solver solver() {
    return new RecordedCurves();
  }

  /**
   * Whether the runs of the pages that are opened go on; where none is looked at they only cost.
   */
  boolean studies() {
    return false;
  }

  /**
   * Whether what is laid out is painted too: without a graphics card that is a ninth of the work,
   * and only a test of what is seen needs it. Pictures of nodes are painted in any case.
   */
  boolean isPainted() {
    return false;
  }

  /** The station that a test begins at. */
  Station station() {
    return Station.BOTTOM_END;
  }

  @BeforeEach
  void open() throws Exception {
    stage = FxToolkit.registerPrimaryStage();
    try (var book = ShopBook.open(folder.resolve("book.sqlite"))) {
      documents().forEach(book::add);
      // The one touched last goes on the bench.
      book.write(new Entry.Shelve(1, Summary.Place.BENCH, Instant.now().plusMillis(20)));
    }
    start();
  }

  void start() throws Exception {
    FxToolkit.setupFixture(
        () -> {
          var book = ShopBook.open(folder.resolve("book.sqlite"));
          bench = new Workbench(book, Beginning.of(book), solver());
          bench.curves().runs().hold(studies() ? null : Urgency.SEEN);
          bench.rail().choose(station());
          bench.scene().getRoot().setOpacity(isPainted() ? 1 : 0);
          stage.setScene(bench.scene());
          stage.show();
        });
    settle();
  }

  @AfterEach
  void stop() throws Exception {
    FxToolkit.setupFixture(() -> bench.close());
  }

  void settle() {
    until(
        "the curve stands",
        () -> {
          var s = bench.curves().stateProperty().get();
          return s.curve() != null && !s.isRunning();
        });
  }

  static void until(String what, BooleanSupplier holds) {
    until(what, PATIENCE_SECONDS, holds);
  }

  static void until(String what, long seconds, BooleanSupplier holds) {
    long end = System.nanoTime() + TimeUnit.SECONDS.toNanos(seconds);
    while (!holds.getAsBoolean()) {
      Pulse.await();
      assertThat(System.nanoTime()).as(what).isLessThan(end);
    }
    Pulse.await();
  }

  /**
   * Until nothing has been solved for longer than any view rests before it asks, so that no run
   * comes or goes at the foot while what is seen is compared.
   */
  void untilQuiet() {
    long[] busy = {System.nanoTime()};
    until(
        "nothing is solved",
        () -> {
          if (!bench.curves().runs().isIdle()) {
            busy[0] = System.nanoTime();
          }
          return System.nanoTime() - busy[0] > TimeUnit.MILLISECONDS.toNanos(700);
        });
  }

  String text(String id) {
    if (id.startsWith("#figure-")) {
      until("the figures stand", () -> bench.figures().stands());
    }
    Node node = robot.lookup(id).query();
    return node instanceof TextField field ? field.getText() : ((Labeled) node).getText();
  }

  boolean isShown(String id) {
    return robot.lookup(id).tryQuery().isPresent();
  }

  void type(String id, String words) {
    robot.interact(() -> robot.lookup(id).<TextField>query().requestFocus());
    robot.press(KeyCode.CONTROL, KeyCode.A).release(KeyCode.A, KeyCode.CONTROL);
    robot.write(words).type(KeyCode.ENTER);
    Pulse.await();
  }

  /** What has the cursor. */
  String focused() {
    return bench.scene().getFocusOwner().getId();
  }

  /** Finds something by its words and goes there. */
  void find(String words) {
    robot.press(KeyCode.CONTROL, KeyCode.K).release(KeyCode.K, KeyCode.CONTROL);
    until("the field waits", () -> isShown("#find-text") && "find-text".equals(focused()));
    robot.write(words);
    until("found", () -> !robot.lookup("#find-list").<ListView<?>>query().getItems().isEmpty());
    robot.type(KeyCode.ENTER);
    until("gone", () -> !isShown("#find-text"));
    Pulse.await();
  }

  void press(String id) {
    robot.interact(() -> robot.lookup(id).<Button>query().fire());
    Pulse.await();
  }

  /** A view of a station. */
  void station(String name, String view) {
    robot.clickOn("#station-" + name);
    view(view);
  }

  Combination combination() {
    return bench.session().build().combination();
  }

  <T> void choose(String id, T value) {
    robot.interact(() -> robot.lookup(id).<ComboBox<T>>query().setValue(value));
    Pulse.await();
  }

  /** Fits everything that brings inputs of its own. */
  void fitEverything(Boost.Kind boost) {
    robot.interact(
        () ->
            bench
                .session()
                .edit(
                    "all",
                    b ->
                        b.with(
                            b.combination()
                                .with("boost.kind", boost)
                                .with("nitrous.kind", Nitrous.Kind.FITTED)
                                .with("intake.manifold", Intake.Manifold.DUAL_PLANE)
                                .with("exhaust.kind", Exhaust.Kind.STEPPED)
                                .with("exhaust.balance", Exhaust.Balance.PIPE)
                                .with("exhaust.outlet", Exhaust.Outlet.SYSTEM)
                                .with(
                                    "intake.spacerHeight",
                                    b.combination()
                                        .intake()
                                        .spacerHeight()
                                        .with(0.05, Provenance.CARD))
                                .with(
                                    "intake.airBox",
                                    b.combination()
                                        .intake()
                                        .airBox()
                                        .with(8e-3, Provenance.CARD)))));
  }

  /** Changes a component of the combination on the bench. */
  void edit(String path, Object value) {
    robot.interact(
        () -> bench.session().edit(path, b -> b.with(b.combination().with(path, value))));
  }

  /** The buttons of the views of the station that is shown. */
  List<String> views() {
    return robot.lookup(".page .toggle-button").queryAllAs(ToggleButton.class).stream()
        .map(Node::getId)
        .filter(
            id ->
                id != null
                    && id.matches(
                        "(bottom|compression|cam|heads|breathing|bench|job)-.*|dyno-learn-view"))
        .toList();
  }

  /** Shows a view of a station. */
  void view(String id) {
    robot.interact(() -> robot.lookup("#" + id).<ToggleButton>query().fire());
    Pulse.await();
  }

  /** All words under a node. */
  final List<String> words(String id) {
    var all = new ArrayList<String>();
    robot.interact(() -> collect(robot.lookup(id).query(), all));
    return all;
  }

  private static void collect(Node node, List<String> into) {
    if (node instanceof Labeled l && l.isVisible()) {
      into.add(l.getText());
    }
    if (node instanceof Parent p) {
      p.getChildrenUnmodifiable().forEach(c -> collect(c, into));
    }
  }
}
