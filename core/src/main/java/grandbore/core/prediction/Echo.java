package grandbore.core.prediction;

/**
 * How a copy's pipe answers a pressure at its open end that is not the one its flow was kept at:
 * the difference sends a sound wave up the pipe, which comes back from the valve's end and adds to
 * or takes from the flow. Only while cycles still differ: in a periodic state the difference is
 * zero and so is the answer.
 */
final class Echo {
  private static final int ROWS = 720;
  private static final double PER_RADIAN = ROWS / Cylinder.CYCLE;

  /** Sound stays small beside the gas's own pressure, Pa. */
  private static final double LOUDEST = 50e3;

  private final double[] sent = new double[ROWS];
  private int row = -1;

  /**
   * Outflow added, as a pressure: times the pipe's admittance it is kg/s.
   *
   * @param phase now, rad
   * @param difference pressure now less the one that was kept, Pa
   * @param delay crank angle a wave takes up and down the pipe, rad
   * @param reflection of the far end: 1 where the valve is shut
   */
  double answer(double phase, double difference, double delay, double reflection) {
    int now = (int) (phase * PER_RADIAN) % ROWS;
    int back = Math.floorMod(now - Math.max(1, (int) Math.round(delay * PER_RADIAN)), ROWS);
    double returned = row < 0 ? 0 : reflection * sent[back];
    double heard = Math.clamp(difference, -LOUDEST, LOUDEST);
    double send = heard - returned;
    for (int k = row < 0 || row == now ? now : (row + 1) % ROWS; k != now; k = (k + 1) % ROWS) {
      sent[k] = send;
    }
    sent[now] = send;
    row = now;
    return 2 * returned - heard;
  }
}
