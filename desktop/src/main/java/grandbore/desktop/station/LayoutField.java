package grandbore.desktop.station;

import grandbore.core.combination.Arrangement;
import grandbore.core.combination.InvalidInput;
import grandbore.desktop.session.Session;
import javafx.scene.control.ComboBox;
import javafx.util.StringConverter;

/** The cylinders' arrangement, one of those usually built; others stay as they were brought in. */
final class LayoutField extends ComboBox<Arrangement> {
  private static final double WIDTH = 150;
  private boolean showing;

  LayoutField(Session session) {
    setId("layout");
    setAccessibleText("Layout");
    setPrefWidth(WIDTH);
    setMinWidth(WIDTH);
    getItems().setAll(Arrangement.values());
    setPromptText("another");
    setConverter(
        new StringConverter<>() {
          @Override
          public String toString(Arrangement a) {
            return a == null ? "another" : Words.of(a);
          }

          @Override
          public Arrangement fromString(String text) {
            throw new UnsupportedOperationException();
          }
        });
    session
        .buildProperty()
        .subscribe(
            b -> {
              showing = true;
              setValue(Arrangement.of(b.combination().bottomEnd()).orElse(null));
              showing = false;
            });
    valueProperty()
        .subscribe(
            a -> {
              if (showing || a == null) {
                return;
              }
              try {
                session.edit("Layout", b -> b.with(a.of(b.combination())));
              } catch (InvalidInput e) {
                session.refuse(e.getMessage());
                showing = true;
                setValue(Arrangement.of(session.build().combination().bottomEnd()).orElse(null));
                showing = false;
              }
            });
  }
}
