package grandbore.core.prediction;

import java.util.Map;

/**
 * Where the power goes, from runs with losses taken away: the shares do not add up to the gain of
 * taking all away, because one loss hides another.
 *
 * @param base the engine as it is
 * @param freed with one loss taken away
 * @param together with all of them
 */
public record LossAccount(Curve base, Map<RemovedLoss, Curve> freed, Curve together) {
  public LossAccount {
    freed = Map.copyOf(freed);
  }

  /** Torque that a loss costs at a point of the curve, N m; not a number where a run failed. */
  public double torque(RemovedLoss relief, int point) {
    return difference(freed.get(relief), point);
  }

  /** Torque that all of them together cost, N m. */
  public double torqueTogether(int point) {
    return difference(together, point);
  }

  private double difference(Curve other, int point) {
    var before = base.points().get(point);
    var after = other.points().get(point);
    return before.converged() && after.converged() ? after.torque() - before.torque() : Double.NaN;
  }
}
