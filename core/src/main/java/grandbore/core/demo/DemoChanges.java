package grandbore.core.demo;

import grandbore.core.build.Build;
import grandbore.core.changes.Change;
import grandbore.core.changes.Cost;
import grandbore.core.changes.Plan;
import grandbore.core.combination.Given;
import grandbore.core.combination.Provenance;
import grandbore.core.units.Measure;
import grandbore.core.units.Quantity;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/** What the demo shop could do next to its V8: invented parts at invented prices. */
public final class DemoChanges {
  private DemoChanges() {}

  /** Five changes, in the order in which the shop would make them. */
  public static List<Change> hillClimbEight() {
    return List.of(
        change(
            "Headers, 1 3/4 in by 34 in",
            new Cost(480, 0, 4),
            List.of("collector gaskets"),
            Map.of(
                "exhaust.primaryLength", length(34),
                "exhaust.primaryDiameter", length(1.75))),
        change(
            "Heads milled to 54 cc",
            new Cost(28, 160, 5),
            List.of("head gaskets", "pushrods measured anew"),
            Map.of(
                "compression.chamberVolume", card(54, Measure.CUBIC_CENTIMETRES, Quantity.VOLUME))),
        change(
            "Carburettor, 850 cfm",
            new Cost(540, 0, 1),
            List.of("jets"),
            Map.of(
                "intake.throttleFlow", card(850, Measure.CUBIC_FEET_PER_MINUTE, Quantity.AIRFLOW))),
        change(
            "Cam 246/252 at 0.050",
            new Cost(365, 0, 8),
            List.of("springs for 0.600 in of lift", "lash set again when warm"),
            Map.of(
                "cam.intakeDuration", angle(246),
                "cam.exhaustDuration", angle(252),
                "cam.intakeSeat", angle(290),
                "cam.exhaustSeat", angle(296),
                "cam.intakeLobeLift", length(0.384),
                "cam.exhaustLobeLift", length(0.380))),
        change(
            "Manifold with 6.6 in runners",
            new Cost(420, 60, 3),
            List.of("bonnet clearance looked at"),
            Map.of(
                "intake.runnerLength", length(6.6),
                "intake.plenumVolume", card(1600, Measure.CUBIC_CENTIMETRES, Quantity.VOLUME))));
  }

  /** The same in two stages: what can be done before spring, and what waits for money. */
  public static Plan plan() {
    return new Plan(hillClimbEight(), List.of(3));
  }

  /** The V8 as it would be with all of them. */
  public static Build madeOnTheEight() {
    var build = DemoBuilds.hillClimbEight();
    var c = Change.on(build.combination(), hillClimbEight());
    return build.with(c.named("Hill-climb V8, next winter"));
  }

  private static Change change(
      String name, Cost cost, List<String> needs, Map<String, Object> sets) {
    return new Change(name, new TreeMap<>(sets), cost, "", needs);
  }

  static Given length(double inches) {
    return card(inches, Measure.INCHES, Quantity.LENGTH);
  }

  static Given angle(double degrees) {
    return card(degrees, Measure.DEGREES, Quantity.ANGLE);
  }

  static Given card(double value, Measure unit, Quantity quantity) {
    return Given.of(value, unit, quantity, Provenance.CARD);
  }
}
