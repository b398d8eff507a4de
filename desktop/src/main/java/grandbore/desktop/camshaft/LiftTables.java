package grandbore.desktop.camshaft;

import grandbore.book.LiftTableCsv;
import grandbore.core.combination.LiftTable;
import grandbore.core.combination.Provenance;
import grandbore.core.valvetrain.Lobe;
import grandbore.desktop.controls.CsvFile;
import grandbore.desktop.controls.Refusal;
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

/** Measured lobes: brought in from a table, or taken out again so that the card counts. */
public final class LiftTables extends VBox {
  private final Session session;
  private final Refusal refusal = new Refusal();

  public LiftTables(Session session) {
    super(6);
    this.session = session;
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
        e ->
            CsvFile.open(
                this,
                label + ": lift against crank angle (CSV)",
                file -> bringIn(label, path, file)));
    var drop = new Button("Use the card");
    drop.setMinWidth(USE_PREF_SIZE);
    drop.setOnAction(
        e -> session.edit(label, b -> b.with(b.combination().with(path, LiftTable.NONE))));
    var export = new Button("Export");
    export.setId("export-" + path.replace('.', '-'));
    export.setMinWidth(USE_PREF_SIZE);
    export.setOnAction(
        e ->
            CsvFile.save(
                this,
                label + ": lift against crank angle (CSV)",
                label.replace(' ', '-').toLowerCase(Locale.ROOT) + ".csv",
                file -> sendOut(path, file)));
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
      refusal.clear();
    } catch (IOException e) {
      refusal.say(file.getFileName() + " could not be read: " + e.getMessage());
    } catch (RuntimeException e) {
      refusal.say(e.getMessage());
    }
  }

  /** Writes a lobe, measured or made from the card, as a table. */
  public void sendOut(String path, Path file) {
    var build = session.build();
    var c = build.combination();
    var lobe = path.equals("cam.intakeTable") ? Lobe.intake(c) : Lobe.exhaust(c);
    try {
      Files.writeString(file, LiftTableCsv.write(lobe.table(Provenance.CARD), build.units()));
      refusal.clear();
    } catch (IOException e) {
      refusal.say(file.getFileName() + " could not be written: " + e.getMessage());
    }
  }
}
