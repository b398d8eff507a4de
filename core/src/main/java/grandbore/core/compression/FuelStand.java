package grandbore.core.compression;

import grandbore.core.build.Build;
import grandbore.core.checks.Check;
import grandbore.core.checks.CheckList;
import grandbore.core.combination.Combination;
import grandbore.core.combination.Compression;
import grandbore.core.prediction.BuiltEngine;
import grandbore.core.prediction.Curve;
import grandbore.core.prediction.CurvePoint;
import grandbore.core.units.Quantity;
import java.util.Comparator;
import java.util.List;

/** How much compression the fuel stands: by two schools, and by the simulated knock margin. */
public final class FuelStand {
  /** Ratios that pump fuel is said to stand, by what the head is made of. */
  private static final double PUMP_IRON = 9.5;

  private static final double PUMP_ALUMINIUM = 10.5;

  /** Ratio from intake closing that pump fuel is said to stand. */
  private static final double PUMP_EFFECTIVE = 8.25;

  /** Each octane number is said to be worth so much ratio, from 92 on. */
  private static final double RATIO_PER_OCTANE = 0.12;

  private static final double PUMP = 92;

  /** An octane number of margin is within the model's own doubt. */
  private static final double DOUBT = 2;

  private FuelStand() {}

  /** Volume that the piston still sweeps once the intake valve has seated, m³. */
  public static double sweptAfterClosing(Combination c) {
    double closing = c.cam().intakeCloses(c.cam().intakeSeat().si());
    return c.bottomEnd().boreArea() * c.bottomEnd().crank().depth(Math.PI + closing);
  }

  /** Ratio left over the piston where the intake valve seats. */
  public static double effectiveRatio(Combination c) {
    double clearance = c.clearanceVolume();
    return (sweptAfterClosing(c) + clearance) / clearance;
  }

  /** The schools, then the simulation, for the worst speed of a curve. */
  public static List<Check> of(Build build, BuiltEngine engine, Curve curve) {
    var c = engine.combination();
    var list = new CheckList(build.units());
    double octane = c.mixture().fuel().antiKnockIndex();
    double more = RATIO_PER_OCTANE * (octane - PUMP);
    boolean iron = c.compression().head() == Compression.Head.IRON;
    double allowed = (iron ? PUMP_IRON : PUMP_ALUMINIUM) + more;
    school(
        list,
        "school_static",
        "School of the static ratio",
        c.staticRatio(),
        allowed,
        "%s heads on %.0f octane: %.1f : 1; 9.5 with iron and 10.5 with aluminium on 92, 0.12 a number"
            .formatted(iron ? "iron" : "aluminium", octane, allowed));
    double effective = effectiveRatio(c);
    school(
        list,
        "school_effective",
        "School of the effective ratio",
        effective,
        PUMP_EFFECTIVE + more,
        "from intake closing at the seat, %.0f octane: %.2f : 1; 8.25 on 92, 0.12 a number"
            .formatted(octane, PUMP_EFFECTIVE + more));
    curve.settled().stream()
        .min(Comparator.comparingDouble(p -> p.margins().octane()))
        .ifPresent(p -> simulated(list, c, p));
    return list.checks();
  }

  private static void school(
      CheckList list, String name, String label, double is, double allowed, String rule) {
    list.add(
        name,
        label,
        Check.judge(is, allowed, 0.3),
        "%s, it allows %s"
            .formatted(list.show(Quantity.RATIO, is), list.show(Quantity.RATIO, allowed)),
        rule + " (" + CheckList.PRACTICE + "; boost and mixture are left out by it)");
  }

  private static void simulated(CheckList list, Combination c, CurvePoint p) {
    double margin = p.margins().octane();
    String spark =
        Double.isNaN(p.margins().advance())
            ? ""
            : ", the spark %.0f° %s"
                .formatted(
                    Math.abs(Math.toDegrees(p.margins().advance())),
                    p.margins().advance() < 0 ? "too early" : "in hand");
    list.add(
        "knock_margin",
        "Simulated knock margin, worst speed",
        margin < 0 ? Check.Verdict.BAD : margin < DOUBT ? Check.Verdict.CLOSE : Check.Verdict.GOOD,
        "%+.1f octane numbers at %,.0f rpm%s".formatted(margin, p.rpm(), spark),
        "this engine wants %.1f octane there and the fuel has %.1f: the autoignition integral of Douaud"
                .formatted(p.margins().octaneWanted(), c.mixture().fuel().antiKnockIndex())
            + " and Eyzat (SAE 780080) over the simulated cycle of the worst cylinder. A predicted"
            + " knock limit is no promise that the engine will not knock.",
        margin / p.margins().octaneWanted());
  }
}
