package grandbore.desktop.weighing;

import grandbore.book.FormatException;
import grandbore.book.SpeedLogCsv;
import grandbore.book.TextFile;
import grandbore.core.clearances.SpeedShares;
import grandbore.core.combination.InvalidInput;
import grandbore.core.studies.TimeAtSpeed;
import grandbore.desktop.controls.CsvFile;
import grandbore.desktop.controls.Page;
import grandbore.desktop.controls.Refusal;
import grandbore.desktop.session.Session;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;

/** Where the engine spends its time: typed, or from a log; kept with the build. */
public final class SpentTime extends VBox {
  private static final String ASKS = "4500 2, 5500 5, 6500 3";

  private final Session session;
  private final TextField words = Page.words("spent-words", ASKS, 26);
  private final Refusal refusal = new Refusal();

  SpentTime(Session session) {
    super(4);
    this.session = session;
    setId("spent-time");
    words.setAccessibleText("speeds and the share of the time at each");
    words.setOnAction(e -> typed());
    var log = Page.button("From a log", "spent-log");
    log.setOnAction(e -> CsvFile.open(this, "Speeds (CSV with a column rpm)", this::read));
    var row = new FlowPane(8, 4, new Label("Time at speed, rpm and share"), words, log);
    row.setAlignment(Pos.CENTER_LEFT);
    getChildren().addAll(row, refusal);
    session.notesProperty().subscribe(n -> show());
  }

  Optional<TimeAtSpeed> spent() {
    return TimeAtSpeed.of(session.notes(SpeedShares.class));
  }

  private void show() {
    words.setText(spent().map(TimeAtSpeed::words).orElse(""));
  }

  private void typed() {
    refusal.clear();
    String text = words.getText().strip();
    try {
      if (text.isEmpty()) {
        if (spent().isPresent()) {
          session.keep(new SpeedShares(List.of(), List.of()), "");
        }
      } else if (!text.equals(spent().map(TimeAtSpeed::words).orElse(""))) {
        session.keep(TimeAtSpeed.parse(text).note(), "");
      }
    } catch (InvalidInput e) {
      refusal.say(e.getMessage());
    }
  }

  /** Reads a table or a log; one that is damaged is refused whole. */
  public void read(Path file) {
    refusal.clear();
    try {
      session.keep(SpeedLogCsv.read(TextFile.read(file)).note(), "");
    } catch (FormatException | InvalidInput e) {
      refusal.say(file.getFileName() + ": " + e.getMessage());
    }
  }
}
