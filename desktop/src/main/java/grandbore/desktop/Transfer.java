package grandbore.desktop;

import grandbore.book.BuildJson;
import grandbore.book.CurveCsv;
import grandbore.book.FlowSheetCsv;
import grandbore.book.TextFile;
import grandbore.core.prediction.Curve;
import grandbore.desktop.session.Books;
import grandbore.desktop.session.Session;
import java.io.IOException;
import java.nio.file.Path;
import java.util.concurrent.CompletableFuture;
import java.util.function.Consumer;
import java.util.function.Supplier;
import javafx.application.Platform;
import javafx.stage.FileChooser;
import javafx.stage.Window;

/** Builds, curves and flow sheets between the book and files. */
final class Transfer {
  private final Session session;
  private final Supplier<Curve> curve;
  private final Consumer<String> say;

  Transfer(Session session, Supplier<Curve> curve, Consumer<String> say) {
    this.session = session;
    this.curve = curve;
    this.say = say;
  }

  void bringIn(Window over) {
    var chooser = new FileChooser();
    chooser.setTitle("Bring in a build document");
    chooser.getExtensionFilters().add(new FileChooser.ExtensionFilter("Build document", "*.json"));
    var file = chooser.showOpenDialog(over);
    if (file != null) {
      var _ = bringIn(file.toPath());
    }
  }

  /** Puts a document's build into the book and on the bench; refuses a damaged one whole. */
  CompletableFuture<Void> bringIn(Path file) {
    return CompletableFuture.supplyAsync(() -> BuildJson.read(TextFile.read(file)))
        .thenComposeAsync(session::begin, Platform::runLater)
        .handleAsync(
            (begun, e) -> {
              say.accept(
                  e == null
                      ? "Brought in " + file.getFileName()
                      : "✕ %s: %s".formatted(file.getFileName(), Books.words(e)));
              return null;
            },
            Platform::runLater);
  }

  void sendOut(Window over) {
    var chooser = new FileChooser();
    chooser.setTitle("Send out");
    chooser.setInitialFileName(session.build().name().replaceAll("\\W+", "-") + ".json");
    chooser
        .getExtensionFilters()
        .addAll(
            new FileChooser.ExtensionFilter("Build document", "*.json"),
            new FileChooser.ExtensionFilter("Curve as a table", "*.curve.csv"),
            new FileChooser.ExtensionFilter("Intake flow sheet", "*.intake.csv"),
            new FileChooser.ExtensionFilter("Exhaust flow sheet", "*.exhaust.csv"));
    var file = chooser.showSaveDialog(over);
    if (file != null) {
      sendOut(file.toPath());
    }
  }

  /** Writes what the file's ending asks for. */
  void sendOut(Path file) {
    var build = session.build();
    String name = file.getFileName().toString();
    String text;
    if (name.endsWith(".curve.csv")) {
      if (curve.get() == null) {
        say.accept("✕ there is no curve yet");
        return;
      }
      text = CurveCsv.write(curve.get());
    } else if (name.endsWith(".intake.csv")) {
      text = FlowSheetCsv.write(build.combination().heads().intakeFlow(), build.units());
    } else if (name.endsWith(".exhaust.csv")) {
      text = FlowSheetCsv.write(build.combination().heads().exhaustFlow(), build.units());
    } else {
      text = BuildJson.write(session.bench().document());
    }
    try {
      TextFile.write(file, text);
      say.accept("Written: " + file);
    } catch (IOException e) {
      say.accept("✕ " + file + " can't be written: " + e.getMessage());
    }
  }
}
