package grandbore.core.dyno;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.DoubleUnaryOperator;
import java.util.stream.IntStream;

/** Sweeps from 3,000 to 7,500 rpm at 300 rpm a second, whose torque is known. */
final class SweptPull {
  /** Its speeds, rev/min. */
  static final List<Double> RPM =
      IntStream.rangeClosed(0, 150).mapToObj(k -> 3000.0 + 30 * k).toList();

  private static final List<Double> SECONDS =
      IntStream.rangeClosed(0, 150).mapToObj(k -> 0.1 * k).toList();

  private SweptPull() {}

  /**
   * One of them.
   *
   * @param spark degrees before top centre
   * @param torque over rev/min, N m
   * @param more channels beside speed and torque
   */
  static Pull of(
      int number,
      String day,
      Instant at,
      Optional<DayAir> air,
      double spark,
      String changed,
      DoubleUnaryOperator torque,
      List<Column> more) {
    var columns = new ArrayList<Column>();
    columns.add(new Column(Channel.RPM, 0, RPM));
    columns.add(
        new Column(Channel.TORQUE, 0, RPM.stream().map(n -> torque.applyAsDouble(n)).toList()));
    columns.addAll(more);
    return new Pull(
        number,
        day,
        at,
        Pull.How.SWEEP,
        300,
        0,
        air,
        Standard.NONE,
        Math.toRadians(spark),
        changed,
        Optional.empty(),
        "",
        "",
        new Recorded(SECONDS, columns));
  }
}
