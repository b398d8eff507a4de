package grandbore.core.guided;

import grandbore.core.clearances.Measurement;
import grandbore.core.combination.BottomEnd;
import java.util.List;
import java.util.Optional;

/** The measurements that are led step by step. */
public enum Routine {
  TOP_BY_STOP(
      "Top centre by a positive stop",
      "A stop that gives, or a wheel that slips between the two readings."),
  TOP_BY_DWELL(
      "Top centre by equal depths",
      "Reading on the way back: bearings and pin have play, so both depths are met going forward."),
  DECK(
      "Deck height across the pin",
      "One side only: the piston rocks. An indicator not set to zero on the deck again."),
  CHAMBER(
      "Chamber filled from a burette",
      "The plug left out; air under the plate; a valve that leaks while it fills."),
  DOME(
      "Dome or dish by filling the bore",
      "A depth not measured at the same place as before, or grease left out of the ring's gap."),
  DEGREE(
      "Cam degreed",
      "Turning back through the drive's play. After an overshoot go on two more turns."),
  VALVE_BY_SPRING(
      "Piston to valve by a checking spring",
      "Read at top only: the closest is ten degrees off it."),
  VALVE_BY_CLAY(
      "Piston to valve by clay",
      "Clay without the gasket that will be fitted, or measured before it was cut clean."),
  RING_GAP("Ring gap, squared", "The ring not square, or burrs that read as metal."),
  BEARING_BY_GAUGE(
      "Bearing by bore gauge and micrometer",
      "Measured at the split, where shells are relieved; caps not at their torque."),
  BEARING_BY_STRIP(
      "Bearing by plastic strip",
      "The crank turned with the strip in; oil under it; a cap pulled down crooked."),
  INSTALLED_HEIGHT("Installed height", "Measured to the retainer's edge, not to its seat."),
  COIL_BIND("Coil bind", "Pressed until the handle stops, not until all coils of the inner touch."),
  ROCKER(
      "Rocker's pattern on the stem",
      "Judged by where it lies and not by how wide it is: the width tells the pushrod."),
  END_PLAY(
      "Crank end play",
      "Thrust shells not seated: knock the crank both ways before the cap is tight.");

  private final String title;
  private final String mistake;

  Routine(String title, String mistake) {
    this.title = title;
    this.mistake = mistake;
  }

  public String title() {
    return title;
  }

  /** What usually goes wrong. */
  public String mistake() {
    return mistake;
  }

  /** Whether it is done once for an engine and not place by place. */
  public boolean isOfTheWhole() {
    return this == TOP_BY_STOP || this == TOP_BY_DWELL || this == DEGREE || this == END_PLAY;
  }

  /** The parts it can be about, the usual one first. */
  public List<Subject> subjects() {
    return switch (this) {
      case DEGREE, VALVE_BY_SPRING, VALVE_BY_CLAY, INSTALLED_HEIGHT, COIL_BIND, ROCKER ->
          List.of(Subject.INTAKE, Subject.EXHAUST);
      case RING_GAP -> List.of(Subject.TOP_RING, Subject.SECOND_RING);
      case BEARING_BY_GAUGE, BEARING_BY_STRIP -> List.of(Subject.MAIN, Subject.ROD);
      default -> List.of(Subject.WHOLE);
    };
  }

  /** What its readings are kept as; empty where it ends in no reading of a place. */
  public Optional<Measurement> measurement(Subject subject) {
    return Optional.ofNullable(
        switch (this) {
          case DECK -> Measurement.DECK;
          case CHAMBER -> Measurement.CHAMBER;
          case VALVE_BY_SPRING, VALVE_BY_CLAY -> Measurement.VALVE_TO_PISTON;
          case RING_GAP ->
              subject == Subject.SECOND_RING
                  ? Measurement.SECOND_RING_GAP
                  : Measurement.TOP_RING_GAP;
          case BEARING_BY_GAUGE, BEARING_BY_STRIP ->
              subject == Subject.ROD ? Measurement.ROD_BEARING : Measurement.MAIN_BEARING;
          case INSTALLED_HEIGHT -> Measurement.INSTALLED_HEIGHT;
          case COIL_BIND -> Measurement.COIL_BIND;
          case TOP_BY_STOP, TOP_BY_DWELL, DOME, DEGREE, ROCKER, END_PLAY -> null;
        });
  }

  /** How many places an engine has for it. */
  public int places(Subject subject, BottomEnd bottom) {
    return isOfTheWhole() ? 1 : subject == Subject.MAIN ? bottom.mains() : bottom.cylinders();
  }
}
