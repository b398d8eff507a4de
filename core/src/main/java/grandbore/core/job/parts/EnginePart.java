package grandbore.core.job.parts;

import grandbore.core.combination.BottomEnd;
import grandbore.core.job.facts.Fact;
import java.util.Set;

/**
 * A kind of part that an engine has. What decides its size, and what has to be proved before it is
 * ordered, is common practice, no source.
 */
public enum EnginePart {
  BLOCK("Block", Count.ENGINE),
  MAIN_CAP("Main cap", Count.MAIN),
  MAIN_SHELLS("Main shells", Count.ENGINE, Fact.JOURNALS, "the journals' finished size decides it"),
  CRANK("Crank", Count.ENGINE),
  DAMPER("Damper", Count.ENGINE),
  FLYWHEEL("Flywheel", Count.ENGINE),
  ROD("Rod", Count.CYLINDER),
  ROD_SHELLS("Rod shells", Count.ENGINE, Fact.JOURNALS, "the journals' finished size decides it"),
  PISTON("Piston", Count.CYLINDER, Fact.WALLS, "the bore that the walls allow decides its size"),
  PIN("Pin", Count.CYLINDER),
  RINGS("Ring set", Count.ENGINE, Fact.BORES, "the finished bore decides their size"),
  CAM("Cam", Count.ENGINE, Fact.RATIO, "the ratio that was measured decides how much it may hold"),
  CAM_DRIVE("Cam drive", Count.ENGINE),
  TAPPETS("Tappets", Count.ENGINE),
  PUSHRODS("Pushrods", Count.ENGINE, Fact.PUSHRODS, "the wipe pattern decides their length"),
  ROCKERS("Rockers", Count.ENGINE),
  HEAD("Head", Count.BANK),
  VALVES("Valves", Count.BANK),
  SPRINGS("Valve springs", Count.BANK),
  HEAD_GASKET("Head gasket", Count.BANK, Fact.DECK, "the decks decide its thickness"),
  GASKET_SET("Gasket set", Count.ENGINE),
  HEAD_BOLTS("Head bolts", Count.ENGINE),
  INTAKE("Intake manifold", Count.ENGINE, Fact.DECK, "decks and heads decide whether it fits"),
  CARBURETTOR("Carburettor or throttle", Count.ENGINE),
  HEADERS("Headers", Count.BANK),
  OIL_PUMP("Oil pump", Count.ENGINE),
  SUMP("Sump", Count.ENGINE),
  WATER_PUMP("Water pump", Count.ENGINE),
  IGNITION("Ignition", Count.ENGINE),
  OTHER("Other part", Count.ENGINE);

  private enum Count {
    ENGINE,
    CYLINDER,
    MAIN,
    BANK
  }

  private final String title;
  private final Count count;
  private final Set<Fact> decidedBy;
  private final String why;

  EnginePart(String title, Count count) {
    this.title = title;
    this.count = count;
    decidedBy = Set.of();
    why = "";
  }

  EnginePart(String title, Count count, Fact decidedBy, String why) {
    this.title = title;
    this.count = count;
    this.decidedBy = Set.of(decidedBy);
    this.why = why;
  }

  public String title() {
    return title;
  }

  /** What has to be proved before a new one is ordered. */
  public Set<Fact> decidedBy() {
    return decidedBy;
  }

  /** Why, in words; empty where nothing has to be. */
  public String why() {
    return why;
  }

  /** How many places for it an engine has. */
  public int places(BottomEnd b) {
    return switch (count) {
      case ENGINE -> 1;
      case CYLINDER -> b.cylinders();
      case MAIN -> b.mains();
      case BANK -> b.banks();
    };
  }

  /**
   * One place in words: “Piston 3”, “Head, left bank”.
   *
   * @param place from 1; 0 where it has none yet
   */
  public String at(int place, BottomEnd b) {
    if (places(b) == 1) {
      return title;
    }
    if (place == 0) {
      return title + ", no place yet";
    }
    return count == Count.BANK ? "%s, bank %d".formatted(title, place) : title + " " + place;
  }
}
