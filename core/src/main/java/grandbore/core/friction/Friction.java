package grandbore.core.friction;

import grandbore.core.combination.Combination;
import grandbore.core.combination.ValveTrain;

/**
 * Friction mean pressure by components: K. J. Patton, R. G. Nitschke and J. B. Heywood, SAE 890836,
 * with the valve-train constants of D. Sandoval and J. B. Heywood, SAE 2003-01-0725; all from
 * memory. Lengths in millimetres and speeds in rev/min inside, as the source has them.
 */
public final class Friction {
  /** One speed's share of each component, Pa. */
  public record Parts(
      double crankshaft, double pistons, double rings, double valveTrain, double auxiliaries) {
    public double total() {
      return crankshaft + pistons + rings + valveTrain + auxiliaries;
    }
  }

  private static final double JOURNAL_LENGTH_SHARE = 0.42;

  /** Oil and water pump, without alternator or fan. */
  private static final double AUXILIARY_SHARE = 0.7;

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

  public Friction(Combination c) {
    var b = c.bottomEnd();
    bore = b.bore().si() * 1000;
    stroke = b.stroke().si() * 1000;
    cylinders = b.cylinders();
    mainDiameter = b.mainJournal().si() * 1000;
    rodDiameter = b.rodJournal().si() * 1000;
    mains =
        switch (b.layout()) {
          case INLINE -> cylinders + 1;
          case VEE -> cylinders / 2 + 1;
        };
    valves = cylinders * (c.heads().intakeValves() + c.heads().exhaustValves());
    lift = 500 * (c.intakeLift() + c.exhaustLift());
    ratio = c.staticRatio();
    follower = c.valveTrain().follower();
  }

  /**
   * @param rpm rev/min
   * @param intakeShare mean intake pressure over the atmosphere's
   */
  public Parts at(double rpm, double intakeShare) {
    double volume = bore * bore * stroke * cylinders;
    double speed = 2 * stroke / 1000 * rpm / 60;
    double mainLength = JOURNAL_LENGTH_SHARE * mainDiameter;
    double rodLength = JOURNAL_LENGTH_SHARE * rodDiameter;
    double crank =
        1.22e5 * mainDiameter / volume
            + 3.03e-4 * rpm * Math.pow(mainDiameter, 3) * mainLength * mains / volume
            + 1.35e-10 * mainDiameter * mainDiameter * rpm * rpm * mains / cylinders;
    double pistons =
        294 * speed / bore
            + 3.03e-4 * rpm * Math.pow(rodDiameter, 3) * rodLength * cylinders / volume;
    double rings =
        4.06e4 * (1 + 1000 / rpm) / (bore * bore)
            + 6.89 * intakeShare * (0.088 * ratio + 0.182 * Math.pow(ratio, 1.33 - 0.0238 * speed));
    return new Parts(
        crank * 1000,
        pistons * 1000,
        rings * 1000,
        valveTrain(rpm) * 1000,
        AUXILIARY_SHARE * (8.32 + 1.86e-3 * rpm + 7.45e-7 * rpm * rpm) * 1000);
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
        + flat * (1 + 1000 / rpm) * each
        + roller * rpm * each
        + hydrodynamic * Math.pow(lift, 1.5) * Math.sqrt(rpm) * each / bore
        + mixed * (1 + 1000 / rpm) * lift * each;
  }
}
