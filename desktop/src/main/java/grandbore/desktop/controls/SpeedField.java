package grandbore.desktop.controls;

import grandbore.core.build.SpeedRange;
import grandbore.desktop.session.Session;
import java.util.Locale;
import java.util.function.BiFunction;
import java.util.function.ToDoubleFunction;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** One end of the range of speeds. */
public final class SpeedField extends VBox {
  public SpeedField(
      Session session,
      String label,
      ToDoubleFunction<SpeedRange> read,
      BiFunction<SpeedRange, Double, SpeedRange> write) {
    var refusal = new Refusal();
    var text =
        new CommitField(
            label,
            typed -> {
              double value = Double.parseDouble(typed.replace(",", "").replace("rpm", "").strip());
              session.edit(label, b -> b.with(write.apply(b.speeds(), value)));
            },
            refusal);
    var unit = new Label("rpm");
    unit.getStyleClass().add("unit");
    var row = new HBox(4, text, unit);
    row.setAlignment(Pos.CENTER_LEFT);
    row.getStyleClass().add("no-mark");
    getChildren().addAll(row, refusal);
    session
        .buildProperty()
        .subscribe(
            b -> text.show(String.format(Locale.ROOT, "%.0f", read.applyAsDouble(b.speeds()))));
  }
}
