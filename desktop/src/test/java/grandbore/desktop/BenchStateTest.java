package grandbore.desktop;

import static java.lang.Thread.State.TIMED_WAITING;
import static java.lang.Thread.State.WAITING;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import grandbore.book.BuildDocument;
import grandbore.book.BuildJson;
import grandbore.book.ShopBook;
import grandbore.core.clearances.Measurement;
import grandbore.core.clearances.Reading;
import grandbore.core.combination.Provenance;
import grandbore.core.combination.Specs;
import grandbore.core.demo.DemoBuilds;
import java.nio.file.Files;
import java.sql.DriverManager;
import java.time.Instant;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import javafx.application.Platform;
import javafx.scene.control.ComboBox;
import org.junit.jupiter.api.Test;
import org.testfx.util.WaitForAsyncUtils;

/** One state on the bench, whole at every moment, and the book behind it. */
class BenchStateTest extends BenchTest {
  /** What an idle window does is part of the point. */
  @Override
  boolean isPainted() {
    return true;
  }

  @Override
  List<BuildDocument> documents() {
    return List.of(
        new BuildDocument(DemoBuilds.hillClimbEight(), DemoBuilds.hillClimbReadings()),
        new BuildDocument(DemoBuilds.paddockFour(), List.of()));
  }

  private double specified(String path) {
    return Specs.field(path).get(combination()).si();
  }

  private static Reading chamber(int place, double volume) {
    return new Reading(
        0, Measurement.CHAMBER, place, Reading.Side.NONE, volume, "", "", Instant.now(), false);
  }

  /** A number typed where readings stand is asked about, and goes where the builder means it. */
  @Test
  void aNumberTypedWhereReadingsStandIsAskedAbout() {
    robot.clickOn("#station-compression");
    assertThat(text("#compression-chamberVolume-beside")).isEqualTo("read; specified 57.0");
    double was = specified("compression.chamberVolume");
    type("#compression-chamberVolume-text", "58.4");
    assertThat(specified("compression.chamberVolume")).isEqualTo(was);
    press("#compression-chamberVolume-as-specified");
    assertThat(specified("compression.chamberVolume")).isCloseTo(58.4e-6, within(1e-12));
    assertThat(text("#compression-chamberVolume-beside")).isEqualTo("read; specified 58.4");
    int readings = bench.session().readings().all().size();
    type("#compression-chamberVolume-text", "57.9 cc");
    robot.interact(
        () ->
            robot
                .lookup("#compression-chamberVolume-place")
                .<ComboBox<Integer>>query()
                .setValue(3));
    press("#compression-chamberVolume-as-reading");
    assertThat(bench.session().readings().all()).hasSize(readings + 1);
    var last = bench.session().readings().all().getLast();
    assertThat(last.place()).isEqualTo(3);
    assertThat(last.taken().typed()).isEqualTo("57.9 cc");
    assertThat(specified("compression.chamberVolume")).isCloseTo(58.4e-6, within(1e-12));
  }

  /** Undo with an edit on its heels: window and book end at the same value. */
  @Test
  void undoFollowedAtOnceByAnEditLeavesWindowAndBookAlike() {
    var field = Specs.field("bottomEnd.stroke");
    robot.interact(
        () -> {
          var s = bench.session();
          for (int i = 0; i < 20; i++) {
            var stroke = field.get(s.build().combination());
            s.put(field, stroke.with(stroke.si() + 1e-5, Provenance.CARD));
            s.undo();
            s.put(field, stroke.with(stroke.si() + 2e-5, Provenance.CARD));
            s.undo();
            s.redo();
          }
        });
    bench.session().settled().join();
    double window = specified("bottomEnd.stroke");
    long id = bench.session().id();
    robot.interact(() -> bench.session().open(id));
    Pulse.await();
    until("read again", () -> bench.session().unstored() == 0);
    assertThat(specified("bottomEnd.stroke")).isEqualTo(window);
  }

  /**
   * Who listens while another build is opened never hears of one's build with the other's engine.
   */
  @Test
  void listenersNeverSeeHalfAState() {
    var halves = new AtomicInteger();
    var heard = new AtomicInteger();
    Runnable look =
        () -> {
          heard.incrementAndGet();
          var s = bench.session();
          int cylinders = s.build().combination().bottomEnd().cylinders();
          boolean whole =
              s.engine().clearances().size() == cylinders
                  && s.engine().combination().bottomEnd().cylinders() == cylinders
                  && s.readings().all().isEmpty() == (cylinders == 4);
          halves.addAndGet(whole ? 0 : 1);
        };
    robot.interact(
        () -> {
          bench.session().buildProperty().subscribe(b -> look.run());
          bench.session().readingsProperty().subscribe(b -> look.run());
          bench.session().notesProperty().subscribe(b -> look.run());
        });
    for (long id : new long[] {2, 1, 2}) {
      robot.interact(() -> bench.session().open(id));
      until("opened", () -> bench.session().id() == id);
    }
    assertThat(heard.get()).isGreaterThan(6);
    assertThat(halves.get()).isZero();
  }

  /**
   * Where the window's thread waited for another, or was inside the book, while it did something:
   * looked at every few milliseconds, since its time also goes to whoever else uses the machine.
   */
  private Set<String> waitsOfTheWindow(Runnable what) throws InterruptedException {
    var window = new Thread[1];
    robot.interact(() -> window[0] = Thread.currentThread());
    var waits = new TreeSet<String>();
    var done = new CountDownLatch(1);
    Platform.runLater(
        () -> {
          try {
            what.run();
          } finally {
            done.countDown();
          }
        });
    while (!done.await(5, TimeUnit.MILLISECONDS)) {
      var state = window[0].getState();
      var frames = List.of(window[0].getStackTrace());
      boolean asked = frames.stream().anyMatch(f -> f.getClassName().contains("BenchStateTest"));
      boolean inBook = frames.stream().anyMatch(f -> f.getClassName().startsWith("org.sqlite"));
      if (asked && (inBook || state == WAITING || state == TIMED_WAITING)) {
        waits.add(state + " " + frames.getFirst());
      }
    }
    return waits;
  }

  /**
   * While another program holds the file, nothing on the window's thread waits for it; trouble is
   * told until what was entered is stored, in order, and a rescue file would hold it all.
   */
  @Test
  void theWindowNeverWaitsForTheBookAndTroubleStaysUntilAllIsStored() throws Exception {
    var waits = new TreeSet<String>();
    // What is done for the first time loads its classes.
    robot.interact(() -> bench.session().read(chamber(3, 57.2e-6)));
    edit("intake.throttles", 3);
    bench.session().settled().join();
    try (var other = DriverManager.getConnection("jdbc:sqlite:" + folder.resolve("book.sqlite"));
        var s = other.createStatement()) {
      s.execute("BEGIN EXCLUSIVE");
      for (Runnable what :
          List.<Runnable>of(
              () -> bench.session().read(chamber(1, 57.4e-6)),
              () -> edit("intake.throttles", 2),
              () -> bench.session().read(chamber(2, 57.3e-6)),
              () -> bench.session().undo(),
              () -> bench.session().layOver(2),
              () -> {
                var _ = bench.session().books().refresh();
              },
              () -> {
                var _ = bench.session().open(2);
              })) {
        waits.addAll(waitsOfTheWindow(what));
      }
      until("trouble", () -> !bench.session().troubleProperty().get().isEmpty());
      until("said", () -> text("#foot").contains("in use by another program"));
      assertThat(bench.session().rescue())
          .singleElement()
          .satisfies(
              d -> {
                assertThat(d.build().combination().intake().throttles()).isEqualTo(2);
                assertThat(d.readings()).hasSize(DemoBuilds.hillClimbReadings().size() + 3);
              });
      var files = bench.session().writeRescue();
      assertThat(files).hasSize(1);
      assertThat(BuildJson.read(Files.readString(files.getFirst())).build())
          .isEqualTo(bench.session().build());
      s.execute("ROLLBACK");
    }
    assertThat(waits).isEmpty();
    until("stored", () -> bench.session().unstored() == 0);
    until("no trouble", () -> bench.session().troubleProperty().get().isEmpty());
  }

  /**
   * What was entered and contradicts itself is kept, opens again with its warning, has no curve.
   */
  @Test
  void aContradictionIsKeptAndToldAndTheCurveWithheld() throws Exception {
    robot.interact(() -> bench.session().open(2));
    until("opened", () -> bench.session().id() == 2);
    // Two readings that make an engine together; the second alone does not.
    robot.interact(() -> bench.session().read(List.of(chamber(1, 44.5e-6), chamber(1, 21e-6))));
    var first = bench.session().readings().all().getFirst();
    robot.interact(() -> bench.session().strike(first.id(), true));
    assertThat(bench.session().bench().contradiction()).isPresent();
    until("said", () -> text("#curve-status").contains("withheld"));
    assertThat(text("#foot")).contains("contradict");
    bench.session().settled().join();
    stop();
    try (var book = ShopBook.open(folder.resolve("book.sqlite"))) {
      assertThat(book.open(2).readings().all()).hasSize(2);
    }
    org.testfx.api.FxToolkit.setupFixture(
        () -> {
          var book = ShopBook.open(folder.resolve("book.sqlite"));
          bench = new Workbench(book, grandbore.desktop.session.Beginning.of(book));
          stage.setScene(bench.scene());
        });
    assertThat(bench.session().id()).isEqualTo(2);
    assertThat(bench.session().bench().contradiction()).isPresent();
    assertThat(text("#foot")).contains("contradict");
    robot.interact(() -> bench.session().strike(first.id(), false));
    until("a curve again", () -> bench.curves().stateProperty().get().curve() != null);
    assertThat(bench.session().bench().contradiction()).isEmpty();
  }

  /** A document that makes an impossible engine is not stored, and nothing moves. */
  @Test
  void aRefusedDocumentIsNotStored() throws Exception {
    var bad =
        new BuildDocument(
            DemoBuilds.paddockFour(),
            List.of(chamber(1, 5e-6), chamber(2, 5e-6), chamber(3, 5e-6), chamber(4, 5e-6)));
    var file = folder.resolve("bad.json");
    Files.writeString(file, BuildJson.write(bad));
    long was = bench.session().id();
    robot.interact(() -> bench.transfer().bringIn(file));
    until("refused", () -> text("#foot").contains("bad.json"));
    assertThat(bench.session().id()).isEqualTo(was);
    edit("intake.throttles", 3);
    bench.session().settled().join();
    robot.interact(() -> bench.session().books().refresh());
    Pulse.await();
    assertThat(bench.session().books().builds()).hasSize(2);
  }

  /** With nothing going on nothing is laid out or painted, on any station. */
  @Test
  void anIdleWindowRests() {
    bench.curves().runs().hold(null);
    for (var s : grandbore.desktop.station.Station.values()) {
      if (s == grandbore.desktop.station.Station.CLEARANCES) {
        // Its next field waits for a reading: there a caret blinks.
        continue;
      }
      robot.interact(() -> bench.rail().choose(s));
      settle();
      // Views ask once what they hang on has rested, and what comes is shown.
      until("all is solved", () -> bench.curves().runs().isIdle());
      until(s.title() + " rests", 30, () -> pulsesInASecond() < 10);
    }
  }

  private int pulsesInASecond() {
    var pulses = new AtomicInteger();
    Runnable count = pulses::incrementAndGet;
    Platform.runLater(() -> bench.scene().addPostLayoutPulseListener(count));
    WaitForAsyncUtils.sleep(1, java.util.concurrent.TimeUnit.SECONDS);
    Platform.runLater(() -> bench.scene().removePostLayoutPulseListener(count));
    return pulses.get();
  }

  /**
   * A build whose document is damaged is listed with its ways on; an older revision brings it back.
   */
  @Test
  void aBuildThatCanNotBeOpenedIsBroughtBackFromTheWindow() throws Exception {
    robot.interact(() -> bench.session().open(2));
    until("opened", () -> bench.session().id() == 2);
    edit("intake.throttles", 2);
    bench.session().settled().join();
    robot.interact(() -> bench.session().open(1));
    until("opened", () -> bench.session().id() == 1);
    try (var c = DriverManager.getConnection("jdbc:sqlite:" + folder.resolve("book.sqlite"));
        var s = c.createStatement()) {
      s.execute("DROP TRIGGER revision_is_kept");
      s.execute(
          "UPDATE revision SET document = zeroblob(9) WHERE id = (SELECT current_revision FROM"
              + " build WHERE id = 2)");
    }
    robot.interact(() -> bench.session().open(2));
    until("refused", () -> text("#foot").contains("older revision can be restored"));
    assertThat(bench.session().id()).isEqualTo(1);
    station("clearances", "bench-book");
    until("listed", () -> isShown("#raw-2"));
    until("an older one", () -> robot.lookup("#damage .button").queryAll().size() == 2);
    robot.interact(
        () ->
            robot.lookup("#damage .button").queryAllAs(javafx.scene.control.Button.class).stream()
                .filter(b -> b.getText().startsWith("Let"))
                .findFirst()
                .orElseThrow()
                .fire());
    until("brought back", () -> bench.session().id() == 2);
    assertThat(combination().intake().throttles()).isEqualTo(1);
  }
}
