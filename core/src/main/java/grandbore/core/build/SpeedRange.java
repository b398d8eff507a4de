package grandbore.core.build;

import grandbore.core.combination.Combination;
import grandbore.core.combination.InvalidInput;
import grandbore.core.combination.Provenance;
import grandbore.core.combination.Specs;
import grandbore.core.prediction.Predictor;
import grandbore.core.units.Measure;
import java.util.List;
import java.util.Map;

/** The speeds a curve is drawn over, rev/min. */
public record SpeedRange(double from, double to) {
  public SpeedRange {
    if (!(from >= 500 && from <= 14_000)) {
      throw new InvalidInput(
          "Speed from (speeds.from)",
          String.valueOf(from),
          "500 to 14,000 rpm",
          "engines run there");
    }
    if (!(to >= from + 250 && to <= 15_000)) {
      throw new InvalidInput(
          "Speed to (speeds.to)",
          String.valueOf(to),
          "at least 250 above from, up to 15,000 rpm",
          "a curve spans some speeds");
    }
  }

  /** A combination whose brief wants power over these speeds. */
  public Combination asBand(Combination c) {
    var brief = c.brief();
    return c.with(
        Specs.changed(
            brief,
            Map.of(
                "bandFrom", brief.bandFrom().with(Measure.RPM.toSi(from), Provenance.ASSUMED),
                "bandTo", brief.bandTo().with(Measure.RPM.toSi(to), Provenance.ASSUMED))));
  }

  /** About so many speeds on round values, both ends included. */
  public List<Double> points(int about) {
    double step = Math.max(50, 50 * Math.rint((to - from) / (about - 1) / 50));
    var speeds = new java.util.ArrayList<>(Predictor.speeds(from, to, step));
    if (to - speeds.getLast() > 1) {
      speeds.add(to);
    }
    return speeds;
  }
}
