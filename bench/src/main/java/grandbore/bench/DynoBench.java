package grandbore.bench;

import grandbore.core.build.Build;
import grandbore.core.dyno.DayAir;
import grandbore.core.dyno.Pull;
import grandbore.core.dyno.PullCurve;
import grandbore.core.dyno.Standard;
import grandbore.core.dyno.calibration.Believed;
import grandbore.core.dyno.calibration.CalibrationStudy;
import grandbore.core.dyno.calibration.Coefficient;
import grandbore.core.dyno.simulated.Asked;
import grandbore.core.dyno.simulated.Hidden;
import grandbore.core.dyno.simulated.SimulatedDyno;
import grandbore.core.prediction.BuiltEngine;
import grandbore.core.prediction.Fidelity;
import grandbore.core.prediction.Predictor;
import java.time.Instant;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.TreeMap;

/** What a day at the dyno asks of this machine. */
final class DynoBench {
  private static final int PULLS = 200;
  private static final int RUNS = 5;

  private DynoBench() {}

  /** Six pulls of the simulated dyno, ten rows a second, at five sparks. */
  static List<Pull> pulls(Build build) {
    var engine = BuiltEngine.asSpecified(build.combination());
    var pulls = new ArrayList<Pull>();
    try (var predictor = new Predictor()) {
      var dyno =
          new SimulatedDyno(
              engine,
              Hidden.drawn(EnumSet.copyOf(coefficients()), 3),
              DayAir.of(build.combination().weather()),
              (e, speeds) -> predictor.predict(e, speeds, Fidelity.LIVE));
      for (double spark : new double[] {30, 30, 26, 22, 18, 28}) {
        var asked =
            Asked.sweep(
                new TreeMap<>(), Math.toRadians(spark), build.speeds().from(), build.speeds().to());
        pulls.add(dyno.pull(asked, pulls.size() + 1, "bench", Instant.EPOCH, "spark " + spark));
      }
    }
    return pulls;
  }

  static List<Coefficient> coefficients() {
    return List.of(
        Coefficient.INTAKE_FLOW,
        Coefficient.EXHAUST_FLOW,
        Coefficient.INTAKE_LENGTH,
        Coefficient.WALL_HEAT,
        Coefficient.BURN_SPEED,
        Coefficient.FRICTION);
  }

  static CalibrationStudy calibration(Build build, List<Pull> pulls) {
    return new CalibrationStudy(
        BuiltEngine.asSpecified(build.combination()),
        pulls,
        coefficients(),
        Believed.ordinary(),
        0);
  }

  /** The curves of two hundred pulls of 150 rows, corrected and smoothed. */
  static void overlay(List<Pull> pulls) {
    double best = Double.POSITIVE_INFINITY;
    int points = 0;
    for (int run = 0; run < RUNS; run++) {
      long begun = System.nanoTime();
      points = 0;
      for (int k = 0; k < PULLS; k++) {
        points +=
            PullCurve.torque(pulls.get(k % pulls.size()), Standard.SAE_J1349, PullCurve.USUAL_WIDTH)
                .points()
                .size();
      }
      best = Math.min(best, (System.nanoTime() - begun) / 1e6);
    }
    System.out.printf(
        Locale.ROOT, "%-34s %7.1f ms, %d points%n", "200 pulls, corrected, smoothed", best, points);
  }
}
