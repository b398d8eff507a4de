package grandbore.core.prediction;

import grandbore.core.valvetrain.ValveLift;
import grandbore.core.waves.Pipe;
import grandbore.core.waves.PipeEnd;
import java.util.List;

/** One cylinder with the ports that lead to it. */
final class CylinderUnit {
  /** Valves that bounce no higher close a charge in all the same, which leaks past them, m. */
  private static final double MOST_LEAK = 0.5e-3;

  private final Cylinder cylinder;
  private final Port intake;
  private final Port exhaust;

  /** All, in the order of the gas. */
  private final List<Port> ports;

  private final double[] lifts;
  private final RodLoads loads;
  private final RepresentativeCylinders.Role role;
  private final Cycle cycle;
  private double inducted;
  private double lastInducted;
  private double exhaustHeat;
  private double exhaustMass;
  private double exhaustTemperature;
  private double leak;
  private double portMach;
  private double lastPortMach;
  private double blowBy;
  private double lastBlowBy;
  private int cycles;

  /**
   * @param mean whether it is the mean of all cylinders
   */
  CylinderUnit(
      EngineParts parts, RepresentativeCylinders.Role role, boolean mean, double clearance) {
    this.role = role;
    cycle = parts.cycle();
    int number = role.number();
    var c = parts.combination();
    cylinder = parts.cylinder(cycle.phase(-role.firesAt()), clearance, mean ? 0 : number);
    double runner = mean ? parts.piping().meanRunnerLength() : c.intake().runnerLength(number);
    var in = parts.piping().intakePipe(runner);
    intake =
        new Port(
            in,
            new PipeEnd(parts.gas(), in, false, cylinder),
            parts.intakeValve(),
            parts.intakeFlow(),
            mean ? parts.meanIntakeShare() : c.heads().intakeShare(number),
            c.heads().intakePortArea(),
            c.heads().intakeValve().si(),
            mean);
    var out = parts.piping().exhaustPipe();
    exhaust =
        new Port(
            out,
            new PipeEnd(parts.gas(), out, true, cylinder),
            parts.exhaustValve(),
            parts.exhaustFlow(),
            mean ? parts.meanExhaustShare() : c.heads().exhaustShare(number),
            c.heads().exhaustPortArea(),
            c.heads().exhaustValve().si(),
            mean);
    ports = List.of(intake, exhaust);
    lifts = new double[ports.size()];
    loads = parts.rodLoads();
  }

  /** Sets what the valves do at the speed that is run. */
  void setLifts(ValveLift in, ValveLift out, boolean follow) {
    leak = follow ? 0 : MOST_LEAK;
    intake.setLift(in, follow, cycle);
    exhaust.setLift(out, follow, cycle);
  }

  /**
   * The longest step in which what flows through open valves does not throw the pressure over, s.
   */
  double stableStep() {
    double open = 0;
    for (int k = 0; k < lifts.length; k++) {
      open += ports.get(k).end().area();
    }
    return open > 0 ? cylinder.stableStep(open) : Double.MAX_VALUE;
  }

  /** Takes over where another's gas and valves are. */
  void startFrom(CylinderUnit o) {
    cylinder.startFrom(o.cylinder);
    for (int k = 0; k < ports.size(); k++) {
      ports.get(k).startFrom(o.ports.get(k));
    }
  }

  /** Finds the flow through all valves. */
  void coupleValves(double dt, double halfAngle) {
    cylinder.lookAhead(halfAngle);
    boolean shut = true;
    for (int k = 0; k < lifts.length; k++) {
      lifts[k] = ports.get(k).lift(cylinder.phase(), halfAngle, dt, cylinder.pressure());
      shut &= lifts[k] <= leak;
    }
    if (!cylinder.isClosed() && shut) {
      cylinder.close();
    } else if (cylinder.isClosed() && !shut) {
      cylinder.open();
    }
    for (int k = 0; k < lifts.length; k++) {
      ports.get(k).couple(lifts[k], dt);
      stir(ports.get(k).end(), dt);
    }
    var in = intake.end();
    inducted += (in.massFlow() - in.burnedFlow()) * dt;
    portMach = Math.max(portMach, in.mach());
    double out = -exhaust.end().massFlow() * dt;
    exhaustMass += out;
    exhaustHeat += out * cylinder.temperature();
  }

  private void stir(PipeEnd valve, double dt) {
    if (valve.massFlow() > 0) {
      cylinder.stir(valve.massFlow() * dt, valve.jetSpeed());
    }
  }

  /** Moves the gas in the cylinder on; returns true where a cycle has ended. */
  boolean advance(double dt, double angle, double meanPistonSpeed) {
    double before = cylinder.phase();
    int parts = cylinder.isClosed() ? (int) Math.ceil(angle / ClosedCharge.STEP * (1 - 1e-9)) : 1;
    for (int k = 0; k < parts; k++) {
      double from = cylinder.phase();
      cylinder.advance(dt / parts, angle / parts, meanPistonSpeed);
      if (cylinder.phase() < from) {
        loads.end();
      }
      loads.feel(cylinder.phase(), cylinder.pressure(), angle / dt);
    }
    if (cylinder.phase() < before) {
      lastInducted = inducted;
      lastPortMach = portMach;
      lastBlowBy = cylinder.crevice().lostMass() - blowBy;
      blowBy = cylinder.crevice().lostMass();
      portMach = 0;
      exhaustTemperature = exhaustMass > 0 ? exhaustHeat / exhaustMass : 0;
      inducted = 0;
      exhaustMass = 0;
      exhaustHeat = 0;
      cycles++;
      return true;
    }
    return false;
  }

  Port intakePort() {
    return intake;
  }

  Port exhaustPort() {
    return exhaust;
  }

  PipeEnd intakeValve() {
    return intake.end();
  }

  PipeEnd exhaustValve() {
    return exhaust.end();
  }

  double intakeLift() {
    return intake.liftNow(cylinder.phase());
  }

  double exhaustLift() {
    return exhaust.liftNow(cylinder.phase());
  }

  /** All, in the order of the gas. */
  List<Port> ports() {
    return ports;
  }

  /** Of all ports, in the order of the gas. */
  List<Pipe> pipes() {
    return ports.stream().map(Port::pipe).toList();
  }

  RodLoads loads() {
    return loads;
  }

  /** What it stands for. */
  RepresentativeCylinders.Role role() {
    return role;
  }

  /** Highest Mach number at the valve's end of the intake port in the last cycle. */
  double portMach() {
    return lastPortMach;
  }

  /** Charge lost past the rings in the last cycle, kg. */
  double lastBlowBy() {
    return lastBlowBy;
  }

  Cylinder cylinder() {
    return cylinder;
  }

  Pipe intake() {
    return intake.pipe();
  }

  Pipe exhaust() {
    return exhaust.pipe();
  }

  /** Fresh charge taken in through the valve in the last cycle, kg. */
  double inducted() {
    return lastInducted;
  }

  /** Mass-mean temperature of the gas that left through the exhaust valve, K. */
  double exhaustTemperature() {
    return exhaustTemperature;
  }

  int cycles() {
    return cycles;
  }
}
