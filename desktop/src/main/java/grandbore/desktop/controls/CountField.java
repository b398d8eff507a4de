package grandbore.desktop.controls;

import grandbore.desktop.session.Session;
import javafx.scene.layout.VBox;

/** A whole number of the combination. */
public final class CountField extends VBox {
  public CountField(Session session, String label, String path, int most) {
    var refusal = new Refusal();
    var field =
        new CommitField(
            label,
            typed -> {
              int count;
              try {
                count = Integer.parseInt(typed.strip());
              } catch (NumberFormatException e) {
                throw new IllegalArgumentException(
                    "%s is “%s”; allowed: 1 to %d, because it is counted"
                        .formatted(label, typed.strip(), most),
                    e);
              }
              session.edit(label, b -> b.with(b.combination().with(path, count)));
            },
            refusal);
    field.setId(path.replace('.', '-') + "-text");
    field.setColumns(3);
    field.setMaxWidth(64);
    getChildren().addAll(field, refusal);
    session.buildProperty().subscribe(b -> field.show(String.valueOf(b.combination().at(path))));
  }
}
