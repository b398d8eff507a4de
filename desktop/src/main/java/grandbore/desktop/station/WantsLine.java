package grandbore.desktop.station;

import grandbore.core.checks.Check;
import grandbore.core.runs.Urgency;
import grandbore.core.working.BriefChecks;
import grandbore.desktop.controls.CheckRows;
import grandbore.desktop.curve.CurveService;
import grandbore.desktop.session.Session;
import java.util.ArrayList;
import java.util.List;
import javafx.scene.control.Button;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.FlowPane;

/** What the brief wants beside power, each met or missed, under the curve's head. */
public final class WantsLine extends FlowPane {
  private final Session session;
  private final CurveService curves;
  private final IdleService idle;
  private final Runnable toBrief;
  private final PlanRead plan;
  private List<Check> shown = List.of();

  /**
   * @param toBrief goes to where the wants are said
   */
  public WantsLine(Session session, CurveService curves, Runnable toBrief) {
    super(10, 2);
    this.session = session;
    this.curves = curves;
    this.toBrief = toBrief;
    plan = new PlanRead(session);
    setId("wants");
    idle = new IdleService(this, session, curves, Urgency.STUDY);
    curves.curve().subscribe(c -> judge());
    session.buildProperty().subscribe(b -> judge());
    session.notesProperty().subscribe(n -> judge());
    idle.idleProperty().subscribe(i -> judge());
    idle.statusProperty().subscribe(w -> judge());
  }

  private void judge() {
    var now = checks();
    if (!now.equals(shown)) {
      shown = now;
      getChildren().setAll(now.stream().map(this::mark).toList());
    }
  }

  private List<Check> checks() {
    var build = session.build();
    var all = new ArrayList<Check>();
    if (idle.isKnown()) {
      all.addAll(BriefChecks.vacuum(build, idle.idleProperty().get()));
    }
    var curve = curves.curve().getValue();
    if (curve != null) {
      all.addAll(BriefChecks.octane(build, curve));
    }
    all.addAll(BriefChecks.budget(build, plan.plan()));
    return all;
  }

  private Button mark(Check c) {
    // The first words say how it is met; the rest stands on the brief and in the hint.
    String first = c.says().split(",", 2)[0];
    var mark = new Button("%s %s %s".formatted(CheckRows.shape(c.verdict()), c.label(), first));
    mark.setId("want-" + c.name());
    mark.getStyleClass().addAll("want", CheckRows.style(c.verdict()));
    mark.setAccessibleText("%s, %s: %s".formatted(c.label(), c.verdict().word(), c.says()));
    mark.setTooltip(new Tooltip(c.says() + "\n" + c.working()));
    mark.setOnAction(e -> toBrief.run());
    return mark;
  }
}
