package grandbore.desktop.bench;

import grandbore.core.clearances.Measurement;
import grandbore.core.clearances.Plausibility;
import grandbore.core.clearances.Reading;
import grandbore.core.clearances.Taken;
import grandbore.core.combination.Provenance;
import grandbore.core.combination.Specs;
import grandbore.core.guided.Answers;
import grandbore.core.guided.Guide;
import grandbore.core.guided.Outcome;
import grandbore.core.guided.Routine;
import grandbore.core.guided.Step;
import grandbore.core.guided.Subject;
import grandbore.core.units.Entry;
import grandbore.desktop.controls.CommitField;
import grandbore.desktop.controls.Page;
import grandbore.desktop.controls.Refusal;
import grandbore.desktop.controls.ShownAs;
import grandbore.desktop.drawing.PlanDrawing;
import grandbore.desktop.drawing.SetupDrawing;
import grandbore.desktop.look.Look;
import grandbore.desktop.session.Session;
import grandbore.instruments.Kind;
import java.time.Instant;
import java.util.Arrays;
import java.util.Optional;
import java.util.stream.IntStream;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** A measurement step by step: the set-up drawn, the reading live, the next thing to do. */
final class GuidedView extends VBox {
  /** Share of the width that a step's words take. */
  private static final double WORDS = 0.62;

  /** Height of the places, px. */
  private static final double PLAN = 112;

  private final Session session;
  private final Instruments instruments;
  private final SetupDrawing drawing;
  private final PlanDrawing plan;
  private final VBox steps = new VBox(4);
  private final Label mistake = new Label();
  private final Label says = new Label();
  private final Label wrong = new Label();
  private final Refusal refusal = new Refusal();
  private final Label live = new Label();
  private final Button into = new Button("Into the book");
  private final ComboBox<Routine> routines = new ComboBox<>();
  private final ComboBox<Integer> place = new ComboBox<>();
  private final ComboBox<Subject> subject = new ComboBox<>();
  private final FlowPane where;
  private Routine routine = Routine.TOP_BY_STOP;
  private Answers answers = new Answers();
  private int at;
  private boolean choosing;

  GuidedView(Session session, Look look, Instruments instruments) {
    super(8);
    this.session = session;
    this.instruments = instruments;
    drawing = new SetupDrawing(session, look);
    plan = new PlanDrawing(session, look, PLAN, this::go);
    plan.setId("guide-plan");
    plan.setAccessibleText("the places; one is chosen by a click");
    routines.setId("guide-routine");
    routines.setAccessibleText("what to measure");
    routines.getItems().setAll(Routine.values());
    routines.setValue(routine);
    routines.setConverter(ShownAs.of(Routine::title));
    routines.setOnAction(e -> begin(routines.getValue()));
    for (var box : new ComboBox<?>[] {routines, place, subject}) {
      box.setMinWidth(USE_PREF_SIZE);
    }
    place.setId("guide-place");
    place.setAccessibleText("place");
    subject.setId("guide-side");
    subject.setAccessibleText("which");
    place.setOnAction(e -> chosen());
    subject.setOnAction(e -> chosen());
    var again = new Button("Begin again");
    again.setId("guide-again");
    again.setOnAction(e -> begin(routine));
    where = new FlowPane(8, 4, routines, new Label("at"), place, subject, again);
    where.setAlignment(Pos.CENTER_LEFT);
    into.setId("guide-into");
    into.setOnAction(e -> takeOver());
    mistake.getStyleClass().add("soft");
    says.setId("guide-says");
    wrong.setId("guide-wrong");
    wrong.getStyleClass().add("outside");
    live.setId("guide-live");
    live.getStyleClass().add("bench-live");
    for (var l : new Label[] {mistake, says, wrong}) {
      l.setWrapText(true);
    }
    getChildren()
        .addAll(
            where,
            drawing,
            plan,
            mistake,
            live,
            steps,
            refusal,
            says,
            wrong,
            into,
            new ConsoleLine(session, instruments),
            Page.caution(
                "Plugs out and the engine turned by hand: valves can meet pistons. Springs under"
                    + " compression throw parts: eyes covered, tool seated."));
    choices();
    instruments.beatsProperty().subscribe(b -> showLive());
    sceneProperty().subscribe(s -> listen());
    session.buildProperty().subscribe(b -> choices());
    begin(routine);
  }

  /** The choices of part and place that this routine has, what was chosen kept where it can be. */
  private void choices() {
    choosing = true;
    if (!subject.getItems().equals(routine.subjects())) {
      subject.getItems().setAll(routine.subjects());
      subject.setValue(routine.subjects().getFirst());
    }
    int n = routine.places(subject.getValue(), session.build().combination().bottomEnd());
    if (place.getItems().size() != n) {
      place.getItems().setAll(IntStream.rangeClosed(1, n).boxed().toList());
      place.setValue(1);
    }
    Page.show(subject, routine.subjects().size() > 1);
    Page.show(place, !routine.isOfTheWhole());
    Page.show(where.getChildren().get(1), !routine.isOfTheWhole());
    choosing = false;
  }

  private int number() {
    return routine.isOfTheWhole() || place.getValue() == null ? 1 : place.getValue();
  }

  private Guide guide() {
    return Guide.of(routine, session.build(), number(), subject.getValue());
  }

  /** A place on the plan was clicked. */
  private void go(int number, Reading.Side side) {
    choosing = true;
    place.setValue(number);
    routine.subjects().stream()
        .filter(s -> s.side() == side && side != Reading.Side.NONE)
        .findFirst()
        .ifPresent(subject::setValue);
    choosing = false;
    begin(routine);
  }

  /** The places of this routine with what is read there, where its readings have places. */
  private void showPlan() {
    var kept = routine.measurement(subject.getValue());
    Page.show(plan, kept.isPresent());
    kept.ifPresent(
        m -> {
          var ledger = session.ledger();
          var doubts = Plausibility.of(ledger, session.build().units());
          var side = m == Measurement.DECK ? Reading.Side.THRUST : subject.getValue().side();
          plan.show(ledger, doubts, m, number(), side);
        });
  }

  /** A choice by hand begins again; one that follows from another routine does not. */
  private void chosen() {
    if (!choosing) {
      begin(routine);
    }
  }

  private void begin(Routine r) {
    routine = r;
    answers = new Answers();
    at = 0;
    choices();
    drawing.show(r, subject.getValue());
    mistake.setText("Usual mistake: " + r.mistake());
    instruments.turnedBack();
    refresh();
  }

  private void refresh() {
    var all = guide().steps();
    steps.getChildren().clear();
    CommitField waiting = null;
    for (int i = 0; i < all.size(); i++) {
      var step = all.get(i);
      var row = new HBox(8);
      row.setAlignment(Pos.CENTER_LEFT);
      boolean done = i < at || answers.has(step.key());
      var number = new Label((done ? "● " : i == at ? "▶ " : "○ ") + (i + 1));
      number.setMinWidth(36);
      number.getStyleClass().add(i == at ? "dye" : "soft");
      var does = new Label(step.does());
      does.setWrapText(true);
      does.prefWidthProperty().bind(steps.widthProperty().multiply(WORDS));
      does.setMinWidth(120);
      row.getChildren().addAll(number, does);
      if (step.isRead() && i <= at) {
        var field = field(step, i);
        row.getChildren().addAll(field, unit(step));
        waiting = i == at ? field : waiting;
      } else if (i == at) {
        var next = new Button("Done");
        next.setId("step-done-" + step.key());
        next.setMinWidth(USE_PREF_SIZE);
        next.setOnAction(e -> next());
        row.getChildren().add(next);
      }
      steps.getChildren().add(row);
    }
    conclude();
    showPlan();
    listen();
    showLive();
    if (waiting != null && getScene() != null) {
      waiting.requestFocus();
    }
  }

  private Label unit(Step step) {
    var label =
        new Label(
            grandbore.desktop.controls.InputField.symbol(step.reads(), session.build().units()));
    label.getStyleClass().add("unit");
    return label;
  }

  private CommitField field(Step step, int index) {
    var field = new CommitField("step " + step.key(), typed -> answer(step, index, typed), refusal);
    field.setColumns(6);
    if (answers.has(step.key())) {
      field.show(step.reads().number(answers.at(step.key()), session.build().units()));
    }
    return field;
  }

  private void answer(Step step, int index, String typed) {
    if (typed.isBlank()) {
      return;
    }
    keep(step, index, Entry.sum(typed, step.reads(), session.build().units()));
  }

  private void keep(Step step, int index, double value) {
    boolean back = instruments.turnedBack() && step.oneWay();
    answers.put(step.key(), value, back);
    at = Math.max(at, index + 1);
    refresh();
  }

  private void next() {
    at++;
    instruments.turnedBack();
    refresh();
  }

  private void conclude() {
    var outcome = guide().conclude(answers);
    says.setText(String.join("\n", outcome.says()));
    wrong.setText(String.join("\n", outcome.wrong().stream().map(w -> "✕ " + w).toList()));
    for (var l : new Label[] {says, wrong}) {
      l.setVisible(!l.getText().isEmpty());
      l.setManaged(l.isVisible());
    }
    into.setDisable(outcome.into().isEmpty() || !outcome.wrong().isEmpty());
  }

  private Optional<Step> current() {
    var all = guide().steps();
    return at < all.size() ? Optional.of(all.get(at)) : Optional.empty();
  }

  private Optional<Kind> kind() {
    return current()
        .flatMap(
            s ->
                Arrays.stream(Kind.values())
                    .filter(k -> k.word().equals(s.instrument()))
                    .findFirst());
  }

  private void listen() {
    if (getScene() == null) {
      return;
    }
    kind()
        .ifPresent(
            k ->
                instruments.wants(
                    k,
                    typed ->
                        current()
                            .filter(Step::isRead)
                            .ifPresent(
                                s -> {
                                  try {
                                    double sent =
                                        Entry.parse(typed, s.reads(), session.build().units(), 0);
                                    keep(s, at, s.counted(sent));
                                  } catch (IllegalArgumentException e) {
                                    session.refuse(e.getMessage());
                                  }
                                })));
  }

  private void showLive() {
    live.setText(
        kind()
            .flatMap(k -> instruments.latest(k).map(m -> k.label() + "  " + m.typed()))
            .orElse(""));
    live.setVisible(!live.getText().isEmpty());
    live.setManaged(live.isVisible());
  }

  private void takeOver() {
    var outcome = guide().conclude(answers);
    try {
      for (var one : outcome.into()) {
        switch (one) {
          case Outcome.Into.Book b ->
              session.read(
                  new Reading(
                      0,
                      b.measurement(),
                      b.place(),
                      b.side(),
                      b.value(),
                      Taken.by("", routine.title(), Instant.now()),
                      false));
          case Outcome.Into.Input i -> {
            var f = Specs.field(i.path());
            session.put(
                f, f.get(session.build().combination()).with(i.value(), Provenance.MEASURED));
          }
        }
      }
      into.setDisable(true);
    } catch (IllegalArgumentException e) {
      session.refuse(e.getMessage());
    }
  }
}
