package grandbore.core.prediction;

import grandbore.core.gas.WorkingGas;
import grandbore.core.waves.PipeEnd;
import grandbore.core.waves.Volume;
import java.util.ArrayList;
import java.util.List;

/** A cast manifold: short branches into a common log that keeps no momentum. */
final class LogCollector extends Collector {
  /** Flow coefficient of a branch's sharp turn into the log. */
  private static final double TURN = 0.85;

  /** Length of log for each cylinder, in branch diameters, near the spacing of the bores. */
  private static final double LOG_PITCH = 2.6;

  private final WorkingGas gas;
  private final Volume log;
  private final List<PipeEnd> branches = new ArrayList<>();
  private final PipeEnd outlet;
  private final double branchArea;
  private final double openArea;

  LogCollector(EngineParts parts, int bankCylinders, boolean live) {
    super(parts, bankCylinders, live);
    gas = parts.gas();
    double d = parts.combination().exhaust().primaryDiameter().si();
    branchArea = Math.PI / 4 * d * d;
    openArea = bankCylinders * branchArea + parts.collectorArea();
    double volume = bankCylinders * LOG_PITCH * d * parts.collectorArea();
    log = new Volume(gas, volume, outside().pressure(), 900, 1);
    outlet = new PipeEnd(gas, pipe(), true, log);
    outlet.open(TURN * parts.collectorArea());
  }

  @Override
  void join(CylinderUnit unit) {
    var end = new PipeEnd(gas, unit.exhaust(), false, log);
    end.open(TURN * branchArea);
    branches.add(end);
  }

  @Override
  void coupleInside(double dt) {
    flows[Replay.PRESSURE] = log.pressure();
    for (int i = 0; i < branches.size(); i++) {
      branches.get(i).couple(dt);
    }
    outlet.couple(dt);
    log.settle();
    var solved = branches.getLast();
    flows[0] = solved.massFlow();
    flows[1] = 0;
    flows[2] = solved.pipeEnthalpy();
    flows[3] = solved.pipeBurned();
  }

  @Override
  void addCopy(double dt, double answer) {
    double h = gas.enthalpy(log.temperature(), log.burned());
    Replay.answer(flows, answer * branches.getLast().admittance(), h, log.burned());
    log.receive(flows[0] * dt, flows[2] * dt, flows[3] * dt);
  }

  @Override
  double stableStep() {
    return log.stableStep(openArea);
  }

  @Override
  double pressure() {
    return log.pressure();
  }

  @Override
  double mass() {
    return log.mass() + silencerMass();
  }

  @Override
  double energy() {
    return log.energy() + silencerEnergy();
  }
}
