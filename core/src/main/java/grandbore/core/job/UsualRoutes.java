package grandbore.core.job;

import static grandbore.core.clearances.Measurement.BORE;
import static grandbore.core.clearances.Measurement.CAM_END_PLAY;
import static grandbore.core.clearances.Measurement.CHAMBER;
import static grandbore.core.clearances.Measurement.COIL_BIND;
import static grandbore.core.clearances.Measurement.CRANK_END_PLAY;
import static grandbore.core.clearances.Measurement.DECK;
import static grandbore.core.clearances.Measurement.LEAK_DOWN;
import static grandbore.core.clearances.Measurement.MAIN_BEARING;
import static grandbore.core.clearances.Measurement.PISTON_WALL;
import static grandbore.core.clearances.Measurement.PUSHROD;
import static grandbore.core.clearances.Measurement.RETAINER;
import static grandbore.core.clearances.Measurement.ROD_BEARING;
import static grandbore.core.clearances.Measurement.SECOND_RING_GAP;
import static grandbore.core.clearances.Measurement.TOP_RING_GAP;
import static grandbore.core.clearances.Measurement.VALVE_TO_PISTON;

import grandbore.core.combination.BottomEnd;
import grandbore.core.job.facts.Fact;
import grandbore.core.job.facts.Operation;
import grandbore.core.job.parts.EnginePart;
import grandbore.core.job.route.Stage;
import grandbore.core.job.route.Step;
import grandbore.core.job.route.StepCheck;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;

/**
 * The routes of usual jobs, to begin with: the shop changes what it does otherwise. Steps, hours
 * and days are common practice, no source; what others ask is not known and is 0.
 */
public enum UsualRoutes {
  REBUILD("Rebuild", Set.of()),
  FRESH("Fresh build", Set.of("strip", "look")),
  TOP_END(
      "Top end",
      Set.of("walls", "bore", "crank", "balance", "gaps", "bottom", "rods-clear", "block-ready")),
  MOCK_UP(
      "Mock-up",
      Set.of(
          "strip", "look", "walls", "bore", "crank", "balance", "gaps", "top", "finish", "prime",
          "on-dyno", "leak")),
  DYNO("Dyno day", Set.of());

  private static final Set<String> ONLY_DYNO = Set.of("finish", "prime", "on-dyno", "leak");

  private final String title;
  private final Set<String> without;

  UsualRoutes(String title, Set<String> without) {
    this.title = title;
    this.without = without;
  }

  public String title() {
    return title;
  }

  /** Its steps for an engine. */
  public List<Step> steps(BottomEnd b) {
    var all = new ArrayList<Step>();
    for (var s : all(b)) {
      // An engine that only goes to the dyno has its parts.
      if (this == DYNO && ONLY_DYNO.contains(s.id())) {
        all.add(s.needs());
      } else if (this != DYNO && !without.contains(s.id())) {
        all.add(s);
      }
    }
    var ids = new HashSet<String>();
    all.forEach(s -> ids.add(s.id()));
    return all.stream().map(s -> s.after(known(s.after(), ids, b))).toList();
  }

  /** The steps that it waits for; in the place of one that is left out, those before that. */
  private String[] known(List<String> after, Set<String> ids, BottomEnd b) {
    var found = new ArrayList<String>();
    for (var id : after) {
      if (ids.contains(id)) {
        found.add(id);
      } else {
        var left = all(b).stream().filter(s -> s.id().equals(id)).findFirst().orElseThrow();
        found.addAll(List.of(known(left.after(), ids, b)));
      }
    }
    return found.stream().distinct().toArray(String[]::new);
  }

  private static List<Step> all(BottomEnd b) {
    var all = new ArrayList<Step>();
    all.addAll(stripping());
    all.addAll(machine());
    all.addAll(mockUp(b));
    all.addAll(assembly(b));
    return all;
  }

  private static List<Step> stripping() {
    return List.of(
        Step.of("brief", "Agree on purpose, band, budget", Stage.PLAN, 1),
        Step.of("strip", "Strip, mark every part's place, photograph", Stage.STRIP, 6)
            .after("brief")
            .checks(
                StepCheck.of("Caps, rods and tappets marked with their places", 1),
                StepCheck.of("Plugs, filter and pan looked at and photographed", 1)),
        Step.of("look", "Clean, crack test, sort what is used again", Stage.STRIP, 2)
            .after("strip")
            .away("", 5, 0)
            .does(Operation.CLEAN, Operation.CRACK_TEST));
  }

  private static List<Step> machine() {
    return List.of(
        Step.of("walls", "Check walls by sound", Stage.MACHINE, 2)
            .after("look", "brief")
            .needs(EnginePart.BLOCK)
            .proves(Fact.WALLS),
        Step.of("bore", "Bore and hone, plates on", Stage.MACHINE, 1)
            .after("walls")
            .needs(EnginePart.BLOCK, EnginePart.PISTON)
            .away("machine shop", 7, 0)
            .reads(BORE)
            .proves(Fact.BORES),
        Step.of("crank", "Grind and polish the crank", Stage.MACHINE, 1)
            .after("look", "brief")
            .needs(EnginePart.CRANK)
            .away("machine shop", 7, 0)
            .proves(Fact.JOURNALS),
        Step.of("balance", "Weigh and balance", Stage.MACHINE, 1)
            .after("crank", "bore")
            .needs(EnginePart.CRANK, EnginePart.ROD, EnginePart.PISTON, EnginePart.RINGS)
            .away("machine shop", 5, 0)
            .proves(Fact.BALANCE),
        Step.of("heads", "Heads: guides, seats, port, springs", Stage.MACHINE, 1)
            .after("look", "brief")
            .needs(EnginePart.HEAD)
            .away("machine shop", 10, 0));
  }

  private static List<Step> mockUp(BottomEnd b) {
    return List.of(
        Step.of("bearings", "Bearing clearances, end play", Stage.MOCK_UP, 5)
            .after("crank", "look")
            .needs(EnginePart.CRANK, EnginePart.MAIN_SHELLS, EnginePart.ROD_SHELLS, EnginePart.ROD)
            .reads(MAIN_BEARING, ROD_BEARING, CRANK_END_PLAY)
            .proves(Fact.BEARINGS),
        Step.of("walls-clear", "Pistons in their bores", Stage.MOCK_UP, 2)
            .after("bore", "look")
            .needs(EnginePart.PISTON)
            .reads(PISTON_WALL)
            .proves(Fact.PISTON_WALL),
        Step.of("rods-clear", "Turn it over: rods clear of block and cam", Stage.MOCK_UP, 2)
            .after("bearings", "walls-clear")
            .needs(EnginePart.ROD, EnginePart.PISTON)
            .proves(Fact.ROD_CLEAR)
            .checks(StepCheck.of("Rod bolt clear of the block", b.cylinders())),
        Step.of("decks", "Decks read, on both sides of the pin", Stage.MOCK_UP, 2)
            .after("rods-clear")
            .reads(DECK)
            .proves(Fact.DECK),
        Step.of("fills", "Chambers filled, ratio and quench", Stage.MOCK_UP, 3)
            .after("decks", "heads")
            .needs(EnginePart.HEAD)
            .reads(CHAMBER, DECK)
            .proves(Fact.RATIO, Fact.QUENCH),
        Step.of("wipe", "Wipe pattern, pushrod length", Stage.MOCK_UP, 2)
            .after("decks", "heads")
            .needs(EnginePart.CAM, EnginePart.ROCKERS, EnginePart.HEAD)
            .reads(PUSHROD)
            .proves(Fact.PUSHRODS),
        Step.of("degree", "Cam degreed, end play", Stage.MOCK_UP, 3)
            .after("rods-clear")
            .needs(EnginePart.CAM, EnginePart.CAM_DRIVE)
            .reads(CAM_END_PLAY)
            .proves(Fact.CAM_DEGREED),
        Step.of("valves", "Piston to valve", Stage.MOCK_UP, 3)
            .after("degree", "fills")
            .reads(VALVE_TO_PISTON)
            .proves(Fact.PISTON_TO_VALVE),
        Step.of("springs", "Coil bind, retainer to seal", Stage.MOCK_UP, 3)
            .after("heads")
            .needs(EnginePart.SPRINGS, EnginePart.ROCKERS)
            .reads(COIL_BIND, RETAINER)
            .proves(Fact.COIL_BIND, Fact.RETAINER),
        Step.of("manifold", "Manifold laid on: ports and ends", Stage.MOCK_UP, 1)
            .after("fills")
            .needs(EnginePart.INTAKE)
            .proves(Fact.MANIFOLD_FIT));
  }

  private static List<Step> assembly(BottomEnd b) {
    return List.of(
        Step.of("gaps", "Ring gaps", Stage.ASSEMBLY, 3)
            .after("bore", "look")
            .needs(EnginePart.RINGS)
            .reads(TOP_RING_GAP, SECOND_RING_GAP)
            .proves(Fact.RING_GAPS),
        Step.of("block-ready", "Block washed, oil ways brushed, plugs in", Stage.ASSEMBLY, 4)
            .after("fills", "valves")
            .checks(
                StepCheck.of("Oil way plugs counted and sealed", 1),
                StepCheck.of("Oil holes of the shells meet the block's", b.mains())),
        Step.of("bottom", "Crank, rods and pistons in", Stage.ASSEMBLY, 6)
            .after("block-ready", "balance", "gaps", "bearings")
            .checks(
                StepCheck.of("Pin clips seated, each looked at twice", 2 * b.cylinders()),
                StepCheck.of("Rod bolts: paint dab once tightened", 2 * b.cylinders()),
                StepCheck.of("Main caps: paint dab once tightened", b.mains())),
        Step.of("top", "Heads, valve gear, manifold on", Stage.ASSEMBLY, 6)
            .after("bottom", "springs", "wipe", "manifold")
            .needs(
                EnginePart.HEAD_GASKET,
                EnginePart.HEAD_BOLTS,
                EnginePart.PUSHRODS,
                EnginePart.INTAKE),
        Step.of("finish", "Sump, pumps, ignition, carburettor", Stage.ASSEMBLY, 5)
            .after("top")
            .needs(EnginePart.OIL_PUMP, EnginePart.CARBURETTOR, EnginePart.GASKET_SET)
            .checks(StepCheck.of("Pickup to pan measured", 1)),
        Step.of("prime", "Oil primed, leak-down cold", Stage.DYNO, 2)
            .after("finish")
            .reads(LEAK_DOWN)
            .checks(StepCheck.of("Oil seen at every rocker", b.cylinders())),
        Step.of("on-dyno", "On the dyno: run in, pulls", Stage.DYNO, 8).after("prime").onDyno(),
        Step.of("leak", "Strip-down look: filter, plugs, leak-down warm", Stage.DYNO, 2)
            .after("on-dyno"));
  }
}
