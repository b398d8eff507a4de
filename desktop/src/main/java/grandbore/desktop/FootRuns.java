package grandbore.desktop;

import grandbore.core.runs.Run;
import grandbore.core.runs.RunQueue;
import grandbore.core.runs.Urgency;
import grandbore.desktop.controls.Page;
import grandbore.desktop.results.RunLine;
import java.util.List;
import javafx.animation.KeyFrame;
import javafx.animation.Timeline;
import javafx.application.Platform;
import javafx.geometry.Pos;
import javafx.geometry.Side;
import javafx.scene.control.Button;
import javafx.scene.control.ContextMenu;
import javafx.scene.control.Label;
import javafx.scene.control.MenuItem;
import javafx.scene.control.ProgressBar;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.util.Duration;

/**
 * The long runs of the whole window, whatever page asked for them: how far the first is, how long
 * it still takes, and the buttons that stop it or another.
 */
final class FootRuns extends HBox {
  /** One that ends sooner is not worth a look, s. */
  private static final double LONG = 0.7;

  private static final Duration LOOK = Duration.millis(250);

  private final RunQueue runs;
  private final Label words = new Label();
  private final ProgressBar bar = new ProgressBar(0);
  private final Button stop = new Button("Stop");
  private final Button more = new Button();
  private final Tooltip tip = new Tooltip();
  private final Timeline looking = new Timeline(new KeyFrame(LOOK, e -> refresh()));
  private List<Run<?>> seen = List.of();
  private boolean narrow;

  FootRuns(RunQueue runs) {
    super(8);
    this.runs = runs;
    setId("foot-runs");
    setAlignment(Pos.CENTER_LEFT);
    words.setId("foot-runs-words");
    words.getStyleClass().add("soft");
    bar.setPrefWidth(90);
    bar.setMinWidth(60);
    bar.setAccessibleText("share done");
    stop.setId("foot-runs-stop");
    stop.setAccessibleText("Stop this run");
    stop.setTooltip(tip);
    stop.setOnAction(e -> seen.stream().findFirst().ifPresent(Run::cancel));
    more.setId("foot-runs-more");
    more.setOnAction(e -> list());
    for (var b : List.of(stop, more)) {
      b.getStyleClass().addAll("flat", "small");
      b.setMinWidth(USE_PREF_SIZE);
    }
    getChildren().addAll(bar, words, stop, more);
    looking.setCycleCount(Timeline.INDEFINITE);
    Page.show(this, false);
    runs.watch(() -> Platform.runLater(this::look));
  }

  /** What all of it takes side by side, whether it is shown or not, px. */
  double wholeWidth() {
    return bar.prefWidth(-1)
        + words.prefWidth(-1)
        + stop.prefWidth(-1)
        + (seen.size() > 1 ? more.prefWidth(-1) + getSpacing() : 0)
        + 2 * getSpacing();
  }

  /** Where there is little room the button is all that stands; its tip says the rest. */
  void narrow(boolean is) {
    narrow = is;
    Page.show(words, !is);
    Page.show(bar, !is);
  }

  /** Looks now and then as long as anything goes on; an idle window has no pulse. */
  private void look() {
    if (runs.isIdle()) {
      looking.stop();
      refresh();
    } else if (getScene() != null) {
      looking.play();
    }
  }

  private void refresh() {
    seen =
        runs.running().stream()
            // Without the live curve the one that stands would be another engine's.
            .filter(r -> r.urgency() != Urgency.LIVE)
            .filter(r -> !r.isOver() && r.progress().elapsed().toMillis() > 1e3 * LONG)
            .toList();
    Page.show(this, !seen.isEmpty());
    if (seen.isEmpty()) {
      return;
    }
    var first = seen.getFirst();
    bar.setProgress(first.progress().share());
    words.setText(line(first));
    tip.setText(line(first));
    Page.show(more, !narrow && seen.size() > 1);
    more.setText("and %d more".formatted(seen.size() - 1));
  }

  private static String line(Run<?> run) {
    return run.title() + RunLine.words(run.progress());
  }

  /** All that go on, each stopped by a click. */
  private void list() {
    var menu = new ContextMenu();
    for (var run : seen) {
      var item = new MenuItem("Stop " + line(run));
      item.setOnAction(e -> run.cancel());
      menu.getItems().add(item);
    }
    menu.show(more, Side.TOP, 0, 0);
  }
}
