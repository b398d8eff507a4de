package grandbore.core.combustion;

/**
 * Heat transfer from the gas to the walls of the cylinder: G. Woschni, SAE 670931, with the
 * constants given by Heywood (1988), equation 12.19, from memory.
 */
public final class Woschni implements HeatTransfer {
  private static final double SCALE = 3.26;
  private static final double GAS_EXCHANGE = 6.18;
  private static final double CLOSED = 2.28;
  private static final double COMBUSTION = 3.24e-3;

  private final double boreTerm;

  /**
   * @param bore m
   */
  public Woschni(double bore) {
    boreTerm = SCALE * Math.pow(bore, -0.2);
  }

  @Override
  public double coefficient(
      double pressure,
      double temperature,
      double volume,
      double meanPistonSpeed,
      boolean open,
      double combustion) {
    double speed =
        (open ? GAS_EXCHANGE : CLOSED) * meanPistonSpeed + COMBUSTION * Math.max(0, combustion);
    double product = pressure / 1000 * speed;
    return boreTerm * Math.exp(0.8 * Math.log(product) - 0.55 * Math.log(temperature));
  }
}
