package grandbore.core.demo;

import static grandbore.core.combination.BottomEnd.Layout.INLINE;
import static grandbore.core.combination.BottomEnd.Layout.VEE;
import static grandbore.core.combination.Exhaust.Kind.HEADERS;
import static grandbore.core.combination.Intake.Fuelling.CARBURETTOR;
import static grandbore.core.combination.Intake.Fuelling.PORT_INJECTION;
import static grandbore.core.combination.Intake.Manifold.INDIVIDUAL;
import static grandbore.core.combination.Intake.Manifold.PLENUM;
import static grandbore.core.combination.Provenance.ASSUMED;
import static grandbore.core.combination.ValveTrain.Follower.FLAT_PUSHROD;
import static grandbore.core.combination.ValveTrain.Follower.ROLLER_PUSHROD;
import static grandbore.core.demo.CombinationMaker.bottomEnd;
import static grandbore.core.demo.CombinationMaker.cam;
import static grandbore.core.demo.CombinationMaker.combination;
import static grandbore.core.demo.CombinationMaker.exhaust;
import static grandbore.core.demo.CombinationMaker.heads;
import static grandbore.core.demo.CombinationMaker.intake;
import static grandbore.core.demo.CombinationMaker.mixture;
import static grandbore.core.demo.CombinationMaker.sheet;
import static grandbore.core.demo.CombinationMaker.sprung;
import static grandbore.core.demo.CombinationMaker.squeezeFor;
import static grandbore.core.demo.CombinationMaker.valveTrain;

import grandbore.core.combination.Boost;
import grandbore.core.combination.BottomEnd;
import grandbore.core.combination.Cam;
import grandbore.core.combination.Combination;
import grandbore.core.combination.Given;
import grandbore.core.combination.Losses;
import grandbore.core.combination.Mixture;
import grandbore.core.combination.ValveTrain;
import grandbore.core.gas.FuelKind;
import grandbore.core.units.Measure;
import grandbore.core.units.Quantity;
import java.util.ArrayList;
import java.util.List;

/**
 * What one change did on a dyno, without names; common practice, no source. Each is one observation
 * on one engine whose setting is half known: the sign and the rough size count, not the digit.
 */
public final class ObservedChanges {
  /** What was read before and after. */
  public enum Reading {
    PEAK_POWER("peak power", "hp"),
    POWER("power", "hp"),
    PEAK_TORQUE("peak torque", "lb·ft"),
    TORQUE("torque", "lb·ft"),
    /** The peak power after over that before. */
    POWER_RATIO("peak power ratio", "");

    private final String label;
    private final String unit;

    Reading(String label, String unit) {
      this.label = label;
      this.unit = unit;
    }

    public String label() {
      return label;
    }

    public String unit() {
      return unit;
    }
  }

  /**
   * @param speed where it was read, rev/min; not a number for a peak
   * @param least the change seen, in the reading's unit
   * @param most the same where one figure was given
   */
  public record Change(
      String name,
      Combination before,
      Combination after,
      double from,
      double to,
      Reading reading,
      double speed,
      double least,
      double most) {}

  private static final double PEAK = Double.NaN;

  private ObservedChanges() {}

  public static List<Change> all() {
    var all = new ArrayList<Change>();
    headersAndCam(all);
    var strong = DynoCases.of("A");
    all.add(
        new Change(
            "compression 11 to 12.75, 600 hp V8",
            strong,
            squeezed(strong, 12.75),
            5000,
            7300,
            Reading.PEAK_POWER,
            PEAK,
            30,
            40));
    rockers(all);
    cams(all);
    spark(all);
    var four = DynoCases.of("E");
    all.add(
        new Change(
            "windage tray, 2.4 l four",
            four,
            four.with("losses.windage", Losses.Windage.TRAY),
            9000,
            9000,
            Reading.POWER,
            9000,
            4,
            5));
    carburettor(all);
    var plain = street(8.8, streetCam(224, 0.300, 112)).with("mixture.fuel", FuelKind.RACE_116);
    all.add(
        new Change(
            "one atmosphere, cooled, belt-driven, 355 in³",
            plain,
            pressed(plain),
            3500,
            6500,
            Reading.POWER_RATIO,
            PEAK,
            1.8,
            2.0));
    return all;
  }

  private static void headersAndCam(List<Change> all) {
    var stock = DynoCases.of("C manifolds");
    var headers = DynoCases.of("C headers");
    var cam = DynoCases.of("C cam");
    var shorties =
        stock
            .with("exhaust.kind", HEADERS)
            .with("exhaust.primaryLength", inches(13))
            .with("exhaust.primaryDiameter", inches(1.5))
            .with("exhaust.collectorDiameter", inches(2.5));
    all.add(peak("cast manifolds to short headers, 293 in³", stock, shorties, 2, 3));
    all.add(peak("cast manifolds to long headers, 293 in³", stock, headers, 9, 10));
    all.add(at("cast manifolds to long headers, low", stock, headers, 2500, 1, 15));
    all.add(peak("mild cam, 293 in³", headers, cam, 42, 49));
    all.add(new Change("mild cam, 293 in³", headers, cam, 6400, 6400, Reading.POWER, 6400, 60, 70));
    all.add(
        new Change(
            "mild cam, 293 in³", headers, cam, 3500, 5500, Reading.PEAK_TORQUE, PEAK, 10, 16));
    all.add(at("mild cam, 293 in³, low", headers, cam, 2500, -15, 5));
  }

  private static Change peak(
      String name, Combination before, Combination after, double least, double most) {
    return new Change(name, before, after, 4000, 6500, Reading.PEAK_POWER, PEAK, least, most);
  }

  private static Change at(
      String name, Combination before, Combination after, double rpm, double least, double most) {
    return new Change(name, before, after, rpm, rpm, Reading.TORQUE, rpm, least, most);
  }

  private static void rockers(List<Change> all) {
    for (var separation : new double[] {110.5, 108}) {
      var before = street(9.6, streetCam(224, 0.290, separation));
      var after = before.with("valveTrain.intakeRocker", ratio(1.7));
      after = after.with("valveTrain.exhaustRocker", ratio(1.7));
      boolean wide = separation > 109;
      all.add(
          new Change(
              "rocker 1.6 to 1.7, 355 in³, separation " + (wide ? "too wide" : "right"),
              before,
              after,
              4500,
              6500,
              Reading.PEAK_POWER,
              PEAK,
              wide ? 20 : 0,
              wide ? 25 : 8));
    }
  }

  private static void cams(List<Change> all) {
    var wide = street(10, streetCam(228, 0.300, 110));
    var tight = street(10, streetCam(223, 0.300, 108));
    all.add(
        new Change(
            "280° on 110 to 275° on 108, 350 in³",
            wide,
            tight,
            3000,
            5000,
            Reading.PEAK_TORQUE,
            PEAK,
            1,
            10));
    all.add(peak("280° on 110 to 275° on 108, 350 in³", wide, tight, -5, 5));
    var old = street(11, streetCam(236, 0.290, 108));
    var lifted = street(10, streetCam(226, 0.340, 108));
    String name = "11:1, long and low, to 10:1, short and high, 355 in³";
    all.add(at(name, old, lifted, 4000, 1, 30));
    all.add(new Change(name, old, lifted, 7000, 7000, Reading.POWER, 7000, -25, 0));
  }

  private static void spark(List<Change> all) {
    var engine = bigStreet();
    double[] gains = {8, 14, 17};
    double[] angles = {32, 34, 35};
    for (int i = 0; i < angles.length; i++) {
      all.add(
          new Change(
              "spark 30° to %.0f°, 406 in³".formatted(angles[i]),
              engine.with("mixture.advance", degrees(30)),
              engine.with("mixture.advance", degrees(angles[i])),
              5000,
              7000,
              Reading.PEAK_POWER,
              PEAK,
              0.5 * gains[i],
              1.5 * gains[i]));
    }
  }

  private static void carburettor(List<Change> all) {
    var four = smallFour();
    var bigger =
        four.with(
            "intake.throttleFlow",
            Given.of(500, Measure.CUBIC_FEET_PER_MINUTE, Quantity.AIRFLOW, ASSUMED));
    all.add(
        new Change(
            "bigger carburettor, 2.0 l four, tight manifold",
            four,
            bigger,
            4500,
            7000,
            Reading.PEAK_POWER,
            PEAK,
            -1,
            4));
    var each =
        four.with(intake(INDIVIDUAL, PORT_INJECTION, 8, 20, 2.3, 2.0, 1500, 190, 1.5, ASSUMED));
    all.add(
        new Change(
            "a throttle a cylinder, 2.0 l four",
            four,
            each,
            4500,
            7500,
            Reading.PEAK_POWER,
            PEAK,
            15,
            40));
  }

  private static Combination pressed(Combination c) {
    return c.with("boost.kind", Boost.Kind.CENTRIFUGAL)
        .with("boost.pressure", Given.of(14.7, Measure.PSI, Quantity.PRESSURE, ASSUMED))
        .with("boost.ratedSpeed", Given.of(6000, Measure.RPM, Quantity.ROTATION, ASSUMED))
        .with("boost.cooling", Given.of(70, Measure.PERCENT, Quantity.SHARE, ASSUMED));
  }

  private static Combination squeezed(Combination c, double compression) {
    return c.with(squeezeFor(compression, c.bottomEnd(), 4.165, 0.040, ASSUMED));
  }

  private static Cam streetCam(double duration, double lobe, double separation) {
    return cam(
        duration,
        duration + 6,
        duration + 52,
        duration + 58,
        lobe,
        lobe,
        separation,
        separation - 4,
        ASSUMED);
  }

  /** A 355 in³ V8 with iron heads reworked, near 380 hp. */
  private static Combination street(double compression, Cam cam) {
    var bottom = bottomEnd(VEE, DynoCases.V8, 4.030, 3.480, 5.700, 1.56, 0.015, 2.45, 2.1, ASSUMED);
    var c =
        combination(
            "Street 355",
            bottom,
            squeezeFor(compression, bottom, 4.1, 0.040, ASSUMED),
            cam,
            valveTrain(FLAT_PUSHROD, 1.6, 1.6, 0),
            heads(
                1,
                2.02,
                1.60,
                5.2,
                170,
                3.0,
                65,
                sheet(ASSUMED, .1, 60, .2, 122, .3, 172, .4, 204, .5, 218, .6, 222),
                sheet(ASSUMED, .1, 50, .2, 95, .3, 128, .4, 148, .5, 158, .6, 162),
                ASSUMED),
            intake(PLENUM, CARBURETTOR, 5.5, 60, 2.4, 2.1, 1400, 650, 1.5, ASSUMED),
            exhaust(HEADERS, 30, 1.625, 12, 3.0, 0, ASSUMED),
            mixture(FuelKind.PUMP_93, 0.88));
    return sprung(c, 140, 400, 30_000, ASSUMED);
  }

  /** A 406 in³ V8 of low compression, near 550 hp, its spark set by hand. */
  private static Combination bigStreet() {
    BottomEnd bottom =
        bottomEnd(VEE, DynoCases.V8, 4.155, 3.750, 6.000, 1.13, 0.010, 2.65, 2.1, ASSUMED);
    var c =
        combination(
            "Street 406",
            bottom,
            squeezeFor(9.5, bottom, 4.2, 0.040, ASSUMED),
            cam(250, 256, 296, 302, 0.390, 0.390, 108, 104, ASSUMED),
            valveTrain(ROLLER_PUSHROD, 1.6, 1.6, 0.016),
            heads(
                1,
                2.08,
                1.60,
                5.2,
                215,
                3.2,
                80,
                sheet(ASSUMED, .1, 66, .2, 138, .3, 196, .4, 244, .5, 275, .6, 290),
                sheet(ASSUMED, .1, 56, .2, 106, .3, 150, .4, 182, .5, 202, .6, 212),
                ASSUMED),
            intake(PLENUM, CARBURETTOR, 5.5, 60, 2.9, 2.5, 1500, 850, 1.5, ASSUMED),
            exhaust(HEADERS, 32, 1.80, 14, 3.4, 0, ASSUMED),
            mixture(FuelKind.RACE_100, 0.88));
    return sprung(c, 260, 650, 45_000, ASSUMED).with("mixture.spark", Mixture.Spark.FIXED);
  }

  /** A 2.0 l four with two valves and a narrow manifold, near 146 hp. */
  private static Combination smallFour() {
    var bottom =
        bottomEnd(INLINE, List.of(1, 3, 4, 2), 3.386, 3.386, 5.590, 1.25, 0.005, 2.1, 1.9, ASSUMED);
    return combination(
        "Two-litre four",
        bottom,
        squeezeFor(10, bottom, 3.43, 0.040, ASSUMED),
        cam(222, 222, 266, 266, 0.400, 0.400, 108, 106, ASSUMED),
        valveTrain(ValveTrain.Follower.BUCKET_OVERHEAD, 1, 1, 0.008),
        heads(
            1,
            1.65,
            1.38,
            4.5,
            130,
            3.0,
            60,
            sheet(ASSUMED, .1, 52, .2, 104, .3, 138, .4, 154),
            sheet(ASSUMED, .1, 44, .2, 82, .3, 104, .4, 114),
            ASSUMED),
        intake(PLENUM, CARBURETTOR, 11, 90, 1.35, 1.35, 700, 330, 1.5, ASSUMED),
        exhaust(HEADERS, 28, 1.50, 16, 2.0, 0, ASSUMED),
        mixture(FuelKind.PUMP_93, 0.88));
  }

  private static Given inches(double value) {
    return Given.of(value, Measure.INCHES, Quantity.LENGTH, ASSUMED);
  }

  private static Given degrees(double value) {
    return Given.of(value, Measure.DEGREES, Quantity.ANGLE, ASSUMED);
  }

  private static Given ratio(double value) {
    return Given.of(value, Measure.NONE, Quantity.RATIO, ASSUMED);
  }
}
