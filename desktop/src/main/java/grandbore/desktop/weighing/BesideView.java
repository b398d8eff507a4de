package grandbore.desktop.weighing;

import grandbore.core.asked.Question;
import grandbore.core.changes.Change;
import grandbore.core.prediction.BuiltEngine;
import grandbore.core.prediction.Curve;
import grandbore.core.prediction.WantedBand;
import grandbore.core.runs.Urgency;
import grandbore.core.studies.CurveDifference;
import grandbore.core.studies.LimitsStudy;
import grandbore.core.studies.SlowSideStudy;
import grandbore.core.studies.SlowStudy;
import grandbore.core.units.UnitSystem;
import grandbore.desktop.controls.Page;
import grandbore.desktop.curve.CurveService;
import grandbore.desktop.look.Look;
import grandbore.desktop.plot.Line;
import grandbore.desktop.plot.PlotPane;
import grandbore.desktop.results.Asking;
import grandbore.desktop.results.ResultService;
import grandbore.desktop.results.RunLine;
import grandbore.desktop.results.Shown;
import grandbore.desktop.session.Session;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Consumer;
import java.util.function.UnaryOperator;
import java.util.stream.IntStream;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;

/** Two to six builds: their curves, what each has over the one on the bench, where they differ. */
final class BesideView extends VBox {
  private static final int MOST_OTHERS = 5;
  private static final int POINTS = 16;

  private final Session session;
  private final UnaryOperator<String> station;
  private final ResultService service;
  private final ResultService limiting;
  private final ResultService slowing;
  private final VBox limits = new VBox();
  private final VBox slow = new VBox();
  private final SpentTime spent;
  private final Asking asking;
  private final MenuButton add;
  private final OfferMenu rungs;
  private final ChangeList ladder;
  private final FlowPane chosen = new FlowPane(6, 4);
  private final Label empty =
      Page.hint("Add a build of the book: it is held against the one on the bench.");
  private final VBox found = new VBox(10);
  private final Label status = Page.hint("");
  private final PlotPane power;
  private final PlotPane gain;
  private final WhyPane why;
  private final StudyKeeper keeper;
  private final List<Session.Over> others = new ArrayList<>();
  private boolean begun;

  BesideView(Session session, CurveService curves, Look look, UnaryOperator<String> station) {
    super(10);
    this.session = session;
    this.station = station;
    service = new ResultService(curves.runs(), Urgency.STUDY, why -> status.setText("✕ " + why));
    limiting = new ResultService(curves.runs(), Urgency.STUDY, why -> status.setText("✕ " + why));
    slowing = new ResultService(curves.runs(), Urgency.STUDY, why -> status.setText("✕ " + why));
    power = new PlotPane(look, "beside-power", "Power", "%.0f");
    gain = new PlotPane(look, "beside-gain", "Torque gained over the build on the bench", "%.1f");
    why = new WhyPane(curves, look);
    keeper = new StudyKeeper(session, "beside-keep");
    asking =
        new Asking(this, this::solve)
            .when(session.buildProperty(), session.readingsProperty(), session.notesProperty());
    spent = new SpentTime(session);
    add =
        BuildMenu.of(
            session,
            "Add a build",
            "beside-add",
            "beside-",
            b -> others.stream().noneMatch(o -> o.id() == b.id()),
            this::put,
            why -> status.setText("✕ " + why));
    rungs =
        new OfferMenu(
            "beside-rungs",
            "Add this build with its changes",
            this::rungs,
            "The ladder of this build has no change");
    ladder = new ChangeList(session);
    chosen.setAlignment(Pos.CENTER_LEFT);
    status.setId("beside-status");
    status.textProperty().subscribe(t -> Page.show(status, !t.isEmpty()));
    getChildren()
        .addAll(chosen, empty, new RunLine("beside-run", service, asking::again), status, found);
    if (session.overProperty().get() != null) {
      others.add(session.overProperty().get());
    }
    session.books().buildsProperty().subscribe(b -> chips());
    session.benchProperty().subscribe(b -> chips());
    sceneProperty()
        .subscribe(
            s -> {
              if (s != null) {
                begin();
              }
            });
  }

  /** Opened first with nothing chosen, the build stands beside itself with all of its ladder. */
  private void begin() {
    if (!begun && others.isEmpty()) {
      begun = true;
      try {
        add(ladder.all().size());
      } catch (IllegalArgumentException e) {
        status.setText("✕ " + e.getMessage());
      }
    }
  }

  private void put(Session.Over other) {
    boolean has = others.stream().anyMatch(o -> o.id() == other.id());
    if (others.size() < MOST_OTHERS && !has) {
      others.add(other);
      chips();
      asking.soon();
    }
  }

  /** This build with the first changes of its ladder, as it is now; its number is less than 0. */
  private List<MenuItem> rungs() {
    var all = ladder.all();
    return IntStream.rangeClosed(1, all.size())
        .mapToObj(k -> OfferMenu.item("beside-rung-" + k, rung(all, k), () -> add(k)))
        .toList();
  }

  private void add(int count) {
    if (count == 0) {
      return;
    }
    try {
      put(made(count));
    } catch (IllegalArgumentException e) {
      status.setText("✕ " + e.getMessage());
    }
  }

  private static String rung(List<Change> all, int count) {
    return count == 1 ? "With " + all.getFirst().name() : "With changes 1 to %d".formatted(count);
  }

  /** Refused where they do not fit this build. */
  private Session.Over made(int count) {
    var first = ladder.all().subList(0, count);
    var build = session.build();
    return new Session.Over(
        -count,
        build.with(Change.on(build.combination(), first).named(rung(ladder.all(), count))),
        Change.on(session.engine(), first));
  }

  /** What is made of this build follows it; what does not fit it any more goes. */
  private void follow() {
    var now = new ArrayList<Session.Over>();
    for (var o : others) {
      try {
        if (o.id() > 0) {
          now.add(o);
        } else if (-o.id() <= ladder.all().size()) {
          now.add(made((int) -o.id()));
        }
      } catch (IllegalArgumentException e) {
        status.setText("✕ " + e.getMessage());
      }
    }
    others.clear();
    others.addAll(now);
  }

  /** Money that each costs over the build on the bench; not a number where nobody knows. */
  private List<Double> money() {
    var all = new ArrayList<Double>();
    all.add(0.0);
    for (var o : others) {
      all.add(
          o.id() < 0
              ? ladder.all().subList(0, (int) -o.id()).stream()
                  .mapToDouble(c -> c.cost().money())
                  .sum()
              : Double.NaN);
    }
    return all;
  }

  private void chips() {
    follow();
    others.removeIf(o -> o.id() == session.id());
    var base = new Label(session.build().name() + ", on the bench");
    base.setId("beside-base");
    chosen.getChildren().setAll(base);
    for (var o : others) {
      var chip = new Button(o.build().name() + "  ×");
      chip.setId("beside-chip-" + o.id());
      chip.getStyleClass().add("small");
      chip.setAccessibleText("Take " + o.build().name() + " away");
      chip.setMinWidth(USE_PREF_SIZE);
      chip.setOnAction(
          e -> {
            others.remove(o);
            chips();
            asking.soon();
          });
      chosen.getChildren().add(chip);
    }
    chosen.getChildren().addAll(add, rungs, keeper);
    add.setDisable(others.size() >= MOST_OTHERS);
    rungs.setDisable(others.size() >= MOST_OTHERS);
    Page.show(empty, others.isEmpty());
    Page.show(found, !others.isEmpty() && !found.getChildren().isEmpty());
    if (others.isEmpty()) {
      service.cancel();
      Page.show(keeper, false);
      limiting.cancel();
      slowing.cancel();
      status.setText("");
      found.getChildren().clear();
    }
  }

  private void solve() {
    if (others.isEmpty()) {
      asking.forget();
      return;
    }
    // As they are now: what is added or taken away while they run is another question.
    var all = new ArrayList<Session.Over>();
    all.add(new Session.Over(session.id(), session.build(), session.engine()));
    all.addAll(others);
    var engines = all.stream().map(Session.Over::engine).toList();
    var names = all.stream().map(o -> o.build().name()).toList();
    var money = money();
    var units = session.build().units();
    var band = WantedBand.of(session.build().combination().brief());
    var speeds = session.build().speeds().points(POINTS);
    var keys = engines.stream().map(BuiltEngine::key).toList();
    if (!asking.isNew(keys, names, money, units, band, speeds, spent.spent())) {
      return;
    }
    found.setOpacity(0.45);
    var question =
        new Question.OfBeside(
            others.stream().map(o -> new Question.Rival(o.build().name(), o.engine())).toList(),
            speeds,
            band);
    keeper.asked(question);
    var posed = question.to(session.engine());
    service.ask(
        posed.study(),
        curves -> {
          show(all, money, curves, band, new Shown(units));
          keeper.answered(posed.answer().apply(curves, units));
        });
  }

  private void show(
      List<Session.Over> all,
      List<Double> money,
      List<Curve> curves,
      WantedBand band,
      Shown shown) {
    var engines = all.stream().map(Session.Over::engine).toList();
    var names = all.stream().map(o -> o.build().name()).toList();
    found.setOpacity(1);
    status.setText("");
    var powers = new ArrayList<Line>();
    var gains = new ArrayList<Line>();
    for (int i = 0; i < curves.size(); i++) {
      powers.add(line(names.get(i), curves.get(i), shown));
      var more = CurveDifference.of(curves.getFirst(), curves.get(i)).points();
      gains.add(
          new Line(
              i == 0 ? "on the bench" : names.get(i),
              more.stream().mapToDouble(CurveDifference.Point::rpm).toArray(),
              more.stream().mapToDouble(p -> shown.torque().fromSi(p.torque())).toArray()));
    }
    power.show("rpm", shown.power().symbol(), powers, band.from(), band.to());
    gain.show("rpm", shown.torque().symbol(), gains, band.from(), band.to());
    var parts = new ArrayList<Node>();
    parts.add(PlotPane.pair(power, gain));
    parts.add(spent);
    parts.add(new BesideFigures(engines, names, curves, band, spent.spent(), money, shown.units()));
    parts.add(slow);
    limits(all, names, curves);
    slow(engines, names, shown.units());
    why.of(engines.getFirst(), engines.getLast(), names.getLast(), band, shown);
    parts.add(why);
    parts.add(limits);
    parts.add(
        new BesideInputs(
            engines.stream().map(BuiltEngine::combination).toList(),
            names,
            shown.units(),
            station));
    found.getChildren().setAll(parts);
    Page.show(found, true);
  }

  /** Their limits once those are told, in their place. */
  private void limits(List<Session.Over> all, List<String> names, List<Curve> curves) {
    limits.getChildren().clear();
    var each = new ArrayList<LimitsStudy.One>();
    for (int i = 0; i < all.size(); i++) {
      each.add(new LimitsStudy.One(all.get(i).build(), all.get(i).engine(), curves.get(i)));
    }
    limiting.ask(
        new LimitsStudy(each),
        found -> limits.getChildren().setAll(new BesideLimits(names, found)));
  }

  /** Cranked and idling, each as soon as it is known. */
  private void slow(List<BuiltEngine> engines, List<String> names, UnitSystem units) {
    slow.getChildren().clear();
    Consumer<List<SlowStudy.Slow>> told =
        solved -> slow.getChildren().setAll(new BesideSlow(engines, names, solved, units));
    slowing.ask(new SlowSideStudy(engines), told, told);
  }

  private static Line line(String name, Curve curve, Shown shown) {
    var points = curve.settled();
    return new Line(
        name,
        points.stream().mapToDouble(p -> p.rpm()).toArray(),
        points.stream().mapToDouble(p -> shown.power().fromSi(p.power())).toArray());
  }
}
