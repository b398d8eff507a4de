package grandbore.core.clearances;

import static grandbore.core.clearances.Measurement.Group.DECKS;
import static grandbore.core.clearances.Measurement.Group.ENDS;
import static grandbore.core.clearances.Measurement.Group.GEAR;
import static grandbore.core.clearances.Measurement.Group.PISTONS;
import static grandbore.core.clearances.Measurement.Group.TESTS;
import static grandbore.core.clearances.Measurement.Group.VALVES;
import static grandbore.core.clearances.Measurement.Place.CYLINDER;
import static grandbore.core.clearances.Measurement.Place.ENGINE;
import static grandbore.core.clearances.Measurement.Place.MAIN;
import static grandbore.core.clearances.Measurement.Place.THROW;
import static grandbore.core.clearances.Measurement.Sides.ACROSS_PIN;
import static grandbore.core.clearances.Measurement.Sides.INTAKE_EXHAUST;
import static grandbore.core.clearances.Measurement.Sides.ONE;

import grandbore.core.combination.BottomEnd;
import grandbore.core.units.Quantity;
import java.util.Arrays;
import java.util.List;

/** What is measured on the bench, in the order of the trade. */
public enum Measurement {
  MAIN_BORE("Main bore, shells in", ENDS, Quantity.CLEARANCE, 0.022, 0.150, MAIN, ONE),
  MAIN_JOURNAL("Main journal", ENDS, Quantity.CLEARANCE, 0.020, 0.150, MAIN, ONE),
  MAIN_BEARING("Main bearing clearance", ENDS, Quantity.CLEARANCE, 0, 0.0005, MAIN, ONE),
  CRANK_END_PLAY("Crank end play", ENDS, Quantity.CLEARANCE, 0, 0.002, ENGINE, ONE),
  ROD_BORE("Rod bore, shells in", ENDS, Quantity.CLEARANCE, 0.020, 0.130, CYLINDER, ONE),
  ROD_JOURNAL("Rod journal", ENDS, Quantity.CLEARANCE, 0.020, 0.130, CYLINDER, ONE),
  ROD_BEARING("Rod bearing clearance", ENDS, Quantity.CLEARANCE, 0, 0.0005, CYLINDER, ONE),
  ROD_SIDE("Rod side clearance", ENDS, Quantity.CLEARANCE, 0, 0.003, THROW, ONE),
  ROD_FILLET("Shell to fillet", ENDS, Quantity.CLEARANCE, 0, 0.005, CYLINDER, ONE),
  BORE("Cylinder bore", PISTONS, Quantity.CLEARANCE, 0.030, 0.180, CYLINDER, ONE),
  SKIRT("Piston skirt, gauge point", PISTONS, Quantity.CLEARANCE, 0.030, 0.180, CYLINDER, ONE),
  PISTON_WALL("Piston to wall", PISTONS, Quantity.CLEARANCE, 0, 0.001, CYLINDER, ONE),
  TOP_RING_GAP("Top ring end gap", PISTONS, Quantity.CLEARANCE, 0, 0.003, CYLINDER, ONE),
  SECOND_RING_GAP("Second ring end gap", PISTONS, Quantity.CLEARANCE, 0, 0.003, CYLINDER, ONE),
  RING_SIDE("Ring side clearance", PISTONS, Quantity.CLEARANCE, 0, 0.0005, CYLINDER, ONE),
  DECK("Deck clearance", DECKS, Quantity.CLEARANCE, -0.005, 0.020, CYLINDER, ACROSS_PIN),
  CHAMBER("Chamber volume", DECKS, Quantity.VOLUME, 5e-6, 300e-6, CYLINDER, ONE),
  QUENCH("Quench", DECKS, Quantity.CLEARANCE, 0, 0.020, CYLINDER, ONE),
  VALVE_TO_PISTON(
      "Piston to valve, depth", VALVES, Quantity.CLEARANCE, 0, 0.020, CYLINDER, INTAKE_EXHAUST),
  VALVE_POCKET(
      "Valve in its pocket", VALVES, Quantity.CLEARANCE, 0, 0.010, CYLINDER, INTAKE_EXHAUST),
  VALVE_GUIDE("Valve to guide", VALVES, Quantity.CLEARANCE, 0, 0.0005, CYLINDER, INTAKE_EXHAUST),
  INSTALLED_HEIGHT(
      "Installed height", VALVES, Quantity.CLEARANCE, 0.015, 0.080, CYLINDER, INTAKE_EXHAUST),
  SEAT_FORCE("Seat force", VALVES, Quantity.FORCE, 20, 3000, CYLINDER, INTAKE_EXHAUST),
  OPEN_FORCE("Open force", VALVES, Quantity.FORCE, 50, 6000, CYLINDER, INTAKE_EXHAUST),
  COIL_BIND("Coil-bind margin", VALVES, Quantity.CLEARANCE, 0, 0.020, CYLINDER, INTAKE_EXHAUST),
  RETAINER(
      "Retainer to seal, full lift",
      VALVES,
      Quantity.CLEARANCE,
      0,
      0.020,
      CYLINDER,
      INTAKE_EXHAUST),
  ROCKER(
      "Rocker to retainer or stud", VALVES, Quantity.CLEARANCE, 0, 0.020, CYLINDER, INTAKE_EXHAUST),
  LASH("Lash", VALVES, Quantity.CLEARANCE, 0, 0.002, CYLINDER, INTAKE_EXHAUST),
  PUSHROD("Pushrod length", VALVES, Quantity.CLEARANCE, 0.050, 0.400, CYLINDER, INTAKE_EXHAUST),
  CAM_END_PLAY("Cam end play", GEAR, Quantity.CLEARANCE, 0, 0.002, ENGINE, ONE),
  BACKLASH("Timing gear backlash", GEAR, Quantity.CLEARANCE, 0, 0.002, ENGINE, ONE),
  GEAR_MESH("Drive gear mesh", GEAR, Quantity.CLEARANCE, 0, 0.002, ENGINE, ONE),
  PUMP_END("Oil pump, end", GEAR, Quantity.CLEARANCE, 0, 0.001, ENGINE, ONE),
  PUMP_SIDE("Oil pump, side", GEAR, Quantity.CLEARANCE, 0, 0.002, ENGINE, ONE),
  PLUG_INDEX("Plug turned from its mark", GEAR, Quantity.ANGLE, 0, 6.2832, CYLINDER, ONE),
  PLUG_TO_PISTON("Plug to piston", GEAR, Quantity.CLEARANCE, 0, 0.030, CYLINDER, ONE),
  COMPRESSION("Compression test", TESTS, Quantity.CYLINDER_PRESSURE, 0, 40e5, CYLINDER, ONE),
  COMPRESSION_OILED(
      "Compression test, oiled", TESTS, Quantity.CYLINDER_PRESSURE, 0, 40e5, CYLINDER, ONE),
  LEAK_DOWN("Leak-down", TESTS, Quantity.SHARE, 0, 1, CYLINDER, ONE);

  /** What a reading's number counts. */
  public enum Place {
    CYLINDER("cylinder"),
    MAIN("main"),
    THROW("throw"),
    ENGINE("engine");

    private final String word;

    Place(String word) {
      this.word = word;
    }

    /** How many an engine has. */
    public int count(BottomEnd b) {
      return switch (this) {
        case CYLINDER -> b.cylinders();
        case MAIN -> b.mains();
        case THROW -> b.layout() == BottomEnd.Layout.VEE ? b.cylinders() / 2 : b.cylinders();
        case ENGINE -> 1;
      };
    }

    /** One of them in words: “cylinder 3”. */
    public String at(int number) {
      return this == ENGINE ? word : word + " " + number;
    }
  }

  /** Which part of the engine it belongs to. */
  public enum Group {
    ENDS("Crank and rods"),
    PISTONS("Bores, pistons and rings"),
    DECKS("Deck and chamber"),
    VALVES("Valves and springs"),
    GEAR("Cam, drive and plugs"),
    TESTS("Tests of the whole");

    private final String label;

    Group(String label) {
      this.label = label;
    }

    public String label() {
      return label;
    }

    /** What is measured there, in order. */
    public List<Measurement> measurements() {
      return Arrays.stream(Measurement.values()).filter(m -> m.group == this).toList();
    }
  }

  /** How often it is read at one place. */
  public enum Sides {
    ONE(Reading.Side.NONE),
    /** On both sides of the pin's axis: the mean counts, so that the piston's rock is out. */
    ACROSS_PIN(Reading.Side.THRUST, Reading.Side.OPPOSITE),
    /** At each of the two valves, each for itself. */
    INTAKE_EXHAUST(Reading.Side.INTAKE, Reading.Side.EXHAUST);

    private final List<Reading.Side> all;

    Sides(Reading.Side... all) {
      this.all = List.of(all);
    }

    /** The sides, in the order in which they are read. */
    public List<Reading.Side> all() {
      return all;
    }
  }

  private final String label;
  private final Group group;
  private final Quantity quantity;
  private final double least;
  private final double most;
  private final Place place;
  private final Sides sides;

  Measurement(
      String label,
      Group group,
      Quantity quantity,
      double least,
      double most,
      Place place,
      Sides sides) {
    this.label = label;
    this.group = group;
    this.quantity = quantity;
    this.least = least;
    this.most = most;
    this.place = place;
    this.sides = sides;
  }

  /** Whether it tests the finished engine instead of measuring a part. */
  public boolean isTest() {
    return group == TESTS;
  }

  public String label() {
    return label;
  }

  public Group group() {
    return group;
  }

  public Quantity quantity() {
    return quantity;
  }

  /** Smallest value an instrument can have shown, SI. */
  public double least() {
    return least;
  }

  /** Largest value an instrument can have shown, SI. */
  public double most() {
    return most;
  }

  public Place place() {
    return place;
  }

  public Sides sides() {
    return sides;
  }

  /** Whether it is read on both sides of the pin's axis, so that the piston's rock averages out. */
  public boolean isTwoSided() {
    return sides == ACROSS_PIN;
  }

  /** The sides under which it has a value of its own. */
  public List<Reading.Side> valueSides() {
    return isTwoSided() ? List.of(sides.all().getFirst()) : sides.all();
  }

  /** How many places of this kind an engine has. */
  public int places(BottomEnd b) {
    return place.count(b);
  }

  /** One place in words: “cylinder 3, exhaust”. */
  public String at(int number, Reading.Side side) {
    String where = place.at(number);
    return side == Reading.Side.NONE ? where : where + ", " + side.word();
  }
}
