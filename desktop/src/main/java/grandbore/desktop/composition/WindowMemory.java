package grandbore.desktop.composition;

import grandbore.desktop.look.Look;
import grandbore.desktop.look.TextSize;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import java.util.Properties;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/** What the window looked like last, kept in a file of its own; a lost file loses nothing else. */
public final class WindowMemory {
  private static final Logger LOG = LoggerFactory.getLogger(WindowMemory.class);

  /** What is remembered. */
  public record Memory(Side side, TextSize text, Look.Theme theme) {
    /** What a first window looks like. */
    public static final Memory FIRST = new Memory(Side.USUAL, TextSize.NORMAL, Look.Theme.LIGHT);
  }

  private final Optional<Path> file;

  /**
   * @param file where it is kept; empty for nowhere
   */
  public WindowMemory(Optional<Path> file) {
    this.file = file;
  }

  /** What was kept last; what is missing or not understood is as at first. */
  public Memory read() {
    var kept = new Properties();
    if (file.isPresent() && Files.exists(file.get())) {
      try (var in = Files.newBufferedReader(file.get())) {
        kept.load(in);
      } catch (IOException | IllegalArgumentException e) {
        LOG.warn("What the window looked like could not be read: {}", file.get(), e);
      }
    }
    var first = Memory.FIRST;
    return new Memory(
        new Side(
            value(kept, "side", Side.Mode.class, first.side().mode()),
            share(kept.getProperty("side.share"))),
        value(kept, "text", TextSize.class, first.text()),
        value(kept, "theme", Look.Theme.class, first.theme()));
  }

  private static double share(String text) {
    try {
      return text == null ? Double.NaN : Double.parseDouble(text);
    } catch (NumberFormatException e) {
      return Double.NaN;
    }
  }

  private static <T extends Enum<T>> T value(Properties p, String key, Class<T> type, T usual) {
    for (var v : type.getEnumConstants()) {
      if (v.name().equals(p.getProperty(key))) {
        return v;
      }
    }
    return usual;
  }

  public void write(Memory m) {
    if (file.isEmpty()) {
      return;
    }
    var kept = new Properties();
    kept.setProperty("side", m.side().mode().name());
    kept.setProperty("side.share", String.valueOf(m.side().share()));
    kept.setProperty("text", m.text().name());
    kept.setProperty("theme", m.theme().name());
    try (var out = Files.newBufferedWriter(file.get())) {
      kept.store(out, null);
    } catch (IOException e) {
      LOG.warn("What the window looks like could not be kept: {}", file.get(), e);
    }
  }
}
