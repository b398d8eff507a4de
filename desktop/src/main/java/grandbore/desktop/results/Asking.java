package grandbore.desktop.results;

import java.util.List;
import java.util.Objects;
import java.util.function.BooleanSupplier;
import javafx.animation.PauseTransition;
import javafx.beans.value.ObservableValue;
import javafx.scene.Node;
import javafx.util.Duration;

/**
 * Asks for a result when a view is seen and what it hangs on has rested, and only when that has
 * changed. The queue of runs sees to it that the curve goes first.
 */
public final class Asking {
  private static final Duration REST = Duration.millis(300);

  private final PauseTransition rest;
  private List<Object> asked = List.of();

  /**
   * @param view that has to be seen
   * @param ask starts the work
   */
  public Asking(Node view, Runnable ask) {
    this(view, REST, ask);
  }

  /**
   * @param view that has to be seen
   * @param rested how long nothing must have changed
   * @param ask starts the work
   */
  public Asking(Node view, Duration rested, Runnable ask) {
    this(() -> view.getScene() != null && view.getParent() != null, rested, ask);
    view.sceneProperty().subscribe(s -> soon());
    view.parentProperty().subscribe(s -> soon());
  }

  /**
   * @param seen whether anybody looks at what is asked for
   * @param rested how long nothing must have changed
   * @param ask starts the work
   */
  public Asking(BooleanSupplier seen, Duration rested, Runnable ask) {
    rest = new PauseTransition(rested);
    rest.setOnFinished(
        e -> {
          if (seen.getAsBoolean()) {
            ask.run();
          }
        });
  }

  /** Asks again when one of these changes. */
  public Asking when(ObservableValue<?>... changes) {
    for (var p : changes) {
      p.subscribe(v -> soon());
    }
    return this;
  }

  public void soon() {
    rest.playFromStart();
  }

  /** Takes the last wish back, so that the same is new again. */
  public void forget() {
    asked = List.of();
  }

  /** Asks the same once more. */
  public void again() {
    forget();
    soon();
  }

  /** Whether a wish differs from the last one, which it takes the place of. */
  public boolean isNew(Object... wish) {
    var now = List.of(wish);
    if (Objects.equals(now, asked)) {
      return false;
    }
    asked = now;
    return true;
  }
}
