package grandbore.core.demo;

import static grandbore.core.demo.DemoChanges.angle;
import static grandbore.core.demo.DemoChanges.card;
import static grandbore.core.demo.DemoChanges.length;

import grandbore.core.changes.Change;
import grandbore.core.changes.Cost;
import grandbore.core.combination.FlowSheet;
import grandbore.core.combination.Intake;
import grandbore.core.shelf.Part;
import grandbore.core.shelf.PartKind;
import grandbore.core.shelf.PartState;
import grandbore.core.units.Measure;
import grandbore.core.units.Quantity;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/** The demo shop's shelf: invented parts at invented prices. */
public final class DemoShelf {
  private DemoShelf() {}

  /** All of them: what the V8's ladder is made of, and what else lies about. */
  public static List<Part> parts() {
    var ladder = DemoChanges.hillClimbEight();
    var all = new ArrayList<Part>();
    all.add(part(1, PartKind.HEADERS, PartState.WANTED, ladder.get(0), ""));
    all.add(
        part(
            2,
            PartKind.CARBURETTOR,
            PartState.SHELF,
            ladder.get(2),
            "Bought used: base flat, both needles worn, rebuilt with a new kit."));
    all.add(part(3, PartKind.CAM, PartState.ORDERED, ladder.get(3), ""));
    all.add(part(4, PartKind.MANIFOLD, PartState.WANTED, ladder.get(4), ""));
    all.add(
        part(
            5,
            PartKind.CAM,
            PartState.SHELF,
            change(
                "Cam 222/228 at 0.050",
                new Cost(140, 0, 8),
                "taken out of the tow car",
                List.of("springs for 0.500 in of lift"),
                Map.of(
                    "cam.intakeDuration", angle(222),
                    "cam.exhaustDuration", angle(228),
                    "cam.intakeSeat", angle(268),
                    "cam.exhaustSeat", angle(274),
                    "cam.intakeLobeLift", length(0.327),
                    "cam.exhaustLobeLift", length(0.327),
                    "cam.separation", angle(112))),
            "Lobes measured at three places: no wear that a micrometer tells."));
    all.add(
        part(
            6,
            PartKind.ROCKERS,
            PartState.SHELF,
            change(
                "Rockers, 1.6",
                new Cost(210, 0, 2),
                "",
                List.of("pushrod length checked", "piston to valve checked"),
                Map.of(
                    "valveTrain.intakeRocker", card(1.6, Measure.NONE, Quantity.RATIO),
                    "valveTrain.exhaustRocker", card(1.6, Measure.NONE, Quantity.RATIO))),
            ""));
    all.add(
        part(
            7,
            PartKind.GASKET,
            PartState.SHELF,
            change(
                "Head gasket, 0.027 in",
                new Cost(46, 0, 0),
                "",
                List.of("piston to head checked"),
                Map.of(
                    "compression.gasketThickness",
                    card(0.027, Measure.INCHES, Quantity.CLEARANCE))),
            "Two sets, sealed."));
    all.add(
        part(
            8,
            PartKind.MANIFOLD,
            PartState.ENGINE,
            change(
                "Dual-plane manifold",
                new Cost(180, 0, 3),
                "",
                List.of(),
                Map.of(
                    "intake.manifold",
                    Intake.Manifold.DUAL_PLANE,
                    "intake.runnerLength",
                    length(8.2),
                    "intake.plenumVolume",
                    card(950, Measure.CUBIC_CENTIMETRES, Quantity.VOLUME))),
            "On the tow car until spring."));
    all.add(part(9, PartKind.HEADS, PartState.WANTED, portedHeads(), ""));
    return List.copyOf(all);
  }

  /** The V8's own heads with the ports opened: a twelfth more flow, more volume. */
  private static Change portedHeads() {
    var heads = DemoBuilds.hillClimbEight().combination().heads();
    return change(
        "Heads ported, 200 cc",
        new Cost(0, 950, 2),
        "a porter in town",
        List.of("flow measured before and after", "head gaskets"),
        Map.of(
            "heads.intakePortVolume",
            card(200, Measure.CUBIC_CENTIMETRES, Quantity.VOLUME),
            "heads.intakeFlow",
            more(heads.intakeFlow(), 13.0 / 12),
            "heads.exhaustFlow",
            more(heads.exhaustFlow(), 13.0 / 12)));
  }

  private static FlowSheet more(FlowSheet sheet, double times) {
    return sheet.with(
        sheet.rows().stream().map(r -> new FlowSheet.Row(r.lift(), times * r.flow())).toList());
  }

  private static Change change(
      String name, Cost cost, String supplier, List<String> needs, Map<String, Object> sets) {
    return new Change(name, new TreeMap<>(sets), cost, supplier, needs);
  }

  private static Part part(
      int number, PartKind kind, PartState state, Change change, String condition) {
    return new Part("P-" + number, kind, state, change, condition, List.of());
  }
}
