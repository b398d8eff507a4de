package grandbore.desktop.look;

import atlantafx.base.theme.PrimerDark;
import atlantafx.base.theme.PrimerLight;
import java.awt.FontFormatException;
import java.awt.GraphicsEnvironment;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.List;
import java.util.Objects;
import javafx.application.Application;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.SimpleObjectProperty;
import javafx.scene.Scene;
import javafx.scene.text.Font;

/** Type and colour, chosen once; see docs/look.md. */
public final class Look {
  /** The two themes. */
  public enum Theme {
    LIGHT,
    DARK
  }

  private static final List<String> FONTS =
      List.of("B612-Regular.otf", "B612-Bold.otf", "Hack-Regular.ttf", "Hack-Bold.ttf");

  private final ObjectProperty<Theme> theme = new SimpleObjectProperty<>(Theme.LIGHT);

  public Look() {
    for (var name : FONTS) {
      String path = "/grandbore/desktop/fonts/" + name;
      try (var forWindow = Look.class.getResourceAsStream(path);
          var forChart = Look.class.getResourceAsStream(path)) {
        Font.loadFont(Objects.requireNonNull(forWindow), 13);
        GraphicsEnvironment.getLocalGraphicsEnvironment()
            .registerFont(
                java.awt.Font.createFont(
                    java.awt.Font.TRUETYPE_FONT, Objects.requireNonNull(forChart)));
      } catch (IOException e) {
        throw new UncheckedIOException(e);
      } catch (FontFormatException e) {
        throw new IllegalStateException(name, e);
      }
    }
  }

  public ObjectProperty<Theme> themeProperty() {
    return theme;
  }

  public Palette palette() {
    return theme.get() == Theme.LIGHT ? Palette.LIGHT : Palette.DARK;
  }

  /** Dresses a window and keeps it dressed. */
  public void dress(Scene scene) {
    scene
        .getStylesheets()
        .add(
            Objects.requireNonNull(Look.class.getResource("/grandbore/desktop/look.css"))
                .toExternalForm());
    theme.subscribe(
        t -> {
          Application.setUserAgentStylesheet(
              t == Theme.LIGHT
                  ? new PrimerLight().getUserAgentStylesheet()
                  : new PrimerDark().getUserAgentStylesheet());
          scene.getRoot().getStyleClass().removeAll("light", "dark");
          scene.getRoot().getStyleClass().add(t == Theme.LIGHT ? "light" : "dark");
        });
  }
}
