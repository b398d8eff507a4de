package grandbore.desktop;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import grandbore.book.BuildDocument;
import grandbore.core.combination.Boost;
import grandbore.core.combination.BottomEnd;
import grandbore.core.combination.Mixture;
import grandbore.core.combination.Provenance;
import grandbore.core.combination.Specs;
import grandbore.core.combination.ValveTrain;
import grandbore.core.demo.DemoBuilds;
import grandbore.core.gas.FuelKind;
import grandbore.core.runs.Urgency;
import grandbore.core.units.Entry;
import grandbore.core.units.UnitSystem;
import grandbore.desktop.controls.InputField;
import grandbore.desktop.station.Station;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.control.Tooltip;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;

/** Every station's inputs against the build they stand for. */
class StationsTest extends BenchTest {
  @Override
  List<BuildDocument> documents() {
    return List.of(new BuildDocument(DemoBuilds.hillClimbEight(), List.of()));
  }

  private void choose(Station station) {
    robot.interact(() -> bench.rail().choose(station));
    Pulse.await();
  }

  private void fieldsShowTheBuild(UnitSystem units, Set<String> seen) {
    var shown = new HashMap<String, TextField>();
    robot
        .lookup(".text-field")
        .queryAllAs(TextField.class)
        .forEach(field -> shown.put(field.getId(), field));
    for (var f : Specs.fields()) {
      var node = shown.get(f.path().replace('.', '-') + "-text");
      if (node == null) {
        continue;
      }
      seen.add(f.path());
      var given = f.get(bench.session().build().combination());
      var quantity = f.spec().quantity();
      String text = node.getText();
      if (f.spec().optional() && !given.isKnown()) {
        assertThat(text).as(f.path()).isEmpty();
        continue;
      }
      double back = Entry.parse(text, quantity, units, given.si());
      int decimals = text.contains(".") ? text.length() - text.indexOf('.') - 1 : 0;
      double digit = quantity.unit(units).toSi(Math.pow(10, -decimals) * 0.51);
      double zero = quantity.unit(units).toSi(0);
      assertThat(back)
          .as(f.path() + " " + text)
          .isCloseTo(given.si(), within(Math.abs(digit - zero) + 1e-12));
      // Its tooltip says the reason for its range.
      Tooltip tip = node.getTooltip();
      assertThat(tip.getText()).contains(f.spec().label(), f.spec().why());
    }
  }

  /** In both units a field shows the build's value, to the digits it shows, and takes it back. */
  @Test
  void whatAFieldShowsIsWhatTheBuildHolds() {
    // What a field shows hangs on no run.
    bench.curves().runs().hold(Urgency.LIVE);
    fitEverything(Boost.Kind.TURBOCHARGER);
    var seen = new HashSet<String>();
    for (var units : UnitSystem.values()) {
      robot.interact(() -> bench.session().edit("Units", b -> b.with(units)));
      for (var station : Station.values()) {
        choose(station);
        fieldsShowTheBuild(units, seen);
        for (var id : views()) {
          view(id);
          fieldsShowTheBuild(units, seen);
        }
      }
    }
    // Nearly all inputs are on some page; what is left belongs to parts that are not fitted here.
    var hidden =
        Specs.fields().stream().map(Specs.Field::path).filter(p -> !seen.contains(p)).toList();
    assertThat(hidden)
        .isSubsetOf(
            "boost.ratedSpeed",
            "boost.sweptPerTurn",
            "boost.filling",
            "valveTrain.tappetDiameter",
            "intake.boxLength",
            "degreed.exhaustWanted");
  }

  /** Valves are counted: two to five in a cylinder, and what has no room is refused. */
  @Test
  void valvesAreCountedAndHaveToFit() {
    choose(Station.HEADS);
    type("#heads-intakeValves-text", "3");
    assertThat(bench.session().build().combination().heads().intakeValves()).isEqualTo(1);
    assertThat(robot.lookup(".refusal").queryAllAs(Label.class))
        .anySatisfy(l -> assertThat(l.getText()).contains("Valves", "find room"));
    robot.interact(
        () -> {
          var valve = Specs.field("heads.intakeValve");
          var c = bench.session().build().combination();
          bench.session().put(valve, valve.get(c).with(0.030, Provenance.CARD));
        });
    robot.type(KeyCode.ESCAPE);
    type("#heads-intakeValves-text", "3");
    assertThat(bench.session().build().combination().heads().intakeValves()).isEqualTo(3);
    type("#heads-exhaustValves-text", "9");
    assertThat(bench.session().build().combination().heads().exhaustValves()).isEqualTo(1);
    choose(Station.BOTTOM_END);
    edit("bottomEnd.numbering", BottomEnd.Numbering.BANK_BY_BANK);
    var bottom = bench.session().build().combination().bottomEnd();
    assertThat(bottom.bank(4)).isZero();
    assertThat(bottom.bank(5)).isEqualTo(1);
  }

  /** Leaving a field as it stands is no edit. */
  @Test
  void lookingAtAFieldChangesNothing() {
    var before = bench.session().build();
    for (var station : List.of(Station.BOTTOM_END, Station.CAM, Station.BREATHING)) {
      choose(station);
      for (var input : robot.lookup(n -> n instanceof InputField).queryAll()) {
        robot.interact(() -> ((TextField) input.lookup(".text-field")).requestFocus());
      }
    }
    Pulse.await();
    assertThat(bench.session().build()).isSameAs(before);
  }

  /**
   * Rows of a flow sheet come and go; what is typed in moves the curve's input and is card data.
   */
  @Test
  void flowRowsComeAndGo() {
    choose(Station.HEADS);
    int rows = bench.session().build().combination().heads().intakeFlow().rows().size();
    robot.interact(() -> button("Add row").fire());
    assertThat(bench.session().build().combination().heads().intakeFlow().rows()).hasSize(rows + 1);
    robot.interact(() -> button("Drop row").fire());
    robot.interact(() -> button("Drop row").fire());
    assertThat(bench.session().build().combination().heads().intakeFlow().rows()).hasSize(rows - 1);
    robot.press(KeyCode.CONTROL, KeyCode.Z).release(KeyCode.Z, KeyCode.CONTROL);
    until(
        "undone",
        () -> bench.session().build().combination().heads().intakeFlow().rows().size() == rows);
  }

  private Button button(String words) {
    return robot.lookup(n -> n instanceof Button b && words.equals(b.getText())).queryAll().stream()
        .map(Button.class::cast)
        .findFirst()
        .orElseThrow();
  }

  /** Numbers 1 to 8 with Ctrl open the stations in their order. */
  @Test
  void theKeyboardOpensEveryStation() {
    var keys =
        List.of(
            KeyCode.DIGIT1,
            KeyCode.DIGIT2,
            KeyCode.DIGIT3,
            KeyCode.DIGIT4,
            KeyCode.DIGIT5,
            KeyCode.DIGIT6,
            KeyCode.DIGIT7,
            KeyCode.DIGIT8,
            KeyCode.DIGIT9,
            KeyCode.W,
            KeyCode.P,
            KeyCode.J);
    for (var station : Station.values()) {
      var key = keys.get(station.ordinal());
      robot.press(KeyCode.CONTROL, key).release(key, KeyCode.CONTROL);
      until(
          station.title(),
          () ->
              robot.lookup(".page-title").queryAllAs(Label.class).stream()
                  .anyMatch(l -> l.getText().equals(station.title())));
    }
  }

  /** A fuel too poor and springs too weak are said at the foot, and are gone once cured. */
  @Test
  void theFootSaysWhatTheCurveRunsInto() {
    edit("mixture.fuel", FuelKind.RACE_116);
    until("the curve stands", () -> text("#foot").startsWith("Nothing measured"));
    edit("mixture.fuel", FuelKind.PUMP_87);
    until(
        "knock",
        () -> text("#foot").contains("octane") && text("#foot").contains("more than the fuel has"));
    edit("mixture.spark", Mixture.Spark.KNOCK_LIMITED);
    until("held back", () -> text("#foot").startsWith("Nothing measured"));
    var rate = Specs.field("valveTrain.springRate");
    robot.interact(
        () ->
            bench
                .session()
                .put(
                    rate,
                    rate.get(bench.session().build().combination()).with(30e3, Provenance.CARD)));
    until("float", () -> text("#foot").contains("Valves float from"));
    assertThat(text("#foot")).contains("rpm", "mm clear of the lobe");
    edit("valveTrain.follower", ValveTrain.Follower.FLAT_PUSHROD);
    until("tappet", () -> text("#foot").contains("flat tappet narrower than"));
    choose(Station.CAM);
    assertThat(text("#figure-intake_tappet_wanted")).endsWith(" in");
  }

  /** What is measured counts on the rail; what is not fitted does not. */
  @Test
  void theRailCountsWhatConcernsTheEngine() {
    var session = bench.session();
    String plain =
        Station.BREATHING.measured(
            session.build(), session.readings(), session.engine().combination(), false);
    fitEverything(Boost.Kind.TURBOCHARGER);
    String fitted =
        Station.BREATHING.measured(
            session.build(), session.readings(), session.engine().combination(), false);
    assertThat(Integer.parseInt(fitted.split(" ", -1)[2]))
        .isGreaterThan(Integer.parseInt(plain.split(" ", -1)[2]));
    var bore = Specs.field("bottomEnd.bore");
    int before = measured();
    robot.interact(
        () ->
            session.put(
                bore, bore.get(session.build().combination()).with(0.104, Provenance.MEASURED)));
    assertThat(measured()).isEqualTo(before + 1);
  }

  /** How many of the bottom end's inputs the rail counts as measured. */
  private int measured() {
    var session = bench.session();
    return Integer.parseInt(
        Station.BOTTOM_END.measured(
                session.build(), session.readings(), session.engine().combination(), false)
            .split(" ", -1)[0]);
  }
}
