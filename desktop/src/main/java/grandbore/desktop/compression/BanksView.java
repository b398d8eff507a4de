package grandbore.desktop.compression;

import grandbore.core.combination.Specs;
import grandbore.core.compression.Evening;
import grandbore.core.compression.EveningCost;
import grandbore.core.compression.RatioSolver;
import grandbore.core.units.Quantity;
import grandbore.desktop.controls.CheckRows;
import grandbore.desktop.controls.FigureRows;
import grandbore.desktop.controls.InputGrid;
import grandbore.desktop.controls.Page;
import grandbore.desktop.controls.SolvedRows;
import grandbore.desktop.controls.SolvedRows.Solved;
import grandbore.desktop.controls.WhenSeen;
import grandbore.desktop.session.Session;
import java.util.List;
import javafx.geometry.HPos;
import javafx.scene.control.Label;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.VBox;

/** Banks made even, heads milled, barrels shimmed. */
final class BanksView extends VBox {
  private final Session session;
  private final GridPane banks = new GridPane();
  private final GridPane shims = new GridPane();
  private final CheckRows cost = new CheckRows();

  BanksView(Session session) {
    super(10);
    this.session = session;
    banks.getStyleClass().add("result-grid");
    shims.getStyleClass().add("ratios");
    var plan =
        new Solved(
            "plan_by_fills",
            Specs.field("compression.planArea"),
            c ->
                RatioSolver.planArea(
                    c.worksheet().firstFill().si(),
                    c.worksheet().secondFill().si(),
                    c.worksheet().fillStep().si()),
            c -> true);
    getChildren()
        .addAll(
            Page.part("Even the banks: each brought to the tighter one's mean"),
            banks,
            cost,
            Page.hint(
                "mill = (bank's mean volume − the tighter one's) ÷ chamber plan area; deck = the"
                    + " same ÷ bore area; shim = (largest volume − its own) ÷ bore area."),
            new InputGrid(session).with("brief.headCost", "brief.deckCost", "compression.planArea"),
            Page.part("Mill a head to a chamber"),
            new InputGrid(session)
                .with(
                    "worksheet.chamberWanted",
                    "worksheet.firstFill",
                    "worksheet.secondFill",
                    "worksheet.fillStep"),
            new SolvedRows(session, List.of(plan)),
            new FigureRows(session, "mill_depth"),
            Page.hint(
                "The plan area is measured from the chamber's outline, or from two fills of one"
                    + " chamber with a known cut or shim between them."),
            Page.part("Separate barrels: shim that lets each down to the largest volume"),
            shims,
            Page.caution(
                "Machining belongs to a qualified shop; a head has a least thickness that its maker"
                    + " states, and a milled head moves its manifold and its pushrods."));
    WhenSeen.refresh(this, this::refresh, session.buildProperty(), session.readingsProperty());
  }

  private void refresh() {
    var build = session.build();
    var units = build.units();
    var engine = session.engine();
    var even = Evening.of(engine);
    double swept = engine.combination().bottomEnd().sweptVolume();
    banks.getChildren().clear();
    String[] heads = {
      "bank", "mean volume", "ratio", "lowest to highest ratio", "mill its head", "or deck it"
    };
    for (int k = 0; k < heads.length; k++) {
      cell(banks, k, 0, heads[k], "unit");
    }
    for (int i = 0; i < even.banks().size(); i++) {
      var b = even.banks().get(i);
      cell(banks, 0, i + 1, i == 0 ? "of cylinder 1" : "the other", "input-label");
      cell(banks, 1, i + 1, Quantity.VOLUME.show(b.mean(), units), "number");
      cell(banks, 2, i + 1, ratio(swept, b.mean()), "number");
      cell(banks, 3, i + 1, ratio(swept, b.most()) + " to " + ratio(swept, b.least()), "number");
      cell(
          banks,
          4,
          i + 1,
          Double.isNaN(b.mill()) ? "plan area?" : Quantity.CLEARANCE.show(b.mill(), units),
          "number");
      cell(banks, 5, i + 1, Quantity.CLEARANCE.show(b.deck(), units), "number");
    }
    cost.show(EveningCost.of(build, engine));
    shims.getChildren().clear();
    cell(shims, 0, 0, "cylinder", "unit");
    cell(shims, 0, 1, "shim", "unit");
    for (int i = 0; i < even.shims().size(); i++) {
      cell(shims, i + 1, 0, String.valueOf(i + 1), "number");
      cell(shims, i + 1, 1, Quantity.CLEARANCE.number(even.shims().get(i), units), "number");
    }
  }

  private String ratio(double swept, double v) {
    return Quantity.RATIO.show((swept + v) / v, session.build().units());
  }

  private static void cell(GridPane grid, int column, int row, String text, String style) {
    var label = new Label(text);
    label.getStyleClass().add(style);
    label.setMinWidth(USE_PREF_SIZE);
    GridPane.setHalignment(label, style.equals("number") ? HPos.RIGHT : HPos.LEFT);
    grid.add(label, column, row);
  }
}
