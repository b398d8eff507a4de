package grandbore.desktop;

import grandbore.book.BuildDocument;
import grandbore.book.BuildJson;
import grandbore.book.CurveCsv;
import grandbore.book.FlowSheetCsv;
import grandbore.book.ShopBook;
import grandbore.core.prediction.Curve;
import grandbore.desktop.session.Session;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.function.Consumer;
import java.util.function.Supplier;
import javafx.stage.FileChooser;
import javafx.stage.Window;

/** Builds, curves and flow sheets between the book and files. */
final class Transfer {
  private final ShopBook book;
  private final Session session;
  private final Supplier<Curve> curve;
  private final Consumer<String> say;

  Transfer(ShopBook book, Session session, Supplier<Curve> curve, Consumer<String> say) {
    this.book = book;
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
      bringIn(file.toPath());
    }
  }

  /** Puts a document's build into the book and on the bench; refuses a damaged one whole. */
  void bringIn(Path file) {
    try {
      long id = book.add(BuildJson.read(Files.readString(file)));
      session.open(id);
      say.accept("Brought in " + file.getFileName());
    } catch (IOException e) {
      say.accept("✕ " + file + " can't be read: " + e.getMessage());
    } catch (RuntimeException e) {
      say.accept("✕ " + file.getFileName() + ": " + e.getMessage());
    }
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
      text = BuildJson.write(new BuildDocument(build, session.readings().all()));
    }
    try {
      Files.writeString(file, text);
      say.accept("Written: " + file);
    } catch (IOException e) {
      say.accept("✕ " + file + " can't be written: " + e.getMessage());
    }
  }

  /** A second build that starts as this one stands. */
  void copy() {
    var build = session.build();
    String name = build.name() + ", copy";
    long id =
        book.add(
            new BuildDocument(
                build.with(
                    build.combination().named(name.substring(0, Math.min(120, name.length())))),
                session.readings().all()));
    session.open(id);
    say.accept("Copied: the copy is on the bench");
  }
}
