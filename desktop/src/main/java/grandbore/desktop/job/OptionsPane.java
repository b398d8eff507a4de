package grandbore.desktop.job;

import grandbore.book.JobJson;
import grandbore.book.JobSheet;
import grandbore.book.PlannedChanges;
import grandbore.core.asked.Answer;
import grandbore.core.build.Build;
import grandbore.core.changes.Change;
import grandbore.core.clearances.OnJob;
import grandbore.core.clearances.Planned;
import grandbore.core.job.Option;
import grandbore.core.job.OptionDate;
import grandbore.core.job.route.Step;
import grandbore.core.prediction.BuiltEngine;
import grandbore.core.prediction.Curve;
import grandbore.core.prediction.WantedBand;
import grandbore.core.runs.Urgency;
import grandbore.core.studies.CurvesStudy;
import grandbore.core.units.Measure;
import grandbore.core.units.Quantity;
import grandbore.desktop.controls.AnswerTable;
import grandbore.desktop.controls.Page;
import grandbore.desktop.controls.TypedNumber;
import grandbore.desktop.controls.WhenSeen;
import grandbore.desktop.curve.CurveService;
import grandbore.desktop.results.ResultService;
import grandbore.desktop.results.RunLine;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.VBox;

/** Ways to go on beside one another: price, the day of the dyno, and what the engine makes. */
final class OptionsPane extends VBox {
  private static final int SPEEDS = 7;

  private final JobState state;
  private final ResultService service;
  private final Label status = Page.hint("");
  private final VBox table = new VBox();
  private final TextField question = Fields.field("option-question", "which cam", 14);
  private final TextField title = Fields.field("option-title", "repair, replace, another", 20);
  private final TextField price = Fields.field("option-price", "0", 7);
  private final TextField hours = Fields.field("option-hours", "0", 4);
  private final TextField days = Fields.field("option-days", "0", 4);
  private final ComboBox<String> step = new ComboBox<>();
  private final ComboBox<String> change = new ComboBox<>();
  private final Map<String, Curve> predicted = new HashMap<>();

  OptionsPane(JobState state, CurveService curves) {
    super(8);
    this.state = state;
    setId("options-pane");
    getStyleClass().add("group");
    service = new ResultService(curves.runs(), Urgency.STUDY, why -> status.setText("✕ " + why));
    status.setId("options-status");
    status.textProperty().subscribe(t -> Page.show(status, !t.isEmpty()));
    table.setId("options-table");
    step.setId("option-step");
    change.setId("option-change");
    var predict = Page.button("Predict each", "options-predict");
    predict.setOnAction(e -> predict());
    var add = Page.button("Add", "option-add");
    add.setOnAction(e -> state.tried(this::add));
    var clear = Page.button("Take all off", "options-clear");
    clear.setOnAction(
        e ->
            state.keep(
                state.job().options().stream()
                    .map(o -> JobJson.gone(OnJob.Kind.OPTION, o.id()))
                    .toList()));
    getChildren()
        .addAll(
            Page.part("Ways to go on"),
            table,
            Page.row(predict, clear),
            new RunLine("options-run", service, this::predict),
            status,
            Page.row(
                Page.named("question", question),
                Page.named("way", title),
                Page.named("price", price),
                Page.named("hours", hours),
                Page.named("days", days)),
            Page.row(Page.named("for the step", step), Page.named("change it makes", change), add));
    WhenSeen.refresh(this, this::refresh, state.plannedProperty());
  }

  static Measure unit(Build build) {
    return Quantity.POWER.unit(build.units());
  }

  /** A curve's average power over what the brief wants, or over what of it was solved, W. */
  static OptionalDouble average(Curve curve, Build build) {
    double mean = WantedBand.of(build.combination().brief()).meanPower(curve);
    return Double.isNaN(mean) ? OptionalDouble.empty() : OptionalDouble.of(mean);
  }

  private List<Change> changes() {
    var notes = state.session().notes(Planned.class);
    return PlannedChanges.of(notes).changes();
  }

  private void add() {
    state.keep(
        JobJson.note(
            new Option(
                state.next(OnJob.Kind.OPTION, "O"),
                question.getText().strip(),
                title.getText().strip(),
                TypedNumber.plain("Price", price),
                TypedNumber.plain("Hours", hours),
                Fields.whole("Days", days),
                id(step.getValue()),
                change.getValue() == null || change.getValue().equals("as it is")
                    ? ""
                    : change.getValue())));
    title.clear();
  }

  private String id(String words) {
    return state.job().steps().stream()
        .filter(s -> s.title().equals(words))
        .map(Step::id)
        .findFirst()
        .orElse("");
  }

  private void refresh() {
    var planned = state.plannedProperty().get();
    if (planned == null) {
      return;
    }
    var options = planned.job().options();
    step.getItems().setAll(planned.job().steps().stream().map(Step::title).toList());
    var names = new ArrayList<String>(List.of("as it is"));
    changes().forEach(c -> names.add(c.name()));
    change.getItems().setAll(names);
    if (options.isEmpty()) {
      table
          .getChildren()
          .setAll(
              Page.hint(
                  "Repair, replace, another donor: each with its price, its days, and the change"
                      + " that it makes to the engine, taken from the ladder."));
      return;
    }
    var rows = new ArrayList<List<String>>();
    for (var d : planned.options()) {
      rows.add(row(d, planned.build()));
    }
    table
        .getChildren()
        .setAll(
            new AnswerTable(
                new Answer.Table(
                    "dates with the days of each before its step; power over the band wanted",
                    List.of("Question", "Way", "Price", "Dyno", "Peak", "Average"),
                    rows)));
  }

  private List<String> row(OptionDate d, Build build) {
    var o = d.option();
    var curve = predicted.get(o.change());
    String peak = "";
    String mean = "";
    if (curve != null) {
      peak =
          curve
              .peakPower()
              .map(
                  p ->
                      "%s at %,.0f"
                          .formatted(
                              Quantity.POWER.show(p.power(), build.units()),
                              10 * Math.rint(p.rpm() / 10)))
              .orElse("");
      var average = average(curve, build);
      mean = average.isPresent() ? Quantity.POWER.show(average.getAsDouble(), build.units()) : "";
    }
    return List.of(
        o.question(),
        o.title(),
        o.price() > 0 ? JobSheet.money(o.price()) : "",
        d.dyno().map(Object::toString).orElse(""),
        peak,
        mean);
  }

  /** The curve of the engine as it is and of each change that an option makes. */
  private void predict() {
    var engine = state.session().engine();
    var names = new ArrayList<String>();
    var engines = new ArrayList<BuiltEngine>();
    status.setText("");
    try {
      for (var o : state.job().options()) {
        if (!names.contains(o.change())) {
          names.add(o.change());
          engines.add(o.change().isEmpty() ? engine : change(o.change()).on(engine));
        }
      }
    } catch (IllegalArgumentException e) {
      status.setText("✕ " + e.getMessage());
      return;
    }
    if (engines.isEmpty()) {
      status.setText("○ There is no way to predict yet.");
      return;
    }
    var band = WantedBand.of(state.session().build().combination().brief());
    service.ask(
        new CurvesStudy("Ways to go on", engines, band.speeds(SPEEDS)),
        curves -> {
          predicted.clear();
          for (int i = 0; i < curves.size(); i++) {
            predicted.put(names.get(i), curves.get(i));
          }
          refresh();
        });
  }

  private Change change(String name) {
    return changes().stream()
        .filter(c -> c.name().equals(name))
        .findFirst()
        .orElseThrow(
            () ->
                new IllegalArgumentException(
                    "The ladder of this build has no change “%s” any more".formatted(name)));
  }
}
