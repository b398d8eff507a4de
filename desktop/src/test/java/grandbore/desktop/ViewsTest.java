package grandbore.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import grandbore.book.BuildDocument;
import grandbore.core.combination.Arrangement;
import grandbore.core.demo.DemoBuilds;
import grandbore.desktop.plot.PlotPane;
import grandbore.desktop.station.Station;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import javafx.event.Event;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.Slider;
import javafx.scene.image.WritableImage;
import javafx.scene.input.ScrollEvent;
import javafx.scene.layout.Pane;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVRecord;
import org.junit.jupiter.api.Test;
import org.testfx.util.WaitForAsyncUtils;

/** All views of all stations: what is drawn, laid over, exported, and turned by the cursors. */
class ViewsTest extends BenchTest {
  /** How a view says that something is being solved. */
  private static final List<String> BUSY = List.of("Running ", "Solving ", "Cranking ");

  private static final List<Station> WITH_VIEWS =
      List.of(
          Station.BOTTOM_END, Station.COMPRESSION, Station.CAM, Station.HEADS, Station.BREATHING);

  @Override
  boolean studies() {
    return true;
  }

  @Override
  List<BuildDocument> documents() {
    return List.of(
        new BuildDocument(DemoBuilds.hillClimbEight(), List.of()),
        new BuildDocument(DemoBuilds.paddockFour(), List.of()));
  }

  private void station(Station s) {
    robot.interact(() -> bench.rail().choose(s));
    Pulse.await();
  }

  private boolean isBusy() {
    return robot.lookup(".soft").queryAll().stream()
        .filter(Label.class::isInstance)
        .map(n -> ((Label) n).getText())
        .anyMatch(t -> BUSY.stream().anyMatch(t::startsWith));
  }

  /** Waits until a view's own runs are through; they begin when it has been looked at a moment. */
  private void rested() {
    WaitForAsyncUtils.sleep(450, java.util.concurrent.TimeUnit.MILLISECONDS);
    until("solved", () -> !isBusy());
  }

  private static byte[] pixels(WritableImage image) {
    int w = (int) image.getWidth();
    int h = (int) image.getHeight();
    var bytes = new byte[4 * w * h];
    image
        .getPixelReader()
        .getPixels(
            0, 0, w, h, javafx.scene.image.PixelFormat.getByteBgraInstance(), bytes, 0, 4 * w);
    return bytes;
  }

  private byte[] picture(Node node) {
    var shot = new ArrayList<byte[]>();
    robot.interact(() -> shot.add(pixels(node.snapshot(null, null))));
    return shot.getFirst();
  }

  private Set<Node> drawings() {
    return robot.lookup(".page .drawing").queryAll();
  }

  /** Another build laid over is seen in each drawing that compares, and gone when taken away. */
  @Test
  void whatIsLaidOverIsSeenInTheDrawingsAndGoneWhenTakenAway() {
    long other = bench.session().books().builds().getLast().id();
    Map<String, Station> views = new HashMap<>();
    views.put("bottom-section", Station.BOTTOM_END);
    views.put("bottom-stack", Station.BOTTOM_END);
    views.put("bottom-balance", Station.BOTTOM_END);
    views.put("compression-volumes", Station.COMPRESSION);
    views.put("cam-lobes", Station.CAM);
    views.put("heads-flow", Station.HEADS);
    views.forEach(
        (id, s) -> {
          station(s);
          view(id);
          for (var drawing : drawings()) {
            byte[] bare = picture(drawing);
            robot.interact(() -> bench.session().layOver(other));
            until("laid over", () -> bench.session().overProperty().get() != null);
            byte[] laid = picture(drawing);
            assertThat(Arrays.equals(bare, laid)).as(id).isFalse();
            robot.interact(() -> bench.session().layOver(-1));
            assertThat(Arrays.equals(bare, picture(drawing))).as(id).isTrue();
          }
        });
  }

  /** One crank cursor: turned at one station, the others have turned with it. */
  @Test
  void oneCrankCursorTurnsEverything() {
    station(Station.BOTTOM_END);
    var slider = robot.lookup("#crank-cursor").<Slider>query();
    var section = drawings().iterator().next();
    byte[] before = picture(section);
    station(Station.BREATHING);
    view("breathing-waves");
    robot.interact(() -> robot.lookup("#wave-cursor").<Slider>query().setValue(200));
    assertThat(slider.getValue()).isEqualTo(200);
    station(Station.BOTTOM_END);
    assertThat(Arrays.equals(before, picture(section))).isFalse();
    view("bottom-motion");
    assertThat(text("#plot-depth-reading")).contains("200");
    view("bottom-balance");
    var balance = drawings().iterator().next();
    byte[] at200 = picture(balance);
    robot.interact(() -> slider.setValue(260));
    assertThat(Arrays.equals(at200, picture(balance))).isFalse();
  }

  private List<CSVRecord> saved(PlotPane plot) {
    var file = folder.resolve(plot.getId() + ".csv");
    robot.interact(() -> plot.save(file));
    try (var parser = CSVFormat.RFC4180.parse(Files.newBufferedReader(file))) {
      return parser.getRecords();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** Every plot of every view goes out as a table that has its heading and numbers in every row. */
  @Test
  void everyPlotOfEveryViewGoesOutAsATable() throws Exception {
    var names = new ArrayList<String>();
    for (var s : WITH_VIEWS) {
      station(s);
      for (var id : views()) {
        view(id);
        rested();
        for (var plot : robot.lookup(".page .plot").queryAllAs(PlotPane.class)) {
          if (!plot.isVisible()) {
            continue;
          }
          until(plot.getId(), () -> saved(plot).size() > 2);
          var rows = saved(plot);
          int columns = rows.getFirst().size();
          assertThat(columns).as(plot.getId()).isGreaterThanOrEqualTo(2);
          assertThat(rows)
              .as(plot.getId())
              .allSatisfy(r -> assertThat(r.size()).isEqualTo(columns));
          assertThat(rows.get(1).get(1)).as(plot.getId()).matches("[-0-9.Ee+]+");
          names.add(plot.getId());
        }
      }
    }
    assertThat(names).doesNotHaveDuplicates().hasSizeGreaterThan(20);
  }

  /** The wheel over a plot scrolls its page; with Ctrl it zooms the plot and the page stands. */
  @Test
  void theWheelScrollsThePageAndZoomsWithCtrl() {
    station(Station.BOTTOM_END);
    view("bottom-motion");
    rested();
    Node canvas = robot.lookup(".page .plot ChartCanvas").query();
    var bubbled = new ArrayList<ScrollEvent>();
    robot.interact(() -> canvas.getParent().setOnScroll(bubbled::add));
    byte[] before = picture(canvas);
    turn(canvas, false);
    assertThat(bubbled).hasSize(1);
    assertThat(picture(canvas)).isEqualTo(before);
    turn(canvas, true);
    assertThat(bubbled).hasSize(1);
    assertThat(picture(canvas)).isNotEqualTo(before);
  }

  private void turn(Node over, boolean ctrl) {
    var at = over.localToScreen(over.getBoundsInLocal().getWidth() / 2, 60);
    var in = over.localToScene(over.getBoundsInLocal().getWidth() / 2, 60);
    robot.interact(
        () ->
            Event.fireEvent(
                over,
                new ScrollEvent(
                    ScrollEvent.SCROLL,
                    in.getX(),
                    in.getY(),
                    at.getX(),
                    at.getY(),
                    false,
                    ctrl,
                    false,
                    false,
                    false,
                    false,
                    0,
                    40,
                    0,
                    40,
                    ScrollEvent.HorizontalTextScrollUnits.NONE,
                    0,
                    ScrollEvent.VerticalTextScrollUnits.NONE,
                    0,
                    0,
                    null)));
  }

  /** Singles and twelves, vees and boxers: no view is at a loss with any of them. */
  @Test
  void everyViewStandsEveryArrangement() {
    for (var a :
        List.of(
            Arrangement.SINGLE, Arrangement.VEE_TWIN_45, Arrangement.FLAT_4, Arrangement.VEE_10)) {
      robot.interact(() -> bench.session().edit("Layout", b -> b.with(a.of(b.combination()))));
      station(Station.BOTTOM_END);
      for (var id : List.of("bottom-section", "bottom-stack", "bottom-balance", "bottom-limits")) {
        view(id);
        for (var drawing : drawings()) {
          assertThat(((Pane) drawing).getChildren()).isNotEmpty();
          assertThat(varied(picture(drawing))).as(a + " " + id).isTrue();
        }
      }
      station(Station.COMPRESSION);
      view("compression-banks");
      boolean two = bench.session().build().combination().bottomEnd().banks() == 2;
      assertThat(isShown("#check-mill_cost")).as(a.name()).isEqualTo(two);
      int cylinders = bench.session().build().combination().bottomEnd().cylinders();
      assertThat(bench.session().engine().clearances()).hasSize(cylinders);
    }
  }

  /** Whether a picture is more than one colour. */
  private static boolean varied(byte[] bytes) {
    for (int i = 4; i < bytes.length; i += 4) {
      if (bytes[i] != bytes[0] || bytes[i + 1] != bytes[1] || bytes[i + 2] != bytes[2]) {
        return true;
      }
    }
    return false;
  }

  /** A check and a figure say their working at a press of the return key, and hide it again. */
  @Test
  void workingsOpenAndCloseByKeyboard() {
    station(Station.CAM);
    view("cam-springs");
    for (var name : List.of("coil_bind", "spring_open", "valves_follow")) {
      var line = robot.lookup("#open-" + name).query();
      robot.interact(line::requestFocus);
      robot.type(javafx.scene.input.KeyCode.ENTER);
      assertThat(text("#working-" + name)).isNotBlank();
      robot.type(javafx.scene.input.KeyCode.SPACE);
      assertThat(isShown("#working-" + name)).as(name).isFalse();
    }
  }

  /** A view that nobody sees is left alone, and is right when it is looked at again. */
  @Test
  void aViewIsRightWhenItIsLookedAtAgain() {
    station(Station.CAM);
    view("cam-springs");
    String before = text("#check-coil_bind");
    view("cam-card");
    var bind = bench.session().build().combination().valveHardware().coilBind();
    edit("valveHardware.coilBind", bind.with(bind.si() + 0.002, bind.provenance()));
    station(Station.COMPRESSION);
    station(Station.CAM);
    view("cam-springs");
    assertThat(text("#check-coil_bind")).isNotEqualTo(before);
  }
}
