package grandbore.desktop;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import grandbore.book.BuildDocument;
import grandbore.book.ReadingsCsv;
import grandbore.core.clearances.Measurement;
import grandbore.core.clearances.Photo;
import grandbore.core.clearances.Reading;
import grandbore.core.combination.Boost;
import grandbore.core.combination.Exhaust;
import grandbore.core.combination.FlowSheet;
import grandbore.core.combination.PartSizes;
import grandbore.core.demo.DemoBuilds;
import grandbore.desktop.bench.BookFiles;
import grandbore.desktop.breathing.CompressorRow;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.image.ImageView;
import org.junit.jupiter.api.Test;

/** Seats, maps, spacers, paths and files: parts as sheets and tables describe them. */
class NewPartsTest extends BenchTest {
  private static final String MAP =
      """
      shaft_rpm,flow_g/s,ratio,efficiency
      60000,100,1.35,0.66
      60000,300,1.10,0.60
      110000,200,2.60,0.72
      110000,600,1.90,0.62
      """;

  @Override
  boolean studies() {
    return true;
  }

  @Override
  List<BuildDocument> documents() {
    return List.of(
        new BuildDocument(DemoBuilds.hillClimbEight(), DemoBuilds.hillClimbReadings()),
        new BuildDocument(DemoBuilds.paddockFour(), List.of()));
  }

  @Test
  void aValveJobIsEnteredOnItsDrawing() {
    station("heads", "heads-sizing");
    String before = text("#check-intake_discharge");
    view("heads-seats");
    assertThat(text("#check-intake_seat")).contains("say the intake seat");
    type("#seats-intakeWidth-text", "0.045");
    type("#seats-intakeThroat-text", "1.80");
    type("#seats-intakeMargin-text", "0.020");
    assertThat(text("#check-intake_seat")).isEqualTo("0.0450 in");
    assertThat(text("#check-intake_throat")).startsWith("89 %");
    assertThat(text("#check-intake_margin")).contains("thin");
    type("#seats-intakeAngle-text", "75");
    assertThat(text("#seats-intakeAngle-refusal")).contains("20 to 60");
    view("heads-sizing");
    assertThat(text("#check-intake_discharge")).isNotEqualTo(before);
    view("heads-flow");
    choose("#exhaust-flow-with", FlowSheet.Fitting.PORT_ALONE);
    assertThat(combination().heads().exhaustFlow().fitting())
        .isEqualTo(FlowSheet.Fitting.PORT_ALONE);
    view("heads-sizing");
    assertThat(text("#check-exhaust_fitting")).contains("with a pipe it reads");
  }

  @Test
  void aCompressorsMapIsLoadedAndItsLineJudged() throws Exception {
    robot.interact(
        () ->
            bench
                .session()
                .edit(
                    "Boost",
                    b -> b.with(b.combination().with("boost.kind", Boost.Kind.CENTRIFUGAL))));
    settle();
    double without = bench.curves().curve().getValue().peakPower().orElseThrow().power();
    station("breathing", "breathing-path");
    var row = robot.lookup("#compressor-row").<CompressorRow>query();
    var file = Files.writeString(folder.resolve("map.csv"), MAP.replace("0.72", "poor"));
    robot.interact(() -> row.load(file));
    assertThat(robot.lookup(".refusal").queryAllAs(Label.class))
        .anySatisfy(l -> assertThat(l.getText()).contains("line 4").contains("poor"));
    assertThat(combination().boost().map().isGiven()).isFalse();
    Files.writeString(file, MAP);
    robot.interact(() -> row.load(file));
    assertThat(text("#compressor-map")).contains("2 speeds");
    settle();
    double with = bench.curves().curve().getValue().peakPower().orElseThrow().power();
    assertThat(with).isNotEqualTo(without);
    view("breathing-tuning");
    until("judged", () -> isShown("#check-surge"));
    assertThat(text("#check-compressor_at_power")).contains("efficiency 0.");
    assertThat(text("#check-choke")).contains("a larger compressor");
  }

  /** A spacer is volume under the carburettor; in steps, the path shows its secondaries. */
  @Test
  void thePathIsTheForm() {
    station("breathing", "breathing-path");
    type("#intake-runnerLength-text", "7.25");
    assertThat(combination().intake().runnerLength().si() / 0.0254).isCloseTo(7.25, within(1e-9));
    type("#exhaust-primaryDiameter-text", "1 3/4");
    assertThat(combination().exhaust().primaryDiameter().si() / 0.0254)
        .isCloseTo(1.75, within(1e-9));
    assertThat(isShown("#intake-spacerOpening-text")).isFalse();
    type("#intake-spacerHeight-text", "2");
    assertThat(isShown("#intake-spacerOpening-text")).isTrue();
    assertThat(combination().intake().spacerHeight().si()).isCloseTo(0.0508, within(1e-9));
    assertThat(isShown("#intake-ductLength-text")).isFalse();
    type("#intake-airBox-text", "8000");
    assertThat(isShown("#intake-ductLength-text")).isTrue();
    assertThat(isShown("#exhaust-secondaryLength-text")).isFalse();
    choose("#exhaust", Exhaust.Kind.STEPPED);
    assertThat(isShown("#exhaust-secondaryLength-text")).isTrue();
    type("#exhaust-secondaryLength-text", "15");
    assertThat(combination().exhaust().secondaryLength().si() / 0.0254).isCloseTo(15, within(1e-9));
  }

  @Test
  void clearanceIsLostAtSpeedAndTheBooksReadingTeaches() {
    station("cam", "cam-piston");
    until("drawn", () -> isShown("#plot-piston-speed"));
    choose("#rods-of", PartSizes.RodMaterial.ALUMINIUM);
    type("#partSizes-rodSection-text", "0.6");
    assertThat(combination().partSizes().rodSection().si())
        .isCloseTo(0.6 * 6.4516e-4, within(1e-9));
    type("#worksheet-intakeRead-text", "");
    robot.clickOn("#station-clearances");
    robot.clickOn("#group-valves");
    robot.clickOn("#measure-valve_to_piston");
    int before = bench.session().readings().all().size();
    type("#piston-to-valve,-depth-3-intake-text", ".088");
    until("kept", () -> bench.session().readings().all().size() == before + 1);
    station("cam", "cam-piston");
    press("#set-intake-read");
    assertThat(text("#check-intake_to_piston")).startsWith("0.0880 in");
  }

  /** Another build's waves stand beside this one's, and are gone when it is taken away. */
  @Test
  void wavesOfTwoBuildsAreLaidOverEachOther() {
    station("breathing", "breathing-waves");
    until("solved", () -> text("#waves-status").contains("every cylinder solved"));
    assertThat(text("#plot-wave-valves-reading")).doesNotContain("laid over");
    robot.interact(() -> bench.session().layOver(bench.session().books().builds().getLast().id()));
    until("laid", () -> text("#plot-wave-valves-reading").contains("laid over"));
    assertThat(text("#plot-wave-valves-reading")).contains("intake", "exhaust");
    robot.interact(() -> bench.session().layOver(-1));
    until("gone", () -> !text("#plot-wave-valves-reading").contains("laid over"));
  }

  @Test
  void readingsAndPicturesComeFromFiles() throws Exception {
    station("clearances", "bench-book");
    var book = robot.lookup("#book-files").<BookFiles>query();
    var file = folder.resolve("readings.csv");
    robot.interact(() -> book.export(file));
    var out = ReadingsCsv.read(Files.readString(file));
    assertThat(out).hasSameSizeAs(DemoBuilds.hillClimbReadings());
    int before = bench.session().readings().all().size();
    Files.writeString(
        file,
        Files.readString(file).lines().limit(3).reduce((a, b) -> a + "\n" + b).orElseThrow()
            + "\n");
    // One's own table brings nothing new.
    robot.interact(() -> book.bring(file));
    until("said", () -> text("#book-says").contains("2 were there already"));
    assertThat(bench.session().readings().all()).hasSize(before);
    Files.writeString(file, Files.readString(file).replace("2026-", "2027-"));
    robot.interact(() -> book.bring(file));
    until("taken", () -> bench.session().readings().all().size() == before + 2);
    // What was struck there is struck here.
    Files.writeString(file, Files.readString(file).replace(",false", ",true"));
    robot.interact(() -> book.bring(file));
    until("taken", () -> bench.session().readings().all().size() == before + 4);
    assertThat(bench.session().readings().all().subList(before + 2, before + 4))
        .extracting(Reading::struck)
        .containsOnly(true);
    Files.writeString(file, Files.readString(file).replace("DECK", "DUCK"));
    robot.interact(() -> book.bring(file));
    until("refused", () -> text("#book-says").contains("line 2"));
    assertThat(bench.session().readings().all()).hasSize(before + 4);
    view("bench-assembly");
    var pictures = robot.lookup("#pictures").<grandbore.desktop.bench.PictureRows>query();
    robot.interact(() -> pictures.attach(Path.of("../docs/screenshots/brief.png")));
    until("attached", () -> bench.session().notes(Photo.class).size() == 1);
    var photo = bench.session().notes(Photo.class).getFirst();
    assertThat(bench.session().books().pictures().resolve(photo.file())).exists();
    assertThat(photo.caption()).isEqualTo("brief.png");
    until(
        "seen",
        () ->
            !robot.lookup("#pictures .image-view").queryAll().isEmpty()
                || pictures.lookupAll(".image-view").size() + count(pictures) > 0);
    robot.interact(() -> pictures.attach(folder.resolve("no-such.png")));
    assertThat(robot.lookup(".refusal").queryAllAs(Label.class))
        .anySatisfy(l -> assertThat(l.getText()).contains("no-such.png"));
    assertThat(bench.session().readings().at(Measurement.DECK, 1)).isPresent();
  }

  private static long count(Node pictures) {
    return ((javafx.scene.Parent) pictures)
        .getChildrenUnmodifiable().stream()
            .filter(javafx.scene.layout.Pane.class::isInstance)
            .flatMap(p -> ((javafx.scene.layout.Pane) p).getChildren().stream())
            .filter(javafx.scene.layout.Pane.class::isInstance)
            .flatMap(p -> ((javafx.scene.layout.Pane) p).getChildren().stream())
            .filter(ImageView.class::isInstance)
            .count();
  }

  /** Two pulls typed at the separation: what the model's own line says of them. */
  @Test
  void twoPullsAreReadAtTheSeparation() {
    station("cam", "cam-separation");
    until("swept", () -> text("#separation-found").contains("is best near"));
    assertThat(text("#rocker-test")).isEmpty();
    type("#worksheet-rockerGain-text", "120");
    assertThat(text("#rocker-test")).contains("120 hp").contains("says too wide");
  }
}
