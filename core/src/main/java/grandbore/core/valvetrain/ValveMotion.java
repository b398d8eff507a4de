package grandbore.core.valvetrain;

import grandbore.core.combination.Combination;
import grandbore.core.combination.Given;
import grandbore.core.combination.ValveTrain;

/**
 * One valve behind its train: what the lobe asks for, and what the valve does at a speed.
 *
 * <p>The train is a spring of the stiffness measured at the valve, the valve a mass on its own
 * spring: while the train is pressed, it pushes the valve; where it would have to pull, the valve
 * flies free; at the seat the valve bounces (one degree of freedom, as in S. S. Rao, <i>Mechanical
 * Vibrations</i>, and the textbooks on valve trains). The spring's force on the seat has to be
 * overcome before the valve leaves it, so a soft train lifts later and less.
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
      double stiffness) {}

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

  private static final double DAMPING = 0.06;
  private static final double RESTITUTION = 0.3;
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
    return of(t, Lobe.intake(c), centreline, t.intakeRocker(), t.intakeLash(), t.intakeMass());
  }

  /** The exhaust valve of a combination. */
  public static ValveMotion exhaust(Combination c) {
    var t = c.valveTrain();
    double centreline = 2 * Math.PI - c.cam().exhaustCentreline();
    return of(t, Lobe.exhaust(c), centreline, t.exhaustRocker(), t.exhaustLash(), t.exhaustMass());
  }

  private static ValveMotion of(
      ValveTrain t, Lobe lobe, double centreline, Given rocker, Given lash, Given mass) {
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
            t.stiffness().si()));
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

  /**
   * The lift at a crank speed, rad/s. Steps of a quarter degree, halved while the train's own
   * frequency asks for it.
   */
  public Motion at(double speed) {
    double m = train.mass();
    double k = train.stiffness();
    double damper = 2 * DAMPING * Math.sqrt(k * m);
    double dt = STEP / speed;
    int parts = Math.clamp((int) Math.ceil(dt * Math.sqrt(k / m) / 0.25), 1, 64);
    double h = dt / parts;
    var lifts = new double[ROWS + 1];
    double x = 0;
    double v = 0;
    double separation = 0;
    double bounce = 0;
    double seating = 0;
    boolean seatedAgain = false;
    int nose = (int) Math.round(train.centreline() / STEP) % ROWS;
    // One whole cycle from the base circle opposite the nose and back to it.
    int start = Math.floorMod(nose - ROWS / 2, ROWS);
    for (int n = 0; n < ROWS; n++) {
      int i = (start + n) % ROWS;
      double from = wanted[i] - train.lash();
      double rise = (wanted[i + 1] - wanted[i]) / dt;
      boolean past = n > ROWS / 2;
      if (x == 0 && v == 0 && from <= 0 && wanted[i + 1] <= train.lash()) {
        lifts[(i + 1) % ROWS] = 0;
        continue;
      }
      for (int part = 0; part < parts; part++) {
        double pressed = from + rise * (part + 0.5) * h - x;
        double push = Math.max(0, k * pressed + (pressed > 0 ? damper * (rise - v) : 0));
        double force = push - train.seatForce() - train.springRate() * x;
        if (x <= 0 && v <= 0 && force <= 0) {
          x = 0;
          v = 0;
          continue;
        }
        v += h * force / m;
        x += h * v;
        if (x < 0) {
          seating = past ? Math.max(seating, -v) : seating;
          x = 0;
          v = -RESTITUTION * v;
          v = v < 0.02 ? 0 : v;
          seatedAgain |= past;
        }
        if (x > 0 && !seatedAgain) {
          separation = Math.max(separation, -pressed);
        }
        if (seatedAgain) {
          bounce = Math.max(bounce, x);
        }
      }
      lifts[(i + 1) % ROWS] = x;
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
