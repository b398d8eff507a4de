package grandbore.core.prediction;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/** A predicted curve, its points in rising speed. */
public record Curve(Fidelity fidelity, List<CurvePoint> points) {
  public Curve {
    points = points.stream().sorted(Comparator.comparingDouble(CurvePoint::rpm)).toList();
  }

  /** The points that became periodic. */
  public List<CurvePoint> settled() {
    return points.stream().filter(CurvePoint::converged).toList();
  }

  /** The point of most power among those that converged. */
  public Optional<CurvePoint> peakPower() {
    return settled().stream().max(Comparator.comparingDouble(CurvePoint::power));
  }

  /** The point of most torque among those that converged. */
  public Optional<CurvePoint> peakTorque() {
    return settled().stream().max(Comparator.comparingDouble(CurvePoint::torque));
  }
}
