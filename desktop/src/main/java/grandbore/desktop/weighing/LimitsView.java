package grandbore.desktop.weighing;

import grandbore.core.checks.Check;
import grandbore.core.runs.Urgency;
import grandbore.core.studies.LimitsStudy;
import grandbore.desktop.controls.CheckRows;
import grandbore.desktop.controls.Page;
import grandbore.desktop.curve.CurveService;
import grandbore.desktop.results.Asking;
import grandbore.desktop.results.ResultService;
import grandbore.desktop.session.Session;
import java.util.List;
import java.util.Locale;
import javafx.scene.control.Label;
import javafx.scene.layout.VBox;

/** All that this build may run into, the first to bite first, each with its working. */
final class LimitsView extends VBox {
  private final Session session;
  private final CurveService curves;
  private final ResultService service;
  private final Asking asking;
  private final CheckRows rows = new CheckRows();
  private final Label says = new Label();

  LimitsView(Session session, CurveService curves) {
    super(10);
    this.session = session;
    this.curves = curves;
    setId("limits-view");
    says.setId("limits-says");
    says.setWrapText(true);
    service = new ResultService(curves.runs(), Urgency.SEEN, why -> says.setText("✕ " + why));
    asking =
        new Asking(this, this::solve)
            .when(session.buildProperty(), session.readingsProperty(), curves.curve());
    getChildren()
        .addAll(
            says,
            rows,
            Page.hint(
                "What is left is a share of what is allowed. A limit of common practice is no"
                    + " part's own: its maker's word comes before it."));
  }

  private void solve() {
    var curve = curves.stateProperty().get().curve();
    if (curve == null) {
      says.setText("There is no curve yet.");
      asking.forget();
      return;
    }
    var build = session.build();
    var engine = session.engine();
    if (asking.isNew(build, engine, curve)) {
      service.ask(
          new LimitsStudy(List.of(new LimitsStudy.One(build, engine, curve))),
          found -> show(found.getFirst()));
    }
  }

  private void show(List<Check> limits) {
    long over = limits.stream().filter(c -> c.verdict() == Check.Verdict.BAD).count();
    var first = limits.getFirst();
    says.setText(
        "%s. First: %s, %s"
            .formatted(
                over == 0
                    ? "Nothing is run into"
                    : over == 1 ? "One limit does not hold" : over + " limits do not hold",
                first.label().toLowerCase(Locale.ROOT),
                first.says()));
    rows.show(limits.stream().map(LimitsView::withMargin).toList());
  }

  private static Check withMargin(Check c) {
    String left = Double.isNaN(c.margin()) ? "" : BesideLimits.left(c) + ": ";
    return new Check(c.name(), c.label(), c.verdict(), left + c.says(), c.working(), c.margin());
  }
}
