package grandbore.core.mechanics;

import grandbore.core.build.Build;
import grandbore.core.checks.Check;
import grandbore.core.checks.CheckList;
import grandbore.core.clearances.Bands;
import grandbore.core.combination.Combination;
import grandbore.core.combination.Given;
import grandbore.core.geometry.SliderCrank;
import grandbore.core.units.Measure;
import grandbore.core.units.Quantity;
import java.util.List;

/** What limits the speed from the piston's side, and whether valves meet pistons. */
public final class Overspeed {
  /**
   * A ring of 1/16 in leaves its land at a piston's acceleration of 80,000 ft/s² (common practice,
   * no source). Its mass over the area of its side goes with its width, so the limit goes with the
   * inverse.
   */
  private static final double FLUTTER = Measure.FEET_PER_SECOND_SQUARED.toSi(80_000);

  private static final double FLUTTER_WIDTH = Measure.INCHES.toSi(1 / 16.0);

  /** Mean piston speeds that parts are commonly run to; common practice, no source. */
  private static final double STREET = Measure.FEET_PER_MINUTE.toSi(4000);

  private static final double RACE = Measure.FEET_PER_MINUTE.toSi(5000);

  private Overspeed() {}

  /** Crank speed from which a top ring of some width flutters, rad/s. */
  public static double flutter(SliderCrank crank, double width) {
    return Math.sqrt(FLUTTER * FLUTTER_WIDTH / width / crank.sharpest());
  }

  /** The limits against the highest speed of the brief's band and of the curve. */
  public static List<Check> of(Build build) {
    var c = build.combination();
    var list = new CheckList(build.units());
    var crank = c.bottomEnd().crank();
    double top = Math.max(c.brief().bandTo().si(), Measure.RPM.toSi(build.speeds().to()));
    double width = c.partSizes().ringWidth().si();
    double flutter = flutter(crank, width);
    double thinner = flutter(crank, 0.75 * width);
    double shorter =
        flutter(
            new SliderCrank(0.475 * c.bottomEnd().stroke().si(), crank.rod(), crank.offset()),
            width);
    String topWords = Quantity.ROTATION.show(top, build.units());
    list.add(
        "ring_flutter",
        "Ring flutter",
        Check.judge(top / flutter, 1, 0.05),
        "from %s".formatted(Quantity.ROTATION.show(flutter, build.units())),
        "the piston's acceleration reaches 80,000 ft/s² × (1/16 in ÷ %s) there (%s); highest speed %s"
                .formatted(
                    Quantity.CLEARANCE.show(width, build.units()), CheckList.PRACTICE, topWords)
            + ". A ring a quarter thinner: %s. A stroke 5 %% shorter: %s."
                .formatted(
                    Quantity.ROTATION.show(thinner, build.units()),
                    Quantity.ROTATION.show(shorter, build.units())),
        flutter / top - 1);
    boolean race = Bands.isRace(build.application());
    double limit = race ? RACE : STREET;
    double mean = c.bottomEnd().stroke().si() * top / Math.PI;
    list.add(
        "piston_speed",
        "Mean piston speed",
        Check.judge(mean / limit, 1, 0.05),
        "%s at %s".formatted(Quantity.PISTON_SPEED.show(mean, build.units()), topWords),
        "2 × stroke × rpm ÷ 60; %s engines are run to %s (%s), which this stroke reaches at %s"
            .formatted(
                race ? "race" : "street",
                Quantity.PISTON_SPEED.show(limit, build.units()),
                CheckList.PRACTICE,
                Quantity.ROTATION.show(
                    limit * Math.PI / c.bottomEnd().stroke().si(), build.units())),
        limit / mean - 1);
    var h = c.heads();
    meets(
        list,
        c,
        "intake",
        c.intakeLift(),
        h.intakeAngle(),
        h.intakeRecess(),
        c.compression().intakePocket());
    meets(
        list,
        c,
        "exhaust",
        c.exhaustLift(),
        h.exhaustAngle(),
        h.exhaustRecess(),
        c.compression().exhaustPocket());
    return list.checks();
  }

  private static void meets(
      CheckList list,
      Combination c,
      String side,
      double lift,
      Given angle,
      Given recess,
      Given pocket) {
    String name = side + "_interference";
    String label = "Cam drive fails: " + side + " valve";
    if (!recess.isKnown()) {
      list.unknown(name, label, "how far the shut %s valve stands above the deck".formatted(side));
      return;
    }
    double drop = lift * Math.cos(angle.si());
    double room =
        recess.si()
            + c.compression().gasketThickness().si()
            + c.bottomEnd().deckClearance()
            + pocket.si();
    boolean clear = drop < room;
    list.add(
        name,
        label,
        clear ? Check.Verdict.GOOD : Check.Verdict.BAD,
        clear
            ? "open full it clears the piston at top centre by "
                + list.show(Quantity.CLEARANCE, room - drop)
            : "open full it meets the piston at top centre by "
                + list.show(Quantity.CLEARANCE, drop - room),
        "lift × cos(valve angle) = %s × cos %s, against valve above deck + gasket + deck clearance +"
                .formatted(list.show(Quantity.LENGTH, lift), list.show(Quantity.ANGLE, angle.si()))
            + " pocket = %s + %s + %s + %s (geometry; the pocket taken as wide enough)"
                .formatted(
                    list.show(Quantity.CLEARANCE, recess.si()),
                    list.show(Quantity.CLEARANCE, c.compression().gasketThickness().si()),
                    list.show(Quantity.CLEARANCE, c.bottomEnd().deckClearance()),
                    list.show(Quantity.CLEARANCE, pocket.si())));
  }
}
