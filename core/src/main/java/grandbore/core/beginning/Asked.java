package grandbore.core.beginning;

import grandbore.core.clearances.Application;
import grandbore.core.combination.Arrangement;
import grandbore.core.combination.Exhaust;
import grandbore.core.combination.Intake;
import grandbore.core.combination.InvalidInput;
import grandbore.core.combination.ValveTrain;
import grandbore.core.units.UnitSystem;
import java.util.Map;

/**
 * What is asked of the builder for a new build.
 *
 * @param valves of one cylinder, 2 or 4
 * @param said sizes, SI; what is not said is ordinary
 * @param highest speed of the curve, rev/min; 0 where nobody says
 * @param flow of one cylinder's intake at one lift, if known
 */
public record Asked(
    String name,
    UnitSystem units,
    Arrangement arrangement,
    int valves,
    ValveTrain.Follower follower,
    Intake.Manifold manifold,
    Intake.Fuelling fuelling,
    Exhaust.Kind exhaust,
    Application use,
    double ratio,
    double highest,
    Map<Said, Double> said,
    Flow flow) {
  /**
   * A port's flow at one lift, at 28 inches of water.
   *
   * @param lift of the valve, m; 0 where nobody knows
   * @param flow m³/s
   */
  public record Flow(double lift, double flow) {
    public static final Flow UNKNOWN = new Flow(0, 0);

    boolean isKnown() {
      return lift > 0 && flow > 0;
    }
  }

  public Asked {
    said = Map.copyOf(said);
    if (valves != 2 && valves != 4) {
      throw new InvalidInput(
          "Valves of a cylinder",
          String.valueOf(valves),
          "2 or 4",
          "patterns have one or two pairs");
    }
    if (!(ratio >= 5 && ratio <= 20)) {
      throw new InvalidInput(
          "Compression ratio", String.valueOf(ratio), "5 to 20", "the volumes are made for it");
    }
    for (var size : Said.values()) {
      var value = said.get(size);
      if (value == null ? size.isNeeded() : !(value > 0)) {
        throw new InvalidInput(
            size.label(),
            value == null ? "not said" : String.valueOf(value),
            "more than nothing",
            "all else is scaled from it");
      }
    }
  }

  double of(Said size) {
    return said.get(size);
  }
}
