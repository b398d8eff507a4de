package grandbore.core.combustion;

/**
 * The jet that a rising piston squeezes out of the flats of head and crown. With A the bore's area,
 * A_q that of the flats, s the piston's depth, g the gap at its top, V the volume and w the length
 * of the flats' edge:
 *
 * <pre>
 * ṁ = ρ |ds/dt| A_q (1 − (s + g) A / V),   v = ṁ / (ρ w (s + g))
 * </pre>
 *
 * <p>From the gas being as dense everywhere; Heywood 1988, chapter 8.4, has the same for a bowl.
 *
 * @param area of the flats, m²
 * @param edge m
 * @param gap m
 * @param bore area of it, m²
 */
public record SquishJet(double area, double edge, double gap, double bore) {
  /**
   * Energy of the jet in a step, J.
   *
   * @param depth of the piston before the step, m
   * @param rise of it in the step, m; less than nothing as it sinks
   * @param mass of the charge, kg
   * @param volume of it, m³
   */
  public double energy(double depth, double rise, double dt, double mass, double volume) {
    if (rise <= 0 || area <= 0 || dt <= 0) {
      return 0;
    }
    double height = Math.max(0, depth - 0.5 * rise) + gap;
    double out = Math.max(0, area * rise * (1 - height * bore / volume));
    double speed = out / (dt * edge * height);
    return 0.5 * out * mass / volume * speed * speed;
  }
}
