package grandbore.core.studies;

import grandbore.core.doubt.Uncertain;
import grandbore.core.prediction.BuiltEngine;
import grandbore.core.prediction.Fidelity;
import grandbore.core.prediction.WantedBand;
import grandbore.core.runs.Desk;
import grandbore.core.runs.Study;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;

/**
 * What matters on an engine: every input that is not known for sure, down and up, one at a time.
 *
 * @param speeds rev/min, spanning the band
 */
public record EffectsStudy(BuiltEngine engine, List<Double> speeds, WantedBand band, Step step)
    implements Study<Effects> {
  /** How far each input is changed. */
  public enum Step {
    /** By its own spread: what is badly known weighs more. */
    SPREAD,
    /** By one per cent of its value: what is touchy weighs more. */
    PERCENT
  }

  /** One input, lower or higher. */
  private record Way(Uncertain input, double deviations) {}

  public EffectsStudy {
    speeds = List.copyOf(speeds);
  }

  @Override
  public String title() {
    return "What matters";
  }

  @Override
  public List<Object> key() {
    return List.of(engine.key(), Uncertain.of(engine), speeds, band, step);
  }

  @Override
  public Effects solve(Desk<Effects> desk) {
    var inputs =
        Uncertain.of(engine).stream().map(i -> step == Step.SPREAD ? i : i.byShare(0.01)).toList();
    desk.expect((2 * inputs.size() + 1) * speeds.size());
    var base = desk.base(engine, speeds, Fidelity.PLACED);
    double stands = band.meanPower(base.curve());
    var found = new ArrayList<Effects.Effect>();
    // A few hold both ways of an input, since they are even in number.
    var ways = inputs.stream().flatMap(i -> Stream.of(new Way(i, -1), new Way(i, 1))).toList();
    for (var few : Batch.few(ways)) {
      var ran = Batch.run(desk, base, few, w -> w.input.on(engine, w.deviations)).iterator();
      while (ran.hasNext()) {
        var low = ran.next();
        found.add(new Effects.Effect(low.of().input, gain(low, stands), gain(ran.next(), stands)));
      }
      desk.show(new Effects(stands, found));
    }
    return new Effects(stands, found);
  }

  private double gain(Batch.Ran<Way> ran, double stands) {
    return ran.curve().map(band::meanPower).orElse(Double.NaN) - stands;
  }
}
