package grandbore.core.combustion;

import org.hipparchus.distribution.continuous.NormalDistribution;

/**
 * How much of what could burn does. Some fuel hides in crevices and films; and a mixture that is
 * not the same everywhere leaves fuel in one place and oxygen in another: with φ spread normally
 * about its mean by σ, the short one of both is left over where the other runs out,
 *
 * <pre>
 * left = σ (n(z) − z N(−z)),   z = |1 − φ| / σ
 * </pre>
 *
 * <p>n and N the normal density and distribution. σ so that 0.7 % of oxygen stands in the dry
 * exhaust of a stoichiometric mixture (Heywood 1988, chapter 4.9, from memory): a thirtieth of the
 * oxygen taken in.
 */
final class Completeness {
  /** Of the fuel, hidden from the flame (Heywood, chapter 11.4, from memory). */
  private static final double HIDDEN = 0.028;

  private static final double SPREAD = 0.085;

  private static final NormalDistribution NORMAL = new NormalDistribution();

  private Completeness() {}

  /** Share that burns in the end. */
  static double at(double lambda) {
    double z = Math.abs(1 - 1 / lambda) / SPREAD;
    double left = SPREAD * (NORMAL.density(z) - z * NORMAL.cumulativeProbability(-z));
    return 1 - HIDDEN - left;
  }
}
