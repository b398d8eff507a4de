package grandbore.desktop.camshaft;

import grandbore.desktop.controls.FigureRows;
import grandbore.desktop.controls.InputGrid;
import grandbore.desktop.controls.Page;
import grandbore.desktop.drawing.EventsDrawing;
import grandbore.desktop.look.Look;
import grandbore.desktop.session.Session;
import javafx.beans.property.DoubleProperty;
import javafx.scene.Node;
import javafx.scene.layout.VBox;

/** Events and overlap on one ring. */
final class EventsView {
  private EventsView() {}

  static Node make(Session session, Look look, DoubleProperty crank) {
    return new VBox(
        10,
        new EventsDrawing(session, look, crank),
        new FigureRows(session, "overlap", "seat_overlap", "overlap_area"),
        new InputGrid(session)
            .with(
                "cam.separation",
                "cam.intakeCentreline",
                "valveTrain.intakeLash",
                "valveTrain.exhaustLash",
                "valveTrain.intakeRocker",
                "valveTrain.exhaustRocker",
                "valveTrain.rockerOffSeat"),
        Page.hint(
            "Lash takes opening and lift away, most of all from a mild lobe's overlap; a rocker's"
                + " ratio off the seat moves the overlap's area, over the nose the lift."));
  }
}
