package grandbore.core.dyno.calibration;

import grandbore.core.changes.Change;
import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.TreeMap;

/**
 * What a day's pulls taught of an engine.
 *
 * @param learnt of each coefficient that was asked
 * @param correlations between them, row by row
 * @param before root mean square of torque off the prediction as it was, as a share
 * @param after the same with what was learned
 * @param leftOut how well pulls that were left out are told by the others
 * @param band what the torque may still lie low or high, by speed
 * @param profiles how sharply each is told; empty where that was not asked
 * @param pulls their numbers
 * @param day when they were run
 */
public record Calibration(
    List<Learnt> learnt,
    List<List<Double>> correlations,
    double before,
    double after,
    List<LeftOut> leftOut,
    List<Narrowed> band,
    List<Profile> profiles,
    List<Integer> pulls,
    LocalDate day) {
  /** Two coefficients that go together so closely are told only together. */
  private static final double TOGETHER = 0.9;

  /**
   * @param what setting
   * @param before root mean square off the prediction as it was, as a share
   * @param after the same as the others tell it
   */
  public record LeftOut(String what, double before, double after) {}

  /**
   * @param rpm rev/min
   * @param deviation one standard deviation of the torque, as a share
   */
  public record Narrowed(double rpm, double deviation) {}

  /** Two that these pulls can't tell apart. */
  public record Pair(Coefficient one, Coefficient other, double correlation) {}

  public Calibration {
    learnt = List.copyOf(learnt);
    correlations = correlations.stream().map(List::copyOf).toList();
    leftOut = List.copyOf(leftOut);
    band = List.copyOf(band);
    profiles = List.copyOf(profiles);
    pulls = List.copyOf(pulls);
  }

  /**
   * What the torque may still lie off at a speed, one standard deviation as a share; between the
   * speeds of the pulls running straight, beyond them as at the nearest.
   *
   * @param rpm rev/min
   */
  public double deviation(double rpm) {
    int above = 0;
    while (above < band.size() - 1 && band.get(above).rpm < rpm) {
      above++;
    }
    if (band.isEmpty() || above == 0 || band.get(above).rpm <= rpm) {
      return band.isEmpty() ? Double.NaN : band.get(above).deviation;
    }
    var a = band.get(above - 1);
    var b = band.get(above);
    return a.deviation + (rpm - a.rpm) / (b.rpm - a.rpm) * (b.deviation - a.deviation);
  }

  /** Those that these pulls can tell, in part or well. */
  public List<Learnt> told() {
    return learnt.stream().filter(l -> l.told() != Learnt.Told.NOT).toList();
  }

  public List<Pair> together() {
    var pairs = new java.util.ArrayList<Pair>();
    for (int i = 0; i < learnt.size(); i++) {
      for (int j = 0; j < i; j++) {
        double r = correlations.get(i).get(j);
        if (Math.abs(r) > TOGETHER) {
          pairs.add(new Pair(learnt.get(j).coefficient(), learnt.get(i).coefficient(), r));
        }
      }
    }
    return pairs;
  }

  /** What it sets on the engine; empty where nothing was told. */
  public Optional<Change> change() {
    var sets = new TreeMap<String, Object>();
    told().forEach(l -> sets.put(l.coefficient().path(), l.coefficient().given(l.value())));
    return sets.isEmpty() ? Optional.empty() : Optional.of(new Change(title(), sets));
  }

  /** As a curve that is run with it is headed. */
  public String title() {
    return String.format(
        Locale.ROOT,
        "calibrated on %d pull%s of %d %s",
        pulls.size(),
        pulls.size() == 1 ? "" : "s",
        day.getDayOfMonth(),
        day.getMonth().getDisplayName(java.time.format.TextStyle.FULL, Locale.ENGLISH));
  }
}
