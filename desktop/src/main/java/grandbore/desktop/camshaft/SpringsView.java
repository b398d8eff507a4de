package grandbore.desktop.camshaft;

import grandbore.core.combination.Specs;
import grandbore.core.combination.ValveTrain;
import grandbore.core.topend.ValveGear;
import grandbore.desktop.controls.CheckRows;
import grandbore.desktop.controls.FigureRows;
import grandbore.desktop.controls.InputGrid;
import grandbore.desktop.controls.Page;
import grandbore.desktop.controls.SolvedRows;
import grandbore.desktop.controls.WhenSeen;
import grandbore.desktop.session.Session;
import java.util.List;
import javafx.scene.layout.VBox;

/** Springs, retainers and moving masses, and how far the valves follow. */
final class SpringsView extends VBox {
  SpringsView(Session session) {
    super(10);
    var checks = new CheckRows();
    WhenSeen.refresh(
        this, () -> checks.show(ValveGear.springs(session.build())), session.buildProperty());
    getChildren()
        .addAll(
            new InputGrid(session)
                .with(
                    "valveTrain.springSeat",
                    "valveTrain.springRate",
                    "valveHardware.installedHeight",
                    "valveHardware.coilBind",
                    "valveHardware.retainerRoom",
                    "valveTrain.stiffness",
                    "valveTrain.intakeMass",
                    "valveTrain.exhaustMass"),
            Page.part("Moving mass from its parts"),
            new InputGrid(session)
                .with(
                    "valveHardware.valveMass",
                    "valveHardware.retainerMass",
                    "valveHardware.springMass",
                    "valveHardware.rockerMass")
                .when(c -> isPushrod(c.valveTrain().follower()))
                .with("valveHardware.tappetMass", "valveHardware.pushrodMass"),
            new SolvedRows(
                session,
                List.of(
                    new SolvedRows.Solved(
                        "mass_at_valve",
                        Specs.field("valveTrain.intakeMass"),
                        c -> c.valveHardware().atValve(c.valveTrain().intakeRocker().si()),
                        c -> true))),
            new FigureRows(session, "intake_lift", "exhaust_lift", "spring_open"),
            checks,
            Page.part("What would cure a float"),
            new InputGrid(session).with("worksheet.shim", "worksheet.lighter"),
            Page.hint(
                "A spring's two coils count as one: their forces and rates together; coil bind is"
                    + " that of the one that touches first. Moving mass is"
                    + " valve, retainer and locks, a third of the spring, and the train brought to"
                    + " the valve by the rocker's ratio squared. The outer coil's damper is in the"
                    + " model's damping."),
            Page.caution(
                "A compressed valve spring can throw parts: use its maker's tool, eyes covered."));
  }

  private static boolean isPushrod(ValveTrain.Follower f) {
    return f == ValveTrain.Follower.FLAT_PUSHROD || f == ValveTrain.Follower.ROLLER_PUSHROD;
  }
}
