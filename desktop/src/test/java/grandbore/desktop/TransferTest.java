package grandbore.desktop;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import grandbore.book.BuildDocument;
import grandbore.book.BuildJson;
import grandbore.book.FlowSheetCsv;
import grandbore.core.combination.Boost;
import grandbore.core.combination.Intake;
import grandbore.core.combination.Provenance;
import grandbore.core.demo.DemoBuilds;
import grandbore.core.units.UnitSystem;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import javafx.scene.control.ComboBox;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;

/** Builds, curves and flow sheets between the window and files. */
class TransferTest extends BenchTest {
  @Override
  List<BuildDocument> documents() {
    return List.of(new BuildDocument(DemoBuilds.hillClimbEight(), DemoBuilds.hillClimbReadings()));
  }

  private Path out(String name) {
    var file = folder.resolve(name);
    robot.interact(() -> bench.transfer().sendOut(file));
    return file;
  }

  /** Both sheets go out in the units on the screen and come back as the ports they were. */
  @Test
  void flowSheetsGoOutInTheUnitsOnTheScreen() throws IOException {
    for (var units : UnitSystem.values()) {
      robot.interact(() -> bench.session().edit("Units", b -> b.with(units)));
      var heads = bench.session().build().combination().heads();
      var intake = Files.readString(out(units + ".intake.csv"));
      var exhaust = Files.readString(out(units + ".exhaust.csv"));
      assertThat(intake).startsWith(units == UnitSystem.US ? "lift_in,flow_cfm" : "lift_mm,flow_l");
      var back = FlowSheetCsv.read(intake, Provenance.CARD);
      assertThat(back.rows()).hasSameSizeAs(heads.intakeFlow().rows());
      assertThat(back.rows().getLast().flow())
          .isCloseTo(heads.intakeFlow().rows().getLast().flow(), within(1e-6));
      assertThat(FlowSheetCsv.read(exhaust, Provenance.CARD).rows().getFirst().flow())
          .isCloseTo(heads.exhaustFlow().rows().getFirst().flow(), within(1e-6));
      assertThat(text("#foot")).startsWith("Written: ");
    }
  }

  /** What is fitted at the window stands in the document, and the document fits it again. */
  @Test
  void whatIsFittedAtTheWindowStandsInTheDocument() throws IOException {
    edit("boost.kind", Boost.Kind.CENTRIFUGAL);
    edit("intake.manifold", Intake.Manifold.DUAL_PLANE);
    edit("heads.intakeShares", List.of(1.0, 1.0, 0.95, 1.0, 1.0, 1.0, 1.0, 1.02));
    var file = out("fitted.json");
    var document = BuildJson.read(Files.readString(file));
    assertThat(document.readings()).hasSameSizeAs(DemoBuilds.hillClimbReadings());
    edit("boost.kind", Boost.Kind.NONE);
    long was = bench.session().id();
    robot.interact(() -> bench.transfer().bringIn(file));
    until("brought in", () -> bench.session().id() != was);
    until("listed", () -> bench.session().books().builds().size() == 2);
    var c = bench.session().build().combination();
    assertThat(c.boost().kind()).isEqualTo(Boost.Kind.CENTRIFUGAL);
    assertThat(c.intake().manifold()).isEqualTo(Intake.Manifold.DUAL_PLANE);
    assertThat(c.heads().intakeShares().get(2)).isCloseTo(0.95, within(1e-9));
    assertThat(bench.session().books().builds()).hasSize(2);
    assertThat(bench.session().readings().all()).hasSameSizeAs(document.readings());
  }

  /** A copy starts as the build stands, goes on the bench, and leaves the first alone. */
  @Test
  void aCopyStartsAsTheBuildStands() {
    edit("intake.throttles", 2);
    robot.clickOn("#copy");
    robot.write("Second engine");
    robot.type(KeyCode.ENTER);
    until("copied", () -> bench.session().build().name().equals("Second engine"));
    robot.type(KeyCode.ESCAPE);
    until("back", () -> !isShown("#builds-page"));
    assertThat(bench.session().build().combination().intake().throttles()).isEqualTo(2);
    edit("intake.throttles", 3);
    until("listed", () -> robot.lookup("#builds").<ComboBox<Object>>query().getItems().size() == 2);
    long first = bench.session().books().builds().getFirst().id();
    long second = bench.session().books().builds().getLast().id();
    long other = bench.session().id() == first ? second : first;
    bench.session().settled().join();
    robot.interact(() -> bench.session().open(other));
    until("it is on the bench", () -> bench.session().id() == other);
    assertThat(bench.session().build().combination().intake().throttles()).isEqualTo(2);
  }

  /** Places that can't be written or read are said with the file's name, and nothing is lost. */
  @Test
  void placesThatCannotBeWrittenOrReadAreSaid() throws IOException {
    var before = bench.session().build();
    out("no/such/folder/build.json");
    assertThat(text("#foot")).contains("✕", "can't be written");
    robot.interact(() -> bench.transfer().bringIn(folder.resolve("nothing.json")));
    until("said", () -> text("#foot").contains("nothing.json"));
    assertThat(text("#foot")).contains("✕", "can't be read");
    var wrong = Files.writeString(folder.resolve("wrong.json"), "{\"format\": \"else\"}");
    robot.interact(() -> bench.transfer().bringIn(wrong));
    until("said", () -> text("#foot").contains("wrong.json"));
    assertThat(text("#foot")).contains("✕", "format");
    assertThat(bench.session().build()).isEqualTo(before);
    assertThat(bench.session().books().builds()).hasSize(1);
  }

  /** The curve goes out as it is drawn: a row a speed, those of the chart. */
  @Test
  void theCurveGoesOutAsItIsDrawn() throws IOException {
    var lines = Files.readAllLines(out("power.curve.csv"));
    var points = bench.curves().stateProperty().get().curve().points();
    assertThat(lines).hasSize(points.size() + 1);
    var heading = List.of(lines.getFirst().split(",", -1));
    for (var name :
        List.of(
            "octane_margin",
            "spark_margin_deg",
            "rod_tension_n",
            "side_force_n",
            "valves_follow",
            "blow_by_fraction",
            "drive_kpa",
            "exhaust_gas_k",
            "change_of_last_cycle")) {
      assertThat(heading).contains(name);
    }
    int power = heading.indexOf("brake_power_kw");
    for (int i = 0; i < points.size(); i++) {
      var cells = lines.get(i + 1).split(",", -1);
      assertThat(cells).hasSize(heading.size());
      assertThat(Double.parseDouble(cells[power]))
          .isCloseTo(points.get(i).power() / 1e3, within(0.01));
    }
  }
}
