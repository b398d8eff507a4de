package grandbore.desktop.bench;

import grandbore.core.clearances.Band;
import javafx.scene.control.Label;

/** A verdict by word and shape. */
final class VerdictLabel extends Label {
  VerdictLabel() {
    setMinWidth(USE_PREF_SIZE);
  }

  void show(Band.Verdict verdict) {
    setText(shape(verdict) + " " + verdict.word());
    style(
        switch (verdict) {
          case INSIDE -> "inside";
          case NEAR_EDGE -> "near";
          case TIGHT, WIDE -> "outside";
        });
  }

  private void style(String now) {
    getStyleClass().removeAll("inside", "near", "outside");
    getStyleClass().add(now);
  }

  void show(String words, String style) {
    setText(words);
    style(style);
  }

  static String shape(Band.Verdict verdict) {
    return switch (verdict) {
      case INSIDE -> "●";
      case NEAR_EDGE -> "◐";
      case TIGHT -> "▼";
      case WIDE -> "▲";
    };
  }
}
