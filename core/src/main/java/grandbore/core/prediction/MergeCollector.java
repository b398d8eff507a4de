package grandbore.core.prediction;

import grandbore.core.waves.Junction;
import grandbore.core.waves.Pipe;

/** Headers: primaries that merge at a small angle into a cell that keeps their momentum. */
final class MergeCollector extends Collector {
  /** Cosine of the usual angle between a primary and the collector's axis, 12°. */
  static final double MERGE_COSINE = 0.978;

  /** Length of the merge in collector diameters. */
  static final double MERGE_LENGTH = 1;

  private final Junction junction;
  private final double copiesArea;
  private int solved = -1;

  MergeCollector(EngineParts parts, Pipe pipe, double diameter, int sharers, boolean live) {
    super(pipe, sharers, live);
    junction = parts.merge(sharers * parts.primaryArea(), diameter);
    copiesArea = live ? (sharers - 1) * parts.primaryArea() : 0;
    junction.join(pipe, true, -1);
  }

  @Override
  void join(CylinderUnit unit) {
    super.join(unit);
    solved = junction.join(unit.exhaust(), false, MERGE_COSINE);
  }

  @Override
  void coupleInside(double dt) {
    junction.couple(dt);
    junction.branchFlow(solved, flows);
    flows[Replay.PRESSURE] = junction.pressure();
  }

  @Override
  void receive(double[] copy, double dt) {
    junction.add(copy[0], copy[1], copy[2], copy[3], copy[Junction.ARRIVING]);
  }

  @Override
  double stableStep() {
    return junction.stableStep(copiesArea);
  }

  @Override
  double pressure() {
    return junction.pressure();
  }

  @Override
  double enthalpy() {
    return junction.enthalpy();
  }

  @Override
  double burned() {
    return junction.burned();
  }

  @Override
  double admittance() {
    return junction.admittance(solved);
  }

  @Override
  double mass() {
    return junction.mass();
  }

  @Override
  double energy() {
    return junction.energy();
  }
}
