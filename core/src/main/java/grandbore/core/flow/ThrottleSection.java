package grandbore.core.flow;

import grandbore.core.combination.Intake;

/** Clear section of a carburettor's or throttle's bores. */
public final class ThrottleSection {
  /** Its opening passes about so much of what its clear section would (common practice). */
  private static final double DISCHARGE = 0.85;

  private ThrottleSection() {}

  /** Of one of them, m²: as said, else what its rating lets expect. */
  public static double each(Intake in) {
    return in.throttleSection().isKnown()
        ? in.throttleSection().si()
        : FlowCurve.effectiveArea(in.throttleFlow().si(), in.ratingDepression().si()) / DISCHARGE;
  }
}
