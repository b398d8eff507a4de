package grandbore.core.prediction;

import grandbore.core.geometry.SliderCrank;
import grandbore.core.waves.Wall;

/**
 * One cylinder's volume and walls.
 *
 * @param cycle that its phases are of
 * @param clearance volume at top centre, m³
 * @param exhaustOpens rad after the firing top centre
 */
record CylinderGeometry(
    Cycle cycle,
    SliderCrank crank,
    double bore,
    double clearance,
    double exhaustOpens,
    Walls walls) {
  /** Head with valves, piston crown and liner. */
  record Walls(Wall head, Wall crown, Wall liner) {
    /** Of a warm engine that is only turned over or idles. */
    static final Walls WARM = kept(365, 365, 360);

    /** Temperatures that stay, K. */
    static Walls kept(double head, double crown, double liner) {
      return new Walls(Wall.kept(head), Wall.kept(crown), Wall.kept(liner));
    }

    /**
     * Of an engine that works: through the metal and the coolant's film of 7,500 W/(m² K) (Heywood
     * 1988, chapter 12, from memory), 10 mm of aluminium or 8 mm of iron at the head, 6 mm of iron
     * and a slower coolant at the liner; a piston's crown by its rings and what oil is thrown at
     * it.
     */
    static Walls working(boolean ironHead) {
      return new Walls(
          new Wall(470, 365, ironHead ? 3300 : 5100, 0),
          new Wall(550, 390, 3000, 0),
          new Wall(420, 365, 2200, 0));
    }
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

  /** Of chamber and valve faces, m². */
  double headArea() {
    return CHAMBER_AREA * boreArea();
  }
}
