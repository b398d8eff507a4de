package grandbore.core.prediction;

import grandbore.core.combination.Combination;
import grandbore.core.combination.Compression;
import grandbore.core.combination.Intake;
import grandbore.core.combustion.FlameSpeed;
import grandbore.core.combustion.FlameSurface;
import grandbore.core.combustion.HeatTransfer;
import grandbore.core.combustion.Hohenberg;
import grandbore.core.combustion.TurbulentFlame;
import grandbore.core.combustion.Woschni;
import grandbore.core.flow.FlowCurve;
import grandbore.core.flow.ValvePassage;
import grandbore.core.gas.Air;
import grandbore.core.gas.FuelVapour;
import grandbore.core.gas.WorkingGas;
import grandbore.core.geometry.SliderCrank;
import grandbore.core.prediction.CylinderGeometry.Walls;
import grandbore.core.valvetrain.ValveMotion;
import grandbore.core.waves.Atmosphere;
import grandbore.core.waves.Nozzle;
import java.util.Set;

/**
 * A combination's parts as the solver wants them: made once, its pipes for the cells of a speed.
 */
final class EngineParts {
  /** What evaporates in the port over what would with time (no source). */
  private static final double INJECTED_SHARE = 1.0 / 3;

  /**
   * On the published coefficient, the same for all engines: with it an eighth to a sixth of the
   * fuel's heat goes to the cylinder's walls at full load (11 to 17 %, Heywood 1988, chapter 12.3,
   * from memory), without it a twelfth.
   */
  static final double WALL_HEAT = 1.4;

  /**
   * Tumble ratio of a four-valve head with ordinary ports (0.5 to 1.5; P. G. Hill and D. Zhang,
   * Progress in Energy and Combustion Science 20, 1994, from memory).
   */
  private static final double TUMBLE = 1;

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
  private static final double AIR_CP = 1020;

  /** As good as no restriction, m². */
  static final double FREE_METER = 0.02;

  private static final double FREE_SYSTEM = 0.02;

  private final Combination c;
  private final Mesh mesh;
  private final double moisture;
  private final double nitrousPerAir;

  /** What flows through the engine, part of its fuel a liquid; and the charge as it burns. */
  private final WorkingGas gas;

  private final WorkingGas vapour;

  /** Share of the fuel that has evaporated ahead of the valve. */
  private final double evaporated;

  private final ValveMotion intakeValve;
  private final ValveMotion exhaustValve;
  private final FlowCurve intakeFlow;
  private final FlowCurve exhaustFlow;
  private final SliderCrank crank;
  private final RodLoads.Motion rodMotion;
  private final double exhaustOpens;
  private final Set<RemovedLoss> relief;
  private final Walls walls;
  private final Piping piping;

  EngineParts(Combination c, Mesh mesh) {
    this(c, mesh, 0, RemovedLoss.NONE, working(c));
  }

  /**
   * @param nitrousPerAir moles of nitrous oxide with each mole of dry air
   * @param relief losses taken away
   */
  EngineParts(
      Combination c, Mesh mesh, double nitrousPerAir, Set<RemovedLoss> relief, Walls walls) {
    this.c = c;
    this.walls = walls;
    this.nitrousPerAir = nitrousPerAir;
    this.mesh = mesh;
    this.relief = relief;
    var w = c.weather();
    moisture = Air.waterPerDryAir(w.pressure().si(), w.temperature().si(), w.humidity().si());
    var fuel = c.mixture().fuel();
    vapour = GasTables.of(fuel, lambda(), moisture, nitrousPerAir);
    evaporated = evaporated(new FuelVapour(fuel));
    gas = GasTables.of(fuel, lambda(), moisture, nitrousPerAir, 1 - evaporated);
    intakeValve = ValveMotion.intake(c);
    exhaustValve = ValveMotion.exhaust(c);
    exhaustOpens = exhaustValve.opens();
    var h = c.heads();
    intakeFlow =
        relief.contains(RemovedLoss.INTAKE_PORT)
            ? FlowCurve.ideal(h.intakeValves(), ValvePassage.intake(c))
            : new FlowCurve(h.intakeFlow().scaled(c.learned().intakeFlow().si()));
    exhaustFlow =
        relief.contains(RemovedLoss.EXHAUST_PORT)
            ? FlowCurve.ideal(h.exhaustValves(), ValvePassage.exhaust(c))
            : new FlowCurve(h.exhaustFlow().scaled(c.learned().exhaustFlow().si()));
    var b = c.bottomEnd();
    crank = b.crank();
    rodMotion = new RodLoads.Motion(crank);
    piping = new Piping(c, mesh, gas, relief, chargeTemperature());
  }

  private EngineParts(EngineParts o, Mesh mesh) {
    this.mesh = mesh;
    c = o.c;
    walls = o.walls;
    nitrousPerAir = o.nitrousPerAir;
    relief = o.relief;
    moisture = o.moisture;
    vapour = o.vapour;
    evaporated = o.evaporated;
    gas = o.gas;
    intakeValve = o.intakeValve;
    exhaustValve = o.exhaustValve;
    exhaustOpens = o.exhaustOpens;
    intakeFlow = o.intakeFlow;
    exhaustFlow = o.exhaustFlow;
    crank = o.crank;
    rodMotion = o.rodMotion;
    piping = new Piping(c, mesh, gas, relief, chargeTemperature());
  }

  /** The same parts, their pipes in other cells. */
  EngineParts in(Mesh cells) {
    return cells.equals(mesh) ? this : new EngineParts(this, cells);
  }

  /** The walls of its cylinders when it works. */
  static Walls working(Combination c) {
    return Walls.working(c.compression().head() == Compression.Head.IRON);
  }

  /**
   * @param clearance volume at top centre, m³
   * @param number which it is; 0 for the mean of all
   */
  Cylinder cylinder(double phase, double clearance, int number) {
    var b = c.bottomEnd();
    var chamber = Chambers.of(c, clearance);
    double lambda =
        number == 0 ? lambda() : c.learned().mixture().si() * c.mixture().lambda(number);
    return new Cylinder(
        charge(lambda),
        new CylinderGeometry(cycle(), crank, b.bore().si(), clearance, exhaustOpens, walls),
        new TurbulentFlame(
            new FlameSpeed(c.mixture().fuel(), lambda),
            FlameSurface.of(chamber, b.stroke().si()),
            chamber.squish(),
            tumble(),
            c.learned().burnSpeed().si()),
        c.mixture().fuel().researchOctane(),
        heat(b.bore().si()),
        crevice(),
        phase,
        c.weather().pressure().si());
  }

  /** Of a cylinder whose mixture may be another than the engine's. */
  private ChargeGas charge(double lambda) {
    if (lambda == lambda()) {
      return new ChargeGas(gas, vapour);
    }
    var fuel = c.mixture().fuel();
    return new ChargeGas(
        gas,
        GasTables.of(fuel, lambda, moisture, nitrousPerAir, 1 - evaporated),
        GasTables.of(fuel, lambda, moisture, nitrousPerAir));
  }

  /** Of the heads where it is known, else as heads with so many valves usually have it. */
  private double tumble() {
    var h = c.heads();
    boolean many = h.intakeValves() + h.exhaustValves() > 2;
    return h.tumble().isKnown() ? h.tumble().si() : many ? TUMBLE : 0;
  }

  private HeatTransfer heat(double bore) {
    if (relief.contains(RemovedLoss.HEAT)) {
      return (pressure, temperature, volume, piston, open, combustion) -> 0;
    }
    HeatTransfer model =
        switch (c.losses().heat()) {
          case WOSCHNI -> new Woschni(bore);
          case HOHENBERG -> new Hohenberg();
        };
    double times = WALL_HEAT * c.learned().wallHeat().si();
    return (pressure, temperature, volume, piston, open, combustion) ->
        times * model.coefficient(pressure, temperature, volume, piston, open, combustion);
  }

  /** In the cylinders. */
  private double lambda() {
    return c.mixture().lambda().si() * c.learned().mixture().si();
  }

  private Crevice crevice() {
    double clearance = c.compression().landClearance().si() / 2;
    double volume =
        Math.PI * c.bottomEnd().bore().si() * clearance * c.compression().landHeight().si();
    double gap = c.losses().topGap().si() * clearance;
    double crankcase = c.weather().pressure().si() - c.losses().vacuum().si();
    return new Crevice(vapour, volume, gap, crankcase);
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

  double meanIntakeShare() {
    return c.heads().intakeShares().stream().mapToDouble(r -> r).average().orElse(1);
  }

  double meanExhaustShare() {
    return c.heads().exhaustShares().stream().mapToDouble(r -> r).average().orElse(1);
  }

  /** Effective area of all carburettors or throttles of a manifold, of one where separate, m². */
  double meterArea() {
    var in = c.intake();
    double each =
        c.learned().meterFlow().si()
            * FlowCurve.effectiveArea(in.throttleFlow().si(), in.ratingDepression().si());
    int count = in.manifold() == Intake.Manifold.INDIVIDUAL ? 1 : in.throttles();
    return relief.contains(RemovedLoss.METER) ? FREE_METER : count * each;
  }

  /** What all of them pass when choked, kg/s. */
  double meterFlowAtMost() {
    var w = c.weather();
    return meterArea()
        * Nozzle.massFlux(w.pressure().si(), w.temperature().si(), gas.freshR(), 1.4, 0);
  }

  /** Effective area of the pipes and silencers behind one collector, m². */
  double systemArea() {
    return relief.contains(RemovedLoss.EXHAUST_PIPES)
        ? FREE_SYSTEM
        : FlowCurve.effectiveArea(c.exhaust().systemFlow().si(), BENCH_DEPRESSION);
  }

  Atmosphere outsideAir() {
    return new Atmosphere(c.weather().pressure().si(), 600, 1);
  }

  /** Share of the fuel that has evaporated ahead of the valve. */
  private double evaporated(FuelVapour fuel) {
    double dry = 1 - vapour.fuelMassFraction();
    double share =
        fuel.shareByAirAlone(
            beforeFuel(), c.weather().pressure().si(), dry / vapour.fuelMassFraction());
    return c.intake().fuelling() == Intake.Fuelling.PORT_INJECTION ? share * INJECTED_SHARE : share;
  }

  /** Air temperature less what nitrous oxide takes from it, K. */
  private double beforeFuel() {
    return Math.max(
        COLDEST_CHARGE,
        c.weather().temperature().si() - vapour.nitrousMassFraction() * NITROUS_COOLING / AIR_CP);
  }

  /** Air temperature less what evaporating fuel and nitrous oxide take from it, K. */
  double chargeTemperature() {
    double cooling =
        evaporated * vapour.fuelMassFraction() * c.mixture().fuel().heatOfVaporisation();
    return Math.max(COLDEST_CHARGE, beforeFuel() - cooling / AIR_CP);
  }

  Cycle cycle() {
    return Cycle.FOUR_STROKE;
  }

  Combination combination() {
    return c;
  }

  Piping piping() {
    return piping;
  }

  /** Step of the crank, rad. */
  double step() {
    return mesh.step();
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
