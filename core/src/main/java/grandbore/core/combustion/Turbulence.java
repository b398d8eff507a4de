package grandbore.core.combustion;

/**
 * What stirs the charge: the energy of its mean motion K, fed by the jets through the valves, of
 * its turning as a whole R, and of its turbulence k, J,
 *
 * <pre>
 * dK/dt = ½ ṁ v² − P − K ṁ_out/m
 * dR/dt = −0.3307 (R/L) (2R/m)^½
 * dk/dt = P − dR/dt − m ε − k ṁ_out/m + ⅔ k (dρ/dt)/ρ
 * P = 0.3307 (K/L) (k/m)^½,   ε = (⅔ k/m)^1.5 / ℓ,   ℓ = 0.2 L,   L = V/A_bore, at most half the bore
 * </pre>
 *
 * <p>Tumble and swirl keep their own time, that of their own turning: they last to near the top,
 * where the chamber is flat, and break up there. The cascade and its constant: S. G. Poulos and J.
 * B. Heywood (SAE 830334). The eddies that decay are a fifth of the chamber's height (Heywood 1988,
 * chapter 8.2). The last term is rapid distortion while the charge is closed in (chapter 14.4).
 * From memory.
 */
public final class Turbulence {
  static final double CASCADE = 0.3307;

  /** Length of the eddies that decay over the chamber's height. */
  static final double EDDY = 0.2;

  /** A first stir for gas that has none, m²/s². */
  private static final double FIRST = 1;

  private double mean;
  private double turning;
  private double turbulent;
  private double fed;

  /** Takes over another's state. */
  public void startFrom(Turbulence o) {
    mean = o.mean;
    turning = o.turning;
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
   * The charge that has been closed in turns as a whole.
   *
   * @param mass kg
   * @param speed of it at the rim, m/s: root mean square over a cylinder 1/√2 of it
   */
  public void turn(double mass, double speed) {
    turning = 0.25 * mass * speed * speed;
  }

  /** Energy of what turns as a whole yet, J. */
  public double turning() {
    return turning;
  }

  /**
   * Takes in what flats squeeze out.
   *
   * @param energy J
   */
  public void stir(double energy) {
    fed += energy;
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
    double slows = CASCADE / length * Math.sqrt(2 * turning / mass) * dt;
    turning /= 1 + slows;
    double produced = rate * mean + slows * turning;
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
