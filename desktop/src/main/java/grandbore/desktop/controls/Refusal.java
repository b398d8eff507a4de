package grandbore.desktop.controls;

import javafx.scene.control.Label;

/** Why something was not taken; out of the way where there is nothing to say. */
public final class Refusal extends Label {
  public Refusal() {
    getStyleClass().add("refusal");
    setWrapText(true);
    clear();
  }

  public void say(String why) {
    setText("✕ " + why);
    show(true);
  }

  public void clear() {
    setText("");
    show(false);
  }

  private void show(boolean is) {
    setVisible(is);
    setManaged(is);
  }
}
