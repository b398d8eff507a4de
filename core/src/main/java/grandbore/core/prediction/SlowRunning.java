package grandbore.core.prediction;

import grandbore.core.combination.Intake;
import grandbore.core.combination.Losses;
import grandbore.core.combustion.FlameSpeed;
import grandbore.core.friction.Friction;
import grandbore.core.units.Measure;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.CancellationException;
import java.util.function.BooleanSupplier;

/** An engine that idles or is only cranked: throttle, vacuum, compression test. */
public final class SlowRunning {
  /**
   * Idle: the throttle that just keeps the engine turning.
   *
   * @param rpm rev/min
   * @param throttle share of the whole throttle's area
   * @param vacuum in the manifold below the air's pressure, Pa
   * @param residual burned share of the trapped charge
   * @param steady whether the charge is one that burns steadily
   */
  public record Idle(double rpm, double throttle, double vacuum, double residual, boolean steady) {}

  /** Spark at idle, rad before top centre (common practice, no source). */
  private static final double IDLE_SPARK = Math.toRadians(20);

  private static final double CRANKING_SPEED = 200;
  private static final int CRANKING_CYCLES = 4;
  private static final int IDLE_CYCLES = 20;
  private static final int COUNTED_CYCLES = 12;
  private static final double FIRST_THROTTLE = 0.03;
  private static final double LEAST_THROTTLE = 0.0008;
  private static final double SHUT = 0.8;
  private static final double TENTH_OF_CC = 1e-7;

  /** Room in the tester's hose ahead of its valve, m³ (common practice, no source). */
  private static final double TESTER = 3e-6;

  private final BuiltEngine engine;
  private final BooleanSupplier cancelled;

  /**
   * Heat to the walls is Hohenberg's here, whatever the curve is run with: Woschni's goes to
   * nothing with the piston's speed.
   */
  public SlowRunning(BuiltEngine engine) {
    this(engine, () -> false);
  }

  /**
   * @param cancelled asked once a cycle; where it says so, a {@link CancellationException} is
   *     thrown
   */
  public SlowRunning(BuiltEngine engine, BooleanSupplier cancelled) {
    this.cancelled = cancelled;
    this.engine =
        new BuiltEngine(
            engine.combination().with("losses.heat", Losses.HeatModel.HOHENBERG),
            engine.clearances());
  }

  /**
   * Gauge pressure of a compression test on a warm engine with its throttle held open, Pa, cylinder
   * 1 first. The gauge keeps the highest of a few strokes.
   */
  public List<Double> compressionTest() {
    Map<Long, Double> known = new HashMap<>();
    var readings = new ArrayList<Double>();
    for (double clearance : engine.clearances()) {
      long key = Math.round(clearance / TENTH_OF_CC);
      readings.add(known.computeIfAbsent(key, k -> cranked(clearance)));
    }
    return readings;
  }

  private double cranked(double clearance) {
    var network = network(clearance + TESTER);
    double speed = CRANKING_SPEED * Math.PI / 30;
    turn(network, speed, CRANKING_CYCLES, Double.NEGATIVE_INFINITY);
    return network.units().getFirst().cylinder().lastCycle().peakPressure
        - engine.combination().weather().pressure().si();
  }

  private EngineNetwork network(double clearance) {
    // Cranked and idling it runs with the mixture of its slowest speeds.
    var c = engine.at(Measure.RPM.fromSi(engine.combination().brief().idle().si())).combination();
    var volumes = new double[c.bottomEnd().cylinders()];
    java.util.Arrays.fill(volumes, clearance);
    return new EngineNetwork(
        new EngineParts(c, Fidelity.LIVE.mesh(), 0, RemovedLoss.NONE, CylinderGeometry.Walls.WARM),
        RepresentativeCylinders.live(c),
        volumes);
  }

  private void turn(EngineNetwork network, double speed, int cycles, double spark) {
    var c = engine.combination();
    double piston = c.bottomEnd().stroke().si() * speed / Math.PI;
    var parts = network.parts();
    var in = parts.intakeValve().at(speed).lift();
    var out = parts.exhaustValve().at(speed).lift();
    for (var u : network.units()) {
      u.setLifts(in, out, true);
      u.cylinder().setSpark(spark);
    }
    var first = network.units().getFirst();
    int end = first.cycles() + cycles;
    int cycle = first.cycles();
    while (first.cycles() < end && network.step(speed, piston) > 0) {
      if (first.cycles() > cycle && cancelled.getAsBoolean()) {
        throw new CancellationException("cancelled");
      }
      cycle = first.cycles();
    }
  }

  /** Idle at a speed; nothing where every runner has its own throttle or no throttle idles it. */
  public Optional<Idle> idle(double rpm) {
    var c = engine.combination();
    if (c.intake().manifold() == Intake.Manifold.INDIVIDUAL) {
      return Optional.empty();
    }
    var network = network(engine.clearances().stream().mapToDouble(v -> v).average().orElseThrow());
    double speed = rpm * Math.PI / 30;
    double share = FIRST_THROTTLE;
    var before = surplus(network, speed, share);
    if (before.work < 0) {
      return Optional.empty();
    }
    // Shut bit by bit, so that the charge does not go out at once.
    while (share > LEAST_THROTTLE) {
      double next = share * SHUT;
      var now = surplus(network, speed, next);
      if (now.work < 0) {
        double part = before.work / (before.work - now.work);
        double residual = before.residual + part * (now.residual - before.residual);
        return Optional.of(
            new Idle(
                rpm,
                share * Math.pow(SHUT, part),
                c.weather().pressure().si()
                    - before.manifold
                    - part * (now.manifold - before.manifold),
                residual,
                residual < FlameSpeed.PARTIAL));
      }
      before = now;
      share = next;
    }
    return Optional.empty();
  }

  private record Balance(double work, double manifold, double residual) {}

  /** Work over friction at a throttle, as a mean pressure, Pa. */
  private Balance surplus(EngineNetwork network, double speed, double share) {
    var c = engine.combination();
    network.intake().throttle(share);
    turn(network, speed, IDLE_CYCLES, IDLE_SPARK);
    double manifold = 0;
    double work = 0;
    double residual = 0;
    network.intake().takeMeanPressure();
    for (int cycle = 0; cycle < COUNTED_CYCLES; cycle++) {
      turn(network, speed, 1, IDLE_SPARK);
      manifold += network.intake().takeMeanPressure() / COUNTED_CYCLES;
      for (var u : network.units()) {
        double part = 1.0 / network.units().size() / COUNTED_CYCLES;
        work += part * u.cylinder().lastCycle().netWork();
        residual += part * u.cylinder().lastCycle().residual;
      }
    }
    double friction =
        new Friction(c)
            .at(speed * 30 / Math.PI, manifold / Friction.STANDARD_PRESSURE, 2e6)
            .total();
    return new Balance(work / c.bottomEnd().sweptVolume() - friction, manifold, residual);
  }
}
