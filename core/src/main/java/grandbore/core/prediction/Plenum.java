package grandbore.core.prediction;

import grandbore.core.waves.BranchFlow;
import grandbore.core.waves.PipeEnd;
import grandbore.core.waves.Reservoir;
import grandbore.core.waves.Volume;
import java.util.ArrayList;
import java.util.List;

/** One volume that runners open into. */
final class Plenum {
  private final EngineParts parts;
  private final Volume volume;
  private final List<RunnerConnection> connections = new ArrayList<>();
  private final double openArea;
  private final BranchFlow flows = new BranchFlow();
  private final PhaseShiftedCylinders.Receiver receiver;
  private double pressureSum;
  private double elapsed;

  /** A solved cylinder's runner, and the others that draw as it does. */
  private static final class RunnerConnection {
    final CylinderUnit unit;
    final PipeEnd mouth;
    final PhaseShiftedCylinders copies;
    final PhaseShiftedCylinders.Reflection reflection;

    RunnerConnection(CylinderUnit unit, PipeEnd mouth, PhaseShiftedCylinders copies) {
      this.unit = unit;
      this.mouth = mouth;
      this.copies = copies;
      reflection = unit::intakeReflection;
    }
  }

  /**
   * @param sharers cylinders that it feeds
   * @param moreArea open to it besides the runners, m²
   */
  Plenum(EngineParts parts, double cubicMetres, int sharers, double moreArea) {
    this.parts = parts;
    var c = parts.combination();
    volume =
        new Volume(
            parts.gas(), cubicMetres, c.weather().pressure().si(), parts.chargeTemperature(), 0);
    receiver = (flow, share, dt) -> PhaseShiftedCylinders.pour(flow, share, volume, dt);
    openArea = sharers * c.intake().runnerEntry().si() + moreArea;
  }

  /**
   * @param others that it feeds as copies of this one
   */
  void join(CylinderUnit unit, Others others) {
    var mouth = new PipeEnd(parts.gas(), unit.intake(), true, volume);
    mouth.open(EngineParts.MOUTH * parts.combination().intake().runnerEntry().si());
    connections.add(
        new RunnerConnection(unit, mouth, new PhaseShiftedCylinders(parts.gas(), others)));
  }

  boolean fits(Plenum o) {
    return Pairing.inPairs(
        connections, o.connections, (mine, other) -> mine.copies.fits(other.copies));
  }

  void startFrom(Plenum o) {
    volume.startFrom(o.volume);
    for (int k = 0; k < connections.size(); k++) {
      connections.get(k).copies.startFrom(o.connections.get(k).copies);
    }
  }

  void freshen(double share) {
    connections.forEach(v -> v.copies.freshen(share));
  }

  /** Finds the flow of every runner, copies included. */
  void couple(double dt, double speed) {
    for (int i = 0; i < connections.size(); i++) {
      connections.get(i).mouth.couple(dt);
    }
    for (int i = 0; i < connections.size(); i++) {
      var v = connections.get(i);
      if (!v.copies.isEmpty()) {
        play(v, dt, speed);
      }
    }
  }

  private void play(RunnerConnection v, double dt, double speed) {
    double phase = v.unit.cylinder().phase();
    flows.flowAt(v.mouth);
    flows.pressure = volume.pressure();
    v.copies.record(phase, flows);
    v.copies.play(
        dt,
        phase,
        volume.pressure(),
        v.unit.intake().echoTime() * speed,
        v.unit.intake().admittance(true),
        v.reflection,
        receiver);
  }

  /** Finds pressure and temperature after all flows of the step are in. */
  void settle(double dt) {
    volume.settle();
    pressureSum += volume.pressure() * dt;
    elapsed += dt;
  }

  double stableStep() {
    return volume.stableStep(openArea);
  }

  Reservoir reservoir() {
    return volume;
  }

  /** Mean pressure since the last call, Pa. */
  double takeMeanPressure() {
    double mean = elapsed > 0 ? pressureSum / elapsed : volume.pressure();
    pressureSum = 0;
    elapsed = 0;
    return mean;
  }

  double mass() {
    return volume.mass();
  }

  double energy() {
    return volume.energy();
  }
}
