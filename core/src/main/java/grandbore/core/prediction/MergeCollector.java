package grandbore.core.prediction;

import grandbore.core.waves.BranchFlow;
import grandbore.core.waves.Junction;
import grandbore.core.waves.Pipe;

/** Headers: primaries that merge at a small angle. */
final class MergeCollector extends Collector {
  /** Cosine of the usual angle between a primary and the collector's axis, 12°. */
  static final double MERGE_COSINE = 0.978;

  private final Junction junction;

  MergeCollector(EngineParts parts, Pipe pipe) {
    super(parts, pipe);
    junction = parts.piping().merge();
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
    junction.couple();
    return junction.pressure();
  }

  @Override
  void branchFlow(int branch, BranchFlow out) {
    junction.branchFlow(branch, out);
  }

  @Override
  void receive(int branch, BranchFlow copy, double share, double admittance) {
    junction.add(branch, copy, share, admittance);
  }

  @Override
  double pressure() {
    return junction.pressure();
  }
}
