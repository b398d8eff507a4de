package grandbore.desktop;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import grandbore.book.BuildDocument;
import grandbore.book.DynoBook;
import grandbore.book.DynoJson;
import grandbore.book.PlannedChanges;
import grandbore.book.PullSpool;
import grandbore.core.clearances.OnDyno;
import grandbore.core.dyno.Channel;
import grandbore.core.dyno.Column;
import grandbore.core.dyno.Pull;
import grandbore.core.dyno.PullCurve;
import grandbore.core.dyno.Recorded;
import grandbore.core.dyno.Standard;
import grandbore.desktop.dyno.CauseView;
import grandbore.desktop.dyno.PullPictures;
import grandbore.desktop.station.Station;
import grandbore.instruments.PullServer;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Labeled;
import javafx.scene.control.TextArea;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;

/** The hour that is paid for, as it is driven: gauges, pulls, log, the cause, what is learned. */
class DynoTest extends BenchTest {
  @Override
  Station station() {
    return Station.DYNO;
  }

  @Override
  boolean studies() {
    return true;
  }

  @Override
  List<BuildDocument> documents() {
    return List.of(PlannedChanges.demo());
  }

  private List<Pull> pulls() {
    return bench.session().notes(OnDyno.class).stream()
        .filter(n -> n.kind() == OnDyno.Kind.PULL)
        .map(n -> DynoJson.pull(n.document()))
        .toList();
  }

  private String said(String id) {
    return String.join("\n", words(id));
  }

  private void say(String line) {
    type("#dyno-console", line);
  }

  @Test
  void pullIsRehearsedWatchedKeptAndJudged() {
    view("dyno-gauges");
    press("#dyno-connect");
    assertThat(text("#dyno-answer")).startsWith("✕ Say a port");
    type("#dyno-port", "no-such-port");
    press("#dyno-connect");
    until("said so", () -> text("#dyno-status").startsWith("✕ no-such-port"));
    press("#dyno-simulate");
    until("the dyno", () -> text("#dyno-status").startsWith("simulated dyno, seed 1"));
    robot.interact(
        () ->
            robot
                .lookup("#dyno-faster")
                .<javafx.scene.control.ComboBox<Integer>>query()
                .setValue(20));
    say("give pan");
    say("spark 30");
    until("told", () -> text("#dyno-answer").contains("30.0"));
    say("dance");
    until("told", () -> text("#dyno-answer").startsWith("✕ “dance”"));
    press("#dyno-full");
    assertThat(isShown("#dyno-back")).isTrue();
    robot.type(KeyCode.ESCAPE);
    until("back", () -> !isShown("#dyno-back"));
    press("#dyno-pull");
    until("rows", () -> !text("#gauge-rpm-value").equals("–"));
    until("low oil is said", () -> text("#gauge-oil-pressure-alarm").contains("low: stop"));
    until("it is kept", () -> pulls().size() == 13);
    until("said so", () -> text("#dyno-status").contains("ended and kept"));
    var kept = pulls().getLast();
    assertThat(kept.number()).isEqualTo(13);
    assertThat(kept.rows().rows()).isGreaterThan(100);
    assertThat(Math.toDegrees(kept.spark())).isCloseTo(30, within(1e-6));
    view("dyno-pulls");
    until("it is judged", () -> isShown("#dyno-check-oil_pickup"));
    assertThat(text("#dyno-check-oil_pickup")).contains("the pickup draws air");
    // The builder's word goes over it, a strike over both, and undo takes the strike back.
    press("#dyno-good");
    until("good", () -> label("#dyno-pull-13").startsWith("✓"));
    press("#dyno-strike");
    until("struck", () -> label("#dyno-pull-13").startsWith("struck out"));
    robot.interact(() -> bench.session().undo());
    until("it stands", () -> label("#dyno-pull-13").startsWith("✓"));
    // A picture of a plug goes with it.
    var picture = Path.of("../docs/screenshots/engine.png");
    robot.interact(
        () ->
            robot
                .lookup("#dyno-pictures")
                .<PullPictures>query()
                .attach(picture, "plug of cylinder 3"));
    until("seen", () -> said("#dyno-pictures").contains("plug of cylinder 3"));
    assertThat(text("#dyno-found-after")).contains("strip-down");
  }

  private String label(String id) {
    return robot.lookup(id).<Labeled>tryQuery().map(Labeled::getText).orElse("");
  }

  @Test
  void sheetIsTypedAndItsLayoutRemembered() {
    view("dyno-pulls");
    sheet("rpm, load, oil p (psi)\n3000, 340, 60\n3500, 352, 61\n4000, 361, 62\n");
    until("asked", () -> text("#dyno-import-says").contains("torque or power"));
    press("#dyno-keep");
    assertThat(pulls()).hasSize(12);
    robot.interact(
        () ->
            robot
                .lookup("#dyno-column-1")
                .<javafx.scene.control.ComboBox<String>>query()
                .setValue("Torque"));
    type("#dyno-unit-1", "lb-ft");
    until("read", () -> text("#dyno-import-says").startsWith("1 pull of 3 rows"));
    type("#dyno-changed", "another dyno");
    type("#dyno-spark", "32");
    press("#dyno-keep");
    until("kept", () -> pulls().size() == 13);
    var kept = pulls().getLast();
    assertThat(kept.changed()).isEqualTo("another dyno");
    assertThat(PullCurve.torque(kept, Standard.NONE, 250).at(3500))
        .isCloseTo(352 * 1.3558, within(0.5));
    until("its air is missed", () -> text("#dyno-facts").contains("its air is not known"));
    sheet("rpm, load, oil p (psi)\n5000, 300, 60\n5500, 290, 61\n");
    until("remembered", () -> text("#dyno-import-says").startsWith("1 pull of 2 rows"));
    sheet("no table");
    until("no table", () -> text("#dyno-import-says").contains("No table of numbers"));
  }

  private void sheet(String text) {
    robot.interact(() -> robot.lookup("#dyno-sheet").<TextArea>query().setText(text));
    Pulse.await();
  }

  /** Two hundred pulls over one another within a tenth of a second, once they are read. */
  @Test
  void twoHundredPullsAreOverlaidAtOnce() {
    view("dyno-pulls");
    until("read", () -> isShown("#dyno-pull-12"));
    var like = pulls().getLast();
    var curves = new ArrayList<PullCurve>();
    long begun = System.nanoTime();
    for (int k = 0; k < 200; k++) {
      curves.add(PullCurve.torque(like, Standard.SAE_J1349, PullCurve.USUAL_WIDTH));
    }
    // Of the tenth the curves may have three quarters.
    assertThat(System.nanoTime() - begun).isLessThan(750_000_000L);
    assertThat(curves).hasSize(200);
  }

  @Test
  void planFreezesAndCosts() {
    view("dyno-before");
    until("frozen before", () -> text("#dyno-frozen").contains("Third of October"));
    until("the plan", () -> said("#dyno-planned").contains("Cam 4° advanced"));
    type("#dyno-rate", "60");
    assertThat(said("#dyno-planned")).contains("of money");
    press("#dyno-freeze");
    until("frozen anew", () -> text("#dyno-frozen").contains("Club hill-climb V8"));
  }

  @Test
  void logTellsChangesAndThePointerPutsSparksRight() {
    view("dyno-log");
    until("effects", () -> said("#dyno-effects-table").contains("a gain"));
    assertThat(text("#dyno-repeats")).contains("repeat to");
    type("#dyno-pointer", "3");
    press("#dyno-prove");
    until("put right", () -> text("#dyno-proved").contains("3.0° less"));
    type("#dyno-jets-before", "1.80 1.80 1.80 1.80");
    type("#dyno-jets-after", "1.85 1.85 1.85 1.85 mm");
    assertThat(text("#dyno-jets")).contains("+5.6 % of fuel").contains("lambda 0.8");
    type("#dyno-jets-after", "big");
    assertThat(text("#dyno-jets")).startsWith("✕");
    press("#dyno-jets-keep");
    until("kept", () -> bench.session().notes(OnDyno.class).getLast().kind() == OnDyno.Kind.JETS);
    view("dyno-before");
    until("jets to bring", () -> said("#dyno-planned").contains("mm for 1.80 1.80 1.80 1.80"));
    view("dyno-log");
    robot.interact(() -> bench.session().undo());
    until(
        "none again",
        () -> robot.lookup("#dyno-jets-before").<TextField>query().getText().isEmpty());
    robot.interact(() -> bench.session().redo());
    until(
        "fitted again",
        () ->
            robot
                .lookup("#dyno-jets-before")
                .<TextField>query()
                .getText()
                .equals("1.80 1.80 1.80 1.80"));
    press("#dyno-use-lambda");
    until(
        "the engine has it",
        () ->
            Math.abs(bench.session().build().combination().mixture().lambda().si() - 0.88) > 1e-6);
    assertThat(bench.session().build().combination().mixture().bySpeed().rows())
        .hasSizeGreaterThan(8);
  }

  /** A pull that read every cylinder sets each cylinder's share with the table. */
  @Test
  void everyCylindersLambdaGoesIntoTheBuild() {
    var last = pulls().getLast();
    var read = last.rows().all(Channel.LAMBDA).getFirst();
    var columns = new ArrayList<>(last.rows().columns());
    for (int n = 1; n <= 8; n++) {
      double share = n == 3 ? 1.07 : 0.99;
      columns.add(
          new Column(
              Channel.CYLINDER_LAMBDA, n, read.values().stream().map(v -> v * share).toList()));
    }
    var document =
        DynoJson.write(
            new Pull(
                13,
                last.day(),
                last.at(),
                last.how(),
                last.rate(),
                last.inertia(),
                last.air(),
                last.carries(),
                last.spark(),
                "a probe in every primary",
                last.fitted(),
                last.source(),
                last.note(),
                new Recorded(last.rows().seconds(), columns)));
    view("dyno-log");
    robot.interact(() -> bench.session().keep(new OnDyno(OnDyno.Kind.PULL, document), ""));
    until("it is the last", () -> text("#dyno-mixture").startsWith("Pull 13"));
    press("#dyno-use-lambda");
    until("each", () -> bench.session().build().combination().mixture().byCylinder().size() == 8);
    var each = bench.session().build().combination().mixture().byCylinder();
    assertThat(each.get(2)).isCloseTo(1.07, within(1e-3));
    assertThat(each.get(0)).isCloseTo(0.99, within(1e-3));
    robot.interact(() -> bench.session().undo());
    until("undone", () -> bench.session().build().combination().mixture().byCylinder().isEmpty());
  }

  /** Three seconds of a hundred rows: all are kept, and the gauge moves with them. */
  @Test
  void aHundredRowsASecondAreWatched() throws Exception {
    view("dyno-gauges");
    var seconds = IntStream.range(0, 300).mapToObj(k -> k / 100.0).toList();
    var rpm = IntStream.range(0, 300).mapToObj(k -> 3000.0 + 10 * k).toList();
    var torque = IntStream.range(0, 300).mapToObj(k -> 400.0 + k % 7).toList();
    var rows =
        new Recorded(
            seconds,
            List.of(new Column(Channel.RPM, 0, rpm), new Column(Channel.TORQUE, 0, torque)));
    var shown = new ArrayList<String>();
    robot
        .lookup("#gauge-rpm-value")
        .<Labeled>query()
        .textProperty()
        .addListener((o, was, is) -> shown.add(is));
    try (var server = new PullServer(0)) {
      type("#dyno-port", String.valueOf(server.port()));
      press("#dyno-connect");
      until("on the line", () -> text("#dyno-status").startsWith("listening"));
      server.send(13, rows, 1, () -> false);
      until("kept", () -> pulls().size() == 13);
    }
    assertThat(pulls().getLast().rows().rows()).isEqualTo(300);
    // The gauges look thirty times a second; a busy machine may leave out two of three.
    assertThat(shown.size()).isGreaterThan(30);
  }

  /** The day is told with its best; its pulls alone are shown from there, and all again. */
  @Test
  void daysAreToldAndTheirPullsShown() {
    view("dyno-days");
    until("the day", () -> said("#dyno-days-cards").contains("12 pulls, 11 of them good"));
    assertThat(said("#dyno-days-cards"))
        .contains("Third of October", "3 October 2026", "best: pull", "lb·ft at", "hp at")
        .contains("come back to as it was in pull 2");
    // Another day's pull: the list has both days, until one is chosen.
    var pull =
        bench.session().notes(OnDyno.class).stream().filter(n -> n.kind() == OnDyno.Kind.PULL);
    var other =
        pull.reduce((a, b) -> b)
            .orElseThrow()
            .document()
            .replace("Third of October", "Tenth of October")
            .replace("2026-10-03", "2026-10-10")
            .replace("\"number\":12", "\"number\":13");
    robot.interact(() -> bench.session().keep(new OnDyno(OnDyno.Kind.PULL, other), ""));
    until("both days", () -> said("#dyno-days-cards").contains("Tenth of October"));
    assertThat(said("#dyno-days-compared")).contains("Tenth of October", "Third of October");
    press("#dyno-day-tenth-of-october");
    until("its pull", () -> isShown("#dyno-pull-13"));
    assertThat(robot.lookup("#dyno-pull-12").tryQuery()).isEmpty();
    choose("#dyno-day-shown", "all days");
    until("all pulls", () -> robot.lookup("#dyno-pull-12").tryQuery().isPresent());
  }

  @Test
  void causeIsFoundByTheCheapestTest() {
    view("dyno-cause");
    robot.clickOn("#cause-it-will-not-rev");
    until("a test", () -> isShown("#cause-test"));
    until(
        "what the first pull named",
        () -> said("#cause-likely").contains("the channels point to it"));
    assertThat(text("#cause-test")).contains("timing light");
    press("#cause-answer-0");
    assertThat(said("#cause-likely")).contains("100 %").contains("pickup's leads");
    // What the shop has met itself is asked beside it; a damaged document is refused whole.
    cause("{");
    until("refused", () -> text("#cause-own").startsWith("✕ Not a"));
    cause(
        """
        {"format":"grand-bore-symptoms","version":1,"symptoms":[{"name":"It squeals","causes":
        [{"word":"belt","label":"a loose belt","weight":1,"suspects":["belt"]}],"tests":[]}]}
        """);
    until("offered", () -> isShown("#cause-it-squeals"));
  }

  private void cause(String document) {
    try {
      var file = Files.writeString(Files.createTempFile("symptoms", ".json"), document);
      robot.interact(() -> robot.lookup("#cause-view").<CauseView>query().add(file));
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  @Test
  void whatPullsTaughtIsTakenAndGivenBack() {
    view("dyno-learn-view");
    until("its page", () -> isShown("#dyno-learned"));
    until("learned before", () -> text("#dyno-learned").contains("Calibrated on 11 pulls"));
    assertThat(text("#dyno-pattern")).startsWith("Pull 12:");
    press("#dyno-set");
    until("taken", () -> bench.session().build().combination().learned().isAny());
    until(
        "the curve says so",
        () -> text("#curve-status").contains("calibrated on 11 pulls of 3 October"));
    robot.interact(() -> bench.curves().doubt().samplesProperty().set(12));
    robot.clickOn("#curve-doubt");
    until("its band", () -> text("#curve-status").contains("what those pulls leave open"));
    press("#dyno-forget");
    until("given back", () -> !bench.session().build().combination().learned().isAny());
    // Two coefficients are soon learned again.
    robot.interact(
        () ->
            robot.lookup(".check-box").queryAllAs(CheckBox.class).stream()
                .filter(b -> b.getId().startsWith("learn-"))
                .forEach(b -> b.setSelected(b.getId().equals("learn-intake-flow"))));
    // A copy begins from what this engine taught: not from one, and surer.
    var _ = bench.session().shelf().copy("Its sister");
    until("the sister", () -> bench.session().build().name().equals("Its sister"));
    until("its page", () -> isShown("#dyno-learn"));
    robot.interact(
        () -> {
          robot.lookup("#believe-shop").<CheckBox>query().setSelected(true);
          robot.lookup("#learn-profiled").<CheckBox>query().setSelected(true);
        });
    // A few pulls teach one coefficient.
    robot.interact(
        () ->
            bench.session().bench().notes().stream()
                .filter(k -> k.note() instanceof OnDyno n && n.kind() == OnDyno.Kind.PULL)
                .skip(3)
                .forEach(k -> bench.session().strikeNote(k.id(), true)));
    untilQuiet();
    long before = calibrations();
    press("#dyno-learn");
    until("learned", () -> calibrations() > before);
    assertThat(text("#dyno-learn-trouble")).contains("what 1 other engine taught");
    var taught = DynoBook.taught(bench.session().bench().notes()).orElseThrow();
    until("its profile", () -> isShown("#dyno-profiles"));
    assertThat(taught.profiles().getFirst().points()).hasSize(2);
    var flow = taught.learnt().getFirst();
    assertThat(flow.prior()).isNotEqualTo(1.0).isBetween(0.9, 1.1);
  }

  private long calibrations() {
    return bench.session().notes(OnDyno.class).stream()
        .filter(n -> n.kind() == OnDyno.Kind.CALIBRATION)
        .count();
  }

  /** What a program that was killed has left of a pull is offered. */
  @Test
  void brokenOffPullIsOffered() {
    var folder = bench.session().books().pictures().toAbsolutePath().getParent();
    try (var spool =
        PullSpool.begin(
            folder,
            List.of(
                new Column(Channel.RPM, 0, List.of()), new Column(Channel.TORQUE, 0, List.of())))) {
      for (int k = 0; k < 30; k++) {
        spool.row(0.1 * k, List.of(3000.0 + 30 * k, 400.0));
      }
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    view("dyno-gauges");
    until("offered", () -> isShown("#dyno-left"));
    assertThat(text("#dyno-left")).contains("30 rows");
    press("#dyno-left-keep");
    until("kept", () -> pulls().size() == 13);
    assertThat(pulls().getLast().note()).contains("the program ended");
    until(
        "no more offered",
        () -> {
          try {
            return PullSpool.left(folder).equals(Optional.empty());
          } catch (IOException e) {
            throw new UncheckedIOException(e);
          }
        });
  }
}
