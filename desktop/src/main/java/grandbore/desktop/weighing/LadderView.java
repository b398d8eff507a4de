package grandbore.desktop.weighing;

import grandbore.book.ChangesJson;
import grandbore.book.FormatException;
import grandbore.book.TextFile;
import grandbore.core.asked.Answers;
import grandbore.core.asked.Question;
import grandbore.core.changes.Change;
import grandbore.core.changes.Plan;
import grandbore.core.combination.InvalidInput;
import grandbore.core.prediction.WantedBand;
import grandbore.core.runs.Urgency;
import grandbore.core.studies.BestOrderStudy;
import grandbore.core.studies.CurveDifference;
import grandbore.core.studies.Ladder;
import grandbore.core.studies.LadderStudy;
import grandbore.core.studies.Rung;
import grandbore.core.units.Quantity;
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
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Consumer;
import java.util.stream.IntStream;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.MenuButton;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import javafx.stage.FileChooser;

/** The ladder: what each of several changes gives, alone, in order, and together with another. */
public final class LadderView extends VBox {
  private static final int POINTS = 12;

  /** Height of the line that a run is told on, px. */
  private static final double RUNS = 38;

  /** More lines can't be told apart. */
  private static final int DRAWN = 8;

  private final Session session;
  private final ChangeList list;
  private final ResultService service;
  private final ResultService beside;
  private final ResultService ordering;
  private final Asking asking;
  private final Label status = Page.hint("");
  private final Label empty =
      Page.hint(
          "No change is thought of yet. Take a part from the shelf, write one by editing the build,"
              + " take the difference of another build, or read a file of them.");
  private final Button order = Page.button("Order by gain for money", "ladder-order");
  private final VBox found = new VBox(10);
  private final PlotPane curves;
  private final ChangeWriter writer;
  private final StudyKeeper keeper;
  private Optional<Session.Over> other = Optional.empty();
  private Optional<Ladder> ladder = Optional.empty();

  /** The last that was run to its end. */
  private Optional<Ladder> run = Optional.empty();

  private Optional<Ladder> onOther = Optional.empty();
  private LadderTable table;

  /** Why the last run ended, as it is said; what else is said stays while others run. */
  private String ofRun = "";

  /** What the table was made for. */
  private List<Object> shown = List.of();

  LadderView(Session session, CurveService curves, Look look) {
    super(10);
    this.session = session;
    setId("ladder-view");
    list = new ChangeList(session);
    service = new ResultService(curves.runs(), Urgency.STUDY, this::ended);
    beside = new ResultService(curves.runs(), Urgency.STUDY, this::ended);
    ordering = new ResultService(curves.runs(), Urgency.STUDY, this::ended);
    this.curves =
        new PlotPane(look, "ladder-curves", "Power gained over the build as it stands", "%.1f");
    asking =
        new Asking(this, this::solve)
            .when(session.buildProperty(), session.readingsProperty(), session.notesProperty());
    status.setId("ladder-status");
    status.textProperty().subscribe(t -> Page.show(status, !t.isEmpty()));
    var from = menu("From another build", "ladder-from", this::addFrom);
    var part = PartMenu.of(new PartList(session), p -> list.add(List.of(p.change())));
    var also = menu("Also on another engine", "ladder-also", this::runOn);
    order.setOnAction(e -> order());
    var file = Page.button("From a file", "ladder-file");
    file.setOnAction(e -> choose());
    writer = new ChangeWriter(list);
    keeper = new StudyKeeper(session, "ladder-keep");
    var bar = new FlowPane(8, 4, part, writer.beginButton(), from, file, also, order, keeper);
    bar.setAlignment(Pos.CENTER_LEFT);
    // Its room is kept, so that rungs stay under the mouse while a run begins and ends.
    var runs =
        new StackPane(
            new RunLine("ladder-run", service, asking::again),
            new RunLine("ladder-ordering", ordering, this::order));
    runs.setMinHeight(RUNS);
    getChildren().addAll(bar, writer, empty, runs, status, found);
    session.benchProperty().subscribe(b -> show());
  }

  /** What a run ended with stands until the next begins. */
  private void ended(String why) {
    trouble(why);
    ofRun = status.getText();
  }

  private void trouble(String why) {
    status.setText("✕ " + why);
  }

  private MenuButton menu(String words, String id, Consumer<Session.Over> chosen) {
    return BuildMenu.of(session, words, id, id + "-", b -> true, chosen, this::trouble);
  }

  /** What leads from this build to another becomes a change. */
  private void addFrom(Session.Over is) {
    try {
      list.add(
          List.of(
              Change.between(
                  "As " + is.build().name(),
                  session.build().combination(),
                  is.build().combination())));
    } catch (InvalidInput e) {
      trouble(e.getMessage());
    }
  }

  private void runOn(Session.Over is) {
    other = Optional.of(is);
    asking.again();
  }

  private void choose() {
    var chooser = new FileChooser();
    chooser.getExtensionFilters().add(new FileChooser.ExtensionFilter("Changes", "*.json"));
    var chosen = chooser.showOpenDialog(getScene().getWindow());
    if (chosen != null) {
      read(chosen.toPath());
    }
  }

  /** Reads a document of changes; one that is damaged is refused whole. */
  public void read(Path file) {
    try {
      list.add(ChangesJson.read(TextFile.read(file)));
      status.setText("");
    } catch (FormatException | InvalidInput e) {
      trouble(file.getFileName() + ": " + e.getMessage());
    }
  }

  private Plan plan() {
    try {
      return list.plan();
    } catch (FormatException | InvalidInput e) {
      trouble("the changes of this build can't be read: " + e.getMessage());
      return Plan.NONE;
    }
  }

  private List<Change> changes() {
    return plan().changes();
  }

  private WantedBand band() {
    return WantedBand.of(session.build().combination().brief());
  }

  private List<Double> speeds() {
    return session.build().speeds().points(POINTS);
  }

  private void solve() {
    var all = changes();
    var band = band();
    var speeds = speeds();
    if (list.isWriting() || all.isEmpty()) {
      return;
    }
    var engine = session.engine();
    var units = session.build().units();
    if (!asking.isNew(
        engine.key(), all, band, speeds, units, other.map(Session.Over::id).orElse(0L))) {
      return;
    }
    if (status.getText().equals(ofRun)) {
      status.setText("");
    }
    keeper.asked(new Question.OfLadder(all, speeds, band, true));
    try {
      service.ask(
          new LadderStudy(engine, all, speeds, band, true),
          part -> {
            ladder = Optional.of(part);
            show();
          },
          whole -> {
            ladder = Optional.of(whole);
            run = Optional.of(whole);
            show();
            whole(whole);
            keeper.answered(Answers.of(whole, units));
            second(all, speeds, band);
          });
    } catch (InvalidInput e) {
      trouble(e.getMessage());
    }
  }

  /** The same ladder on the other engine, once this one stands. */
  private void second(List<Change> all, List<Double> speeds, WantedBand band) {
    other.ifPresent(
        o ->
            beside.ask(
                new LadderStudy(o.engine(), all, speeds, band, false),
                found -> {
                  onOther = Optional.of(found);
                  show();
                }));
  }

  private void order() {
    var all = changes();
    if (all.size() > 1) {
      ordering.ask(new BestOrderStudy(session.engine(), all, speeds(), band()), list::order);
    }
  }

  private void show() {
    var plan = plan();
    var all = plan.changes();
    writer.show();
    Page.show(empty, all.isEmpty());
    order.setDisable(all.size() < 2);
    var name = other.map(o -> o.build().name()).orElse("");
    List<Object> now = List.of(plan, name, session.build().units());
    if (!now.equals(shown)) {
      shown = now;
      found.getChildren().clear();
      table = new LadderTable(list, plan, name, Quantity.POWER.unit(session.build().units()));
      if (!all.isEmpty()) {
        found.getChildren().add(table);
      }
      // Brought back by undo before it was asked anew, all of it is known.
      run.ifPresent(this::whole);
    }
    var fits = ladder.filter(l -> l.changes().equals(all));
    table.fill(fits, onOther.filter(l -> l.changes().equals(all)));
  }

  /** The curves and the pairs, once all is run. */
  private void whole(Ladder l) {
    var units = session.build().units();
    if (!l.changes().equals(changes())) {
      return;
    }
    draw(l, new Shown(units));
    found.getChildren().retainAll(table);
    found.getChildren().add(curves);
    if (l.changes().size() > 1) {
      found.getChildren().add(new PairsTable(l, Quantity.POWER.unit(units)));
    }
  }

  private void draw(Ladder l, Shown shown) {
    var base = l.rungs().get(Set.<Integer>of()).curve();
    var lines = new ArrayList<Line>();
    for (int rung = 1; rung <= Math.min(DRAWN, l.changes().size()); rung++) {
      Set<Integer> made = new TreeSet<>(IntStream.range(0, rung).boxed().toList());
      var curve = Optional.ofNullable(l.rungs().get(made)).flatMap(Rung::curve);
      if (base.isPresent() && curve.isPresent()) {
        var more = CurveDifference.of(base.get(), curve.get()).points();
        lines.add(
            new Line(
                rung == 1 ? "1" : "1 to " + rung,
                more.stream().mapToDouble(CurveDifference.Point::rpm).toArray(),
                more.stream().mapToDouble(p -> shown.power().fromSi(p.power())).toArray()));
      }
    }
    curves.show("rpm", shown.power().symbol(), lines, band().from(), band().to());
  }
}
