package grandbore.core.studies;

import grandbore.core.combination.InvalidInput;
import grandbore.core.prediction.Curve;
import java.util.List;

/**
 * Where an engine spends its time: speeds, each with its share. What it scores is the average power
 * over them, Σ wᵢ P(nᵢ) / Σ wᵢ, the torque between two solved speeds running straight.
 */
public record TimeAtSpeed(List<Row> rows) {
  private static final int MOST = 400;
  private static final double FASTEST = 25_000;

  /**
   * @param rpm rev/min
   * @param share of the time, in any unit; only how they stand to each other counts
   */
  public record Row(double rpm, double share) {
    public Row {
      if (!(rpm > 0 && rpm <= FASTEST)) {
        throw new InvalidInput(
            "Time at speed, rpm",
            String.valueOf(rpm),
            "more than 0 to 25,000",
            "engines run there");
      }
      if (!(share >= 0) || Double.isInfinite(share)) {
        throw new InvalidInput(
            "Time at speed, share", String.valueOf(share), "0 or more", "it is a share of time");
      }
    }
  }

  public TimeAtSpeed {
    rows = List.copyOf(rows);
    if (rows.size() > MOST || rows.stream().mapToDouble(Row::share).sum() <= 0) {
      throw new InvalidInput(
          "Time at speed",
          rows.size() + " rows",
          "1 to 400 rows, one with a share above 0",
          "an average needs a weight");
    }
  }

  /** Average power, W; not a number where the curve does not reach one of the speeds. */
  public double meanPower(Curve curve) {
    var line = new CurveLine(curve);
    double power = 0;
    double all = 0;
    for (var r : rows) {
      if (r.share > 0) {
        power += r.share * line.power(r.rpm);
        all += r.share;
      }
    }
    return power / all;
  }
}
