package grandbore.core.prediction;

import grandbore.core.waves.Pipe;

/** Where primaries meet, and the pipe behind it. */
abstract sealed class Collector permits MergeCollector, LogCollector {
  private final Pipe pipe;
  private final Copies copies;
  private CylinderUnit solved;
  final double[] flows = new double[Replay.FIELDS];

  /**
   * @param pipe that carries on from it
   * @param sharers cylinders that meet here, copies with them
   */
  Collector(Pipe pipe, int sharers, boolean live) {
    this.pipe = pipe;
    copies = new Copies(live ? sharers : 1);
  }

  void join(CylinderUnit unit) {
    solved = unit;
  }

  final void freshen(double share) {
    copies.freshen(share);
  }

  /** Couples the primaries and the pipe; the solved primary's flow goes to {@link #flows}. */
  abstract void coupleInside(double dt);

  /** Takes a copy's flow. */
  abstract void receive(double[] copy, double dt);

  /** The longest step that its own cell stands, s. */
  abstract double stableStep();

  /** Where the primaries meet, Pa. */
  abstract double pressure();

  abstract double enthalpy();

  abstract double burned();

  /** Acoustic admittance of the solved primary, kg/(s Pa). */
  abstract double admittance();

  abstract double mass();

  abstract double energy();

  final void couple(double dt, double speed) {
    if (copies.isEmpty()) {
      coupleInside(dt);
      return;
    }
    double phase = solved.cylinder().phase();
    copies.play(
        phase,
        pressure(),
        enthalpy(),
        burned(),
        solved.exhaust().echoTime() * speed,
        admittance(),
        solved::exhaustReflection,
        f -> receive(f, dt));
    coupleInside(dt);
    copies.record(phase, flows);
  }

  final Pipe pipe() {
    return pipe;
  }
}
