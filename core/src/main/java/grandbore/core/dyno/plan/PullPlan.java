package grandbore.core.dyno.plan;

import java.util.List;

/**
 * A day's pulls.
 *
 * @param safeSpark that the first pull is run with, rad
 * @param safeLambda likewise
 */
public record PullPlan(List<PlannedPull> pulls, double safeSpark, double safeLambda) {
  /** When spark is enough, by the two schools. */
  public static final List<String> STOP_RULES =
      List.of(
          "The least spark: stop where two degrees more give less than counts, and go back to the"
              + " least within half a per cent of the best.",
          "On until it quits: two degrees more until torque falls, then back two; only with octane"
              + " in hand, a knock meter on, and the plugs read after each pull.");

  public PullPlan {
    pulls = List.copyOf(pulls);
  }

  /** Minutes of all. */
  public double minutes() {
    return pulls.stream().mapToDouble(PlannedPull::minutes).sum();
  }
}
