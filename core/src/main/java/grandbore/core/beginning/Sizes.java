package grandbore.core.beginning;

import grandbore.core.build.Build;
import grandbore.core.clearances.Application;
import grandbore.core.combination.BottomEnd.Layout;
import grandbore.core.combination.Exhaust;
import grandbore.core.combination.Intake;
import grandbore.core.combination.Specs;
import grandbore.core.combination.ValveTrain.Follower;
import java.util.HashMap;
import java.util.Map;
import java.util.Set;

/** The numbers that rules scale from: what was said, and what other rules made of it, SI. */
final class Sizes {
  private final int cylinders;
  private final int banks;
  private final int pairs;
  private final Follower follower;
  private final Intake.Manifold manifold;
  private final Intake.Fuelling fuelling;
  private final Exhaust.Kind exhaust;
  private final Application use;
  private final double highest;
  private final Map<String, Double> values = new HashMap<>();
  private final Set<String> said;
  private double intakeLift;
  private double exhaustLift;

  /** The sizes of what is asked; only what was said has a value yet. */
  Sizes(Asked a, double highest) {
    cylinders = a.arrangement().cylinders();
    banks = a.arrangement().layout() == Layout.INLINE ? 1 : 2;
    pairs = a.valves() / 2;
    follower = a.follower();
    manifold = a.manifold();
    fuelling = a.fuelling();
    exhaust = a.exhaust();
    use = a.use();
    this.highest = highest;
    a.said()
        .forEach(
            (size, si) -> {
              switch (size) {
                case BORE -> put("bottomEnd.bore", si);
                case STROKE -> put("bottomEnd.stroke", si);
                case ROD -> put("bottomEnd.rodLength", si);
                case INTAKE_DURATION -> put("cam.intakeDuration", si);
                case EXHAUST_DURATION -> put("cam.exhaustDuration", si);
                case SEPARATION -> put("cam.separation", si);
                case INTAKE_VALVE -> put("heads.intakeValve", si);
                // Lobes are made of them once rocker and lash are known.
                case INTAKE_LIFT -> intakeLift = si;
                case EXHAUST_LIFT -> exhaustLift = si;
              }
            });
    said = Set.copyOf(values.keySet());
  }

  /** The sizes of a whole build. */
  Sizes(Build build) {
    var c = build.combination();
    cylinders = c.bottomEnd().cylinders();
    banks = c.bottomEnd().banks();
    pairs = c.heads().intakeValves();
    follower = c.valveTrain().follower();
    manifold = c.intake().manifold();
    fuelling = c.intake().fuelling();
    exhaust = c.exhaust().kind();
    use = build.application();
    highest = build.speeds().to();
    Specs.fields().forEach(f -> values.put(f.path(), f.get(c).si()));
    said = Set.of();
    intakeLift = lift(true);
    exhaustLift = lift(false);
  }

  void put(String path, double si) {
    values.put(path, si);
  }

  /** Whether the builder said it, and no rule made it. */
  boolean isKnown(String path) {
    return said.contains(path) || path.endsWith("LobeLift");
  }

  /** Lift at the valve that was said, m. */
  double liftSaid(boolean intake) {
    return intake ? intakeLift : exhaustLift;
  }

  boolean has(String path) {
    return values.containsKey(path);
  }

  double at(String path) {
    var value = values.get(path);
    if (value == null) {
      throw new IllegalStateException("no rule has made " + path + " yet");
    }
    return value;
  }

  int cylinders() {
    return cylinders;
  }

  int perBank() {
    return cylinders / banks;
  }

  /** Valves of a kind in one cylinder. */
  int pairs() {
    return pairs;
  }

  boolean isOverhead() {
    return follower.isOverhead();
  }

  boolean hasBuckets() {
    return follower == Follower.BUCKET_OVERHEAD;
  }

  boolean hasOwnThrottles() {
    return manifold == Intake.Manifold.INDIVIDUAL;
  }

  boolean isDualPlane() {
    return manifold == Intake.Manifold.DUAL_PLANE;
  }

  boolean hasCarburettor() {
    return fuelling == Intake.Fuelling.CARBURETTOR;
  }

  Exhaust.Kind exhaust() {
    return exhaust;
  }

  Application use() {
    return use;
  }

  /** How hard it is built, 0 for the street, 1 for drag racing. */
  double hardness() {
    return switch (use) {
      case STREET -> 0;
      case BOOST -> 0.2;
      case STREET_AND_STRIP -> 0.35;
      case ENDURANCE -> 0.65;
      case HILL_CLIMB, ROAD_COURSE -> 0.75;
      case DRAG -> 1;
    };
  }

  double bore() {
    return at("bottomEnd.bore");
  }

  double stroke() {
    return at("bottomEnd.stroke");
  }

  double boreArea() {
    return Math.PI / 4 * bore() * bore();
  }

  /** Displacement of one cylinder, m³. */
  double cylinder() {
    return boreArea() * stroke();
  }

  /** Highest speed of the curve, rev/min. */
  double highest() {
    return highest;
  }

  /** Speed of the most power, rev/min: the curve goes a tenth beyond. */
  double peak() {
    return highest / 1.1;
  }

  double intakeArea() {
    return pairs * Math.PI / 4 * Math.pow(at("heads.intakeValve"), 2);
  }

  double exhaustArea() {
    return pairs * Math.PI / 4 * Math.pow(at("heads.exhaustValve"), 2);
  }

  /** Clear section of one cylinder's exhaust port, m². */
  double exhaustPort() {
    return at("heads.exhaustPortVolume") / at("heads.exhaustPortLength");
  }

  double lift(boolean intake) {
    String side = intake ? "intake" : "exhaust";
    return at("cam." + side + "LobeLift") * at("valveTrain." + side + "Rocker")
        - at("valveTrain." + side + "Lash");
  }
}
