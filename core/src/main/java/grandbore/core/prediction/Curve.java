package grandbore.core.prediction;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/** A predicted curve, its points in rising speed. */
public record Curve(Fidelity fidelity, List<CurvePoint> points) {
  public Curve {
    points = points.stream().sorted(Comparator.comparingDouble(CurvePoint::rpm)).toList();
  }

  /** The point of most power among those that converged. */
  public Optional<CurvePoint> peakPower() {
    return points.stream()
        .filter(CurvePoint::converged)
        .max(Comparator.comparingDouble(CurvePoint::power));
  }

  /** The point of most torque among those that converged. */
  public Optional<CurvePoint> peakTorque() {
    return points.stream()
        .filter(CurvePoint::converged)
        .max(Comparator.comparingDouble(CurvePoint::torque));
  }
}
