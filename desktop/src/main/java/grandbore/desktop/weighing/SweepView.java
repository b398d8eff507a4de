package grandbore.desktop.weighing;

import grandbore.core.asked.Answers;
import grandbore.core.asked.Question;
import grandbore.core.combination.InvalidInput;
import grandbore.core.combination.Specs;
import grandbore.core.prediction.WantedBand;
import grandbore.core.runs.Urgency;
import grandbore.core.studies.CurveDifference;
import grandbore.core.studies.Goal;
import grandbore.core.studies.InputSweep;
import grandbore.core.studies.InputSweepStudy;
import grandbore.core.studies.Repeatability;
import grandbore.core.studies.Rung;
import grandbore.core.studies.SweepAxis;
import grandbore.core.units.Entry;
import grandbore.core.units.Quantity;
import grandbore.desktop.controls.CommitField;
import grandbore.desktop.controls.InputField;
import grandbore.desktop.controls.Page;
import grandbore.desktop.controls.Refusal;
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
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.function.UnaryOperator;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.Slider;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** One input over a range: a fan of curves, what each value gives, the best one taken over. */
public final class SweepView extends VBox {
  private static final int POINTS = 12;
  private static final int STEPS = 7;

  private final Session session;
  private final ResultService service;
  private final Asking asking;
  private final InputPicker picker;
  private final Refusal refusal = new Refusal();
  private final CommitField from = new CommitField("sweep from", t -> range(t, true), refusal);
  private final CommitField to = new CommitField("sweep to", t -> range(t, false), refusal);
  private final Label unit = new Label();
  private final Label status = Page.hint("");
  private final Button take = Page.button("Take it into the build", "sweep-take");
  private final ComboBox<Goal> score = GoalUnit.box("sweep-score", "what is weighed", "");
  private final VBox table = new VBox();
  private final PlotPane fan;
  private final Slider pick = new Slider();
  private final Label picked = new Label();
  private final PlotPane average;
  private final StudyKeeper keeper;
  private Specs.Field field = Specs.field("exhaust.primaryLength");
  private SweepAxis axis;
  private InputSweep found;

  /** As far as it is run. */
  private InputSweep drawn;

  SweepView(Session session, CurveService curves, Look look, UnaryOperator<String> station) {
    super(10);
    this.session = session;
    picker = new InputPicker("sweep", station, f -> sweep(f.path()));
    getStyleClass().add("sweep-view");
    service = new ResultService(curves.runs(), Urgency.STUDY, why -> status.setText("✕ " + why));
    keeper = new StudyKeeper(session, "sweep-keep");
    fan = new PlotPane(look, "sweep-fan", "Torque gained over the build as it stands", "%.1f");
    average = new PlotPane(look, "sweep-average", "What each value comes to", "%.1f");
    asking =
        new Asking(this, this::solve).when(session.buildProperty(), session.readingsProperty());
    from.setId("sweep-from");
    to.setId("sweep-to");
    unit.getStyleClass().add("unit");
    status.setId("sweep-status");
    status.textProperty().subscribe(t -> Page.show(status, !t.isEmpty()));
    take.setOnAction(e -> take());
    Page.show(take, false);
    score.getItems().setAll(GoalUnit.scores());
    score.setValue(Goal.BAND_POWER);
    score.setOnAction(e -> scored());
    var by = new HBox(8, new Label("by"), score);
    by.setAlignment(Pos.CENTER_LEFT);
    var row = new FlowPane(8, 4);
    row.getChildren().addAll(picker.boxes());
    row.getChildren().addAll(new Label("from"), from, new Label("to"), to, unit, by);
    row.setAlignment(Pos.CENTER_LEFT);
    var says = new FlowPane(10, 4, status, take, keeper);
    says.setAlignment(Pos.CENTER_LEFT);
    status.setWrapText(false);
    getChildren()
        .addAll(
            row,
            refusal,
            new RunLine("sweep-run", service, asking::again),
            says,
            PlotPane.pair(fan, average),
            picker(),
            table);
    sweep(field.path());
    session.buildProperty().subscribe(b -> around());
  }

  /** Picks one curve of the fan: by the slider, or by pointing at a value on the other plot. */
  private HBox picker() {
    pick.setId("sweep-pick");
    pick.setAccessibleText("curve of the fan");
    pick.setMin(0);
    pick.setBlockIncrement(1);
    pick.setMajorTickUnit(1);
    pick.setMinorTickCount(0);
    pick.setSnapToTicks(true);
    pick.setPrefWidth(220);
    picked.setId("sweep-picked");
    pick.valueProperty().subscribe(v -> picked());
    average.onPoint(
        at -> {
          if (drawn != null) {
            var unit = quantity().unit(session.build().units());
            pick.setValue(1 + nearest(drawn, unit.toSi(at)));
          }
        });
    var row = new HBox(8, new Label("one curve"), pick, picked);
    row.setAlignment(Pos.CENTER_LEFT);
    return row;
  }

  private static int nearest(InputSweep sweep, double si) {
    return IntStream.range(0, sweep.rungs().size())
        .boxed()
        .min(Comparator.comparingDouble(i -> Math.abs(sweep.value(0, i) - si)))
        .orElse(0);
  }

  /** The first place of the slider picks none. */
  private void picked() {
    int which = (int) Math.round(pick.getValue()) - 1;
    fan.pick(lineOf(which));
    if (drawn == null || which < 0 || which >= drawn.rungs().size()) {
      picked.setText("all of them");
      return;
    }
    var units = session.build().units();
    var rung = drawn.rungs().get(which);
    picked.setText(
        "%s: %s"
            .formatted(
                quantity().show(drawn.value(0, which), units),
                rung.refused().isEmpty()
                    ? score.getValue().show(score(rung), units)
                    : rung.refused()));
  }

  /** Which line of the fan a value's curve is; those that could not be built have none. */
  private int lineOf(int which) {
    if (drawn == null || which < 0 || which >= drawn.rungs().size()) {
      return -1;
    }
    return drawn.rungs().get(which).curve().isEmpty()
        ? -1
        : (int) drawn.rungs().subList(0, which).stream().filter(r -> r.curve().isPresent()).count();
  }

  /** Sweeps an input, a fifth up and down from where it stands. */
  public void sweep(String path) {
    field = Specs.field(path);
    picker.show(field);
    axis = null;
    around();
    asking.soon();
  }

  private Quantity quantity() {
    return field.spec().quantity();
  }

  /** The range as it stands; a new one where there is none. */
  private void around() {
    var units = session.build().units();
    refusal.clear();
    if (axis == null) {
      try {
        axis = SweepAxis.around(session.engine().combination(), field.path(), STEPS);
      } catch (InvalidInput e) {
        from.show("");
        to.show("");
        unit.setText("");
        refusal.say("Not known here: write from where to where");
        return;
      }
    }
    from.show(quantity().number(axis.values().getFirst(), units));
    to.show(quantity().number(axis.values().getLast(), units));
    unit.setText(InputField.symbol(quantity(), units));
  }

  private void range(String typed, boolean first) {
    var units = session.build().units();
    double si = Entry.parse(typed, quantity(), units, 0);
    String other = first ? to.getText() : from.getText();
    if (other.isBlank()) {
      return;
    }
    double there = Entry.parse(other, quantity(), units, 0);
    axis = SweepAxis.over(field.path(), first ? si : there, first ? there : si, STEPS);
    around();
    asking.soon();
  }

  private void solve() {
    if (axis == null) {
      return;
    }
    var units = session.build().units();
    var band = band();
    var engine = session.engine();
    boolean idle = score.getValue().isOfIdle();
    if (!asking.isNew(engine.key(), axis, band, units, idle)) {
      return;
    }
    found = null;
    Page.show(take, false);
    status.setText("");
    var speeds = session.build().speeds().points(POINTS);
    keeper.asked(new Question.OfSweep(List.of(axis), speeds, band, idle));
    service.ask(
        new InputSweepStudy(engine, List.of(axis), speeds, band, idle),
        this::draw,
        sweep -> {
          draw(sweep);
          conclude(sweep);
          keeper.answered(Answers.of(sweep, idle, units));
        });
  }

  /** Another score of what was run; only an idle has to be run for. */
  private void scored() {
    if (found == null || score.getValue().isOfIdle()) {
      asking.soon();
    } else {
      draw(found);
      conclude(found);
    }
  }

  private double score(Rung rung) {
    return score.getValue().of(rung, band(), 0);
  }

  private WantedBand band() {
    return WantedBand.of(session.build().combination().brief());
  }

  private void draw(InputSweep sweep) {
    var shown = new Shown(session.build().units());
    var by = GoalUnit.of(score.getValue(), shown.units());
    var gains = new ArrayList<Line>();
    var at = new ArrayList<Double>();
    var averages = new ArrayList<Double>();
    for (int i = 0; i < sweep.rungs().size(); i++) {
      var rung = sweep.rungs().get(i);
      at.add(quantity().unit(shown.units()).fromSi(sweep.value(0, i)));
      averages.add(by.of(score(rung)));
      if (rung.curve().isPresent() && sweep.base().curve().isPresent()) {
        var more = CurveDifference.of(sweep.base().curve().get(), rung.curve().get()).points();
        gains.add(
            new Line(
                quantity().show(sweep.value(0, i), shown.units()),
                more.stream().mapToDouble(CurveDifference.Point::rpm).toArray(),
                more.stream().mapToDouble(p -> shown.torque().fromSi(p.torque())).toArray()));
      }
    }
    drawn = sweep;
    pick.setMax(sweep.rungs().size());
    var band = band();
    fan.show("rpm", shown.torque().symbol(), gains, band.from(), band.to());
    average.digits(GoalUnit.format(score.getValue(), shown.units()));
    average.show(
        field.spec().label().toLowerCase(Locale.ROOT)
            + ", "
            + InputField.symbol(quantity(), shown.units()),
        by.symbol(),
        List.of(new Line(score.getValue().label(), array(at), array(averages))));
    picked();
    table
        .getChildren()
        .setAll(new SweepTable(sweep, quantity(), shown.units(), score.getValue(), band));
  }

  private static double[] array(List<Double> values) {
    return values.stream().mapToDouble(Double::doubleValue).toArray();
  }

  private void conclude(InputSweep sweep) {
    found = sweep;
    var units = session.build().units();
    int best = sweep.best(this::score);
    var refused = sweep.rungs().stream().map(Rung::refused).filter(r -> !r.isEmpty()).findFirst();
    if (best < 0) {
      status.setText("✕ none of these settles" + refused.map(r -> ": " + r).orElse(""));
      return;
    }
    double most = score(sweep.rungs().get(best));
    double least =
        sweep.rungs().stream()
            .mapToDouble(this::score)
            .filter(p -> !Double.isNaN(p))
            .min()
            .orElse(most);
    if (!Repeatability.tells(most - least, most)) {
      status.setText("No difference it can tell over this range.");
      return;
    }
    boolean end = best == 0 || best == sweep.rungs().size() - 1;
    double stands = score(sweep.base());
    // An engine without a score, such as one that can't idle, is bettered by any that has it.
    boolean gains = Double.isNaN(stands) || Repeatability.tells(most - stands, most);
    status.setText(
        gains
            ? "Most at %s: %s, %s as it stands%s%s"
                .formatted(
                    quantity().show(sweep.value(0, best), units),
                    score.getValue().show(most, units),
                    score.getValue().show(stands, units),
                    end ? ", at the end of the range" : "",
                    refused.map(r -> ". Some do not fit: " + r).orElse(""))
            : "It stands at its best here: no value gives more that it can tell.");
    Page.show(take, gains);
  }

  private void take() {
    double value = found.value(0, found.best(this::score));
    var given = field.get(session.build().combination());
    Page.show(take, false);
    if (ReadInputs.among(session, Stream.of(field.path()))) {
      status.setText(ReadInputs.SAYS);
      return;
    }
    session.put(field, given.with(value, given.provenance()));
  }
}
