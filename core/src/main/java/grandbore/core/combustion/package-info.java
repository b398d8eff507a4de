/**
 * How the charge burns, loses heat and knocks: burn angles and the Wiebe curve, laminar flame
 * speed, wall heat after Woschni (SAE 670931) or Hohenberg (SAE 790825), knock by the Livengood–Wu
 * integral. In come pressure, Pa, temperature, K, composition and speed, m/s; out go shares burned,
 * W/m²K and the integral's rate, 1/s. Heywood, <i>Internal Combustion Engine Fundamentals</i>,
 * 1988, chapters 9 and 12.
 */
package grandbore.core.combustion;
