package grandbore.desktop.heads;

import grandbore.book.FlowSheetCsv;
import grandbore.core.build.Build;
import grandbore.core.combination.FlowSheet;
import grandbore.core.combination.Provenance;
import grandbore.core.units.Entry;
import grandbore.core.units.Quantity;
import grandbore.desktop.controls.ChoiceField;
import grandbore.desktop.controls.CommitField;
import grandbore.desktop.controls.InputField;
import grandbore.desktop.controls.ProvenanceMark;
import grandbore.desktop.controls.Refusal;
import grandbore.desktop.controls.Words;
import grandbore.desktop.session.Session;
import java.util.ArrayList;
import java.util.List;
import java.util.function.UnaryOperator;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.input.Clipboard;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** One port's flow sheet, laid across as the trade writes it: lift over flow. */
final class FlowTable extends VBox {
  /** Which port. */
  enum Side {
    INTAKE,
    EXHAUST
  }

  private static final double LIFT_STEP = 1.27e-3;

  private final Session session;
  private final Side side;
  private final Label title = new Label();
  private final ProvenanceMark mark = new ProvenanceMark();
  private final GridPane grid = new GridPane();
  private final Refusal refusal = new Refusal();
  private final CommitField depression;
  private final Label unit = new Label();
  private FlowSheet shown;
  private grandbore.core.units.UnitSystem shownUnits;

  FlowTable(Session session, Side side) {
    this.session = session;
    this.side = side;
    getStyleClass().add("flow-table");
    grid.getStyleClass().add("flow-grid");
    refusal.setId(side.name().toLowerCase(java.util.Locale.ROOT) + "-flow-refusal");
    var add = new Button("Add row");
    add.setOnAction(e -> edit(FlowTable::longer));
    var drop = new Button("Drop row");
    drop.setOnAction(e -> edit(FlowTable::shorter));
    add.setMinWidth(USE_PREF_SIZE);
    drop.setMinWidth(USE_PREF_SIZE);
    title.setMinWidth(USE_PREF_SIZE);
    var paste = new Button("Paste");
    paste.setId("paste-" + side.name().toLowerCase(java.util.Locale.ROOT));
    paste.setMinWidth(USE_PREF_SIZE);
    paste.setOnAction(e -> paste(Clipboard.getSystemClipboard().getString()));
    depression =
        new CommitField(
            title(side) + " depression",
            typed -> {
              double at =
                  Entry.parse(typed, Quantity.DEPRESSION, session.build().units(), Double.NaN);
              put(s -> new FlowSheet(at, s.provenance(), s.fitting(), s.rows()));
            },
            refusal);
    depression.setColumns(4);
    var bench = new HBox(6, new Label("flowed at"), depression, unit, paste);
    bench.setAlignment(Pos.CENTER_LEFT);
    unit.getStyleClass().add("unit");
    var fitting =
        new ChoiceField<>(
            session,
            title(side) + " with",
            FlowSheet.Fitting.values(),
            Words::of,
            b -> sheet(b, side).fitting(),
            (b, f) ->
                b.with(
                    b.combination()
                        .with(
                            path(side),
                            new FlowSheet(
                                sheet(b, side).depression(),
                                sheet(b, side).provenance(),
                                f,
                                sheet(b, side).rows()))));
    var head = new HBox(6, mark, title, add, drop);
    head.setAlignment(Pos.CENTER_LEFT);
    var on = new HBox(6, new Label("with"), fitting);
    on.setAlignment(Pos.CENTER_LEFT);
    getChildren().addAll(head, bench, on, grid, refusal);
    session.buildProperty().subscribe(b -> refresh());
  }

  private static FlowSheet sheet(Build b, Side side) {
    var heads = b.combination().heads();
    return side == Side.INTAKE ? heads.intakeFlow() : heads.exhaustFlow();
  }

  private void refresh() {
    var sheet = sheet(session.build(), side);
    var units = session.build().units();
    if (sheet.equals(shown) && units == shownUnits) {
      return;
    }
    shown = sheet;
    shownUnits = units;
    mark.show(sheet.provenance());
    title.setText(title(side));
    depression.show(Quantity.DEPRESSION.number(sheet.depression(), units));
    unit.setText(InputField.symbol(Quantity.DEPRESSION, units));
    grid.getChildren().clear();
    grid.addRow(
        0,
        head(InputField.symbol(Quantity.LENGTH, units)),
        head(InputField.symbol(Quantity.AIRFLOW, units)));
    for (int i = 0; i < sheet.rows().size(); i++) {
      grid.addRow(
          i + 1,
          cell(i, Quantity.LENGTH, sheet.rows().get(i).lift(), true),
          cell(i, Quantity.AIRFLOW, sheet.rows().get(i).flow(), false));
    }
  }

  private static String path(Side side) {
    return side == Side.INTAKE ? "heads.intakeFlow" : "heads.exhaustFlow";
  }

  private static String title(Side side) {
    return side == Side.INTAKE ? "Intake flow" : "Exhaust flow";
  }

  /** Rows of lift and flow as a spreadsheet copies them, in the units shown. */
  void paste(String text) {
    edit(
        s -> {
          var units = session.build().units();
          String rows = text == null ? "" : text.strip().replaceAll("[ \\t;]+", ",");
          String table =
              "lift_%s,flow_%s_at_%s_%s%n%s%n"
                  .formatted(
                      Quantity.LENGTH.unit(units).symbol(),
                      Quantity.AIRFLOW.unit(units).symbol(),
                      Quantity.DEPRESSION.number(s.depression(), units),
                      Quantity.DEPRESSION.unit(units).symbol(),
                      rows);
          var read = FlowSheetCsv.read(table, Provenance.CARD);
          return new FlowSheet(s.depression(), Provenance.CARD, s.fitting(), read.rows());
        });
  }

  private static Label head(String text) {
    var label = new Label(text);
    label.getStyleClass().add("unit");
    return label;
  }

  private CommitField cell(int row, Quantity q, double si, boolean lift) {
    String name =
        "%s %s row %d"
            .formatted(side == Side.INTAKE ? "Intake" : "Exhaust", lift ? "lift" : "flow", row + 1);
    var field =
        new CommitField(
            name,
            typed -> {
              double value = Entry.parse(typed, q, session.build().units(), si);
              put(
                  s -> {
                    var rows = new ArrayList<>(s.rows());
                    var old = rows.get(row);
                    rows.set(
                        row,
                        lift
                            ? new FlowSheet.Row(value, old.flow())
                            : new FlowSheet.Row(old.lift(), value));
                    return s.with(rows);
                  });
            },
            refusal);
    field.setColumns(5);
    field.show(q.number(si, session.build().units()));
    return field;
  }

  private static FlowSheet longer(FlowSheet s) {
    var rows = new ArrayList<>(s.rows());
    var last = rows.getLast();
    rows.add(new FlowSheet.Row(last.lift() + LIFT_STEP, last.flow()));
    return s.with(rows);
  }

  private static FlowSheet shorter(FlowSheet s) {
    List<FlowSheet.Row> rows = s.rows().subList(0, s.rows().size() - 1);
    return s.with(rows);
  }

  private void edit(UnaryOperator<FlowSheet> change) {
    try {
      put(change);
      refusal.clear();
    } catch (IllegalArgumentException e) {
      refusal.say(e.getMessage());
    }
  }

  private void put(UnaryOperator<FlowSheet> change) {
    session.edit(
        title(side),
        b -> {
          var c = b.combination();
          return b.with(c.with(path(side), change.apply(sheet(b, side))));
        });
  }
}
