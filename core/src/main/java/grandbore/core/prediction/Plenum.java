package grandbore.core.prediction;

import grandbore.core.waves.PipeEnd;
import grandbore.core.waves.Reservoir;
import grandbore.core.waves.Volume;
import java.util.ArrayList;
import java.util.List;

/** One volume that runners open into. */
final class Plenum {
  private final EngineParts parts;
  private final Volume volume;
  private final List<PipeEnd> mouths = new ArrayList<>();
  private final Copies copies;
  private final double openArea;
  private final double[] flows = new double[Replay.FIELDS];
  private final Copies.Receiver receiver;
  private Copies.Reflection reflection;
  private CylinderUnit solved;
  private double pressureSum;
  private double elapsed;

  /**
   * @param sharers cylinders that it feeds, copies with them
   * @param moreArea open to it besides the runners, m²
   */
  Plenum(EngineParts parts, double cubicMetres, int sharers, boolean live, double moreArea) {
    this.parts = parts;
    var c = parts.combination();
    volume =
        new Volume(
            parts.gas(), cubicMetres, c.weather().pressure().si(), parts.chargeTemperature(), 0);
    receiver = (flow, dt) -> Copies.pour(flow, volume, dt);
    copies = new Copies(live ? sharers : 1);
    openArea = sharers * c.intake().runnerEntry().si() + moreArea;
  }

  void join(CylinderUnit unit) {
    var mouth = new PipeEnd(parts.gas(), unit.intake(), true, volume);
    mouth.open(EngineParts.MOUTH * parts.combination().intake().runnerEntry().si());
    mouths.add(mouth);
    solved = unit;
    reflection = unit::intakeReflection;
  }

  boolean fits(Plenum o) {
    return copies.fits(o.copies);
  }

  void copyFrom(Plenum o) {
    volume.copyFrom(o.volume);
    copies.copyFrom(o.copies);
  }

  void freshen(double share) {
    copies.freshen(share);
  }

  /** Finds the flow of every runner, copies included. */
  void couple(double dt, double speed) {
    for (int i = 0; i < mouths.size(); i++) {
      mouths.get(i).couple(dt);
    }
    if (copies.isEmpty()) {
      return;
    }
    var mouth = mouths.getLast();
    double phase = solved.cylinder().phase();
    flows[0] = mouth.massFlow();
    flows[1] = 0;
    flows[2] = mouth.pipeEnthalpy();
    flows[3] = mouth.pipeBurned();
    flows[Replay.PRESSURE] = volume.pressure();
    copies.record(phase, flows);
    copies.play(
        dt,
        phase,
        volume.pressure(),
        solved.intake().echoTime() * speed,
        solved.intake().admittance(true),
        reflection,
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
