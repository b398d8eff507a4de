package grandbore.desktop.help;

import grandbore.desktop.station.Station;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Optional;
import org.commonmark.node.Heading;
import org.commonmark.node.Node;
import org.commonmark.node.Text;
import org.commonmark.parser.Parser;

/** A page of the guide, in the order in which they are listed. */
public enum HelpPage {
  BEGIN("begin", null),
  ENGINE("engine", Station.ENGINE),
  BRIEF("brief", Station.BRIEF),
  BOTTOM_END("bottom-end", Station.BOTTOM_END),
  COMPRESSION("compression", Station.COMPRESSION),
  CAM("cam", Station.CAM),
  HEADS("heads", Station.HEADS),
  BREATHING("breathing", Station.BREATHING),
  CLEARANCES("clearances", Station.CLEARANCES),
  PREDICTION("prediction", Station.PREDICTION),
  WEIGHING("weighing", Station.WEIGHING),
  DYNO("dyno", Station.DYNO),
  JOB("job", Station.JOB),
  TRUST("trust", null),
  WORDS("words", null);

  private final String file;
  private final Station station;
  private Node text;

  HelpPage(String file, Station station) {
    this.file = file;
    this.station = station;
  }

  /** The page of a station. */
  public static HelpPage of(Station station) {
    for (var page : values()) {
      if (page.station == station) {
        return page;
      }
    }
    throw new IllegalArgumentException("no page of " + station);
  }

  /** Its text, read once. */
  Node text() {
    if (text == null) {
      String name = "/grandbore/desktop/help/" + file + ".md";
      try (var in = Objects.requireNonNull(HelpPage.class.getResourceAsStream(name), name)) {
        text =
            Parser.builder().build().parse(new String(in.readAllBytes(), StandardCharsets.UTF_8));
      } catch (IOException e) {
        throw new UncheckedIOException(e);
      }
    }
    return text;
  }

  public String title() {
    return heading(text().getFirstChild()).orElseThrow();
  }

  /** The headings of its parts. */
  public List<String> parts() {
    var parts = new ArrayList<String>();
    for (var n = text().getFirstChild().getNext(); n != null; n = n.getNext()) {
      heading(n).ifPresent(parts::add);
    }
    return parts;
  }

  /** Whether all of some words stand on it. */
  boolean says(String words) {
    String all = words(text()).toLowerCase(Locale.ROOT);
    return Arrays.stream(words.toLowerCase(Locale.ROOT).split(" +", -1)).allMatch(all::contains);
  }

  static Optional<String> heading(Node node) {
    return node instanceof Heading ? Optional.of(words(node).trim()) : Optional.empty();
  }

  private static String words(Node node) {
    if (node instanceof Text t) {
      return t.getLiteral();
    }
    var all = new StringBuilder();
    for (var n = node.getFirstChild(); n != null; n = n.getNext()) {
      all.append(words(n));
    }
    return all.append(node.getFirstChild() == null || node instanceof Heading ? " " : "")
        .toString();
  }
}
