package grandbore.core.mechanics;

import grandbore.core.combination.BottomEnd;
import grandbore.core.combination.Combination;
import grandbore.core.combination.Weights.BalanceShafts;

/**
 * Shaking forces and couples of the reciprocating masses and of the counterweights that answer
 * them. Each piston is taken to move by the first two terms of its series in the crank's angle:
 * once and twice a turn (C. F. Taylor, The Internal-Combustion Engine in Theory and Practice,
 * volume 2, chapter 8, from memory). Rotating masses are taken to be balanced in every throw.
 */
public final class Balance {
  private static final int ROWS = 720;

  private final double[] tilt;
  private final double[] top;
  private final double[] along;
  private final double mass;
  private final double answered;
  private final double throwRadius;
  private final double lambda;
  private final boolean secondaryShafts;

  /** Force across and along the engine's upright, N, and couple about its middle, N m. */
  public record Shake(double forceX, double forceY, double coupleX, double coupleY) {
    Shake plus(Shake o) {
      return new Shake(
          forceX + o.forceX, forceY + o.forceY, coupleX + o.coupleX, coupleY + o.coupleY);
    }

    public double force() {
      return Math.hypot(forceX, forceY);
    }

    public double couple() {
      return Math.hypot(coupleX, coupleY);
    }
  }

  /** The most in a turn: N and N m. */
  public record Most(
      double primaryForce, double secondaryForce, double primaryCouple, double secondaryCouple) {}

  public Balance(Combination c) {
    var b = c.bottomEnd();
    var w = c.weights();
    mass = w.reciprocating();
    answered = w.balanceFactor().si() * mass;
    throwRadius = b.stroke().si() / 2;
    lambda = throwRadius / b.rodLength().si();
    secondaryShafts = w.shafts() == BalanceShafts.SECONDARY_PAIR;
    int n = b.cylinders();
    top = new double[n];
    along = new double[n];
    tilt = new double[n];
    for (int place = 0; place < n; place++) {
      top[b.firingOrder().get(place) - 1] = b.firesAt(place) % (2 * Math.PI);
    }
    int perBank = n / b.banks();
    double spacing = c.partSizes().boreSpacing().si();
    double offset = c.partSizes().bankOffset().si();
    double half = 0.5 * c.partSizes().bankAngle().si();
    int sense = sense(b, top, 2 * half);
    for (int i = 0; i < n; i++) {
      int bank = b.bank(i + 1);
      int row = b.row(i + 1);
      double shift = b.banks() < 2 ? 0 : (bank - 0.5) * offset;
      along[i] = (row - 0.5 * (perBank - 1)) * spacing + shift;
      tilt[i] = b.banks() < 2 ? 0 : (bank == 0 ? -half : half) * sense;
    }
  }

  /**
   * Which bank the crank passes first: the way round in which more neighbours share a throw, since
   * a firing order alone does not say it.
   */
  private static int sense(BottomEnd b, double[] top, double angle) {
    if (b.banks() < 2) {
      return 1;
    }
    double[] apart = new double[2];
    for (int s = 0; s < 2; s++) {
      double banks = s == 0 ? angle : -angle;
      for (int i = 0; i < top.length; i++) {
        for (int k = 0; k < top.length; k++) {
          if (b.bank(i + 1) == 0 && b.bank(k + 1) == 1 && b.row(i + 1) == b.row(k + 1)) {
            double d = top[k] - top[i] - banks;
            apart[s] += 1 - Math.cos(d);
          }
        }
      }
    }
    return apart[0] <= apart[1] + 1e-9 ? 1 : -1;
  }

  /** Place of a cylinder along the crank from its middle, m, toward the back. */
  public double place(int cylinder) {
    return along[cylinder - 1];
  }

  /**
   * Where a cylinder's throw stands, rad from upright, at a crank angle after cylinder one's top.
   */
  public double throwAt(int cylinder, double angle) {
    return tilt[cylinder - 1] + angle - top[cylinder - 1];
  }

  /** How far a cylinder leans from upright, rad. */
  public double lean(int cylinder) {
    return tilt[cylinder - 1];
  }

  /** Once a turn, at a crank angle after cylinder one's top centre and a crank speed, rad/s. */
  public Shake primary(double angle, double speed) {
    double unit = throwRadius * speed * speed;
    var sum = new Shake(0, 0, 0, 0);
    for (int i = 0; i < top.length; i++) {
      double a = angle - top[i];
      double piston = mass * unit * Math.cos(a);
      double x = piston * Math.sin(tilt[i]) - answered * unit * Math.sin(tilt[i] + a);
      double y = piston * Math.cos(tilt[i]) - answered * unit * Math.cos(tilt[i] + a);
      sum = sum.plus(new Shake(x, y, along[i] * x, along[i] * y));
    }
    return sum;
  }

  /** Twice a turn, with the shafts that are fitted. */
  public Shake secondary(double angle, double speed) {
    var sum = bareSecondary(angle, speed);
    return secondaryShafts ? new Shake(sum.forceX, 0, sum.coupleX, sum.coupleY) : sum;
  }

  private Shake bareSecondary(double angle, double speed) {
    double unit = throwRadius * speed * speed;
    var sum = new Shake(0, 0, 0, 0);
    for (int i = 0; i < top.length; i++) {
      double piston = mass * unit * lambda * Math.cos(2 * (angle - top[i]));
      double x = piston * Math.sin(tilt[i]);
      double y = piston * Math.cos(tilt[i]);
      sum = sum.plus(new Shake(x, y, along[i] * x, along[i] * y));
    }
    return sum;
  }

  /** The most in one turn at a crank speed, rad/s. */
  public Most most(double speed) {
    double pf = 0;
    double sf = 0;
    double pc = 0;
    double sc = 0;
    for (int k = 0; k < ROWS; k++) {
      double angle = 2 * Math.PI * k / ROWS;
      var p = primary(angle, speed);
      var s = secondary(angle, speed);
      pf = Math.max(pf, p.force());
      sf = Math.max(sf, s.force());
      pc = Math.max(pc, p.couple());
      sc = Math.max(sc, s.couple());
    }
    return new Most(pf, sf, pc, sc);
  }

  /** What the secondary force would be without the shafts, N. */
  public double secondaryWithoutShafts(double speed) {
    double most = 0;
    for (int k = 0; k < ROWS; k++) {
      most = Math.max(most, bareSecondary(2 * Math.PI * k / ROWS, speed).force());
    }
    return most;
  }

  /** Rods on one throw. */
  public static int rodsOnThrow(Combination c) {
    return c.bottomEnd().layout() == BottomEnd.Layout.VEE ? 2 : 1;
  }

  /** Mass to hang on one throw while the crank is balanced, kg. */
  public static double bobweight(Combination c) {
    var w = c.weights();
    int rods = rodsOnThrow(c);
    return rods * w.rotating() + w.oil().si() + w.balanceFactor().si() * rods * w.reciprocating();
  }
}
