package grandbore.core.friction;

import grandbore.core.combination.BottomEnd;
import grandbore.core.combination.Combination;
import grandbore.core.combination.Learned;
import grandbore.core.combination.Losses;
import grandbore.core.combination.ValveTrain;

/**
 * Friction mean pressure by components: K. J. Patton, R. G. Nitschke and J. B. Heywood, SAE 890836,
 * with the valve-train constants, the auxiliaries and the scaling of fluid friction with the root
 * of viscosity of D. Sandoval and J. B. Heywood, SAE 2003-01-0725; all from memory. Lengths in
 * millimetres and speeds in rev/min inside, as the source has them. Added here: windage, side force
 * by rod ratio, the springs' load on what rubs without a film (Coulomb: friction goes with load),
 * the choices of the engine's own losses, and what firing adds: the source's engines were motored,
 * so that its gas load is that of the compression; beyond it each bar of the peak costs what Chen
 * and Flynn found on a fired one.
 */
public final class Friction {
  /** One speed's share of each component, Pa. */
  public record Parts(
      double crankshaft,
      double pistons,
      double rings,
      double valveTrain,
      double auxiliaries,
      double windage) {
    /** All together, Pa. */
    public double total() {
      return crankshaft + pistons + rings + valveTrain + auxiliaries + windage;
    }

    private Parts times(double f) {
      return new Parts(
          f * crankshaft, f * pistons, f * rings, f * valveTrain, f * auxiliaries, f * windage);
    }
  }

  /** Mean lift of an open valve over its most, of usual lobes. */
  private static final double MEAN_LIFT = 0.6;

  private static final double JOURNAL_LENGTH_SHARE = 0.42;

  /** Viscosity the correlation was made with, m²/s at 90 °C (SAE 10W-30). */
  private static final double REFERENCE_VISCOSITY = 13e-6;

  /** Rod ratio at which skirts have the correlation's friction. */
  private static final double REFERENCE_ROD_RATIO = 1.7;

  /**
   * Drag density of the oily air that the counterweights turn in, kg/m³, by what is done about it.
   * A wet sump's so that shaped counterweights, half of its drag, are worth 3 to 4 hp at 7,500 rpm
   * on a 350 in³ eight; a tray's so that it saves 4 to 5 hp of a 2.4 litre four at 9,000 rpm; the
   * others' shares as usual (all common practice, no source).
   */
  private static final double WET_SUMP = 1.8;

  private static final double TRAY = 0.72 * WET_SUMP;
  private static final double SCRAPED = 0.58 * WET_SUMP;
  private static final double DRY_SUMP = 0.35 * WET_SUMP;

  /** Usual reach of counterweights over the stroke, and their length over the bore. */
  private static final double REACH = 0.85;

  private static final double LENGTH = 0.9;

  /** Chen and Flynn, SAE 650733, constants usual for gasoline engines, from memory. */
  private static final double WHOLE_FIXED = 0.4e5;

  private static final double WHOLE_SPEED = 0.09e5;
  private static final double WHOLE_SQUARE = 0.0009e5;

  /** The source's pressures are shares of it, Pa. */
  public static final double STANDARD_PRESSURE = 101_325;

  /** Of the peak pressure, that a fired engine rubs away as a mean pressure (Chen and Flynn). */
  public static final double FIRED_SHARE = 0.005;

  /** Of a compression in a warm engine. */
  private static final double POLYTROPE = 1.3;

  /**
   * Drag of counterweights with a rounded leading edge over that of square ones. A bluff body whose
   * leading edge is rounded has about half the drag (S. F. Hoerner, Fluid-Dynamic Drag, 1965,
   * chapter 3, from memory).
   */
  private static final double SHAPED = 0.5;

  private final Losses losses;
  private final double viscosity;
  private final double vacuumShare;
  private final int throwsCount;
  private final double rodRatio;
  private final double bore;
  private final double stroke;
  private final int cylinders;
  private final double mainDiameter;
  private final double rodDiameter;
  private final int mains;
  private final int valves;
  private final double lift;
  private final double ratio;
  private final ValveTrain.Follower follower;

  /** Force of the springs over that of the usual ones that the source's engines had. */
  private final double springLoad;

  /** Of the counterweights, m. */
  private final double reach;

  private final Learned learned;

  /**
   * @param c the engine, measured values in the place of specified ones where there are any
   */
  public Friction(Combination c) {
    var b = c.bottomEnd();
    bore = b.bore().si() * 1000;
    stroke = b.stroke().si() * 1000;
    cylinders = b.cylinders();
    mainDiameter = b.mainJournal().si() * 1000;
    rodDiameter = b.rodJournal().si() * 1000;
    mains = b.mains();
    valves = cylinders * (c.heads().intakeValves() + c.heads().exhaustValves());
    lift = 500 * (c.intakeLift() + c.exhaustLift());
    ratio = c.staticRatio();
    follower = c.valveTrain().follower();
    springLoad = springLoad(c);
    losses = c.losses();
    learned = c.learned();
    viscosity =
        Math.sqrt(viscosity(losses.oil().si(), losses.oilTemperature().si()) / REFERENCE_VISCOSITY);
    vacuumShare = losses.vacuum().si() / c.weather().pressure().si();
    throwsCount = b.layout() == BottomEnd.Layout.VEE ? (cylinders + 1) / 2 : cylinders;
    rodRatio = b.rodRatio();
    var weights = c.partSizes().counterweightRadius();
    reach = weights.isKnown() ? weights.si() : REACH * b.stroke().si();
  }

  /**
   * Kinematic viscosity at a temperature, m²/s: Walther's equation (ASTM D341) with the slope usual
   * for multigrade oils.
   */
  static double viscosity(double at100, double temperature) {
    double slope = 3.2;
    double known = Math.log10(Math.log10(at100 * 1e6 + 0.7));
    double w = known - slope * (Math.log10(temperature) - Math.log10(373.15));
    return (Math.pow(10, Math.pow(10, w)) - 0.7) * 1e-6;
  }

  private static double springLoad(Combination c) {
    var train = c.valveTrain();
    var usual =
        ValveTrain.usual(
            train.follower(),
            train.intakeRocker(),
            train.exhaustRocker(),
            train.intakeLash(),
            train.exhaustLash());
    double opened = MEAN_LIFT * 0.5 * (c.intakeLift() + c.exhaustLift());
    return train.springForce(opened) / usual.springForce(opened);
  }

  /**
   * @param rpm rev/min
   * @param intakeShare mean intake pressure over the standard atmosphere's
   * @param peakPressure in the cylinders, Pa
   */
  public Parts at(double rpm, double intakeShare, double peakPressure) {
    return modelled(rpm, intakeShare, peakPressure).times(learned.friction(rpm));
  }

  private Parts modelled(double rpm, double intakeShare, double peakPressure) {
    double volume = bore * bore * stroke * cylinders;
    double speed = 2 * stroke / 1000 * rpm / 60;
    if (losses.friction() == Losses.FrictionModel.WHOLE_ENGINE) {
      double whole =
          WHOLE_FIXED
              + FIRED_SHARE * peakPressure
              + WHOLE_SPEED * speed
              + WHOLE_SQUARE * speed * speed;
      return new Parts(whole, 0, 0, 0, 0, windage(rpm));
    }
    double mainLength = JOURNAL_LENGTH_SHARE * mainDiameter;
    double rodLength = JOURNAL_LENGTH_SHARE * rodDiameter;
    double crank =
        1.22e5 * mainDiameter / volume
            + viscosity * 3.03e-4 * rpm * Math.pow(mainDiameter, 3) * mainLength * mains / volume
            + 1.35e-10 * mainDiameter * mainDiameter * rpm * rpm * mains / cylinders;
    double pistons =
        viscosity
            * (294 * speed / bore * sideForce()
                + 3.03e-4 * rpm * Math.pow(rodDiameter, 3) * rodLength * cylinders / volume);
    double rings =
        losses.ringTension().si() * 4.06e4 * (1 + 1000 / rpm) / (bore * bore)
            + 6.89 * intakeShare * (0.088 * ratio + 0.182 * Math.pow(ratio, 1.33 - 0.0238 * speed))
            + 1e-3 * firing(intakeShare, peakPressure);
    return new Parts(
        crank * 1000,
        pistons * 1000,
        rings * 1000,
        valveTrain(rpm) * 1000,
        auxiliaries(rpm) * 1000,
        windage(rpm));
  }

  /** What the burned gas presses rings and skirts with beyond the compression, Pa. */
  private double firing(double intakeShare, double peakPressure) {
    double motored = intakeShare * STANDARD_PRESSURE * Math.pow(ratio, POLYTROPE);
    return FIRED_SHARE * Math.max(0, peakPressure - motored);
  }

  /**
   * Fluid friction of the skirts goes with the root of their load, the load with the rod's tilt.
   */
  private double sideForce() {
    double reference = Math.sqrt(4 * REFERENCE_ROD_RATIO * REFERENCE_ROD_RATIO - 1);
    return Math.sqrt(reference / Math.sqrt(4 * rodRatio * rodRatio - 1));
  }

  private double auxiliaries(double rpm) {
    double share =
        switch (losses.accessories()) {
          case OIL_PUMP_ONLY -> 0.4;
          case OIL_AND_WATER_PUMP -> 0.7;
          case ALL -> 1;
        };
    return share * (6.23 + 5.22e-3 * rpm - 1.79e-7 * rpm * rpm);
  }

  private double windage(double rpm) {
    double density =
        switch (losses.windage()) {
          case WET_SUMP -> WET_SUMP;
          case TRAY -> TRAY;
          case TRAY_AND_SCRAPER -> SCRAPED;
          case DRY_SUMP -> DRY_SUMP;
        };
    density *= losses.counterweights() == Losses.Counterweights.SHAPED ? SHAPED : 1;
    double length = LENGTH * bore / 1000 * throwsCount;
    double speed = rpm * Math.PI / 30;
    double power =
        0.5 * density * (1 - 0.5 * vacuumShare) * Math.pow(speed, 3) * Math.pow(reach, 4) * length;
    double displacement = Math.PI / 4 * bore * bore * stroke * cylinders * 1e-9;
    return power / (displacement * rpm / 120);
  }

  private double valveTrain(double rpm) {
    double camBearings = 244 * rpm * mains / (bore * bore * stroke * cylinders) + 4.12;
    double flat;
    double roller;
    double hydrodynamic;
    double mixed;
    switch (follower) {
      case BUCKET_OVERHEAD -> {
        flat = 200;
        roller = 0;
        hydrodynamic = 0.5;
        mixed = 10.7;
      }
      case FINGER_OVERHEAD -> {
        flat = 0;
        roller = 0.0227;
        hydrodynamic = 0.2;
        mixed = 42.8;
      }
      case FLAT_PUSHROD -> {
        flat = 400;
        roller = 0;
        hydrodynamic = 0.5;
        mixed = 32.1;
      }
      case ROLLER_PUSHROD -> {
        flat = 0;
        roller = 0.0151;
        hydrodynamic = 0.5;
        mixed = 32.1;
      }
      default -> throw new IllegalStateException();
    }
    double each = (double) valves / (stroke * cylinders);
    return camBearings
        + springLoad * flat * (1 + 1000 / rpm) * each
        + roller * rpm * each
        + hydrodynamic * Math.pow(lift, 1.5) * Math.sqrt(rpm) * each / bore
        + springLoad * mixed * (1 + 1000 / rpm) * lift * each;
  }
}
