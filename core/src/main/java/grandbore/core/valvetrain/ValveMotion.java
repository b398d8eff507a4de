package grandbore.core.valvetrain;

import grandbore.core.combination.Combination;
import grandbore.core.combination.Given;
import grandbore.core.combination.ValveHardware;

/**
 * One valve behind its train: what the lobe asks for, and what the valve does at a speed.
 *
 * <p>The train is a spring of the stiffness measured at the valve, the valve a mass on its own
 * spring ({@link FlyingValve}). The spring's force on the seat has to be overcome before the valve
 * leaves it, so a soft train lifts later and less.
 */
public final class ValveMotion {
  /**
   * @param lobe tappet lift
   * @param centreline of the lobe, rad after the firing top centre
   * @param rocker ratio over the nose
   * @param offSeat ratio off the seat over that over the nose
   * @param lash at the valve, m
   * @param mass moving, brought to the valve, kg
   * @param seatForce of the spring on the seat, N
   * @param springRate N/m
   * @param stiffness of the train at the valve, N/m
   * @param bindClearance by which it may rise beyond its full lift until the spring is bound, m
   */
  public record Train(
      Lobe lobe,
      double centreline,
      double rocker,
      double offSeat,
      double lash,
      double mass,
      double seatForce,
      double springRate,
      double stiffness,
      double bindClearance) {}

  /**
   * What a valve does at one speed.
   *
   * @param lift of the valve
   * @param separation most that the train stands clear of the valve between opening and closing, m
   * @param bounce highest lift after the valve first met its seat, m
   * @param seating speed at which it meets the seat, m/s
   */
  public record Motion(ValveLift lift, double separation, double bounce, double seating) {
    /** Whether the valve follows its lobe. */
    public boolean follows() {
      return separation < MOST_SEPARATION && bounce < MOST_BOUNCE;
    }
  }

  /**
   * Beyond these, m, the valve counts as no longer following; a few tenths of a millimetre are seen
   * on spin rigs well below the speed at which power falls (common practice, no source).
   */
  private static final double MOST_SEPARATION = 0.4e-3;

  private static final double MOST_BOUNCE = 0.75e-3;

  /** From full lift to where the spring's coils touch, usual (common practice, no source), m. */
  private static final double BIND_CLEARANCE = 1.5e-3;

  private static final int ROWS = ValveLift.ROWS;
  private static final double STEP = ValveLift.CYCLE / ROWS;

  private final Train train;

  /** Lift the lobe asks for at the valve, before lash. */
  private final double[] wanted = new double[ROWS + 1];

  private final ValveLift still;

  public ValveMotion(Train train) {
    this.train = train;
    var lifts = new double[ROWS + 1];
    for (int i = 0; i <= ROWS; i++) {
      double from = STEP * i - train.centreline();
      from -= ValveLift.CYCLE * Math.rint(from / ValveLift.CYCLE);
      wanted[i] = valveLift(train, train.lobe().lift(from));
      lifts[i] = Math.max(0, wanted[i] - train.lash());
    }
    still = new ValveLift(lifts);
  }

  /** The intake valve of a combination. */
  public static ValveMotion intake(Combination c) {
    var t = c.valveTrain();
    double centreline = 2 * Math.PI + c.cam().intakeCentreline().si();
    double lift = c.intakeLift();
    return of(
        c, Lobe.intake(c), centreline, lift, t.intakeRocker(), t.intakeLash(), t.intakeMass());
  }

  /** The exhaust valve of a combination. */
  public static ValveMotion exhaust(Combination c) {
    var t = c.valveTrain();
    double centreline = 2 * Math.PI - c.cam().exhaustCentreline();
    double lift = c.exhaustLift();
    return of(
        c, Lobe.exhaust(c), centreline, lift, t.exhaustRocker(), t.exhaustLash(), t.exhaustMass());
  }

  private static ValveMotion of(
      Combination c,
      Lobe lobe,
      double centreline,
      double lift,
      Given rocker,
      Given lash,
      Given mass) {
    var t = c.valveTrain();
    return new ValveMotion(
        new Train(
            lobe,
            centreline,
            rocker.si(),
            t.rockerOffSeat().si(),
            lash.si(),
            mass.si(),
            t.springSeat().si(),
            t.springRate().si(),
            t.stiffness().si(),
            bindClearance(c.valveHardware(), lift)));
  }

  private static double bindClearance(ValveHardware h, double lift) {
    return h.installedHeight().isKnown() && h.coilBind().isKnown()
        ? Math.max(0, h.installedHeight().si() - h.coilBind().si() - lift)
        : BIND_CLEARANCE;
  }

  public Train train() {
    return train;
  }

  /** Crank angle after the firing top centre at which the tappet first moves, rad. */
  public double opens() {
    return train.centreline() - train.lobe().opening();
  }

  /** Lift at the valve before lash: the ratio grows from off the seat to over the nose. */
  private static double valveLift(Train t, double lobe) {
    double share = Math.min(1, lobe / t.lobe().peak());
    return t.rocker() * lobe * (t.offSeat() + 0.5 * (1 - t.offSeat()) * share);
  }

  /** The lift of a train without mass or give: what a degree wheel finds. */
  public ValveLift still() {
    return still;
  }

  /** A valve on its seat, to be moved on by the crank and the gas. */
  public FlyingValve flying() {
    return new FlyingValve(this);
  }

  /** What the lobe asks for at a phase, lash taken up, m; less than nothing while there is some. */
  double wanted(double phase) {
    double at = phase / STEP;
    double floor = Math.floor(at);
    int i = Math.floorMod((int) floor, ROWS);
    return wanted[i] + (at - floor) * (wanted[i + 1] - wanted[i]) - train.lash();
  }

  /** The lift at a crank speed, rad/s, without gas: from the seat, opposite the nose, round. */
  public Motion at(double speed) {
    var valve = flying();
    var lifts = new double[ROWS + 1];
    double separation = 0;
    double bounce = 0;
    double seating = 0;
    boolean seatedAgain = false;
    int nose = (int) Math.round(train.centreline() / STEP) % ROWS;
    int start = Math.floorMod(nose - ROWS / 2, ROWS);
    for (int n = 0; n < ROWS; n++) {
      int i = (start + n) % ROWS;
      double x = valve.turn(STEP * i, STEP, speed, 0);
      lifts[(i + 1) % ROWS] = x;
      if (n > ROWS / 2 && valve.met() > 0) {
        seating = Math.max(seating, valve.met());
        seatedAgain = true;
      }
      if (x > 0 && !seatedAgain) {
        separation = Math.max(separation, -valve.pressed());
      }
      if (seatedAgain) {
        bounce = Math.max(bounce, x);
      }
    }
    lifts[ROWS] = lifts[0];
    return new Motion(new ValveLift(lifts), separation, bounce, seating);
  }

  /**
   * The lowest crank speed, rad/s, at which the valve no longer follows, or the end of the search
   * where it follows all the way.
   */
  public double floatSpeed(double from, double to) {
    double step = 26.18;
    for (double w = from; w < to; w += step) {
      if (!at(w).follows()) {
        double low = w - step;
        double high = w;
        while (high - low > 1) {
          double mid = 0.5 * (low + high);
          if (at(mid).follows()) {
            low = mid;
          } else {
            high = mid;
          }
        }
        return high;
      }
    }
    return to;
  }
}
