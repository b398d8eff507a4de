package grandbore.desktop.camshaft;

import grandbore.desktop.controls.Page;
import grandbore.desktop.controls.ViewName;
import grandbore.desktop.controls.Views;
import grandbore.desktop.curve.CurveService;
import grandbore.desktop.look.Look;
import grandbore.desktop.session.Session;
import javafx.beans.property.DoubleProperty;
import javafx.scene.Node;

/** The lobes, their card, their timing, and the train between them and the valves. */
public final class CamPage {
  private CamPage() {}

  /**
   * @param crank the crank cursor, degrees
   */
  public static Node make(Session session, CurveService curves, DoubleProperty crank, Look look) {
    var views =
        new Views()
            .with(ViewName.CAM_LOBES, () -> LobesView.make(session, look))
            .with(ViewName.CAM_CARD, () -> new CardView(session))
            .with(ViewName.CAM_EVENTS, () -> EventsView.make(session, look, crank))
            .with(ViewName.CAM_SEPARATION, () -> new SeparationView(session, curves, look))
            .with(ViewName.CAM_DEGREEING, () -> new DegreeView(session))
            .with(ViewName.CAM_SPRINGS, () -> new SpringsView(session))
            .with(ViewName.CAM_PISTON, () -> new PistonView(session, look, crank))
            .with(ViewName.CAM_MOTION, () -> new LobeMotionView(session, look));
    return Page.of(
        "Cam and valves",
        "Durations count in crank degrees at 0.050 in and from seat to seat (0.006 in) of tappet"
            + " lift. A lobe measured by a lift table takes the place of its card.",
        views.buttons(),
        views.shown());
  }
}
