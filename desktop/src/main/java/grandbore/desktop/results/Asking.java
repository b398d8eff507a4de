package grandbore.desktop.results;

import grandbore.desktop.curve.CurveService;
import java.util.List;
import java.util.Objects;
import javafx.animation.PauseTransition;
import javafx.beans.value.ObservableValue;
import javafx.scene.Node;
import javafx.util.Duration;

/**
 * Asks for a result when a view is seen, what it hangs on has rested and the curve stands, and only
 * when that has changed.
 */
public final class Asking {
  private static final Duration REST = Duration.millis(300);

  private final Node view;
  private final PauseTransition rest = new PauseTransition(REST);
  private boolean waits;
  private List<Object> asked = List.of();

  /**
   * @param view that has to be seen
   * @param curves whose run goes first
   * @param ask starts the work
   */
  public Asking(Node view, CurveService curves, Runnable ask) {
    this.view = view;
    rest.setOnFinished(
        e -> {
          if (!isSeen()) {
            return;
          }
          waits = curves.stateProperty().get().isRunning();
          if (!waits) {
            ask.run();
          }
        });
    curves
        .stateProperty()
        .subscribe(
            s -> {
              if (waits && !s.isRunning()) {
                waits = false;
                soon();
              }
            });
    view.sceneProperty().subscribe(s -> soon());
    view.parentProperty().subscribe(s -> soon());
  }

  private boolean isSeen() {
    return view.getScene() != null && view.getParent() != null;
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
