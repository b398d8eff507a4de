package grandbore.desktop;

import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import javafx.application.Platform;
import javafx.scene.Scene;
import javafx.stage.Window;

/** Waits until the window has done what stands in its queue and is laid out once more. */
public final class Pulse {
  /** What is posted by what is posted comes too. */
  private static final int ROUNDS = 5;

  private static final long PATIENCE_SECONDS = 5;

  private Pulse() {}

  /** Returns after the queue was empty, a pulse, and what that left in the queue. */
  public static void await() {
    if (Platform.isFxApplicationThread()) {
      throw new IllegalStateException("the window can't wait for itself");
    }
    empty();
    var pulsed = new CountDownLatch(1);
    WindowRobot.onItsThread(
        () -> {
          Window.getWindows().stream()
              .filter(w -> w.isShowing() && w.getScene() != null)
              .findFirst()
              .ifPresentOrElse(w -> next(w.getScene(), pulsed), pulsed::countDown);
          return null;
        });
    try {
      // A window that closed meanwhile has no pulse any more.
      var _ = pulsed.await(PATIENCE_SECONDS, TimeUnit.SECONDS);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
    empty();
  }

  private static void empty() {
    for (int k = 0; k < ROUNDS; k++) {
      WindowRobot.onItsThread(() -> null);
    }
  }

  private static void next(Scene scene, CountDownLatch pulsed) {
    scene.addPostLayoutPulseListener(
        new Runnable() {
          @Override
          public void run() {
            scene.removePostLayoutPulseListener(this);
            pulsed.countDown();
          }
        });
    Platform.requestNextPulse();
  }
}
