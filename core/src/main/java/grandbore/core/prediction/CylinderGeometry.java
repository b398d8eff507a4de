package grandbore.core.prediction;

import grandbore.core.geometry.SliderCrank;

/**
 * One cylinder's volume and walls. Wall temperatures are the usual ones of a wide-open engine
 * (Heywood 1988, chapter 12).
 *
 * @param clearance volume at top centre, m³
 * @param exhaustOpens rad after the firing top centre
 */
record CylinderGeometry(SliderCrank crank, double bore, double clearance, double exhaustOpens) {
  private static final double HEAD = 470;
  private static final double CROWN = 530;
  private static final double LINER = 420;

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

  double meanHeightAtTop() {
    return clearance / boreArea();
  }

  /** Sum of wall area times the gas's excess temperature over the wall's, m² K. */
  double wallTerm(double volume, double kelvin) {
    double depth = (volume - clearance) / boreArea();
    return boreArea() * (CHAMBER_AREA * (kelvin - HEAD) + kelvin - CROWN)
        + Math.PI * bore * depth * (kelvin - LINER);
  }
}
