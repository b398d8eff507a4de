package grandbore.core.prediction;

import grandbore.core.combination.Mixture;
import grandbore.core.friction.Friction;
import java.util.function.BooleanSupplier;

/** Runs one network to a periodic state at one speed after another, each from the last. */
final class SpeedRun {
  private static final double CHANGE = 1e-3;
  private static final int FEWEST = 4;
  private static final int MOST_LIVE = 80;
  private static final int MOST_FULL = 60;
  private static final int SPARK_CYCLES = 6;
  private static final double SPARK_STEP = Math.toRadians(4);
  private static final double LEAST_SPARK = Math.toRadians(4);
  private static final double MOST_SPARK = Math.toRadians(58);

  private final EngineParts parts;
  private final EngineNetwork network;
  private final Friction friction;
  private final boolean live;
  private final boolean bestTorque;
  private double spark;
  private long cellSteps;

  SpeedRun(BuiltEngine engine, Fidelity fidelity, Mesh mesh) {
    var c = engine.combination();
    live = fidelity == Fidelity.LIVE;
    parts = new EngineParts(c, mesh);
    network = new EngineNetwork(parts, live, engine.clearanceArray());
    friction = new Friction(c);
    bestTorque = c.mixture().spark() == Mixture.Spark.BEST_TORQUE;
    spark = bestTorque ? Math.toRadians(28) : c.mixture().advance().si();
    setSpark();
  }

  private void setSpark() {
    for (var u : network.units()) {
      u.cylinder().setSpark(spark);
    }
  }

  /** Runs to a periodic state at a speed, rev/min. */
  CurvePoint run(double rpm, BooleanSupplier cancelled) {
    double speed = rpm * Math.PI / 30;
    var bottom = parts.combination().bottomEnd();
    double piston = 2 * bottom.stroke().si() * rpm / 60;
    double lastWork = Double.NaN;
    double lastMass = Double.NaN;
    int settled = 0;
    int most = live ? MOST_LIVE : MOST_FULL;
    int cycle = 0;
    String note = "";
    cellSteps = 0;
    double plenum = 0;
    while (settled < 2 && cycle < most) {
      network.takePlenumPressure();
      boolean broken = !cycle(speed, piston, cycle < SPARK_CYCLES);
      plenum = network.takePlenumPressure();
      cycle++;
      double work = broken ? Double.NaN : 0;
      double mass = 0;
      for (var u : network.units()) {
        work += u.cylinder().lastCycle().netWork();
        mass += u.cylinder().lastCycle().trapped;
      }
      if (!Double.isFinite(work) || !(mass > 0)) {
        note = "the gas left the range of the model";
        break;
      }
      boolean still =
          Math.abs(work - lastWork) < CHANGE * Math.abs(work)
              && Math.abs(mass - lastMass) < CHANGE * mass;
      settled = still && cycle >= FEWEST ? settled + 1 : 0;
      lastWork = work;
      lastMass = mass;
      if (cancelled.getAsBoolean()) {
        note = "cancelled";
        break;
      }
    }
    boolean converged = settled >= 2;
    if (!converged && note.isEmpty()) {
      note = "still changing by more than 0.1 % a cycle after " + most + " cycles";
    }
    return point(rpm, speed, plenum, cycle, converged, note);
  }

  /** Runs one cycle; false where the state stopped being a number. */
  private boolean cycle(double speed, double piston, boolean seekSpark) {
    var first = network.units().get(0);
    int before = first.cycles();
    boolean sought = !(seekSpark && bestTorque);
    boolean wasClosed = first.cylinder().isClosed();
    long from = network.steps();
    while (first.cycles() == before) {
      if (!(network.step(speed, piston) > 0)) {
        return false;
      }
      boolean closed = first.cylinder().isClosed();
      if (!sought && closed && !wasClosed) {
        seek(first.cylinder(), speed, piston);
        sought = true;
      }
      wasClosed = closed;
    }
    cellSteps += (network.steps() - from) * network.cells();
    return true;
  }

  /** A parabola through three closed cycles finds the spark of most work. */
  private void seek(Cylinder cylinder, double speed, double piston) {
    double low = cylinder.closedWork(spark - SPARK_STEP, speed, piston);
    double mid = cylinder.closedWork(spark, speed, piston);
    double high = cylinder.closedWork(spark + SPARK_STEP, speed, piston);
    double bend = low - 2 * mid + high;
    double move =
        bend < 0
            ? Math.clamp(0.5 * SPARK_STEP * (low - high) / bend, -2 * SPARK_STEP, 2 * SPARK_STEP)
            : Math.copySign(SPARK_STEP, high - low);
    spark = Math.clamp(spark + move, LEAST_SPARK + SPARK_STEP, MOST_SPARK - SPARK_STEP);
    setSpark();
  }

  private CurvePoint point(
      double rpm, double speed, double plenum, int cycles, boolean converged, String note) {
    var c = parts.combination();
    double swept = c.bottomEnd().sweptVolume();
    int n = network.units().size();
    double gross = 0;
    double pump = 0;
    double fresh = 0;
    double trapped = 0;
    double residual = 0;
    double peak = 0;
    double peakAngle = 0;
    double half = 0;
    double exhaust = 0;
    for (var u : network.units()) {
      var t = u.cylinder().lastCycle();
      gross += t.grossWork / n;
      pump += t.pumpWork / n;
      fresh += u.inducted() / n;
      trapped += t.trapped / n;
      residual += t.residual / n;
      exhaust += u.exhaustTemperature() / n;
      half += t.halfBurned / n;
      if (t.peakPressure > peak) {
        peak = t.peakPressure;
        peakAngle = t.peakAngle;
      }
    }
    double outside = c.weather().pressure().si();
    double fmep = friction.at(rpm, plenum / outside).total();
    double displacement = c.bottomEnd().displacement();
    double torque = ((gross + pump) / swept - fmep) * displacement / (4 * Math.PI);
    double power = torque * speed;
    double charge = fresh * c.bottomEnd().cylinders() * speed / (4 * Math.PI);
    double air = charge * parts.gas().airMassFraction();
    double outsideDensity = grandbore.core.gas.Air.density(outside, c.weather().temperature().si());
    double efficiency = air / (outsideDensity * displacement * speed / (4 * Math.PI));
    return new CurvePoint(
        rpm,
        torque,
        power,
        efficiency,
        gross / swept,
        -pump / swept,
        fmep,
        charge * parts.gas().fuelMassFraction() / power,
        air,
        trapped,
        residual,
        peak,
        peakAngle,
        spark,
        half,
        exhaust,
        plenum,
        cycles,
        cellSteps,
        converged,
        note);
  }
}
