package grandbore.desktop.bench;

import grandbore.core.clearances.Cause;
import grandbore.core.clearances.Finding;
import grandbore.desktop.controls.Page;
import grandbore.desktop.controls.ShownAs;
import grandbore.desktop.controls.WhenSeen;
import grandbore.desktop.session.Session;
import java.util.Locale;
import javafx.collections.FXCollections;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** What was found when it came apart, and what the book says of how it was built. */
final class FindingsView extends VBox {
  private final Session session;
  private final ComboBox<Finding.Part> part = choice("finding-part", Finding.Part.values());
  private final ComboBox<Finding.Kind> kind = choice("finding-kind", Finding.Kind.values());
  private final ComboBox<Integer> place = new ComboBox<>();
  private final TextField words = Page.words("finding-words", "in your own words", 20);
  private final VBox rows = new VBox(10);

  FindingsView(Session session) {
    super(10);
    this.session = session;
    place.setId("finding-place");
    place.setMinWidth(USE_PREF_SIZE);
    place.setAccessibleText("place");
    var keep = new Button("Keep");
    keep.setId("finding-keep");
    keep.setMinWidth(USE_PREF_SIZE);
    keep.setOnAction(e -> keep());
    var entry = new FlowPane(6, 4, part, place, kind, words, keep);
    entry.setAlignment(Pos.CENTER_LEFT);
    getChildren()
        .addAll(
            entry,
            rows,
            Page.hint(
                "Likely causes come from this build's own readings first, those that lay outside"
                    + " their band at the top, then from common practice."));
    WhenSeen.refresh(this, this::refresh, session.notesProperty(), session.readingsProperty());
    session
        .buildProperty()
        .subscribe(
            b -> {
              int n = b.combination().bottomEnd().cylinders() + 1;
              if (place.getItems().size() != n) {
                place.getItems().clear();
                for (int i = 1; i <= n; i++) {
                  place.getItems().add(i);
                }
                place.setValue(1);
              }
            });
  }

  private static <T extends Enum<T>> ComboBox<T> choice(String id, T[] values) {
    var box = new ComboBox<>(FXCollections.observableArrayList(values));
    box.setId(id);
    box.setAccessibleText(id.replace('-', ' '));
    box.setValue(values[0]);
    box.setMinWidth(USE_PREF_SIZE);
    box.setConverter(ShownAs.of(FindingsView::word));
    return box;
  }

  private static String word(Enum<?> value) {
    return value.name().toLowerCase(Locale.ROOT).replace('_', ' ');
  }

  private void keep() {
    try {
      session.keep(
          new Finding(part.getValue(), place.getValue(), kind.getValue(), words.getText().strip()),
          "");
      words.clear();
    } catch (IllegalArgumentException e) {
      session.refuse(e.getMessage());
    }
  }

  private void refresh() {
    rows.getChildren().clear();
    for (var kept : session.bench().notes()) {
      if (!kept.struck() && kept.note() instanceof Finding f) {
        var head =
            new Label(
                "%s %d: %s%s"
                    .formatted(
                        word(f.part()),
                        f.place(),
                        word(f.kind()),
                        f.words().isEmpty() ? "" : " — " + f.words()));
        head.getStyleClass().add("pane-title");
        head.setWrapText(true);
        var strike = new Button("strike");
        strike.getStyleClass().addAll("flat", "small");
        strike.setOnAction(e -> session.strikeNote(kept.id(), true));
        var box = new VBox(2, new HBox(8, head, strike));
        for (var cause : Cause.of(f, session.ledger(), session.build().units())) {
          var line = new Label("– " + cause.words());
          line.setWrapText(true);
          line.getStyleClass().add(cause.fromBook() ? "label" : "soft");
          box.getChildren().add(line);
        }
        rows.getChildren().add(box);
      }
    }
    if (rows.getChildren().isEmpty()) {
      rows.getChildren().add(Page.hint("Nothing was noted yet."));
    }
  }
}
