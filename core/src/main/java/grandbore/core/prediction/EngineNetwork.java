package grandbore.core.prediction;

import grandbore.core.combination.Exhaust;
import grandbore.core.combination.Intake;
import grandbore.core.waves.Atmosphere;
import grandbore.core.waves.Orifice;
import grandbore.core.waves.Pipe;
import grandbore.core.waves.PipeEnd;
import grandbore.core.waves.Volume;
import java.util.ArrayList;
import java.util.List;

/**
 * The engine as a network: cylinders with their pipes, the plenum they share, a collector a bank. A
 * live network holds one cylinder and plays its flows again for the others.
 */
final class EngineNetwork {
  /** Flow coefficient of a runner's mouth with a worked radius. */
  private static final double MOUTH = 0.95;

  private static final double STEP = Math.toRadians(1);
  private static final double MOST_PARTS = 200;

  private final EngineParts parts;
  private final int cylinders;
  private final List<CylinderUnit> units = new ArrayList<>();
  private final List<PipeEnd> mouths = new ArrayList<>();
  private final List<Pipe> pipes = new ArrayList<>();
  private final List<Collector> collectors = new ArrayList<>();
  private final Atmosphere inletAir;
  private final Volume plenum;
  private final double plenumOpenArea;
  private final Orifice meter;
  private final boolean live;
  private final Replay plenumReplay = new Replay();
  private final List<Echo> echoes = new ArrayList<>();
  private final double[] flows = new double[5];
  private final double[] copy = new double[5];
  private double plenumPressureSum;
  private double elapsed;
  private long steps;

  /**
   * @param clearances volume of each cylinder at top centre, m³, by number
   */
  EngineNetwork(EngineParts parts, boolean live, double[] clearances) {
    this.parts = parts;
    this.live = live;
    var c = parts.combination();
    var bottom = c.bottomEnd();
    cylinders = bottom.cylinders();
    inletAir = parts.inletAir();
    boolean shared = c.intake().manifold() == Intake.Manifold.PLENUM;
    double pascal = c.weather().pressure().si();
    plenum =
        shared
            ? new Volume(
                parts.gas(), c.intake().plenumVolume().si(), pascal, parts.chargeTemperature(), 0)
            : null;
    plenumOpenArea = cylinders * c.intake().runnerEntry().si() + parts.meterArea();
    meter = shared ? new Orifice(parts.gas(), inletAir, plenum, parts.meterArea()) : null;
    int banks = bottom.layout() == grandbore.core.combination.BottomEnd.Layout.VEE ? 2 : 1;
    int solvedBanks = live ? 1 : banks;
    for (int b = 0; b < solvedBanks; b++) {
      collectors.add(
          c.exhaust().kind() == Exhaust.Kind.HEADERS
              ? new MergeCollector(parts, cylinders / banks, live)
              : new LogCollector(parts, cylinders / banks, live));
    }
    for (int k = 0; k < (live ? 1 : cylinders); k++) {
      int number = live ? 1 : bottom.firingOrder().get(k);
      double phase = live || k == 0 ? 0 : Cylinder.CYCLE * (1 - (double) k / cylinders);
      double clearance = live ? mean(clearances) : clearances[number - 1];
      var unit = new CylinderUnit(parts, phase, clearance);
      units.add(unit);
      pipes.add(unit.intake());
      pipes.add(unit.exhaust());
      var mouth = new PipeEnd(parts.gas(), unit.intake(), true, shared ? plenum : inletAir);
      double area = MOUTH * c.intake().runnerEntry().si();
      mouth.open(shared ? area : Math.min(area, parts.meterArea()));
      mouths.add(mouth);
      collectors.get(live ? 0 : bottom.bank(number)).join(unit);
    }
    for (int k = 1; live && k < cylinders; k++) {
      echoes.add(new Echo());
    }
    for (var collector : collectors) {
      pipes.add(collector.pipe());
    }
  }

  private static double mean(double[] values) {
    double sum = 0;
    for (double v : values) {
      sum += v;
    }
    return sum / values.length;
  }

  /**
   * Moves everything on by one step of the crank; returns its angle, rad. Every cycle has the same
   * steps, so that cycles can be compared; where waves are too fast for one, it is taken in parts.
   */
  double step(double speed, double meanPistonSpeed) {
    double left = STEP;
    while (left > 0) {
      double dt = stableStep();
      double parts1 = Math.ceil(left / (dt * speed) * (1 - 1e-9));
      if (!(parts1 < MOST_PARTS)) {
        return Double.NaN;
      }
      double angle = parts1 <= 1 ? left : left / parts1;
      move(angle / speed, angle, meanPistonSpeed);
      left = parts1 <= 1 ? 0 : left - angle;
    }
    return STEP;
  }

  private double stableStep() {
    double dt = Double.MAX_VALUE;
    for (int i = 0; i < pipes.size(); i++) {
      dt = Math.min(dt, pipes.get(i).stableStep());
    }
    for (int i = 0; i < collectors.size(); i++) {
      dt = Math.min(dt, collectors.get(i).stableStep());
    }
    if (plenum != null) {
      dt = Math.min(dt, plenum.stableStep(plenumOpenArea));
    }
    return dt;
  }

  private void move(double dt, double angle, double meanPistonSpeed) {
    steps++;
    for (int i = 0; i < pipes.size(); i++) {
      pipes.get(i).predict(dt);
    }
    for (int i = 0; i < units.size(); i++) {
      units.get(i).coupleValves(dt, 0.5 * angle);
    }
    for (int i = 0; i < mouths.size(); i++) {
      mouths.get(i).couple(dt);
    }
    if (plenum != null) {
      copyToPlenum(dt, angle / dt);
      meter.couple(dt);
      plenum.settle();
      plenumPressureSum += plenum.pressure() * dt;
      elapsed += dt;
    }
    for (int i = 0; i < collectors.size(); i++) {
      collectors.get(i).couple(dt, units.get(0), angle / dt);
    }
    for (int i = 0; i < pipes.size(); i++) {
      pipes.get(i).update(dt);
    }
    for (int i = 0; i < units.size(); i++) {
      units.get(i).advance(dt, angle, meanPistonSpeed);
    }
  }

  /** Steps and parts of steps since the start. */
  long steps() {
    return steps;
  }

  /** Live: the other cylinders' flows, from this one's, each at its own phase. */
  private void copyToPlenum(double dt, double speed) {
    if (!live || cylinders == 1) {
      return;
    }
    double phase = units.get(0).cylinder().phase();
    var mouth = mouths.get(0);
    flows[0] = mouth.massFlow();
    flows[1] = 0;
    flows[2] = mouth.pipeEnthalpy();
    flows[3] = mouth.pipeBurned();
    flows[Replay.PRESSURE] = plenum.pressure();
    plenumReplay.record(phase, flows);
    double admittance = mouth.admittance();
    double delay = units.get(0).intake().echoTime() * speed;
    for (int k = 1; k < cylinders; k++) {
      if (plenumReplay.isReady()) {
        plenumReplay.at(shifted(phase, k, cylinders), copy);
      } else {
        System.arraycopy(flows, 0, copy, 0, copy.length);
      }
      double copyPhase = shifted(phase, k, cylinders);
      double answer =
          echoes
              .get(k - 1)
              .answer(
                  phase,
                  plenum.pressure() - copy[Replay.PRESSURE],
                  delay,
                  units.get(0).intakeReflection(copyPhase));
      double h = parts.gas().enthalpy(plenum.temperature(), plenum.burned());
      Replay.answer(copy, answer * admittance, h, plenum.burned());
      plenum.receive(copy[0] * dt, copy[2] * dt, copy[3] * dt);
    }
  }

  static double shifted(double phase, int k, int of) {
    double at = phase - Cylinder.CYCLE * k / of;
    return at < 0 ? at + Cylinder.CYCLE : at;
  }

  List<CylinderUnit> units() {
    return units;
  }

  int cylinders() {
    return cylinders;
  }

  int cells() {
    return pipes.stream().mapToInt(Pipe::cells).sum();
  }

  /** Mean plenum pressure since the last call, Pa; of the air where there is no plenum. */
  double takePlenumPressure() {
    double mean = elapsed > 0 ? plenumPressureSum / elapsed : inletAir.pressure();
    plenumPressureSum = 0;
    elapsed = 0;
    return mean;
  }

  /** Mass of all gas inside, kg. */
  double mass() {
    double sum = plenum == null ? 0 : plenum.mass();
    for (var p : pipes) {
      sum += p.mass();
    }
    for (var u : units) {
      sum += u.cylinder().mass();
    }
    for (var c : collectors) {
      sum += c.mass();
    }
    return sum;
  }

  /** Energy of all gas inside, J. */
  double energy() {
    double sum = plenum == null ? 0 : plenum.energy();
    for (var p : pipes) {
      sum += p.energy();
    }
    for (var u : units) {
      sum += u.cylinder().energy();
    }
    for (var c : collectors) {
      sum += c.energy();
    }
    return sum;
  }

  /** Heat given to all pipe walls since the start, J. */
  double heatToPipes() {
    return pipes.stream().mapToDouble(Pipe::heatToWall).sum();
  }

  /** Mass taken from the air outside less mass given back at the tail, since the start, kg. */
  double massTaken() {
    return -inletAir.received()
        - collectors.stream().mapToDouble(c -> c.outside().received()).sum();
  }

  double energyTaken() {
    return -inletAir.receivedEnergy()
        - collectors.stream().mapToDouble(c -> c.outside().receivedEnergy()).sum();
  }
}
