package grandbore.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import grandbore.book.BuildDocument;
import grandbore.book.JobBook;
import grandbore.core.clearances.Measurement;
import grandbore.core.clearances.Reading;
import grandbore.core.combination.Arrangement;
import grandbore.core.combination.Boost;
import grandbore.core.combination.Provenance;
import grandbore.core.combination.Specs;
import grandbore.core.demo.DemoBuilds;
import grandbore.core.demo.DemoJob;
import grandbore.core.runs.Desk;
import grandbore.core.runs.Run;
import grandbore.core.runs.Study;
import grandbore.core.runs.Urgency;
import grandbore.core.units.UnitSystem;
import grandbore.desktop.controls.InputField;
import grandbore.desktop.controls.InputGrid;
import grandbore.desktop.look.TextSize;
import grandbore.desktop.station.Station;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import javafx.geometry.Bounds;
import javafx.scene.Node;
import javafx.scene.control.Labeled;
import javafx.scene.control.TableView;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.Pane;
import javafx.scene.text.Text;
import org.junit.jupiter.api.Test;

/** Nothing is cut off and no inputs lie over one another, at any station, size or unit system. */
class LayoutTest extends BenchTest {
  private static final Set<String> DRAWINGS = Set.of("drawing", "long-section");

  @Override
  List<BuildDocument> documents() {
    return List.of(new BuildDocument(DemoBuilds.hillClimbEight(), DemoBuilds.hillClimbReadings()));
  }

  private void at(double width, double height) {
    robot.interact(
        () -> {
          stage.setX(0);
          stage.setY(0);
          stage.setWidth(width);
          stage.setHeight(height);
        });
    Pulse.await();
  }

  private void choose(Station station) {
    robot.interact(() -> bench.rail().choose(station));
    laidOut();
  }

  /** A grid that has found its width asks for its columns anew, so that once is not enough. */
  private void laidOut() {
    for (int k = 0; k < 3; k++) {
      robot.interact(
          () -> {
            bench.scene().getRoot().applyCss();
            bench.scene().getRoot().layout();
          });
      Pulse.await();
    }
  }

  /** A node with all that is seen in it. */
  private List<Node> all(Node from) {
    var found = new ArrayList<Node>();
    if (!from.isVisible()) {
      return found;
    }
    found.add(from);
    if (from instanceof javafx.scene.Parent p) {
      p.getChildrenUnmodifiable().forEach(c -> found.addAll(all(c)));
    }
    return found;
  }

  private void nothingIsCut(String where) {
    for (var node : all(bench.scene().getRoot())) {
      if (node instanceof Labeled label
          && label.isVisible()
          && label.getText() != null
          && !label.getText().isBlank()
          && label.getWidth() > 0) {
        for (var inside : label.getChildrenUnmodifiable()) {
          if (inside instanceof Text shown) {
            assertThat(shown.getText())
                .as("%s: “%s”", where, label.getText())
                .doesNotEndWith("...");
            assertThat(shown.getText()).doesNotEndWith("…");
          }
        }
      }
    }
  }

  private void inputsKeepApart(String where) {
    for (var node : all(bench.scene().getRoot())) {
      if (node instanceof Pane drawing
          && drawing.getStyleClass().stream().anyMatch(DRAWINGS::contains)) {
        var fields =
            drawing.getChildren().stream()
                .filter(c -> c instanceof InputField || c.getStyleClass().contains("dimension"))
                .toList();
        for (int i = 0; i < fields.size(); i++) {
          Bounds a = fields.get(i).getBoundsInParent();
          assertThat(a.getMinX()).as(where + " left of drawing").isGreaterThanOrEqualTo(0);
          assertThat(a.getMaxX()).as(where).isLessThanOrEqualTo(drawing.getWidth() + 1);
          assertThat(a.getMaxY()).as(where).isLessThanOrEqualTo(drawing.getHeight() + 1);
          for (int j = 0; j < i; j++) {
            assertThat(a.intersects(fields.get(j).getBoundsInParent()))
                .as("%s: %s over %s", where, fields.get(i).getId(), fields.get(j).getId())
                .isFalse();
          }
        }
      }
    }
  }

  private void gridsKeepApart(String where) {
    for (var node : all(bench.scene().getRoot())) {
      if (node instanceof InputGrid grid) {
        var cells = grid.getChildren();
        for (int i = 0; i < cells.size(); i++) {
          Bounds a = cells.get(i).getBoundsInParent();
          assertThat(a.getMaxX()).as(where).isLessThanOrEqualTo(grid.getWidth() + 12);
          for (int j = 0; j < i; j++) {
            assertThat(a.intersects(cells.get(j).getBoundsInParent()))
                .as("%s: cell %d over %d", where, i, j)
                .isFalse();
          }
        }
      }
    }
  }

  private void everyStation(String where, boolean withViews) {
    for (var station : Station.values()) {
      choose(station);
      isReadable(where + " " + station);
      for (var id : withViews ? views() : List.<String>of()) {
        view(id);
        laidOut();
        isReadable(where + " " + id);
      }
    }
  }

  private void isReadable(String where) {
    nothingIsCut(where);
    inputsKeepApart(where);
    gridsKeepApart(where);
  }

  @Test
  void everythingIsReadableAtBothSizesAndInBothUnits() {
    at(1280, 800);
    everyStation("1280×800 US", true);
    robot.interact(() -> bench.session().edit("Units", b -> b.with(UnitSystem.METRIC)));
    everyStation("1280×800 metric", false);
    at(1100, 700);
    everyStation("1100×700 metric", true);
    // Lower than such screens are: the platform without a display is a thousand pixels high.
    for (double[] size : new double[][] {{800, 980}, {1920, 980}, {2560, 980}}) {
      at(size[0], size[1]);
      everyStation("%.0f×%.0f metric".formatted(size[0], size[1]), false);
    }
  }

  /** The larger text, on the two usual screens. */
  @Test
  void largeTextIsNotCut() {
    robot.interact(() -> bench.look().textProperty().set(TextSize.LARGE));
    at(1280, 800);
    everyStation("1280×800 large", true);
    at(1920, 980);
    everyStation("1920×980 large", false);
  }

  /** A run that goes on at the foot takes no room from what bites. */
  @Test
  void aRunAtTheFootCutsNoWords() {
    choose(Station.ENGINE);
    robot.interact(() -> bench.session().edit("Units", b -> b.with(UnitSystem.METRIC)));
    var runs = bench.curves().runs();
    until(
        "none waits",
        () -> {
          // What a page still asks for is held, and would never end.
          runs.running().forEach(Run::cancel);
          return runs.isIdle();
        });
    var run = runs.submit(new Waiting(), Urgency.STUDY);
    until("it waits", () -> robot.lookup("#foot-runs").query().isVisible());
    boolean stood = false;
    for (double width : new double[] {800, 1000, 1100, 1280, 1920}) {
      at(width, 800);
      laidOut();
      nothingIsCut("%.0f wide with a run".formatted(width));
      assertThat(robot.lookup("#foot-runs-stop").query().isManaged()).isTrue();
      // How much bites, and so how much room is left, depends on whether the curve is solved yet:
      // what fits fits in a wider window too.
      boolean stands = robot.lookup("#foot-runs-words").query().isManaged();
      if (width <= 800 || width >= 1280 || stood) {
        assertThat(stands).as("words at %.0f", width).isEqualTo(width > 800);
      }
      stood = stands;
    }
    run.cancel();
  }

  /** A study of a long name, which is held before it begins. */
  private static final class Waiting implements Study<Double> {
    @Override
    public String title() {
      return "The effect of every input of this engine on its average";
    }

    @Override
    public Double solve(Desk<Double> desk) {
      throw new IllegalStateException("it is held");
    }
  }

  /** Every place of every measurement read, one of them wrongly: rows still stand at small size. */
  @Test
  void aFullBookIsStillReadable() {
    var bottom = bench.session().build().combination().bottomEnd();
    robot.interact(
        () -> {
          for (var m : Measurement.values()) {
            for (var side : m.sides().all()) {
              for (int p = 1; p <= m.places(bottom); p++) {
                double middle = m.least() + 0.4 * (m.most() - m.least());
                double si = (p == 2 ? 1.4 : 1) * middle * (1 + 1e-4 * p);
                try {
                  bench
                      .session()
                      .read(new Reading(0, m, p, side, si, "", "", Instant.now(), false));
                } catch (IllegalArgumentException e) {
                  // An engine that can't be built so: the reading is refused, as it should be.
                }
              }
            }
          }
        });
    bench.session().settled().join();
    at(1100, 700);
    choose(Station.CLEARANCES);
    for (var group : Measurement.Group.values()) {
      robot.interact(
          () ->
              robot
                  .lookup("#group-" + group.name().toLowerCase(Locale.ROOT))
                  .<ToggleButton>query()
                  .fire());
      for (var m : group.measurements()) {
        view("measure-" + m.name().toLowerCase(Locale.ROOT));
        laidOut();
        nothingIsCut(m.name());
        var page = robot.lookup(".page").<javafx.scene.layout.Region>query();
        var grid = robot.lookup(".bench").<javafx.scene.layout.Region>query();
        assertThat(grid.getBoundsInParent().getMaxX())
            .as(m.name())
            .isLessThanOrEqualTo(page.getWidth());
      }
    }
  }

  /** A job in full: route, parts, an order, money, with a step and a part opened, and at home. */
  @Test
  void aFullJobIsStillReadable() {
    robot.interact(
        () -> bench.session().keep(JobBook.notes(DemoJob.on(LocalDate.of(2026, 11, 30))), ""));
    choose(Station.JOB);
    until("the route stands", () -> robot.lookup("#job-chart").tryQuery().isPresent());
    for (double[] size : new double[][] {{1280, 800}, {1100, 700}, {800, 980}, {1920, 980}}) {
      at(size[0], size[1]);
      for (var id : List.of("job-route", "job-parts", "job-orders", "job-money")) {
        view(id);
        if (id.equals("job-route")) {
          robot.interact(() -> robot.lookup("#step-more").<ToggleButton>query().setSelected(true));
        }
        if (id.equals("job-parts")) {
          robot.interact(
              () ->
                  robot
                      .lookup("#items-table")
                      .<TableView<?>>query()
                      .getSelectionModel()
                      .select(12));
        }
        laidOut();
        nothingIsCut("%.0f wide, %s".formatted(size[0], id));
        var page = robot.lookup(".page").<javafx.scene.layout.Region>query();
        for (var node : all(page)) {
          if (node instanceof javafx.scene.control.Button b && b.isVisible() && b.getWidth() > 0) {
            var seen = b.localToScene(b.getBoundsInLocal());
            assertThat(seen.getMaxX())
                .as("%.0f wide, %s: “%s”", size[0], id, b.getText())
                .isLessThanOrEqualTo(page.localToScene(page.getBoundsInLocal()).getMaxX() + 2);
          }
        }
      }
    }
  }

  /** With everything fitted that brings inputs of its own, and with every kind of boost. */
  @Test
  void everythingFittedIsStillReadable() {
    at(1280, 800);
    // Inputs are looked at, whose room hangs on no run.
    bench.curves().runs().hold(Urgency.LIVE);
    for (var boost : Boost.Kind.values()) {
      fitEverything(boost);
      everyStation("1280×800 all fitted, " + boost, boost == Boost.Kind.TURBOCHARGER);
    }
    for (var arrangement : List.of(Arrangement.SINGLE, Arrangement.VEE_6_ODD, Arrangement.VEE_12)) {
      robot.interact(
          () -> bench.session().edit("Layout", b -> b.with(arrangement.of(b.combination()))));
      for (var station : new Station[] {Station.BOTTOM_END, Station.HEADS, Station.BREATHING}) {
        choose(station);
        nothingIsCut(arrangement + " " + station);
        gridsKeepApart(arrangement + " " + station);
      }
    }
  }

  /** Long and short strokes, wide and narrow bores: the drawing's inputs stay apart. */
  @Test
  void theSectionStaysReadableAtOtherProportions() {
    at(1280, 800);
    double[][] sizes = {{0.070, 0.095, 0.150}, {0.120, 0.060, 0.140}, {0.085, 0.085, 0.130}};
    for (var s : sizes) {
      robot.interact(() -> stretch(s[0], s[1], s[2]));
      for (var station : new Station[] {Station.BOTTOM_END, Station.COMPRESSION}) {
        choose(station);
        inputsKeepApart("bore %.3f stroke %.3f".formatted(s[0], s[1]));
      }
    }
  }

  private void stretch(double bore, double stroke, double rod) {
    var session = bench.session();
    try {
      session.edit(
          "sizes",
          b -> {
            var c = b.combination();
            var e = c.bottomEnd();
            var from = Provenance.CARD;
            var q = c.compression();
            var h = c.heads();
            double swept = Math.PI / 4 * bore * bore * stroke;
            double deck = stroke / 2 + rod + e.pinHeight().si() + 0.0003;
            var bottom =
                Specs.changed(
                    e,
                    Map.of(
                        "bore", e.bore().with(bore, from),
                        "stroke", e.stroke().with(stroke, from),
                        "rodLength", e.rodLength().with(rod, from),
                        "blockDeck", e.blockDeck().with(deck, from)));
            var compression =
                Specs.changed(
                    q,
                    Map.of(
                        "chamberVolume", q.chamberVolume().with(swept / 11, from),
                        "gasketBore", q.gasketBore().with(1.01 * bore, from),
                        "pistonVolume", q.pistonVolume().with(0, from)));
            var heads =
                Specs.changed(
                    h,
                    Map.of(
                        "intakeValve", h.intakeValve().with(0.45 * bore, from),
                        "exhaustValve", h.exhaustValve().with(0.38 * bore, from)));
            return b.with(
                Specs.changed(
                    c, Map.of("bottomEnd", bottom, "compression", compression, "heads", heads)));
          });
    } catch (IllegalArgumentException e) {
      throw new AssertionError(e);
    }
  }
}
