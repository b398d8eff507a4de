package grandbore.desktop.weighing;

import grandbore.core.asked.Answers;
import grandbore.core.asked.Question;
import grandbore.core.changes.Change;
import grandbore.core.combination.Given;
import grandbore.core.combination.InvalidInput;
import grandbore.core.combination.Specs;
import grandbore.core.prediction.WantedBand;
import grandbore.core.runs.Urgency;
import grandbore.core.studies.Goal;
import grandbore.core.studies.InputSweep;
import grandbore.core.studies.InputSweepStudy;
import grandbore.core.studies.Repeatability;
import grandbore.core.studies.SweepAxis;
import grandbore.core.units.UnitSystem;
import grandbore.desktop.controls.InputField;
import grandbore.desktop.controls.Page;
import grandbore.desktop.controls.Refusal;
import grandbore.desktop.curve.CurveService;
import grandbore.desktop.look.Look;
import grandbore.desktop.plot.MapPane;
import grandbore.desktop.results.Paced;
import grandbore.desktop.results.ResultService;
import grandbore.desktop.results.RunLine;
import grandbore.desktop.session.Session;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.function.UnaryOperator;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;

/** Two inputs over their ranges as a map, and the best of it into the build. */
final class MapView extends VBox {
  private static final int STEPS = 9;

  private final Session session;
  private final ResultService service;
  private final Refusal refusal = new Refusal();
  private final VBox axes = new VBox(4);
  private final ComboBox<Goal> score = GoalUnit.box("map-score", "what is mapped", "");
  private final Label status = Page.hint("");
  private final Button take = Page.button("Take it into the build", "map-take");
  private final StudyKeeper keeper;
  private final MapPane map;
  private final FreeInput[] ranges = new FreeInput[2];
  private InputSweep found;

  /** Whether the engines of the map were idled too, which takes its time. */
  private boolean idled;

  private final Paced paced = new Paced();

  MapView(Session session, CurveService curves, Look look, UnaryOperator<String> station) {
    super(10);
    this.session = session;
    setId("map-view");
    service = new ResultService(curves.runs(), Urgency.STUDY, why -> status.setText("✕ " + why));
    keeper = new StudyKeeper(session, "map-keep");
    map = new MapPane(look, "map", "Over two inputs", "%.1f");
    String[] first = {"exhaust.primaryLength", "exhaust.primaryDiameter"};
    String[] names = {"across", "up"};
    for (int axis = 0; axis < 2; axis++) {
      int at = axis;
      var row = new FlowPane(8, 4);
      row.setAlignment(Pos.CENTER_LEFT);
      var picker = new InputPicker("map-" + names[axis], station, f -> range(at, row, f));
      var name = new Label(names[axis]);
      name.setMinWidth(46);
      row.getChildren().add(name);
      row.getChildren().addAll(picker.boxes());
      axes.getChildren().add(row);
      picker.show(Specs.field(first[axis]));
      range(axis, row, Specs.field(first[axis]));
    }
    score.getItems().setAll(GoalUnit.scores());
    score.setValue(Goal.BAND_POWER);
    score.setOnAction(
        e -> {
          if (found != null && score.getValue().isOfIdle() && !idled) {
            run();
          } else if (found != null) {
            draw(found);
            conclude();
          }
        });
    status.setId("map-status");
    status.textProperty().subscribe(t -> Page.show(status, !t.isEmpty()));
    take.setOnAction(e -> take());
    Page.show(take, false);
    var go = Page.button("Run the map", "map-go");
    go.setOnAction(e -> run());
    var act =
        new FlowPane(8, 4, new Label("of"), score, go, new RunLine("map-run", service, this::run));
    act.setAlignment(Pos.CENTER_LEFT);
    var says = new FlowPane(10, 4, status, take, keeper);
    says.setAlignment(Pos.CENTER_LEFT);
    getChildren().addAll(axes, refusal, act, says, map);
    Page.show(map, false);
  }

  /** The range of an axis, a fifth up and down from where the engine has its input. */
  private void range(int axis, FlowPane row, Specs.Field field) {
    refusal.clear();
    row.getChildren().removeIf(FreeInput.class::isInstance);
    ranges[axis] = null;
    try {
      ranges[axis] =
          new FreeInput(
              FreeInput.around(session.engine().combination(), field),
              session.build().units(),
              refusal,
              null);
      row.getChildren().add(ranges[axis]);
    } catch (InvalidInput e) {
      refusal.say(e.getMessage());
    }
  }

  private WantedBand band() {
    return WantedBand.of(session.build().combination().brief());
  }

  private void run() {
    refusal.clear();
    if (ranges[0] == null || ranges[1] == null) {
      refusal.say("Each side wants an input that is known here");
      return;
    }
    try {
      // The last axis changes fastest: it lies across.
      var up = steps(ranges[1]);
      var across = steps(ranges[0]);
      found = null;
      idled = score.getValue().isOfIdle();
      Page.show(take, false);
      status.setText("");
      var axes = List.of(up, across);
      boolean idle = idled;
      var units = session.build().units();
      keeper.asked(new Question.OfSweep(axes, band().fewSpeeds(), band(), idle));
      service.ask(
          new InputSweepStudy(session.engine(), axes, band().fewSpeeds(), band(), idle),
          this::part,
          whole -> {
            found = whole;
            draw(whole);
            conclude();
            keeper.answered(Answers.of(whole, idle, units));
          });
    } catch (InvalidInput e) {
      refusal.say(e.getMessage());
    }
  }

  private static SweepAxis steps(FreeInput range) {
    var ends = range.range();
    return SweepAxis.over(ends.path(), ends.values().getFirst(), ends.values().getLast(), STEPS);
  }

  private void part(InputSweep sweep) {
    if (paced.isDue()) {
      draw(sweep);
    }
  }

  private double score(InputSweep sweep, int place) {
    return place < sweep.rungs().size()
        ? score.getValue().of(sweep.rungs().get(place), band(), 0)
        : Double.NaN;
  }

  private GoalUnit unit() {
    return GoalUnit.of(score.getValue(), session.build().units());
  }

  private void draw(InputSweep sweep) {
    var units = session.build().units();
    var up = sweep.axes().getFirst();
    var across = sweep.axes().getLast();
    var values = new double[STEPS][STEPS];
    for (int j = 0; j < STEPS; j++) {
      for (int i = 0; i < STEPS; i++) {
        values[j][i] = unit().of(score(sweep, j * STEPS + i));
      }
    }
    Page.show(map, true);
    map.digits(GoalUnit.format(score.getValue(), units));
    map.show(
        name(across, units),
        in(across, units),
        name(up, units),
        in(up, units),
        unit().symbol(),
        values);
  }

  private static String name(SweepAxis axis, UnitSystem units) {
    var spec = Specs.field(axis.path()).spec();
    return spec.label().toLowerCase(Locale.ROOT) + ", " + InputField.symbol(spec.quantity(), units);
  }

  private static double[] in(SweepAxis axis, UnitSystem units) {
    var unit = Specs.field(axis.path()).spec().quantity().unit(units);
    return axis.values().stream().mapToDouble(unit::fromSi).toArray();
  }

  private int best() {
    return found.best(r -> score.getValue().of(r, band(), 0));
  }

  private void conclude() {
    int best = best();
    if (best < 0) {
      status.setText("✕ none of these settles or can be built");
      return;
    }
    var units = session.build().units();
    double is = score(found, best);
    double stands = score.getValue().of(found.base(), band(), 0);
    boolean gains = Repeatability.tells(is - stands, is) && is > stands;
    status.setText(
        gains
            ? "Most at %s and %s: %s, %s as it stands%s."
                .formatted(
                    value(1, best, units),
                    value(0, best, units),
                    score.getValue().show(is, units),
                    score.getValue().show(stands, units),
                    isAtAnEdge(best) ? "; it lies at an end of its range" : "")
            : "It stands at its best here: no place gives more that it can tell.");
    Page.show(take, gains);
  }

  private static boolean isAtAnEdge(int place) {
    int i = place % STEPS;
    int j = place / STEPS;
    return i == 0 || j == 0 || i == STEPS - 1 || j == STEPS - 1;
  }

  private String value(int axis, int place, UnitSystem units) {
    var spec = Specs.field(found.axes().get(axis).path()).spec();
    return spec.quantity().show(found.value(axis, place), units);
  }

  private void take() {
    int best = best();
    Page.show(take, false);
    if (ReadInputs.among(session, found.axes().stream().map(SweepAxis::path))) {
      status.setText(ReadInputs.SAYS);
      return;
    }
    session.edit(
        "Best of the map",
        b -> {
          var c = b.combination();
          return b.with(
              new Change(
                      "Best of the map",
                      Map.of(
                          found.axes().get(0).path(), set(c, 0, best),
                          found.axes().get(1).path(), set(c, 1, best)))
                  .on(c));
        });
  }

  private Given set(grandbore.core.combination.Combination c, int axis, int place) {
    var given = (Given) c.at(found.axes().get(axis).path());
    return given.with(found.value(axis, place), given.provenance());
  }
}
