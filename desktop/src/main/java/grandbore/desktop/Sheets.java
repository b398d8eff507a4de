package grandbore.desktop;

import grandbore.book.BuildDocument;
import grandbore.desktop.builds.BuildsPage;
import grandbore.desktop.builds.NewBuildPage;
import grandbore.desktop.controls.Overlay;
import grandbore.desktop.find.Command;
import grandbore.desktop.find.FindSheet;
import grandbore.desktop.find.KeysCard;
import grandbore.desktop.find.Target;
import grandbore.desktop.help.HelpPage;
import grandbore.desktop.help.HelpSheet;
import grandbore.desktop.look.Look;
import grandbore.desktop.session.Session;
import java.util.List;
import java.util.function.Supplier;
import javafx.application.Platform;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;

/** Pages that lie over the whole bench for a while: the list of builds, a new build. */
final class Sheets implements Overlay {
  private final Session session;
  private final Look look;
  private final Region bench;
  private final StackPane both;
  private BuildsPage list;
  private FindSheet finder;
  private Runnable led = () -> {};

  Sheets(Session session, Look look, Region bench, StackPane both) {
    this.session = session;
    this.look = look;
    this.bench = bench;
    this.both = both;
  }

  @Override
  public void show(Node sheet) {
    both.getChildren().setAll(bench, sheet);
    // What lies under a sheet is out of the keyboard's reach.
    bench.setDisable(true);
  }

  @Override
  public void close() {
    bench.setDisable(false);
    both.getChildren().setAll(bench);
  }

  /** The field that finds anything, over the bench. */
  void find(Supplier<List<Target>> targets) {
    if (finder == null) {
      finder = new FindSheet(this::close);
    }
    StackPane.setAlignment(finder, Pos.TOP_CENTER);
    StackPane.setMargin(finder, new Insets(64, 16, 16, 16));
    show(finder);
    finder.begin(targets);
  }

  void keys(List<Command> commands) {
    read(new KeysCard(commands, this::close));
  }

  /** Shows a sheet that is only read, so that Escape takes it away wherever the focus is. */
  private void read(Node sheet) {
    sheet.addEventFilter(
        KeyEvent.KEY_PRESSED,
        e -> {
          if (e.getCode() == KeyCode.ESCAPE) {
            close();
            e.consume();
          }
        });
    show(sheet);
  }

  /** The guide at one of its pages, and of that at one of its parts. */
  void help(HelpPage page, String part) {
    var sheet = new HelpSheet(this::close);
    read(sheet);
    Platform.runLater(() -> sheet.open(page, part));
  }

  /** Told what leads through a build. */
  void led(Runnable through) {
    led = through;
  }

  /** The list is made once: what it shows follows the book. */
  private BuildsPage list() {
    if (list == null) {
      list = new BuildsPage(session, look, this::fresh, this::close);
    }
    return list;
  }

  void builds() {
    var page = list();
    show(page);
    Platform.runLater(page::begin);
  }

  void copy() {
    var page = list();
    show(page);
    Platform.runLater(page::askCopy);
  }

  void fresh() {
    show(
        new NewBuildPage(
            session.build().units(),
            (build, guided) -> {
              var _ =
                  session
                      .begin(new BuildDocument(build, List.of()))
                      .thenRun(
                          () -> {
                            close();
                            if (guided) {
                              led.run();
                            }
                          });
            },
            this::close));
  }
}
