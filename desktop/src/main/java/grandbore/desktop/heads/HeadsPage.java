package grandbore.desktop.heads;

import grandbore.core.combustion.ChamberForm;
import grandbore.desktop.controls.ByCylinder;
import grandbore.desktop.controls.CountField;
import grandbore.desktop.controls.InputGrid;
import grandbore.desktop.controls.Page;
import grandbore.desktop.controls.ViewName;
import grandbore.desktop.controls.Views;
import grandbore.desktop.curve.CurveService;
import grandbore.desktop.drawing.FlowDrawing;
import grandbore.desktop.look.Look;
import grandbore.desktop.session.Session;
import javafx.beans.property.ReadOnlyDoubleProperty;
import javafx.scene.Node;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** Flow sheets, ports and valves, and whether they are large enough. */
public final class HeadsPage {
  private HeadsPage() {}

  public static Node make(
      Session session, CurveService curves, ReadOnlyDoubleProperty rpm, Look look) {
    var views =
        new Views()
            .with(ViewName.HEADS_FLOW, () -> flow(session, look))
            .with(ViewName.HEADS_SIZING, () -> new SizingView(session, curves, look, rpm))
            .with(ViewName.HEADS_SEATS, () -> new SeatsView(session, look))
            .with(ViewName.HEADS_PORTS, () -> ports(session));
    return Page.of(
        "Heads",
        "Flow sheets, all valves of a port together, at any depression; a table copied from a"
            + " spreadsheet can be pasted. Dashed lines mark the lift this cam reaches, thin ones"
            + " what valves of this size would pass if they lost nothing.",
        views.buttons(),
        views.shown());
  }

  private static Node flow(Session session, Look look) {
    return new VBox(
        10,
        new FlowDrawing(session, look),
        new HBox(
            24,
            new FlowTable(session, FlowTable.Side.INTAKE),
            new FlowTable(session, FlowTable.Side.EXHAUST)),
        new InputGrid(session)
            .put(
                "Intake valves a cylinder",
                new CountField(session, "Intake valves", "heads.intakeValves", 3))
            .put(
                "Exhaust valves a cylinder",
                new CountField(session, "Exhaust valves", "heads.exhaustValves", 2))
            .put("Chamber", Page.choice(session, "Chamber", "heads.chamber", ChamberForm.class))
            .put("Plugs a cylinder", new CountField(session, "Plugs", "heads.plugs", 2))
            .with(
                "heads.intakeValve",
                "heads.exhaustValve",
                "heads.intakePortLength",
                "heads.exhaustPortLength",
                "heads.intakePortVolume",
                "heads.exhaustPortVolume",
                "heads.plugOffset",
                "heads.tumble"));
  }

  private static Node ports(Session session) {
    return new VBox(
        10,
        Page.part("Each cylinder's flow against the sheet"),
        new ByCylinder(session, "Intake port flow", "heads.intakeShares", ByCylinder.Kind.SHARE),
        new ByCylinder(session, "Exhaust port flow", "heads.exhaustShares", ByCylinder.Kind.SHARE),
        Page.hint(
            "Long and short ports of one head differ: give each its share of the sheet. The"
                + " cylinders then differ in the full model, and the Prediction station says which"
                + " one is short of air."));
  }
}
