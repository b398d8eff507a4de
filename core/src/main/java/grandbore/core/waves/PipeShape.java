package grandbore.core.waves;

/**
 * A pipe's shape and walls, SI.
 *
 * @param length m
 * @param startArea m²
 * @param endArea m², the diameter running straight between the two
 * @param wallTemperature K
 * @param frictionFactor multiple of the smooth straight pipe's friction, for bends and roughness
 * @param heatFactor multiple of Colburn's heat transfer, for pulsating entry flow
 */
public record PipeShape(
    double length,
    double startArea,
    double endArea,
    double wallTemperature,
    double frictionFactor,
    double heatFactor) {

  /** A smooth adiabatic frictionless pipe, for checks against acoustics and shock tubes. */
  public static PipeShape ideal(double length, double startArea, double endArea) {
    return new PipeShape(length, startArea, endArea, 300, 0, 0);
  }

  double areaAt(double share) {
    double d = Math.sqrt(startArea) + share * (Math.sqrt(endArea) - Math.sqrt(startArea));
    return d * d;
  }
}
