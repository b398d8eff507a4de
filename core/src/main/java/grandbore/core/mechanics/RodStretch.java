package grandbore.core.mechanics;

import grandbore.core.combination.Combination;
import grandbore.core.combination.PartSizes.RodMaterial;
import grandbore.core.valvetrain.PistonToValve;
import grandbore.core.valvetrain.ValveMotion;
import java.util.Arrays;

/**
 * How much nearer a piston comes at speed and hot than it was on the bench: the rod's stretch under
 * the reciprocating masses at the exchange's top centre, F × L ÷ (E × A), and what it grows by when
 * hot beyond an iron block. Moduli and expansions as in Marks' <i>Standard Handbook for Mechanical
 * Engineers</i>, from memory; the crank's bending and the bearings' clearance are left out.
 */
public final class RodStretch {
  /** How much hotter than the bench, K; an oil gallery's worth. */
  public static final double WARMER = 80;

  private static final double IRON = 11e-6;

  private RodStretch() {}

  /** Young's modulus, Pa. */
  static double modulus(RodMaterial material) {
    return switch (material) {
      case STEEL -> 206e9;
      case ALUMINIUM -> 71e9;
      case TITANIUM -> 114e9;
    };
  }

  private static double expansion(RodMaterial material) {
    return switch (material) {
      case STEEL -> 11.5e-6;
      case ALUMINIUM -> 23e-6;
      case TITANIUM -> 8.8e-6;
    };
  }

  /** Stretch at a crank speed, m; none where the rod's section is not known. */
  public static double elastic(Combination c, double speed) {
    double area = c.partSizes().rodSection().si();
    if (area == 0) {
      return 0;
    }
    var crank = c.bottomEnd().crank();
    double force = c.weights().reciprocating() * crank.curvature(0) * speed * speed;
    return force * crank.rod() / (modulus(c.partSizes().rodMaterial()) * area);
  }

  /** Growth beyond an iron block's, m; negative where the block grows more. */
  public static double thermal(Combination c) {
    return (expansion(c.partSizes().rodMaterial()) - IRON)
        * c.bottomEnd().rodLength().si()
        * WARMER;
  }

  /** Both, m. */
  public static double nearer(Combination c, double speed) {
    return elastic(c, speed) + thermal(c);
  }

  /**
   * Least clearances of piston and valve at some speeds, m, the valve moving as its train lets it
   * and the rod as long as it then is.
   */
  public static double[] clearances(Combination c, boolean intake, double... speeds) {
    var motion = intake ? ValveMotion.intake(c) : ValveMotion.exhaust(c);
    var geometry = intake ? PistonToValve.intake(c) : PistonToValve.exhaust(c);
    return Arrays.stream(speeds)
        .map(w -> geometry.closest(motion.at(w).lift(), nearer(c, w)).clearance())
        .toArray();
  }
}
