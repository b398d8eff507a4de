package grandbore.desktop.controls;

import grandbore.core.build.Build;
import grandbore.core.combination.InvalidInput;
import grandbore.desktop.session.Session;
import java.util.function.BiFunction;
import java.util.function.Function;
import javafx.scene.control.ComboBox;

/** One choice among words, kept like any input. */
public final class ChoiceField<T> extends ComboBox<T> {

  /** Shown where what stands is none of the choices. */
  private static final String OTHER = "another";

  private boolean showing;

  /**
   * @param words how each choice is shown
   * @param read the choice that stands, {@code null} for none of them
   * @param write a build with another choice
   */
  public ChoiceField(
      Session session,
      String label,
      T[] choices,
      Function<T, String> words,
      Function<Build, T> read,
      BiFunction<Build, T, Build> write) {
    getItems().setAll(choices);
    setAccessibleText(label);
    setPromptText(OTHER);
    getStyleClass().add("choice-field");
    setId(label.toLowerCase(java.util.Locale.ROOT).replace(' ', '-'));
    setConverter(ShownAs.of(OTHER, words));
    session
        .buildProperty()
        .subscribe(
            b -> {
              showing = true;
              setValue(read.apply(b));
              showing = false;
            });
    valueProperty()
        .subscribe(
            v -> {
              if (!showing && v != null) {
                try {
                  session.edit(label, b -> write.apply(b, v));
                } catch (InvalidInput e) {
                  session.refuse(e.getMessage());
                  setValue(read.apply(session.build()));
                }
              }
            });
  }
}
