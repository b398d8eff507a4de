package grandbore.core.demo;

import static grandbore.core.units.Measure.CUBIC_CENTIMETRES;
import static grandbore.core.units.Measure.CUBIC_FEET_PER_MINUTE;
import static grandbore.core.units.Measure.DEGREES;
import static grandbore.core.units.Measure.DEGREES_FAHRENHEIT;
import static grandbore.core.units.Measure.INCHES;
import static grandbore.core.units.Measure.INCHES_OF_MERCURY;
import static grandbore.core.units.Measure.NONE;
import static grandbore.core.units.Measure.POUNDS_FORCE;
import static grandbore.core.units.Measure.POUNDS_PER_INCH;
import static grandbore.core.units.Measure.SQUARE_INCHES;

import grandbore.core.combination.Boost;
import grandbore.core.combination.BottomEnd;
import grandbore.core.combination.Brief;
import grandbore.core.combination.Cam;
import grandbore.core.combination.CamCard;
import grandbore.core.combination.Combination;
import grandbore.core.combination.Compression;
import grandbore.core.combination.Degreed;
import grandbore.core.combination.Exhaust;
import grandbore.core.combination.FlowSheet;
import grandbore.core.combination.Given;
import grandbore.core.combination.Heads;
import grandbore.core.combination.Intake;
import grandbore.core.combination.Learned;
import grandbore.core.combination.LiftTable;
import grandbore.core.combination.Losses;
import grandbore.core.combination.Mixture;
import grandbore.core.combination.MixtureTable;
import grandbore.core.combination.Nitrous;
import grandbore.core.combination.PartSizes;
import grandbore.core.combination.Provenance;
import grandbore.core.combination.Ratings;
import grandbore.core.combination.Seats;
import grandbore.core.combination.Specs;
import grandbore.core.combination.ValveHardware;
import grandbore.core.combination.ValveTrain;
import grandbore.core.combination.Weather;
import grandbore.core.combination.Weights;
import grandbore.core.combination.Worksheet;
import grandbore.core.gas.FuelKind;
import grandbore.core.units.Measure;
import grandbore.core.units.Quantity;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/** Builds the groups of a combination from numbers in the trade's units. */
public final class CombinationMaker {
  private static final double BENCH = Measure.INCHES_OF_WATER.toSi(28);

  private CombinationMaker() {}

  public static Given inches(double value, Provenance from) {
    return Given.of(value, INCHES, Quantity.LENGTH, from);
  }

  private static Given thin(double value, Provenance from) {
    return Given.of(value, INCHES, Quantity.CLEARANCE, from);
  }

  private static Given degrees(double value, Provenance from) {
    return Given.of(value, DEGREES, Quantity.ANGLE, from);
  }

  private static Given cc(double value, Provenance from) {
    return Given.of(value, CUBIC_CENTIMETRES, Quantity.VOLUME, from);
  }

  private static Given ratio(double value, Provenance from) {
    return Given.of(value, NONE, Quantity.RATIO, from);
  }

  /** Bore, stroke, rod, pin height, journals: inches; the deck so that the clearance comes out. */
  public static BottomEnd bottomEnd(
      BottomEnd.Layout layout,
      List<Integer> firingOrder,
      double bore,
      double stroke,
      double rod,
      double pinHeight,
      double deckClearance,
      double mainJournal,
      double rodJournal,
      Provenance from) {
    return new BottomEnd(
        layout,
        firingOrder.size(),
        firingOrder,
        List.of(),
        BottomEnd.Numbering.ALTERNATING,
        inches(bore, from),
        inches(stroke, from),
        inches(rod, from),
        inches(stroke / 2 + rod + pinHeight + deckClearance, from),
        inches(pinHeight, from),
        thin(0, from),
        inches(mainJournal, from),
        inches(rodJournal, from));
  }

  /**
   * Two thirds of a kilogram at a four-inch bore, going with its cube: common practice, no source.
   */
  private static Given reciprocating(double bore) {
    return Given.of(680 * Math.pow(bore / 4, 3), Measure.GRAMS, Quantity.MASS, Provenance.ASSUMED);
  }

  /** Gasket in inches, volumes in cc. */
  public static Compression compression(
      double chamber, double gasketBore, double gasket, double dish, Provenance from) {
    return Specs.make(
        Compression.class,
        Map.of(
            "chamberVolume",
            cc(chamber, from),
            "gasketBore",
            inches(gasketBore, from),
            "gasketThickness",
            thin(gasket, from),
            "pistonVolume",
            cc(dish, from),
            "landHeight",
            thin(0.24, from),
            "landClearance",
            thin(0.030, from)));
  }

  /** The chamber, cc, that makes a ratio with everything else given. */
  public static Compression squeezeFor(
      double ratio, BottomEnd bottom, double gasketBore, double gasket, Provenance from) {
    var trial = compression(60, gasketBore, gasket, 0, from);
    double wanted = bottom.sweptVolume() / (ratio - 1);
    double land =
        Math.PI / 2 * bottom.bore().si() * trial.landClearance().si() * trial.landHeight().si();
    double pad =
        Math.PI
            / 4
            * trial.gasketBore().si()
            * trial.gasketBore().si()
            * trial.gasketThickness().si();
    double chamber = wanted - land - pad - bottom.boreArea() * bottom.deckClearance();
    return compression(chamber * 1e6, gasketBore, gasket, 0, from);
  }

  /** Degrees and inches; lobe lifts, not valve lifts. */
  public static Cam cam(
      double intake,
      double exhaust,
      double intakeSeat,
      double exhaustSeat,
      double intakeLobe,
      double exhaustLobe,
      double separation,
      double centreline,
      Provenance from) {
    return new Cam(
        degrees(intake, from),
        degrees(exhaust, from),
        degrees(intakeSeat, from),
        degrees(exhaustSeat, from),
        inches(intakeLobe, from),
        inches(exhaustLobe, from),
        degrees(separation, from),
        degrees(centreline, from),
        LiftTable.NONE,
        LiftTable.NONE);
  }

  public static ValveTrain valveTrain(
      ValveTrain.Follower follower, double intakeRatio, double exhaustRatio, double lash) {
    return ValveTrain.usual(
        follower,
        ratio(intakeRatio, Provenance.CARD),
        ratio(exhaustRatio, Provenance.CARD),
        thin(lash, Provenance.CARD),
        thin(lash, Provenance.CARD));
  }

  /** With other springs than are usual for its kind of train: pounds, and pounds an inch. */
  public static Combination sprung(Combination c, double seat, double rate, Provenance from) {
    return c.with("valveTrain.springSeat", Given.of(seat, POUNDS_FORCE, Quantity.FORCE, from))
        .with("valveTrain.springRate", Given.of(rate, POUNDS_PER_INCH, Quantity.STIFFNESS, from));
  }

  /** With another stiffness of the train too, pounds an inch. */
  public static Combination sprung(
      Combination c, double seat, double rate, double stiffness, Provenance from) {
    return sprung(c, seat, rate, from)
        .with(
            "valveTrain.stiffness", Given.of(stiffness, POUNDS_PER_INCH, Quantity.STIFFNESS, from));
  }

  /** Lift in inches and cfm at 28 inH2O, in turn. */
  public static FlowSheet sheet(Provenance from, double... liftAndFlow) {
    var rows = new ArrayList<FlowSheet.Row>();
    for (int i = 0; i < liftAndFlow.length; i += 2) {
      rows.add(
          new FlowSheet.Row(
              INCHES.toSi(liftAndFlow[i]), CUBIC_FEET_PER_MINUTE.toSi(liftAndFlow[i + 1])));
    }
    return new FlowSheet(BENCH, from, rows);
  }

  /** Valves and port lengths in inches, port volumes in cc. */
  public static Heads heads(
      int valves,
      double intakeValve,
      double exhaustValve,
      double intakeLength,
      double intakeVolume,
      double exhaustLength,
      double exhaustVolume,
      FlowSheet intake,
      FlowSheet exhaust,
      Provenance from) {
    return Specs.make(
        Heads.class,
        Map.of(
            "intakeValves",
            valves,
            "exhaustValves",
            valves,
            "intakeValve",
            inches(intakeValve, from),
            "exhaustValve",
            inches(exhaustValve, from),
            "intakePortLength",
            inches(intakeLength, from),
            "intakePortVolume",
            cc(intakeVolume, from),
            "exhaustPortLength",
            inches(exhaustLength, from),
            "exhaustPortVolume",
            cc(exhaustVolume, from),
            "intakeFlow",
            intake,
            "exhaustFlow",
            exhaust));
  }

  /** Inches, degrees, square inches, cc, cfm at a depression in inHg. */
  public static Intake intake(
      Intake.Manifold manifold,
      Intake.Fuelling fuelling,
      double length,
      double turn,
      double entry,
      double exit,
      double plenum,
      double flow,
      double depression,
      Provenance from) {
    return Specs.make(
        Intake.class,
        Map.of(
            "manifold",
            manifold,
            "fuelling",
            fuelling,
            "heating",
            fuelling == Intake.Fuelling.CARBURETTOR
                ? Intake.Heating.HEAD_ONLY
                : Intake.Heating.INSULATED,
            "runnerLength",
            inches(length, from),
            "runnerTurn",
            degrees(turn, from),
            "runnerEntry",
            Given.of(entry, SQUARE_INCHES, Quantity.AREA, from),
            "runnerExit",
            Given.of(exit, SQUARE_INCHES, Quantity.AREA, from),
            "plenumVolume",
            cc(plenum, from),
            "throttleFlow",
            Given.of(flow, CUBIC_FEET_PER_MINUTE, Quantity.AIRFLOW, from),
            "ratingDepression",
            Given.of(depression, INCHES_OF_MERCURY, Quantity.PRESSURE, Provenance.CARD)));
  }

  /** Inches; the system's flow in cfm at 28 inH2O, none for an open collector. */
  public static Exhaust exhaust(
      Exhaust.Kind kind,
      double primaryLength,
      double primary,
      double collectorLength,
      double collector,
      double systemFlow,
      Provenance from) {
    return Specs.make(
        Exhaust.class,
        Map.of(
            "kind",
            kind,
            "primaryLength",
            inches(primaryLength, from),
            "primaryDiameter",
            inches(primary, from),
            "collectorLength",
            inches(collectorLength, from),
            "collectorDiameter",
            inches(collector, from),
            "outlet",
            systemFlow > 0 ? Exhaust.Outlet.SYSTEM : Exhaust.Outlet.OPEN,
            "systemFlow",
            Given.of(
                systemFlow > 0 ? systemFlow : 1000,
                CUBIC_FEET_PER_MINUTE,
                Quantity.AIRFLOW,
                Provenance.ASSUMED)));
  }

  public static Mixture mixture(FuelKind fuel, double lambda) {
    return new Mixture(
        fuel,
        ratio(lambda, Provenance.ASSUMED),
        Mixture.Spark.BEST_TORQUE,
        degrees(34, Provenance.ASSUMED),
        MixtureTable.NONE,
        List.of());
  }

  /** 29.92 inHg, 60 °F, dry: the trade's older dyno correction (SAE J607). */
  public static Weather dynoDay() {
    return new Weather(
        Given.of(29.92, INCHES_OF_MERCURY, Quantity.PRESSURE, Provenance.CARD),
        Given.of(60, DEGREES_FAHRENHEIT, Quantity.TEMPERATURE, Provenance.CARD),
        Given.of(0, NONE, Quantity.SHARE, Provenance.CARD));
  }

  /** One whole combination. */
  public static Combination combination(
      String name,
      BottomEnd bottom,
      Compression compression,
      Cam cam,
      ValveTrain train,
      Heads heads,
      Intake intake,
      Exhaust exhaust,
      Mixture mixture) {
    return new Combination(
        name,
        bottom,
        compression,
        Weights.usual(reciprocating(bottom.bore().si() / INCHES.toSi(1))),
        Specs.make(PartSizes.class, Map.of()),
        Specs.make(Ratings.class, Map.of()),
        cam,
        train,
        heads,
        Specs.make(Seats.class, Map.of()),
        intake,
        exhaust,
        Specs.make(Boost.class, Map.of()),
        Specs.make(Nitrous.class, Map.of()),
        mixture,
        Specs.make(Losses.class, Map.of()),
        dynoDay(),
        Specs.make(CamCard.class, Map.of()),
        Specs.make(ValveHardware.class, Map.of()),
        Specs.make(Degreed.class, Map.of()),
        Specs.make(Brief.class, Map.of()),
        Specs.make(Worksheet.class, Map.of()),
        Specs.make(Learned.class, Map.of()));
  }
}
