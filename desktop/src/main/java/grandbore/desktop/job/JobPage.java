package grandbore.desktop.job;

import grandbore.desktop.controls.Page;
import grandbore.desktop.controls.ViewName;
import grandbore.desktop.controls.Views;
import grandbore.desktop.curve.CurveService;
import grandbore.desktop.look.Look;
import javafx.scene.Node;

/** From the idea to the running engine: route, parts, orders, money. */
public final class JobPage {
  private JobPage() {}

  /** The page on a job. */
  public static Node make(JobState state, CurveService curves, Look look) {
    var views =
        new Views()
            .with(ViewName.JOB_ROUTE, () -> new RouteView(state, look))
            .with(ViewName.JOB_PARTS, () -> new PartsView(state))
            .with(ViewName.JOB_ORDERS, () -> new OrdersView(state))
            .with(ViewName.JOB_MONEY, () -> new MoneyView(state, curves))
            .with(ViewName.JOB_STATES, () -> new StatesView(state));
    var trouble = Page.hint("");
    trouble.setId("job-trouble");
    trouble.getStyleClass().add("outside");
    state.troubleProperty().subscribe(trouble::setText);
    trouble.textProperty().subscribe(t -> Page.show(trouble, !t.isEmpty()));
    return Page.of(
        "Job",
        "Dates are the earliest that parts, orders and steps allow. What is done, cut or changed"
            + " opens again what no longer holds.",
        views.buttons(),
        trouble,
        views.shown());
  }
}
