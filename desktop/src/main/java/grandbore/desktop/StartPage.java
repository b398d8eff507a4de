package grandbore.desktop;

import grandbore.book.Backups;
import grandbore.book.BuildDocument;
import grandbore.book.BuildJson;
import grandbore.book.PlannedChanges;
import grandbore.book.ShopBook;
import grandbore.book.TextFile;
import grandbore.core.demo.DemoBuilds;
import grandbore.core.demo.DemoChanges;
import grandbore.core.units.UnitSystem;
import grandbore.desktop.builds.NewBuildPage;
import grandbore.desktop.controls.Page;
import grandbore.desktop.session.Books;
import java.nio.file.Path;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.concurrent.CompletableFuture;
import java.util.function.Consumer;
import java.util.function.Supplier;
import javafx.application.Platform;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import javafx.stage.FileChooser;

/** What is seen where there is no build to open: what one wants is asked, never guessed. */
final class StartPage extends VBox {
  private static final DateTimeFormatter SHOWN = DateTimeFormatter.ofPattern("yyyy-MM-dd HH:mm");
  private static final double WIDE = 560;

  private final Label says = new Label();
  private final Consumer<Door> through;

  /**
   * @param through is given what is behind the door once something was chosen
   */
  StartPage(Door door, Consumer<Door> through) {
    super(12);
    this.through = through;
    setId("start-page");
    setAlignment(Pos.CENTER);
    getStyleClass().addAll("workbench", "start-page");
    var name = new Label("GRAND BORE");
    name.getStyleClass().add("wordmark");
    says.setId("start-says");
    says.setWrapText(true);
    says.setPrefWidth(WIDE);
    says.setMaxWidth(WIDE);
    getChildren().add(name);
    switch (door) {
      case Door.Ready r -> through.accept(r);
      case Door.Empty e -> empty(e);
      case Door.Shut s -> shut(s);
    }
    getChildren().add(says);
  }

  private void line(String words, String style) {
    var label = new Label(words);
    label.setWrapText(true);
    label.setPrefWidth(WIDE);
    label.setMaxWidth(WIDE);
    label.getStyleClass().add(style);
    getChildren().add(label);
  }

  private void choice(String words, String id, String hint, Supplier<Door> chosen) {
    var button = Page.button(words, id);
    button.setPrefWidth(WIDE);
    button.setOnAction(e -> go(button, chosen));
    var below = Page.hint(hint);
    below.setPrefWidth(WIDE);
    below.setMaxWidth(WIDE);
    getChildren().addAll(button, below);
  }

  /** The book is opened and written off the window's thread. */
  private void go(Button button, Supplier<Door> chosen) {
    button.setDisable(true);
    says.setText("One moment");
    var _ =
        CompletableFuture.supplyAsync(chosen)
            .whenCompleteAsync(
                (door, e) -> {
                  button.setDisable(false);
                  if (e != null) {
                    says.setText("✕ " + Books.words(e));
                  } else {
                    through.accept(door);
                  }
                },
                Platform::runLater);
  }

  private void empty(Door.Empty e) {
    if (!e.why().isEmpty()) {
      line("None of the builds in " + e.book().path() + " can be opened: " + e.why(), "refusal");
    }
    line("There is no build in this book yet.", "pane-title");
    choice(
        "See the demo engine",
        "start-demo",
        "An invented V8, the same with next winter's parts, and an in-line four, to look around.",
        () -> {
          demo(e.book());
          return Door.of(e.book());
        });
    var own = Page.button("Begin an own build", "start-own");
    own.setPrefWidth(WIDE);
    own.setOnAction(x -> own(e));
    var ownBelow =
        Page.hint("A few numbers that you know; all else is filled in and marked assumed.");
    ownBelow.setPrefWidth(WIDE);
    ownBelow.setMaxWidth(WIDE);
    getChildren().addAll(own, ownBelow);
    var bring = Page.button("Bring in a build", "start-bring");
    bring.setPrefWidth(WIDE);
    bring.setOnAction(
        x -> {
          var chooser = new FileChooser();
          chooser.setTitle("Bring in a build document");
          chooser
              .getExtensionFilters()
              .add(new FileChooser.ExtensionFilter("Build document", "*.json"));
          var file = chooser.showOpenDialog(getScene().getWindow());
          if (file != null) {
            bring(e.book(), file.toPath(), bring);
          }
        });
    var below = Page.hint("A document that a build was sent out as.");
    below.setPrefWidth(WIDE);
    below.setMaxWidth(WIDE);
    getChildren().addAll(bring, below);
  }

  /** The form of a new build takes this page's place until it is begun or given up. */
  private void own(Door.Empty e) {
    var before = List.copyOf(getChildren());
    var page =
        new NewBuildPage(
            UnitSystem.METRIC,
            (build, guided) ->
                go(
                    Page.button("", "none"),
                    () -> {
                      e.book().add(new BuildDocument(build, List.of()));
                      var door = Door.of(e.book());
                      return guided ? Door.led(door) : door;
                    }),
            () -> getChildren().setAll(before));
    VBox.setVgrow(page, Priority.ALWAYS);
    getChildren().setAll(page, says);
  }

  /** Brings in the first build. */
  void bring(ShopBook book, Path file, Button button) {
    go(
        button,
        () -> {
          book.add(BuildJson.read(TextFile.read(file)));
          return Door.of(book);
        });
  }

  /** Puts the demo's builds into a book; the one with readings is opened first. */
  static void demo(ShopBook book) {
    book.add(new BuildDocument(DemoBuilds.paddockFour(), List.of()));
    book.add(new BuildDocument(DemoChanges.madeOnTheEight(), List.of()));
    book.add(PlannedChanges.demo());
  }

  private void shut(Door.Shut s) {
    line(s.why(), "pane-title");
    if (s.backup().isPresent()) {
      var b = s.backup().get();
      choice(
          "Restore the backup of " + SHOWN.format(b.made()) + " UTC",
          "start-restore",
          "What lies in the book's place now is kept beside it under a dated name.",
          () -> {
            new Backups(s.book()).bringBack(b, LocalDateTime.now(ZoneOffset.UTC));
            return Door.open(s.book());
          });
    }
    if (s.missing()) {
      choice(
          "Begin a new book",
          "start-new",
          "The backups stay where they are.",
          () -> Door.of(ShopBook.begin(s.book())));
    }
    var quit = Page.button("Leave everything as it is", "start-quit");
    quit.setPrefWidth(WIDE);
    quit.setOnAction(e -> Platform.exit());
    getChildren().add(quit);
  }
}
