package grandbore.core.job.facts;

import static grandbore.core.job.facts.Fact.BALANCE;
import static grandbore.core.job.facts.Fact.BEARINGS;
import static grandbore.core.job.facts.Fact.BORES;
import static grandbore.core.job.facts.Fact.CAM_DEGREED;
import static grandbore.core.job.facts.Fact.COIL_BIND;
import static grandbore.core.job.facts.Fact.DECK;
import static grandbore.core.job.facts.Fact.JOURNALS;
import static grandbore.core.job.facts.Fact.MANIFOLD_FIT;
import static grandbore.core.job.facts.Fact.PISTON_TO_VALVE;
import static grandbore.core.job.facts.Fact.PISTON_WALL;
import static grandbore.core.job.facts.Fact.PUSHRODS;
import static grandbore.core.job.facts.Fact.QUENCH;
import static grandbore.core.job.facts.Fact.RATIO;
import static grandbore.core.job.facts.Fact.RETAINER;
import static grandbore.core.job.facts.Fact.RING_GAPS;
import static grandbore.core.job.facts.Fact.ROD_CLEAR;
import static grandbore.core.job.facts.Fact.WALLS;

import grandbore.core.clearances.Measurement;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** What a machine shop does to a part. What each upsets is common practice, no source. */
public enum Operation {
  CLEAN("Clean", Set.of()),
  CRACK_TEST("Crack test", Set.of()),
  WALL_CHECK("Check walls by sound", Set.of()),
  BORE_AND_HONE("Bore and hone", Measurement.BORE, Set.of(WALLS, BORES, PISTON_WALL, RING_GAPS)),
  HONE_WITH_PLATES("Hone with plates on", Measurement.BORE, Set.of(BORES, PISTON_WALL, RING_GAPS)),
  LINE_HONE("Line hone the mains", Measurement.MAIN_BORE, Set.of(BEARINGS, DECK, RATIO)),
  DECK_CUT(
      "Cut the deck",
      Measurement.DECK,
      Set.of(DECK, QUENCH, RATIO, PISTON_TO_VALVE, PUSHRODS, MANIFOLD_FIT)),
  MILL_HEAD(
      "Mill the head", Measurement.CHAMBER, Set.of(RATIO, PISTON_TO_VALVE, PUSHRODS, MANIFOLD_FIT)),
  VALVE_JOB(
      "Valve job",
      Measurement.CHAMBER,
      Set.of(RATIO, PISTON_TO_VALVE, PUSHRODS, COIL_BIND, RETAINER)),
  GUIDES("Guides", Measurement.VALVE_GUIDE, Set.of(RETAINER)),
  PORT("Port", Set.of()),
  SPRING_SEATS("Cut spring seats", Measurement.INSTALLED_HEIGHT, Set.of(COIL_BIND, RETAINER)),
  GRIND_JOURNALS(
      "Grind the journals", Measurement.ROD_JOURNAL, Set.of(JOURNALS, BEARINGS, BALANCE)),
  OFFSET_GRIND(
      "Grind the rod journals offset",
      Measurement.ROD_JOURNAL,
      Set.of(JOURNALS, BEARINGS, BALANCE, ROD_CLEAR, DECK, QUENCH, RATIO, PISTON_TO_VALVE)),
  SIZE_RODS("Size the rods", Measurement.ROD_BORE, Set.of(BEARINGS, DECK)),
  BUSH_RODS("Bush the rods", Set.of(BALANCE)),
  BALANCE_CRANK("Balance", Set.of(BALANCE)),
  WEIGH("Weigh", Set.of()),
  REGRIND_CAM(
      "Grind the cam",
      Set.of(CAM_DEGREED, PISTON_TO_VALVE, PUSHRODS, COIL_BIND, RETAINER, ROD_CLEAR)),
  OTHER("Other work", Set.of());

  private final String title;
  private final Optional<Measurement> reading;
  private final Set<Fact> upsets;

  Operation(String title, Set<Fact> upsets) {
    this(title, Optional.empty(), upsets);
  }

  Operation(String title, Measurement reading, Set<Fact> upsets) {
    this(title, Optional.of(reading), upsets);
  }

  Operation(String title, Optional<Measurement> reading, Set<Fact> upsets) {
    this.title = title;
    this.reading = reading;
    this.upsets = upsets;
  }

  public String title() {
    return title;
  }

  /** What is read before and after it. */
  public Optional<Measurement> reading() {
    return reading;
  }

  /** What has to be proved again after it. */
  public List<Fact> upsets() {
    return upsets.stream().sorted().toList();
  }
}
