package grandbore.desktop.station;

import grandbore.core.build.Build;
import grandbore.core.build.SpeedRange;
import grandbore.core.clearances.Application;
import grandbore.core.combination.Brief;
import grandbore.core.combination.Mixture;
import grandbore.core.compression.DonorCheck;
import grandbore.core.gas.FuelKind;
import grandbore.core.prediction.WantedBand;
import grandbore.core.runs.Urgency;
import grandbore.core.units.Quantity;
import grandbore.core.working.BriefChecks;
import grandbore.desktop.composition.Columns;
import grandbore.desktop.controls.ByCylinder;
import grandbore.desktop.controls.CheckRows;
import grandbore.desktop.controls.ChoiceField;
import grandbore.desktop.controls.InputGrid;
import grandbore.desktop.controls.Page;
import grandbore.desktop.controls.SpeedField;
import grandbore.desktop.controls.WhenSeen;
import grandbore.desktop.controls.Words;
import grandbore.desktop.curve.CurveService;
import grandbore.desktop.session.Session;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import javafx.scene.Node;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;

/** What the engine is for, whether it is what it was sold as, and how it stands to its brief. */
final class BriefPage {
  private final Session session;
  private final CurveService curves;
  private final Label status = Page.hint("");
  private final CheckRows stands = new CheckRows();
  private final IdleService idle;
  private final PlanRead plan;

  private BriefPage(Session session, CurveService curves) {
    this.session = session;
    this.curves = curves;
    plan = new PlanRead(session);
    idle = new IdleService(stands, session, curves, Urgency.SEEN);
    status.textProperty().bind(idle.statusProperty());
    status.managedProperty().bind(status.textProperty().isNotEmpty());
    WhenSeen.refresh(
        stands,
        this::judge,
        curves.curve(),
        session.buildProperty(),
        session.notesProperty(),
        idle.idleProperty());
  }

  static Node make(Session session, CurveService curves) {
    return new BriefPage(session, curves).page();
  }

  private VBox page() {
    var donor = new CheckRows();
    session.buildProperty().subscribe(b -> donor.show(DonorCheck.of(b, session.readings())));
    session.readingsProperty().subscribe(r -> donor.show(DonorCheck.of(session.build(), r)));
    var purpose = Page.part("");
    purpose.setId("brief-purpose");
    session.buildProperty().subscribe(b -> purpose.setText(purpose(b)));
    return Page.of(
        "Brief",
        "What the engine is for decides the parts. The band is shaded under the curve, the power"
            + " wanted is marked over it.",
        purpose,
        stands,
        status,
        new Columns(
            Page.group("What it is for", purposeInputs()),
            Page.group(
                "What is wanted of it", wanted(), Page.hint("What may not be changed:"), kept()),
            Page.group("What it burns and breathes", air(), new MixtureRow(session), lambdas())),
        Page.part("Donor: is it what it was sold as"),
        new InputGrid(session).with("brief.soldAs", "brief.soldBore", "brief.soldRatio"),
        donor,
        Page.caution(
            "Race fuels and methanol poison through the skin and burn with a flame that may not be"
                + " seen: follow the maker's sheet. A predicted power is no promise that parts"
                + " stand it, a predicted knock limit no promise that the engine will not knock."));
  }

  private VBox lambdas() {
    return new VBox(
        4,
        new ByCylinder(session, "Lambda by cylinder", "mixture.byCylinder", ByCylinder.Kind.SHARE),
        Page.hint(
            "Over the mean of all. The full model burns each cylinder's own; a log of every"
                + " cylinder fills it in at Dyno."));
  }

  /** The brief as one says it. */
  private static String purpose(Build b) {
    var band = WantedBand.of(b.combination().brief());
    return String.format(
        Locale.US,
        "%s: %s for %s, wanted from %,.0f to %,.0f rpm, on %s",
        b.name(),
        Quantity.DISPLACEMENT.show(b.combination().bottomEnd().displacement(), b.units()),
        b.application().word(),
        band.from(),
        band.to(),
        Words.of(b.combination().mixture().fuel()));
  }

  private InputGrid purposeInputs() {
    return new InputGrid(session, 1)
        .put(
            "Built for",
            new ChoiceField<>(
                session,
                "Application",
                Application.values(),
                Application::word,
                Build::application,
                Build::with))
        .with("brief.bandFrom", "brief.bandTo")
        .put(
            "Speeds from",
            new SpeedField(
                session, "Speeds from", SpeedRange::from, (r, v) -> new SpeedRange(v, r.to())))
        .put(
            "Speeds to",
            new SpeedField(
                session, "Speeds to", SpeedRange::to, (r, v) -> new SpeedRange(r.from(), v)));
  }

  private InputGrid wanted() {
    return new InputGrid(session, 1)
        .with("brief.power", "brief.idle", "brief.vacuum", "brief.budget");
  }

  private InputGrid air() {
    return new InputGrid(session, 1)
        .put("Fuel", Page.choice(session, "Fuel", "mixture.fuel", FuelKind.class))
        .with("mixture.lambda")
        .put("Spark", Page.choice(session, "Spark", "mixture.spark", Mixture.Spark.class))
        .with("mixture.advance", "weather.pressure", "weather.temperature", "weather.humidity");
  }

  private FlowPane kept() {
    var pane = new FlowPane(14, 6);
    for (var part : Brief.Part.values()) {
      var box = new CheckBox(Words.of(part));
      box.setId("kept-" + part.name().toLowerCase(Locale.ROOT));
      session
          .buildProperty()
          .subscribe(b -> box.setSelected(b.combination().brief().kept().contains(part)));
      box.setOnAction(e -> keep(part, box.isSelected()));
      pane.getChildren().add(box);
    }
    return pane;
  }

  private void keep(Brief.Part part, boolean keep) {
    List<Brief.Part> parts = new ArrayList<>(session.build().combination().brief().kept());
    parts.remove(part);
    if (keep) {
      parts.add(part);
    }
    parts.sort(null);
    session.edit(
        "Kept: " + Words.of(part),
        b -> b.with(b.combination().with("brief.kept", List.copyOf(parts))));
  }

  private void judge() {
    var curve = curves.curve().getValue();
    if (curve != null) {
      var build = session.build();
      var all = new ArrayList<>(BriefChecks.of(build, curve, idle.idleProperty().get()));
      all.addAll(BriefChecks.octane(build, curve));
      all.addAll(BriefChecks.budget(build, plan.plan()));
      stands.show(all);
    }
  }
}
