package grandbore.desktop.results;

import grandbore.core.runs.Progress;
import grandbore.core.runs.Run;
import grandbore.desktop.controls.Page;
import java.time.Duration;
import java.util.Locale;
import javafx.animation.KeyFrame;
import javafx.animation.Timeline;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ProgressBar;
import javafx.scene.layout.HBox;

/**
 * How far a view's run is, how long it still takes, and the button that stops it or begins again.
 */
public final class RunLine extends HBox {
  private static final javafx.util.Duration LOOK = javafx.util.Duration.millis(250);

  private final ResultService service;
  private final Label words = new Label();
  private final ProgressBar bar = new ProgressBar(0);
  private final Button stop = new Button();

  /** The run that was followed last; null for none. */
  private Run<?> last;

  private final Timeline looking = new Timeline(new KeyFrame(LOOK, e -> refresh()));

  /**
   * @param id of the line; its button's is that and “-stop”
   * @param again asks for the run once more, after it was stopped by hand
   */
  public RunLine(String id, ResultService service, Runnable again) {
    super(8);
    this.service = service;
    setId(id);
    setAlignment(Pos.CENTER_LEFT);
    words.getStyleClass().add("soft");
    bar.setPrefWidth(120);
    bar.setMinWidth(60);
    bar.setAccessibleText("share done");
    words.setId(id + "-words");
    stop.setId(id + "-stop");
    stop.setMinWidth(USE_PREF_SIZE);
    stop.setOnAction(
        e -> {
          if (service.nowProperty().get() == null) {
            again.run();
          } else {
            service.cancel();
            stopped();
          }
        });
    getChildren().addAll(stop, bar, words);
    looking.setCycleCount(Timeline.INDEFINITE);
    service.nowProperty().subscribe(this::follow);
    sceneProperty().subscribe(s -> follow(service.nowProperty().get()));
  }

  private void follow(Run<?> run) {
    boolean stoppedElsewhere = run == null && last != null && last.isStopped();
    last = run;
    if (stoppedElsewhere) {
      looking.stop();
      stopped();
      return;
    }
    shown(run != null);
    stop.setText("Stop");
    if (run != null && getScene() != null) {
      refresh();
      looking.play();
    } else {
      looking.stop();
    }
  }

  private void shown(boolean is) {
    Page.show(this, is);
    Page.show(bar, is);
  }

  private void stopped() {
    shown(true);
    Page.show(bar, false);
    words.setText("Stopped.");
    stop.setText("Run again");
  }

  private void refresh() {
    var run = service.nowProperty().get();
    if (run != null) {
      var p = run.progress();
      bar.setProgress(p.share());
      words.setText(run.title() + words(p));
    }
  }

  /** “: 12 of 98, 4 s left”. */
  public static String words(Progress p) {
    if (p.of() == 0) {
      return "";
    }
    return String.format(
        Locale.US,
        ": %d of %d%s",
        p.done(),
        p.of(),
        p.left().map(left -> ", " + left(left) + " left").orElse(""));
  }

  private static String left(Duration left) {
    long seconds = Math.max(1, Math.round(left.toMillis() / 1000.0));
    return seconds < 90 ? seconds + " s" : Math.round(seconds / 60.0) + " min";
  }
}
