package grandbore.core.clearances;

import grandbore.core.combination.InvalidInput;

/**
 * What was found on a part when the engine came apart.
 *
 * @param place where there are several, else 1
 * @param words the builder's own
 */
public record Finding(Part part, int place, Kind kind, String words) implements Note {
  /** Which part. */
  public enum Part {
    MAIN_BEARING,
    ROD_BEARING,
    PISTON,
    RING,
    BORE,
    VALVE,
    SPRING,
    LOBE,
    GASKET,
    PLUG
  }

  /** What was found. */
  public enum Kind {
    /** Looked at, sound, used again. */
    SOUND,
    WIPED,
    FATIGUED,
    SCORED,
    SCUFFED,
    RING_LAND_BROKEN,
    BUTTED,
    STUCK,
    LOST_TENSION,
    BLOWN_BY,
    TOUCHED_VALVE,
    BURNED,
    BROKEN,
    WORN,
    BLOWN,
    PEPPERED
  }

  public Finding {
    if (part == null || kind == null || words == null || words.length() > 2000) {
      throw new InvalidInput(
          "Finding", "missing or too long", "part, kind and up to 2000 characters", "it is kept");
    }
    if (place < 1 || place > 13) {
      throw new InvalidInput("Finding, place", String.valueOf(place), "1 to 13", "it is a number");
    }
  }
}
