package grandbore.desktop.dyno;

import grandbore.desktop.controls.Overlay;
import grandbore.desktop.controls.Page;
import grandbore.desktop.controls.ViewName;
import grandbore.desktop.controls.Views;
import grandbore.desktop.curve.CurveService;
import grandbore.desktop.look.Look;
import grandbore.desktop.session.Session;
import javafx.scene.Node;

/** The hour that is paid for: before it, while it runs, and after it. */
public final class DynoPage {
  private DynoPage() {}

  /**
   * @param overlay shows the gauges over the whole window
   */
  public static Node make(Session session, CurveService curves, Look look, Overlay overlay) {
    var state = new DynoState(session);
    var live = new LiveDyno(session, curves.runs(), state);
    var views = new Views();
    views
        .with(ViewName.DYNO_BEFORE, () -> new BeforeView(session, curves, state))
        .with(ViewName.DYNO_GAUGES, () -> new GaugesView(session, live, overlay))
        .with(ViewName.DYNO_PULLS, () -> new PullsView(session, state, look))
        .with(ViewName.DYNO_LOG, () -> new LogView(session, state, look))
        .with(
            ViewName.DYNO_DAYS,
            () -> new DaysView(session, state, look, () -> views.choose(ViewName.DYNO_PULLS)))
        .with(ViewName.DYNO_CAUSE, () -> new CauseView(session, state))
        .with(ViewName.DYNO_LEARN, () -> new LearnView(session, curves, state, look));
    var trouble = Page.hint("");
    trouble.setId("dyno-trouble");
    state.troubleProperty().subscribe(trouble::setText);
    trouble.textProperty().subscribe(t -> Page.show(trouble, !t.isEmpty()));
    return Page.of(
        "Dyno day",
        "A pull never changes once it is kept; one that went wrong is struck out. Torque is told"
            + " under the standard that is chosen with the pulls.",
        views.buttons(),
        trouble,
        views.shown());
  }
}
