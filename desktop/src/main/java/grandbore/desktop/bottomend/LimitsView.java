package grandbore.desktop.bottomend;

import grandbore.core.mechanics.Overspeed;
import grandbore.core.units.Measure;
import grandbore.core.units.UnitSystem;
import grandbore.desktop.controls.CheckRows;
import grandbore.desktop.controls.FigureRows;
import grandbore.desktop.controls.InputGrid;
import grandbore.desktop.controls.Page;
import grandbore.desktop.controls.WhenSeen;
import grandbore.desktop.look.Look;
import grandbore.desktop.plot.Line;
import grandbore.desktop.plot.PlotPane;
import grandbore.desktop.session.Session;
import java.util.ArrayList;
import javafx.scene.layout.VBox;

/** How fast the bottom end can be turned, and whether valves meet pistons. */
final class LimitsView extends VBox {
  private static final double THINNER = 0.75;
  private static final int ROWS = 60;

  private final Session session;
  private final PlotPane plot;
  private final CheckRows checks = new CheckRows();

  LimitsView(Session session, Look look) {
    super(10);
    this.session = session;
    plot = new PlotPane(look, "plot-flutter", "Acceleration, and what a top ring stands", "%.0f");
    getChildren()
        .addAll(
            plot,
            checks,
            new FigureRows(session, "mean_piston_speed", "peak_piston_speed", "peak_acceleration"),
            new InputGrid(session)
                .with(
                    "partSizes.ringWidth",
                    "bottomEnd.stroke",
                    "heads.intakeAngle",
                    "heads.exhaustAngle",
                    "heads.intakeRecess",
                    "heads.exhaustRecess",
                    "compression.intakePocket",
                    "compression.exhaustPocket"),
            Page.caution(
                "Parts that are overspeeded fail without warning and are thrown. These limits are"
                    + " common practice and no guarantee; the part's maker goes before them."));
    WhenSeen.refresh(this, this::refresh, session.buildProperty());
  }

  private void refresh() {
    var build = session.build();
    checks.show(Overspeed.of(build));
    var b = build.combination().bottomEnd();
    var crank = b.crank();
    double shape = crank.sharpest();
    var unit =
        build.units() == UnitSystem.US
            ? Measure.FEET_PER_SECOND_SQUARED
            : Measure.METRES_PER_SECOND_SQUARED;
    double from = build.speeds().from();
    double to = 1.15 * build.speeds().to();
    var x = new double[ROWS];
    var y = new double[ROWS];
    for (int i = 0; i < ROWS; i++) {
      x[i] = from + (to - from) * i / (ROWS - 1);
      double w = x[i] * Math.PI / 30;
      y[i] = unit.fromSi(shape * w * w);
    }
    var lines = new ArrayList<Line>();
    lines.add(new Line("piston", x, y));
    double width = build.combination().partSizes().ringWidth().si();
    double flutter = Overspeed.flutter(crank, width);
    double stands = unit.fromSi(shape * flutter * flutter);
    lines.add(
        new Line("this ring flutters", new double[] {from, to}, new double[] {stands, stands}));
    double thin = Overspeed.flutter(crank, THINNER * width);
    double more = unit.fromSi(shape * thin * thin);
    lines.add(
        new Line("a ring a quarter thinner", new double[] {from, to}, new double[] {more, more}));
    plot.show("rpm", unit.symbol().replace('2', '²'), lines);
  }
}
