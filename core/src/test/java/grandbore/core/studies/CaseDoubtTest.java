package grandbore.core.studies;

import static org.assertj.core.api.Assertions.assertThat;

import grandbore.core.demo.DynoCases;
import grandbore.core.prediction.BuiltEngine;
import grandbore.core.prediction.Fidelity;
import grandbore.core.prediction.Predictor;
import grandbore.core.prediction.WantedBand;
import grandbore.core.runs.RunQueue;
import grandbore.core.runs.Urgency;
import grandbore.core.units.Measure;
import java.util.Locale;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/**
 * How much of what the dyno cases miss lies in inputs that nobody stated: each case over the
 * spreads of its inputs, about its peaks.
 */
class CaseDoubtTest {
  private static final double STEP = 100;
  private static final double ABOUT = 0.05;
  private static final int SAMPLES = 100;

  private int observed;
  private int byInputs;
  private int byAll;

  /** Four fifths of what was observed should lie where four fifths of the doubt does. */
  @Tag("study")
  @Test
  void whatWasSeenLiesInTheBandOfDoubt() {
    try (var predictor = new Predictor();
        var queue = new RunQueue()) {
      for (var k : DynoCases.all()) {
        var engine = BuiltEngine.asSpecified(k.combination());
        var speeds = Predictor.speeds(k.from(), k.to(), STEP);
        var curve = predictor.predict(engine, speeds, Fidelity.FULL);
        var power = curve.peakPower().orElseThrow();
        var torque = curve.peakTorque().orElseThrow();
        double hp = Measure.HORSEPOWER.fromSi(power.power());
        double poundFeet = Measure.POUND_FEET.fromSi(torque.torque());
        tell(queue, k, engine, "power, hp", power.rpm(), hp, k.observed().power());
        tell(queue, k, engine, "torque, lb·ft", torque.rpm(), poundFeet, k.observed().torque());
      }
    }
    System.out.printf("of %d %d by inputs, %d with the model's own%n", observed, byInputs, byAll);
    assertThat(byAll).isGreaterThanOrEqualTo((int) (0.75 * observed));
  }

  private void tell(
      RunQueue queue,
      DynoCases.Case k,
      BuiltEngine engine,
      String what,
      double rpm,
      double predicted,
      double seen) {
    if (Double.isNaN(seen)) {
      return;
    }
    var band =
        new WantedBand(Math.max(k.from(), (1 - ABOUT) * rpm), Math.min(k.to(), (1 + ABOUT) * rpm));
    var study = new DoubtStudy(engine, band, band.from(), band.to(), SAMPLES, 1);
    var score = queue.submit(study, Urgency.STUDY).await().score();
    var range = score.times(predicted / score.middle());
    var whole = ModelSpread.OWN.with(range, predicted);
    observed++;
    byInputs += seen >= range.low() && seen <= range.high() ? 1 : 0;
    byAll += seen >= whole.low() && seen <= whole.high() ? 1 : 0;
    System.out.printf(
        Locale.ROOT,
        "%s, %s: %.0f, by its inputs %.0f to %.0f, by the model too %.0f to %.0f; seen %.0f%n",
        k.key(),
        what,
        predicted,
        range.low(),
        range.high(),
        whole.low(),
        whole.high(),
        seen);
  }
}
