package grandbore.core.studies;

import grandbore.core.combination.Combination;
import grandbore.core.prediction.BuiltEngine;
import grandbore.core.prediction.Curve;
import grandbore.core.prediction.SlowRunning;
import grandbore.core.prediction.WantedBand;
import grandbore.core.valvetrain.PistonToValve;
import java.util.Optional;
import java.util.function.BooleanSupplier;

/**
 * What an engine with some changes came to.
 *
 * @param engine with them; empty where they do not fit
 * @param curve empty where they do not fit
 * @param figures empty where no speed settled
 * @param pistonToValve the closest that either valve comes to the piston, m; not a number where it
 *     can't be built
 * @param idle empty where it was not asked for, and where no throttle holds one
 * @param refused why they do not fit, empty where they do
 */
public record Rung(
    Optional<BuiltEngine> engine,
    Optional<Curve> curve,
    Optional<CurveFigures> figures,
    double pistonToValve,
    Optional<SlowRunning.Idle> idle,
    String refused) {
  /** Of an engine that was run. */
  public static Rung of(BuiltEngine engine, Curve curve, WantedBand band) {
    return new Rung(
        Optional.of(engine),
        Optional.of(curve),
        CurveFigures.of(curve, engine.combination(), band),
        closest(engine.combination()),
        Optional.empty(),
        "");
  }

  /** Of one that can't be built. */
  public static Rung refused(String why) {
    return new Rung(
        Optional.empty(), Optional.empty(), Optional.empty(), Double.NaN, Optional.empty(), why);
  }

  /** Of an engine that was run among others. */
  static Rung of(Batch.Ran<?> ran, WantedBand band) {
    return ran.curve()
        .map(c -> of(ran.engine().orElseThrow(), c, band))
        .orElseGet(() -> refused(ran.refused().orElseThrow().getMessage()));
  }

  /** The same with its idle solved at the speed of the brief, where it has one. */
  Rung idling(BooleanSupplier stop) {
    return new Rung(
        engine,
        curve,
        figures,
        pistonToValve,
        engine.flatMap(e -> new SlowRunning(e, stop).idle(IdleStudy.speed(e.combination()))),
        refused);
  }

  private static double closest(Combination c) {
    return Math.min(
        PistonToValve.intake(c).closest().clearance(),
        PistonToValve.exhaust(c).closest().clearance());
  }

  /** In the manifold at idle, below the air's pressure, Pa; not a number where none was solved. */
  public double vacuum() {
    return idle.map(SlowRunning.Idle::vacuum).orElse(Double.NaN);
  }

  /** Average power over the band, W; not a number where there is none. */
  public double power() {
    return figures.flatMap(CurveFigures::band).map(b -> b.power()).orElse(Double.NaN);
  }

  /** Average torque over the band, N m; not a number where there is none. */
  public double torque() {
    return figures.flatMap(CurveFigures::band).map(b -> b.torque()).orElse(Double.NaN);
  }
}
