package grandbore.core.mechanics;

import grandbore.core.build.Build;
import grandbore.core.checks.Check;
import grandbore.core.checks.CheckList;
import grandbore.core.combination.Given;
import grandbore.core.prediction.Curve;
import grandbore.core.prediction.CurvePoint;
import grandbore.core.units.Quantity;
import java.util.Comparator;
import java.util.List;
import java.util.function.ToDoubleFunction;

/** What the parts are rated for against what the simulated cycle puts on them. */
public final class Strength {
  /** Share of a rating above which it is called close. */
  private static final double CLOSE = 0.85;

  private final Build build;
  private final List<CurvePoint> points;
  private final CheckList list;

  private Strength(Build build, Curve curve) {
    this.build = build;
    points = curve.settled();
    list = new CheckList(build.units());
  }

  /** Every rating against the worst speed of a curve. */
  public static List<Check> of(Build build, Curve curve) {
    var s = new Strength(build, curve);
    if (s.points.isEmpty()) {
      return List.of();
    }
    var r = build.combination().ratings();
    s.rated("rod_tension", "Rod, tension", r.rodTension(), p -> p.efforts().rodTension());
    s.rated(
        "rod_compression",
        "Rod, compression and buckling",
        r.rodCompression(),
        p -> p.efforts().rodCompression());
    s.rated("rod_bolts", "Rod bolts", r.boltClamp(), s::parting);
    s.rated(
        "piston_pressure", "Piston, peak pressure", r.pistonPressure(), CurvePoint::peakPressure);
    s.rated("crank_power", "Crank, power", r.crankPower(), CurvePoint::power);
    s.rated("block_power", "Block, power", r.blockPower(), CurvePoint::power);
    s.rated("fuel_flow", "Fuel system, flow", r.fuelFlow(), p -> p.fuelPerJoule() * p.power());
    return s.list.checks();
  }

  /** What pulls the cap from its rod at top centre: the rod's tension and its own big end, N. */
  private double parting(CurvePoint p) {
    double speed = p.rpm() * Math.PI / 30;
    return p.efforts().rodTension()
        + build.combination().weights().rotating()
            * build.combination().bottomEnd().stroke().si()
            / 2
            * speed
            * speed;
  }

  private void rated(String name, String label, Given rating, ToDoubleFunction<CurvePoint> effort) {
    var worst = points.stream().max(Comparator.comparingDouble(effort)).orElseThrow();
    double most = effort.applyAsDouble(worst);
    Quantity q = rating.quantity();
    String is = "%s at %,.0f rpm".formatted(list.show(q, most), worst.rpm());
    if (!rating.isKnown()) {
      list.add(
          "strength_" + name,
          label,
          Check.Verdict.UNKNOWN,
          is + "; its maker's rating is not known",
          "the most over all speeds, from the simulated pressure and the masses of the parts");
      return;
    }
    double share = most / rating.si();
    list.add(
        "strength_" + name,
        label,
        Check.judge(share, 1, 1 - CLOSE),
        "%s, %.0f %% of its rating".formatted(is, 100 * share),
        "the most over all speeds, from the simulated pressure and the masses of the parts, over %s"
                .formatted(list.show(q, rating.si()))
            + "; close from 85 % on. A rating is its maker's, and no predicted load is a promise"
            + " that the part stands it.",
        1 - share);
  }
}
