package grandbore.desktop.controls;

import grandbore.core.checks.Check;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import javafx.scene.control.Label;
import javafx.scene.layout.VBox;

/** Checks with their verdict by shape and word; each opens its working. */
public final class CheckRows extends VBox {
  private static final double LABEL = 190;

  private final Set<String> open = new HashSet<>();

  public CheckRows() {
    getStyleClass().add("rows");
  }

  public void show(List<Check> checks) {
    getChildren().clear();
    for (var c : checks) {
      var shape = new Label(shape(c.verdict()));
      shape.getStyleClass().add(style(c.verdict()));
      shape.setMinWidth(14);
      var name = new Label(c.label());
      name.setMinWidth(LABEL);
      name.setMaxWidth(LABEL);
      name.setWrapText(true);
      var says = new Label(c.says());
      says.setId("check-" + c.name());
      says.setWrapText(true);
      says.getStyleClass().add(style(c.verdict()));
      getChildren()
          .add(
              new FigureRow(
                  c.name(),
                  "%s, %s: %s".formatted(c.label(), c.verdict().word(), c.says()),
                  c.working(),
                  open,
                  shape,
                  name,
                  says));
    }
  }

  /** A verdict as a shape, that no colour is needed for. */
  public static String shape(Check.Verdict v) {
    return switch (v) {
      case GOOD -> "●";
      case CLOSE -> "◐";
      case BAD -> "▲";
      case UNKNOWN -> "○";
    };
  }

  /** The style class of words that say a verdict. */
  public static String style(Check.Verdict v) {
    return switch (v) {
      case GOOD -> "inside";
      case CLOSE -> "near";
      case BAD -> "outside";
      case UNKNOWN -> "soft";
    };
  }
}
