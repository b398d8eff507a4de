package grandbore.desktop.heads;

import grandbore.core.topend.ValveSeats;
import grandbore.desktop.controls.CheckRows;
import grandbore.desktop.controls.InputGrid;
import grandbore.desktop.controls.Page;
import grandbore.desktop.controls.WhenSeen;
import grandbore.desktop.drawing.SeatDrawing;
import grandbore.desktop.look.Look;
import grandbore.desktop.session.Session;
import javafx.scene.layout.VBox;

/** The valve job: seats, margins and throats, and what they let pass. */
final class SeatsView extends VBox {
  private final Session session;
  private final CheckRows checks = new CheckRows();

  SeatsView(Session session, Look look) {
    super(10);
    this.session = session;
    getChildren()
        .addAll(
            new SeatDrawing(session, look),
            new InputGrid(session).with("valveHardware.stem", "valveHardware.valveMass"),
            checks,
            Page.hint(
                "With seat and throat known, the thin line of the flow drawing and the discharge"
                    + " coefficient are those of the least section that the valve really leaves:"
                    + " the seat's frustum, then the slit above it, then the throat less the"
                    + " stem."));
    WhenSeen.refresh(this, this::refresh, session.buildProperty());
  }

  private void refresh() {
    checks.show(ValveSeats.of(session.build()));
  }
}
