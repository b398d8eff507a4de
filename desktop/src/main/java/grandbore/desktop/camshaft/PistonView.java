package grandbore.desktop.camshaft;

import grandbore.core.clearances.Measurement;
import grandbore.core.clearances.Reading;
import grandbore.core.clearances.Readings;
import grandbore.core.combination.Given;
import grandbore.core.combination.PartSizes;
import grandbore.core.combination.Provenance;
import grandbore.core.mechanics.RodStretch;
import grandbore.core.topend.ValveGear;
import grandbore.core.units.Measure;
import grandbore.core.units.Quantity;
import grandbore.core.valvetrain.PistonToValve;
import grandbore.desktop.controls.CheckRows;
import grandbore.desktop.controls.InputGrid;
import grandbore.desktop.controls.Page;
import grandbore.desktop.controls.WhenSeen;
import grandbore.desktop.look.Look;
import grandbore.desktop.plot.Line;
import grandbore.desktop.plot.PlotPane;
import grandbore.desktop.session.Session;
import java.util.ArrayList;
import java.util.Arrays;
import javafx.beans.property.ReadOnlyDoubleProperty;
import javafx.scene.control.Button;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/**
 * Piston to valve through the overlap, from sizes or from what clay and checking springs showed.
 */
final class PistonView extends VBox {
  private static final int ROWS = 150;
  private static final double REACH = 75;
  private static final int SPEEDS = 12;

  private final Session session;
  private final PlotPane plot;
  private final PlotPane atSpeed;
  private final CheckRows checks = new CheckRows();
  private final Button intake = new Button("Set intake by the reading");
  private final Button exhaust = new Button("Set exhaust by the reading");

  PistonView(Session session, Look look, ReadOnlyDoubleProperty crank) {
    super(10);
    this.session = session;
    plot = new PlotPane(look, "plot-piston-valve", "Clearance along the stem", "%.4f");
    atSpeed =
        new PlotPane(
            look,
            "plot-piston-speed",
            "Closest at speed: rod stretched and warm, valve as its train lets it",
            "%.4f");
    intake.setId("set-intake-read");
    exhaust.setId("set-exhaust-read");
    intake.setOnAction(e -> set(true));
    exhaust.setOnAction(e -> set(false));
    getChildren()
        .addAll(
            plot,
            checks,
            new InputGrid(session)
                .with(
                    "heads.intakeRecess",
                    "heads.exhaustRecess",
                    "compression.intakePocket",
                    "compression.exhaustPocket",
                    "heads.intakeAngle",
                    "heads.exhaustAngle",
                    "valveHardware.intakePocketWidth",
                    "valveHardware.exhaustPocketWidth",
                    "valveHardware.pocketOff")
                .put(
                    "Rods of",
                    Page.choice(
                        session, "Rods of", "partSizes.rodMaterial", PartSizes.RodMaterial.class))
                .with("partSizes.rodSection"),
            atSpeed,
            Page.part("Measured at this timing, with clay or a checking spring"),
            new InputGrid(session).with("worksheet.intakeRead", "worksheet.exhaustRead"),
            new HBox(8, intake, exhaust),
            Page.hint(
                "A reading sets how far the shut valve stands above the deck; from then on every"
                    + " change of timing, rocker, mill, deck, gasket or rod moves the clearance"
                    + " from what was measured. It is worst near 10° before top for the exhaust and"
                    + " 10° after for the intake (common practice)."));
    WhenSeen.refresh(
        this,
        this::refresh,
        session.buildProperty(),
        session.overProperty(),
        session.readingsProperty());
    crank.subscribe(
        a -> {
          double after = a.doubleValue() - 360;
          if (Math.abs(after) <= REACH) {
            plot.point(after);
          }
        });
  }

  private void refresh() {
    var build = session.build();
    var c = session.engine().combination();
    checks.show(ValveGear.pistonToValve(build.with(c)));
    var unit = Quantity.CLEARANCE.unit(build.units());
    var x = new double[ROWS + 1];
    var in = new double[ROWS + 1];
    var out = new double[ROWS + 1];
    boolean knowsIn = c.heads().intakeRecess().isKnown();
    boolean knowsOut = c.heads().exhaustRecess().isKnown();
    var first = PistonToValve.intake(c);
    var second = PistonToValve.exhaust(c);
    for (int i = 0; i <= ROWS; i++) {
      x[i] = -REACH + i;
      double a = Math.toRadians(x[i]);
      in[i] = knowsIn ? unit.fromSi(first.at(a)) : Double.NaN;
      out[i] = knowsOut ? unit.fromSi(second.at(a)) : Double.NaN;
    }
    var lines = new ArrayList<Line>();
    lines.add(new Line("intake", x, in));
    lines.add(new Line("exhaust", x, out));
    var over = session.overProperty().get();
    if (over != null) {
      var other = over.engine().combination();
      lines.add(laid("intake, laid over", x, PistonToValve.intake(other), unit));
      lines.add(laid("exhaust, laid over", x, PistonToValve.exhaust(other), unit));
    }
    plot.show("crank ° after top, overlap", unit.symbol(), lines);
    atSpeed(unit);
    intake.setDisable(Double.isNaN(read(true)));
    exhaust.setDisable(Double.isNaN(read(false)));
  }

  /** What is left of the clearances over the speeds of the build. */
  private void atSpeed(Measure unit) {
    var c = session.engine().combination();
    var rpm =
        session.build().speeds().points(SPEEDS).stream().mapToDouble(Double::doubleValue).toArray();
    var speeds = Arrays.stream(rpm).map(Measure.RPM::toSi).toArray();
    var lines = new ArrayList<Line>();
    if (c.heads().intakeRecess().isKnown()) {
      lines.add(line("intake", rpm, RodStretch.clearances(c, true, speeds), unit));
    }
    if (c.heads().exhaustRecess().isKnown()) {
      lines.add(line("exhaust", rpm, RodStretch.clearances(c, false, speeds), unit));
    }
    var nearer = Arrays.stream(speeds).map(w -> RodStretch.nearer(c, w)).toArray();
    lines.add(line("piston nearer by", rpm, nearer, unit));
    atSpeed.show("rpm", unit.symbol(), lines);
  }

  private static Line line(String name, double[] x, double[] si, Measure unit) {
    return new Line(name, x, Arrays.stream(si).map(unit::fromSi).toArray());
  }

  private static Line laid(String name, double[] x, PistonToValve geometry, Measure unit) {
    var y = new double[x.length];
    for (int i = 0; i < x.length; i++) {
      y[i] = unit.fromSi(geometry.at(Math.toRadians(x[i])));
    }
    return new Line(name, x, y);
  }

  /** The worksheet's reading, else the closest that the book has. */
  private double read(boolean in) {
    var c = session.build().combination();
    var said = in ? c.worksheet().intakeRead() : c.worksheet().exhaustRead();
    if (said.isKnown()) {
      return said.si();
    }
    return session
        .readings()
        .over(
            Measurement.VALVE_TO_PISTON,
            c.bottomEnd().cylinders(),
            in ? Reading.Side.INTAKE : Reading.Side.EXHAUST)
        .stream()
        .mapToDouble(Readings.Result::value)
        .min()
        .orElse(Double.NaN);
  }

  private void set(boolean in) {
    var c = session.engine().combination();
    Given recess = in ? c.heads().intakeRecess() : c.heads().exhaustRecess();
    var geometry = in ? PistonToValve.intake(c) : PistonToValve.exhaust(c);
    double now = geometry.recessFor(recess.si(), read(in));
    try {
      session.edit(
          in ? "Intake clearance read" : "Exhaust clearance read",
          b ->
              b.with(
                  b.combination()
                      .with(
                          in ? "heads.intakeRecess" : "heads.exhaustRecess",
                          recess.with(now, Provenance.MEASURED))));
    } catch (IllegalArgumentException e) {
      session.refuse(e.getMessage());
    }
  }
}
