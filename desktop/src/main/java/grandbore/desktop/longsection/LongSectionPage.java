package grandbore.desktop.longsection;

import grandbore.core.flow.GasPath.Part;
import grandbore.core.prediction.EngineKey;
import grandbore.core.prediction.Trace;
import grandbore.core.runs.Urgency;
import grandbore.core.studies.TraceStudy;
import grandbore.desktop.controls.FillsPage;
import grandbore.desktop.controls.Page;
import grandbore.desktop.controls.RunButton;
import grandbore.desktop.curve.CurveService;
import grandbore.desktop.look.Look;
import grandbore.desktop.results.Asking;
import grandbore.desktop.results.ResultService;
import grandbore.desktop.results.Shown;
import grandbore.desktop.session.Session;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.beans.property.DoubleProperty;
import javafx.beans.property.ReadOnlyDoubleProperty;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.util.Duration;

/** The whole engine at once: long section over wave map, at the rpm cursor and the crank cursor. */
public final class LongSectionPage extends VBox implements FillsPage {
  private static final Duration FRAME = Duration.millis(33);
  private static final Duration REST = Duration.millis(40);

  /** Degrees a frame while it runs, and a key's step. */
  private static final double STEP = 2;

  private static final double GREAT_STEP = 10;

  /** There is room for all of the head from here on, px. */
  private static final double WIDE = 760;

  /** What the map shows where another build is laid over. */
  private enum Mapped {
    THIS,
    OTHER,
    DIFFERENCE
  }

  private final Session session;
  private final DoubleProperty crank;
  private final ReadOnlyDoubleProperty rpm;
  private final LongSection section;
  private final WaveMap map;
  private final ResultService service;
  private final ResultService otherService;
  private final Asking asking;
  private final Label title = new Label();
  private final Label status = new Label();
  private final RunButton run = new RunButton("run-section", FRAME, () -> step(STEP));
  private final HBox compare = new HBox(4);
  private final HBox head = new HBox(10);
  private final CylinderChoice whose = new CylinderChoice();
  private GasView view = GasView.PRESSURE;
  private Mapped mapped = Mapped.THIS;

  /** The engine whose gas is seen; null before the first. */
  private EngineKey traced;

  private Trace trace;
  private Trace other;

  /**
   * @param crank the crank cursor, degrees
   * @param rpm the speed cursor, rev/min
   * @param open told a part that is to be gone to, {@code null} for the cylinder
   */
  public LongSectionPage(
      Session session,
      CurveService curves,
      Look look,
      DoubleProperty crank,
      ReadOnlyDoubleProperty rpm,
      Consumer<Part> open) {
    this.session = session;
    this.crank = crank;
    this.rpm = rpm;
    getStyleClass().addAll("page", "long-section-page");
    section = new LongSection(session, look, crank);
    map = new WaveMap(look, crank);
    service = new ResultService(curves.runs(), Urgency.SEEN, this::unsolved);
    otherService = new ResultService(curves.runs(), Urgency.SEEN, status::setText);
    section.onAxis(axis -> map.on(axis, isOvertaken()));
    section.onOpen(open);
    VBox.setVgrow(map, Priority.ALWAYS);
    fillHead();
    getChildren().addAll(head, section, status, map);
    crank.subscribe(
        a -> {
          section.turn();
          map.turn();
        });
    widthProperty()
        .subscribe(
            w -> {
              makeRoom();
              section.draw();
            });
    heightProperty().subscribe(h -> section.draw());
    section.widthProperty().subscribe(w -> section.draw());
    session.benchProperty().subscribe(b -> drawEngine());
    whose.placeProperty().subscribe(p -> drawEngine());
    look.drawn(
        () -> {
          section.draw();
          show();
        });
    session.overProperty().subscribe(o -> Page.show(compare, o != null));
    setFocusTraversable(true);
    addEventHandler(KeyEvent.KEY_PRESSED, this::key);
    sceneProperty().subscribe(s -> section.draw());
    asking =
        new Asking(this, REST, this::solve)
            .when(
                session.buildProperty(),
                session.readingsProperty(),
                session.overProperty(),
                rpm,
                whose.placeProperty());
  }

  /** In a narrow page the choices go before the title. */
  private void makeRoom() {
    Page.show(title, getWidth() >= WIDE);
  }

  private void drawEngine() {
    var c = session.engine().combination();
    whose.of(c);
    section.of(whose.cylinder(c));
  }

  /** Whether the gas that is seen is another engine's than the one on the bench. */
  private boolean isOvertaken() {
    return traced != null && !traced.equals(session.engine().key());
  }

  private void fillHead() {
    title.setText("Engine");
    title.getStyleClass().add("page-title");
    title.setMinWidth(Region.USE_PREF_SIZE);
    status.setId("long-section-status");
    status.getStyleClass().add("soft");
    status.setWrapText(true);
    var between = new Region();
    HBox.setHgrow(between, Priority.ALWAYS);
    var views = new ToggleGroup();
    var tints = new HBox(2);
    for (var v : GasView.values()) {
      var b = new ToggleButton(v.title());
      b.setId("tint-" + v.name().toLowerCase(Locale.ROOT));
      b.setToggleGroup(views);
      b.getStyleClass().add("small");
      b.setSelected(v == view);
      b.setMinWidth(Region.USE_PREF_SIZE);
      b.setOnAction(
          e -> {
            b.setSelected(true);
            view = v;
            show();
          });
      tints.getChildren().add(b);
    }
    var which = new ToggleGroup();
    for (var m : Mapped.values()) {
      var b =
          new ToggleButton(
              switch (m) {
                case THIS -> "This";
                case OTHER -> "Laid over";
                case DIFFERENCE -> "Difference";
              });
      b.setId("map-" + m.name().toLowerCase(Locale.ROOT));
      b.setToggleGroup(which);
      b.getStyleClass().add("small");
      b.setSelected(m == mapped);
      b.setMinWidth(Region.USE_PREF_SIZE);
      b.setOnAction(
          e -> {
            b.setSelected(true);
            mapped = m;
            show();
          });
      compare.getChildren().add(b);
    }
    run.getStyleClass().add("small");
    run.setMinWidth(56);
    head.getChildren().addAll(title, whose, between, compare, tints, run);
    head.setAlignment(Pos.CENTER_LEFT);
  }

  private void key(KeyEvent e) {
    if (e.getTarget() instanceof javafx.scene.control.TextInputControl) {
      return;
    }
    double by = e.isShiftDown() ? GREAT_STEP : STEP;
    switch (e.getCode()) {
      case LEFT -> step(-by);
      case RIGHT -> step(by);
      case UP -> whose.go(1);
      case DOWN -> whose.go(-1);
      case SPACE -> run.fire();
      default -> {
        return;
      }
    }
    e.consume();
  }

  private void step(double by) {
    crank.set((crank.get() + by + 720) % 720);
  }

  private void solve() {
    double at = Math.rint(rpm.get() / 50) * 50;
    var over = Optional.ofNullable(session.overProperty().get());
    if (!asking.isNew(
        session.engine().key(),
        over.map(o -> o.engine().key()),
        at,
        whose.placeProperty().get(),
        session.build().units())) {
      return;
    }
    dim(true);
    if (trace == null) {
      status.setText(String.format(Locale.US, "solving %,.0f rpm", at));
    }
    otherService.cancel();
    if (over.isEmpty()) {
      other = null;
    }
    over.ifPresent(
        o ->
            otherService.ask(
                new TraceStudy(o.engine(), at, whose.cylinder(o.engine().combination())),
                t -> {
                  other = t;
                  show();
                }));
    var engine = session.engine();
    int cylinder = whose.cylinder(engine.combination());
    service.ask(
        new TraceStudy(engine, at, cylinder),
        t -> {
          trace = t;
          traced = engine.key();
          dim(false);
          status.setText(
              t.point().converged()
                  ? String.format(Locale.US, "cylinder %d at %,.0f rpm", cylinder, at)
                  : "✕ this speed did not converge: " + t.point().note());
          show();
        });
  }

  private void unsolved(String why) {
    status.setText(why + "; opened again it is solved again");
    asking.forget();
  }

  private void dim(boolean old) {
    section.dim(old);
    map.dim(old);
  }

  private void show() {
    if (trace == null) {
      return;
    }
    double outside = session.engine().combination().weather().pressure().si();
    var range = view.range(trace, outside);
    var shown = new Shown(session.build().units());
    section.show(trace, view, range);
    var choice = other == null ? Mapped.THIS : mapped;
    String words = view.title().toLowerCase(Locale.ROOT) + " over place and crank angle";
    switch (choice) {
      case THIS -> map.show(trace, null, view, range, shown, words);
      case OTHER -> map.show(other, null, view, range, shown, words + ", the build laid over");
      case DIFFERENCE ->
          map.show(
              trace,
              other,
              view,
              view.difference(trace, outside),
              shown,
              words + ", less that of the build laid over");
    }
  }
}
