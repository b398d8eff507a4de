package grandbore.core.prediction;

import grandbore.core.combination.Combination;
import grandbore.core.combination.Exhaust;
import grandbore.core.combination.Intake;
import grandbore.core.combustion.BurnAngles;
import grandbore.core.combustion.HeatTransfer;
import grandbore.core.combustion.Hohenberg;
import grandbore.core.combustion.Woschni;
import grandbore.core.flow.FlowCurve;
import grandbore.core.flow.ValvePassage;
import grandbore.core.gas.Air;
import grandbore.core.gas.WorkingGas;
import grandbore.core.geometry.SliderCrank;
import grandbore.core.prediction.CylinderGeometry.Walls;
import grandbore.core.valvetrain.ValveMotion;
import grandbore.core.waves.Atmosphere;
import grandbore.core.waves.Junction;
import grandbore.core.waves.Nozzle;
import grandbore.core.waves.Pipe;
import grandbore.core.waves.PipeShape;
import grandbore.core.waves.PipeShape.Section;
import java.util.List;
import java.util.Set;

/** A combination's parts as the solver wants them: made once, shared by all speeds. */
final class EngineParts {
  /** Wall temperatures, K, usual for a warm engine wide open; friction and heat multiples. */
  private static final double INSULATED_WALL = 315;

  private static final double HEAD_WALL = 325;
  private static final double COOLANT_WALL = 345;
  private static final double HEATED_WALL = 365;
  private static final double PORT_WALL = 370;
  private static final double EXHAUST_PORT_WALL = 550;
  private static final double HEADER_WALL = 800;
  private static final double MANIFOLD_WALL = 750;
  private static final double COLLECTOR_WALL = 700;
  private static final double TAIL_WALL = 600;

  /** Between both banks' pipes, m. */
  private static final double BALANCE_LENGTH = 0.35;

  private static final double RUNNER_FRICTION = 1.5;
  private static final double PORT_HEAT = 2;
  private static final double EXHAUST_FRICTION = 1.5;
  private static final double EXHAUST_HEAT = 2;

  /** End correction of an unflanged open end in radii (Levine and Schwinger 1948). */
  private static final double END_CORRECTION = 0.6133;

  /** Share of the fuel whose evaporation cools the air before the valve. */
  private static final double EVAPORATED_GASOLINE = 0.6;

  private static final double EVAPORATED_ALCOHOL = 0.3;
  private static final double INJECTED_SHARE = 1.0 / 3;

  /**
   * Velocity heads lost in a right-angled bend of 1 to 1.5 diameters (D. S. Miller, Internal Flow
   * Systems, 1978: 0.2 to 0.35; from memory); headers turn by two and a half of them in all, the
   * branches of a cast manifold by two.
   */
  private static final double BEND = 0.3;

  private static final double HEADER_BENDS = 0.75;
  private static final double MANIFOLD_BENDS = 0.6;
  private static final double BENCH_DEPRESSION = 28 * 249.08891;

  /** Flow coefficient of a runner's mouth with a worked radius. */
  static final double MOUTH = 0.95;

  /** Flow coefficient of a sharp-edged window. */
  static final double WINDOW = 0.7;

  /**
   * Heat that liquid nitrous oxide takes up at room temperature on its way to vapour, J/kg (common
   * practice, no source).
   */
  private static final double NITROUS_COOLING = 180e3;

  private static final double COLDEST_CHARGE = 225;

  /** As good as no restriction, m². */
  private static final double FREE_METER = 0.02;

  private static final double FREE_SYSTEM = 0.02;

  private final Combination c;
  private final Mesh mesh;
  private final WorkingGas gas;
  private final ValveMotion intakeValve;
  private final ValveMotion exhaustValve;
  private final FlowCurve intakeFlow;
  private final FlowCurve exhaustFlow;
  private final SliderCrank crank;
  private final RodLoads.Motion rodMotion;
  private final double exhaustOpens;
  private final Set<Relief> relief;
  private final Walls walls;

  EngineParts(Combination c, Mesh mesh) {
    this(c, mesh, 0, Relief.NONE, Walls.HOT);
  }

  /**
   * @param nitrousPerAir moles of nitrous oxide with each mole of dry air
   * @param relief losses taken away
   */
  EngineParts(Combination c, Mesh mesh, double nitrousPerAir, Set<Relief> relief, Walls walls) {
    this.c = c;
    this.walls = walls;
    this.mesh = mesh;
    this.relief = relief;
    var w = c.weather();
    gas =
        GasTables.of(
            c.mixture().fuel(),
            c.mixture().lambda().si(),
            Air.waterPerDryAir(w.pressure().si(), w.temperature().si(), w.humidity().si()),
            nitrousPerAir);
    intakeValve = ValveMotion.intake(c);
    exhaustValve = ValveMotion.exhaust(c);
    exhaustOpens = exhaustValve.opens();
    var h = c.heads();
    intakeFlow =
        relief.contains(Relief.INTAKE_PORT)
            ? FlowCurve.ideal(h.intakeValves(), ValvePassage.intake(c))
            : new FlowCurve(h.intakeFlow());
    exhaustFlow =
        relief.contains(Relief.EXHAUST_PORT)
            ? FlowCurve.ideal(h.exhaustValves(), ValvePassage.exhaust(c))
            : new FlowCurve(h.exhaustFlow());
    var b = c.bottomEnd();
    crank = b.crank();
    rodMotion = new RodLoads.Motion(crank);
  }

  Cylinder cylinder(double phase, double clearance) {
    var b = c.bottomEnd();
    int valves = c.heads().intakeValves() + c.heads().exhaustValves();
    return new Cylinder(
        gas,
        new CylinderGeometry(crank, b.bore().si(), clearance, exhaustOpens, walls),
        new BurnAngles(
            b.bore().si(),
            BurnAngles.flamePath(valves, c.heads().plugOffset().si(), b.bore().si()),
            c.mixture().fuel(),
            c.mixture().lambda().si()),
        heat(b.bore().si()),
        crevice(),
        phase,
        c.weather().pressure().si());
  }

  private HeatTransfer heat(double bore) {
    if (relief.contains(Relief.HEAT)) {
      return (pascal, kelvin, volume, piston, open, combustion) -> 0;
    }
    return switch (c.losses().heat()) {
      case WOSCHNI -> new Woschni(bore);
      case HOHENBERG -> new Hohenberg();
    };
  }

  private Crevice crevice() {
    double clearance = c.squeeze().landClearance().si() / 2;
    double volume = Math.PI * c.bottomEnd().bore().si() * clearance * c.squeeze().landHeight().si();
    double gap = c.losses().topGap().si() * clearance;
    double crankcase = c.weather().pressure().si() - c.losses().vacuum().si();
    return new Crevice(gas, volume, gap, crankcase);
  }

  RodLoads rodLoads() {
    return new RodLoads(
        rodMotion,
        c.bottomEnd().boreArea(),
        c.weights().reciprocating(),
        c.weather().pressure().si() - c.losses().vacuum().si());
  }

  SliderCrank crank() {
    return crank;
  }

  double meanRunnerLength() {
    return c.intake().runnerLength().si()
        + c.intake().runnerChanges().stream().mapToDouble(r -> r).average().orElse(0);
  }

  double meanIntakeShare() {
    return c.heads().intakeShares().stream().mapToDouble(r -> r).average().orElse(1);
  }

  double meanExhaustShare() {
    return c.heads().exhaustShares().stream().mapToDouble(r -> r).average().orElse(1);
  }

  private double runnerWall() {
    return switch (c.intake().heating()) {
      case INSULATED -> INSULATED_WALL;
      case HEAD_ONLY -> HEAD_WALL;
      case COOLANT -> COOLANT_WALL;
      case EXHAUST -> HEATED_WALL;
    };
  }

  /** Friction and bends count unless they are taken away. */
  private double friction(double multiple, Relief which) {
    return relief.contains(which) ? 0 : multiple;
  }

  Pipe intakePipe(double length) {
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
                    runnerWall(),
                    friction(RUNNER_FRICTION, Relief.RUNNER),
                    1,
                    friction(BEND * in.runnerTurn().si() / (Math.PI / 2), Relief.RUNNER)),
                new Section(
                    c.heads().intakePortLength().si(),
                    0.5 * (in.runnerExit().si() + port),
                    port,
                    PORT_WALL,
                    friction(RUNNER_FRICTION, Relief.RUNNER),
                    PORT_HEAT,
                    0)));
    var pipe = new Pipe(gas, shape, Mesh.cells(shape.length(), mesh.intake()));
    pipe.fill(c.weather().pressure().si(), chargeTemperature(), 0);
    return pipe;
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
                    EXHAUST_PORT_WALL,
                    friction(EXHAUST_FRICTION, Relief.EXHAUST_PIPES),
                    2 * EXHAUST_HEAT,
                    0),
                new Section(
                    c.exhaust().primaryLength().si(),
                    primary,
                    primary,
                    cast ? MANIFOLD_WALL : HEADER_WALL,
                    friction(EXHAUST_FRICTION, Relief.EXHAUST_PIPES),
                    EXHAUST_HEAT,
                    friction(cast ? MANIFOLD_BENDS : HEADER_BENDS, Relief.EXHAUST_PIPES))));
    var pipe = new Pipe(gas, shape, Mesh.cells(shape.length(), mesh.exhaust()));
    pipe.fill(c.weather().pressure().si(), 900, 1);
    return pipe;
  }

  /** A round pipe, its end open to the air or joined to the next. */
  private Pipe round(double length, double diameter, double wall, double bends, boolean open) {
    double area = circle(diameter);
    var shape =
        new PipeShape(
            List.of(
                new Section(
                    length + (open ? END_CORRECTION * diameter / 2 : 0),
                    area,
                    area,
                    wall,
                    friction(EXHAUST_FRICTION, Relief.EXHAUST_PIPES),
                    EXHAUST_HEAT,
                    friction(bends, Relief.EXHAUST_PIPES))));
    var pipe = new Pipe(gas, shape, Mesh.cells(shape.length(), mesh.exhaust()));
    pipe.fill(c.weather().pressure().si(), 900, 1);
    return pipe;
  }

  Pipe collectorPipe(boolean open) {
    var x = c.exhaust();
    return round(x.collectorLength().si(), x.collectorDiameter().si(), COLLECTOR_WALL, 0, open);
  }

  Pipe secondaryPipe() {
    var x = c.exhaust();
    return round(x.secondaryLength().si(), x.secondaryDiameter().si(), COLLECTOR_WALL, BEND, false);
  }

  Pipe tailPipe() {
    var x = c.exhaust();
    boolean open = x.outlet() == Exhaust.Outlet.OPEN;
    return round(x.tailLength().si(), x.collectorDiameter().si(), TAIL_WALL, BEND, open);
  }

  Pipe balancePipe() {
    var x = c.exhaust();
    return round(BALANCE_LENGTH, x.balanceDiameter().si(), TAIL_WALL, 0, false);
  }

  /** A cell where pipes of this area together narrow or widen into one of a diameter. */
  Junction merge(double area, double diameter) {
    return new Junction(
        gas,
        MergeCollector.MERGE_LENGTH * 0.5 * (area + circle(diameter)) * diameter,
        c.weather().pressure().si(),
        900,
        1);
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

  /** Effective area of all carburettors or throttles of a manifold, of one where separate, m². */
  double meterArea() {
    var in = c.intake();
    double each = FlowCurve.effectiveArea(in.meterFlow().si(), in.ratingDepression().si());
    int count = in.manifold() == Intake.Manifold.INDIVIDUAL ? 1 : in.meters();
    return relief.contains(Relief.METER) ? FREE_METER : count * each;
  }

  /** What all of them pass when choked, kg/s. */
  double meterFlowAtMost() {
    var w = c.weather();
    return meterArea()
        * Nozzle.massFlux(w.pressure().si(), w.temperature().si(), gas.freshR(), 1.4, 0);
  }

  /** Effective area of the pipes and silencers behind one collector, m². */
  double systemArea() {
    return relief.contains(Relief.EXHAUST_PIPES)
        ? FREE_SYSTEM
        : FlowCurve.effectiveArea(c.exhaust().systemFlow().si(), BENCH_DEPRESSION);
  }

  Atmosphere outsideAir() {
    return new Atmosphere(c.weather().pressure().si(), 600, 1);
  }

  /** Air temperature less what the evaporating fuel takes from it, K. */
  double chargeTemperature() {
    var fuel = c.mixture().fuel();
    double share =
        EVAPORATED_GASOLINE + fuel.alcoholShare() * (EVAPORATED_ALCOHOL - EVAPORATED_GASOLINE);
    if (c.intake().fuelling() == Intake.Fuelling.PORT_INJECTION) {
      share *= INJECTED_SHARE;
    }
    double cp = 1020;
    double cooling =
        share * gas.fuelMassFraction() * fuel.heatOfVaporisation()
            + gas.nitrousMassFraction() * NITROUS_COOLING;
    return Math.max(COLDEST_CHARGE, c.weather().temperature().si() - cooling / cp);
  }

  Combination combination() {
    return c;
  }

  WorkingGas gas() {
    return gas;
  }

  ValveMotion intakeValve() {
    return intakeValve;
  }

  ValveMotion exhaustValve() {
    return exhaustValve;
  }

  FlowCurve intakeFlow() {
    return intakeFlow;
  }

  FlowCurve exhaustFlow() {
    return exhaustFlow;
  }
}
