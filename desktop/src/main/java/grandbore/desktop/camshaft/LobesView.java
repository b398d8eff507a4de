package grandbore.desktop.camshaft;

import grandbore.core.combination.ValveTrain;
import grandbore.core.valvetrain.FlatTappet;
import grandbore.desktop.controls.InputGrid;
import grandbore.desktop.controls.Page;
import grandbore.desktop.drawing.LiftDrawing;
import grandbore.desktop.look.Look;
import grandbore.desktop.session.Session;
import javafx.scene.Node;
import javafx.scene.layout.VBox;

/** Valve lift as the card or a table makes it. */
final class LobesView {
  private LobesView() {}

  static Node make(Session session, Look look) {
    return new VBox(
        10,
        new LiftDrawing(session, look),
        new InputGrid(session)
            .with(
                "cam.intakeDuration",
                "cam.exhaustDuration",
                "cam.intakeSeat",
                "cam.exhaustSeat",
                "cam.intakeLobeLift",
                "cam.exhaustLobeLift",
                "cam.separation",
                "cam.intakeCentreline",
                "valveTrain.intakeRocker",
                "valveTrain.exhaustRocker",
                "valveTrain.intakeLash",
                "valveTrain.exhaustLash")
            .put(
                "Follower",
                Page.choice(session, "Follower", "valveTrain.follower", ValveTrain.Follower.class))
            .put(
                "Camshafts",
                Page.choice(session, "Camshafts", "valveTrain.shafts", ValveTrain.Shafts.class))
            .with("valveTrain.rockerOffSeat")
            .when(FlatTappet::concerns)
            .with("valveTrain.tappetDiameter"),
        new LiftTables(session));
  }
}
