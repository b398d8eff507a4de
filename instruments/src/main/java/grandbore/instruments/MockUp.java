package grandbore.instruments;

import grandbore.core.combination.Combination;
import grandbore.core.valvetrain.Lobe;

/**
 * The engine on the stand as it really is: its crank where it was turned to, its cam where it was
 * really put, the play in its drive, its wheel's pointer, a positive stop where one is fitted.
 */
public final class MockUp {
  private static final double CYCLE = 4 * Math.PI;

  private final Combination c;
  private final Lobe intakeLobe;
  private final Lobe exhaustLobe;
  private double crank;
  private double camAt;
  private double camError;
  private double slack;
  private double pointer;
  private double stop = Double.NaN;

  public MockUp(Combination c) {
    this.c = c;
    intakeLobe = Lobe.intake(c);
    exhaustLobe = Lobe.exhaust(c);
  }

  public Combination combination() {
    return c;
  }

  /** True crank angle after the firing top centre of the first cylinder, rad. */
  public double crank() {
    return crank;
  }

  /** Turns the crank by some angle, rad; the cam follows once the drive's play is taken up. */
  public void turn(double by) {
    double to = crank + by;
    if (!Double.isNaN(stop)) {
      to = stopped(to);
    }
    crank = to;
    double half = 0.5 * slack;
    camAt = Math.clamp(camAt, crank - half, crank + half);
  }

  /** The stop holds the piston below top by its depth: the crank can't pass from side to side. */
  private double stopped(double to) {
    double turn = Math.PI * 2;
    double top = turn * Math.rint(crank / turn);
    double reach = reach();
    return crank >= top
        ? Math.clamp(to, top + reach, top + turn - reach)
        : Math.clamp(to, top - turn + reach, top - reach);
  }

  /** Crank angle off top at which the piston meets the stop, rad. */
  private double reach() {
    var motion = c.bottomEnd().crank();
    double low = 0;
    double high = Math.PI;
    while (high - low > 1e-9) {
      double mid = 0.5 * (low + high);
      if (motion.depth(mid) < stop) {
        low = mid;
      } else {
        high = mid;
      }
    }
    return high;
  }

  /** Fits a positive stop this far below top, m; {@link Double#NaN} takes it out. */
  public void fitStop(double depth) {
    stop = depth;
    if (!Double.isNaN(stop)) {
      double turn = Math.PI * 2;
      double top = turn * Math.rint(crank / turn);
      crank = top + Math.max(reach(), Math.abs(crank - top)) * (crank < top ? -1 : 1);
    }
  }

  /** How far the cam really is from the card, crank rad; positive is retarded. */
  public void camError(double late) {
    camError = late;
  }

  /** Play of the cam drive, crank rad. */
  public void slack(double play) {
    slack = play;
    camAt = Math.clamp(camAt, crank - 0.5 * play, crank + 0.5 * play);
  }

  /** How far the wheel's pointer stands off, rad. */
  public void pointer(double off) {
    pointer = off;
  }

  /** Turns the wheel on the crank so that it reads something here. */
  public void setWheel(double reads) {
    pointer = reads - crank;
  }

  /** What the wheel shows, rad, within one turn either way of top. */
  public double wheel() {
    double shown = crank + pointer;
    return shown - 2 * Math.PI * Math.rint(shown / (2 * Math.PI));
  }

  /** The first piston below the deck, m, rocked by some length at the side it is read on. */
  public double piston(double rock) {
    return c.bottomEnd().deckClearance() + c.bottomEnd().crank().depth(crank) + rock;
  }

  /** Tappet lift of the first cylinder, m. */
  public double lift(boolean intake) {
    var lobe = intake ? intakeLobe : exhaustLobe;
    double centre =
        intake
            ? 2 * Math.PI + c.cam().intakeCentreline().si()
            : 2 * Math.PI - c.cam().exhaustCentreline();
    double from = camAt - camError - centre;
    return lobe.lift(from - CYCLE * Math.rint(from / CYCLE));
  }
}
