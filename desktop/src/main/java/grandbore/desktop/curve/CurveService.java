package grandbore.desktop.curve;

import grandbore.core.prediction.BuiltEngine;
import grandbore.core.prediction.Curve;
import grandbore.core.prediction.EngineKey;
import grandbore.core.prediction.Fidelity;
import grandbore.core.prediction.WarmStarts;
import grandbore.core.runs.Desk;
import grandbore.core.runs.Run;
import grandbore.core.runs.RunQueue;
import grandbore.core.runs.Study;
import grandbore.core.runs.Urgency;
import grandbore.desktop.session.Session;
import java.util.List;
import java.util.Optional;
import javafx.animation.PauseTransition;
import javafx.application.Platform;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.value.ObservableValue;
import javafx.util.Duration;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * Keeps the curve in step with the bench: each edit starts a live run and ends the one before.
 * Where one cylinder can't stand for all, its curve is the sketch that is seen until the others'
 * stands.
 */
public final class CurveService implements AutoCloseable {
  private static final Logger LOG = LoggerFactory.getLogger(CurveService.class);
  private static final int LIVE_POINTS = 15;
  private static final int FULL_POINTS = 25;

  /** Solves curves: the wave model, or in a test what stands for it. */
  @FunctionalInterface
  public interface Solver {
    Curve solve(
        Desk<Curve> desk,
        BuiltEngine engine,
        List<Double> speeds,
        Fidelity fidelity,
        WarmStarts starts);
  }

  /** One curve; a sketch of it, where there is one, is shown before. */
  private record Wanted(
      BuiltEngine engine,
      List<Double> speeds,
      Fidelity fidelity,
      WarmStarts starts,
      Optional<WarmStarts> sketch,
      Solver solver)
      implements Study<Curve> {
    @Override
    public String title() {
      return fidelity == Fidelity.FULL ? "Every cylinder" : "The curve";
    }

    /** A live curve hangs on the one before it; the full one starts from nothing. */
    @Override
    public List<Object> key() {
      return fidelity == Fidelity.FULL ? List.of(engine.key(), speeds) : List.of();
    }

    @Override
    public Curve solve(Desk<Curve> desk) {
      desk.expect(sketch.isPresent() ? 2 * speeds.size() : speeds.size());
      if (fidelity == Fidelity.FULL) {
        return desk.curve(engine, speeds, fidelity);
      }
      sketch.ifPresent(from -> desk.show(solver.solve(desk, engine, speeds, Fidelity.LIVE, from)));
      return solver.solve(desk, engine, speeds, fidelity, starts);
    }
  }

  private final Session session;
  private final RunQueue runs = new RunQueue();
  private final BandOfDoubt doubt;
  private final Solver solver;

  /** Each curve starts from where its own last one ended. */
  private final WarmStarts starts = new WarmStarts();

  private final WarmStarts startsOfSketch = new WarmStarts();
  private final WarmStarts startsOver = new WarmStarts();
  private final ReadOnlyObjectWrapper<CurveState> state =
      new ReadOnlyObjectWrapper<>(CurveState.EMPTY);
  private final ReadOnlyObjectWrapper<Curve> over = new ReadOnlyObjectWrapper<>();

  /** The run that goes on, and the last one's curve laid over; null for none. */
  private Run<Curve> now;

  private Run<Curve> nowOver;
  private List<Object> shownOver = List.of();
  private long shownBuild;

  /** The last sketch of the build on the bench. */
  private Curve sketched;

  private EngineKey shown;
  private List<Double> shownSpeeds;

  public CurveService(Session session) {
    this(session, Desk::curve);
  }

  /**
   * @param solver what solves the curve; the wave model is {@code Desk::curve}
   */
  public CurveService(Session session, Solver solver) {
    this.session = session;
    this.solver = solver;
    doubt = new BandOfDoubt(session);
    session.benchProperty().subscribe(b -> live());
    session.overProperty().subscribe(o -> over());
    session.buildProperty().subscribe(b -> over());
  }

  /** The queue in which the curve goes first. */
  public RunQueue runs() {
    return runs;
  }

  /** The band round the curve. */
  public BandOfDoubt doubt() {
    return doubt;
  }

  public ReadOnlyObjectProperty<CurveState> stateProperty() {
    return state.getReadOnlyProperty();
  }

  /** The curve that stands; it changes once a run is through, not while it goes on. */
  public ObservableValue<Curve> curve() {
    return state.map(CurveState::curve);
  }

  /** The live curve of the build laid over, {@code null} for none. */
  public ReadOnlyObjectProperty<Curve> overProperty() {
    return over.getReadOnlyProperty();
  }

  private void over() {
    var laid = session.overProperty().get();
    if (laid == null) {
      end(nowOver);
      shownOver = List.of();
      over.set(null);
      return;
    }
    var speeds = session.build().speeds().points(LIVE_POINTS);
    List<Object> wish = List.of(laid.engine().key(), speeds);
    if (wish.equals(shownOver)) {
      return;
    }
    shownOver = wish;
    end(nowOver);
    var run =
        runs.submit(
            new Wanted(
                laid.engine(), speeds, Fidelity.PLACED, startsOver, Optional.empty(), solver),
            Urgency.SEEN);
    nowOver = run;
    run.watch(
        () ->
            Platform.runLater(
                () -> {
                  if (nowOver == run && run.isOver()) {
                    run.result().ifPresent(over::set);
                    run.failure()
                        .ifPresent(e -> LOG.error("The build laid over was not solved", e));
                  }
                }));
  }

  private static void end(Run<Curve> run) {
    if (run != null) {
      run.cancel();
    }
  }

  /** The window shows the edit before the solver takes its processors. */
  private final PauseTransition breath = new PauseTransition(Duration.millis(25));

  private void live() {
    var contradiction = session.bench().contradiction();
    if (contradiction.isPresent()) {
      stop();
      shown = null;
      shownBuild = session.id();
      state.set(CurveState.withheld("withheld: " + contradiction.get()));
      return;
    }
    // What is only on paper does not move the curve.
    var engine = session.engine();
    var key = engine.key();
    var speeds = session.build().speeds().points(LIVE_POINTS);
    if (key.equals(shown) && speeds.equals(shownSpeeds)) {
      return;
    }
    boolean sameBuild = session.id() == shownBuild;
    shown = key;
    shownSpeeds = speeds;
    shownBuild = session.id();
    var before = sameBuild ? state.get().curve() : null;
    sketched = sameBuild ? sketched : null;
    start(engine, speeds, Fidelity.PLACED, before, before);
  }

  /** Solves every cylinder, in the background. */
  public void full() {
    var now = state.get();
    start(
        session.engine(),
        session.build().speeds().points(FULL_POINTS),
        Fidelity.FULL,
        now.curve(),
        now.ghost());
  }

  /** Ends the run that goes on; what stood before stays. */
  public void cancel() {
    stop();
    state.set(state.get().stopped());
  }

  private void stop() {
    breath.stop();
    end(now);
    now = null;
  }

  private void start(
      BuiltEngine engine, List<Double> speeds, Fidelity fidelity, Curve before, Curve ghost) {
    stop();
    long asked = System.nanoTime();
    var last = state.get();
    boolean sketches = fidelity == Fidelity.PLACED && !Fidelity.LIVE.isExact(engine.combination());
    state.set(
        new CurveState(
            before,
            // What is dimmed is not drawn anew: its ghost changes with the next curve.
            before == null ? null : last.ghost(),
            before == null || last.sketch() == null ? null : last.sketch().overtaken(),
            fidelity,
            0,
            sketches ? 2 * speeds.size() : speeds.size(),
            last.milliseconds(),
            ""));
    var sketch = sketches ? Optional.of(startsOfSketch) : Optional.<WarmStarts>empty();
    breath.setOnFinished(e -> submit(engine, speeds, fidelity, ghost, asked, sketch));
    breath.playFromStart();
  }

  private void submit(
      BuiltEngine engine,
      List<Double> speeds,
      Fidelity fidelity,
      Curve ghost,
      long asked,
      Optional<WarmStarts> sketch) {
    var run =
        runs.submit(
            new Wanted(engine, speeds, fidelity, starts, sketch, solver),
            fidelity == Fidelity.FULL ? Urgency.SEEN : Urgency.LIVE);
    now = run;
    run.watch(() -> Platform.runLater(() -> follow(run, ghost, asked)));
  }

  private void follow(Run<Curve> run, Curve ghost, long asked) {
    if (now != run) {
      return;
    }
    run.partial().filter(quick -> !quick.equals(sketched)).ifPresent(this::sketch);
    var s = state.get();
    int done = run.progress().done();
    if (!run.isOver() && done > s.done()) {
      state.set(s.done(done));
    }
    run.result()
        .ifPresent(
            curve -> {
              now = null;
              long took = (System.nanoTime() - asked) / 1_000_000;
              state.set(new CurveState(curve, ghost, null, curve.fidelity(), 0, 0, took, ""));
            });
    run.failure().ifPresent(this::failed);
    if (run.isStopped()) {
      cancel();
    }
  }

  private void failed(Throwable e) {
    LOG.error("A curve could not be solved", e);
    now = null;
    state.set(
        state
            .get()
            .failed(
                "could not be solved (%s): take the last change back, or change an input"
                    .formatted(e.getMessage())));
  }

  private void sketch(Curve quick) {
    var s = state.get();
    var beside = new CurveState.Sketch(quick, sketched, false);
    sketched = quick;
    state.set(
        new CurveState(
            s.curve(),
            s.ghost(),
            beside,
            s.fidelity(),
            s.done(),
            s.wanted(),
            s.milliseconds(),
            ""));
  }

  @Override
  public void close() {
    stop();
    end(nowOver);
    runs.close();
  }
}
