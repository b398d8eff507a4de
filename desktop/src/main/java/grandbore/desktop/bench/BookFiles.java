package grandbore.desktop.bench;

import grandbore.book.Backups;
import grandbore.book.ReadingsCsv;
import grandbore.book.TextFile;
import grandbore.core.clearances.Reading;
import grandbore.desktop.controls.CsvFile;
import grandbore.desktop.controls.Page;
import grandbore.desktop.controls.WhenSeen;
import grandbore.desktop.session.Books;
import grandbore.desktop.session.Session;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.concurrent.CompletableFuture;
import javafx.application.Platform;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** The book itself: every reading as it was taken, tables in and out, backups and the way back. */
public final class BookFiles extends VBox {
  private static final DateTimeFormatter SHOWN = DateTimeFormatter.ofPattern("yyyy-MM-dd HH:mm");
  private static final int NEWEST = 40;

  private final Session session;
  private final GridPane log = new GridPane();
  private final VBox backups = new VBox(4);
  private final Label says = new Label();

  BookFiles(Session session) {
    super(10);
    this.session = session;
    setId("book-files");
    says.setId("book-says");
    says.setWrapText(true);
    log.getStyleClass().add("readings");
    var back = Page.button("Back up now", "book-backup");
    back.setOnAction(
        e -> {
          var _ =
              session
                  .books()
                  .backUp()
                  .whenComplete(
                      (made, x) -> {
                        says.setText(x == null ? "● A backup was made." : "✕ " + Books.words(x));
                        backups();
                      });
        });
    var out = Page.button("Export readings", "readings-export");
    out.setOnAction(e -> CsvFile.save(this, "Readings (CSV)", "readings.csv", this::export));
    var in = Page.button("Load readings", "readings-import");
    in.setOnAction(e -> CsvFile.open(this, "Readings (CSV)", this::bring));
    var buttons = new FlowPane(8, 4, out, in, back);
    buttons.setAlignment(Pos.CENTER_LEFT);
    getChildren()
        .addAll(
            buttons,
            says,
            new DamageRows(session, says::setText),
            Page.part("Backups"),
            backups,
            Page.hint(
                "One a day is made by itself and checked; kept are the newest of each of seven"
                    + " days, five weeks and twelve months, and ten made by hand, pictures with"
                    + " them. Restoring keeps the book as it is now beside it."),
            Page.part("Readings as they were taken"),
            log);
    WhenSeen.refresh(this, this::refresh, session.readingsProperty());
  }

  /** Writes all readings as a table. */
  public void export(Path file) {
    try {
      Files.writeString(file, ReadingsCsv.write(session.readings().all(), session.build().units()));
      says.setText("● %d readings written.".formatted(session.readings().all().size()));
    } catch (IOException e) {
      says.setText("✕ " + file.getFileName() + " could not be written: " + e.getMessage());
    }
  }

  /** Takes a table's readings into the book. */
  public void bring(Path file) {
    var _ =
        CompletableFuture.supplyAsync(() -> ReadingsCsv.read(TextFile.read(file)))
            .thenComposeAsync(this::take, Platform::runLater)
            .whenCompleteAsync(
                (taken, e) ->
                    says.setText(
                        e == null
                            ? "● %d readings are in the book%s."
                                .formatted(
                                    taken.fresh(),
                                    taken.known() == 0
                                        ? ""
                                        : "; %d were there already".formatted(taken.known()))
                            : "✕ " + Books.words(e)),
                Platform::runLater);
  }

  /** How many readings of a table were new, and how many were there. */
  private record Brought(int fresh, int known) {}

  /** All of them or none; said to be in once they are stored. */
  private CompletableFuture<Brought> take(List<Reading> table) {
    var fresh = session.readings().unknown(table);
    says.setText("%d readings are being stored".formatted(fresh.size()));
    session.read(fresh);
    return session.settled().thenApply(v -> new Brought(fresh.size(), table.size() - fresh.size()));
  }

  private void refresh() {
    backups();
    log.getChildren().clear();
    var all = session.readings().all().reversed();
    for (int i = 0; i < Math.min(NEWEST, all.size()); i++) {
      var r = all.get(i);
      var what =
          new Label(
              "%s, %s"
                  .formatted(
                      r.measurement().label(), r.measurement().at(r.place(), Reading.Side.NONE)));
      var line = new Label(PlaceCell.line(session, r));
      line.getStyleClass().add(r.struck() ? "struck" : "soft");
      what.setWrapText(true);
      line.setWrapText(true);
      log.addRow(i, what, line);
    }
  }

  private void backups() {
    var _ =
        session
            .books()
            .backups()
            .whenComplete(
                (all, e) -> {
                  backups.getChildren().clear();
                  if (e != null || all.isEmpty()) {
                    backups.getChildren().add(Page.hint(e == null ? "None yet." : Books.words(e)));
                  } else {
                    all.forEach(b -> backups.getChildren().add(row(b)));
                  }
                });
  }

  private HBox row(Backups.Backup b) {
    var restore = Page.button("Restore", "restore-" + SHOWN.format(b.made()));
    restore.setOnAction(
        e -> {
          var _ =
              session
                  .restore(b)
                  .whenComplete(
                      (aside, x) ->
                          says.setText(
                              x == null
                                  ? "● The book is as it was on %s; as it was just now it lies in %s."
                                      .formatted(SHOWN.format(b.made()), aside.getFileName())
                                  : "✕ " + Books.words(x)));
        });
    String kind =
        switch (b.kind()) {
          case DAILY -> b.sealed() ? "" : ", not checked";
          case BY_HAND -> ", by hand";
          case DAMAGED -> ", of a damaged book";
        };
    var row = new HBox(8, new Label(SHOWN.format(b.made()) + " UTC" + kind), restore);
    row.setAlignment(Pos.CENTER_LEFT);
    return row;
  }
}
