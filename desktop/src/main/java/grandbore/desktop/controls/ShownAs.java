package grandbore.desktop.controls;

import java.util.function.Function;
import javafx.util.StringConverter;

/**
 * How a list that is chosen from, and never written into, shows what is in it.
 *
 * @param <T> what is chosen
 */
public final class ShownAs<T> extends StringConverter<T> {
  private final String none;
  private final Function<T, String> words;

  private ShownAs(String none, Function<T, String> words) {
    this.none = none;
    this.words = words;
  }

  /** Blank where nothing is chosen. */
  public static <T> ShownAs<T> of(Function<T, String> words) {
    return new ShownAs<>("", words);
  }

  /**
   * @param none shown where nothing is chosen
   */
  public static <T> ShownAs<T> of(String none, Function<T, String> words) {
    return new ShownAs<>(none, words);
  }

  @Override
  public String toString(T value) {
    return value == null ? none : words.apply(value);
  }

  @Override
  public T fromString(String text) {
    throw new UnsupportedOperationException();
  }
}
