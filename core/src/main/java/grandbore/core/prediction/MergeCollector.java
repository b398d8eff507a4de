package grandbore.core.prediction;

import grandbore.core.waves.Junction;

/** Headers: primaries that merge at a small angle into a cell that keeps their momentum. */
final class MergeCollector extends Collector {
  /** Cosine of the usual angle between a primary and the collector's axis, 12°. */
  private static final double MERGE_COSINE = 0.978;

  private static final double SOLVED_FREEDOM = 2.4;

  /** Length of the merge in collector diameters. */
  private static final double MERGE_LENGTH = 1;

  private final Junction junction;
  private final double copiesArea;
  private int solved = -1;

  MergeCollector(EngineParts parts, int bankCylinders, boolean live) {
    super(parts, bankCylinders, live);
    double diameter = parts.combination().exhaust().collectorDiameter().si();
    junction =
        new Junction(
            parts.gas(),
            MERGE_LENGTH * parts.collectorArea() * diameter,
            outside().pressure(),
            900,
            1);
    double primary = parts.combination().exhaust().primaryDiameter().si();
    copiesArea = live ? (bankCylinders - 1) * Math.PI / 4 * primary * primary : 0;
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
  void addCopy(double dt, double answer) {
    Replay.answer(
        flows, answer * junction.admittance(solved), junction.enthalpy(), junction.burned());
    junction.add(flows[0], flows[1], flows[2], flows[3]);
  }

  @Override
  double stableStep() {
    // Copies answer a step late and so stand less than solved primaries do.
    return (copiesArea > 0 ? 1 : SOLVED_FREEDOM) * junction.stableStep(copiesArea);
  }

  @Override
  double pressure() {
    return junction.pressure();
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
