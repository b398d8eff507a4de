package grandbore.core.prediction;

import grandbore.core.geometry.SliderCrank;

/** Most that rod and wall bear in a cycle: gas force and inertia of the reciprocating mass. */
final class RodLoads {
  /** The rod's motion at every crank degree, made once for all cylinders. */
  static final class Motion {
    private static final int ROWS = 360;
    private static final double PER_RADIAN = ROWS / (2 * Math.PI);

    private final double[] curvature = new double[ROWS];
    private final double[] tangent = new double[ROWS];
    private final double[] cosine = new double[ROWS];

    Motion(SliderCrank crank) {
      for (int i = 0; i < ROWS; i++) {
        double angle = i / PER_RADIAN;
        curvature[i] = crank.curvature(angle);
        tangent[i] = Math.tan(crank.tilt(angle));
        cosine[i] = Math.cos(crank.tilt(angle));
      }
    }
  }

  private final Motion motion;
  private final double boreArea;
  private final double mass;
  private final double crankcase;
  private double tension;
  private double compression;
  private double side;
  private double lastTension;
  private double lastCompression;
  private double lastSide;

  RodLoads(Motion motion, double boreArea, double mass, double crankcase) {
    this.motion = motion;
    this.boreArea = boreArea;
    this.mass = mass;
    this.crankcase = crankcase;
  }

  /** A cycle is over. */
  void end() {
    lastTension = tension;
    lastCompression = compression;
    lastSide = side;
    tension = 0;
    compression = 0;
    side = 0;
  }

  /** Adds one moment: phase, pressure and crank speed, rad/s. */
  void feel(double phase, double pressure, double speed) {
    int row = (int) (phase * Motion.PER_RADIAN + 0.5) % Motion.ROWS;
    // Depth grows downward: the piston pushes its pin down with gas less inertia.
    double down = (pressure - crankcase) * boreArea - mass * motion.curvature[row] * speed * speed;
    double along = down / motion.cosine[row];
    compression = Math.max(compression, along);
    tension = Math.max(tension, -along);
    side = Math.max(side, Math.abs(down * motion.tangent[row]));
  }

  /** N. */
  double tension() {
    return lastTension;
  }

  /** N. */
  double compression() {
    return lastCompression;
  }

  /** N. */
  double side() {
    return lastSide;
  }
}
