package grandbore.desktop.job;

import grandbore.book.JobBook;
import grandbore.book.JobCalendar;
import grandbore.book.TextFile;
import grandbore.core.clearances.OnJob;
import grandbore.core.job.Days;
import grandbore.core.job.Route;
import grandbore.core.job.UsualRoutes;
import grandbore.core.job.route.Stage;
import grandbore.core.job.route.Step;
import grandbore.desktop.controls.CsvFile;
import grandbore.desktop.controls.Page;
import grandbore.desktop.controls.WhenSeen;
import grandbore.desktop.look.Look;
import java.io.IOException;
import java.nio.file.Path;
import java.time.Instant;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;

/** The route: the day of the dyno, what can be done now, every step over the days. */
public final class RouteView extends VBox {
  private final JobState state;
  private final Label dyno = new Label();
  private final Label hands = Page.hint("");
  private final FlowPane now = new FlowPane(6, 6);
  private final VBox warnings = new VBox(3);
  private final TimeChart chart;
  private final StepBoard board;
  private final StepCard card;
  private final VBox begin;
  private final VBox whole;
  private final Label says = Page.hint("");
  private String selected = "";

  RouteView(JobState state, Look look) {
    super(10);
    this.state = state;
    setId("route-view");
    dyno.setId("job-dyno");
    dyno.getStyleClass().add("pane-title");
    dyno.setWrapText(true);
    hands.setId("job-hands");
    now.setId("job-now");
    warnings.setId("job-warnings");
    chart = new TimeChart(look, this::choose, this::putOff);
    board = new StepBoard(this::choose);
    card = new StepCard(state);
    begin = begin();
    whole =
        new VBox(10, dyno, hands, warnings, Page.part("Can be done now"), now, card, shown(), says);
    WhenSeen.refresh(this, this::refresh, state.plannedProperty());
  }

  /** What is offered while there is no route. */
  private VBox begin() {
    var usual = new FlowPane(8, 6);
    for (var r : UsualRoutes.values()) {
      var button = Page.button(r.title(), "route-begin-" + r);
      button.setOnAction(
          e ->
              state.keep(
                  JobBook.steps(r.steps(state.session().build().combination().bottomEnd()))));
      usual.getChildren().add(button);
    }
    return new VBox(
        8,
        Page.hint(
            "This build has no route yet. Begin with that of a usual job; every step of it can be"
                + " changed, and others added."),
        usual);
  }

  private VBox shown() {
    var group = new ToggleGroup();
    var byDay = new ToggleButton("Over the days");
    byDay.setId("route-chart");
    var byState = new ToggleButton("Board");
    byState.setId("route-board");
    for (var b : List.of(byDay, byState)) {
      b.setToggleGroup(group);
      b.setOnAction(e -> b.setSelected(true));
    }
    byDay.setSelected(true);
    var add = new MenuButton("Add a step");
    add.setId("route-add");
    add.setMinWidth(USE_PREF_SIZE);
    for (var s : Stage.values()) {
      var item = new MenuItem(s.title());
      item.setId("route-add-" + s);
      item.setOnAction(e -> add(s));
      add.getItems().add(item);
    }
    var calendar = Page.button("Write the calendar", "route-calendar");
    calendar.setOnAction(
        e -> CsvFile.save(this, "Calendar of the route", "route.ics", this::writeCalendar));
    var row = new FlowPane(6, 6, byDay, byState, add, calendar);
    row.setAlignment(Pos.CENTER_LEFT);
    var both = new VBox(8, row, chart);
    byState.selectedProperty().subscribe(is -> both.getChildren().set(1, is ? board : chart));
    return both;
  }

  /** Shows a step, and what it is made of. */
  public void choose(String id) {
    selected = id;
    refresh();
  }

  private void add(Stage stage) {
    var step = Step.of(state.next(OnJob.Kind.STEP, "step-"), "A step of the shop's own", stage, 1);
    selected = step.id();
    state.put(step);
  }

  /** A step that was dragged begins on a day, or as soon as it can where that is sooner. */
  public void putOff(String id, LocalDate day) {
    var p = state.step(id);
    if (p != null) {
      state.put(p.step().notBefore(day.isAfter(state.today()) ? day : null));
    }
  }

  private void refresh() {
    var planned = state.plannedProperty().get();
    boolean is = planned != null && !planned.job().steps().isEmpty();
    if (planned != null) {
      getChildren().setAll(is ? whole : begin);
    }
    if (!is) {
      return;
    }
    var route = planned.route();
    dyno.setText(dyno(route, planned.job().plan().day().orElse(null)));
    hands.setText(hands(route));
    warnings.getChildren().clear();
    var wrong = new ArrayList<String>();
    route.tooEarly().forEach(t -> wrong.add("▲ " + t.says()));
    route.due().stream()
        .filter(Route.Due::late)
        .forEach(d -> wrong.add("▲ Late: %s, promised for %s".formatted(d.what(), d.day())));
    route.undated().stream()
        .limit(4)
        .forEach(u -> wrong.add("◐ " + u + ": the dates leave it out"));
    for (var words : wrong) {
      var label = new Label(words);
      label.setWrapText(true);
      label.getStyleClass().add(words.startsWith("▲") ? "outside" : "near");
      warnings.getChildren().add(label);
    }
    Page.show(warnings, !wrong.isEmpty());
    now.getChildren().clear();
    for (var p : route.now()) {
      var button = new Button(TimeChart.mark(p) + " " + p.step().title());
      button.setId("now-" + p.step().id());
      button.setOnAction(e -> choose(p.step().id()));
      now.getChildren().add(button);
    }
    if (route.now().isEmpty()) {
      now.getChildren().add(Page.hint("Nothing: all that is open waits."));
    }
    if (state.step(selected) == null) {
      selected =
          route.now().isEmpty()
              ? planned.job().steps().getFirst().id()
              : route.now().getFirst().step().id();
    }
    card.show(state.step(selected));
    chart.show(route, selected);
    board.show(route);
  }

  private static String dyno(Route route, LocalDate agreed) {
    if (route.dyno().isEmpty()) {
      return "No step of this route is on the dyno";
    }
    var day = route.dyno().get();
    String words = "On the dyno on %s at the earliest".formatted(day);
    if (agreed == null) {
      return words;
    }
    long off = ChronoUnit.DAYS.between(agreed, day);
    return off > 0
        ? "▲ %s: %s after the %s agreed on".formatted(words, Days.words(off), agreed)
        : "● %s, agreed on %s".formatted(words, agreed);
  }

  private static String hands(Route route) {
    var critical = route.critical();
    return "%.0f h of the shop's own work are left; with one pair of hands %s. It hangs on: %s"
        .formatted(
            route.hoursLeft(),
            route.dynoAlone().map(LocalDate::toString).orElse("no day"),
            critical.isEmpty()
                ? "nothing"
                : critical.getFirst().waits().isEmpty()
                    ? critical.getFirst().step().title()
                    : critical.getFirst().waits().getFirst());
  }

  /** Writes the open steps and what is promised as iCalendar. */
  public void writeCalendar(Path file) {
    // An edit may be a moment ahead of its plan.
    state.whenPlanned(
        planned -> {
          try {
            TextFile.write(
                file, JobCalendar.write(planned.build().name(), planned.route(), Instant.now()));
            says.setText("● The calendar is in " + file.getFileName());
          } catch (IOException e) {
            says.setText("✕ %s: %s".formatted(file.getFileName(), e.getMessage()));
          }
        });
  }
}
