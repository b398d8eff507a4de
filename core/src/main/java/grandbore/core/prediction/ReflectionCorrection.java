package grandbore.core.prediction;

/**
 * How the copies' pipes answer a pressure at their open ends that is not the one their flow was
 * kept at: the difference sends a sound wave up the pipe, which comes back from the valve's end and
 * adds to or takes from the flow. Only while cycles still differ: in a periodic state the
 * difference is zero and so is the answer.
 */
final class ReflectionCorrection {
  private static final int ROWS = Cycle.ROWS;

  /** Sound stays small beside the gas's own pressure, Pa. */
  private static final double LOUDEST = 50e3;

  private final int copies;

  /** By row, all copies' side by side: they are asked for together, Pa. */
  private final double[] sent;

  private int row = -1;

  /** The first row of the last step. */
  private int first;

  /**
   * @param copies at this place
   */
  ReflectionCorrection(int copies) {
    this.copies = copies;
    sent = new double[ROWS * copies];
  }

  /** Takes over the waves that as many others have under way. */
  void startFrom(ReflectionCorrection o) {
    System.arraycopy(o.sent, 0, sent, 0, sent.length);
    row = o.row;
    first = o.first;
  }

  /** Begins a step that ends at a row. */
  void turn(int now) {
    first = row < 0 || row == now ? now : next(row);
    row = now;
  }

  /**
   * Outflow added, as a pressure: times the pipe's admittance it is kg/s.
   *
   * @param copy from 0
   * @param back row the wave was sent at that is back now
   * @param difference pressure now less the one that was kept, Pa
   * @param reflection of the far end: 1 where the valve is shut
   */
  double answer(int copy, int back, double difference, double reflection) {
    double returned = reflection * sent[back * copies + copy];
    double heard = Math.clamp(difference, -LOUDEST, LOUDEST);
    double send = heard - returned;
    for (int k = first; k != row; k = next(k)) {
      sent[k * copies + copy] = send;
    }
    sent[row * copies + copy] = send;
    return 2 * returned - heard;
  }

  private static int next(int k) {
    return k + 1 == ROWS ? 0 : k + 1;
  }

  /** The difference has changed within the step that was begun, Pa. */
  void hear(double more) {
    for (int k = first; k != row; k = next(k)) {
      add(k, more);
    }
    add(row, more);
  }

  private void add(int k, double more) {
    for (int at = k * copies; at < (k + 1) * copies; at++) {
      sent[at] += more;
    }
  }
}
