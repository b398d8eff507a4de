package grandbore.desktop.station;

import grandbore.book.MixtureTableCsv;
import grandbore.book.TextFile;
import grandbore.core.combination.MixtureTable;
import grandbore.core.combination.Provenance;
import grandbore.core.units.Measure;
import grandbore.desktop.controls.CsvFile;
import grandbore.desktop.controls.Page;
import grandbore.desktop.controls.Refusal;
import grandbore.desktop.session.Session;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Locale;
import java.util.stream.Collectors;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.VBox;

/** Mixture and spark by speed: typed, loaded from a table, taken out again. */
public final class MixtureRow extends VBox {
  private final Session session;
  private final TextField typed = Page.words("mixture-rows", "3000 0.88 28; 6000 0.86 34", 26);
  private final Label words = Page.hint("");
  private final Refusal refusal = new Refusal();
  private MixtureTable shown = MixtureTable.NONE;

  MixtureRow(Session session) {
    super(6);
    this.session = session;
    setId("mixture-row");
    words.setId("mixture-table");
    typed.setAccessibleText("mixture and spark by speed: rpm, lambda, degrees of spark");
    typed.setOnAction(e -> type());
    var load = Page.button("Load a table", "mixture-load");
    load.setOnAction(e -> CsvFile.open(this, "Mixture and spark by speed (CSV)", this::load));
    var save = Page.button("Export", "mixture-save");
    save.setOnAction(
        e -> CsvFile.save(this, "Mixture and spark by speed (CSV)", "mixture.csv", this::save));
    var drop = Page.button("One for all speeds", "mixture-drop");
    drop.setOnAction(e -> put(MixtureTable.NONE));
    session
        .buildProperty()
        .subscribe(
            b -> {
              var table = b.combination().mixture().bySpeed();
              Page.show(save, table.isGiven());
              Page.show(drop, table.isGiven());
              // What is being typed stays while something else is edited.
              if (!table.equals(shown)) {
                shown = table;
                typed.setText(told(table));
              }
              words.setText(
                  table.isGiven()
                      ? "%d speeds; the figures above are their means and move all of them"
                          .formatted(table.rows().size())
                      : "Mixture by speed: rpm, lambda and, where it is fixed, the spark in"
                          + " degrees.");
            });
    getChildren().addAll(words, typed, Page.row(load, save, drop), refusal);
  }

  private static String told(MixtureTable table) {
    return table.rows().stream()
        .map(
            r ->
                String.format(Locale.ROOT, "%.0f %.3f", Measure.RPM.fromSi(r.speed()), r.lambda())
                    + (table.hasSpark()
                        ? String.format(Locale.ROOT, " %.1f", Math.toDegrees(r.advance()))
                        : ""))
        .collect(Collectors.joining("; "));
  }

  private void type() {
    if (typed.getText().equals(told(shown))) {
      // Told with fewer digits than it may have: as it stands it stays.
      refusal.clear();
      return;
    }
    try {
      put(typed.getText().isBlank() ? MixtureTable.NONE : table(typed.getText()));
    } catch (IllegalArgumentException e) {
      refusal.say(e.getMessage());
    }
  }

  /** Rows with a semicolon between them, two or three numbers each. */
  private static MixtureTable table(String words) {
    var rows = new ArrayList<MixtureTable.Row>();
    for (var row : words.strip().split(";", -1)) {
      var parts = row.strip().split("\\s+", -1);
      if (parts.length < 2 || parts.length > 3) {
        throw new IllegalArgumentException(
            "“%s”: rpm, lambda and perhaps the spark in degrees wanted, such as 3000 0.88 28"
                .formatted(row.strip()));
      }
      rows.add(
          new MixtureTable.Row(
              Measure.RPM.toSi(number(parts[0])),
              number(parts[1]),
              parts.length == 3 ? Math.toRadians(number(parts[2])) : Double.NaN));
    }
    return new MixtureTable(Provenance.MEASURED, rows);
  }

  private static double number(String words) {
    try {
      return Double.parseDouble(words);
    } catch (NumberFormatException e) {
      throw new IllegalArgumentException("“%s” is not a number".formatted(words), e);
    }
  }

  /** Reads a table from a file; says why where it can't be. */
  public void load(Path file) {
    try {
      put(MixtureTableCsv.read(Files.readString(file, StandardCharsets.UTF_8)));
    } catch (IOException e) {
      refusal.say(file.getFileName() + " could not be read: " + e.getMessage());
    } catch (IllegalArgumentException e) {
      refusal.say(e.getMessage());
    }
  }

  private void save(Path file) {
    try {
      TextFile.write(
          file, MixtureTableCsv.write(session.build().combination().mixture().bySpeed()));
    } catch (IOException e) {
      refusal.say(file.getFileName() + " could not be written: " + e.getMessage());
    }
  }

  private void put(MixtureTable table) {
    session.edit("Mixture by speed", b -> b.with(table.on(b.combination())));
    refusal.clear();
  }
}
