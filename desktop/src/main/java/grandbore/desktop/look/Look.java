package grandbore.desktop.look;

import atlantafx.base.theme.PrimerDark;
import atlantafx.base.theme.PrimerLight;
import java.awt.FontFormatException;
import java.awt.GraphicsEnvironment;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.List;
import java.util.Objects;
import java.util.concurrent.CompletableFuture;
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

  private static final String FOLDER = "/grandbore/desktop/fonts/";
  private static final CompletableFuture<Void> CHART_FONTS =
      CompletableFuture.runAsync(Look::registerChartFonts);

  private final ObjectProperty<Theme> theme = new SimpleObjectProperty<>(Theme.LIGHT);
  private final ObjectProperty<TextSize> text = new SimpleObjectProperty<>(TextSize.NORMAL);

  /** Starts loading the chart's fonts; its toolkit takes a while to wake. */
  public static CompletableFuture<Void> wake() {
    return CHART_FONTS;
  }

  private static void registerChartFonts() {
    for (var name : FONTS) {
      try (var file = Look.class.getResourceAsStream(FOLDER + name)) {
        GraphicsEnvironment.getLocalGraphicsEnvironment()
            .registerFont(
                java.awt.Font.createFont(
                    java.awt.Font.TRUETYPE_FONT, Objects.requireNonNull(file)));
      } catch (IOException e) {
        throw new UncheckedIOException(e);
      } catch (FontFormatException e) {
        throw new IllegalStateException(name, e);
      }
    }
  }

  public Look() {
    for (var name : FONTS) {
      try (var file = Look.class.getResourceAsStream(FOLDER + name)) {
        Font.loadFont(Objects.requireNonNull(file), 13);
      } catch (IOException e) {
        throw new UncheckedIOException(e);
      }
    }
    CHART_FONTS.join();
  }

  public ObjectProperty<Theme> themeProperty() {
    return theme;
  }

  public ObjectProperty<TextSize> textProperty() {
    return text;
  }

  /** Letters of a drawing or plot that are so large in normal text, px. */
  public double letters(double normal) {
    return normal * text.get().factor();
  }

  /** How much larger letters are than in normal text. */
  public double text() {
    return text.get().factor();
  }

  /** Tells that what is drawn has to be drawn anew: now, and when theme or text change. */
  public void drawn(Runnable anew) {
    theme.subscribe(t -> anew.run());
    text.subscribe((before, now) -> anew.run());
  }

  /** The other theme. */
  public void turn() {
    theme.set(theme.get() == Theme.LIGHT ? Theme.DARK : Theme.LIGHT);
  }

  /** The next larger text, and from the largest the smallest. */
  public void nextText() {
    text.set(text.get().next());
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
    text.subscribe(
        size -> {
          var classes = scene.getRoot().getStyleClass();
          for (var t : TextSize.values()) {
            classes.remove(t.styleClass());
          }
          classes.add(size.styleClass());
        });
  }
}
