package grandbore.core.studies;

import grandbore.core.combination.Combination;
import grandbore.core.combination.InvalidInput;
import grandbore.core.combination.Specs;
import grandbore.core.prediction.BuiltEngine;
import grandbore.core.prediction.Curve;
import grandbore.core.prediction.WantedBand;
import grandbore.core.runs.Desk;
import grandbore.core.runs.Study;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/**
 * The band's average by lobe separation, the advance as it stands, and what 0.1 more rocker ratio
 * gains at each.
 */
public record SeparationStudy(BuiltEngine engine, WantedBand band)
    implements Study<SeparationStudy.Found> {
  private static final int[] STEPS = {-6, -4, -2, 0, 2, 4, 6};
  private static final int POINTS = 7;
  private static final double ROCKER = 0.1;

  /**
   * As far as it has been run.
   *
   * @param average over separation, rad of the cam
   * @param gain W, by the rockers
   */
  public record Found(Sweep average, List<Double> gain) {
    public Found {
      gain = List.copyOf(gain);
    }
  }

  @Override
  public String title() {
    return "Separations, each with two rockers";
  }

  @Override
  public List<Object> key() {
    return List.of(engine.key(), band);
  }

  @Override
  public Found solve(Desk<Found> desk) {
    var separations = new ArrayList<Double>();
    var engines = new ArrayList<BuiltEngine>();
    for (int step : STEPS) {
      try {
        var spread = spread(engine.combination(), Math.toRadians(step));
        var high = raised(spread);
        separations.add(spread.cam().separation().si());
        engines.add(new BuiltEngine(spread, engine.clearances()));
        engines.add(new BuiltEngine(high, engine.clearances()));
      } catch (InvalidInput e) {
        // A separation that can't be ground: the line is shorter.
      }
    }
    return found(
        separations,
        desk.curves(engines, band.speeds(POINTS), c -> desk.show(found(separations, c))));
  }

  private Found found(List<Double> separations, List<Curve> curves) {
    int n = curves.size() / 2;
    var power = new ArrayList<Double>();
    var gain = new ArrayList<Double>();
    for (int i = 0; i < n; i++) {
      power.add(band.meanPower(curves.get(2 * i)));
      gain.add(band.meanPower(curves.get(2 * i + 1)) - power.getLast());
    }
    return new Found(new Sweep(separations.subList(0, n), power), gain);
  }

  /** Both lobes moved apart by as much, the advance as it is. */
  private static Combination spread(Combination c, double by) {
    var cam = c.cam();
    var s = cam.separation();
    var in = cam.intakeCentreline();
    return c.with(
        Specs.changed(
            cam,
            Map.of(
                "separation", s.with(s.si() + by, s.provenance()),
                "intakeCentreline", in.with(in.si() + by, in.provenance()))));
  }

  private static Combination raised(Combination c) {
    var in = c.valveTrain().intakeRocker();
    var out = c.valveTrain().exhaustRocker();
    return c.with("valveTrain.intakeRocker", in.with(in.si() + ROCKER, in.provenance()))
        .with("valveTrain.exhaustRocker", out.with(out.si() + ROCKER, out.provenance()));
  }
}
