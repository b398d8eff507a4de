package grandbore.core.prediction;

import grandbore.core.geometry.SliderCrank;

/**
 * One cylinder's volume and walls; the walls' usual temperatures after Heywood (1988), chapter 12.
 *
 * @param clearance volume at top centre, m³
 * @param exhaustOpens rad after the firing top centre
 */
record CylinderGeometry(
    SliderCrank crank, double bore, double clearance, double exhaustOpens, Walls walls) {
  /** Temperatures of head with valves, piston crown and liner, K. */
  record Walls(double head, double crown, double liner) {
    /** Of an engine that works hard. */
    static final Walls HOT = new Walls(470, 530, 420);

    /** Of a warm engine that is only turned over or idles. */
    static final Walls WARM = new Walls(365, 365, 360);
  }

  /** Chamber and valve faces over the bore's area. */
  private static final double CHAMBER_AREA = 1.25;

  double boreArea() {
    return Math.PI / 4 * bore * bore;
  }

  double sweptVolume() {
    return boreArea() * (crank.depth(Math.PI) - crank.depth(0));
  }

  double volume(double phase) {
    return clearance + boreArea() * crank.depth(phase);
  }

  /** Distance of the piston below its top for a volume, m. */
  double depth(double volume) {
    return Math.max(0, volume - clearance) / boreArea();
  }

  /** Sum of wall area times the gas's excess temperature over the wall's, m² K. */
  double wallTerm(double volume, double temperature) {
    double depth = depth(volume);
    return boreArea() * (CHAMBER_AREA * (temperature - walls.head()) + temperature - walls.crown())
        + Math.PI * bore * depth * (temperature - walls.liner());
  }
}
