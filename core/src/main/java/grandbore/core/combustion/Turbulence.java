package grandbore.core.combustion;

/**
 * What stirs the charge: the energy of its mean motion K and of its turbulence k, J, fed by the
 * jets through the valves,
 *
 * <pre>
 * dK/dt = ½ ṁ v² − P − K ṁ_out/m
 * dk/dt = P − m ε − k ṁ_out/m + ⅔ k (dρ/dt)/ρ
 * P = 0.3307 (K/L) (k/m)^½,   ε = (⅔ k/m)^1.5 / ℓ,   ℓ = 0.22 L,   L = V/A_bore, at most half the bore
 * </pre>
 *
 * <p>The cascade and its constant: S. G. Poulos and J. B. Heywood (SAE 830334). The eddies that
 * decay are a fifth of the chamber's height (Heywood 1988, chapter 8.2). The last term is rapid
 * distortion while the charge is closed in (chapter 14.4). From memory.
 */
public final class Turbulence {
  private static final double CASCADE = 0.3307;

  /** Length of the eddies that decay over the chamber's height. */
  static final double EDDY = 0.22;

  /** A first stir for gas that has none, m²/s². */
  private static final double FIRST = 1;

  private double mean;
  private double turbulent;
  private double fed;

  /** Takes over another's state. */
  public void startFrom(Turbulence o) {
    mean = o.mean;
    turbulent = o.turbulent;
    fed = o.fed;
  }

  /**
   * Takes in a jet.
   *
   * @param mass kg
   * @param speed m/s
   */
  public void feed(double mass, double speed) {
    fed += 0.5 * mass * speed * speed;
  }

  /**
   * Takes in jets so thin that they are turbulence at once.
   *
   * @param energy J
   */
  public void stir(double energy) {
    turbulent += energy;
  }

  /**
   * Goes on by a time.
   *
   * @param mass of the gas, kg
   * @param lost what flowed out in it, kg
   * @param length L, m
   * @param squeezed density over that before; one while a valve is open
   */
  public void advance(double dt, double mass, double lost, double length, double squeezed) {
    double root = Math.sqrt(turbulent / mass + FIRST);
    double rate = CASCADE / length * root * dt;
    double leaves = lost / mass;
    double before = mean + fed;
    mean = before / (1 + rate + leaves);
    double produced = rate * mean;
    double intensity = intensity(mass);
    double decay = 1.0 / 1.5 * intensity / (EDDY * length) * dt;
    turbulent = (turbulent * (1 + 2.0 / 3 * (squeezed - 1)) + produced) / (1 + decay + leaves);
    fed = 0;
  }

  /** Root mean square of the turbulent speed, u′, m/s. */
  public double intensity(double mass) {
    return Math.sqrt(Math.max(0, turbulent) / (1.5 * mass));
  }
}
