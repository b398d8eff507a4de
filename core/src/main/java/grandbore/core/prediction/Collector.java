package grandbore.core.prediction;

import grandbore.core.gas.WorkingGas;
import grandbore.core.waves.BranchFlow;
import grandbore.core.waves.Junction;
import java.util.ArrayList;
import java.util.List;

/** Where primaries meet one another and the pipes behind them, those of copies too. */
final class Collector {
  private final Cycle cycle;
  private final WorkingGas gas;
  private final Junction junction;
  private final double cosine;
  private final List<PrimaryConnection> connections = new ArrayList<>();
  private final BranchFlow flows = new BranchFlow();

  /**
   * @param junction that the pipes behind are joined to
   * @param cosine between a primary and what carries on
   */
  Collector(EngineParts parts, Junction junction, double cosine) {
    cycle = parts.cycle();
    gas = parts.gas();
    this.junction = junction;
    this.cosine = cosine;
  }

  /**
   * @param others that meet here as copies of it
   */
  void join(Cylinder cylinder, Port port, Others others) {
    int branch = junction.join(port.pipe(), false, cosine);
    if (!others.each().isEmpty()) {
      connections.add(
          new PrimaryConnection(
              cylinder, port, branch, new PhaseShiftedCylinders(cycle, gas, others)));
    }
  }

  /** A solved cylinder that speaks for others here. */
  private final class PrimaryConnection {
    final Cylinder cylinder;
    final Port port;
    final int branch;
    final PhaseShiftedCylinders copies;
    final PhaseShiftedCylinders.Reflection reflection;
    final PhaseShiftedCylinders.Receiver receiver;

    PrimaryConnection(Cylinder cylinder, Port port, int branch, PhaseShiftedCylinders copies) {
      this.cylinder = cylinder;
      this.port = port;
      this.branch = branch;
      this.copies = copies;
      reflection = port::reflection;
      receiver = (copy, share, dt) -> junction.add(branch, copy, share, admittance());
    }

    /** Acoustic admittance of its primary, kg/(s Pa). */
    double admittance() {
      return port.pipe().admittance(false);
    }
  }

  /** Whether the same copies meet here as in another. */
  boolean fits(Collector o) {
    return Pairing.inPairs(
        connections, o.connections, (mine, other) -> mine.copies.fits(other.copies));
  }

  void startFrom(Collector o) {
    for (int k = 0; k < connections.size(); k++) {
      connections.get(k).copies.startFrom(o.connections.get(k).copies);
    }
    junction.startFrom(o.junction);
  }

  void freshen(double share) {
    connections.forEach(v -> v.copies.freshen(share));
  }

  void couple(double dt, double speed) {
    double before = junction.pressure();
    for (int i = 0; i < connections.size(); i++) {
      var v = connections.get(i);
      double delay = v.port.pipe().echoTime() * speed;
      v.copies.play(
          dt, v.cylinder.phase(), before, delay, v.admittance(), v.reflection, v.receiver);
    }
    junction.couple();
    double met = junction.pressure();
    for (int i = 0; i < connections.size(); i++) {
      var v = connections.get(i);
      v.copies.hear(met - before);
      junction.branchFlow(v.branch, flows);
      flows.pressure = met;
      v.copies.record(v.cylinder.phase(), flows);
    }
  }
}
