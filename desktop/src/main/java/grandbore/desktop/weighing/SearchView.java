package grandbore.desktop.weighing;

import grandbore.core.asked.Answers;
import grandbore.core.asked.Question;
import grandbore.core.combination.InvalidInput;
import grandbore.core.prediction.WantedBand;
import grandbore.core.runs.Urgency;
import grandbore.core.studies.Goal;
import grandbore.core.studies.Repeatability;
import grandbore.core.studies.Search;
import grandbore.core.studies.SearchStudy;
import grandbore.core.units.Quantity;
import grandbore.desktop.controls.Page;
import grandbore.desktop.controls.Refusal;
import grandbore.desktop.curve.CurveService;
import grandbore.desktop.look.Look;
import grandbore.desktop.plot.Line;
import grandbore.desktop.plot.PlotPane;
import grandbore.desktop.results.Paced;
import grandbore.desktop.results.ResultService;
import grandbore.desktop.results.RunLine;
import grandbore.desktop.session.Session;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;

/** Looks for the best engine within bounds, shows what was tried, and takes one into the build. */
final class SearchView extends VBox {
  private static final int BEST = 4;

  private final Session session;
  private final ResultService service;
  private final Refusal refusal = new Refusal();
  private final VBox free = new VBox(4);
  private final InputPicker picker;
  private final SearchWishes wishes;
  private final StudyKeeper keeper;
  private final Button go = Page.button("Search", "search-go");
  private final Label status = Page.hint("");
  private final VBox found = new VBox(10);
  private final PlotPane progress;
  private final PlotPane trade;
  private Optional<SearchStudy> study = Optional.empty();
  private List<Search.Candidate> known = List.of();
  private final Paced paced = new Paced();

  SearchView(Session session, CurveService curves, Look look, UnaryOperator<String> station) {
    super(10);
    this.session = session;
    setId("search-view");
    service = new ResultService(curves.runs(), Urgency.STUDY, this::ended);
    progress = new PlotPane(look, "search-progress", "The best so far", "%.1f");
    trade = new PlotPane(look, "search-trade", "The trade between both", "%.1f");
    picker = new InputPicker("search", station, f -> {});
    picker.show(grandbore.core.combination.Specs.field("exhaust.primaryLength"));
    wishes = new SearchWishes(session);
    keeper = new StudyKeeper(session, "search-keep");
    var add = Page.button("Set it free", "search-add");
    add.setOnAction(e -> add());
    var row = new FlowPane(8, 4);
    row.setAlignment(Pos.CENTER_LEFT);
    row.getChildren().addAll(picker.boxes());
    row.getChildren().add(add);
    status.setId("search-status");
    status.textProperty().subscribe(t -> Page.show(status, !t.isEmpty()));
    go.setOnAction(e -> search());
    var act = new FlowPane(8, 4, go, new RunLine("search-run", service, this::search), keeper);
    act.setAlignment(Pos.CENTER_LEFT);
    getChildren()
        .addAll(Page.part("What may be changed"), row, free, wishes, refusal, act, status, found);
    session.buildProperty().subscribe(b -> wishes.show());
    session.notesProperty().subscribe(n -> wishes.show());
  }

  private void add() {
    refusal.clear();
    var field = picker.picked();
    boolean has =
        free.getChildren().stream().anyMatch(n -> n instanceof FreeInput f && f.isOf(field));
    if (field == null || has) {
      return;
    }
    try {
      free.getChildren()
          .add(
              new FreeInput(
                  FreeInput.around(session.engine().combination(), field),
                  session.build().units(),
                  refusal,
                  f -> free.getChildren().remove(f)));
    } catch (InvalidInput e) {
      refusal.say(e.getMessage());
    }
  }

  /** Begins, or goes on where the same search was stopped. */
  private void search() {
    refusal.clear();
    try {
      var axes =
          free.getChildren().stream()
              .filter(FreeInput.class::isInstance)
              .map(n -> ((FreeInput) n).range())
              .toList();
      var wish =
          wishes.study(
              session.engine(), WantedBand.of(session.build().combination().brief()), axes);
      boolean same = study.filter(s -> s.key().equals(wish.key())).isPresent();
      known = same ? known : List.of();
      study = Optional.of(wish);
      status.setText("");
      keeper.asked(Question.OfSearch.of(wish));
      service.ask(wish.from(known), this::part, this::whole);
    } catch (IllegalArgumentException e) {
      refusal.say(e.getMessage());
    }
  }

  private void ended(String why) {
    status.setText(
        why.equals("stopped")
            ? "Stopped with %d candidates; Search goes on from there.".formatted(known.size())
            : "✕ " + why);
  }

  private void part(Search search) {
    if (search.candidates().size() > known.size()) {
      known = search.candidates();
    }
    if (paced.isDue()) {
      draw(search);
    }
  }

  private void whole(Search search) {
    known = search.candidates();
    draw(search);
    var wish = study.orElseThrow();
    var units = session.build().units();
    keeper.answered(Answers.of(search, Question.OfSearch.of(wish), units));
    if (search.best().isEmpty()) {
      status.setText(
          "Nothing holds. The nearest miss: "
              + search.nearestMiss().map(m -> String.join("; ", m.broken())).orElse("none"));
      search
          .nearestMiss()
          .ifPresent(
              m ->
                  found
                      .getChildren()
                      .add(new SearchTable("The nearest miss", List.of(m), wish, units, c -> {})));
      return;
    }
    String sure =
        search
            .verified()
            .map(
                v ->
                    " Every cylinder solved, the average power goes from %s to %s%s."
                        .formatted(
                            Quantity.POWER.show(v.base(), units),
                            Quantity.POWER.show(v.best(), units),
                            Repeatability.tells(v.best() - v.base(), v.base())
                                ? ""
                                : ": no difference it can tell"))
            .orElse("");
    status.setText(
        "%d candidates, seed %d.%s".formatted(search.candidates().size(), search.seed(), sure));
    found
        .getChildren()
        .addFirst(
            new SearchTable(
                "The best, and those next to it that differ in kind",
                search.best(BEST),
                wish,
                units,
                this::take));
  }

  private void draw(Search search) {
    var wish = study.orElseThrow();
    var at = new ArrayList<Double>();
    var best = new ArrayList<Double>();
    double so = Double.NEGATIVE_INFINITY;
    for (int i = 0; i < search.candidates().size(); i++) {
      var c = search.candidates().get(i);
      if (c.judged().isFeasible() && c.goal() > so) {
        so = c.goal();
      }
      if (Double.isFinite(so)) {
        at.add(i + 1.0);
        best.add(unit(wish.goal()).of(so));
      }
    }
    progress.show(
        "candidates",
        unit(wish.goal()).symbol(),
        List.of(new Line("best", array(at), array(best))));
    found.getChildren().setAll(progress);
    wish.second()
        .ifPresent(
            second -> {
              var front = search.trade();
              trade.show(
                  second == Goal.THRIFT ? "money" : second.label() + ", " + unit(second).symbol(),
                  unit(wish.goal()).symbol(),
                  List.of(
                      new Line(
                          wish.goal().label(),
                          front.reversed().stream()
                              .mapToDouble(c -> unit(second).of(c.second()))
                              .toArray(),
                          front.reversed().stream()
                              .mapToDouble(c -> unit(wish.goal()).of(c.goal()))
                              .toArray())));
              found.getChildren().setAll(PlotPane.pair(progress, trade));
            });
    status.setText(
        search.best().isEmpty() && !search.candidates().isEmpty()
            ? "Nothing holds yet of %d.".formatted(search.candidates().size())
            : "");
  }

  private GoalUnit unit(Goal goal) {
    return GoalUnit.of(goal, session.build().units());
  }

  private static double[] array(List<Double> values) {
    return values.stream().mapToDouble(Double::doubleValue).toArray();
  }

  /** Makes the changes and sets the values on the build, one step that can be undone. */
  private void take(Search.Candidate c) {
    var wish = study.orElseThrow();
    session.edit("Found by search", b -> b.with(wish.on(b.combination(), c)));
  }
}
