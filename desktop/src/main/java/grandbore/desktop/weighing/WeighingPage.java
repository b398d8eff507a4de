package grandbore.desktop.weighing;

import grandbore.desktop.controls.Page;
import grandbore.desktop.controls.Places;
import grandbore.desktop.controls.ViewName;
import grandbore.desktop.controls.Views;
import grandbore.desktop.curve.CurveService;
import grandbore.desktop.look.Look;
import grandbore.desktop.session.Session;
import java.util.function.UnaryOperator;
import javafx.scene.Node;

/** What one engine has over another, and what an input is worth over its range. */
public final class WeighingPage {
  private WeighingPage() {}

  /**
   * @param station names the station at which a group's inputs stand
   */
  public static Node make(
      Session session,
      CurveService curves,
      DoubtService doubt,
      Look look,
      UnaryOperator<String> station,
      Places places) {
    var views =
        new Views()
            .with(ViewName.WEIGHING_BESIDE, () -> new BesideView(session, curves, look, station))
            .with(ViewName.WEIGHING_LADDER, () -> new LadderView(session, curves, look))
            .with(ViewName.WEIGHING_SHELF, () -> new ShelfView(session))
            .with(ViewName.WEIGHING_SWEEP, () -> new SweepView(session, curves, look, station))
            .with(ViewName.WEIGHING_MAP, () -> new MapView(session, curves, look, station))
            .with(ViewName.WEIGHING_LIMITS, () -> new LimitsView(session, curves))
            .with(ViewName.WEIGHING_SEARCH, () -> new SearchView(session, curves, look, station))
            .with(
                ViewName.WEIGHING_DOUBT,
                () -> new DoubtView(session, curves, doubt, station, places))
            .with(ViewName.WEIGHING_KEPT, () -> new KeptStudiesView(session, curves));
    return Page.of(
        "Weighing up",
        "Each answer is a run of the wave model on the build as it stands, measured values in"
            + " place. Gains below what the model can repeat are said to be none that it can tell.",
        views.buttons(),
        views.shown());
  }
}
