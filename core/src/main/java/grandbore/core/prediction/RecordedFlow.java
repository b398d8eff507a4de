package grandbore.core.prediction;

import grandbore.core.gas.WorkingGas;
import grandbore.core.waves.BranchFlow;

/**
 * The flow at one pipe's end over the cycle, kept degree by degree so that it can be played again
 * for copies of the cylinder at other phases: mass flow, its speed, stagnation enthalpy and burned
 * share of the pipe's gas, and the pressure they met.
 */
final class RecordedFlow {
  /**
   * Numbers of a {@link BranchFlow}, in the order in which {@link #put} and {@link #at} lay them.
   */
  private static final int FIELDS = 5;

  private static final int ROWS = Cycle.ROWS;

  /** Share of the new cycle in what is kept: copies that lag a cycle would else hunt. */
  static final double FRESH = 0.85;

  /** Of the steps of a cycle, rad. */
  private static final double ROUNDING = 1e-6;

  private final Cycle cycle;
  private final double perRadian;

  /** Row after row, all fields of a degree side by side; the first row again at the end. */
  private final double[] rows = new double[(ROWS + 1) * FIELDS];

  private final BranchFlow last = new BranchFlow();
  private double lastPhase = Double.NaN;

  /** Crank angle that has been kept, rad. */
  private double seen;

  private double fresh = FRESH;

  RecordedFlow(Cycle cycle) {
    this.cycle = cycle;
    perRadian = cycle.perRadian();
  }

  /** Sets the share of the new cycle in what is kept: less where copies hunt. */
  void freshen(double share) {
    fresh = share;
  }

  /**
   * Takes over what another has kept, its gas as hot.
   *
   * @param gas here
   * @param other the other's
   */
  void startFrom(RecordedFlow o, WorkingGas gas, WorkingGas other) {
    System.arraycopy(o.rows, 0, rows, 0, rows.length);
    last.set(o.last);
    for (int at = 0; gas != other && at < rows.length; at += FIELDS) {
      rows[at + 2] = gas.enthalpyLike(other, rows[at + 2], rows[at + 3]);
    }
    last.enthalpy = gas.enthalpyLike(other, last.enthalpy, last.burned);
    lastPhase = o.lastPhase;
    seen = o.seen;
  }

  /** Keeps the flows at a phase; phases rise until the cycle starts anew. */
  void record(double phase, BranchFlow flows) {
    if (!Double.isNaN(lastPhase)) {
      double to = phase < lastPhase ? phase + cycle.length() : phase;
      fill(lastPhase, to, flows);
      seen += to - lastPhase;
    }
    last.set(flows);
    lastPhase = phase;
  }

  private void fill(double from, double to, BranchFlow flows) {
    double share = isReady() ? fresh : 1;
    int end = (int) (to * perRadian);
    for (int row = (int) (from * perRadian) + 1; row <= end; row++) {
      double f = (row / perRadian - from) / (to - from);
      int at = row % ROWS * FIELDS;
      put(at, share, last.massFlow, flows.massFlow, f);
      put(at + 1, share, last.speed, flows.speed, f);
      put(at + 2, share, last.enthalpy, flows.enthalpy, f);
      put(at + 3, share, last.burned, flows.burned, f);
      put(at + 4, share, last.pressure, flows.pressure, f);
      if (at == 0) {
        System.arraycopy(rows, 0, rows, ROWS * FIELDS, FIELDS);
      }
    }
  }

  private void put(int at, double share, double before, double after, double f) {
    double now = before + f * (after - before);
    rows[at] += share * (now - rows[at]);
  }

  /** Whether a whole cycle has been seen. */
  boolean isReady() {
    return seen > cycle.length() - ROUNDING;
  }

  /** The flows at a phase, from this cycle where it has got there, else from the last. */
  void at(double phase, BranchFlow out) {
    double place = phase * perRadian;
    int row = Math.min((int) place, ROWS - 1);
    double f = place - row;
    int at = row * FIELDS;
    out.massFlow = between(at, f);
    out.speed = between(at + 1, f);
    out.enthalpy = between(at + 2, f);
    out.burned = between(at + 3, f);
    out.pressure = between(at + 4, f);
  }

  private double between(int at, double f) {
    double now = rows[at];
    return now + f * (rows[at + FIELDS] - now);
  }
}
