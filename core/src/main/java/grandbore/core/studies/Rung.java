package grandbore.core.studies;

import grandbore.core.prediction.BuiltEngine;
import grandbore.core.prediction.Curve;
import grandbore.core.prediction.WantedBand;
import java.util.Optional;

/**
 * What an engine with some changes came to.
 *
 * @param curve empty where the changes do not fit
 * @param figures empty where no speed settled
 * @param refused why they do not fit, empty where they do
 */
public record Rung(Optional<Curve> curve, Optional<CurveFigures> figures, String refused) {
  static Rung of(BuiltEngine engine, Curve curve, WantedBand band) {
    return new Rung(Optional.of(curve), CurveFigures.of(curve, engine.combination(), band), "");
  }

  /** Of an engine that was run among others. */
  static Rung of(Batch.Ran<?> ran, WantedBand band) {
    return ran.curve()
        .map(c -> of(ran.engine().orElseThrow(), c, band))
        .orElseGet(
            () ->
                new Rung(
                    Optional.empty(), Optional.empty(), ran.refused().orElseThrow().getMessage()));
  }

  /** Average power over the band, W; not a number where there is none. */
  public double power() {
    return figures.flatMap(CurveFigures::band).map(b -> b.power()).orElse(Double.NaN);
  }

  /** Average torque over the band, N m; not a number where there is none. */
  public double torque() {
    return figures.flatMap(CurveFigures::band).map(b -> b.torque()).orElse(Double.NaN);
  }
}
