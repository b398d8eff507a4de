package grandbore.desktop.camshaft;

import grandbore.desktop.controls.Page;
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
            .with("Lobes", "cam-lobes", () -> LobesView.make(session, look))
            .with("Card", "cam-card", () -> new CardView(session))
            .with("Events", "cam-events", () -> EventsView.make(session, look, crank))
            .with("Separation", "cam-separation", () -> new SeparationView(session, curves, look))
            .with("Degreeing", "cam-degreeing", () -> new DegreeView(session))
            .with("Springs", "cam-springs", () -> new SpringsView(session))
            .with("To piston", "cam-piston", () -> new PistonView(session, look, crank))
            .with("Motion", "cam-motion", () -> new LobeMotionView(session, look));
    return Page.of(
        "Cam and valves",
        "Durations count in crank degrees at 0.050 in and from seat to seat (0.006 in) of tappet"
            + " lift. A lobe measured by a lift table takes the place of its card.",
        views.buttons(),
        views.shown());
  }
}
