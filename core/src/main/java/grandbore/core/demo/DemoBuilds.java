package grandbore.core.demo;

import static grandbore.core.demo.CombinationMaker.bottomEnd;
import static grandbore.core.demo.CombinationMaker.cam;
import static grandbore.core.demo.CombinationMaker.combination;
import static grandbore.core.demo.CombinationMaker.compression;
import static grandbore.core.demo.CombinationMaker.exhaust;
import static grandbore.core.demo.CombinationMaker.heads;
import static grandbore.core.demo.CombinationMaker.intake;
import static grandbore.core.demo.CombinationMaker.mixture;
import static grandbore.core.demo.CombinationMaker.sheet;
import static grandbore.core.demo.CombinationMaker.sprung;
import static grandbore.core.demo.CombinationMaker.valveTrain;

import grandbore.core.build.Build;
import grandbore.core.build.SpeedRange;
import grandbore.core.clearances.Application;
import grandbore.core.clearances.AssemblyCheck;
import grandbore.core.clearances.Kept;
import grandbore.core.clearances.Measurement;
import grandbore.core.clearances.Reading;
import grandbore.core.combination.BottomEnd.Layout;
import grandbore.core.combination.Combination;
import grandbore.core.combination.Exhaust;
import grandbore.core.combination.Given;
import grandbore.core.combination.Intake;
import grandbore.core.combination.Provenance;
import grandbore.core.combination.Specs;
import grandbore.core.combination.ValveTrain.Follower;
import grandbore.core.gas.FuelKind;
import grandbore.core.units.Measure;
import grandbore.core.units.Quantity;
import grandbore.core.units.UnitSystem;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;

/**
 * The demo shop's two engines, invented: a V8 for a hill-climb club's car, its bottom end and heads
 * measured, and an in-line four still on paper.
 */
public final class DemoBuilds {
  private static final String BUILDER = "Ines";
  private static final String HELPER = "Tomasz";
  private static final Instant MORNING = Instant.parse("2026-10-03T08:30:00Z");

  private DemoBuilds() {}

  /** The hill-climb V8, 5.27 l. */
  public static Build hillClimbEight() {
    var c =
        sprung(
                combination(
                    "Club hill-climb V8",
                    bottomEnd(
                        Layout.VEE,
                        List.of(1, 8, 5, 4, 7, 2, 3, 6),
                        4.094,
                        3.050,
                        5.850,
                        1.310,
                        0.012,
                        2.520,
                        2.050,
                        Provenance.CARD),
                    compression(57.0, 4.140, 0.038, 4.0, Provenance.CARD),
                    cam(238, 244, 282, 288, 0.372, 0.368, 109, 105, Provenance.CARD),
                    valveTrain(Follower.ROLLER_PUSHROD, 1.55, 1.55, 0.014),
                    heads(
                        1,
                        2.02,
                        1.58,
                        5.1,
                        192,
                        2.9,
                        71,
                        sheet(Provenance.CARD, .1, 63, .2, 131, .3, 191, .4, 236, .5, 261, .6, 272),
                        sheet(Provenance.CARD, .1, 55, .2, 103, .3, 146, .4, 173, .5, 189, .6, 196),
                        Provenance.CARD),
                    intake(
                        Intake.Manifold.PLENUM,
                        Intake.Fuelling.CARBURETTOR,
                        5.8,
                        55,
                        2.70,
                        2.45,
                        1350,
                        780,
                        1.5,
                        Provenance.CARD),
                    exhaust(Exhaust.Kind.HEADERS, 31, 1.70, 13, 3.1, 0, Provenance.ASSUMED),
                    mixture(FuelKind.RACE_100, 0.88)),
                250,
                600,
                50_000,
                Provenance.CARD)
            .with("valveTrain.intakeMass", grams(268))
            .with("valveTrain.exhaustMass", grams(252));
    var range = new SpeedRange(3000, 7500);
    return new Build(UnitSystem.US, Application.HILL_CLIMB, range, workshop(range.asBand(c)));
  }

  /** What the shop knows of the V8 besides: its brief, its masses, its fits and ratings. */
  private static Combination workshop(Combination c) {
    var card = Provenance.CARD;
    var measured = Provenance.MEASURED;
    return given(
        c,
        set("brief.bandFrom", 4500, Measure.RPM, card),
        set("brief.bandTo", 7200, Measure.RPM, card),
        set("brief.idle", 1000, Measure.RPM, card),
        set("brief.vacuum", 8, Measure.INCHES_OF_MERCURY, card),
        set("brief.power", 520, Measure.HORSEPOWER, card),
        set("brief.budget", 9500, Measure.NONE, card),
        set("brief.headCost", 85, Measure.NONE, card),
        set("brief.deckCost", 140, Measure.NONE, card),
        set("brief.soldAs", 318, Measure.CUBIC_INCHES, card),
        set("brief.soldBore", 4.06, Measure.INCHES, card),
        set("brief.soldRatio", 11.5, Measure.NONE, card),
        set("weights.piston", 436, Measure.GRAMS, measured),
        set("weights.pin", 118, Measure.GRAMS, measured),
        set("weights.rings", 36, Measure.GRAMS, measured),
        set("weights.smallEnd", 172, Measure.GRAMS, measured),
        set("weights.bigEnd", 418, Measure.GRAMS, measured),
        set("weights.bearing", 44, Measure.GRAMS, measured),
        set("partSizes.mainHousing", 2.7123, Measure.INCHES, measured),
        set("partSizes.mainShell", 0.0947, Measure.INCHES, measured),
        set("partSizes.rodHousing", 2.1757, Measure.INCHES, measured),
        set("partSizes.rodShell", 0.0617, Measure.INCHES, measured),
        set("partSizes.journalWidth", 1.892, Measure.INCHES, measured),
        set("partSizes.rodWidth", 0.938, Measure.INCHES, measured),
        set("partSizes.shellWidth", 0.740, Measure.INCHES, measured),
        set("partSizes.fillet", 0.100, Measure.INCHES, card),
        set("partSizes.pin", 0.9272, Measure.INCHES, measured),
        set("partSizes.pistonBore", 0.9278, Measure.INCHES, measured),
        set("partSizes.rodBore", 0.9280, Measure.INCHES, measured),
        set("partSizes.counterweightRadius", 2.98, Measure.INCHES, measured),
        set("partSizes.skirtBelowPin", 1.18, Measure.INCHES, measured),
        set("partSizes.ringWidth", 0.043, Measure.INCHES, card),
        set("partSizes.boreSpacing", 4.42, Measure.INCHES, card),
        set("ratings.rodTension", 12_500, Measure.POUNDS_FORCE, card),
        set("ratings.boltClamp", 24_000, Measure.POUNDS_FORCE, card),
        set("ratings.crankPower", 650, Measure.HORSEPOWER, card),
        set("compression.planArea", 7.1, Measure.SQUARE_INCHES, measured),
        set("compression.intakePocket", 0.105, Measure.INCHES, measured),
        set("compression.exhaustPocket", 0.085, Measure.INCHES, measured),
        set("heads.intakeAngle", 18, Measure.DEGREES, card),
        set("heads.exhaustAngle", 18, Measure.DEGREES, card),
        set("heads.intakeRecess", 0.112, Measure.INCHES, measured),
        set("heads.exhaustRecess", 0.135, Measure.INCHES, measured),
        set("valveHardware.installedHeight", 1.880, Measure.INCHES, measured),
        set("valveHardware.coilBind", 1.165, Measure.INCHES, card),
        set("valveHardware.retainerRoom", 0.665, Measure.INCHES, measured),
        set("valveHardware.valveMass", 108, Measure.GRAMS, measured),
        set("valveHardware.retainerMass", 27, Measure.GRAMS, measured),
        set("valveHardware.springMass", 135, Measure.GRAMS, measured),
        set("valveHardware.rockerMass", 30, Measure.GRAMS, card),
        set("valveHardware.tappetMass", 88, Measure.GRAMS, measured),
        set("valveHardware.pushrodMass", 58, Measure.GRAMS, measured),
        set("valveHardware.baseCircle", 1.250, Measure.INCHES, card),
        set("valveHardware.roller", 0.750, Measure.INCHES, card),
        set("valveHardware.rockerArm", 1.48, Measure.INCHES, measured),
        set("valveHardware.tipRise", 0.235, Measure.INCHES, measured),
        set("valveHardware.stem", 0.3415, Measure.INCHES, measured),
        set("valveHardware.intakePocketWidth", 2.135, Measure.INCHES, measured),
        set("valveHardware.exhaustPocketWidth", 1.690, Measure.INCHES, measured),
        set("camCard.intakeAt50", 238, Measure.DEGREES, card),
        set("camCard.exhaustAt50", 244, Measure.DEGREES, card),
        set("camCard.intakeSeat", 282, Measure.DEGREES, card),
        set("camCard.intakeOpens", 14, Measure.DEGREES, card),
        set("camCard.intakeCloses", 44, Measure.DEGREES, card),
        set("camCard.exhaustOpens", 55, Measure.DEGREES, card),
        set("camCard.exhaustCloses", 9, Measure.DEGREES, card),
        set("camCard.separation", 109, Measure.DEGREES, card),
        set("camCard.intakeLobe", 0.372, Measure.INCHES, card),
        set("camCard.exhaustLobe", 0.368, Measure.INCHES, card),
        set("degreed.intakeOpens", 12.5, Measure.DEGREES, measured),
        set("degreed.intakeCloses", 46, Measure.DEGREES, measured),
        set("degreed.intakeRise", 71, Measure.DEGREES, measured),
        set("degreed.intakeFall", 142.5, Measure.DEGREES, measured),
        set("degreed.exhaustOpens", 53.5, Measure.DEGREES, measured),
        set("degreed.exhaustCloses", 10.5, Measure.DEGREES, measured),
        set("worksheet.otherRod", 6.1, Measure.INCHES, Provenance.ASSUMED),
        set("worksheet.ratioWanted", 11.5, Measure.NONE, Provenance.ASSUMED));
  }

  private record Said(String path, double value, Measure unit, Provenance from) {}

  private static Said set(String path, double value, Measure unit, Provenance from) {
    return new Said(path, value, unit, from);
  }

  /** A combination with these inputs said. */
  private static Combination given(Combination c, Said... all) {
    var now = c;
    for (var s : all) {
      var field = Specs.field(s.path);
      now = field.with(now, Given.of(s.value, s.unit, field.spec().quantity(), s.from));
    }
    return now;
  }

  private static Given grams(double value) {
    return Given.of(value, Measure.GRAMS, Quantity.MASS, Provenance.CARD);
  }

  /** The in-line four, two litres, four valves, individual throttles. */
  public static Build paddockFour() {
    var c =
        sprung(
            combination(
                "Paddock four",
                bottomEnd(
                    Layout.INLINE,
                    List.of(1, 3, 4, 2),
                    3.402,
                    3.346,
                    5.669,
                    1.181,
                    0.008,
                    2.087,
                    1.811,
                    Provenance.CARD),
                compression(44.5, 3.445, 0.030, -1.5, Provenance.ASSUMED),
                cam(232, 228, 272, 268, 0.398, 0.382, 106, 104, Provenance.CARD),
                valveTrain(Follower.BUCKET_OVERHEAD, 1, 1, 0.009),
                heads(
                    2,
                    1.32,
                    1.14,
                    4.1,
                    142,
                    3.1,
                    74,
                    sheet(Provenance.ASSUMED, .1, 84, .2, 170, .3, 236, .4, 268),
                    sheet(Provenance.ASSUMED, .1, 70, .2, 136, .3, 178, .4, 200),
                    Provenance.ASSUMED),
                intake(
                    Intake.Manifold.INDIVIDUAL,
                    Intake.Fuelling.PORT_INJECTION,
                    8.5,
                    20,
                    2.5,
                    2.3,
                    1500,
                    210,
                    1.5,
                    Provenance.ASSUMED),
                exhaust(Exhaust.Kind.HEADERS, 29, 1.60, 15, 2.4, 0, Provenance.ASSUMED),
                mixture(FuelKind.PUMP_93, 0.89)),
            75,
            270,
            Provenance.CARD);
    var range = new SpeedRange(3000, 8500);
    return new Build(UnitSystem.METRIC, Application.STREET, range, range.asBand(c));
  }

  /** What was signed for on the V8 so far. */
  public static List<Kept> hillClimbNotes() {
    var notes = new ArrayList<Kept>();
    var at = MORNING.plusSeconds(4 * 3600);
    for (var check :
        List.of(
            AssemblyCheck.GALLERIES_CLEAN, AssemblyCheck.CRANK_TURNS, AssemblyCheck.RINGS_APART)) {
      at = at.plusSeconds(2400);
      String by = notes.size() == 1 ? HELPER : BUILDER;
      notes.add(new Kept(notes.size() + 1L, check.tick(), by, at, false));
    }
    return List.copyOf(notes);
  }

  /** The readings taken on the V8: decks on both sides, chambers, bearings and ring gaps. */
  public static List<Reading> hillClimbReadings() {
    var log = new Log();
    double[] thrust = {15, 14, 16, 15, 13, 15, 14, 16};
    double[] opposite = {9, 10, 10, 8, 9, 11, 9, 10};
    double[] chamber = {57.2, 57.4, 57.1, 57.3, 57.2, 57.5, 57.1, 57.3};
    double[] rod = {2.2, 2.3, 2.2, 2.4, 2.3, 2.2, 2.3, 2.4};
    double[] top = {21.0, 21.5, 22.0, 21.0, 21.5, 22.0, 21.5, 21.0};
    double[] second = {23.5, 24.0, 23.5, 24.0, 24.5, 23.5, 24.0, 24.0};
    double[] main = {2.7, 2.8, 2.8, 2.9, 3.2};
    for (int i = 0; i < 8; i++) {
      int n = i + 1;
      log.add(Measurement.DECK, n, Reading.Side.THRUST, thrust[i] / 1000, "dial indicator");
      log.add(Measurement.DECK, n, Reading.Side.OPPOSITE, opposite[i] / 1000, "dial indicator");
      log.cc(n, chamber[i], BUILDER);
      log.cc(n, chamber[i] + (i % 2 == 0 ? 0.1 : -0.1), HELPER);
      log.add(Measurement.ROD_BEARING, n, Reading.Side.NONE, rod[i] / 1000, "bore gauge");
      log.add(Measurement.TOP_RING_GAP, n, Reading.Side.NONE, top[i] / 1000, "feeler gauge");
      log.add(Measurement.SECOND_RING_GAP, n, Reading.Side.NONE, second[i] / 1000, "feeler gauge");
    }
    for (int i = 0; i < 5; i++) {
      log.add(Measurement.MAIN_BEARING, i + 1, Reading.Side.NONE, main[i] / 1000, "bore gauge");
    }
    return List.copyOf(log.readings);
  }

  private static final class Log {
    final List<Reading> readings = new ArrayList<>();

    void add(Measurement m, int place, Reading.Side side, double inches, String with) {
      put(m, place, side, Measure.INCHES.toSi(inches), BUILDER, with);
    }

    void cc(int place, double cc, String by) {
      put(Measurement.CHAMBER, place, Reading.Side.NONE, cc * 1e-6, by, "burette");
    }

    private void put(
        Measurement m, int place, Reading.Side side, double si, String by, String with) {
      int n = readings.size();
      readings.add(
          new Reading(n + 1, m, place, side, si, by, with, MORNING.plusSeconds(180L * n), false));
    }
  }
}
