package grandbore.core.demo;

import static grandbore.core.combination.BottomEnd.Layout.INLINE;
import static grandbore.core.combination.BottomEnd.Layout.VEE;
import static grandbore.core.combination.Exhaust.Kind.CAST_MANIFOLD;
import static grandbore.core.combination.Exhaust.Kind.HEADERS;
import static grandbore.core.combination.Intake.Fuelling.CARBURETTOR;
import static grandbore.core.combination.Intake.Fuelling.PORT_INJECTION;
import static grandbore.core.combination.Intake.Manifold.PLENUM;
import static grandbore.core.combination.Provenance.ASSUMED;
import static grandbore.core.combination.Provenance.CARD;
import static grandbore.core.combination.ValveTrain.Follower.BUCKET_OVERHEAD;
import static grandbore.core.combination.ValveTrain.Follower.FINGER_OVERHEAD;
import static grandbore.core.combination.ValveTrain.Follower.ROLLER_PUSHROD;
import static grandbore.core.demo.CombinationMaker.bottomEnd;
import static grandbore.core.demo.CombinationMaker.cam;
import static grandbore.core.demo.CombinationMaker.combination;
import static grandbore.core.demo.CombinationMaker.exhaust;
import static grandbore.core.demo.CombinationMaker.heads;
import static grandbore.core.demo.CombinationMaker.inches;
import static grandbore.core.demo.CombinationMaker.intake;
import static grandbore.core.demo.CombinationMaker.mixture;
import static grandbore.core.demo.CombinationMaker.sheet;
import static grandbore.core.demo.CombinationMaker.sprung;
import static grandbore.core.demo.CombinationMaker.squeezeFor;
import static grandbore.core.demo.CombinationMaker.valveTrain;

import grandbore.core.combination.Cam;
import grandbore.core.combination.Combination;
import grandbore.core.combination.Exhaust;
import grandbore.core.combination.Losses;
import grandbore.core.gas.FuelKind;
import java.util.List;

/**
 * Dyno results of real combinations, without names; common practice, no source. What nobody stated
 * is filled with ordinary values for such an engine and never changed to fit; springs let the
 * valves follow to the speed a case was run to.
 */
public final class DynoCases {
  /** What the dyno gave; NaN where it was not stated. hp, lb·ft, rev/min. */
  public record Observed(double power, double powerSpeed, double torque, double torqueSpeed) {}

  /** A combination, where it was pulled, and what the dyno gave. */
  public record Case(
      String key, Combination combination, double from, double to, Observed observed) {}

  static final List<Integer> V8 = List.of(1, 8, 4, 3, 6, 5, 7, 2);
  private static final double NOT_STATED = Double.NaN;

  /** Seat duration over that at 0.050 in, ordinary for the kind of tappet. */
  private static final double HYDRAULIC_RAMPS = 54;

  /** Makes a lobe some 25° longer at 0.020 in than at 0.050 in, as solid rollers are. */
  private static final double SOLID_RAMPS = 46;

  private DynoCases() {}

  public static List<Case> all() {
    return List.of(
        a(),
        b(),
        c("C headers", smallCam(), longTubes(), new Observed(333, 5400, 343, 4700)),
        c(
            "C manifolds",
            smallCam(),
            castIron(),
            new Observed(323, NOT_STATED, NOT_STATED, NOT_STATED)),
        c("C cam", largerCam(), longTubes(), new Observed(375, NOT_STATED, 353, NOT_STATED)),
        d(),
        e(),
        f());
  }

  /** The combination of a case. */
  public static Combination of(String key) {
    return all().stream()
        .filter(c -> c.key().equals(key))
        .findFirst()
        .orElseThrow(() -> new IllegalArgumentException("There is no case " + key))
        .combination();
  }

  private static Case a() {
    var bottom = bottomEnd(VEE, V8, 4.125, 3.400, 5.400, 1.4, 0.005, 2.45, 2.1, ASSUMED);
    return new Case(
        "A",
        sprung(
            combination(
                "Case A",
                bottom,
                squeezeFor(11.0, bottom, 4.165, 0.040, ASSUMED),
                cam(
                    250,
                    256,
                    250 + SOLID_RAMPS,
                    256 + SOLID_RAMPS,
                    0.4253,
                    0.4253,
                    108,
                    104,
                    ASSUMED),
                valveTrain(ROLLER_PUSHROD, 1.5, 1.5, 0.018),
                heads(
                    1,
                    2.08,
                    1.60,
                    5.2,
                    215,
                    3.2,
                    80,
                    sheet(CARD, .1, 66, .2, 140, .3, 200, .4, 252, .5, 290, .6, 318),
                    sheet(CARD, .1, 56, .2, 108, .3, 155, .4, 190, .5, 212, .6, 224),
                    ASSUMED),
                intake(PLENUM, CARBURETTOR, 5.5, 60, 3.0, 2.6, 1500, 850, 1.5, CARD),
                exhaust(HEADERS, 32, 1.80, 14, 3.4, 0, ASSUMED),
                mixture(FuelKind.RACE_110, 0.88)),
            260,
            650,
            45_000,
            ASSUMED),
        4000,
        7300,
        new Observed(597, NOT_STATED, 517, NOT_STATED));
  }

  private static Case b() {
    var bottom = bottomEnd(VEE, V8, 4.155, 3.000, 6.100, 1.3, 0.005, 2.45, 2.1, ASSUMED);
    return new Case(
        "B",
        combination(
            "Case B",
            bottom,
            squeezeFor(10.8, bottom, 4.2, 0.040, ASSUMED),
            cam(
                230,
                236,
                230 + HYDRAULIC_RAMPS,
                236 + HYDRAULIC_RAMPS,
                0.3667,
                0.3667,
                110,
                106,
                ASSUMED),
            valveTrain(ROLLER_PUSHROD, 1.5, 1.5, 0),
            heads(
                1,
                2.05,
                1.60,
                5.2,
                195,
                3.0,
                75,
                sheet(CARD, .1, 64, .2, 134, .3, 190, .4, 235, .5, 262, .55, 270),
                sheet(CARD, .1, 56, .2, 104, .3, 145, .4, 175, .5, 195, .55, 200),
                ASSUMED),
            intake(PLENUM, CARBURETTOR, 5.5, 60, 2.7, 2.4, 1400, 750, 1.5, ASSUMED),
            exhaust(HEADERS, 32, 1.75, 14, 3.2, 0, ASSUMED),
            mixture(FuelKind.PUMP_93, 0.88)),
        4000,
        7500,
        new Observed(512, 7000, 435, NOT_STATED));
  }

  private static Cam smallCam() {
    return cam(
        191, 190, 191 + HYDRAULIC_RAMPS, 190 + HYDRAULIC_RAMPS, 0.2688, 0.2741, 114, 114, CARD);
  }

  private static Cam largerCam() {
    return cam(
        214, 218, 214 + HYDRAULIC_RAMPS, 218 + HYDRAULIC_RAMPS, 0.2900, 0.2950, 114, 112, ASSUMED);
  }

  private static Exhaust longTubes() {
    return exhaust(HEADERS, 30, 1.60, 12, 2.9, 0, ASSUMED);
  }

  private static Exhaust castIron() {
    return exhaust(CAST_MANIFOLD, 3.5, 1.50, 16, 2.2, 0, ASSUMED);
  }

  private static Case c(String key, Cam cam, Exhaust exhaust, Observed observed) {
    var bottom = bottomEnd(VEE, V8, 3.780, 3.268, 6.275, 1.3, 0.005, 2.55, 2.1, ASSUMED);
    return new Case(
        key,
        combination(
                "Case " + key,
                bottom,
                squeezeFor(9.3, bottom, 3.85, 0.050, ASSUMED),
                cam,
                valveTrain(ROLLER_PUSHROD, 1.7, 1.7, 0),
                heads(
                    1,
                    1.89,
                    1.55,
                    5.0,
                    175,
                    3.0,
                    65,
                    sheet(CARD, .1, 66, .2, 135, .3, 185, .4, 212, .457, 220),
                    sheet(CARD, .1, 58, .2, 105, .3, 135, .4, 150, .466, 156),
                    ASSUMED),
                intake(PLENUM, PORT_INJECTION, 10.5, 150, 2.4, 2.2, 5000, 900, 1.5, ASSUMED),
                exhaust,
                mixture(FuelKind.PUMP_91, 0.88))
            .with("intake.boxLength", inches(17, ASSUMED)),
        2500,
        6500,
        observed);
  }

  private static Case d() {
    var bottom = bottomEnd(VEE, V8, 4.030, 3.480, 5.700, 1.56, 0.015, 2.45, 2.1, CARD);
    return new Case(
        "D",
        combination(
            "Case D",
            bottom,
            squeezeFor(10.0, bottom, 4.1, 0.040, ASSUMED),
            cam(
                236,
                242,
                236 + HYDRAULIC_RAMPS,
                242 + HYDRAULIC_RAMPS,
                0.3867,
                0.3867,
                110,
                106,
                ASSUMED),
            valveTrain(ROLLER_PUSHROD, 1.5, 1.5, 0),
            heads(
                1,
                1.94,
                1.60,
                5.2,
                185,
                3.0,
                68,
                sheet(CARD, .1, 62, .2, 130, .3, 185, .4, 225, .5, 243, .58, 248),
                sheet(CARD, .1, 56, .2, 105, .3, 145, .4, 168, .5, 180, .58, 184),
                ASSUMED),
            intake(PLENUM, CARBURETTOR, 5.5, 60, 2.6, 2.3, 1400, 750, 1.5, CARD),
            exhaust(HEADERS, 32, 1.625, 14, 3.0, 0, ASSUMED),
            mixture(FuelKind.PUMP_93, 0.88)),
        3500,
        6700,
        new Observed(479, 6000, 450, 5200));
  }

  private static Case e() {
    var bottom =
        bottomEnd(INLINE, List.of(1, 3, 4, 2), 3.425, 3.898, 5.985, 1.2, 0.0, 2.17, 1.89, CARD);
    return new Case(
        "E",
        sprung(
                combination(
                    "Case E",
                    bottom,
                    squeezeFor(12.0, bottom, 3.47, 0.030, ASSUMED),
                    cam(
                        245,
                        240,
                        245 + SOLID_RAMPS,
                        240 + SOLID_RAMPS,
                        0.3467,
                        0.3267,
                        104,
                        104,
                        ASSUMED),
                    valveTrain(FINGER_OVERHEAD, 1.5, 1.5, 0.008),
                    heads(
                        2,
                        1.40,
                        1.18,
                        4.0,
                        165,
                        3.0,
                        85,
                        sheet(CARD, .1, 92, .2, 190, .3, 272, .4, 318, .5, 340),
                        sheet(CARD, .1, 78, .2, 155, .3, 208, .4, 236, .5, 246),
                        ASSUMED),
                    intake(PLENUM, PORT_INJECTION, 5.5, 30, 3.2, 2.7, 3500, 750, 1.5, ASSUMED),
                    exhaust(HEADERS, 30, 1.75, 16, 2.6, 0, ASSUMED),
                    mixture(FuelKind.RACE_110, 0.88)),
                120,
                400,
                ASSUMED)
            .with("intake.boxLength", inches(15, ASSUMED)),
        4500,
        9000,
        new Observed(320, NOT_STATED, NOT_STATED, NOT_STATED));
  }

  private static Case f() {
    var bottom =
        bottomEnd(
            INLINE, List.of(1, 5, 3, 6, 2, 4), 3.386, 3.386, 5.590, 1.25, 0.0, 2.4, 1.9, ASSUMED);
    return new Case(
        "F",
        combination(
                "Case F",
                bottom,
                squeezeFor(10.5, bottom, 3.43, 0.040, ASSUMED),
                cam(
                    196,
                    190,
                    196 + HYDRAULIC_RAMPS,
                    190 + HYDRAULIC_RAMPS,
                    0.338,
                    0.338,
                    112,
                    110,
                    ASSUMED),
                valveTrain(BUCKET_OVERHEAD, 1, 1, 0.008),
                heads(
                    2,
                    1.32,
                    1.14,
                    4.2,
                    150,
                    3.2,
                    70,
                    sheet(CARD, .1, 78, .2, 158, .3, 212, .33, 222),
                    sheet(CARD, .1, 66, .2, 128, .3, 162, .33, 168),
                    ASSUMED),
                intake(PLENUM, PORT_INJECTION, 12, 150, 2.1, 2.1, 5000, 650, 1.5, ASSUMED),
                exhaust(CAST_MANIFOLD, 5, 1.5, 20, 2.2, 400, ASSUMED),
                mixture(FuelKind.PUMP_91, 0.92))
            .with("intake.boxLength", inches(22, ASSUMED))
            .with("losses.accessories", Losses.Accessories.ALL),
        2500,
        7000,
        new Observed(222.5, NOT_STATED, NOT_STATED, NOT_STATED));
  }
}
