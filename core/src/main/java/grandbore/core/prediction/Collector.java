package grandbore.core.prediction;

import grandbore.core.waves.Pipe;

/** Where primaries meet, and the pipe behind it. */
abstract sealed class Collector permits MergeCollector, LogCollector {
  private final Pipe pipe;
  private final Copies copies;
  private final Copies.Receiver receiver = this::receive;
  private Copies.Reflection reflection;
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
    reflection = unit::exhaustReflection;
  }

  boolean fits(Collector o) {
    return getClass() == o.getClass() && copies.fits(o.copies);
  }

  void copyFrom(Collector o) {
    copies.copyFrom(o.copies);
    switch (this) {
      case MergeCollector m -> m.copyGas((MergeCollector) o);
      case LogCollector l -> l.copyGas((LogCollector) o);
    }
  }

  final void freshen(double share) {
    copies.freshen(share);
  }

  /**
   * Couples the primaries and the pipe; the solved primary's flow goes to {@link #flows}. Returns
   * the pressure that the flows met, Pa.
   */
  abstract double coupleInside(double dt);

  /** Takes a copy's flow, its enthalpy and burned share those of its own gas. */
  abstract void receive(double[] copy, double dt);

  /** The longest step that its own cell stands, s. */
  abstract double stableStep();

  /** Where the primaries meet, Pa. */
  abstract double pressure();

  /** Acoustic admittance of the solved primary, kg/(s Pa). */
  final double admittance() {
    return solved.exhaust().admittance(false);
  }

  abstract double mass();

  abstract double energy();

  final void couple(double dt, double speed) {
    if (copies.isEmpty()) {
      var _ = coupleInside(dt);
      return;
    }
    double phase = solved.cylinder().phase();
    double before = pressure();
    copies.play(
        dt, phase, before, solved.exhaust().echoTime() * speed, admittance(), reflection, receiver);
    double met = coupleInside(dt);
    copies.hear(phase, met - before);
    flows[Replay.PRESSURE] = met;
    copies.record(phase, flows);
  }

  final Pipe pipe() {
    return pipe;
  }
}
