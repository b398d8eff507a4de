package grandbore.core.job.facts;

import grandbore.core.clearances.Measurement;
import grandbore.core.combination.Combination;
import grandbore.core.combination.Given;
import grandbore.core.combination.Specs;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.SortedMap;
import java.util.TreeMap;

/**
 * Something that was proved on the engine: it stays proved as long as the inputs that it rests on
 * stay, and nothing was done that upsets it. What upsets what is common practice, no source.
 */
public enum Fact {
  WALLS("cylinder walls thick enough", Set.of(), "bottomEnd.bore"),
  BORES("bores to size", Set.of(Measurement.BORE), "bottomEnd.bore"),
  PISTON_WALL(
      "piston to wall",
      Set.of(Measurement.PISTON_WALL),
      "bottomEnd.bore",
      "partSizes.pistonMaterial"),
  RING_GAPS(
      "ring gaps", Set.of(Measurement.TOP_RING_GAP, Measurement.SECOND_RING_GAP), "bottomEnd.bore"),
  JOURNALS(
      "journals to size",
      Set.of(Measurement.MAIN_JOURNAL, Measurement.ROD_JOURNAL),
      "bottomEnd.mainJournal",
      "bottomEnd.rodJournal"),
  BEARINGS(
      "bearing clearances",
      Set.of(Measurement.MAIN_BEARING, Measurement.ROD_BEARING),
      "bottomEnd.mainJournal",
      "bottomEnd.rodJournal"),
  BALANCE("balance", Set.of(), "weights.", "bottomEnd.stroke"),
  ROD_CLEAR(
      "rods clear of block and cam",
      Set.of(),
      "bottomEnd.stroke",
      "bottomEnd.rodLength",
      "cam.intake",
      "cam.exhaust"),
  DECK("decks", Set.of(Measurement.DECK), "bottomEnd.blockDeck"),
  QUENCH(
      "quench",
      Set.of(Measurement.DECK),
      "compression.gasketThickness",
      "bottomEnd.blockDeck",
      "bottomEnd.stroke",
      "bottomEnd.rodLength",
      "bottomEnd.pinHeight"),
  RATIO(
      "compression ratio",
      Set.of(Measurement.DECK, Measurement.CHAMBER),
      "compression.chamberVolume",
      "compression.gasket",
      "compression.pistonVolume",
      "bottomEnd.bore",
      "bottomEnd.stroke",
      "bottomEnd.rodLength",
      "bottomEnd.blockDeck",
      "bottomEnd.pinHeight"),
  CAM_DEGREED("cam in its place", Set.of(), "cam."),
  PISTON_TO_VALVE(
      "piston to valve",
      Set.of(Measurement.VALVE_TO_PISTON),
      "cam.",
      "compression.gasketThickness",
      "bottomEnd.blockDeck",
      "bottomEnd.stroke",
      "valveTrain.intakeRocker",
      "valveTrain.exhaustRocker"),
  PUSHRODS(
      "wipe pattern and pushrod length",
      Set.of(Measurement.PUSHROD),
      "bottomEnd.blockDeck",
      "valveTrain.intakeRocker",
      "valveTrain.exhaustRocker"),
  COIL_BIND(
      "coil bind",
      Set.of(Measurement.COIL_BIND),
      "cam.intake",
      "cam.exhaust",
      "valveTrain.intakeRocker",
      "valveTrain.exhaustRocker",
      "valveTrain.spring"),
  RETAINER(
      "retainer to seal",
      Set.of(Measurement.RETAINER),
      "cam.intake",
      "cam.exhaust",
      "valveTrain.intakeRocker",
      "valveTrain.exhaustRocker"),
  MANIFOLD_FIT("manifold fits the heads", Set.of(), "bottomEnd.blockDeck", "intake.manifold");

  private final String title;
  private final Set<Measurement> readings;
  private final List<String> inputs;

  Fact(String title, Set<Measurement> readings, String... inputs) {
    this.title = title;
    this.readings = readings;
    this.inputs = List.of(inputs);
  }

  /** As it is said on the bench. */
  public String title() {
    return title;
  }

  /** What is read to prove it; may be none. */
  public Set<Measurement> readings() {
    return readings;
  }

  /** Whether it rests on an input: {@code bottomEnd.bore}. */
  public boolean restsOn(String path) {
    return inputs.stream().anyMatch(path::startsWith);
  }

  /** The inputs that some facts rest on, as they are on an engine, by their paths. */
  public static SortedMap<String, String> inputs(Combination engine, Set<Fact> facts) {
    var values = new TreeMap<String, String>();
    for (var field : Specs.fields()) {
      if (facts.stream().anyMatch(f -> f.restsOn(field.path()))) {
        values.put(field.path(), text(engine.at(field.path())));
      }
    }
    return values;
  }

  private static String text(Object value) {
    return value instanceof Given g ? String.valueOf(g.si()) : String.valueOf(value);
  }

  /** The inputs of these facts that are no longer as they were, by their names. */
  public static List<String> moved(Combination now, Set<Fact> facts, Map<String, String> were) {
    return inputs(now, facts).entrySet().stream()
        .filter(e -> were.containsKey(e.getKey()) && !were.get(e.getKey()).equals(e.getValue()))
        .map(e -> Specs.field(e.getKey()).spec().label())
        .toList();
  }
}
