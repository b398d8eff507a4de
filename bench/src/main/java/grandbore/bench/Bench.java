package grandbore.bench;

import grandbore.core.build.Build;
import grandbore.core.combination.Arrangement;
import grandbore.core.demo.DemoBuilds;
import grandbore.core.demo.DemoChanges;
import grandbore.core.prediction.BuiltEngine;
import grandbore.core.prediction.Curve;
import grandbore.core.prediction.CurvePoint;
import grandbore.core.prediction.Fidelity;
import grandbore.core.prediction.Predictor;
import grandbore.core.prediction.WantedBand;
import grandbore.core.prediction.WarmStarts;
import grandbore.core.runs.RunQueue;
import grandbore.core.runs.Study;
import grandbore.core.runs.Urgency;
import grandbore.core.studies.DoubtStudy;
import grandbore.core.studies.EffectsStudy;
import grandbore.core.studies.Goal;
import grandbore.core.studies.InputSweepStudy;
import grandbore.core.studies.LadderStudy;
import grandbore.core.studies.SearchBounds;
import grandbore.core.studies.SearchStudy;
import grandbore.core.studies.SweepAxis;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.concurrent.atomic.AtomicLong;
import java.util.function.Supplier;

/** Times the predictions on this machine: least, median and most of some runs after a warm-up. */
public final class Bench {
  private static final int WARM_UP = 4;
  private static final int RUNS = 7;

  private Bench() {}

  public static void main(String[] arguments) {
    var eight = DemoBuilds.hillClimbEight();
    var cross = eight.with(Arrangement.VEE_8_CROSS.of(eight.combination()));
    var four = DemoBuilds.paddockFour();
    int workers = Runtime.getRuntime().availableProcessors();
    System.out.printf("%d processors, Java %s%n", workers, Runtime.version());
    try (var all = new Predictor();
        var one = new Predictor(1)) {
      time("V8, live, after an edit", workers, edited(all, eight, Fidelity.LIVE));
      time("V8, live, after an edit, one worker", 1, edited(one, eight, Fidelity.LIVE));
      time("V8, live, 15 points", workers, () -> run(all, eight, 15, Fidelity.LIVE));
      time("V8, live, 15 points, one worker", 1, () -> run(one, eight, 15, Fidelity.LIVE));
      time("in-line four, live, 15 points", workers, () -> run(all, four, 15, Fidelity.LIVE));
      time("V8, full, 25 points", workers, () -> run(all, eight, 25, Fidelity.FULL));
      time("cross-plane V8, live, after an edit", workers, edited(all, cross, Fidelity.LIVE));
      time("cross-plane V8, placed, after an edit", workers, edited(all, cross, Fidelity.PLACED));
      time("cross-plane V8, full, 25 points", workers, () -> run(all, cross, 25, Fidelity.FULL));
      time("in-line four, full, 25 points", workers, () -> run(all, four, 25, Fidelity.FULL));
    }
    studies(eight);
    var pulls = DynoBench.pulls(eight);
    DynoBench.overlay(pulls);
    time("V8, 6 coefficients on 6 pulls", () -> DynoBench.calibration(eight, pulls));
    var memory = Runtime.getRuntime();
    System.gc();
    System.out.printf(
        "heap in use after all of it: %d MB%n",
        (memory.totalMemory() - memory.freeMemory()) / (1024 * 1024));
  }

  /** Studies on a queue of their own each, so that none finds what another has run. */
  private static void studies(Build build) {
    var engine = BuiltEngine.asSpecified(build.combination());
    var band = WantedBand.of(build.combination().brief());
    var speeds = build.speeds().points(16);
    var changes = DemoChanges.hillClimbEight();
    time("V8, ladder, all pairs", () -> new LadderStudy(engine, changes, speeds, band, true));
    var axes =
        List.of(
            SweepAxis.around(build.combination(), "intake.runnerLength", 9),
            SweepAxis.around(build.combination(), "exhaust.primaryLength", 9));
    var few = band.fewSpeeds();
    time("V8, map of 9 by 9", () -> new InputSweepStudy(engine, axes, few, band));
    double from = build.speeds().from();
    double to = build.speeds().to();
    time("V8, 200 samples of doubt", () -> new DoubtStudy(engine, band, from, to, 200, 1));
    time(
        "V8, each input alone",
        () -> new EffectsStudy(engine, few, band, EffectsStudy.Step.SPREAD));
    time(
        "V8, search, 500 candidates",
        () ->
            new SearchStudy(
                engine,
                band,
                axes,
                changes,
                Goal.BAND_POWER,
                Optional.empty(),
                SearchBounds.NONE,
                false,
                500,
                1,
                List.of()));
  }

  private static void time(String what, Supplier<Study<?>> study) {
    try (var queue = new RunQueue()) {
      long start = System.nanoTime();
      var run = queue.submit(study.get(), Urgency.STUDY);
      var first = new AtomicLong();
      run.watch(
          () -> {
            if (run.partial().isPresent()) {
              first.compareAndSet(0, System.nanoTime() - start);
            }
          });
      var _ = run.await();
      double seconds = (System.nanoTime() - start) / 1e9;
      System.out.printf(
          Locale.ROOT,
          "%-34s %7.1f s, %.1f ms a speed, the first of it after %.2f s%n",
          what,
          seconds,
          1e3 * seconds / run.progress().done(),
          first.get() / 1e9);
    }
  }

  private static Curve run(Predictor predictor, Build build, int points, Fidelity fidelity) {
    return predictor.predict(
        BuiltEngine.asSpecified(build.combination()), build.speeds().points(points), fidelity);
  }

  /** A runner some per cent longer, then as it was, each from where the last curve ended. */
  private static Supplier<Curve> edited(Predictor predictor, Build build, Fidelity fidelity) {
    var starts = new WarmStarts();
    var speeds = build.speeds().points(15);
    var runner = build.combination().intake().runnerLength();
    var longer = runner.with(1.03 * runner.si(), runner.provenance());
    var engines =
        List.of(
            BuiltEngine.asSpecified(build.combination()),
            BuiltEngine.asSpecified(build.combination().with("intake.runnerLength", longer)));
    var turn = new AtomicInteger();
    return () -> {
      var engine = engines.get(turn.getAndIncrement() % 2);
      return predictor.predictNext(engine, speeds, fidelity, starts, p -> {}, () -> false);
    };
  }

  private static void time(String what, int workers, Supplier<Curve> work) {
    for (int i = 0; i < WARM_UP; i++) {
      var _ = work.get();
    }
    var took = new double[RUNS];
    Curve curve = null;
    for (int i = 0; i < RUNS; i++) {
      long start = System.nanoTime();
      curve = work.get();
      took[i] = (System.nanoTime() - start) / 1e6;
    }
    Arrays.sort(took);
    double median = took[RUNS / 2];
    long steps = curve.points().stream().mapToLong(CurvePoint::cellSteps).sum();
    long settled = curve.points().stream().filter(CurvePoint::converged).count();
    System.out.printf(
        Locale.ROOT,
        "%-34s %7.0f ms (%.0f to %.0f), %d of %d settled, %.0f ns a cell-step on one core, all"
            + " in%n",
        what,
        median,
        took[0],
        took[RUNS - 1],
        settled,
        curve.points().size(),
        median * 1e6 * workers / steps);
  }
}
