package grandbore.desktop.breathing;

import grandbore.core.prediction.LossAccount;
import grandbore.core.runs.Urgency;
import grandbore.core.studies.LossStudy;
import grandbore.desktop.controls.Page;
import grandbore.desktop.curve.CurveService;
import grandbore.desktop.look.Look;
import grandbore.desktop.results.Asking;
import grandbore.desktop.results.LossPane;
import grandbore.desktop.results.ResultService;
import grandbore.desktop.results.RunLine;
import grandbore.desktop.results.Shown;
import grandbore.desktop.session.Session;
import javafx.beans.property.ReadOnlyDoubleProperty;
import javafx.scene.control.Label;
import javafx.scene.layout.VBox;

/** Where the air and the power went at the speed cursor, with the gain of freeing each. */
final class LossesView extends VBox {
  private static final int POINTS = 8;

  private final Session session;
  private final ReadOnlyDoubleProperty rpm;
  private final LossPane pane;
  private final Label status = new Label();
  private final ResultService service;
  private final Asking asking;
  private LossAccount account;

  LossesView(Session session, CurveService curves, Look look, ReadOnlyDoubleProperty rpm) {
    super(10);
    this.session = session;
    service = new ResultService(curves.runs(), Urgency.STUDY, status::setText);
    this.rpm = rpm;
    pane = new LossPane(look);
    status.getStyleClass().add("soft");
    status.setId("breathing-losses-status");
    getChildren()
        .addAll(
            new RunLine("breathing-losses-run", service, this::again),
            status,
            pane,
            Page.hint(
                "Each loss is taken away alone and the engine run again, so that the share is"
                    + " computed and not asserted. One hides another: the shares do not add up."));
    rpm.subscribe(r -> show());
    asking =
        new Asking(this, this::solve).when(session.buildProperty(), session.readingsProperty());
  }

  private void solve() {
    if (!asking.isNew(session.engine().key(), session.build().speeds(), session.build().units())) {
      return;
    }
    account = null;
    status.setText("");
    service.ask(
        new LossStudy(session.engine(), session.build().speeds().points(POINTS)),
        a -> {
          account = a;
          status.setText("Ranked at the speed cursor; the curve's model.");
          show();
        });
  }

  private void show() {
    if (account != null) {
      pane.show(account, rpm.get(), new Shown(session.build().units()));
    }
  }

  private void again() {
    asking.again();
  }
}
