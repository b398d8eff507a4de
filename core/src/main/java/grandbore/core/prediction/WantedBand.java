package grandbore.core.prediction;

import grandbore.core.combination.Brief;
import grandbore.core.units.Measure;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;

/** The speeds that a brief wants power over, rev/min. */
public record WantedBand(double from, double to) {
  private static final double WIDEST_STEP = 1.3;

  public static WantedBand of(Brief brief) {
    return new WantedBand(
        Measure.RPM.fromSi(brief.bandFrom().si()), Measure.RPM.fromSi(brief.bandTo().si()));
  }

  public double middle() {
    return 0.5 * (from + to);
  }

  /** So many speeds, evenly spaced, both ends included. */
  public List<Double> speeds(int points) {
    return IntStream.range(0, points).mapToObj(i -> from + (to - from) * i / (points - 1)).toList();
  }

  /** As few speeds as tell of its average: three or more, none a third over the one before. */
  public List<Double> fewSpeeds() {
    int steps = (int) Math.ceil(Math.log(to / from) / Math.log(WIDEST_STEP) - 1e-9);
    return speeds(1 + Math.max(2, steps));
  }

  /** A curve's averages over it, where the curve spans it. */
  public Optional<BandScore> score(Curve curve) {
    return BandScore.of(curve, from, to);
  }

  /** A curve's average power, W; not a number where the curve does not span the band. */
  public double meanPower(Curve curve) {
    return score(curve).map(BandScore::power).orElse(Double.NaN);
  }
}
