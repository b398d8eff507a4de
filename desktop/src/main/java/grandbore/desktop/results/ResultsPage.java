package grandbore.desktop.results;

import grandbore.core.prediction.LossAccount;
import grandbore.core.runs.Urgency;
import grandbore.core.studies.LossStudy;
import grandbore.core.studies.SlowStudy;
import grandbore.core.studies.StarvingStudy;
import grandbore.core.studies.TraceStudy;
import grandbore.core.units.Measure;
import grandbore.desktop.controls.Page;
import grandbore.desktop.controls.ViewName;
import grandbore.desktop.controls.Views;
import grandbore.desktop.curve.CurveService;
import grandbore.desktop.look.Look;
import grandbore.desktop.session.Session;
import javafx.beans.property.ReadOnlyDoubleProperty;
import javafx.scene.control.Label;
import javafx.scene.layout.VBox;

/** What the prediction knows besides the curve: one speed, all speeds, losses, slow running. */
public final class ResultsPage extends VBox {
  private static final int LOSS_POINTS = 10;

  private final Session session;
  private final CurveService curves;
  private final ReadOnlyDoubleProperty rpm;
  private final ResultService service;
  private final OneSpeed one;
  private final WholeCurve whole;
  private final LossPane losses;
  private final SlowPane slow = new SlowPane();
  private final Label status = new Label();
  private final Views views = new Views();
  private final Asking asking;
  private LossAccount account;

  public ResultsPage(Session session, CurveService curves, ReadOnlyDoubleProperty rpm, Look look) {
    super(10);
    this.session = session;
    service =
        new ResultService(curves.runs(), Urgency.SEEN, why -> say("✕ Could not be solved: " + why));
    this.curves = curves;
    this.rpm = rpm;
    one = new OneSpeed(look);
    whole = new WholeCurve(look);
    losses = new LossPane(look);
    getStyleClass().add("page");
    var title = new Label("Prediction");
    title.getStyleClass().add("page-title");
    views
        .with(ViewName.VIEW_ONE, () -> one)
        .with(ViewName.VIEW_ALL, () -> whole)
        .with(ViewName.VIEW_LOSSES, () -> losses)
        .with(ViewName.VIEW_SLOW, () -> slow);
    asking = new Asking(this, this::refresh).when(rpm, curves.curve(), session.buildProperty());
    status.getStyleClass().add("soft");
    status.setId("results-status");
    status.setWrapText(true);
    var running = new RunLine("results-run", service, asking::again);
    getChildren().addAll(title, views.buttons(), running, status, views.shown());
    views.chosenProperty().subscribe(v -> refresh());
  }

  private double idleSpeed() {
    return Measure.RPM.fromSi(session.build().combination().brief().idle().si());
  }

  private void say(String words) {
    status.setText(words);
    Page.show(status, !words.isEmpty());
  }

  private void refresh() {
    if (getScene() == null) {
      return;
    }
    var view = views.chosenProperty().get();
    double at = Math.rint(rpm.get() / 50) * 50;
    var how = new Shown(session.build().units());
    var curve = curves.curve().getValue();
    if (view == whole && curve != null) {
      whole.show(curve, how);
      say(
          "The curve on the right, point by point. The cross-hair reads, a drag zooms, a double"
              + " click goes back.");
      asking.forget();
      return;
    }
    if (!asking.isNew(view, session.engine().key(), how, view == one ? at : 0.0, idleSpeed())) {
      if (view == losses && account != null) {
        losses.show(account, at, how);
      }
      return;
    }
    if (view == one) {
      say("");
      service.ask(
          new TraceStudy(session.engine(), at),
          t -> {
            one.show(t, how);
            say(
                t.point().converged()
                    ? "Cylinder 1 at %,.0f rpm, every cylinder solved, settled to %.3f %% a cycle."
                        .formatted(at, 100 * t.point().change())
                    : "✕ %,.0f rpm did not converge: %s".formatted(at, t.point().note()));
            if (t.point().converged() && OneSpeed.differ(t.point())) {
              service.ask(new StarvingStudy(session.engine(), at), one::why);
            }
          });
    } else if (view == losses) {
      account = null;
      say("");
      service.ask(
          new LossStudy(session.engine(), session.build().speeds().points(LOSS_POINTS)),
          a -> {
            account = a;
            losses.show(a, rpm.get(), how);
            say(
                "Each loss taken away alone, by the curve's model. One hides another: the shares do"
                    + " not add up to all together.");
          });
    } else if (view == slow) {
      say("");
      service.ask(
          new SlowStudy(session.engine(), idleSpeed()),
          s -> {
            slow.show(s, idleSpeed(), session.build().units());
            say("Warm engine, cylinder walls at coolant's heat.");
          });
    }
  }
}
