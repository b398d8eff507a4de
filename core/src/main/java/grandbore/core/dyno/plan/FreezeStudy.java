package grandbore.core.dyno.plan;

import grandbore.core.changes.Change;
import grandbore.core.combination.Mixture;
import grandbore.core.dyno.DayAir;
import grandbore.core.dyno.Frozen;
import grandbore.core.prediction.BuiltEngine;
import grandbore.core.prediction.Fidelity;
import grandbore.core.runs.Desk;
import grandbore.core.runs.Study;
import grandbore.core.studies.Doubt;
import java.time.Instant;
import java.util.List;
import java.util.Map;

/**
 * Predicts an engine as it stands, and with the spark of most torque, to be frozen.
 *
 * @param doubt one standard deviation of the torque, as a share, at each speed
 */
public record FreezeStudy(
    BuiltEngine engine, String name, Instant at, List<Double> speeds, List<Double> doubt)
    implements Study<Frozen> {
  public FreezeStudy {
    speeds = List.copyOf(speeds);
    doubt = List.copyOf(doubt);
  }

  @Override
  public String title() {
    return "Prediction, to be frozen";
  }

  @Override
  public Frozen solve(Desk<Frozen> desk) {
    desk.expect(2 * speeds.size());
    var best = new Change("Best", Map.of("mixture.spark", Mixture.Spark.BEST_TORQUE)).on(engine);
    var stands = desk.base(engine, speeds, Fidelity.PLACED);
    var sparked = desk.curve(stands, best);
    var c = engine.combination();
    return Frozen.of(
        name,
        at,
        DayAir.of(c.weather()),
        c.mixture().lambda().si() * c.learned().mixture().si(),
        stands.curve(),
        sparked,
        rpm -> {
          double off = Doubt.FOUR_FIFTHS * doubt.get(Math.max(0, speeds.indexOf(rpm)));
          return new double[] {1 - off, 1 + off};
        });
  }
}
