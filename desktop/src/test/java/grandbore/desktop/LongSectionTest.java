package grandbore.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import grandbore.book.BuildDocument;
import grandbore.core.combination.Exhaust;
import grandbore.core.combination.Intake;
import grandbore.core.demo.DemoBuilds;
import grandbore.core.runs.Run;
import grandbore.core.runs.Urgency;
import grandbore.desktop.station.Station;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import javafx.geometry.Bounds;
import javafx.scene.Node;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.Region;
import org.junit.jupiter.api.Test;

/** The whole engine at once: solved, turned, typed on, gone through, another laid over it. */
class LongSectionTest extends BenchTest {
  @Override
  Station station() {
    return Station.ENGINE;
  }

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

  private void solved() {
    until("the trace", () -> text("#long-section-status").startsWith("cylinder 1 at"));
    untilQuiet();
  }

  /** The colours of a part of the page, every third pixel. */
  private List<Integer> pixels(String part) {
    var all = new ArrayList<Integer>();
    robot.interact(
        () -> {
          var image = robot.lookup(part).<Node>query().snapshot(null, null);
          for (int y = 0; y < image.getHeight(); y += 3) {
            for (int x = 0; x < image.getWidth(); x += 3) {
              all.add(image.getPixelReader().getArgb(x, y));
            }
          }
        });
    return all;
  }

  private static Set<Integer> colours(List<Integer> pixels) {
    return new HashSet<>(pixels);
  }

  @Test
  void gasValvesAndPistonMoveWithTheCrank() {
    solved();
    assertThat(colours(pixels(".wave-map"))).hasSizeGreaterThan(150);
    var before = pixels(".long-section");
    robot.interact(() -> robot.lookup(".long-section-page").query().requestFocus());
    robot.press(KeyCode.SHIFT);
    for (int i = 0; i < 30; i++) {
      robot.type(KeyCode.RIGHT);
    }
    robot.release(KeyCode.SHIFT);
    Pulse.await();
    assertThat(pixels(".long-section")).isNotEqualTo(before);
    var pressure = pixels(".wave-map");
    for (var tint : List.of("tint-speed", "tint-temperature", "tint-burned")) {
      view(tint);
      assertThat(pixels(".wave-map")).as(tint).isNotEqualTo(pressure);
    }
    view("tint-pressure");
    assertThat(pixels(".wave-map")).isEqualTo(pressure);
    // Running moves it by itself, and stops.
    var still = pixels(".long-section");
    press("#run-section");
    until("it runs", () -> !pixels(".long-section").equals(still));
    press("#run-section");
  }

  /** Each cylinder is seen with its own pipes; stopped at the foot, the page says so. */
  @Test
  void anotherCylinderIsChosenByListAndByKey() {
    var longer = List.of(0.0, 0.0, 0.0, 0.0, 0.0, 0.0, 0.08, 0.0);
    robot.interact(
        () ->
            bench
                .session()
                .edit("Runner", b -> b.with(b.combination().with("intake.runnerChanges", longer))));
    solved();
    var first = pixels(".wave-map");
    robot.clickOn("#section-cylinder").clickOn("#section-cylinder-7");
    until("its trace", () -> text("#long-section-status").startsWith("cylinder 7 at"));
    assertThat(pixels(".wave-map")).isNotEqualTo(first);
    robot.interact(() -> robot.lookup(".long-section-page").query().requestFocus());
    robot.type(KeyCode.UP);
    var order = combination().bottomEnd().firingOrder();
    int next = order.get((order.indexOf(7) + 1) % order.size());
    until("the next", () -> text("#long-section-status").startsWith("cylinder " + next));
    bench.curves().runs().hold(Urgency.SEEN);
    robot.type(KeyCode.UP);
    until("it waits", () -> !bench.curves().runs().isIdle());
    bench.curves().runs().running().forEach(Run::cancel);
    until("it says so", () -> text("#long-section-status").startsWith("stopped"));
  }

  @Test
  void dimensionsAreTypedOnItAndAClickOpensTheStation() {
    solved();
    var before = pixels(".wave-map");
    type("#exhaust-primaryLength-text", "24");
    assertThat(combination().exhaust().primaryLength().si()).isBetween(0.6095, 0.6097);
    until("the map follows", () -> !pixels(".wave-map").equals(before));
    var section = robot.lookup(".long-section").<Region>query();
    for (double y = 110; y < 260; y += 6) {
      if (bench.rail().chosenProperty().get() == Station.ENGINE) {
        robot.clickOn(section.localToScreen(0.75 * section.getWidth(), y));
        Pulse.await();
      }
    }
    assertThat(bench.rail().chosenProperty().get()).isEqualTo(Station.BREATHING);
  }

  @Test
  void anotherBuildIsMappedBesideAndItsDifference() {
    solved();
    var own = pixels(".wave-map");
    robot.interact(() -> bench.session().layOver(2));
    until("laid over", () -> isShown("#map-difference"));
    solved();
    view("map-other");
    until("its map", () -> !pixels(".wave-map").equals(own));
    var other = pixels(".wave-map");
    view("map-difference");
    assertThat(pixels(".wave-map")).isNotEqualTo(other).isNotEqualTo(own);
    view("map-this");
    assertThat(pixels(".wave-map")).isEqualTo(own);
  }

  /** Every kind of manifold and header: no dimension lies on another or leaves the section. */
  @Test
  void everyKindOfEngineKeepsItsDimensionsApart() {
    // Where dimensions stand needs no run.
    bench.curves().runs().hold(Urgency.LIVE);
    for (var manifold : Intake.Manifold.values()) {
      for (var kind : Exhaust.Kind.values()) {
        for (var outlet : Exhaust.Outlet.values()) {
          robot.interact(
              () ->
                  bench
                      .session()
                      .edit(
                          "Kinds",
                          b ->
                              b.with(
                                  b.combination()
                                      .with("intake.manifold", manifold)
                                      .with("exhaust.kind", kind)
                                      .with("exhaust.outlet", outlet))));
          robot.interact(() -> bench.scene().getRoot().layout());
          Pulse.await();
          apart("%s %s %s".formatted(manifold, kind, outlet));
        }
      }
    }
  }

  private void apart(String where) {
    var section = robot.lookup(".long-section").<Region>query();
    var boxes =
        section.getChildrenUnmodifiable().stream()
            .filter(n -> n.getStyleClass().contains("dimension"))
            .toList();
    assertThat(boxes).hasSizeGreaterThan(10);
    for (int i = 0; i < boxes.size(); i++) {
      Bounds a = boxes.get(i).getBoundsInParent();
      assertThat(a.getMinX()).as(where).isGreaterThanOrEqualTo(0);
      assertThat(a.getMaxX()).as(where).isLessThanOrEqualTo(section.getWidth() + 1);
      assertThat(a.getMaxY()).as(where).isLessThanOrEqualTo(section.getHeight() + 1);
      for (int j = 0; j < i; j++) {
        assertThat(a.intersects(boxes.get(j).getBoundsInParent()))
            .as("%s: %s over %s", where, boxes.get(i), boxes.get(j))
            .isFalse();
      }
    }
  }
}
