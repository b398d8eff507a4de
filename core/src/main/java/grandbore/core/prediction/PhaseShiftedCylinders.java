package grandbore.core.prediction;

import grandbore.core.gas.WorkingGas;
import grandbore.core.waves.BranchFlow;
import grandbore.core.waves.Reservoir;
import java.util.List;

/**
 * The other cylinders of a live engine at one shared volume: the solved one's flow played again at
 * their phases, each answering the pressure that it meets there.
 */
final class PhaseShiftedCylinders {
  /** Takes a share of a copy's flow: as {@link RecordedFlow} keeps it, the answer in its mass. */
  interface Receiver {
    void receive(BranchFlow flows, double share, double dt);
  }

  private final WorkingGas gas;
  private final List<Others.Later> others;
  private final Cycle cycle;
  private final RecordedFlow recorded;
  private final ReflectionCorrection correction;
  private final BranchFlow copy = new BranchFlow();

  /**
   * @param gas in their pipes
   */
  PhaseShiftedCylinders(Cycle cycle, WorkingGas gas, Others others) {
    this.cycle = cycle;
    this.gas = gas;
    recorded = new RecordedFlow(cycle);
    this.others = others.each();
    correction = new ReflectionCorrection(this.others.size());
  }

  /** Takes over what as many others did. */
  void startFrom(PhaseShiftedCylinders o) {
    recorded.startFrom(o.recorded, gas, o.gas);
    correction.startFrom(o.correction);
  }

  /** Whether they stand as another's do. */
  boolean fits(PhaseShiftedCylinders o) {
    return others.equals(o.others);
  }

  /** Sets the share of the new cycle in what is played. */
  void freshen(double share) {
    recorded.freshen(share);
  }

  /** Keeps what the solved one does at its phase. */
  void record(double phase, BranchFlow flows) {
    recorded.record(phase, flows);
  }

  /**
   * Hands the copies' flows over.
   *
   * @param dt step, s
   * @param delay crank angle a wave takes up and down the pipe, rad
   * @param admittance of the pipe, kg/(s Pa)
   */
  void play(
      double dt,
      double phase,
      double pressure,
      double delay,
      double admittance,
      Reflection reflection,
      Receiver receiver) {
    if (!recorded.isReady()) {
      return;
    }
    int now = cycle.row(phase);
    int back = cycle.before(now, delay);
    correction.turn(now);
    for (int k = 0; k < others.size(); k++) {
      double at = phase - others.get(k).by();
      at = at < 0 ? at + cycle.length() : at;
      recorded.at(at, copy);
      double answer = correction.answer(k, back, pressure - copy.pressure, reflection.at(at));
      copy.massFlow += answer * admittance;
      receiver.receive(copy, others.get(k).share(), dt);
    }
  }

  /** Puts a share of a copy's flow into gas at rest. */
  static void pour(BranchFlow flows, double share, WorkingGas gas, Reservoir into, double dt) {
    double enthalpy = gas.enthalpy(into.temperature(), into.burned());
    into.receive(
        share * flows.massFlow * dt,
        share * flows.energyFlow(enthalpy) * dt,
        share * flows.burnedFlow(into.burned()) * dt);
  }

  /** The pressure has gone on rising by so much within the step, Pa. */
  void hear(double rise) {
    if (recorded.isReady() && !isEmpty()) {
      correction.hear(rise);
    }
  }

  /** Whether there are none: every cylinder is solved. */
  boolean isEmpty() {
    return others.isEmpty();
  }

  /** Share of a sound wave that a valve sends back at a phase. */
  interface Reflection {
    double at(double phase);
  }
}
