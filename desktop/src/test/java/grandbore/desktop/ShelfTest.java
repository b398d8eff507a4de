package grandbore.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import grandbore.book.BuildDocument;
import grandbore.book.PartsCsv;
import grandbore.book.PartsJson;
import grandbore.book.PlannedChanges;
import grandbore.book.ShopParts;
import grandbore.book.Summary;
import grandbore.core.changes.Change;
import grandbore.core.clearances.Planned;
import grandbore.core.clearances.Stocked;
import grandbore.core.demo.DemoBuilds;
import grandbore.core.demo.DemoShelf;
import grandbore.core.shelf.Part;
import grandbore.core.shelf.PartKind;
import grandbore.core.shelf.PartState;
import grandbore.core.units.Measure;
import grandbore.core.units.UnitSystem;
import grandbore.desktop.station.Station;
import grandbore.desktop.weighing.PartCard;
import grandbore.desktop.weighing.ShelfView;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import javafx.scene.Node;
import javafx.scene.control.Labeled;
import javafx.scene.control.MenuButton;
import javafx.scene.control.TextField;
import org.junit.jupiter.api.Test;

/** The shop's shelf in the window: a part is made, changed, put on the ladder and on the engine. */
class ShelfTest extends BenchTest {
  @Override
  Station station() {
    return Station.WEIGHING;
  }

  @Override
  List<BuildDocument> documents() {
    return List.of(PlannedChanges.demo(), new BuildDocument(DemoBuilds.paddockFour(), List.of()));
  }

  private List<Part> parts() {
    return ShopParts.of(bench.session().notes(Stocked.class));
  }

  private List<String> ladder() {
    return PlannedChanges.of(bench.session().notes(Planned.class)).changes().stream()
        .map(Change::name)
        .toList();
  }

  private long cards() {
    return robot
        .lookup((Node n) -> n instanceof PartCard && n.getScene() != null)
        .queryAll()
        .size();
  }

  private void write(String id, String words) {
    robot.interact(() -> robot.lookup(id).<TextField>query().setText(words));
  }

  /** From “as on this engine” to a part of one's own, on the ladder and on the engine. */
  @Test
  void aPartIsMadeAndUsed() {
    view("weighing-shelf");
    assertThat(cards()).isEqualTo(DemoShelf.parts().size());
    robot.interact(
        () ->
            robot.lookup("#shelf-new").<MenuButton>query().getItems().stream()
                .filter(i -> i.getId().equals("shelf-new-HEADERS"))
                .forEach(i -> i.fire()));
    Pulse.await();
    assertThat(text("#part-number")).isEqualTo("P-10");
    write("#part-name", "Headers of our own");
    write("#part-price", "dear");
    write("#part-sets-exhaust-primaryLength", "31 in");
    press("#part-keep");
    assertThat(text("#part-form .refusal")).contains("Price", "dear");
    write("#part-price", "250");
    write("#part-needs", "gaskets;  clamps");
    write("#part-sets-exhaust-collectorLength", "");
    press("#part-keep");
    assertThat(robot.lookup("#part-form").query().isVisible()).isFalse();
    var made = parts().getLast();
    assertThat(made.kind()).isEqualTo(PartKind.HEADERS);
    assertThat(made.change().needs()).containsExactly("gaskets", "clamps");
    assertThat(made.change().cost().price()).isEqualTo(250);
    assertThat(made.change().sets())
        .doesNotContainKey("exhaust.collectorLength")
        .containsEntry("exhaust.kind", combination().exhaust().kind());
    // What was not touched is what the engine has, to the last digit and with its provenance.
    assertThat(made.change().sets().get("exhaust.primaryDiameter"))
        .isEqualTo(combination().exhaust().primaryDiameter());
    press("#part-ladder-P-10");
    assertThat(ladder()).endsWith("Headers of our own").hasSize(6);
    press("#part-on-P-10");
    double inches = Measure.INCHES.fromSi(combination().exhaust().primaryLength().si());
    assertThat(inches).isEqualTo(31, org.assertj.core.api.Assertions.within(1e-9));
    robot.interact(() -> bench.session().undo());
    robot.interact(() -> bench.session().undo());
    robot.interact(() -> bench.session().undo());
    assertThat(parts()).hasSize(DemoShelf.parts().size());
    robot.interact(() -> bench.session().redo());
    // The shelf is the shop's: another build's bench has it too.
    robot.interact(() -> bench.session().open(2));
    until("the four", () -> bench.session().id() == 2);
    assertThat(parts().getLast().name()).isEqualTo("Headers of our own");
    assertThat(ladder()).isEmpty();
  }

  /** States, words that find, what does not fit, and the shelf's menu of the ladder. */
  @Test
  void partsAreFoundAndMoved() {
    view("weighing-shelf");
    choose("#part-state-P-3", PartState.SOLD);
    assertThat(parts().get(2).state()).isEqualTo(PartState.SOLD);
    assertThat(robot.lookup("#part-ladder-P-3").query().isDisabled()).isTrue();
    write("#shelf-words", "cam 222");
    Pulse.await();
    assertThat(cards()).isEqualTo(1);
    // An edit of a known part keeps its number and what it sets.
    press("#part-edit-P-5");
    assertThat(robot.lookup("#part-number").<TextField>query().isEditable()).isFalse();
    write("#part-sets-cam-separation", "12 deg");
    press("#part-keep");
    var wide = parts().get(4);
    assertThat(wide.change().sets()).hasSize(7);
    var refused = robot.lookup("#part-P-5 .refusal").queryLabeled().getText();
    assertThat(refused).contains("does not fit", "separation");
    assertThat(robot.lookup("#part-on-P-5").query().isDisabled()).isTrue();
    view("weighing-ladder");
    robot.interact(
        () -> {
          var menu = robot.lookup("#ladder-part").<MenuButton>query();
          menu.getOnShowing().handle(null);
          var gasket =
              menu.getItems().stream()
                  .filter(m -> m.getText().equals(PartKind.GASKET.title()))
                  .map(javafx.scene.control.Menu.class::cast)
                  .findFirst()
                  .orElseThrow();
          assertThat(menu.getItems()).extracting(i -> i.getText()).contains("Head gasket");
          gasket.getItems().getFirst().fire();
        });
    assertThat(ladder()).endsWith("Head gasket, 0.027 in");
  }

  /** Documents and lists go out and come in; a damaged one leaves the shelf as it was. */
  @Test
  void theShelfGoesOutAndComesIn() throws Exception {
    view("weighing-shelf");
    var shelf = robot.lookup("#shelf-view").<ShelfView>query();
    var json = folder.resolve("parts.json");
    var csv = folder.resolve("parts.csv");
    robot.interact(() -> shelf.write(json));
    robot.interact(() -> shelf.write(csv));
    assertThat(text("#shelf-says")).contains("9 parts", "only in JSON");
    assertThat(PartsJson.read(Files.readString(json))).hasSize(9);
    var list = Files.readString(csv);
    assertThat(PartsCsv.read(list.lines().limit(2).reduce("", (a, b) -> a + b + "\n"), US))
        .hasSize(1);
    Files.writeString(json, Files.readString(json).substring(0, 900));
    robot.interact(() -> shelf.read(json));
    assertThat(text("#shelf-says")).contains("parts.json", "line");
    assertThat(parts()).hasSize(9);
    Files.writeString(
        csv,
        """
        number,kind,state,name,price,labour,hours,supplier,needs,condition,intake.throttleFlow
        P-2,CARBURETTOR,ENGINE,Larger body,610,,,,,,900 cfm
        T-1,CARBURETTOR,WANTED,Two bodies,900,,,,linkage,,1000 cfm
        """);
    robot.interact(() -> shelf.read(csv));
    assertThat(text("#shelf-says")).contains("2 parts came, 1 of them in place");
    assertThat(parts()).hasSize(10);
    assertThat(parts().get(1).name()).isEqualTo("Larger body");
    // A picture is kept by the book, and stays when the list comes in again.
    var card = robot.lookup("#part-T-1").<PartCard>query();
    robot.interact(() -> card.attach(Path.of("../docs/screenshots/brief.png")));
    assertThat(parts().getLast().pictures()).hasSize(1);
    robot.interact(() -> shelf.read(csv));
    assertThat(parts().getLast().pictures()).hasSize(1);
    robot.interact(() -> bench.session().undo());
    robot.interact(() -> bench.session().undo());
    robot.interact(() -> bench.session().undo());
    assertThat(parts()).as("both of the list at once").hasSize(9);
    press("#part-away-P-7");
    assertThat(parts()).extracting(Part::number).doesNotContain("P-7");
  }

  private static final UnitSystem US = UnitSystem.US;

  /** The build with the first changes of its ladder beside it, with what they cost; it follows. */
  @Test
  void theLadderStandsBesideTheBuild() {
    bench.curves().runs().hold(null);
    view("weighing-beside");
    // It opens with all of the ladder made.
    until("compared", () -> isShown("#beside-figures"));
    assertThat(besideMoney()).containsExactly("0", "2,053");
    press("#beside-chip--5");
    robot.interact(
        () -> {
          var menu = robot.lookup("#beside-rungs").<MenuButton>query();
          menu.getOnShowing().handle(null);
          menu.getItems().get(1).fire();
        });
    until("compared", () -> isShown("#beside-figures"));
    assertThat(besideMoney()).containsExactly("0", "668");
    assertThat(words("#beside-figures")).contains("With changes 1 to 2");
    // Of another build with no such changes it goes.
    robot.interact(() -> bench.session().open(2));
    until("the four", () -> bench.session().id() == 2);
    assertThat(isShown("#beside-chip--2")).isFalse();
  }

  private List<String> besideMoney() {
    var words = words("#beside-figures");
    int money = words.indexOf("Money");
    return words.subList(money + 1, money + 3);
  }

  /** The demo's search opens as it was answered, also from another build once its own is gone. */
  @Test
  void aKeptStudyIsOpenedAndAskedAgain() {
    view("weighing-kept");
    until("read", () -> robot.lookup("Open").tryQuery().isPresent());
    robot.clickOn("Open");
    assertThat(text("#kept-said")).startsWith("The best of 120 candidates, seed 1: ");
    robot.interact(() -> bench.session().open(2));
    until("the four", () -> bench.session().id() == 2);
    robot.interact(() -> bench.session().shelf().move(1, Summary.Place.BIN));
    until("gone", () -> robot.lookup((Node n) -> isThrownAway(n)).tryQuery().isPresent());
    robot.clickOn("Open");
    assertThat(text("#kept-said")).startsWith("The best of 120 candidates, seed 1: ");
    // Struck out only where it belongs.
    assertThat(robot.lookup("Strike it out").tryQuery()).isEmpty();
  }

  private static boolean isThrownAway(Node n) {
    return n instanceof Labeled l
        && String.valueOf(l.getText()).contains("Club hill-climb V8 (thrown away)");
  }
}
