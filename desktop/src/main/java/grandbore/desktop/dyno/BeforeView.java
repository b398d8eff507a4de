package grandbore.desktop.dyno;

import grandbore.book.BuildDocument;
import grandbore.book.DynoJson;
import grandbore.book.FrozenBuild;
import grandbore.core.asked.Answer;
import grandbore.core.clearances.OnDyno;
import grandbore.core.dyno.effects.Repeats;
import grandbore.core.dyno.plan.FreezeStudy;
import grandbore.core.dyno.plan.PlanStudy;
import grandbore.core.dyno.plan.PlannedPull;
import grandbore.core.dyno.plan.PullPlan;
import grandbore.core.prediction.ModelVersion;
import grandbore.core.prediction.WantedBand;
import grandbore.core.runs.Urgency;
import grandbore.core.studies.Doubt;
import grandbore.core.units.Quantity;
import grandbore.desktop.controls.AnswerTable;
import grandbore.desktop.controls.Page;
import grandbore.desktop.curve.BandOfDoubt;
import grandbore.desktop.curve.CurveService;
import grandbore.desktop.results.Asking;
import grandbore.desktop.results.ResultService;
import grandbore.desktop.results.RunLine;
import grandbore.desktop.session.Session;
import java.time.Instant;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Optional;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;

/** What to look at, the frozen prediction, and the plan of pulls with what it costs. */
final class BeforeView extends VBox {
  private static final List<String> LOOK_AT =
      List.of(
          "Oil and water full, hoses and belts clear of what turns, no leak after the warm-up",
          "Driveshaft guarded; bolts of brake, flywheel and mounts torqued and marked",
          "Throttle opens wide and springs shut by itself; the kill switch was tried",
          "Pointer proved at a positive stop, not at the mark alone",
          "Brake's arm checked with its known weight; air hat on; lambda sensors in their places",
          "Fuel as its maker says, enough of it, its octane on the can; extinguisher in reach");

  private static final double USUAL_RATE = 120;
  private static final double MOST_RATE = 100_000;

  private final Session session;
  private final DynoState state;
  private final BandOfDoubt sampled;
  private final ResultService freezing;
  private final ResultService planning;
  private final Asking asking;
  private final Label frozen = new Label();
  private final Label trouble = Page.hint("");
  private final VBox plan = new VBox(6);
  private final TextField rate = Page.words("dyno-rate", "money an hour", 6);
  private Optional<PullPlan> planned = Optional.empty();

  BeforeView(Session session, CurveService curves, DynoState state) {
    super(10);
    this.session = session;
    this.state = state;
    sampled = curves.doubt();
    freezing = new ResultService(curves.runs(), Urgency.STUDY, why -> trouble.setText("✕ " + why));
    planning = new ResultService(curves.runs(), Urgency.STUDY, why -> trouble.setText("✕ " + why));
    trouble.textProperty().subscribe(t -> Page.show(trouble, !t.isEmpty()));
    frozen.setId("dyno-frozen");
    frozen.setWrapText(true);
    var freeze = Page.button("Freeze the prediction as it stands", "dyno-freeze");
    freeze.setOnAction(e -> freeze());
    plan.setId("dyno-planned");
    rate.setText("%.0f".formatted(USUAL_RATE));
    rate.textProperty().subscribe(t -> showPlan());
    var cost = new FlowPane(8, 4, new Label("Dyno, money an hour"), rate);
    cost.setAlignment(Pos.CENTER_LEFT);
    var looks = new VBox(2);
    LOOK_AT.forEach(
        words -> {
          var line = new Label("·  " + words);
          line.setWrapText(true);
          looks.getChildren().add(line);
        });
    var rules = new VBox(2);
    PullPlan.STOP_RULES.forEach(r -> rules.getChildren().add(Page.hint(r)));
    asking = new Asking(this, this::ask).when(session.buildProperty(), state.bookProperty());
    state.bookProperty().subscribe(b -> showFrozen());
    getChildren()
        .addAll(
            Page.caution(
                "Hearing and eyes protected; nobody beside the flywheel or in line with a"
                    + " driveshaft; hot and turning parts guarded; exhaust led outside and the room"
                    + " aired; fire extinguisher in reach; fuel handled as its maker says. The"
                    + " dyno's operator and the law of the place decide."),
            Page.part("Look at"),
            looks,
            Page.part("Frozen prediction"),
            frozen,
            new FlowPane(8, 4, freeze),
            new RunLine("dyno-freezing", freezing, this::freeze),
            trouble,
            Page.part("Plan of pulls"),
            cost,
            new RunLine("dyno-planning", planning, asking::again),
            plan,
            Page.part("When spark is enough"),
            rules);
  }

  private void freeze() {
    trouble.setText("");
    var build = session.build();
    var engine = session.engine();
    var readings = session.readings().all();
    var speeds = build.speeds().points(19);
    var at = Instant.now().truncatedTo(ChronoUnit.SECONDS);
    freezing.ask(
        new FreezeStudy(
            engine, build.name(), at, speeds, speeds.stream().map(this::doubt).toList()),
        found ->
            session.keep(
                new OnDyno(
                    OnDyno.Kind.FROZEN,
                    DynoJson.write(
                        new FrozenBuild(
                            ModelVersion.CURRENT, new BuildDocument(build, readings), found))),
                ""));
  }

  /** The model's own doubt, with that of the inputs where it was sampled. */
  private double doubt(double rpm) {
    double model = sampled.model().share();
    return sampled
        .knownProperty()
        .get()
        .filter(k -> k.of().equals(session.engine().key()) && k.isWhole())
        .map(k -> k.doubt().share(rpm))
        .map(r -> Math.hypot((r.high() - r.low()) / (2 * Doubt.FOUR_FIFTHS), model))
        .orElse(model);
  }

  private void showFrozen() {
    var of = state.book().frozen();
    if (of.isEmpty()) {
      frozen.setText(
          "Nothing is frozen yet. What was predicted before the first pull is the only prediction"
              + " that can be judged.");
      return;
    }
    var p = of.get().prediction();
    var units = session.build().units();
    var best =
        p.rows().stream()
            .max(java.util.Comparator.comparingDouble(r -> r.torque() * r.rpm()))
            .orElseThrow();
    frozen.setText(
        "“%s” of %s: %s at %,.0f rpm, four fifths of what the model may be off between %s and %s."
            .formatted(
                p.name(),
                DateTimeFormatter.ofPattern("yyyy-MM-dd HH:mm")
                    .withZone(ZoneId.systemDefault())
                    .format(p.at()),
                Quantity.POWER.show(best.torque() * best.rpm() * Math.PI / 30, units),
                best.rpm(),
                Quantity.POWER.show(best.low() * best.rpm() * Math.PI / 30, units),
                Quantity.POWER.show(best.high() * best.rpm() * Math.PI / 30, units)));
  }

  private void ask() {
    var engine = session.engine();
    var band = WantedBand.of(session.build().combination().brief());
    var repeats =
        Repeats.of(state.book().good(), state.standardProperty().get(), band.from(), band.to());
    var jets = state.book().jets();
    if (asking.isNew(engine.key(), band, repeats, jets)) {
      planning.ask(
          new PlanStudy(engine, band, repeats, jets),
          found -> {
            planned = Optional.of(found);
            showPlan();
          });
    }
  }

  private void showPlan() {
    plan.getChildren().clear();
    if (planned.isEmpty()) {
      return;
    }
    double money = money();
    var rows = planned.get().pulls().stream().map(p -> row(p, money)).toList();
    plan.getChildren()
        .add(
            new AnswerTable(
                new Answer.Table(
                    "%.0f minutes in all%s; what the model expects of the band's average, against"
                            .formatted(
                                planned.get().minutes(),
                                Double.isNaN(money)
                                    ? ""
                                    : ", %.0f of money"
                                        .formatted(money * planned.get().minutes() / 60))
                        + " the spark of most power held",
                    List.of(
                        "Pull", "What and why", "Minutes", "Cost", "Expected, %", "Counts from, %"),
                    rows)));
  }

  private static List<String> row(PlannedPull p, double money) {
    boolean run = Double.isFinite(p.expected());
    return List.of(
        p.kind().word(),
        p.what() + (run && !p.isWorth() ? " (less than counts)" : "") + ": " + p.why(),
        "%.0f".formatted(p.minutes()),
        Double.isNaN(money) ? "" : "%.0f".formatted(p.cost(money)),
        run ? "%+.1f".formatted(Math.rint(1000 * p.expected()) / 10 + 0.0) : "",
        run ? "%.1f".formatted(100 * p.counts()) : "");
  }

  /** Not a number where it is none. */
  private double money() {
    try {
      double typed = Double.parseDouble(rate.getText().strip());
      return typed >= 0 && typed <= MOST_RATE ? typed : Double.NaN;
    } catch (NumberFormatException e) {
      return Double.NaN;
    }
  }
}
