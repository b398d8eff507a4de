package grandbore.core.guided;

import grandbore.core.clearances.Measurement;
import grandbore.core.clearances.Reading.Side;
import java.util.ArrayList;
import java.util.List;

/** What a routine's readings come to, what is wrong with them, and what can go into the book. */
public final class Outcome {
  private final List<String> says = new ArrayList<>();
  private final List<String> wrong = new ArrayList<>();
  private final List<Into> into = new ArrayList<>();

  /** Where a result goes. */
  public sealed interface Into {
    /** As a reading of the book. */
    record Book(Measurement measurement, int place, Side side, double value) implements Into {}

    /** As an input, measured. */
    record Input(String path, double value) implements Into {}
  }

  // Which words are said depends on the reading, so that they are no constant.
  @SuppressWarnings("AnnotateFormatMethod")
  void say(String words, Object... values) {
    says.add(words.formatted(values));
  }

  @SuppressWarnings("AnnotateFormatMethod")
  void fault(String words, Object... values) {
    wrong.add(words.formatted(values));
  }

  void book(Measurement m, int place, Side side, double value) {
    into.add(new Into.Book(m, place, side, value));
  }

  void input(String path, double value) {
    into.add(new Into.Input(path, value));
  }

  public List<String> says() {
    return List.copyOf(says);
  }

  /** Mistakes seen in the readings; nothing should go into the book before they are cleared. */
  public List<String> wrong() {
    return List.copyOf(wrong);
  }

  public List<Into> into() {
    return List.copyOf(into);
  }
}
