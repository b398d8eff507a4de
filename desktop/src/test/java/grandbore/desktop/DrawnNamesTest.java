package grandbore.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import grandbore.book.BuildDocument;
import grandbore.core.combination.Combination;
import grandbore.core.demo.DemoBuilds;
import grandbore.core.runs.Urgency;
import grandbore.desktop.controls.InputField;
import grandbore.desktop.drawing.Drawing;
import grandbore.desktop.station.Station;
import java.util.ArrayList;
import java.util.List;
import java.util.TreeSet;
import javafx.geometry.BoundingBox;
import javafx.geometry.Bounds;
import javafx.scene.Node;
import javafx.scene.Parent;
import org.junit.jupiter.api.Test;
import org.testfx.util.WaitForAsyncUtils;

/** Names on drawings touch neither one another nor an input, at any engine's proportions. */
class DrawnNamesTest extends BenchTest {
  /** Where words of two boxes come this near they still do not touch, px. */
  private static final double AIR = 1;

  private record Box(String name, Bounds where) {}

  @Override
  boolean studies() {
    return false;
  }

  @Override
  List<BuildDocument> documents() {
    return List.of(new BuildDocument(DemoBuilds.hillClimbEight(), List.of()));
  }

  @Test
  void namesKeepApartOnEveryDrawing() {
    var engines = new ArrayList<Combination>();
    engines.add(combination());
    engines.addAll(RandomEngines.of(11, 7));
    // What is drawn from inputs needs no run.
    bench.curves().runs().hold(Urgency.LIVE);
    var wrong = new TreeSet<String>();
    int seen = 0;
    for (var station : Station.values()) {
      robot.interact(() -> bench.rail().choose(station));
      for (var id : views()) {
        view(id);
        for (var engine : engines) {
          if (drawings(bench.scene().getRoot()).isEmpty()) {
            break;
          }
          robot.interact(() -> bench.session().edit("Another", b -> b.with(engine)));
          robot.interact(() -> bench.scene().getRoot().layout());
          WaitForAsyncUtils.waitForFxEvents(2);
          for (var drawing : drawings(bench.scene().getRoot())) {
            seen++;
            wrong.addAll(touching(drawing, station + " " + id));
          }
        }
      }
    }
    assertThat(seen).isGreaterThan(80);
    assertThat(wrong).isEmpty();
  }

  private static List<String> touching(Drawing drawing, String where) {
    var boxes = new ArrayList<Box>();
    for (var word : drawing.words()) {
      if (!word.text().isBlank()) {
        boxes.add(new Box(word.text(), word.where()));
      }
    }
    for (var node : drawing.getChildren()) {
      if (node instanceof InputField field && field.isVisible()) {
        boxes.add(new Box(field.getId(), field.getBoundsInParent()));
      }
    }
    var wrong = new ArrayList<String>();
    for (int i = 0; i < boxes.size(); i++) {
      var a = boxes.get(i).where;
      if (a.getMinX() < -AIR
          || a.getMaxX() > drawing.getWidth() + AIR
          || a.getMinY() < -AIR
          || a.getMaxY() > drawing.getHeight() + AIR) {
        wrong.add("%s: “%s” leaves the drawing".formatted(where, boxes.get(i).name));
      }
      for (int j = 0; j < i; j++) {
        var b = boxes.get(j).where;
        if (smaller(a).intersects(smaller(b))) {
          wrong.add("%s: “%s” on “%s”".formatted(where, boxes.get(i).name, boxes.get(j).name));
        }
      }
    }
    return wrong;
  }

  private static Bounds smaller(Bounds b) {
    return new BoundingBox(
        b.getMinX() + AIR,
        b.getMinY() + AIR,
        Math.max(0, b.getWidth() - 2 * AIR),
        Math.max(0, b.getHeight() - 2 * AIR));
  }

  private static List<Drawing> drawings(Node from) {
    var found = new ArrayList<Drawing>();
    if (from instanceof Drawing d) {
      found.add(d);
    }
    if (from instanceof Parent p) {
      p.getChildrenUnmodifiable().forEach(c -> found.addAll(drawings(c)));
    }
    return found;
  }
}
