package grandbore.desktop.job;

import grandbore.book.JobJson;
import grandbore.core.clearances.Measurement;
import grandbore.core.clearances.OnJob;
import grandbore.core.clearances.OwnKind;
import grandbore.core.clearances.OwnLedger;
import grandbore.core.job.Days;
import grandbore.core.job.Route;
import grandbore.core.job.facts.Fact;
import grandbore.core.job.facts.Operation;
import grandbore.core.job.parts.EnginePart;
import grandbore.core.job.route.Stage;
import grandbore.core.job.route.Step;
import grandbore.core.job.route.StepCheck;
import grandbore.desktop.controls.Page;
import grandbore.desktop.controls.TypedNumber;
import grandbore.desktop.controls.Words;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;

/** One step of the route: what it waits for, its checks, and all that it is made of. */
final class StepCard extends VBox {
  private final JobState state;
  private final Label head = Page.part("");
  private final Label waits = Page.hint("");
  private final VBox checks = new VBox(4);
  private final TextField title = Fields.field("step-title", "what is done", 30);
  private final ComboBox<Stage> stage =
      Fields.choice("step-stage", Stage::title, List.of(Stage.values()));
  private final TextField who = Fields.field("step-who", "the shop itself", 14);
  private final TextField hours = Fields.field("step-hours", "0", 5);
  private final TextField days = Fields.field("step-days", "0", 5);
  private final TextField cost = Fields.field("step-cost", "0", 7);
  private final TextField notBefore = Fields.field("step-not-before", "any day", 10);
  private final Fields.Several<Step> after = new Fields.Several<>("step-after", Step::title);
  private final Fields.Several<EnginePart> parts =
      new Fields.Several<>("step-parts", EnginePart::title);
  private final Fields.Several<Measurement> readings =
      new Fields.Several<>("step-readings", Measurement::label);
  private final Fields.Several<OwnKind> own = new Fields.Several<>("step-own", OwnKind::label);
  private final Fields.Several<Fact> proves = new Fields.Several<>("step-proves", Fact::title);
  private final Fields.Several<Operation> does =
      new Fields.Several<>("step-does", Operation::title);
  private final TextField check = Fields.field("step-check", "another thing to look at", 22);
  private final TextField places = Fields.field("step-check-places", "1", 3);
  private final Button done = Page.button("Done", "step-done");
  private final Button again = Page.button("Not done", "step-again");
  private final JobPictures pictures;
  private final VBox form;
  private Step shown;

  StepCard(JobState state) {
    super(6);
    this.state = state;
    pictures = new JobPictures(state, "step");
    setId("step-card");
    getStyleClass().add("group");
    waits.setId("step-waits");
    head.setId("step-head");
    done.setOnAction(e -> state.put(shown.done(Instant.now(), "", engine())));
    again.setOnAction(e -> state.put(shown.again()));
    var keep = Page.button("Keep", "step-keep");
    keep.setOnAction(e -> state.tried(() -> state.put(typed())));
    var remove = Page.button("Take it off the route", "step-remove");
    remove.setOnAction(e -> state.remove(OnJob.Kind.STEP, shown.id()));
    var add = Page.button("Add", "step-check-add");
    add.setOnAction(e -> state.tried(this::addCheck));
    form =
        new VBox(
            6,
            Page.row(Page.named("step", title), Page.named("stage", stage)),
            Page.row(
                Page.named("who", who),
                Page.named("hours", hours),
                Page.named("days away", days),
                Page.named("cost", cost),
                Page.named("not before", notBefore)),
            Page.row(
                Page.named("after", after),
                Page.named("needs parts", parts),
                Page.named("takes readings", readings),
                Page.named("own readings", own),
                Page.named("proves", proves),
                Page.named("does to parts", does)),
            Page.row(Page.named("check", check), Page.named("places", places), add),
            pictures,
            Page.row(keep, remove));
    var more = new ToggleButton("Change it");
    more.setId("step-more");
    more.selectedProperty().subscribe(is -> Page.show(form, is));
    getChildren().addAll(head, waits, checks, Page.row(done, again, more), form);
  }

  private grandbore.core.combination.Combination engine() {
    return state.session().build().combination();
  }

  /** Shows a step; what stands in its fields stays where nothing of it changed. */
  void show(Route.Planned p) {
    Page.show(this, p != null);
    if (p == null) {
      shown = null;
      return;
    }
    head.setText(p.step().title());
    waits.setText(says(p));
    Page.show(done, p.state() != Route.State.DONE);
    Page.show(again, p.step().isDone());
    pictures.show(JobJson.note(p.step()));
    if (p.step().equals(shown)) {
      return;
    }
    shown = p.step();
    checks();
    title.setText(shown.title());
    stage.setValue(shown.stage());
    who.setText(shown.who());
    hours.setText(Fields.plain(shown.hours()));
    days.setText(Fields.plain(shown.days()));
    cost.setText(Fields.plain(shown.cost()));
    notBefore.setText(Fields.plain(shown.notBefore()));
    var others = state.job().steps().stream().filter(s -> !s.id().equals(shown.id())).toList();
    after.offer(others, others.stream().filter(s -> shown.after().contains(s.id())).toList());
    parts.offer(List.of(EnginePart.values()), shown.parts());
    readings.offer(List.of(Measurement.values()), shown.readings());
    var kinds = own().kinds();
    own.offer(kinds, kinds.stream().filter(k -> shown.own().contains(k.key())).toList());
    proves.offer(List.of(Fact.values()), shown.proves());
    does.offer(List.of(Operation.values()), shown.does());
  }

  /** How it stands: its dates, what it proves, what it waits for. */
  private String says(Route.Planned p) {
    var words = new ArrayList<String>();
    words.add(
        p.state() == Route.State.DONE
            ? "Done on " + p.ends()
            : "%s: %s to %s, %s"
                .formatted(
                    Words.capital(p.state().title()),
                    p.begins(),
                    p.ends(),
                    p.decides()
                        ? "decides the day of the dyno"
                        : "may slip " + Days.words(p.slack())));
    if (!p.step().proves().isEmpty()) {
      words.add(
          "proves "
              + String.join(", ", p.step().proves().stream().sorted().map(Fact::title).toList()));
    }
    var missing = missing(p.step());
    if (p.state() != Route.State.DONE && !missing.isEmpty()) {
      words.add("to be read: " + String.join(", ", missing));
    }
    String line = String.join("; ", words);
    return p.waits().isEmpty() ? line : line + "\n" + String.join("\n", p.waits());
  }

  private OwnLedger own() {
    return state.plannedProperty().get().own();
  }

  /** What a step takes and nobody has read everywhere yet. */
  private List<String> missing(Step step) {
    var proved = state.plannedProperty().get().route().proved();
    var ledger = own();
    return Stream.concat(
            step.readings().stream()
                .filter(m -> !proved.isRead(m))
                .map(m -> m.label().toLowerCase(Locale.ROOT)),
            ledger.kinds().stream()
                .filter(k -> step.own().contains(k.key()) && !ledger.isRead(k))
                .map(OwnKind::label))
        .sorted()
        .toList();
  }

  private void checks() {
    checks.getChildren().clear();
    for (int i = 0; i < shown.checks().size(); i++) {
      int at = i;
      var c = shown.checks().get(i);
      var row = new FlowPane(4, 4);
      row.setAlignment(Pos.CENTER_LEFT);
      row.getChildren().add(new Label((c.isDone() ? "● " : "○ ") + c.words()));
      for (int place = 1; place <= c.places(); place++) {
        int here = place;
        var tick = new ToggleButton(c.places() == 1 ? "looked at" : "" + place);
        tick.setId("step-tick-%d-%d".formatted(i, place));
        tick.getStyleClass().add("small");
        tick.setSelected(c.ticked().contains(place));
        tick.setOnAction(e -> state.put(shown.turned(at, here)));
        row.getChildren().add(tick);
      }
      checks.getChildren().add(row);
    }
  }

  private Step typed() {
    var values = new java.util.HashMap<String, Object>();
    values.put("title", title.getText().strip());
    values.put("stage", stage.getValue());
    values.put("who", who.getText().strip());
    values.put("hours", TypedNumber.plain("Hours", hours));
    values.put("days", Fields.whole("Days away", days));
    values.put("cost", TypedNumber.plain("Cost", cost));
    values.put("notBefore", Fields.day("Not before", notBefore, state.today()));
    values.put("after", after.chosen().stream().map(Step::id).sorted().toList());
    values.put("parts", parts.chosen());
    values.put("readings", readings.chosen());
    values.put("own", own.chosen().stream().map(OwnKind::key).collect(Collectors.toSet()));
    values.put("proves", proves.chosen());
    values.put("does", does.chosen());
    return shown.with(values);
  }

  private void addCheck() {
    int n = places.getText().isBlank() ? 1 : Fields.whole("Places", places);
    var all = new ArrayList<>(shown.checks());
    all.add(new StepCheck(check.getText().strip(), n, Set.of()));
    state.put(shown.with(Map.of("checks", all)));
    check.clear();
    places.clear();
  }
}
