package grandbore.core.prediction;

import grandbore.core.waves.Junction;

/** Headers: primaries that merge at a small angle into a cell that keeps their momentum. */
final class MergeCollector extends Collector {
  /** Cosine of the usual angle between a primary and the collector's axis, 12°. */
  private static final double MERGE_COSINE = 0.978;

  private final Junction junction;
  private int solved = -1;

  MergeCollector(EngineParts parts, int bankCylinders, boolean live) {
    super(parts, bankCylinders, live);
    double diameter = parts.combination().exhaust().collectorDiameter().si();
    junction =
        new Junction(parts.gas(), parts.collectorArea() * diameter, outside().pressure(), 900, 1);
    junction.join(pipe(), true, -1);
  }

  @Override
  void join(CylinderUnit unit) {
    solved = junction.join(unit.exhaust(), false, MERGE_COSINE);
  }

  @Override
  void coupleInside(double dt) {
    junction.couple(dt);
    junction.branchFlow(solved, flows);
    flows[Replay.PRESSURE] = junction.pressure();
  }

  @Override
  void addCopy(double dt) {
    Replay.answer(
        flows,
        junction.admittance(solved),
        junction.pressure(),
        junction.enthalpy(),
        junction.burned());
    junction.add(flows[0], flows[1], flows[2], flows[3]);
  }

  @Override
  double mass() {
    return junction.mass() + silencerMass();
  }

  @Override
  double energy() {
    return junction.energy() + silencerEnergy();
  }
}
