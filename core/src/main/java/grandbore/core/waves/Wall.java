package grandbore.core.waves;

/**
 * A wall that gas heats, and what it gives its heat to. The metal is as hot as what it takes from
 * the gas on the mean of a cycle and what it gives away outside, by convection or to a coolant and
 * by radiation, are the same:
 *
 * <pre>
 *   ⟨h T_gas⟩ − ⟨h⟩ T = U (T − T_out) + ε σ (T⁴ − T_out⁴)
 * </pre>
 *
 * @param temperature at first, K; kept where nothing is given away
 * @param outside temperature of what it gives its heat to, K
 * @param conductance U for each area of the inner wall, W/(m² K); 0 for a wall that is kept
 * @param emissivity ε for each area of the inner wall
 */
public record Wall(double temperature, double outside, double conductance, double emissivity) {
  private static final double STEFAN_BOLTZMANN = 5.670374e-8;

  /** A wall kept at a temperature, K. */
  public static Wall kept(double temperature) {
    return new Wall(temperature, temperature, 0, 0);
  }

  /** Conductance to the outside, radiation with it, of a wall as hot as that, W/(m² K). */
  double outward(double hot) {
    return conductance
        + emissivity * STEFAN_BOLTZMANN * (hot * hot + outside * outside) * (hot + outside);
  }

  /** So many times as far from its outside as it is, K; where it is kept, as it is. */
  public double moved(double hot, double times) {
    return outward(hot) > 0 ? outside + times * (hot - outside) : hot;
  }

  /**
   * How hot it is, K.
   *
   * @param gasSide what the gas passed to it for each kelvin
   * @param timesGas the same times the gas's temperature, K
   * @param weight that one W/(m² K) has in the first
   * @param hot as it was, K
   */
  public double balanced(double gasSide, double timesGas, double weight, double hot) {
    double away = weight * outward(hot);
    return away > 0 && gasSide > 0 ? (timesGas + away * outside) / (gasSide + away) : hot;
  }
}
