package grandbore.core.prediction;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.ToDoubleFunction;

/** A predicted curve, its points in rising speed. */
public record Curve(Fidelity fidelity, List<CurvePoint> points) {
  public Curve {
    points = points.stream().sorted(Comparator.comparingDouble(CurvePoint::rpm)).toList();
  }

  /** The points that became periodic. */
  public List<CurvePoint> settled() {
    return points.stream().filter(CurvePoint::converged).toList();
  }

  /** The solved point of most power among those that converged. */
  public Optional<CurvePoint> bestPoint() {
    return settled().stream().max(Comparator.comparingDouble(CurvePoint::power));
  }

  /** The most power, between the points that converged. */
  public Optional<Peak> peakPower() {
    return top(CurvePoint::power).map(t -> new Peak(t.at(), t.value() / (t.at() * Math.PI / 30)));
  }

  /** The most torque, between the points that converged. */
  public Optional<Peak> peakTorque() {
    return top(CurvePoint::torque).map(t -> new Peak(t.at(), t.value()));
  }

  private Optional<Top> top(ToDoubleFunction<CurvePoint> value) {
    var points = settled();
    return points.isEmpty()
        ? Optional.empty()
        : Optional.of(
            Top.of(
                points.stream().mapToDouble(CurvePoint::rpm).toArray(),
                points.stream().mapToDouble(value).toArray()));
  }
}
