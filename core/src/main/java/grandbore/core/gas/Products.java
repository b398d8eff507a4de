package grandbore.core.gas;

import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.LUDecomposition;
import org.hipparchus.linear.MatrixUtils;

/**
 * Burned gas in chemical equilibrium at one temperature and pressure, by element potentials.
 *
 * <p>Method: minimum Gibbs energy with one multiplier an element (W. C. Reynolds, STANJAN, Stanford
 * 1986; S. Gordon and B. J. McBride, NASA RP-1311, 1994). At low temperature the same equations
 * give complete combustion, and on the rich side the water-gas balance.
 */
final class Products {
  private static final Species[] SPECIES = Species.values();
  private static final int ELEMENTS = 5;
  private static final double TRACE = -200;

  /** Moles of each species in one kilogram. */
  private final double[] moles = new double[SPECIES.length];

  private final double temperature;

  /**
   * @param elements moles of C, H, O, N, Ar in one kilogram of mixture
   */
  Products(double[] elements, double temperature, double pressure) {
    this.temperature = temperature;
    solve(elements, pressure);
  }

  /**
   * Newton's method on the logarithms of the mole numbers, in the reduced form of RP-1311: unknowns
   * are the element multipliers and the logarithm of the total. Elements that are absent drop out.
   */
  private void solve(double[] b, double pressure) {
    int n = SPECIES.length;
    var logMoles = new double[n];
    double total = 36;
    var gibbs = new double[n];
    for (int j = 0; j < n; j++) {
      gibbs[j] = SPECIES[j].gibbsOverRT(temperature) + Math.log(pressure / 1e5);
      logMoles[j] = Math.log(total / n);
    }
    double logTotal = Math.log(total);
    var mu = new double[n];
    for (int iteration = 0; iteration < 400; iteration++) {
      var matrix = new double[ELEMENTS + 1][ELEMENTS + 1];
      var right = new double[ELEMENTS + 1];
      double sum = 0;
      for (int j = 0; j < n; j++) {
        moles[j] = Math.exp(logMoles[j]);
        mu[j] = gibbs[j] + logMoles[j] - logTotal;
        sum += moles[j];
        for (int i = 0; i < ELEMENTS; i++) {
          double a = SPECIES[j].atoms(i) * moles[j];
          if (a == 0) {
            continue;
          }
          for (int k = 0; k < ELEMENTS; k++) {
            matrix[i][k] += a * SPECIES[j].atoms(k);
          }
          matrix[i][ELEMENTS] += a;
          matrix[ELEMENTS][i] += a;
          right[i] += a * mu[j] - a;
          right[ELEMENTS] += 0;
        }
        right[ELEMENTS] += moles[j] * mu[j];
      }
      total = Math.exp(logTotal);
      matrix[ELEMENTS][ELEMENTS] = sum - total;
      right[ELEMENTS] += total - sum;
      for (int i = 0; i < ELEMENTS; i++) {
        right[i] += b[i];
        matrix[i][i] += 1e-14;
      }
      var step =
          new LUDecomposition(MatrixUtils.createRealMatrix(matrix), 1e-30)
              .getSolver()
              .solve(new ArrayRealVector(right));
      double dTotal = step.getEntry(ELEMENTS);
      var change = new double[n];
      double largest = Math.abs(dTotal) * 5;
      for (int j = 0; j < n; j++) {
        double d = dTotal - mu[j];
        for (int i = 0; i < ELEMENTS; i++) {
          d += SPECIES[j].atoms(i) * step.getEntry(i);
        }
        change[j] = d;
        if (logMoles[j] - logTotal > -18 || d < 0) {
          largest = Math.max(largest, logMoles[j] - logTotal > -18 ? Math.abs(d) : 0);
        }
      }
      double damping = Math.min(1, 2 / Math.max(largest, 1e-12));
      double worst = 0;
      for (int j = 0; j < n; j++) {
        worst = Math.max(worst, Math.abs(change[j]) * moles[j] / sum);
        logMoles[j] = Math.max(TRACE, logMoles[j] + Math.clamp(damping * change[j], -20, 20));
      }
      logTotal += damping * dTotal;
      if (worst < 1e-11 && Math.abs(dTotal) < 1e-11) {
        return;
      }
    }
    throw new IllegalStateException("No chemical equilibrium found at " + temperature + " K");
  }

  /** Moles in one kilogram. */
  double totalMoles() {
    double sum = 0;
    for (double m : moles) {
      sum += m;
    }
    return sum;
  }

  /** Moles of one species in one kilogram. */
  double moles(Species species) {
    return moles[species.ordinal()];
  }

  /** Internal energy of one kilogram, J, with the elements at 298.15 K as the datum. */
  double internalEnergy() {
    double sum = 0;
    for (var s : SPECIES) {
      sum += moles[s.ordinal()] * (s.enthalpyOverR(temperature) - temperature);
    }
    return sum * Species.MOLAR_R;
  }
}
