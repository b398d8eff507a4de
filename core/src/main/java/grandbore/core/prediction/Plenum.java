package grandbore.core.prediction;

import grandbore.core.waves.BranchFlow;
import grandbore.core.waves.PipeEnd;
import grandbore.core.waves.Reservoir;
import java.util.ArrayList;
import java.util.List;

/** What runners open into, the runners of copies too: a plenum, or an air box. */
final class Plenum {
  private final EngineParts parts;
  private final Room room;
  private final List<RunnerConnection> connections = new ArrayList<>();
  private final double openArea;
  private final BranchFlow flows = new BranchFlow();
  private double pressureSum;
  private double elapsed;

  /** A solved cylinder's runner, and the others that draw as it does. */
  private final class RunnerConnection {
    final Cylinder cylinder;
    final Port port;
    final Reservoir place;
    final PipeEnd mouth;
    final PhaseShiftedCylinders copies;
    final PhaseShiftedCylinders.Reflection reflection;
    final PhaseShiftedCylinders.Receiver receiver;

    RunnerConnection(Cylinder cylinder, Port port, Reservoir place, Others others) {
      this.cylinder = cylinder;
      this.port = port;
      this.place = place;
      mouth = new PipeEnd(parts.gas(), port.pipe(), true, place);
      copies = new PhaseShiftedCylinders(parts.cycle(), parts.gas(), others);
      reflection = port::reflection;
      receiver =
          (flow, share, dt) -> PhaseShiftedCylinders.pour(flow, share, parts.gas(), place, dt);
    }
  }

  /**
   * @param openArea of all that leads to it, m²
   */
  Plenum(EngineParts parts, Room room, double openArea) {
    this.parts = parts;
    this.room = room;
    this.openArea = openArea;
  }

  /**
   * Connects a runner; returns its mouth, shut as yet.
   *
   * @param along share of the room's length from its throttle's end
   * @param others that it feeds as copies of this one
   */
  PipeEnd join(Cylinder cylinder, Port port, double along, Others others) {
    var connection = new RunnerConnection(cylinder, port, room.at(along), others);
    connections.add(connection);
    return connection.mouth;
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
    double phase = v.cylinder.phase();
    double pressure = v.place.pressure();
    flows.flowAt(v.mouth);
    flows.pressure = pressure;
    v.copies.record(phase, flows);
    v.copies.play(
        dt,
        phase,
        pressure,
        v.port.pipe().echoTime() * speed,
        v.port.pipe().admittance(true),
        v.reflection,
        v.receiver);
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
