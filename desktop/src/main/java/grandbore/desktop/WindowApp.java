package grandbore.desktop;

import grandbore.core.runs.RunQueue;
import grandbore.core.runs.Urgency;
import grandbore.desktop.look.Look;
import javafx.animation.AnimationTimer;
import javafx.application.Application;
import javafx.application.Platform;
import javafx.scene.Scene;
import javafx.scene.control.Alert;
import javafx.scene.control.ButtonType;
import javafx.stage.Stage;
import javafx.stage.WindowEvent;

/** The JavaFX application. */
public final class WindowApp extends Application {
  private static final double WIDTH = 1280;
  private static final double HEIGHT = 800;

  /** After as many pulses the first picture stands. */
  private static final int FIRST_PULSES = 2;

  private static Main.Start prepared;

  private Workbench workbench;

  static synchronized void prepare(Main.Start start) {
    prepared = start;
  }

  private static synchronized Main.Start prepared() {
    return prepared;
  }

  @Override
  public void start(Stage stage) {
    var start = prepared();
    stage.setTitle("Grand Bore");
    stage.setMinWidth(780);
    stage.setMinHeight(700);
    enter(stage, start.door());
    stage.setOnCloseRequest(this::closing);
    stage.show();
    if (start.demo() && start.headless()) {
      new HeadlessDemo(workbench, start).run(Platform::exit);
    }
  }

  private void enter(Stage stage, Door door) {
    if (door instanceof Door.Ready ready) {
      workbench = new Workbench(ready.book(), ready.beginning());
      stage.setScene(workbench.scene());
      solveOncePainted(workbench.curves().runs());
      if (ready.led()) {
        workbench.lead();
      }
      return;
    }
    var scene = new Scene(new StartPage(door, next -> enter(stage, next)), WIDTH, HEIGHT);
    new Look().dress(scene);
    stage.setScene(scene);
  }

  /** The window is painted before the solver takes its processors. */
  private static void solveOncePainted(RunQueue runs) {
    runs.hold(Urgency.LIVE);
    new AnimationTimer() {
      private int pulses;

      @Override
      public void handle(long now) {
        pulses++;
        if (pulses > FIRST_PULSES) {
          runs.hold(null);
          stop();
        }
      }
    }.start();
  }

  /** What the book could not take is said before the window goes, and goes into files. */
  private void closing(WindowEvent e) {
    if (workbench == null || workbench.session().unstored() == 0) {
      return;
    }
    var session = workbench.session();
    if (session.troubleProperty().get().isEmpty()) {
      // It is only being written: closing waits for it.
      return;
    }
    var files = session.writeRescue();
    var alert =
        new Alert(
            Alert.AlertType.WARNING,
            "%d changes are not in the book: %s\n\nThey are kept in %s, which can be brought in again."
                .formatted(session.unstored(), session.troubleProperty().get(), files),
            new ButtonType("Close", javafx.scene.control.ButtonBar.ButtonData.OK_DONE),
            new ButtonType("Keep open", javafx.scene.control.ButtonBar.ButtonData.CANCEL_CLOSE));
    alert.setHeaderText("Not everything is stored");
    alert.showAndWait().filter(b -> b.getButtonData().isCancelButton()).ifPresent(b -> e.consume());
  }

  @Override
  public void stop() {
    if (workbench != null) {
      workbench.close();
    }
  }
}
