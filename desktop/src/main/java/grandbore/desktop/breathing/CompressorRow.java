package grandbore.desktop.breathing;

import grandbore.book.CompressorCsv;
import grandbore.core.combination.CompressorMap;
import grandbore.desktop.controls.CsvFile;
import grandbore.desktop.controls.Refusal;
import grandbore.desktop.session.Session;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;

/** The compressor's own map, loaded from its maker's table; without one the efficiency holds. */
public final class CompressorRow extends VBox {
  private final Session session;
  private final Refusal refusal = new Refusal();

  CompressorRow(Session session) {
    super(4);
    this.session = session;
    setId("compressor-row");
    var words = new Label();
    words.getStyleClass().add("soft");
    words.setId("compressor-map");
    words.setMinWidth(USE_PREF_SIZE);
    var load = new Button("Load a compressor map");
    load.setId("compressor-load");
    load.setMinWidth(USE_PREF_SIZE);
    load.setOnAction(e -> CsvFile.open(this, "Compressor map (CSV)", this::load));
    var drop = new Button("Without map");
    drop.setMinWidth(USE_PREF_SIZE);
    drop.setOnAction(e -> put(CompressorMap.NONE));
    session
        .buildProperty()
        .subscribe(
            b -> {
              var boost = b.combination().boost();
              setVisible(boost.hasWheel());
              setManaged(boost.hasWheel());
              drop.setVisible(boost.map().isGiven());
              words.setText(
                  boost.map().isGiven()
                      ? "map of %d speeds: its efficiency counts"
                          .formatted(boost.map().lines().size())
                      : "no map: the efficiency above holds everywhere");
            });
    var row = new FlowPane(8, 4, load, drop, words);
    row.setAlignment(Pos.CENTER_LEFT);
    getChildren().addAll(row, refusal);
  }

  /** Reads a map from a table; says why where it can't be. */
  public void load(Path file) {
    try {
      put(CompressorCsv.read(Files.readString(file, StandardCharsets.UTF_8)));
      refusal.clear();
    } catch (IOException e) {
      refusal.say(file.getFileName() + " could not be read: " + e.getMessage());
    } catch (IllegalArgumentException e) {
      refusal.say(e.getMessage());
    }
  }

  private void put(CompressorMap map) {
    session.edit("Compressor map", b -> b.with(b.combination().with("boost.map", map)));
  }
}
