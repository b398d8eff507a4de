package grandbore.desktop.controls;

import javafx.animation.Animation.Status;
import javafx.animation.KeyFrame;
import javafx.animation.Timeline;
import javafx.scene.control.Button;
import javafx.util.Duration;

/** Lets something run by itself, step after step, and stops it; unseen it does not run. */
public final class RunButton extends Button {
  private final Timeline running = new Timeline();

  /**
   * @param frame from one step to the next
   */
  public RunButton(String id, Duration frame, Runnable step) {
    super("Run");
    setId(id);
    running.getKeyFrames().add(new KeyFrame(frame, e -> step.run()));
    running.setCycleCount(Timeline.INDEFINITE);
    running.statusProperty().subscribe(s -> setText(s == Status.RUNNING ? "Stop" : "Run"));
    setOnAction(e -> turn());
    sceneProperty()
        .subscribe(
            scene -> {
              if (scene == null) {
                running.stop();
              }
            });
  }

  private void turn() {
    if (running.getStatus() == Status.RUNNING) {
      running.stop();
    } else {
      running.play();
    }
  }
}
