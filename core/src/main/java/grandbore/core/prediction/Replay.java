package grandbore.core.prediction;

/**
 * The flow at one pipe's end over the cycle, kept degree by degree so that it can be played again
 * for copies of the cylinder at other phases: mass flow, momentum flow, stagnation enthalpy and
 * burned share of the pipe's gas, the pressure they met, and how much arrives at a merge.
 */
final class Replay {
  static final int PRESSURE = 4;
  static final int FIELDS = 6;
  private static final int ROWS = 720;
  private static final double PER_RADIAN = ROWS / Cylinder.CYCLE;

  /** Share of the new cycle in what is kept: copies that lag a cycle would else hunt. */
  static final double FRESH = 0.85;

  /** A cycle, but for the rounding of its steps, rad. */
  private static final double WHOLE = Cylinder.CYCLE - 1e-6;

  /** Row after row, all fields of a degree side by side; the first row again at the end. */
  private final double[] rows = new double[(ROWS + 1) * FIELDS];

  private final double[] last = new double[FIELDS];
  private double lastPhase = Double.NaN;

  /** Crank angle that has been kept, rad. */
  private double seen;

  private double fresh = FRESH;

  /** Sets the share of the new cycle in what is kept: less where copies hunt. */
  void freshen(double share) {
    fresh = share;
  }

  /** Takes over what another has kept. */
  void copyFrom(Replay o) {
    System.arraycopy(o.rows, 0, rows, 0, rows.length);
    System.arraycopy(o.last, 0, last, 0, FIELDS);
    lastPhase = o.lastPhase;
    seen = o.seen;
  }

  /** Keeps the flows at a phase; phases rise until the cycle starts anew. */
  void record(double phase, double[] flows) {
    if (!Double.isNaN(lastPhase)) {
      double to = phase < lastPhase ? phase + Cylinder.CYCLE : phase;
      fill(lastPhase, to, flows);
      seen += to - lastPhase;
    }
    System.arraycopy(flows, 0, last, 0, FIELDS);
    lastPhase = phase;
  }

  private void fill(double from, double to, double[] flows) {
    double share = isReady() ? fresh : 1;
    int end = (int) (to * PER_RADIAN);
    for (int row = (int) (from * PER_RADIAN) + 1; row <= end; row++) {
      double f = (row / PER_RADIAN - from) / (to - from);
      int at = row % ROWS * FIELDS;
      for (int k = 0; k < FIELDS; k++) {
        double now = last[k] + f * (flows[k] - last[k]);
        rows[at + k] += share * (now - rows[at + k]);
      }
      if (at == 0) {
        System.arraycopy(rows, 0, rows, ROWS * FIELDS, FIELDS);
      }
    }
  }

  /** Whether a whole cycle has been seen. */
  boolean isReady() {
    return seen > WHOLE;
  }

  /** The flows at a phase, from this cycle where it has got there, else from the last. */
  void at(double phase, double[] out) {
    double place = phase * PER_RADIAN;
    int row = Math.min((int) place, ROWS - 1);
    double f = place - row;
    int at = row * FIELDS;
    for (int k = 0; k < FIELDS; k++) {
      double now = rows[at + k];
      out[k] = now + f * (rows[at + FIELDS + k] - now);
    }
  }

  /**
   * Turns the state of a copy's gas into what flows: gas that comes out of the copy is the pipe's,
   * gas that goes in is as it stands where it goes in from.
   */
  static void carry(double[] flows, double enthalpy, double burned) {
    double mass = flows[0];
    boolean out = mass > 0;
    flows[2] = mass * (out ? flows[2] : enthalpy);
    flows[3] = mass * (out ? flows[3] : burned);
  }
}
