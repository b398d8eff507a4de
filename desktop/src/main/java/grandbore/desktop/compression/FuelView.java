package grandbore.desktop.compression;

import grandbore.core.combination.Compression;
import grandbore.core.compression.FuelStand;
import grandbore.core.gas.FuelKind;
import grandbore.core.runs.Urgency;
import grandbore.core.studies.OctaneStudy;
import grandbore.desktop.controls.CheckRows;
import grandbore.desktop.controls.FigureRows;
import grandbore.desktop.controls.InputGrid;
import grandbore.desktop.controls.Page;
import grandbore.desktop.controls.WhenSeen;
import grandbore.desktop.curve.CurveService;
import grandbore.desktop.look.Look;
import grandbore.desktop.plot.Line;
import grandbore.desktop.plot.PlotPane;
import grandbore.desktop.results.Asking;
import grandbore.desktop.results.ResultService;
import grandbore.desktop.results.RunLine;
import grandbore.desktop.session.Session;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import javafx.beans.property.ReadOnlyDoubleProperty;
import javafx.scene.control.Label;
import javafx.scene.layout.VBox;

/** What the fuel stands: two schools, the simulated margin, and mixing for more octane. */
final class FuelView extends VBox {

  private final Session session;
  private final CurveService curves;
  private final ReadOnlyDoubleProperty rpm;
  private final CheckRows checks = new CheckRows();
  private final PlotPane plot;
  private final Label status = new Label();
  private final Label fuel = new Label();
  private final ResultService service;
  private final Asking asking;

  FuelView(Session session, CurveService curves, Look look, ReadOnlyDoubleProperty rpm) {
    super(10);
    this.session = session;
    service = new ResultService(curves.runs(), Urgency.STUDY, status::setText);
    this.curves = curves;
    this.rpm = rpm;
    plot = new PlotPane(look, "plot-octane", "Octane this engine wants, by its ratio", "%.1f");
    status.getStyleClass().add("soft");
    status.setId("fuel-status");
    status.setWrapText(true);
    fuel.setId("fuel-facts");
    fuel.getStyleClass().add("soft");
    fuel.setWrapText(true);
    getChildren()
        .addAll(
            new InputGrid(session)
                .put("Fuel", Page.choice(session, "Fuel", "mixture.fuel", FuelKind.class))
                .put(
                    "Heads of",
                    Page.choice(session, "Heads of", "compression.head", Compression.Head.class)),
            fuel,
            checks,
            status,
            new RunLine("octane-run", service, this::again),
            plot,
            new FigureRows(session, "effective_compression", "quench", "squish_speed"),
            Page.part("Mixing in the tank"),
            new InputGrid(session)
                .with(
                    "worksheet.tank",
                    "worksheet.octaneTank",
                    "worksheet.octaneAdded",
                    "worksheet.octaneWanted",
                    "worksheet.dose"),
            new FigureRows(session, "octane_to_add", "concentrate"),
            Page.caution(
                "Fuels and concentrates burn, and poison through skin and lungs: handle them as"
                    + " their makers say. No mixing sum and no predicted margin is a promise that"
                    + " an engine will not knock."));
    WhenSeen.refresh(this, this::judge, curves.curve(), session.buildProperty());
    asking =
        new Asking(this, this::sweep)
            .when(session.buildProperty(), session.readingsProperty(), rpm);
  }

  private void judge() {
    var f = session.build().combination().mixture().fuel();
    fuel.setText(
        String.format(
            Locale.US,
            "%s: octane %.0f at the pump ((R+M)/2), alcohol %.0f %% by volume, %.1f MJ/kg, %.0f"
                + " g/l, %.1f MJ/l, %.1f parts of air to one by mass. Richer fuels in alcohol want"
                + " that much more of it.",
            f.label(),
            f.antiKnockIndex(),
            100 * f.alcoholShare(),
            f.lowerHeatingValue() / 1e6,
            f.density(),
            f.lowerHeatingValue() * f.density() / 1e9,
            f.stoichiometricAirFuelRatio()));
    var curve = curves.curve().getValue();
    if (curve != null) {
      checks.show(FuelStand.of(session.build(), session.engine(), curve));
    }
  }

  /** The same engine at other ratios, by its chambers. */
  private void sweep() {
    var engine = session.engine();
    double at = Math.rint(rpm.get() / 100) * 100;
    if (!asking.isNew(engine.key(), at)) {
      return;
    }
    status.setText("");
    service.ask(new OctaneStudy(engine, at), this::draw, all -> show(all, at));
  }

  /** What the tightest cylinder asks of the fuel beyond the mean. */
  private String worst(Line wanted) {
    var engine = session.engine();
    double swept = engine.combination().bottomEnd().sweptVolume();
    double least = engine.clearances().stream().mapToDouble(v -> v).min().orElseThrow();
    double ratio = (swept + least) / least;
    int number = engine.clearances().indexOf(least) + 1;
    double more = wanted.at(ratio) - wanted.at(engine.combination().staticRatio());
    return Double.isNaN(more)
        ? ""
        : String.format(
            Locale.US,
            "Cylinder %d, tightest at %.2f, wants %.1f octane more than the mean: it chooses the"
                + " fuel.",
            number,
            ratio,
            Math.max(0, more));
  }

  private Line draw(List<OctaneStudy.Asked> all) {
    var x = all.stream().mapToDouble(OctaneStudy.Asked::ratio).toArray();
    var wanted =
        new Line("wanted", x, all.stream().mapToDouble(OctaneStudy.Asked::octane).toArray());
    var has = new double[x.length];
    Arrays.fill(has, session.build().combination().mixture().fuel().antiKnockIndex());
    plot.show("compression ratio", "octane", List.of(wanted, new Line("this fuel has", x, has)));
    return wanted;
  }

  private void show(List<OctaneStudy.Asked> all, double at) {
    status.setText(
        String.format(
            Locale.US,
            "At %,.0f rpm, chambers made larger and smaller, spark as this build times it. %s",
            at,
            worst(draw(all))));
  }

  private void again() {
    asking.again();
  }
}
