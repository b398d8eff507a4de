package grandbore.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import grandbore.book.BuildDocument;
import grandbore.core.combination.Boost;
import grandbore.core.demo.DemoBuilds;
import grandbore.desktop.controls.Views;
import grandbore.desktop.find.Target;
import grandbore.desktop.look.Contrast;
import grandbore.desktop.look.Look;
import grandbore.desktop.station.Station;
import java.util.ArrayList;
import java.util.List;
import java.util.TreeSet;
import java.util.function.Consumer;
import java.util.stream.Stream;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.control.ButtonBase;
import javafx.scene.control.ChoiceBox;
import javafx.scene.control.ComboBoxBase;
import javafx.scene.control.Labeled;
import javafx.scene.control.ProgressBar;
import javafx.scene.control.Slider;
import javafx.scene.control.TextInputControl;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.Region;
import javafx.scene.paint.Color;
import javafx.scene.text.Text;
import org.junit.jupiter.api.Test;

/**
 * Every view of every station: each control has a name that can be read out, each word a ground it
 * stands out on.
 */
class AccessTest extends BenchTest {
  /** Of text on its ground, by WCAG 2 (W3C), success criterion 1.4.3. */
  private static final double LEAST_CONTRAST = 4.5;

  @Override
  List<BuildDocument> documents() {
    return List.of(new BuildDocument(DemoBuilds.hillClimbEight(), DemoBuilds.hillClimbReadings()));
  }

  @Override
  boolean isPainted() {
    return true;
  }

  /** Opens every view by its name in the list of what can be found; none is missing from it. */
  private void everyView(Consumer<String> look) {
    for (var station : Station.values()) {
      robot.interact(() -> bench.rail().choose(station));
      Pulse.await();
      look.accept(station.title());
      for (var view : station.views()) {
        var found =
            bench.findable().all().stream()
                .filter(t -> t.kind() == Target.Kind.VIEW && t.title().equals(view.title()))
                .filter(t -> t.where().equals(station.title()))
                .findFirst()
                .orElseThrow();
        robot.interact(() -> found.go().run());
        assertThat(robot.lookup("#" + view.id()).<ToggleButton>query().isSelected())
            .as(view.id())
            .isTrue();
        look.accept(station.title() + ", " + view.title());
      }
      assertThat(
              robot.lookup(".page .views .toggle-button").queryAll().stream()
                  .filter(b -> b.getParent().getProperties().containsKey(Views.class)))
          .hasSize(station.views().size());
    }
  }

  private static Stream<Node> all(Node from) {
    return from instanceof Parent p
        ? Stream.concat(
            Stream.of(from), p.getChildrenUnmodifiable().stream().flatMap(AccessTest::all))
        : Stream.of(from);
  }

  private List<Node> shown() {
    var found = new ArrayList<Node>();
    robot.interact(
        () -> all(bench.scene().getRoot()).filter(AccessTest::isSeen).forEach(found::add));
    return found;
  }

  private static boolean isSeen(Node node) {
    return Stream.iterate(node, n -> n != null, Node::getParent)
        .allMatch(n -> n.isVisible() && n.getOpacity() > 0);
  }

  private static boolean isControl(Node node) {
    return node instanceof ButtonBase
        || node instanceof TextInputControl
        || node instanceof ComboBoxBase
        || node instanceof ChoiceBox
        || node instanceof Slider
        || node instanceof ProgressBar;
  }

  private static boolean isNamed(Node node) {
    String said = node.getAccessibleText();
    return said != null && !said.isBlank()
        || node instanceof Labeled l && l.getText() != null && !l.getText().isBlank();
  }

  /** The uppermost colour that covers what is behind a node. */
  private static Color ground(Node node) {
    for (Node n = node; n != null; n = n.getParent()) {
      if (n instanceof Region r && r.getBackground() != null) {
        for (var fill : r.getBackground().getFills().reversed()) {
          if (fill.getFill() instanceof Color c && c.getOpacity() > 0.9) {
            return c;
          }
        }
      }
    }
    return Color.WHITE;
  }

  @Test
  void everyControlHasANameAndEveryWordStandsOutInBothThemes() {
    fitEverything(Boost.Kind.TURBOCHARGER);
    for (var theme : Look.Theme.values()) {
      robot.interact(() -> bench.look().themeProperty().set(theme));
      var nameless = new TreeSet<String>();
      var weak = new TreeSet<String>();
      everyView(
          where -> {
            var shown = shown();
            shown.stream()
                .filter(n -> isControl(n) && !isNamed(n))
                .forEach(n -> nameless.add(where + ": " + n));
            shown.stream()
                .filter(n -> n instanceof Text && !n.getParent().isDisabled())
                .map(Text.class::cast)
                .filter(t -> !t.getText().isBlank() && t.getFill() instanceof Color)
                .filter(t -> Contrast.of((Color) t.getFill(), ground(t)) < LEAST_CONTRAST)
                .forEach(
                    t ->
                        weak.add(
                            "%s “%s” %.1f in %s"
                                .formatted(
                                    where,
                                    t.getText(),
                                    Contrast.of((Color) t.getFill(), ground(t)),
                                    t.getParent())));
          });
      assertThat(nameless).as(theme.name()).isEmpty();
      assertThat(weak).as(theme.name()).isEmpty();
    }
  }
}
