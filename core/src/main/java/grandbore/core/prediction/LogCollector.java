package grandbore.core.prediction;

import grandbore.core.gas.WorkingGas;
import grandbore.core.waves.BranchFlow;
import grandbore.core.waves.Pipe;
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

  LogCollector(EngineParts parts, Pipe pipe, int sharers) {
    super(parts.gas(), pipe);
    gas = parts.gas();
    branchArea = parts.piping().primaryArea();
    double d = Math.sqrt(4 * branchArea / Math.PI);
    openArea = sharers * branchArea + parts.piping().collectorArea();
    double volume = sharers * LOG_PITCH * d * parts.piping().collectorArea();
    log = new Volume(gas, volume, parts.combination().weather().pressure().si(), 900, 1);
    outlet = new PipeEnd(gas, pipe, true, log);
    outlet.open(TURN * parts.piping().collectorArea());
  }

  void copyGas(LogCollector o) {
    log.startFrom(o.log);
  }

  @Override
  void join(CylinderUnit unit, Others others) {
    join(unit, branches.size(), others);
    var end = new PipeEnd(gas, unit.exhaust(), false, log);
    end.open(TURN * branchArea);
    branches.add(end);
  }

  @Override
  double coupleInside(double dt) {
    double met = log.pressure();
    for (int i = 0; i < branches.size(); i++) {
      branches.get(i).couple(dt);
    }
    outlet.couple(dt);
    log.settle();
    return met;
  }

  @Override
  void branchFlow(int branch, BranchFlow out) {
    out.flowAt(branches.get(branch));
  }

  @Override
  void receive(BranchFlow copy, double share, double admittance, double dt) {
    PhaseShiftedCylinders.pour(copy, share, log, dt);
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
    return log.mass();
  }

  @Override
  double energy() {
    return log.energy();
  }
}
