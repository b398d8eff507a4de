package grandbore.core.combustion;

/**
 * A flame that entrains eddies and burns them up, integrated with its cylinder:
 *
 * <pre>
 * dm_e/dt = ρ_u A [u′ (1 − exp(−r/(k L))) + S]
 * dm_b/dt = (m_e − m_b)/τ + ρ_u A S
 * τ = λ/S,   λ = (15 ν L/u′)^½,   u′ = u′_0 (ρ_u/ρ_0)^⅓,   L = L_0 (ρ_0/ρ_u)^⅓
 * </pre>
 *
 * <p>N. C. Blizard and J. C. Keck (SAE 740191); R. J. Tabaczynski, C. R. Ferguson and K.
 * Radhakrishnan (SAE 770647); Heywood 1988, chapter 14.4. A small kernel feels only the eddies
 * smaller than itself. S is the laminar speed, A the area of {@link FlameSurface}, 0 the spark.
 * Viscosity 3.3e-7 T^0.7 (Heywood, equation 4.52). From memory.
 *
 * @param squish what stirs the charge as the piston nears its top
 * @param laminar speed of the charge's flame
 * @param tumble turns of the closed charge in a turn of the crank
 * @param faster than this flame, as far as pulls have taught it
 */
public record TurbulentFlame(
    FlameSpeed laminar, FlameSurface surface, SquishJet squish, double tumble, double faster) {
  /** Radius of the kernel that the spark leaves, m. */
  private static final double KERNEL = 0.001;

  /** k: a kernel as large as the eddies that decay feels most of them. */
  private static final double FEELS = Turbulence.EDDY;

  private static final double LAST = 1e-4;

  /** Its state, copied whole from one charge to another. */
  public static final class State implements Cloneable {
    private double entrained;
    private double burned;
    private double intensity;
    private double length;
    private double density;
    private double left;

    /** Energy of what turns as a whole or was squeezed out by the flats, J/kg. */
    private double squeezed;

    @Override
    public State clone() {
      try {
        return (State) super.clone();
      } catch (CloneNotSupportedException e) {
        throw new AssertionError(e);
      }
    }

    /** Share of the charge inside the flame. */
    public double entrained() {
      return entrained;
    }

    /** Share of the charge that has burned up. */
    public double burned() {
      return burned;
    }
  }

  /**
   * What the flame runs into.
   *
   * @param temperature of the unburned gas, K
   * @param density of it, kg/m³
   * @param mass of all gas, kg
   * @param volume of it, m³
   * @param depth of the piston, m
   * @param burnedMass that has burned up, kg
   * @param burnedVolume of it, m³
   */
  public record Ahead(
      double pressure,
      double temperature,
      double density,
      double mass,
      double volume,
      double depth,
      double burnedMass,
      double burnedVolume) {}

  /** Volume of the burned gas that the spark leaves, m³: half a sphere under the roof. */
  public static double kernelVolume() {
    return 2.0 / 3 * Math.PI * KERNEL * KERNEL * KERNEL;
  }

  /**
   * A kernel.
   *
   * @param intensity of the turbulence, m/s
   * @param turning energy of what turns yet as a whole, J/kg
   * @param length of its eddies, m
   * @param residual burned share of the charge
   * @param density of what is not burned, kg/m³
   * @param kernel share of the charge in a kernel of {@link #kernelVolume()}
   */
  public void light(
      State s,
      double intensity,
      double turning,
      double length,
      double residual,
      double density,
      double kernel) {
    s.intensity = Math.max(0.05, intensity);
    s.length = length;
    s.density = density;
    s.left = FlameSpeed.left(residual);
    s.squeezed = turning;
    s.entrained = kernel;
    s.burned = kernel;
  }

  /**
   * Takes in what flats squeeze out ahead of the flame.
   *
   * @param energy over the charge's mass, J/kg
   */
  public static void stir(State s, double energy) {
    s.squeezed += energy;
  }

  /** Burns on by a time: the midpoint rule on what is entrained, exactly on what burns up. */
  public void advance(State s, double dt, Ahead at) {
    double squeeze = Math.cbrt(at.density / s.density);
    cascade(s, squeeze, dt);
    double u = s.intensity * squeeze;
    double l = s.length / squeeze;
    double speed = s.left * laminar.clean(at.temperature, at.pressure);
    double viscosity = 3.3e-7 * Math.pow(at.temperature, 0.7) / at.density;
    double tau = Math.sqrt(15 * viscosity * l / u) / speed;
    double row = surface.row(at.depth);
    double now = FlameSurface.column(inside(s.entrained, at));
    double half = 0.5 * dt * perSpeed(now, row, at) * front(now, row, u, l, speed);
    double then = FlameSurface.column(inside(Math.min(1, s.entrained + half), at));
    double per = perSpeed(then, row, at);
    double front = per * speed;
    double taken = per * front(then, row, u, l, speed);
    double before = s.entrained;
    s.entrained = Math.min(1, before + taken * dt);
    // What is entrained and does not burn yet decays with τ: exactly over the step.
    double gone = Math.exp(-faster * dt / tau);
    double waits = (before - s.burned) * gone + (taken - front) * tau / faster * (1 - gone);
    // Not clamped by the library, which has no answer where the gas has left the model's range.
    s.burned = Math.min(s.entrained, Math.max(s.burned, s.entrained - waits));
    if (1 - s.entrained < LAST) {
      s.entrained = 1;
    }
  }

  /** Radius of the flame, m. */
  public double radius(State s, Ahead at) {
    return surface.radius(inside(s.entrained, at), at.depth);
  }

  /** What was squeezed out turns to turbulence as all mean motion does. */
  private static void cascade(State s, double squeeze, double dt) {
    if (s.squeezed > 0) {
      double u = s.intensity * squeeze;
      double rate = Turbulence.CASCADE * squeeze / s.length * Math.sqrt(1.5) * u;
      double turned = s.squeezed * (1 - Math.exp(-rate * dt));
      s.squeezed -= turned;
      s.intensity = Math.sqrt(u * u + turned / 1.5) / squeeze;
    }
  }

  /** Share of the charge that a flame takes in each second for each metre a second of its front. */
  private double perSpeed(double column, double row, Ahead at) {
    return faster * at.density * surface.areaAt(column, row) / at.mass;
  }

  /** Speed of the front into what is not entrained, m/s. */
  private double front(double column, double row, double u, double l, double speed) {
    double radius = surface.radiusAt(column, row);
    return u * (1 - Math.exp(-radius / (FEELS * l))) + speed;
  }

  /** Share of the volume inside the flame. */
  private static double inside(double entrained, Ahead at) {
    double waits = Math.max(0, entrained * at.mass - at.burnedMass) / at.density;
    return Math.clamp((at.burnedVolume + waits) / at.volume, 0, 1);
  }
}
