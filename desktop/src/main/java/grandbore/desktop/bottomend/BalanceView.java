package grandbore.desktop.bottomend;

import grandbore.core.combination.Weights.BalanceShafts;
import grandbore.desktop.controls.FigureRows;
import grandbore.desktop.controls.InputGrid;
import grandbore.desktop.controls.Page;
import grandbore.desktop.drawing.BalanceDrawing;
import grandbore.desktop.look.Look;
import grandbore.desktop.session.Session;
import javafx.beans.property.ReadOnlyDoubleProperty;
import javafx.scene.Node;
import javafx.scene.layout.VBox;

/** Masses, bobweight, and what shakes the engine. */
final class BalanceView {
  private BalanceView() {}

  static Node make(
      Session session, Look look, ReadOnlyDoubleProperty crank, ReadOnlyDoubleProperty rpm) {
    return new VBox(
        10,
        new BalanceDrawing(session, look, crank, rpm),
        new InputGrid(session)
            .with(
                "weights.piston",
                "weights.pin",
                "weights.rings",
                "weights.smallEnd",
                "weights.bigEnd",
                "weights.bearing",
                "weights.oil",
                "weights.balanceFactor",
                "partSizes.boreSpacing")
            .put(
                "Balance shafts",
                Page.choice(session, "Balance shafts", "weights.shafts", BalanceShafts.class)),
        new FigureRows(
            session,
            "reciprocating_mass",
            "rotating_mass",
            "bobweight",
            "primary_force",
            "secondary_force",
            "secondary_without_shafts",
            "primary_couple",
            "secondary_couple"),
        Page.hint(
            "Lighter pistons, pins and rods show here at once, and in rod tension under Forces. A"
                + " crank fully counterweighted in every throw bears its mains less and weighs"
                + " more; the sums for the whole engine stay the same."),
        Page.caution("Have a crank balanced by a qualified shop, with the bobweight it asks for."));
  }
}
