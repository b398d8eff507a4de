package grandbore.core.prediction;

import grandbore.core.combustion.HeatTransfer;
import grandbore.core.waves.Pipe;

/**
 * Heat from a cylinder's gas to its walls, and how hot these are by what they took in the last
 * cycle.
 */
final class WallHeat {
  private static final double POLYTROPIC = 1.33;

  private final HeatTransfer model;
  private final CylinderGeometry geometry;
  private double head;
  private double crown;
  private double liner;

  // Sums since the last balance: seconds, and what passed for each kelvin, J/(m² K).
  private double seconds;
  private double passed;
  private double passedTimesGas;
  private double ofLiner;
  private double ofLinerTimesGas;

  /**
   * @param model its coefficient
   */
  WallHeat(HeatTransfer model, CylinderGeometry geometry) {
    this.model = model;
    this.geometry = geometry;
    head = geometry.walls().head().temperature();
    crown = geometry.walls().crown().temperature();
    liner = geometry.walls().liner().temperature();
  }

  HeatTransfer model() {
    return model;
  }

  void startFrom(WallHeat o) {
    head = o.head;
    crown = o.crown;
    liner = o.liner;
  }

  /**
   * How hot the metal is.
   *
   * @param exhaust the pipe behind, its port first
   */
  HotWalls now(Pipe exhaust) {
    return new HotWalls(
        head,
        crown,
        liner,
        exhaust.wallTemperature(0),
        exhaust.wallTemperature(exhaust.cells() - 1));
  }

  /**
   * Heat to the walls in a step, J. What burning adds to the gas's motion goes with the pressure
   * over that of the same charge motored, on a polytrope from where it was closed in.
   *
   * @param volume of the gas, m³
   * @param all that with the crevice, m³
   * @param burns whether a flame is there, or the charge is past its top
   * @param dt s
   */
  double loss(
      Charge c, double volume, double all, boolean burns, double meanPistonSpeed, double dt) {
    double combustion = 0;
    if (c.closed && burns) {
      double motored = c.referencePressure * Math.pow(c.referenceVolume / volume, POLYTROPIC);
      combustion =
          geometry.sweptVolume()
              * c.referenceTemperature
              / (c.referencePressure * c.referenceVolume)
              * (c.pressure - motored);
    }
    double t = c.temperature;
    double h =
        model.coefficient(c.pressure, t, volume, meanPistonSpeed, !c.closed, combustion) * dt;
    double bare = geometry.depth(all);
    seconds += dt;
    passed += h;
    passedTimesGas += h * t;
    ofLiner += h * bare;
    ofLinerTimesGas += h * bare * t;
    return h
        * (geometry.headArea() * (t - head)
            + geometry.boreArea() * (t - crown)
            + Math.PI * geometry.bore() * bare * (t - liner));
  }

  /** Moves all walls that are not kept so many times as far from what they give their heat to. */
  void guess(double times) {
    var w = geometry.walls();
    head = w.head().moved(head, times);
    crown = w.crown().moved(crown, times);
    liner = w.liner().moved(liner, times);
  }

  /** Makes the walls as hot as what they took since the last time wants. */
  void balance() {
    var w = geometry.walls();
    head = w.head().balanced(passed, passedTimesGas, seconds, head);
    crown = w.crown().balanced(passed, passedTimesGas, seconds, crown);
    double stroke = seconds * geometry.depth(geometry.volume(Math.PI));
    liner = w.liner().balanced(ofLiner, ofLinerTimesGas, stroke, liner);
    seconds = 0;
    passed = 0;
    passedTimesGas = 0;
    ofLiner = 0;
    ofLinerTimesGas = 0;
  }
}
