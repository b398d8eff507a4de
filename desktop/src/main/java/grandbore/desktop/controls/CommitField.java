package grandbore.desktop.controls;

import java.util.Locale;
import java.util.function.Consumer;
import javafx.css.PseudoClass;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;

/**
 * A text field that hands over what was typed on Enter or when left, keeps what is refused as typed
 * with the reason beside it, and gives the old text back on Escape.
 */
public final class CommitField extends TextField {
  private static final PseudoClass REFUSED = PseudoClass.getPseudoClass("refused");

  private final Consumer<String> take;
  private final Refusal refusal;
  private final String label;
  private String shown = "";
  private boolean committing;

  /** Room for the caret beside the text, px. */
  private static final double CARET = 3;

  private int columns = 6;

  /**
   * @param take keeps what was typed; throws {@link IllegalArgumentException} where it can't be
   * @param refusal where the reason is shown
   */
  public CommitField(String label, Consumer<String> take, Refusal refusal) {
    this.label = label;
    this.take = take;
    this.refusal = refusal;
    setAccessibleText(label);
    setId(label.toLowerCase(Locale.ROOT).replace(' ', '-') + "-text");
    setMinWidth(USE_PREF_SIZE);
    textProperty().subscribe(t -> fit());
    fit();
    refusal.setMaxWidth(250);
    accept();
    setOnAction(e -> commit());
    setOnKeyPressed(
        e -> {
          if (e.getCode() == KeyCode.ESCAPE) {
            setText(shown);
            accept();
            e.consume();
          }
        });
    addEventFilter(KeyEvent.KEY_PRESSED, this::leaveUndoToTheWindow);
    focusedProperty()
        .subscribe(
            focused -> {
              if (focused) {
                selectAll();
              } else {
                commit();
              }
            });
  }

  /** With nothing typed here, undo and redo mean the build's, not this field's letters. */
  private void leaveUndoToTheWindow(KeyEvent e) {
    if (!e.isShortcutDown() || !getText().equals(shown)) {
      return;
    }
    getScene()
        .getAccelerators()
        .forEach(
            (keys, action) -> {
              if (keys.match(e) && !e.isConsumed()) {
                e.consume();
                action.run();
              }
            });
  }

  /** At least so many signs have room. */
  public void setColumns(int least) {
    columns = least;
    fit();
  }

  /**
   * As wide as its text: one that does not fit beside its caret, aligned to the right, is laid out
   * again at every pulse of the window, for ever.
   */
  private void fit() {
    setPrefColumnCount(Math.max(columns, getText() == null ? 0 : Math.min(getText().length(), 40)));
  }

  @Override
  protected double computePrefWidth(double height) {
    return Math.ceil(super.computePrefWidth(height)) + CARET;
  }

  /** Shows a value, unless something refused still stands there. */
  public void show(String value) {
    shown = value;
    if (!getPseudoClassStates().contains(REFUSED)) {
      setText(value);
    }
  }

  private void commit() {
    if (committing) {
      // What is taken may rebuild the page, and the field lose its focus meanwhile.
      return;
    }
    if (getText().equals(shown)) {
      accept();
      return;
    }
    committing = true;
    try {
      take.accept(getText());
      accept();
      setText(shown);
    } catch (NumberFormatException e) {
      refuse(label + ": “" + getText() + "” can't be read as a number");
    } catch (IllegalArgumentException e) {
      refuse(e.getMessage());
    } finally {
      committing = false;
    }
  }

  private void accept() {
    pseudoClassStateChanged(REFUSED, false);
    refusal.clear();
  }

  private void refuse(String why) {
    pseudoClassStateChanged(REFUSED, true);
    refusal.say(why);
  }
}
