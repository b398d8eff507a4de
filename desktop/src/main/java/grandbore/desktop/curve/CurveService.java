package grandbore.desktop.curve;

import grandbore.core.prediction.BuiltEngine;
import grandbore.core.prediction.Curve;
import grandbore.core.prediction.CurvePoint;
import grandbore.core.prediction.Fidelity;
import grandbore.core.prediction.Predictor;
import grandbore.core.prediction.Starts;
import grandbore.desktop.session.Session;
import java.util.List;
import java.util.Objects;
import java.util.concurrent.CancellationException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.concurrent.atomic.AtomicLong;
import java.util.function.BooleanSupplier;
import java.util.function.Consumer;
import javafx.application.Platform;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.value.ObservableValue;
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
  interface Solver {
    Curve solve(
        BuiltEngine engine,
        List<Double> speeds,
        Fidelity fidelity,
        Starts starts,
        Consumer<CurvePoint> each,
        BooleanSupplier stop);
  }

  private final Session session;
  private final Predictor predictor = new Predictor();
  private final Solver solver;

  /** Each curve starts from where its own last one ended. */
  private final Starts starts = new Starts();

  private final Starts startsOfSketch = new Starts();
  private final Starts startsOver = new Starts();
  private final ExecutorService runner =
      Executors.newSingleThreadExecutor(Thread.ofPlatform().daemon().name("curve").factory());
  private final ReadOnlyObjectWrapper<CurveState> state =
      new ReadOnlyObjectWrapper<>(CurveState.EMPTY);
  private final ExecutorService overRunner =
      Executors.newSingleThreadExecutor(Thread.ofPlatform().daemon().name("over").factory());
  private final ReadOnlyObjectWrapper<Curve> over = new ReadOnlyObjectWrapper<>();
  private final AtomicLong newest = new AtomicLong();
  private final AtomicLong newestOver = new AtomicLong();
  private List<Object> shownOver = List.of();
  private long shownBuild;

  /** The last sketch of the build on the bench. */
  private Curve sketched;

  private BuiltEngine shown;
  private List<Double> shownSpeeds;

  public CurveService(Session session) {
    this(session, null);
  }

  /**
   * @param solver null for the wave model
   */
  CurveService(Session session, Solver solver) {
    this.session = session;
    this.solver = solver == null ? predictor::predictNext : solver;
    session.benchProperty().subscribe(b -> live());
    session.overProperty().subscribe(o -> over());
    session.buildProperty().subscribe(b -> over());
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
      newestOver.incrementAndGet();
      shownOver = List.of();
      over.set(null);
      return;
    }
    var speeds = session.build().speeds().points(LIVE_POINTS);
    List<Object> wish = List.of(laid.engine().solved(), speeds);
    if (wish.equals(shownOver)) {
      return;
    }
    shownOver = wish;
    long run = newestOver.incrementAndGet();
    overRunner.execute(
        () -> {
          try {
            var curve =
                solver.solve(
                    laid.engine(),
                    speeds,
                    Fidelity.PLACED,
                    startsOver,
                    p -> {},
                    () -> newestOver.get() != run);
            Platform.runLater(
                () -> {
                  if (newestOver.get() == run) {
                    over.set(curve);
                  }
                });
          } catch (CancellationException e) {
            // Another build was laid over.
          } catch (RuntimeException e) {
            LOG.error("The curve of the build laid over could not be solved", e);
          }
        });
  }

  private void live() {
    var contradiction = session.bench().contradiction();
    if (contradiction.isPresent()) {
      newest.incrementAndGet();
      shown = null;
      shownBuild = session.id();
      state.set(CurveState.withheld("withheld: " + contradiction.get()));
      return;
    }
    // What is only on paper does not move the curve.
    var engine = session.engine().solved();
    var speeds = session.build().speeds().points(LIVE_POINTS);
    if (Objects.equals(engine, shown) && speeds.equals(shownSpeeds)) {
      return;
    }
    boolean sameBuild = session.id() == shownBuild;
    shown = engine;
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
    newest.incrementAndGet();
    state.set(state.get().stopped());
  }

  private void start(
      BuiltEngine engine, List<Double> speeds, Fidelity fidelity, Curve before, Curve ghost) {
    long run = newest.incrementAndGet();
    long asked = System.nanoTime();
    var last = state.get();
    boolean sketches = fidelity == Fidelity.PLACED && !Fidelity.LIVE.isExact(engine.combination());
    state.set(
        new CurveState(
            before,
            ghost,
            before == null || last.sketch() == null ? null : last.sketch().overtaken(),
            fidelity,
            0,
            sketches ? 2 * speeds.size() : speeds.size(),
            last.milliseconds(),
            ""));
    runner.execute(
        () -> {
          try {
            BooleanSupplier old = () -> newest.get() != run;
            var done = new AtomicInteger();
            Consumer<CurvePoint> each = p -> progress(run, done.incrementAndGet());
            if (fidelity == Fidelity.FULL) {
              stand(run, predictor.predict(engine, speeds, fidelity, each, old), ghost, asked);
              return;
            }
            if (sketches) {
              var quick = solver.solve(engine, speeds, Fidelity.LIVE, startsOfSketch, each, old);
              Platform.runLater(() -> sketch(run, quick));
            }
            var curve = solver.solve(engine, speeds, fidelity, starts, each, old);
            stand(run, curve, ghost, asked);
          } catch (CancellationException e) {
            // A newer edit took this run's place.
          } catch (RuntimeException e) {
            failed(run, e);
          }
        });
  }

  private void failed(long run, RuntimeException e) {
    LOG.error("A curve could not be solved", e);
    Platform.runLater(
        () -> {
          if (newest.get() == run) {
            state.set(
                state
                    .get()
                    .failed(
                        "could not be solved (%s): take the last change back, or change an input"
                            .formatted(e.getMessage())));
          }
        });
  }

  private void progress(long run, int done) {
    Platform.runLater(
        () -> {
          var s = state.get();
          if (newest.get() == run && s.isRunning() && done > s.done()) {
            state.set(s.done(done));
          }
        });
  }

  private void sketch(long run, Curve quick) {
    if (newest.get() == run) {
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
  }

  private void stand(long run, Curve curve, Curve ghost, long asked) {
    long took = (System.nanoTime() - asked) / 1_000_000;
    Platform.runLater(
        () -> {
          if (newest.get() == run) {
            state.set(new CurveState(curve, ghost, null, curve.fidelity(), 0, 0, took, ""));
          }
        });
  }

  @Override
  public void close() {
    newest.incrementAndGet();
    newestOver.incrementAndGet();
    runner.shutdownNow();
    overRunner.shutdownNow();
    predictor.close();
  }
}
