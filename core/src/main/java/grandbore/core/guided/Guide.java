package grandbore.core.guided;

import grandbore.core.build.Build;
import grandbore.core.units.Quantity;
import java.util.List;

/** Leads one measurement at one place: its steps, and what the readings come to. */
public interface Guide {
  /** In order. */
  List<Step> steps();

  /** What the readings so far allow to be said. */
  Outcome conclude(Answers answers);

  /**
   * The guide of a routine.
   *
   * @param place cylinder, main or throw, from 1
   * @param subject one of the routine's
   */
  static Guide of(Routine routine, Build build, int place, Subject subject) {
    if (!routine.subjects().contains(subject)) {
      throw new IllegalArgumentException(routine + " is not about the " + subject);
    }
    return switch (routine) {
      case TOP_BY_STOP, TOP_BY_DWELL, DEGREE, END_PLAY -> new CrankGuide(routine, build, subject);
      case DECK, CHAMBER, DOME, RING_GAP, BEARING_BY_GAUGE, BEARING_BY_STRIP ->
          new BlockGuide(routine, build, place, subject);
      case VALVE_BY_SPRING, VALVE_BY_CLAY, INSTALLED_HEIGHT, COIL_BIND, ROCKER ->
          new ValveGuide(routine, build, place, subject.side());
    };
  }

  /** A clearance in the build's units. */
  static String length(Build build, double si) {
    return Quantity.CLEARANCE.show(si, build.units());
  }

  /** Degrees to a half. */
  static String degrees(double rad) {
    return "%.1f°".formatted(Math.toDegrees(rad));
  }
}
