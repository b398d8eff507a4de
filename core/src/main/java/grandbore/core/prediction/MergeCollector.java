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
  private int solved = -1;

  MergeCollector(EngineParts parts, Pipe pipe, double diameter, int sharers, boolean live) {
    super(pipe, sharers, live);
    junction = parts.piping().merge(sharers * parts.piping().primaryArea(), diameter);
    junction.join(pipe, true, -1);
  }

  void copyGas(MergeCollector o) {
    junction.copyFrom(o.junction);
  }

  @Override
  void join(CylinderUnit unit) {
    super.join(unit);
    solved = junction.join(unit.exhaust(), false, MERGE_COSINE);
  }

  @Override
  double coupleInside(double dt) {
    junction.couple(dt);
    junction.branchFlow(solved, flows);
    return junction.met();
  }

  @Override
  void receive(double[] copy, double dt) {
    junction.add(copy, admittance());
  }

  @Override
  double stableStep() {
    return Double.MAX_VALUE;
  }

  @Override
  double pressure() {
    return junction.pressure();
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
