package grandbore.core.prediction;

import java.util.ArrayList;
import java.util.List;

/**
 * The other cylinders of a live engine at one shared volume: the solved one's flow played again at
 * their phases, each answering the pressure that it meets there.
 */
final class Copies {
  /** Takes one copy's flow: mass, momentum, energy and burned mass, kg/s, N and W. */
  interface Receiver {
    void receive(double[] flows);
  }

  private final int count;
  private final Replay replay = new Replay();
  private final List<Echo> echoes = new ArrayList<>();
  private final double[] copy = new double[Replay.FIELDS];

  /**
   * @param sharers cylinders on the volume, the solved one with them, evenly spaced
   */
  Copies(int sharers) {
    count = sharers;
    for (int k = 0; k < sharers; k++) {
      echoes.add(new Echo());
    }
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
   * @param delay crank angle a wave takes up and down the pipe, rad
   * @param admittance of the pipe, kg/(s Pa)
   */
  void play(
      double phase,
      double pressure,
      double enthalpy,
      double burned,
      double delay,
      double admittance,
      Reflection reflection,
      Receiver receiver) {
    if (!replay.isReady()) {
      return;
    }
    int now = Echo.row(phase);
    int back = Echo.before(now, delay);
    for (int k = 1; k < count; k++) {
      double at = phase - Cylinder.CYCLE * k / count;
      at = at < 0 ? at + Cylinder.CYCLE : at;
      replay.at(at, copy);
      double answer =
          echoes.get(k).answer(now, back, pressure - copy[Replay.PRESSURE], reflection.at(at));
      Replay.answer(copy, answer * admittance, enthalpy, burned);
      receiver.receive(copy);
    }
  }

  /** Whether there are none: every cylinder is solved. */
  boolean isEmpty() {
    return count == 1;
  }

  /** Share of a sound wave that a valve sends back at a phase. */
  interface Reflection {
    double at(double phase);
  }
}
