package grandbore.core.prediction;

/**
 * How a copy's pipe answers a pressure at its open end that is not the one its flow was kept at:
 * the difference sends a sound wave up the pipe, which comes back from the valve's end and adds to
 * or takes from the flow. Only while cycles still differ: in a periodic state the difference is
 * zero and so is the answer.
 */
final class ReflectionCorrection {
  private static final int ROWS = Cycle.ROWS;

  /** Sound stays small beside the gas's own pressure, Pa. */
  private static final double LOUDEST = 50e3;

  private final double[] sent = new double[ROWS];
  private int row = -1;

  /** The first row of the last step. */
  private int first;

  /** Takes over the waves that another has under way. */
  void startFrom(ReflectionCorrection o) {
    System.arraycopy(o.sent, 0, sent, 0, ROWS);
    row = o.row;
    first = o.first;
  }

  /**
   * Outflow added, as a pressure: times the pipe's admittance it is kg/s.
   *
   * @param now row of the phase now
   * @param back row the wave was sent at that is back now
   * @param difference pressure now less the one that was kept, Pa
   * @param reflection of the far end: 1 where the valve is shut
   */
  double answer(int now, int back, double difference, double reflection) {
    double returned = row < 0 ? 0 : reflection * sent[back];
    double heard = Math.clamp(difference, -LOUDEST, LOUDEST);
    double send = heard - returned;
    first = row < 0 || row == now ? now : next(row);
    for (int k = first; k != now; k = next(k)) {
      sent[k] = send;
    }
    sent[now] = send;
    row = now;
    return 2 * returned - heard;
  }

  private static int next(int k) {
    return k + 1 == ROWS ? 0 : k + 1;
  }

  /** The difference has changed within the step that ends at a row, Pa. */
  void hear(int now, double more) {
    for (int k = first; k != now; k = next(k)) {
      sent[k] += more;
    }
    sent[now] += more;
  }
}
