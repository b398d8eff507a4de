package grandbore.desktop.bench;

import grandbore.book.Damage;
import grandbore.book.Rescue;
import grandbore.book.Summary;
import grandbore.book.TextFile;
import grandbore.desktop.controls.CsvFile;
import grandbore.desktop.controls.Page;
import grandbore.desktop.controls.WhenSeen;
import grandbore.desktop.session.Books;
import grandbore.desktop.session.Session;
import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import java.util.function.Consumer;
import javafx.scene.control.Label;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;

/**
 * What of the book is damaged: rows that do not agree with their checksums, each with the backup
 * that has it sound, and builds that can't be opened, each with its ways on. Nothing is seen of it
 * in a sound book.
 */
final class DamageRows extends VBox {
  private static final int MOST_STEPS = 6;

  private final Session session;
  private final Consumer<String> say;

  DamageRows(Session session, Consumer<String> say) {
    super(6);
    this.session = session;
    this.say = say;
    setId("damage");
    WhenSeen.refresh(
        this, this::refresh, session.benchProperty(), session.books().buildsProperty());
  }

  private void refresh() {
    getChildren().clear();
    var lines = new java.util.ArrayList<>(session.books().troubles());
    session.bench().damages().stream().map(Damage::line).forEach(lines::add);
    var broken = session.books().builds().stream().filter(b -> !b.isSound()).toList();
    if (!lines.isEmpty() || !broken.isEmpty()) {
      getChildren().add(Page.part("Damage"));
    }
    lines.forEach(l -> getChildren().add(words("▲ " + l)));
    broken.forEach(this::row);
    setVisible(!getChildren().isEmpty());
    setManaged(isVisible());
  }

  private static Label words(String text) {
    var label = new Label(text);
    label.setWrapText(true);
    label.getStyleClass().add("outside");
    return label;
  }

  private void row(Summary build) {
    var ways = new FlowPane(6, 4);
    var out = Page.button("Send out its document as it is", "raw-" + build.id());
    out.setOnAction(
        e ->
            CsvFile.save(
                this,
                "Document as it lies in the book",
                "build-" + build.id() + ".txt",
                file -> raw(build, file)));
    ways.getChildren().add(out);
    getChildren()
        .addAll(words("▲ %s can't be opened: %s".formatted(build.name(), build.trouble())), ways);
    var _ =
        session
            .books()
            .steps(build.id())
            .whenComplete(
                (steps, e) -> {
                  if (e == null) {
                    steps(build, ways, steps);
                  }
                });
  }

  private void raw(Summary build, Path file) {
    var _ =
        session
            .books()
            .raw(build.id())
            .whenComplete(
                (text, e) -> {
                  if (e != null) {
                    say.accept("✕ " + Books.words(e));
                    return;
                  }
                  try {
                    TextFile.write(file, text);
                    say.accept("● Written: " + file);
                  } catch (IOException x) {
                    say.accept("✕ %s could not be written: %s".formatted(file, x.getMessage()));
                  }
                });
  }

  /** The newest revisions that can be opened, each a button. */
  private void steps(Summary build, FlowPane ways, List<Rescue.Step> steps) {
    steps.stream()
        .filter(s -> s.trouble().isEmpty())
        .limit(MOST_STEPS)
        .forEach(
            s -> {
              String when = s.at().replace('T', ' ').replaceAll(":\\d\\d(\\.\\d+)?Z", "");
              var back =
                  Page.button(
                      "Let “%s” of %s stand".formatted(s.what(), when), "stand-" + s.revision());
              back.setOnAction(
                  e -> {
                    var _ =
                        session
                            .books()
                            .restoreStep(build.id(), s.revision())
                            .thenCompose(v -> session.open(build.id()))
                            .whenComplete(
                                (v, x) ->
                                    say.accept(
                                        x == null
                                            ? "● It stands as it was on " + when + "."
                                            : "✕ " + Books.words(x)));
                  });
              ways.getChildren().add(back);
            });
  }
}
