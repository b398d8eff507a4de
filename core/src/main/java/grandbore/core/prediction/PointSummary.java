package grandbore.core.prediction;

import grandbore.core.combustion.Knock;
import grandbore.core.friction.Friction;
import grandbore.core.gas.Air;
import grandbore.core.valvetrain.ValveMotion.Motion;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.Set;

/** Sums a settled network up to one point of the curve. */
final class PointSummary {
  private final EngineParts parts;
  private final EngineNetwork network;
  private final Friction friction;
  private final Set<RemovedLoss> relief;
  private final double plenum;

  PointSummary(
      EngineParts parts,
      EngineNetwork network,
      Friction friction,
      Set<RemovedLoss> relief,
      double plenum) {
    this.parts = parts;
    this.network = network;
    this.friction = friction;
    this.relief = relief;
    this.plenum = plenum;
  }

  /** Ten degrees of spark, rad. */
  private static final double TEN = Math.toRadians(10);

  CurvePoint point(
      double rpm,
      SparkSearch spark,
      Motion in,
      Motion out,
      int cycles,
      long cellSteps,
      double change,
      boolean converged,
      String note) {
    var c = parts.combination();
    double speed = rpm * Math.PI / 30;
    double swept = c.bottomEnd().sweptVolume();
    int n = network.units().size();
    double research = c.mixture().fuel().researchOctane();
    double octane = c.mixture().fuel().antiKnockIndex();
    var cylinders = new ArrayList<CylinderPoint>();
    double gross = 0;
    double pump = 0;
    double fresh = 0;
    double trapped = 0;
    double residual = 0;
    double heat = 0;
    double tenth = 0;
    double half = 0;
    double most = 0;
    double stirred = 0;
    double exhaust = 0;
    double blown = 0;
    double mach = 0;
    var worst = network.units().getFirst();
    var hardest = worst;
    for (var u : network.units()) {
      var t = u.cylinder().lastCycle();
      gross += t.grossWork / n;
      pump += t.pumpWork / n;
      fresh += u.inducted() / n;
      trapped += t.trapped / n;
      residual += t.residual / n;
      heat += t.heat / n;
      blown += u.lastBlowBy() / n;
      exhaust += u.exhaustTemperature() / n;
      tenth += t.burned10 / n;
      half += t.burned50 / n;
      most += t.burned90 / n;
      stirred += t.turbulence / n;
      mach = Math.max(mach, u.portMach());
      worst = t.knock > worst.cylinder().lastCycle().knock ? u : worst;
      hardest = t.peakPressure > hardest.cylinder().lastCycle().peakPressure ? u : hardest;
      for (int number : u.role().numbers()) {
        cylinders.add(
            new CylinderPoint(
                number,
                t.trapped,
                u.inducted(),
                t.residual,
                t.netWork() / swept,
                t.peakPressure,
                u.exhaustTemperature(),
                octane - research + Knock.octaneWanted(research, t.knock)));
      }
    }
    cylinders.sort(Comparator.comparingInt(p -> c.bottomEnd().firingOrder().indexOf(p.number())));
    double outside = c.weather().pressure().si();
    var peak = hardest.cylinder().lastCycle();
    double fmep =
        relief.contains(RemovedLoss.FRICTION)
            ? 0
            : friction.at(rpm, plenum / Friction.STANDARD_PRESSURE, peak.peakPressure).total();
    double displacement = c.bottomEnd().displacement();
    double perRadian = displacement / parts.cycle().length();
    double drive = network.supply().drivePower() / (speed * perRadian);
    double torque = ((gross + pump) / swept - fmep - drive) * perRadian;
    double power = torque * speed;
    double piston = 2 * c.bottomEnd().stroke().si() * rpm / 60;
    boolean tries = converged && worst.cylinder().canTry();
    double each = parts.cycle().length() * torque / c.bottomEnd().cylinders();
    var here =
        tries
            ? spark.trial(0, worst.cylinder().closed(), speed, piston)
            : new ClosedCharge.Trial(Double.NaN, Double.NaN);
    double charge = fresh * c.bottomEnd().cylinders() * speed / parts.cycle().length();
    double air = charge * parts.gas().airMassFraction();
    double density = Air.density(outside, c.weather().temperature().si());
    double fuel = charge * parts.gas().fuelMassFraction();
    double fuelHeat =
        fresh * parts.gas().fuelMassFraction() * c.mixture().fuel().lowerHeatingValue();
    double wanted =
        octane - research + Knock.octaneWanted(research, worst.cylinder().lastCycle().knock);
    double advance =
        tries ? spark.margin(worst.cylinder().closed(), speed, piston, here.knock()) : Double.NaN;
    return new CurvePoint(
        rpm,
        torque,
        power,
        fuel / power,
        new CurvePoint.Charge(
            air / (density * speed * perRadian),
            air,
            trapped,
            residual,
            plenum,
            blown / trapped,
            exhaust),
        new CurvePoint.MeanPressures(gross / swept, -pump / swept, fmep, drive),
        new CurvePoint.Flame(
            spark.spark(),
            new CurvePoint.Burned(tenth, half, most),
            stirred,
            peak.peakPressure,
            peak.peakAngle,
            heat / fuelHeat,
            tries ? (workWith(-TEN, spark, worst, speed, piston) - here.work()) / each : Double.NaN,
            tries ? (workWith(TEN, spark, worst, speed, piston) - here.work()) / each : Double.NaN),
        new Margins(wanted, octane - wanted, advance),
        efforts(rpm, in, out, hardest, mach),
        cylinders,
        new CurvePoint.Convergence(cycles, cellSteps, change, converged, note));
  }

  private static double workWith(
      double more, SparkSearch spark, CylinderUnit unit, double speed, double piston) {
    return spark.trial(more, unit.cylinder().closed(), speed, piston).work();
  }

  private Efforts efforts(double rpm, Motion in, Motion out, CylinderUnit hardest, double mach) {
    double speed = rpm * Math.PI / 30;
    var crank = parts.crank();
    var loads = hardest.loads();
    return new Efforts(
        4 * crank.throwRadius() * rpm / 60,
        crank.steepest() * speed,
        crank.sharpest() * speed * speed,
        loads.tension(),
        loads.compression(),
        loads.side(),
        mach,
        in.separation(),
        out.separation(),
        in.follows() && out.follows());
  }
}
