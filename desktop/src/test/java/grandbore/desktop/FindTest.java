package grandbore.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import grandbore.book.BuildDocument;
import grandbore.core.clearances.Measurement;
import grandbore.core.combination.Boost;
import grandbore.core.combination.Combination;
import grandbore.core.combination.Specs;
import grandbore.core.demo.DemoBuilds;
import grandbore.core.runs.Urgency;
import grandbore.desktop.composition.Side;
import grandbore.desktop.find.Matches;
import grandbore.desktop.find.Target;
import grandbore.desktop.help.HelpPage;
import grandbore.desktop.look.TextSize;
import grandbore.desktop.station.Station;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;
import javafx.scene.control.Label;
import javafx.scene.control.ListView;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.Region;
import org.junit.jupiter.api.Test;

/** Anything is found by its name and gone to; the window's room is divided as one likes. */
class FindTest extends BenchTest {
  @Override
  List<BuildDocument> documents() {
    return List.of(new BuildDocument(DemoBuilds.hillClimbEight(), DemoBuilds.hillClimbReadings()));
  }

  private List<Target> all() {
    var found = new ArrayList<Target>();
    robot.interact(() -> found.addAll(bench.findable().all()));
    return found;
  }

  /** Every input and every reading is the first or among the first few that its label finds. */
  @Test
  void everyInputAndReadingIsFoundByItsLabel() {
    var all = all();
    for (var f : Specs.fields()) {
      assertThat(Matches.of(all, f.spec().label()).stream().limit(6).map(Target::title))
          .as(f.path())
          .contains(f.spec().label());
    }
    for (var m : Measurement.values()) {
      assertThat(Matches.of(all, m.label()))
          .as(m.name())
          .anyMatch(t -> t.kind() == Target.Kind.READING && t.title().equals(m.label()));
    }
    for (var said : new String[] {"deck", "rod bolt", "lash", "spark", "light", "undo", "heads"}) {
      assertThat(Matches.of(all, said)).as(said).isNotEmpty();
    }
    assertThat(Matches.of(all, "zzz")).isEmpty();
    assertThat(Matches.of(all, "spark").getFirst().value()).contains("34.0");
  }

  /** From the keyboard: the key, the beginning of a name, Enter, and the cursor is in it. */
  @Test
  void enterGoesThereAndPutsTheCursorInIt() {
    find("spark adv");
    assertThat(bench.rail().chosenProperty().get()).isEqualTo(Station.BRIEF);
    assertThat(focused()).isEqualTo("mixture-advance-text");
    find("exhaust valve ang");
    assertThat(focused()).isEqualTo("heads-exhaustAngle-text");
    find("rod bearing clear");
    assertThat(bench.rail().chosenProperty().get()).isEqualTo(Station.CLEARANCES);
    robot.write("0.0023").type(KeyCode.ENTER);
    Pulse.await();
    assertThat(bench.session().readings().all())
        .anyMatch(r -> r.measurement() == Measurement.ROD_BEARING && r.place() == 1);
    find("turbine eff");
    assertThat(text("#foot")).contains("no such part");
  }

  /** Every input of an engine that has all parts is gone to. */
  @Test
  void everyInputOfAFullEngineIsReached() {
    // What is found hangs on no run.
    bench.curves().runs().hold(Urgency.LIVE);
    fitEverything(Boost.Kind.TURBOCHARGER);
    robot.interact(() -> bench.session().edit("Spacer", b -> b.with(spacer(b.combination()))));
    var missed = new ArrayList<String>();
    var all = all();
    for (var f : Specs.fields()) {
      var target =
          all.stream()
              .filter(t -> t.kind() == Target.Kind.INPUT && t.title().equals(f.spec().label()))
              .findFirst()
              .orElseThrow();
      robot.interact(() -> target.go().run());
      if (!(bench.scene().getFocusOwner() instanceof TextField field)
          || !f.spec().label().equals(field.getAccessibleText())) {
        missed.add(f.path());
      }
    }
    assertThat(missed).isSubsetOf(ABSENT);
  }

  private static Combination spacer(Combination c) {
    var f = Specs.field("intake.spacerHeight");
    return f.with(c, f.get(c).with(0.025, grandbore.core.combination.Provenance.CARD));
  }

  /** Inputs of parts that exclude one another: other kinds of boost, flat tappets, two shafts. */
  private static final List<String> ABSENT =
      List.of(
          "boost.ratedSpeed",
          "boost.sweptPerTurn",
          "boost.filling",
          "intake.planeWindow",
          "intake.boxLength",
          "valveTrain.tappetDiameter",
          "degreed.exhaustWanted");

  /** Without a mouse: a build from nothing, an input of it, its first reading. */
  @Test
  void fromANewBuildToAReadingByKeysAlone() {
    long was = bench.session().id();
    robot.press(KeyCode.CONTROL, KeyCode.N).release(KeyCode.N, KeyCode.CONTROL);
    until("the form", () -> isShown("#new-name") && "new-name".equals(focused()));
    robot.write("By keys alone").type(KeyCode.ENTER);
    until("begun", () -> bench.session().id() != was && !isShown("#new-build"));
    settle();
    find("stroke");
    assertThat(focused()).isEqualTo("bottomEnd-stroke-text");
    double stroke = combination().bottomEnd().stroke().si();
    robot.write("81.5 mm").type(KeyCode.ENTER);
    Pulse.await();
    assertThat(combination().bottomEnd().stroke().si()).isNotEqualTo(stroke);
    find("chamber vol");
    find("main bearing clear");
    robot.write("0.0024 in").type(KeyCode.ENTER);
    until("the reading", () -> !bench.session().readings().all().isEmpty());
    var reading = bench.session().readings().all().getFirst();
    assertThat(reading.measurement()).isEqualTo(Measurement.MAIN_BEARING);
    assertThat(reading.value()).isBetween(6.09e-5, 6.1e-5);
    assertThat(bench.session().build().name()).isEqualTo("By keys alone");
  }

  /** All keys on one card, each with what it does. */
  @Test
  void theCardNamesTheKeysThatWork() {
    robot.press(KeyCode.SHIFT).type(KeyCode.F1).release(KeyCode.SHIFT);
    until("the card", () -> isShown("#keys-close"));
    assertThat(robot.lookup(".find .label").queryAllAs(Label.class))
        .extracting(Label::getText)
        .contains("Find anything", "Ctrl+K", "Undo", "Ctrl+Z", "Station: Engine", "Ctrl+1");
    robot.type(KeyCode.ESCAPE);
    until("gone", () -> !isShown("#keys-close"));
    robot.press(KeyCode.CONTROL, KeyCode.DIGIT6).release(KeyCode.DIGIT6, KeyCode.CONTROL);
    Pulse.await();
    assertThat(bench.rail().chosenProperty().get()).isEqualTo(Station.HEADS);
  }

  /** The guide opens at the station that is shown, is searched, and its parts are found. */
  @Test
  void theGuideOpensWhereOneStandsAndIsSearched() {
    robot.interact(() -> bench.rail().choose(Station.HEADS));
    robot.type(KeyCode.F1);
    until("the guide", () -> isShown("#help-read"));
    var pages = robot.lookup("#help-pages").<ListView<HelpPage>>query();
    assertThat(pages.getSelectionModel().getSelectedItem()).isEqualTo(HelpPage.HEADS);
    assertThat(words("#help-read")).contains("The flow sheet");
    robot.clickOn("#help-words").write("burette knurl");
    Pulse.await();
    assertThat(pages.getItems()).isEmpty();
    type("#help-words", "chain slack");
    assertThat(pages.getItems()).containsExactly(HelpPage.CAM);
    assertThat(words("#help-read")).contains("Degree it");
    robot.type(KeyCode.ESCAPE);
    until("gone", () -> !isShown("#help-read"));
    find("bench mode");
    until("its page", () -> isShown("#help-read"));
    until("its part", () -> isShown(".help-found"));
    assertThat(text(".help-found")).isEqualTo("Bench mode");
    assertThat(words("#help-read")).contains("Clearances");
    // Every station has a page, and every page says something.
    for (var station : Station.values()) {
      assertThat(HelpPage.of(station).parts()).as(station.title()).hasSizeGreaterThan(2);
    }
  }

  /** Keys that the guide names are keys of commands, and do what it says they are for. */
  @Test
  void theGuideNamesKeysThatThereAre() throws Exception {
    var keys =
        all().stream()
            .filter(t -> t.kind() == Target.Kind.COMMAND)
            .map(Target::key)
            .filter(k -> !k.isEmpty())
            .toList();
    var named = new ArrayList<String>();
    for (var page : new String[] {"begin", "engine", "clearances", "weighing"}) {
      String name = "/grandbore/desktop/help/" + page + ".md";
      try (var in = HelpPage.class.getResourceAsStream(name)) {
        var text = new String(in.readAllBytes(), StandardCharsets.UTF_8);
        Pattern.compile("(?:Ctrl|Shift)\\+\\w+|\\bF\\d+\\b")
            .matcher(text)
            .results()
            .forEach(r -> named.add(r.group()));
      }
    }
    assertThat(named).contains("Ctrl+K", "Shift+F1");
    assertThat(keys).containsAll(named);
  }

  /** The curve's pane is narrowed, widened and thrown over the window, and is so next time. */
  @Test
  void theWindowRemembersHowItsRoomIsDivided() throws Exception {
    var pane = robot.lookup(".curve-pane").<Region>query();
    double wide = pane.getWidth();
    robot.clickOn("#side-strip");
    assertThat(pane.localToScene(pane.getBoundsInLocal()).getWidth()).isPositive();
    assertThat(bench.composition().sideProperty().get().mode()).isEqualTo(Side.Mode.STRIP);
    robot.clickOn("#side-back");
    robot.type(KeyCode.F11);
    until("over the window", () -> pane.getWidth() > 2 * wide);
    robot.type(KeyCode.F11);
    robot.drag(".handle").dropBy(-120, 0);
    until("wider", () -> Math.abs(pane.getWidth() - wide - 120) < 12);
    double share = bench.composition().sideProperty().get().share();
    robot.press(KeyCode.CONTROL, KeyCode.T).release(KeyCode.T, KeyCode.CONTROL);
    robot.press(KeyCode.CONTROL, KeyCode.L).release(KeyCode.L, KeyCode.CONTROL);
    Pulse.await();
    stop();
    start();
    assertThat(bench.composition().sideProperty().get())
        .isEqualTo(new Side(Side.Mode.BESIDE, share));
    assertThat(bench.scene().getRoot().getStyleClass())
        .contains("dark", "text-" + TextSize.LARGE.name().toLowerCase(java.util.Locale.ROOT));
  }
}
