package grandbore.desktop.look;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.Map;
import java.util.Objects;
import java.util.regex.Pattern;
import javafx.scene.paint.Color;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Contrast by the formula of WCAG 2 (W3C): relative luminance, at least 4.5 : 1 for text. */
class LookTest {
  private static final Pattern THEME = Pattern.compile("\\.(light|dark) \\{([^}]*)\\}");
  private static final Pattern COLOUR = Pattern.compile("-gb-([a-z-]+): (#[0-9a-f]{6});");

  private static Map<String, Color> theme(String name) throws IOException {
    String css;
    try (var in = Look.class.getResourceAsStream("/grandbore/desktop/look.css")) {
      css = new String(Objects.requireNonNull(in).readAllBytes(), StandardCharsets.UTF_8);
    }
    var colours = new HashMap<String, Color>();
    var themes = THEME.matcher(css);
    while (themes.find()) {
      if (themes.group(1).equals(name)) {
        var m = COLOUR.matcher(themes.group(2));
        while (m.find()) {
          colours.put(m.group(1), Color.web(m.group(2)));
        }
      }
    }
    return colours;
  }

  @Test
  void blackOnWhiteIsTwentyOne() {
    assertThat(Contrast.of(Color.BLACK, Color.WHITE)).isEqualTo(21);
  }

  @ParameterizedTest
  @CsvSource({"light", "dark"})
  void textStandsOutOnEveryGround(String name) throws IOException {
    var c = theme(name);
    for (var text : new String[] {"ink", "soft", "near", "out"}) {
      for (var ground : new String[] {"page", "panel"}) {
        assertThat(Contrast.of(c.get(text), c.get(ground)))
            .as(text + " on " + ground)
            .isGreaterThanOrEqualTo(4.5);
      }
    }
    for (var ground : new String[] {"field", "dye-wash", "straw-wash"}) {
      assertThat(Contrast.of(c.get("ink"), c.get(ground))).as(ground).isGreaterThanOrEqualTo(4.5);
    }
  }

  @ParameterizedTest
  @CsvSource({"light", "dark"})
  void drawingsAndStyleSheetHoldTheSameColours(String name) throws IOException {
    var css = theme(name);
    var palette = name.equals("light") ? Palette.LIGHT : Palette.DARK;
    assertThat(palette.page()).isEqualTo(css.get("page"));
    assertThat(palette.panel()).isEqualTo(css.get("panel"));
    assertThat(palette.line()).isEqualTo(css.get("line"));
    assertThat(palette.ink()).isEqualTo(css.get("ink"));
    assertThat(palette.soft()).isEqualTo(css.get("soft"));
    assertThat(palette.dye()).isEqualTo(css.get("dye"));
    for (var series : new Color[] {palette.dye(), palette.power()}) {
      assertThat(Contrast.of(series, palette.panel())).isGreaterThanOrEqualTo(4.5);
    }
  }
}
