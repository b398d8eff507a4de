package grandbore.desktop.controls;

import java.util.concurrent.atomic.AtomicBoolean;
import javafx.beans.value.ObservableValue;
import javafx.scene.Node;

/** Keeps a view in step with what it shows, and leaves it alone while nobody sees it. */
public final class WhenSeen {
  private WhenSeen() {}

  /** Refreshes a view when one of these changes, at once if it is seen, else when it next is. */
  public static void refresh(Node view, Runnable refresh, ObservableValue<?>... changes) {
    var stale = new AtomicBoolean(true);
    Runnable go =
        () -> {
          stale.set(view.getScene() == null);
          if (!stale.get()) {
            refresh.run();
          }
        };
    view.sceneProperty()
        .subscribe(
            s -> {
              if (s != null && stale.get()) {
                go.run();
              }
            });
    for (var c : changes) {
      c.subscribe(v -> go.run());
    }
  }
}
