package grandbore.desktop.find;

import java.util.Optional;
import javafx.scene.input.KeyCombination;

/**
 * Something the window does.
 *
 * @param key that does it, if any
 */
public record Command(String title, Optional<KeyCombination> key, Runnable act) {
  /**
   * @param key as {@link KeyCombination#valueOf} reads it; empty for none
   */
  public static Command of(String title, String key, Runnable act) {
    return new Command(
        title, key.isEmpty() ? Optional.empty() : Optional.of(KeyCombination.valueOf(key)), act);
  }

  /** What stands on the card. */
  public String keyName() {
    return key.map(KeyCombination::getDisplayText).orElse("");
  }
}
