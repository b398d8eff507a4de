package grandbore.core.prediction;

import grandbore.core.flow.FlowCurve;
import grandbore.core.valvetrain.FlyingValve;
import grandbore.core.valvetrain.ValveLift;
import grandbore.core.waves.Pipe;
import grandbore.core.waves.PipeEnd;

/** One cylinder with its valves, its runner and port, its exhaust port and primary. */
final class CylinderUnit {
  /** Share that comes back from a shut valve, the losses of the way taken off. */
  private static final double WALL_REFLECTION = 0.7;

  /** Valves that bounce no higher close a charge in all the same, which leaks past them, m. */
  private static final double MOST_LEAK = 0.5e-3;

  /**
   * What the valves send back at every row of an {@link ReflectionCorrection}; none where there are
   * no copies.
   */
  private final double[] intakeReflections;

  private final double[] exhaustReflections;
  private final Cylinder cylinder;
  private final Pipe intake;
  private final Pipe exhaust;
  private final RodLoads loads;
  private final double intakeShare;
  private final double exhaustShare;
  private final RepresentativeCylinders.Role role;
  private final FlowCurve intakeFlow;
  private final FlowCurve exhaustFlow;
  private final double intakeArea;
  private final double exhaustArea;
  private final PipeEnd intakeValve;
  private final PipeEnd exhaustValve;
  private double inducted;
  private double lastInducted;
  private double exhaustHeat;
  private double exhaustMass;
  private double exhaustTemperature;
  private ValveLift intakeLift;
  private ValveLift exhaustLift;

  /** Moved by the gas too, where they no longer follow. */
  private final FlyingValve intakeFlight;

  private final FlyingValve exhaustFlight;
  private final double intakeFace;
  private final double exhaustFace;
  private boolean flies;
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
    int number = role.number();
    var c = parts.combination();
    double phase = (Cylinder.CYCLE - role.firesAt()) % Cylinder.CYCLE;
    cylinder = parts.cylinder(phase, clearance);
    intake =
        parts
            .piping()
            .intakePipe(mean ? parts.piping().meanRunnerLength() : c.intake().runnerLength(number));
    exhaust = parts.piping().exhaustPipe();
    intakeReflections = new double[mean ? ReflectionCorrection.ROWS : 0];
    exhaustReflections = new double[intakeReflections.length];
    intakeShare = mean ? parts.meanIntakeShare() : c.heads().intakeShare(number);
    exhaustShare = mean ? parts.meanExhaustShare() : c.heads().exhaustShare(number);
    intakeLift = parts.intakeValve().still();
    exhaustLift = parts.exhaustValve().still();
    loads = parts.rodLoads();
    intakeFlight = parts.intakeValve().flying();
    exhaustFlight = parts.exhaustValve().flying();
    intakeFace = Math.PI / 4 * square(c.heads().intakeValve().si());
    exhaustFace = Math.PI / 4 * square(c.heads().exhaustValve().si());
    intakeFlow = parts.intakeFlow();
    exhaustFlow = parts.exhaustFlow();
    intakeArea = parts.combination().heads().intakePortArea();
    exhaustArea = parts.combination().heads().exhaustPortArea();
    intakeValve = new PipeEnd(parts.gas(), intake, false, cylinder);
    exhaustValve = new PipeEnd(parts.gas(), exhaust, true, cylinder);
  }

  /** Sets what the valves do at the speed that is run. */
  void setLifts(ValveLift in, ValveLift out, boolean follow) {
    flies = !follow;
    intakeLift = in;
    exhaustLift = out;
    for (int row = 0; row < intakeReflections.length; row++) {
      double phase = Cylinder.CYCLE * row / ReflectionCorrection.ROWS;
      intakeReflections[row] = reflection(intakeFlow.at(in.at(phase)), intakeArea);
      exhaustReflections[row] = reflection(exhaustFlow.at(out.at(phase)), exhaustArea);
    }
  }

  /**
   * The longest step in which what flows through open valves does not throw the pressure over, s.
   */
  double stableStep() {
    double open = intakeValve.area() + exhaustValve.area();
    return open > 0 ? cylinder.stableStep(open) : Double.MAX_VALUE;
  }

  private static double square(double r) {
    return r * r;
  }

  /** Takes over where another's gas and valves are. */
  void startFrom(CylinderUnit o) {
    cylinder.startFrom(o.cylinder);
    intakeFlight.startFrom(o.intakeFlight);
    exhaustFlight.startFrom(o.exhaustFlight);
  }

  /** Lift in the middle of a step: of a valve that flies as gas and train have moved it. */
  private double lift(
      FlyingValve flight, ValveLift lift, PipeEnd valve, double face, double half, double dt) {
    double phase = cylinder.phase();
    if (!flies) {
      return lift.at(phase + half);
    }
    double before = flight.lift();
    double gas = face * (cylinder.pressure() - valve.pipePressure());
    return 0.5 * (before + flight.turn(phase, 2 * half, 2 * half / dt, gas));
  }

  /** Finds the flow through both valves. */
  void coupleValves(double dt, double halfAngle) {
    cylinder.lookAhead(halfAngle);
    double lift = lift(intakeFlight, intakeLift, intakeValve, intakeFace, halfAngle, dt);
    double outLift = lift(exhaustFlight, exhaustLift, exhaustValve, exhaustFace, halfAngle, dt);
    double leak = flies ? MOST_LEAK : 0;
    boolean shut = lift <= leak && outLift <= leak;
    if (!cylinder.isClosed() && shut) {
      cylinder.close();
    } else if (cylinder.isClosed() && !shut) {
      cylinder.open();
    }
    intakeValve.open(lift <= 0 ? 0 : intakeShare * intakeFlow.at(lift));
    exhaustValve.open(outLift <= 0 ? 0 : exhaustShare * exhaustFlow.at(outLift));
    intakeValve.couple(dt);
    exhaustValve.couple(dt);
    stir(intakeValve, dt);
    stir(exhaustValve, dt);
    double fresh = intakeValve.massFlow() - intakeValve.burnedFlow();
    inducted += fresh * dt;
    portMach = Math.max(portMach, intakeValve.mach());
    double out = -exhaustValve.massFlow() * dt;
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
    int parts =
        cylinder.isClosed() ? (int) Math.ceil(angle / Cylinder.CLOSED_STEP * (1 - 1e-9)) : 1;
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

  /** Share of a sound wave that the intake valve sends back at a phase. */
  double intakeReflection(double phase) {
    return intakeReflections[ReflectionCorrection.row(phase)];
  }

  /** Share of a sound wave that the exhaust valve sends back at a phase. */
  double exhaustReflection(double phase) {
    return exhaustReflections[ReflectionCorrection.row(phase)];
  }

  private static double reflection(double open, double pipe) {
    return WALL_REFLECTION * Math.max(0, 1 - open / pipe);
  }

  PipeEnd intakeValve() {
    return intakeValve;
  }

  PipeEnd exhaustValve() {
    return exhaustValve;
  }

  double intakeLift() {
    return flies ? intakeFlight.lift() : intakeLift.at(cylinder.phase());
  }

  double exhaustLift() {
    return flies ? exhaustFlight.lift() : exhaustLift.at(cylinder.phase());
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
    return intake;
  }

  Pipe exhaust() {
    return exhaust;
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
