/**
 * How the charge burns, loses heat and knocks: chamber, flame surface, turbulence and the flame
 * that runs through it, laminar flame speed, wall heat after Woschni (SAE 670931) or Hohenberg (SAE
 * 790825), knock by the Livengood–Wu integral. In come pressure, Pa, temperature, K, composition
 * and lengths, m; out go shares burned, m², m/s, W/m²K and the integral's rate, 1/s. Heywood,
 * <i>Internal Combustion Engine Fundamentals</i>, 1988, chapters 8, 9, 12 and 14.
 */
package grandbore.core.combustion;
