package grandbore.desktop.dyno;

import grandbore.book.DynoJson;
import grandbore.book.PullImport;
import grandbore.book.PullLayout;
import grandbore.book.TextFile;
import grandbore.core.clearances.OnDyno;
import grandbore.core.dyno.Channel;
import grandbore.core.dyno.DayAir;
import grandbore.core.dyno.Pull;
import grandbore.core.dyno.Standard;
import grandbore.core.units.Entry;
import grandbore.core.units.Quantity;
import grandbore.desktop.controls.CsvFile;
import grandbore.desktop.controls.Page;
import grandbore.desktop.session.Books;
import grandbore.desktop.session.Session;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.function.Consumer;
import java.util.function.Supplier;
import javafx.application.Platform;
import javafx.geometry.Pos;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextArea;
import javafx.scene.control.TextField;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.VBox;
import javafx.util.StringConverter;

/** A recorder's file or a printed sheet, its columns told once and remembered. */
final class ImportPane extends VBox {
  private static final String EXAMPLE =
      "rpm, torque lb-ft, power hp\n3000, 340, 194\n3500, 352, 235";

  private final Session session;
  private final DynoState state;
  private final TextArea sheet = new TextArea();
  private final GridPane columns = new GridPane();
  private final Label says = new Label();
  private final TextField day = Page.words("dyno-day", "name of the day", 14);
  private final TextField changed = Page.words("dyno-changed", "what was changed", 18);
  private final TextField spark = Page.words("dyno-spark", "spark, ° as read", 8);
  private final TextField pressure = Page.words("dyno-air-pressure", "air pressure", 8);
  private final TextField temperature = Page.words("dyno-air-temperature", "air temperature", 8);
  private final TextField humidity = Page.words("dyno-air-humidity", "humidity, %", 6);
  private final ComboBox<Standard> carries = new ComboBox<>();
  private String source = "typed sheet";

  /** What stands in the sheet; null where nothing does, or it is not understood. */
  private PullImport read;

  private PullLayout layout;
  private int asked;

  /** A sheet with how its columns are read. */
  private record Understood(PullImport read, PullLayout layout) {}

  ImportPane(Session session, DynoState state) {
    super(6);
    this.session = session;
    this.state = state;
    sheet.setId("dyno-sheet");
    sheet.setPromptText(EXAMPLE);
    sheet.setAccessibleText("a printed sheet, typed or pasted");
    sheet.setPrefRowCount(5);
    sheet.textProperty().subscribe(t -> look());
    says.setId("dyno-import-says");
    says.setWrapText(true);
    columns.setHgap(8);
    columns.setVgap(3);
    var open = Page.button("Open a recorder's file…", "dyno-open");
    open.setOnAction(e -> CsvFile.open(this, "A recorder's file", "*", this::open));
    var keep = Page.button("Keep it as a pull", "dyno-keep");
    keep.setOnAction(e -> keep());
    carries.setId("dyno-carries");
    carries.setAccessibleText("correction that the sheet already has");
    carries.getItems().setAll(Standard.values());
    carries.setConverter(
        new StringConverter<>() {
          @Override
          public String toString(Standard s) {
            return s == null ? "" : s == Standard.NONE ? "no correction on it" : "has " + s.label();
          }

          @Override
          public Standard fromString(String s) {
            return Standard.NONE;
          }
        });
    carries.setValue(Standard.NONE);
    day.setText(LocalDate.now(ZoneId.systemDefault()).toString());
    var about = new FlowPane(6, 4, day, changed, spark, pressure, temperature, humidity, carries);
    about.setAlignment(Pos.CENTER_LEFT);
    getChildren()
        .addAll(
            Page.part("Another pull"),
            Page.hint(
                "Type or paste a printed sheet with a line of headings, or open a file of any"
                    + " layout: comma, semicolon, tab or blank, decimal point or comma, one line of"
                    + " headings or two."),
            new FlowPane(8, 4, open),
            sheet,
            columns,
            about,
            new FlowPane(8, 4, keep),
            says);
  }

  private void open(java.nio.file.Path file) {
    var _ =
        CompletableFuture.supplyAsync(() -> TextFile.read(file))
            .whenCompleteAsync(
                (text, wrong) -> {
                  if (wrong == null) {
                    source = String.valueOf(file.getFileName());
                    sheet.setText(text);
                  } else {
                    says.setText("✕ " + Books.words(wrong));
                  }
                },
                Platform::runLater);
  }

  /** What stands in the sheet, as far as it can be told: a recorder's file is long. */
  private void look() {
    read = null;
    asked++;
    columns.getChildren().clear();
    says.setText("");
    String text = sheet.getText();
    if (text.isBlank()) {
      source = "typed sheet";
      return;
    }
    var fuel = session.build().combination().mixture().fuel();
    var notes = session.notes(OnDyno.class);
    String from = source;
    beside(
        () -> {
          var found = PullImport.of(text, fuel);
          return new Understood(found, remembered(notes, found).orElseGet(() -> found.guess(from)));
        },
        found -> {
          read = found.read;
          layout = found.layout;
          showColumns();
        },
        "△ ");
  }

  /** Works on another thread; what an edit has overtaken is dropped. */
  private <T> void beside(Supplier<T> work, Consumer<T> then, String refused) {
    int mine = asked;
    var _ =
        CompletableFuture.supplyAsync(work)
            .whenCompleteAsync(
                (found, wrong) -> {
                  if (mine != asked) {
                    return;
                  }
                  if (wrong == null) {
                    then.accept(found);
                  } else {
                    says.setText(refused + Books.words(wrong));
                  }
                },
                Platform::runLater);
  }

  /** The layout of the shop that has these very columns. */
  private static Optional<PullLayout> remembered(List<OnDyno> notes, PullImport found) {
    var headings = found.table().headings();
    return notes.reversed().stream()
        .filter(n -> n.kind() == OnDyno.Kind.LAYOUT)
        .map(n -> PullLayout.read(n.document()))
        .filter(l -> l.headings().equals(headings))
        .findFirst();
  }

  private void showColumns() {
    columns.getChildren().clear();
    int row = 0;
    for (String heading : read.table().headings()) {
      var as = layout.columns().stream().filter(m -> m.heading().equals(heading)).findFirst();
      var box = new ComboBox<String>();
      box.setId("dyno-column-" + row);
      box.setAccessibleText("what “%s” is".formatted(heading));
      box.getItems().add("not read");
      box.getItems().add("time");
      for (var c : Channel.values()) {
        box.getItems().add(c.label());
      }
      box.setValue(as.map(m -> m.channel().map(Channel::label).orElse("time")).orElse("not read"));
      var unit = Page.words("dyno-unit-" + row, "unit", 6);
      unit.setText(as.map(PullLayout.Mapped::unit).orElse(""));
      var place = Page.words("dyno-place-" + row, "no.", 3);
      place.setText(as.filter(m -> m.place() > 0).map(m -> "" + m.place()).orElse(""));
      Runnable told = () -> tell(heading, box.getValue(), unit.getText(), place.getText());
      box.valueProperty().subscribe((was, is) -> told.run());
      unit.textProperty().subscribe((was, is) -> told.run());
      place.textProperty().subscribe((was, is) -> told.run());
      columns.add(new Label(heading), 0, row);
      columns.add(box, 1, row);
      columns.add(place, 2, row);
      columns.add(unit, 3, row);
      row++;
    }
    check();
  }

  private void tell(String heading, String what, String unit, String place) {
    if (what.equals("not read")) {
      layout = layout.without(heading);
    } else {
      var channel =
          java.util.Arrays.stream(Channel.values()).filter(c -> c.label().equals(what)).findFirst();
      int at = place.strip().matches("\\d{1,2}") ? Integer.parseInt(place.strip()) : 0;
      boolean whole = channel.isEmpty() || channel.get().per() == Channel.Per.ENGINE;
      layout =
          layout.with(
              new PullLayout.Mapped(heading, channel, whole ? 0 : Math.max(1, at), unit.strip()));
    }
    check();
  }

  /** Says at once what is still missing. */
  private void check() {
    asked++;
    var as = layout;
    var of = read;
    beside(
        () -> of.read(as),
        found ->
            says.setText(
                "%d pull%s of %s rows%s"
                    .formatted(
                        found.pulls().size(),
                        found.pulls().size() == 1 ? "" : "s",
                        String.join(
                            " and ", found.pulls().stream().map(p -> "" + p.rows()).toList()),
                        found.says().isEmpty() ? "" : ". " + String.join(". ", found.says()))),
        "△ ");
  }

  private void keep() {
    if (read == null) {
      says.setText("✕ There is no sheet: type or paste one, or open a file");
      return;
    }
    asked++;
    var as = layout;
    var of = read;
    beside(() -> of.read(as), this::keep, "✕ ");
  }

  private void keep(PullImport.Imported found) {
    try {
      var air = air();
      double as =
          spark.getText().isBlank()
              ? Double.NaN
              : Entry.parse(spark.getText(), Quantity.ANGLE, session.build().units(), 0);
      var notes = new ArrayList<OnDyno>();
      int number = state.nextNumber();
      var now = Instant.now().truncatedTo(ChronoUnit.SECONDS);
      for (var rows : found.pulls()) {
        notes.add(
            new OnDyno(
                OnDyno.Kind.PULL,
                DynoJson.write(
                    new Pull(
                        number + notes.size(),
                        day.getText().strip(),
                        now,
                        rows.seconds().isEmpty() ? Pull.How.STEP : Pull.How.SWEEP,
                        0,
                        0,
                        air,
                        carries.getValue(),
                        as,
                        changed.getText().strip(),
                        Optional.empty(),
                        source,
                        "",
                        rows))));
      }
      notes.add(new OnDyno(OnDyno.Kind.LAYOUT, layout.write()));
      session.keep(List.copyOf(notes), "");
      sheet.setText("");
      changed.setText("");
    } catch (IllegalArgumentException e) {
      says.setText("✕ " + e.getMessage());
    }
  }

  private Optional<DayAir> air() {
    if (pressure.getText().isBlank() && temperature.getText().isBlank()) {
      return Optional.empty();
    }
    var units = session.build().units();
    return Optional.of(
        new DayAir(
            Entry.parse(pressure.getText(), Quantity.PRESSURE, units, 0),
            Entry.parse(temperature.getText(), Quantity.TEMPERATURE, units, 0),
            humidity.getText().isBlank()
                ? 0
                : Entry.parse(humidity.getText(), Quantity.SHARE, units, 0)));
  }
}
