package grandbore.core.prediction;

/** The pipes that the gas of one cylinder goes through, in its order. */
public enum Duct {
  /** Bores of the throttles and the spacer, from the air to the plenum. */
  INLET,
  /** Runner and intake port, from the plenum to the valve. */
  INTAKE,
  /** Exhaust port and primary, from the valve to where primaries meet. */
  EXHAUST,
  /** From one merge to the next, where primaries meet in groups. */
  SECONDARY,
  /** Behind the last merge. */
  COLLECTOR,
  /** What carries on behind the collector. */
  TAIL
}
