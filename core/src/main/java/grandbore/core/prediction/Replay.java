package grandbore.core.prediction;

import java.util.Arrays;

/**
 * The flow at one pipe's end over the last cycle, kept so that it can be played again for copies of
 * the cylinder at other phases: mass flow, momentum flow, stagnation enthalpy and burned share of
 * the pipe's gas, and the pressure they met.
 */
final class Replay {
  static final int PRESSURE = 4;
  private static final int FIELDS = 5;

  /** Share of the new cycle in what is kept: copies that lag a cycle would else hunt. */
  private static final double FRESH = 0.5;

  private final double[] before = new double[FIELDS];

  private double[] angle = new double[1024];
  private double[][] rows = new double[FIELDS][1024];
  private int size;
  private double[] lastAngle = new double[0];
  private double[][] lastRows = new double[FIELDS][0];
  private int lastSize;

  /** Keeps the flows at a phase; phases rise until the cycle starts anew. */
  void record(double phase, double[] flows) {
    if (size > 0 && phase < angle[size - 1]) {
      var spareAngle = lastAngle;
      var spareRows = lastRows;
      lastAngle = angle;
      lastRows = rows;
      lastSize = size;
      size = 0;
      angle = spareAngle.length < 1024 ? new double[lastAngle.length] : spareAngle;
      rows = spareAngle.length < 1024 ? new double[FIELDS][lastAngle.length] : spareRows;
    }
    if (size == angle.length) {
      angle = Arrays.copyOf(angle, 2 * size);
      for (int k = 0; k < FIELDS; k++) {
        rows[k] = Arrays.copyOf(rows[k], 2 * size);
      }
    }
    angle[size] = phase;
    if (lastSize > 0) {
      sample(lastAngle, lastRows, lastSize, phase, before);
    }
    double share = lastSize > 0 ? FRESH : 1;
    for (int k = 0; k < FIELDS; k++) {
      rows[k][size] = share * flows[k] + (1 - share) * before[k];
    }
    size++;
  }

  /** Whether a whole cycle has been seen. */
  boolean isReady() {
    return lastSize > 0;
  }

  /** The flows at a phase, from this cycle where it has got there, else from the last. */
  void at(double phase, double[] out) {
    boolean now = size > 1 && phase <= angle[size - 1];
    if (now) {
      sample(angle, rows, size, phase, out);
    } else {
      sample(lastAngle, lastRows, lastSize, phase, out);
    }
  }

  private static void sample(double[] a, double[][] r, int n, double phase, double[] out) {
    int i = Arrays.binarySearch(a, 0, n, phase);
    i = i >= 0 ? i : -i - 2;
    i = Math.clamp(i, 0, Math.max(0, n - 2));
    int next = Math.min(i + 1, n - 1);
    double f = next == i ? 0 : Math.clamp((phase - a[i]) / (a[next] - a[i]), 0, 1);
    for (int k = 0; k < FIELDS; k++) {
      out[k] = r[k][i] + f * (r[k][next] - r[k][i]);
    }
  }

  /**
   * Turns what was kept (mass flow, momentum flow, and the pipe's own stagnation enthalpy and
   * burned share) into the flows a copy would have against the pressure that now stands there: it
   * answers the difference with its pipe's admittance. Gas that comes out of the copy is the
   * pipe's; gas that goes in is as it stands now.
   */
  static void answer(
      double[] flows, double admittance, double pressure, double enthalpy, double burned) {
    double mass = flows[0] + admittance * (flows[PRESSURE] - pressure);
    boolean out = mass > 0;
    flows[2] = mass * (out ? flows[2] : enthalpy);
    flows[3] = mass * (out ? flows[3] : burned);
    flows[0] = mass;
  }
}
