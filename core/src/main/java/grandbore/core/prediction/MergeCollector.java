package grandbore.core.prediction;

import grandbore.core.waves.BranchFlow;
import grandbore.core.waves.Junction;
import grandbore.core.waves.Pipe;

/** Headers: primaries that merge at a small angle into a cell that keeps their momentum. */
final class MergeCollector extends Collector {
  /** Cosine of the usual angle between a primary and the collector's axis, 12°. */
  static final double MERGE_COSINE = 0.978;

  /** Length of the merge in collector diameters. */
  static final double MERGE_LENGTH = 1;

  private final Junction junction;

  MergeCollector(EngineParts parts, Pipe pipe, double diameter, int sharers) {
    super(parts.gas(), pipe);
    junction = parts.piping().merge(sharers * parts.piping().primaryArea(), diameter);
    junction.join(pipe, true, -1);
  }

  void copyGas(MergeCollector o) {
    junction.startFrom(o.junction);
  }

  @Override
  void join(CylinderUnit unit, Others others) {
    join(unit, junction.join(unit.exhaust(), false, MERGE_COSINE), others);
  }

  @Override
  double coupleInside(double dt) {
    junction.couple(dt);
    return junction.met();
  }

  @Override
  void branchFlow(int branch, BranchFlow out) {
    junction.branchFlow(branch, out);
  }

  @Override
  void receive(BranchFlow copy, double share, double admittance, double dt) {
    junction.add(copy, share, admittance);
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
