package grandbore.desktop;

import grandbore.book.BuildDocument;
import grandbore.core.demo.DemoBuilds;
import java.util.List;
import javafx.application.Application;
import javafx.application.Platform;
import javafx.stage.Stage;

/** The JavaFX application. */
public final class WindowApp extends Application {
  private static Main.Start prepared;

  private Workbench workbench;

  static synchronized void prepare(Main.Start start) {
    prepared = start;
    if (start.book().builds().isEmpty()) {
      // An empty book starts with the demo's builds: copy one, or bring in a document.
      start
          .book()
          .add(
              new BuildDocument(
                  DemoBuilds.hillClimbEight(),
                  DemoBuilds.hillClimbReadings(),
                  DemoBuilds.hillClimbNotes()));
      start.book().add(new BuildDocument(DemoBuilds.paddockFour(), List.of()));
    }
  }

  private static synchronized Main.Start prepared() {
    return prepared;
  }

  @Override
  public void start(Stage stage) {
    var start = prepared();
    workbench = new Workbench(start.book());
    stage.setTitle("Grand Bore");
    stage.setScene(workbench.scene());
    stage.setMinWidth(1100);
    stage.setMinHeight(700);
    stage.show();
    if (start.demo() && start.headless()) {
      new HeadlessDemo(workbench, start).run(Platform::exit);
    }
  }

  @Override
  public void stop() {
    workbench.close();
  }
}
