package grandbore.core.prediction;

import grandbore.core.combination.Combination;
import grandbore.core.combination.Exhaust;
import grandbore.core.flow.ThrottleSection;
import grandbore.core.gas.WorkingGas;
import grandbore.core.waves.Junction;
import grandbore.core.waves.Pipe;
import grandbore.core.waves.PipeShape;
import grandbore.core.waves.PipeShape.Section;
import grandbore.core.waves.Volume;
import grandbore.core.waves.Wall;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;

/** A combination's pipes and merges, in cells, filled with what stands in them at first. */
final class Piping {
  /** What a runner's metal is held at, K, usual for a warm engine wide open. */
  private static final double INSULATED_WALL = 315;

  private static final double HEAD_WALL = 325;
  private static final double COOLANT_WALL = 345;
  private static final double HEATED_WALL = 365;
  private static final double PORT_WALL = 370;

  /** Temperatures that walls of the exhaust begin with, K. */
  private static final double EXHAUST_PORT_WALL = 560;

  private static final double EXHAUST_WALL = 865;

  /**
   * From a port's wall through the metal and the coolant's film to the coolant, W/(m² K): 8 mm of
   * iron or 25 mm of aluminium and 5,000 W/(m² K), over six tenths of the port (usual figures, from
   * memory; Heywood 1988, chapter 12).
   */
  private static final double PORT_CONDUCTANCE = 1800;

  private static final double COOLANT = 365;

  /**
   * From a pipe's outside to the air that a fan moves past it, W/(m² K), and its emissivity: free
   * convection gives 2 to 25, forced 25 to 250; oxidised steel 0.8 to 0.9, rough iron 0.8
   * (Incropera and DeWitt, tables 1.1 and A.11, from memory).
   */
  private static final double TO_AIR = 25;

  private static final double EMISSIVITY = 0.85;

  /** Outside of a cast branch over its inside: thick walls and flanges. */
  private static final double CAST_OUTSIDE = 1.4;

  /** Between both banks' pipes, m. */
  private static final double BALANCE_LENGTH = 0.35;

  private static final double RUNNER_FRICTION = 1.5;
  private static final double RUNNER_HEAT = 1.5;
  private static final double PORT_HEAT = 3;
  private static final double EXHAUST_FRICTION = 1.5;
  private static final double EXHAUST_HEAT = 3;

  /** Length of log for each cylinder, in branch diameters. */
  private static final double LOG_PITCH = 2.6;

  /** Length of a merge in diameters of the pipe behind it. */
  private static final double MERGE_LENGTH = 1;

  /** End correction of an unflanged open end in radii (Levine and Schwinger 1948). */
  private static final double END_CORRECTION = 0.6133;

  /**
   * Velocity heads lost in a right-angled bend of 1 to 1.5 diameters (D. S. Miller, Internal Flow
   * Systems, 1978: 0.2 to 0.35; from memory); headers turn by two and a half of them in all, the
   * branches of a cast manifold by two.
   */
  private static final double BEND = 0.3;

  private static final double HEADER_BENDS = 0.75;
  private static final double MANIFOLD_BENDS = 0.6;

  /** Temperature of the exhaust gas that stands in the pipes at first, K. */
  private static final double FIRST_EXHAUST = 900;

  private final Combination c;
  private final Mesh mesh;
  private final WorkingGas gas;
  private final Set<RemovedLoss> relief;
  private final double chargeTemperature;

  /**
   * @param chargeTemperature of the gas in the runners at first, K
   */
  Piping(
      Combination c, Mesh mesh, WorkingGas gas, Set<RemovedLoss> relief, double chargeTemperature) {
    this.c = c;
    this.mesh = mesh;
    this.gas = gas;
    this.relief = relief;
    this.chargeTemperature = chargeTemperature;
  }

  double meanRunnerLength() {
    return c.intake().runnerLength().si()
        + c.intake().runnerChanges().stream().mapToDouble(r -> r).average().orElse(0);
  }

  private double runnerWall() {
    return switch (c.intake().heating()) {
      case INSULATED -> INSULATED_WALL;
      case HEAD_ONLY -> HEAD_WALL;
      case COOLANT -> COOLANT_WALL;
      case EXHAUST -> HEATED_WALL;
    };
  }

  /** Friction, bends and heat count unless they are taken away. */
  private double unless(RemovedLoss which, double multiple) {
    return relief.contains(which) ? 0 : multiple;
  }

  private Pipe filled(PipeShape shape, double cell, double temperature, double burned) {
    return filled(shape, Mesh.cells(shape.length(), cell), temperature, burned);
  }

  private Pipe filled(PipeShape shape, int cells, double temperature, double burned) {
    var pipe = new Pipe(gas, shape, cells);
    pipe.fill(c.weather().pressure().si(), temperature, burned);
    return pipe;
  }

  Pipe intakePipe(double measured) {
    double length = measured * c.learned().intakeLength().si();
    var in = c.intake();
    double entry = in.runnerEntry().si();
    double correction = END_CORRECTION * Math.sqrt(entry / Math.PI);
    double port = c.heads().intakePortArea();
    var shape =
        new PipeShape(
            List.of(
                new Section(
                    length + correction,
                    entry,
                    in.runnerExit().si(),
                    inMetal(runnerWall(), runnerWall()),
                    unless(RemovedLoss.RUNNER, RUNNER_FRICTION),
                    unless(RemovedLoss.CHARGE_HEAT, RUNNER_HEAT),
                    unless(RemovedLoss.RUNNER, BEND * in.runnerTurn().si() / (Math.PI / 2))),
                new Section(
                    c.heads().intakePortLength().si(),
                    0.5 * (in.runnerExit().si() + port),
                    port,
                    inMetal(PORT_WALL, COOLANT),
                    unless(RemovedLoss.RUNNER, RUNNER_FRICTION),
                    unless(RemovedLoss.CHARGE_HEAT, PORT_HEAT),
                    0)));
    return filled(shape, mesh.intake(), chargeTemperature, 0);
  }

  /** Clear section of all throttles, m². */
  double throttleArea() {
    return relief.contains(RemovedLoss.METER)
        ? EngineParts.FREE_METER
        : c.intake().throttles() * ThrottleSection.each(c.intake());
  }

  /**
   * The throttles' bores and the spacer under them, down to one of so many plenums, side by side as
   * one pipe.
   */
  Pipe inletPipe(int planes) {
    var in = c.intake();
    double bores = throttleArea() / planes;
    double correction = END_CORRECTION * Math.sqrt(bores / Math.PI);
    var sections = new ArrayList<Section>();
    sections.add(charged(correction + in.throttleLength().si(), bores));
    if (in.spacerHeight().isKnown()) {
      sections.add(charged(in.spacerHeight().si(), in.spacerOpening().si() / planes));
    }
    sections.add(charged(correction, sections.getLast().endArea()));
    return filled(new PipeShape(sections), mesh.intake(), chargeTemperature, 0);
  }

  /** Smooth and as cold as the charge: what it loses is in the throttle's rating. */
  private Section charged(double length, double area) {
    return new Section(length, area, area, chargeTemperature, 0, 0, 0);
  }

  /** From the air to the air box. */
  Pipe inletDuct() {
    var in = c.intake();
    double area = in.ductSection().si();
    double correction = END_CORRECTION * Math.sqrt(area / Math.PI);
    var shape =
        new PipeShape(
            List.of(
                new Section(
                    in.ductLength().si() + correction,
                    area,
                    area,
                    chargeTemperature,
                    RUNNER_FRICTION,
                    0,
                    unless(RemovedLoss.METER, BEND))));
    return filled(shape, mesh.intake(), chargeTemperature, 0);
  }

  /** One of so many plenums, well mixed. */
  Volume plenum(int planes) {
    return charged(c.intake().plenumVolume().si() / planes);
  }

  Volume airBox() {
    return charged(c.intake().airBox().si());
  }

  private Volume charged(double volume) {
    return new Volume(gas, volume, c.weather().pressure().si(), chargeTemperature, 0);
  }

  /** A plenum long enough for waves, two cells for each place along it. */
  Pipe box() {
    var in = c.intake();
    double length = in.boxLength().si();
    int places = c.bottomEnd().cylinders() / c.bottomEnd().banks();
    var shape = new PipeShape(List.of(charged(length, in.plenumVolume().si() / length)));
    return filled(shape, length / (2 * places), chargeTemperature, 0);
  }

  Pipe exhaustPipe() {
    double port = c.heads().exhaustPortArea();
    double primary = circle(c.exhaust().primaryDiameter().si());
    boolean cast = c.exhaust().kind() == Exhaust.Kind.CAST_MANIFOLD;
    var shape =
        new PipeShape(
            List.of(
                new Section(
                    c.heads().exhaustPortLength().si(),
                    port,
                    port,
                    inMetal(EXHAUST_PORT_WALL, COOLANT),
                    unless(RemovedLoss.EXHAUST_PIPES, EXHAUST_FRICTION),
                    2 * EXHAUST_HEAT,
                    0),
                new Section(
                    c.exhaust().primaryLength().si() * c.learned().exhaustLength().si(),
                    primary,
                    primary,
                    inAir(cast),
                    unless(RemovedLoss.EXHAUST_PIPES, EXHAUST_FRICTION),
                    EXHAUST_HEAT,
                    unless(RemovedLoss.EXHAUST_PIPES, cast ? MANIFOLD_BENDS : HEADER_BENDS))));
    return filled(shape, mesh.exhaust(), FIRST_EXHAUST, 1);
  }

  /** The wall of a duct in a head, or bolted to what is as hot as that, K. */
  private static Wall inMetal(double first, double outside) {
    return new Wall(first, outside, PORT_CONDUCTANCE, 0);
  }

  /** The wall of a pipe that stands in moving air. */
  private Wall inAir(boolean cast) {
    double more = cast ? CAST_OUTSIDE : 1;
    return new Wall(EXHAUST_WALL, c.weather().temperature().si(), more * TO_AIR, more * EMISSIVITY);
  }

  /**
   * A round pipe, its end joined to the next.
   *
   * @param log whether it is a part of a cast log
   * @param open whether it ends in the air
   */
  private Pipe round(double length, double diameter, boolean log, double bends, boolean open) {
    double area = circle(diameter);
    var shape =
        new PipeShape(
            List.of(
                new Section(
                    length + (open ? END_CORRECTION * diameter / 2 : 0),
                    area,
                    area,
                    inAir(log),
                    unless(RemovedLoss.EXHAUST_PIPES, EXHAUST_FRICTION),
                    EXHAUST_HEAT,
                    unless(RemovedLoss.EXHAUST_PIPES, bends))));
    double whole = shape.length();
    int cells = log ? mesh.ofLog(whole) : Mesh.cells(whole, mesh.exhaust());
    return filled(shape, cells, FIRST_EXHAUST, 1);
  }

  /** Length of the cone in which headers merge into a pipe of a diameter, m. */
  private static double merged(double diameter) {
    return MERGE_LENGTH * diameter;
  }

  /** Length of a log for each cylinder, near the spacing of the bores, m. */
  private double logPitch() {
    return LOG_PITCH * c.exhaust().primaryDiameter().si();
  }

  /** Half of a log on which so many meet, in spacings of cylinders. */
  static double halfLog(int sharers) {
    return 0.5 * (sharers - 1);
  }

  /** A part of a cast manifold's log, so many spacings of cylinders long. */
  Pipe logPipe(double spacings) {
    double diameter = c.exhaust().collectorDiameter().si();
    return round(spacings * logPitch(), diameter, true, 0, false);
  }

  /**
   * @param log spacings of cylinders of a log that leads to it as if it were part of it
   */
  Pipe collectorPipe(boolean open, double log) {
    var x = c.exhaust();
    double diameter = x.collectorDiameter().si();
    double more = x.kind() == Exhaust.Kind.CAST_MANIFOLD ? log * logPitch() : merged(diameter);
    return round(x.collectorLength().si() + more, diameter, false, 0, open);
  }

  Pipe secondaryPipe() {
    var x = c.exhaust();
    return round(
        x.secondaryLength().si() + merged(x.secondaryDiameter().si()),
        x.secondaryDiameter().si(),
        false,
        BEND,
        false);
  }

  Pipe tailPipe() {
    var x = c.exhaust();
    boolean open = x.outlet() == Exhaust.Outlet.OPEN;
    return round(x.tailLength().si(), x.collectorDiameter().si(), false, BEND, open);
  }

  Pipe balancePipe() {
    var x = c.exhaust();
    return round(BALANCE_LENGTH, x.balanceDiameter().si(), false, 0, false);
  }

  /** Where pipes meet. */
  Junction merge() {
    return new Junction(gas, c.weather().pressure().si(), FIRST_EXHAUST, 1);
  }

  double primaryArea() {
    return circle(c.exhaust().primaryDiameter().si());
  }

  double secondaryArea() {
    return circle(c.exhaust().secondaryDiameter().si());
  }

  double collectorArea() {
    return circle(c.exhaust().collectorDiameter().si());
  }

  private static double circle(double diameter) {
    return Math.PI / 4 * diameter * diameter;
  }
}
