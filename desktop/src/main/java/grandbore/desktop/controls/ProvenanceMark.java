package grandbore.desktop.controls;

import grandbore.core.combination.Provenance;
import java.util.function.Supplier;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.shape.Arc;
import javafx.scene.shape.ArcType;
import javafx.scene.shape.Circle;

/** Hollow for assumed, half filled for from a card, filled for measured, ringed for repeated. */
public final class ProvenanceMark extends StackPane {
  private static final double RADIUS = 4.5;
  private static final double RING = 7;

  private final Tooltip tip = new Tooltip();
  private String words = "";

  public ProvenanceMark() {
    getStyleClass().add("provenance");
    setMinSize(2 * RING + 2, 2 * RING + 2);
    setMaxSize(Region.USE_PREF_SIZE, Region.USE_PREF_SIZE);
    Tooltip.install(this, tip);
  }

  /** What the tip adds, worked out when it is looked at: the rule by which a value was assumed. */
  public void explain(Supplier<String> rule) {
    tip.setOnShowing(e -> tip.setText(words + (rule.get().isEmpty() ? "" : "\n" + rule.get())));
  }

  /** Shows where a value came from. */
  public void show(Provenance p) {
    var outline = new Circle(RADIUS);
    outline.getStyleClass().add("mark-outline");
    getChildren().setAll(outline);
    switch (p) {
      case ASSUMED -> {}
      case CARD -> {
        var half = new Arc(0, 0, RADIUS, RADIUS, 90, 180);
        half.setType(ArcType.CHORD);
        half.getStyleClass().add("mark-fill");
        half.setTranslateX(-RADIUS / 2);
        getChildren().add(half);
      }
      case MEASURED -> outline.getStyleClass().add("mark-full");
      case REPEATED -> {
        outline.getStyleClass().add("mark-full");
        var ring = new Circle(RING);
        ring.getStyleClass().add("mark-ring");
        getChildren().addFirst(ring);
      }
    }
    setAccessibleText(p.word());
    words = p.word() + (getOnMouseClicked() == null ? "" : "; click: where it came from");
    tip.setText(words);
  }
}
