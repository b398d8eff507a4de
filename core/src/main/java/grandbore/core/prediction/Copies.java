package grandbore.core.prediction;

import grandbore.core.waves.PipeEnd;
import grandbore.core.waves.Volume;
import java.util.ArrayList;
import java.util.List;

/**
 * The other cylinders of a live engine at one shared volume: the solved one's flow played again at
 * their phases, each answering the pressure that it meets there.
 */
final class Copies {
  /** Takes a share of a copy's flow: as {@link Replay} keeps it, the answer in its mass. */
  interface Receiver {
    void receive(double[] flows, double share, double dt);
  }

  private final List<Others.Later> others;
  private final Replay replay = new Replay();
  private final List<Echo> echoes = new ArrayList<>();
  private final double[] copy = new double[Replay.FIELDS];

  Copies(Others others) {
    this.others = others.each();
    for (int k = 0; k < this.others.size(); k++) {
      echoes.add(new Echo());
    }
  }

  /** Takes over what as many others did. */
  void copyFrom(Copies o) {
    replay.copyFrom(o.replay);
    for (int k = 0; k < echoes.size(); k++) {
      echoes.get(k).copyFrom(o.echoes.get(k));
    }
  }

  /** Whether they stand as another's do. */
  boolean fits(Copies o) {
    return others.equals(o.others);
  }

  /** Sets the share of the new cycle in what is played. */
  void freshen(double share) {
    replay.freshen(share);
  }

  /** Keeps what the solved one does at its phase. */
  void record(double phase, double[] flows) {
    replay.record(phase, flows);
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
    if (!replay.isReady()) {
      return;
    }
    int now = Echo.row(phase);
    int back = Echo.before(now, delay);
    for (int k = 0; k < others.size(); k++) {
      double at = phase - others.get(k).by();
      at = at < 0 ? at + Cylinder.CYCLE : at;
      replay.at(at, copy);
      double answer =
          echoes.get(k).answer(now, back, pressure - copy[Replay.PRESSURE], reflection.at(at));
      copy[0] += answer * admittance;
      receiver.receive(copy, others.get(k).share(), dt);
    }
  }

  /** What flows out of a pipe's end into a volume at rest, to be recorded. */
  static void flowOf(PipeEnd end, double[] out) {
    out[0] = end.massFlow();
    out[1] = 0;
    out[2] = end.pipeEnthalpy();
    out[3] = end.pipeBurned();
  }

  /** Puts a share of a copy's flow into a volume at rest. */
  static void pour(double[] flows, double share, Volume into, double dt) {
    Replay.carry(flows, into.enthalpy(), into.burned());
    into.receive(share * flows[0] * dt, share * flows[2] * dt, share * flows[3] * dt);
  }

  /** The pressure has gone on rising by so much within the step, Pa. */
  void hear(double phase, double rise) {
    int now = Echo.row(phase);
    for (int k = 0; replay.isReady() && k < others.size(); k++) {
      echoes.get(k).hear(now, rise);
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
