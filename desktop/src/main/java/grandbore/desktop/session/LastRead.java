package grandbore.desktop.session;

import java.util.List;
import java.util.function.Function;

/**
 * What was read last, and of which notes: every edit of a build asks for it, few change it.
 *
 * @param <N> the notes
 * @param <T> what they say
 */
public final class LastRead<N, T> {
  private final Function<List<N>, T> reader;
  private List<N> notes;
  private T read;

  public LastRead(Function<List<N>, T> reader) {
    this.reader = reader;
  }

  public T of(List<N> now) {
    if (!now.equals(notes)) {
      read = reader.apply(now);
      notes = now;
    }
    return read;
  }
}
