package grandbore.desktop.camshaft;

import grandbore.book.LiftTableCsv;
import grandbore.core.combination.LiftTable;
import grandbore.core.combination.Provenance;
import grandbore.core.valvetrain.Lobe;
import grandbore.desktop.session.Session;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Locale;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import javafx.stage.FileChooser;

/** Measured lobes: brought in from a table, or taken out again so that the card counts. */
public final class LiftTables extends VBox {
  private final Session session;
  private final Label refusal = new Label();

  public LiftTables(Session session) {
    super(6);
    this.session = session;
    refusal.getStyleClass().add("refusal");
    refusal.setWrapText(true);
    say("");
    getChildren()
        .addAll(
            row("Intake lobe", "cam.intakeTable"),
            row("Exhaust lobe", "cam.exhaustTable"),
            refusal);
  }

  private HBox row(String label, String path) {
    var words = new Label();
    words.getStyleClass().add("soft");
    var bring = new Button("Load a lift table");
    bring.setId("bring-" + path.replace('.', '-'));
    bring.setMinWidth(USE_PREF_SIZE);
    bring.setOnAction(
        e -> {
          var chooser = new FileChooser();
          chooser.setTitle(label + ": lift against crank angle (CSV)");
          chooser.getExtensionFilters().add(new FileChooser.ExtensionFilter("CSV", "*.csv"));
          var file = chooser.showOpenDialog(getScene().getWindow());
          if (file != null) {
            bringIn(label, path, file.toPath());
          }
        });
    var drop = new Button("Use the card");
    drop.setMinWidth(USE_PREF_SIZE);
    drop.setOnAction(
        e -> session.edit(label, b -> b.with(b.combination().with(path, LiftTable.NONE))));
    var export = new Button("Export");
    export.setId("export-" + path.replace('.', '-'));
    export.setMinWidth(USE_PREF_SIZE);
    export.setOnAction(
        e -> {
          var chooser = new FileChooser();
          chooser.setTitle(label + ": lift against crank angle (CSV)");
          chooser.setInitialFileName(label.replace(' ', '-').toLowerCase(Locale.ROOT) + ".csv");
          var file = chooser.showSaveDialog(getScene().getWindow());
          if (file != null) {
            sendOut(path, file.toPath());
          }
        });
    session
        .buildProperty()
        .subscribe(
            b -> {
              var table = (LiftTable) b.combination().at(path);
              words.setText(
                  label
                      + (table.isGiven()
                          ? ": measured, " + table.rows().size() + " rows"
                          : ": made from the card"));
              drop.setVisible(table.isGiven());
            });
    words.setMinWidth(190);
    var row = new HBox(8, words, bring, export, drop);
    row.setAlignment(Pos.CENTER_LEFT);
    return row;
  }

  /** Reads a table for a lobe; says why where it can't be. */
  public void bringIn(String label, String path, Path file) {
    try {
      var table = LiftTableCsv.read(Files.readString(file, StandardCharsets.UTF_8));
      session.edit(label, b -> b.with(b.combination().with(path, table)));
      say("");
    } catch (IOException e) {
      say("✕ " + file.getFileName() + " could not be read: " + e.getMessage());
    } catch (RuntimeException e) {
      say("✕ " + e.getMessage());
    }
  }

  /** Writes a lobe, measured or made from the card, as a table. */
  public void sendOut(String path, Path file) {
    var build = session.build();
    var c = build.combination();
    var lobe = path.equals("cam.intakeTable") ? Lobe.intake(c) : Lobe.exhaust(c);
    try {
      Files.writeString(file, LiftTableCsv.write(lobe.table(Provenance.CARD), build.units()));
      say("");
    } catch (IOException e) {
      say("✕ " + file.getFileName() + " could not be written: " + e.getMessage());
    }
  }

  private void say(String words) {
    refusal.setText(words);
    refusal.setVisible(!words.isEmpty());
    refusal.setManaged(!words.isEmpty());
  }
}
