package grandbore.core.valvetrain;

/**
 * A valve's mass between its train, its spring, its seat and the gas, integrated as the crank
 * turns:
 *
 * <pre>
 * m dv/dt = push − F_seat − k_spring x − F_gas − bind,   dx/dt = v
 * push = max(0, K (wanted − x) + D d(wanted − x)/dt) while pressed, else nothing: it flies
 * bind = K (x − x_bind) where the spring's coils touch
 * </pre>
 *
 * <p>semi-implicit Euler in steps of a quarter degree and shorter than the train's own frequency
 * asks for; at the seat it bounces with a share of its speed (one degree of freedom, as in S. S.
 * Rao, <i>Mechanical Vibrations</i>).
 */
public final class FlyingValve {
  private static final double DAMPING = 0.06;
  private static final double RESTITUTION = 0.3;

  /** Slower than that it does not leave the seat again, m/s. */
  private static final double STILL = 0.02;

  /** Steps in a turn of the train's own frequency over 2 π. */
  private static final double FINE = 0.25;

  private static final int MOST_PARTS = 64;

  private final ValveMotion motion;
  private final double mass;
  private final double stiffness;
  private final double damper;
  private final double seatForce;
  private final double springRate;
  private final double bind;
  private double x;
  private double v;
  private double pressed;
  private double met;

  FlyingValve(ValveMotion motion) {
    this.motion = motion;
    var train = motion.train();
    mass = train.mass();
    stiffness = train.stiffness();
    damper = 2 * DAMPING * Math.sqrt(stiffness * mass);
    seatForce = train.seatForce();
    springRate = train.springRate();
    bind = motion.still().peak() + train.bindClearance();
  }

  /**
   * Moves it on; returns its lift, m.
   *
   * @param phase crank angle after the firing top centre, rad
   * @param angle that the crank turns by, rad
   * @param speed of the crank, rad/s
   * @param gas force that presses it onto its seat, N
   */
  public double turn(double phase, double angle, double speed, double gas) {
    double from = motion.wanted(phase);
    double to = motion.wanted(phase + angle);
    met = 0;
    if (x == 0 && v == 0 && from <= 0 && to <= 0 && gas >= -seatForce) {
      pressed = Math.max(from, to);
      return 0;
    }
    double dt = angle / speed;
    double rise = (to - from) / dt;
    int parts = Math.clamp((int) Math.ceil(dt * Math.sqrt(stiffness / mass) / FINE), 1, MOST_PARTS);
    double h = dt / parts;
    for (int part = 0; part < parts; part++) {
      step(from + rise * (part + 0.5) * h, rise, h, gas);
    }
    return x;
  }

  private void step(double wanted, double rise, double h, double gas) {
    pressed = wanted - x;
    double push = Math.max(0, stiffness * pressed + (pressed > 0 ? damper * (rise - v) : 0));
    double bound = x > bind ? stiffness * (x - bind) + damper * v : 0;
    double force = push - seatForce - springRate * x - gas - Math.max(0, bound);
    if (x <= 0 && v <= 0 && force <= 0) {
      x = 0;
      v = 0;
      return;
    }
    v += h * force / mass;
    x += h * v;
    if (x < 0) {
      met = Math.max(met, -v);
      x = 0;
      v = -RESTITUTION * v;
      v = v < STILL ? 0 : v;
    }
  }

  /** Lift, m. */
  public double lift() {
    return x;
  }

  /** By how much the train is pressed together, m; less than nothing where the valve flies. */
  double pressed() {
    return pressed;
  }

  /** Fastest that it met its seat in the last turn, m/s; zero where it did not. */
  double met() {
    return met;
  }

  /** Takes over where another of the same kind is. */
  public void startFrom(FlyingValve o) {
    x = o.x;
    v = o.v;
    pressed = o.pressed;
  }
}
