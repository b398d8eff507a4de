package grandbore.desktop;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import grandbore.book.BuildDocument;
import grandbore.book.Summary;
import grandbore.core.combination.Arrangement;
import grandbore.core.combination.Exhaust;
import grandbore.core.combination.Provenance;
import grandbore.core.demo.DemoBuilds;
import grandbore.desktop.station.Station;
import java.util.List;
import java.util.concurrent.TimeUnit;
import javafx.scene.control.CheckBox;
import javafx.scene.control.TableView;
import javafx.scene.control.TextArea;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;

/** Builds begun, found, named, copied and put away, by keyboard. */
class BuildsTest extends BenchTest {
  @Override
  List<BuildDocument> documents() {
    return List.of(
        new BuildDocument(DemoBuilds.paddockFour(), List.of()),
        new BuildDocument(DemoBuilds.hillClimbEight(), DemoBuilds.hillClimbReadings()));
  }

  private TableView<Summary> table() {
    return robot.lookup("#builds-table").query();
  }

  private void keys(KeyCode key) {
    robot.press(KeyCode.CONTROL).type(key).release(KeyCode.CONTROL);
    Pulse.await();
  }

  private void into(String field, String words) {
    robot.clickOn(field);
    keys(KeyCode.A);
    robot.write(words);
  }

  /** Led through a new build: a question a station, what its answer did, and enough at any time. */
  @Test
  void aNewBuildAsksOneThingAfterTheOther() {
    long was = bench.session().id();
    keys(KeyCode.N);
    robot.write("Led four");
    robot.interact(() -> robot.lookup("#new-guided").<CheckBox>query().setSelected(true));
    robot.clickOn("#new-begin");
    until("begun", () -> bench.session().id() != was && !isShown("#new-build"));
    until("it asks", () -> text("#led-asks").startsWith("1 of "));
    assertThat(text("#led-asks")).endsWith("How large is a chamber?");
    assertThat(bench.rail().chosenProperty().get()).isEqualTo(Station.COMPRESSION);
    settle();
    press("#led-next");
    press("#led-back");
    var chamber = combination().compression().chamberVolume();
    var field = robot.lookup("#led .text-field").<TextField>query();
    robot.clickOn(field);
    keys(KeyCode.A);
    robot.write("%.1f cc".formatted(0.85e6 * chamber.si())).type(KeyCode.ENTER);
    until("its effect is told", () -> text("#led-did").startsWith("→ Peak "));
    assertThat(combination().compression().chamberVolume().provenance())
        .isNotEqualTo(Provenance.ASSUMED);
    for (int i = 0; i < 5; i++) {
      press("#led-next");
    }
    assertThat(bench.rail().chosenProperty().get()).isEqualTo(Station.CAM);
    press("#led-end");
    assertThat(robot.lookup("#led").query().isVisible()).isFalse();
  }

  /** From nothing to a curve: pattern, name, sizes, Enter. */
  @Test
  void aNewBuildIsMadeOfAFewNumbers() {
    long was = bench.session().id();
    keys(KeyCode.N);
    assertThat(robot.lookup("#new-name").query().isFocused()).isTrue();
    robot.write("Garage six");
    robot.clickOn("#new-pattern").type(KeyCode.DOWN).type(KeyCode.DOWN).type(KeyCode.ENTER);
    assertThat(text("#new-bore")).isEqualTo("84.00");
    into("#new-bore", "86.5");
    into("#new-stroke", "eighty");
    assertThat(text("#new-build .refusal")).contains("Stroke", "eighty");
    assertThat(robot.lookup("#new-begin").query().isDisabled()).isTrue();
    into("#new-stroke", "86.5");
    choose("#new-exhaust", Exhaust.Kind.CAST_MANIFOLD);
    assertThat(text("#new-size")).contains("3050 cm³".substring(0, 3), "6 cylinders");
    long begun = System.nanoTime();
    robot.type(KeyCode.ENTER);
    until("begun", () -> bench.session().id() != was && !isShown("#new-build"));
    settle();
    assertThat(System.nanoTime() - begun).isLessThan(TimeUnit.SECONDS.toNanos(30));
    var build = bench.session().build();
    assertThat(build.name()).isEqualTo("Garage six");
    var bottom = build.combination().bottomEnd();
    assertThat(Arrangement.of(bottom)).contains(Arrangement.INLINE_6);
    assertThat(bottom.bore().si()).isCloseTo(0.0865, within(1e-9));
    assertThat(bottom.bore().provenance()).isEqualTo(Provenance.CARD);
    assertThat(bottom.rodLength().provenance()).isEqualTo(Provenance.ASSUMED);
    assertThat(bench.curves().curve().getValue().settled()).hasSizeGreaterThan(4);
    // A cast manifold's branches are short; a header's, chosen for it, are not, and back in a step.
    double branch = build.combination().exhaust().primaryLength().si();
    assertThat(branch).isCloseTo(0.9 * 0.0865, within(1e-9));
    robot.interact(() -> bench.rail().choose(Station.BREATHING));
    choose("#exhaust", Exhaust.Kind.HEADERS);
    assertThat(primary()).isGreaterThan(0.4);
    keys(KeyCode.Z);
    assertThat(primary()).isEqualTo(branch);
    // A header's length on a cast manifold is told as far from usual, which is a click away.
    type("#exhaust-primaryLength-text", "813");
    assertThat(text("#exhaust-primaryLength-beside")).isEqualTo("usual 78");
    robot.rightClickOn("#exhaust-primaryLength-text");
    Pulse.await();
    robot.clickOn("#input-usual");
    assertThat(primary()).isCloseTo(branch, within(1e-9));
    assertThat(robot.lookup("#exhaust-primaryLength-beside").query().isVisible()).isFalse();
    settle();
  }

  private double primary() {
    return bench.session().build().combination().exhaust().primaryLength().si();
  }

  /** Thrown away and taken back; put away and found again; opened by Enter. */
  @Test
  void buildsAreFoundMovedAndOpened() {
    keys(KeyCode.B);
    until("listed", () -> table().getItems().size() == 2);
    into("#builds-find", "hill");
    until("found", () -> table().getItems().size() == 1);
    robot.clickOn("#builds-to-bin");
    until("gone", () -> table().getItems().isEmpty());
    assertThat(text("#builds-says")).contains("thrown away");
    robot.clickOn("#builds-undo");
    until("back", () -> table().getItems().size() == 1);
    robot.clickOn("#builds-to-archive");
    until("put away", () -> table().getItems().isEmpty());
    bench.session().settled().join();
    robot.clickOn("#builds-shelf").type(KeyCode.DOWN).type(KeyCode.ENTER);
    until("in the archive", () -> table().getItems().size() == 1);
    robot.clickOn("#builds-find").type(KeyCode.ENTER);
    until("opened", () -> bench.session().build().name().contains("hill-climb"));
    until("closed", () -> !isShown("#builds-page"));
  }

  @Test
  void aBuildIsNamedAndKeepsItsNote() {
    keys(KeyCode.B);
    until("listed", () -> table().getItems().size() == 2);
    into("#builds-name", "Paddock four, second head");
    robot.clickOn("#builds-rename");
    until("named", () -> bench.session().build().name().equals("Paddock four, second head"));
    robot.clickOn("#builds-undo");
    until("taken back", () -> bench.session().build().name().equals("Paddock four"));
    // Another build is named without being put on the bench.
    into("#builds-find", "hill");
    until("found", () -> table().getItems().size() == 1);
    into("#builds-name", "Hill eight");
    robot.clickOn("#builds-rename");
    into("#builds-find", "hill eight");
    until("listed", () -> table().getItems().size() == 1);
    assertThat(bench.session().build().name()).isEqualTo("Paddock four");
    robot.interact(
        () -> robot.lookup("#builds-remark").<TextArea>query().setText("For the club's open day."));
    robot.clickOn("#builds-keep");
    bench.session().settled().join();
    robot.type(KeyCode.ESCAPE);
    keys(KeyCode.B);
    assertThat(robot.lookup("#builds-remark").<TextArea>query().getText())
        .isEqualTo("For the club's open day.");
  }
}
