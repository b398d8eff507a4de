package grandbore.core.prediction;

import grandbore.core.waves.BranchFlow;
import grandbore.core.waves.PipeEnd;
import grandbore.core.waves.Reservoir;
import java.util.ArrayList;
import java.util.List;

/** What runners open into, and its throttles. */
final class Plenum {
  private final EngineParts parts;
  private final Room room;
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
      reflection = unit.intakePort()::reflection;
    }
  }

  /**
   * @param moreArea open to it besides the runners, m²
   */
  Plenum(EngineParts parts, Room room, int sharers, double moreArea) {
    this.parts = parts;
    this.room = room;
    receiver = this::receive;
    openArea = sharers * parts.combination().intake().runnerEntry().si() + moreArea;
  }

  private void receive(BranchFlow flow, double share, double dt) {
    PhaseShiftedCylinders.pour(flow, share, parts.gas(), room.feed(), dt);
  }

  /**
   * @param others that it feeds as copies of this one
   */
  void join(CylinderUnit unit, Others others) {
    var mouth = new PipeEnd(parts.gas(), unit.intake(), true, room.at(unit.role().share()));
    mouth.open(EngineParts.MOUTH * parts.combination().intake().runnerEntry().si());
    connections.add(
        new RunnerConnection(
            unit, mouth, new PhaseShiftedCylinders(parts.cycle(), parts.gas(), others)));
  }

  boolean fits(Plenum o) {
    return room.getClass() == o.room.getClass()
        && Pairing.inPairs(
            connections, o.connections, (mine, other) -> mine.copies.fits(other.copies));
  }

  void startFrom(Plenum o) {
    room.startFrom(o.room);
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
    flows.pressure = room.pressure();
    v.copies.record(phase, flows);
    v.copies.play(
        dt,
        phase,
        room.pressure(),
        v.unit.intake().echoTime() * speed,
        v.unit.intake().admittance(true),
        v.reflection,
        receiver);
  }

  /** Finds pressure and temperature after all flows of the step are in. */
  void settle(double dt) {
    room.settle(dt);
    pressureSum += room.pressure() * dt;
    elapsed += dt;
  }

  double stableStep() {
    return room.stableStep(openArea);
  }

  /** What a runner at a share of its length opens into. */
  Reservoir at(double along) {
    return room.at(along);
  }

  /** What throttles and blowers open into. */
  Reservoir feed() {
    return room.feed();
  }

  /** Mean pressure since the last call, Pa. */
  double takeMeanPressure() {
    double mean = elapsed > 0 ? pressureSum / elapsed : room.pressure();
    pressureSum = 0;
    elapsed = 0;
    return mean;
  }

  double mass() {
    return room.mass();
  }

  double energy() {
    return room.energy();
  }
}
