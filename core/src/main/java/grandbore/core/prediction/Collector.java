package grandbore.core.prediction;

import grandbore.core.gas.WorkingGas;
import grandbore.core.waves.BranchFlow;
import grandbore.core.waves.Pipe;
import java.util.ArrayList;
import java.util.List;

/** Where primaries meet, and the pipe behind it. */
abstract sealed class Collector permits MergeCollector, LogCollector {
  private final Cycle cycle;
  private final WorkingGas gas;
  private final Pipe pipe;
  private final List<RunnerConnection> connections = new ArrayList<>();
  private final BranchFlow flows = new BranchFlow();

  /**
   * @param pipe that carries on from it
   */
  Collector(EngineParts parts, Pipe pipe) {
    cycle = parts.cycle();
    gas = parts.gas();
    this.pipe = pipe;
  }

  /**
   * @param branch that it is
   * @param others that meet here as copies of it
   */
  final void join(CylinderUnit unit, int branch, Others others) {
    if (!others.each().isEmpty()) {
      connections.add(
          new RunnerConnection(unit, branch, new PhaseShiftedCylinders(cycle, gas, others)));
    }
  }

  /** A solved cylinder that speaks for others here. */
  private final class RunnerConnection {
    final CylinderUnit unit;
    final int branch;
    final PhaseShiftedCylinders copies;
    final PhaseShiftedCylinders.Reflection reflection;
    final PhaseShiftedCylinders.Receiver receiver;

    RunnerConnection(CylinderUnit unit, int branch, PhaseShiftedCylinders copies) {
      this.unit = unit;
      this.branch = branch;
      this.copies = copies;
      reflection = unit.exhaustPort()::reflection;
      receiver = (copy, share, dt) -> receive(branch, copy, share, admittance());
    }

    /** Acoustic admittance of its primary, kg/(s Pa). */
    double admittance() {
      return unit.exhaust().admittance(false);
    }
  }

  abstract void join(CylinderUnit unit, Others others);

  boolean fits(Collector o) {
    return standsAs(o)
        && Pairing.inPairs(
            connections, o.connections, (mine, other) -> mine.copies.fits(other.copies));
  }

  /** Whether another is built as this one. */
  boolean standsAs(Collector o) {
    return getClass() == o.getClass();
  }

  void startFrom(Collector o) {
    for (int k = 0; k < connections.size(); k++) {
      connections.get(k).copies.startFrom(o.connections.get(k).copies);
    }
    switch (this) {
      case MergeCollector m -> m.copyGas((MergeCollector) o);
      case LogCollector l -> l.copyGas((LogCollector) o);
    }
  }

  final void freshen(double share) {
    connections.forEach(v -> v.copies.freshen(share));
  }

  /** Couples the primaries and the pipe; returns the pressure that the flows met, Pa. */
  abstract double coupleInside(double dt);

  /** What flowed from a branch in the last step. */
  abstract void branchFlow(int branch, BranchFlow out);

  /**
   * Takes a share of a copy's flow, its enthalpy and burned share those of its own gas.
   *
   * @param branch of which it is a copy
   * @param admittance of its pipe, kg/(s Pa)
   */
  abstract void receive(int branch, BranchFlow copy, double share, double admittance);

  /** Where the primaries meet, Pa. */
  abstract double pressure();

  final void couple(double dt, double speed) {
    double before = pressure();
    for (int i = 0; i < connections.size(); i++) {
      var v = connections.get(i);
      double phase = v.unit.cylinder().phase();
      double delay = v.unit.exhaust().echoTime() * speed;
      v.copies.play(dt, phase, before, delay, v.admittance(), v.reflection, v.receiver);
    }
    double met = coupleInside(dt);
    for (int i = 0; i < connections.size(); i++) {
      var v = connections.get(i);
      double phase = v.unit.cylinder().phase();
      v.copies.hear(met - before);
      branchFlow(v.branch, flows);
      flows.pressure = met;
      v.copies.record(phase, flows);
    }
  }

  final Pipe pipe() {
    return pipe;
  }
}
