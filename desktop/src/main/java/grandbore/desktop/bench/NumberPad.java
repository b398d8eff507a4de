package grandbore.desktop.bench;

import java.util.function.Consumer;
import javafx.scene.control.Button;
import javafx.scene.layout.GridPane;

/** Large keys for oily fingers, the same as those of a keyboard's number pad. */
final class NumberPad extends GridPane {
  private static final String[] KEYS = {
    "7", "8", "9", "←", "4", "5", "6", "−", "1", "2", "3", "*", "0", ".", "/", "⏎"
  };
  private static final String[] NAMES = {
    "7",
    "8",
    "9",
    "delete",
    "4",
    "5",
    "6",
    "take back",
    "1",
    "2",
    "3",
    "repeat",
    "0",
    "point",
    "next place",
    "keep"
  };
  private static final double KEY = 58;

  /**
   * @param pressed told a key's sign
   */
  NumberPad(Consumer<String> pressed) {
    super(6, 6);
    for (int k = 0; k < KEYS.length; k++) {
      String sign = KEYS[k];
      var button = new Button(sign);
      button.setId("pad-" + k);
      button.setAccessibleText(NAMES[k]);
      button.getStyleClass().add("pad-key");
      button.setMinSize(KEY, KEY);
      button.setMaxWidth(Double.MAX_VALUE);
      button.setFocusTraversable(false);
      button.setOnAction(e -> pressed.accept(sign));
      add(button, k % 4, k / 4);
    }
  }
}
