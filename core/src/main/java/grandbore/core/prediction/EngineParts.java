package grandbore.core.prediction;

import grandbore.core.combination.Combination;
import grandbore.core.combination.Exhaust;
import grandbore.core.combination.Intake;
import grandbore.core.combustion.BurnAngles;
import grandbore.core.combustion.Woschni;
import grandbore.core.flow.FlowCurve;
import grandbore.core.gas.Air;
import grandbore.core.gas.FuelKind;
import grandbore.core.gas.WorkingGas;
import grandbore.core.geometry.SliderCrank;
import grandbore.core.valvetrain.Lobe;
import grandbore.core.valvetrain.ValveLift;
import grandbore.core.waves.Atmosphere;
import grandbore.core.waves.Pipe;
import grandbore.core.waves.PipeShape;
import grandbore.core.waves.PipeShape.Section;
import java.util.List;

/** A combination's parts as the solver wants them: made once, shared by all speeds. */
final class EngineParts {
  /** Wall temperatures, K, usual for a warm engine wide open; friction and heat multiples. */
  private static final double RUNNER_WALL = 325;

  private static final double PORT_WALL = 370;
  private static final double EXHAUST_PORT_WALL = 550;
  private static final double HEADER_WALL = 800;
  private static final double MANIFOLD_WALL = 750;
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

  private final Combination c;
  private final Mesh mesh;
  private final WorkingGas gas;
  private final ValveLift intakeLift;
  private final ValveLift exhaustLift;
  private final FlowCurve intakeFlow;
  private final FlowCurve exhaustFlow;
  private final SliderCrank crank;
  private final double exhaustOpens;

  EngineParts(Combination c, Mesh mesh) {
    this.c = c;
    this.mesh = mesh;
    var w = c.weather();
    gas =
        GasTables.of(
            c.mixture().fuel(),
            c.mixture().lambda().si(),
            Air.waterPerDryAir(w.pressure().si(), w.temperature().si(), w.humidity().si()));
    var cam = c.cam();
    var intakeLobe =
        new Lobe(cam.intakeLobeLift().si(), cam.intakeDuration().si(), cam.intakeSeat().si());
    var exhaustLobe =
        new Lobe(cam.exhaustLobeLift().si(), cam.exhaustDuration().si(), cam.exhaustSeat().si());
    double overlap = 2 * Math.PI;
    intakeLift =
        new ValveLift(
            intakeLobe,
            overlap + cam.intakeCentreline().si(),
            c.valveTrain().intakeRocker().si(),
            c.valveTrain().intakeLash().si());
    exhaustLift =
        new ValveLift(
            exhaustLobe,
            overlap - cam.exhaustCentreline(),
            c.valveTrain().exhaustRocker().si(),
            c.valveTrain().exhaustLash().si());
    exhaustOpens = overlap - cam.exhaustCentreline() - exhaustLobe.halfSpan();
    intakeFlow = new FlowCurve(c.heads().intakeFlow());
    exhaustFlow = new FlowCurve(c.heads().exhaustFlow());
    var b = c.bottomEnd();
    crank = new SliderCrank(b.stroke().si() / 2, b.rodLength().si(), b.pinOffset().si());
  }

  Cylinder cylinder(double phase, double clearance) {
    var b = c.bottomEnd();
    int valves = c.heads().intakeValves() + c.heads().exhaustValves();
    return new Cylinder(
        gas,
        new CylinderGeometry(crank, b.bore().si(), clearance, exhaustOpens),
        new BurnAngles(
            b.bore().si(),
            BurnAngles.flamePathFor(valves),
            c.mixture().fuel(),
            c.mixture().lambda().si()),
        new Woschni(b.bore().si()),
        phase,
        c.weather().pressure().si());
  }

  Pipe intakePipe() {
    var in = c.intake();
    double entry = in.runnerEntry().si();
    double correction = END_CORRECTION * Math.sqrt(entry / Math.PI);
    double port = c.heads().intakePortArea();
    var shape =
        new PipeShape(
            List.of(
                new Section(
                    in.runnerLength().si() + correction,
                    entry,
                    in.runnerExit().si(),
                    RUNNER_WALL,
                    RUNNER_FRICTION,
                    1,
                    BEND * in.runnerTurn().si() / (Math.PI / 2)),
                new Section(
                    c.heads().intakePortLength().si(),
                    0.5 * (in.runnerExit().si() + port),
                    port,
                    PORT_WALL,
                    RUNNER_FRICTION,
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
                    EXHAUST_FRICTION,
                    2 * EXHAUST_HEAT,
                    0),
                new Section(
                    c.exhaust().primaryLength().si(),
                    primary,
                    primary,
                    cast ? MANIFOLD_WALL : HEADER_WALL,
                    EXHAUST_FRICTION,
                    EXHAUST_HEAT,
                    cast ? MANIFOLD_BENDS : HEADER_BENDS)));
    var pipe = new Pipe(gas, shape, Mesh.cells(shape.length(), mesh.exhaust()));
    pipe.fill(c.weather().pressure().si(), 900, 1);
    return pipe;
  }

  Pipe collectorPipe() {
    double area = collectorArea();
    double correction = END_CORRECTION * c.exhaust().collectorDiameter().si() / 2;
    var shape =
        new PipeShape(
            List.of(
                new Section(
                    c.exhaust().collectorLength().si() + correction,
                    area,
                    area,
                    700,
                    EXHAUST_FRICTION,
                    EXHAUST_HEAT,
                    0)));
    var pipe = new Pipe(gas, shape, Mesh.cells(shape.length(), mesh.exhaust()));
    pipe.fill(c.weather().pressure().si(), 900, 1);
    return pipe;
  }

  double collectorArea() {
    return circle(c.exhaust().collectorDiameter().si());
  }

  private static double circle(double diameter) {
    return Math.PI / 4 * diameter * diameter;
  }

  /** Effective area of carburettor or throttle, m². */
  double meterArea() {
    return FlowCurve.effectiveArea(c.intake().meterFlow().si(), c.intake().ratingDepression().si());
  }

  /** Effective area of the pipes and silencers behind one collector, m². */
  double systemArea() {
    return FlowCurve.effectiveArea(c.exhaust().systemFlow().si(), BENCH_DEPRESSION);
  }

  Atmosphere inletAir() {
    return new Atmosphere(c.weather().pressure().si(), chargeTemperature(), 0);
  }

  Atmosphere outsideAir() {
    return new Atmosphere(c.weather().pressure().si(), 600, 1);
  }

  /** Air temperature less what the evaporating fuel takes from it, K. */
  double chargeTemperature() {
    var fuel = c.mixture().fuel();
    double share =
        fuel == FuelKind.METHANOL || fuel == FuelKind.ETHANOL
            ? EVAPORATED_ALCOHOL
            : EVAPORATED_GASOLINE;
    if (c.intake().fuelling() == Intake.Fuelling.PORT_INJECTION) {
      share *= INJECTED_SHARE;
    }
    double cp = 1020;
    return c.weather().temperature().si()
        - share * gas.fuelMassFraction() * fuel.heatOfVaporisation() / cp;
  }

  Combination combination() {
    return c;
  }

  WorkingGas gas() {
    return gas;
  }

  ValveLift intakeLift() {
    return intakeLift;
  }

  ValveLift exhaustLift() {
    return exhaustLift;
  }

  FlowCurve intakeFlow() {
    return intakeFlow;
  }

  FlowCurve exhaustFlow() {
    return exhaustFlow;
  }
}
