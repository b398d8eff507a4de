package grandbore.core.shelf;

import grandbore.core.changes.Difference;
import grandbore.core.combination.Combination;
import grandbore.core.combination.Given;
import grandbore.core.combination.Specs;
import java.util.ArrayList;
import java.util.List;
import java.util.SortedMap;
import java.util.TreeMap;

/** What a part of the shop is, and which inputs of an engine such a part sets. */
public enum PartKind {
  CAM("Cam", "cam."),
  SPRINGS("Valve springs", "valveTrain.spring", "valveHardware.coilBind", "valveHardware.spring"),
  ROCKERS("Rockers", "valveTrain.intakeRocker", "valveTrain.exhaustRocker"),
  HEADS("Heads", "heads.", "seats.", "compression.chamberVolume", "compression.planArea"),
  MANIFOLD("Manifold", "intake.manifold", "intake.runner", "intake.plenum", "intake.planeWindow"),
  CARBURETTOR(
      "Carburettor or throttle",
      "intake.throttle",
      "intake.rating",
      "intake.spacer",
      "intake.fuelling"),
  HEADERS("Headers and exhaust", "exhaust."),
  PISTONS(
      "Pistons",
      "bottomEnd.bore",
      "bottomEnd.pin",
      "compression.piston",
      "compression.land",
      "compression.intakePocket",
      "compression.exhaustPocket",
      "weights.piston",
      "weights.pin",
      "weights.rings",
      "partSizes.pistonMaterial"),
  RODS(
      "Rods",
      "bottomEnd.rodLength",
      "weights.smallEnd",
      "weights.bigEnd",
      "ratings.rod",
      "partSizes.rodMaterial",
      "partSizes.rodSection"),
  CRANK("Crank", "bottomEnd.stroke", "bottomEnd.mainJournal", "bottomEnd.rodJournal"),
  GASKET("Head gasket", "compression.gasket"),
  BLOWER("Blower or turbocharger", "boost."),
  OTHER("Other part", "");

  private final String title;
  private final List<String> sets;

  PartKind(String title, String... sets) {
    this.title = title;
    this.sets = List.of(sets);
  }

  /** As it is called in the shop. */
  public String title() {
    return title;
  }

  /** Whether such a part sets an input: {@code exhaust.primaryLength}. */
  public boolean sets(String path) {
    return sets.stream().anyMatch(path::startsWith);
  }

  /**
   * What the part of this kind that is on an engine sets: values by their inputs' paths, those left
   * out that nobody has said.
   */
  public SortedMap<String, Object> on(Combination engine) {
    var values = new TreeMap<String, Object>();
    for (var path : Difference.paths()) {
      if (sets(path) && isSaid(path, engine.at(path))) {
        values.put(path, engine.at(path));
      }
    }
    return values;
  }

  private static boolean isSaid(String path, Object value) {
    return !(value instanceof Given g) || g.isKnown() || !Specs.field(path).spec().optional();
  }

  /** The kind whose inputs these are, the closest of them; other where they are of several. */
  public static PartKind of(Iterable<String> paths) {
    var fit = new ArrayList<>(List.of(values()));
    paths.forEach(p -> fit.removeIf(k -> !k.sets(p)));
    return fit.getFirst();
  }
}
