package grandbore.core.studies;

import grandbore.core.combination.InvalidInput;
import grandbore.core.doubt.LatinHypercube;
import grandbore.core.doubt.Uncertain;
import grandbore.core.prediction.BuiltEngine;
import grandbore.core.prediction.Curve;
import grandbore.core.prediction.CurvePoint;
import grandbore.core.prediction.Fidelity;
import grandbore.core.prediction.WantedBand;
import grandbore.core.runs.Desk;
import grandbore.core.runs.Study;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.function.Function;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * Samples an engine over the spreads of its inputs, each normal about its value and independent of
 * the others. Every sample is run over the band; every second one also at those ends of the curve
 * that lie well outside of it.
 *
 * @param from the curve's first speed, rev/min
 * @param to its last
 * @param samples 10 to 2,000
 * @param seed of all random draws
 */
public record DoubtStudy(
    BuiltEngine engine, WantedBand band, double from, double to, int samples, long seed)
    implements Study<Doubt> {
  private static final int FEWEST = 10;
  private static final int MOST = 2000;

  /** Speeds this near to each other have much the same doubt, as a share. */
  private static final double NEAR = 0.9;

  /** Samples that are asked for where nobody says. */
  public static final int USUAL = 200;

  public DoubtStudy {
    if (samples < FEWEST || samples > MOST) {
      throw new InvalidInput(
          "Samples", String.valueOf(samples), "10 to 2,000", "a spread is seen in some");
    }
  }

  @Override
  public String title() {
    return "Band of doubt";
  }

  @Override
  public List<Object> key() {
    return List.of(engine.key(), Uncertain.of(engine), band, from, to, samples, seed);
  }

  private List<Double> ends() {
    var all = new ArrayList<Double>();
    if (from < NEAR * band.from()) {
      all.add(from);
    }
    if (NEAR * to > band.to()) {
      all.add(to);
    }
    return all;
  }

  @Override
  public Doubt solve(Desk<Doubt> desk) {
    var inputs = Uncertain.of(engine);
    var speeds = band.fewSpeeds();
    var ends = ends();
    boolean exact = Fidelity.LIVE.isExact(engine.combination());
    int placed = exact ? 0 : speeds.size() + ends.size();
    desk.expect((samples + 1) * speeds.size() + (samples / 2 + 1) * ends.size() + placed);
    var base = desk.base(engine, speeds, Fidelity.LIVE);
    var atEnds = desk.base(engine, ends, Fidelity.LIVE);
    var live = together(base.curve(), atEnds.curve());
    var stands =
        exact
            ? live
            : together(
                desk.curve(engine, speeds, Fidelity.PLACED),
                desk.curve(engine, ends, Fidelity.PLACED));
    var drawn = new ArrayList<Doubt.Sample>();
    int refused = 0;
    var doubt = new Doubt(stands, inputs, drawn, samples, refused, seed);
    desk.show(doubt);
    if (inputs.isEmpty()) {
      return doubt;
    }
    var points =
        Arrays.stream(LatinHypercube.points(samples, inputs.size(), seed))
            .map(u -> Arrays.stream(u).map(Doubt::deviation).toArray())
            .toList();
    Function<double[], BuiltEngine> maker = z -> Uncertain.on(engine, inputs, z);
    for (var batch : Batch.few(points)) {
      var second = IntStream.range(0, batch.size()).filter(k -> k % 2 == 0).mapToObj(batch::get);
      var inBand = Batch.run(desk, base, batch, maker);
      var outside = Batch.run(desk, atEnds, second.toList(), maker);
      for (int k = 0; k < batch.size(); k++) {
        var curve = inBand.get(k).curve();
        if (curve.isPresent()) {
          var whole =
              k % 2 == 0
                  ? outside.get(k / 2).curve().map(c -> together(curve.get(), c)).orElseThrow()
                  : curve.get();
          drawn.add(sample(inBand.get(k).of(), whole, live, stands));
        } else {
          refused++;
        }
      }
      doubt = new Doubt(stands, inputs, drawn, samples, refused, seed);
      desk.show(doubt);
    }
    return doubt;
  }

  /** A sample's share of what is live, laid on the curve that stands. */
  private Doubt.Sample sample(double[] z, Curve curve, Curve live, Curve stands) {
    return new Doubt.Sample(
        Arrays.stream(z).boxed().toList(),
        stands.points().stream()
            .map(p -> torque(curve, p.rpm()) * (p.torque() / torque(live, p.rpm())))
            .toList(),
        band.meanPower(curve) * (band.meanPower(stands) / band.meanPower(live)));
  }

  private static Curve together(Curve one, Curve other) {
    return new Curve(
        one.fidelity(), Stream.concat(one.points().stream(), other.points().stream()).toList());
  }

  private static double torque(Curve curve, double rpm) {
    return curve.points().stream()
        .filter(p -> p.rpm() == rpm && p.converged())
        .mapToDouble(CurvePoint::torque)
        .findFirst()
        .orElse(Double.NaN);
  }
}
