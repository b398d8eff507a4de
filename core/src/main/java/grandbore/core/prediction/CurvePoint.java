package grandbore.core.prediction;

import java.util.List;

/**
 * One speed's result, SI.
 *
 * @param rpm rev/min
 * @param torque brake torque, N m
 * @param power brake power, W
 * @param fuelPerJoule brake specific fuel consumption, kg/J
 * @param charge what was taken in and what became of it
 * @param pressures what the torque is made of
 * @param flame how it burned
 * @param margins to knock
 * @param efforts what the parts bear
 * @param cylinders each that was solved, in firing order
 * @param convergence how the run ended
 */
public record CurvePoint(
    double rpm,
    double torque,
    double power,
    double fuelPerJoule,
    Charge charge,
    MeanPressures pressures,
    Flame flame,
    Margins margins,
    Efforts efforts,
    List<CylinderPoint> cylinders,
    Convergence convergence) {

  /**
   * The charge, cylinders taken on the mean.
   *
   * @param volumetricEfficiency air taken in over the displacement full of outside air
   * @param airFlow dry air of the engine, kg/s
   * @param trappedMass in one cylinder at closing, kg
   * @param residual burned share of the trapped charge
   * @param plenumPressure mean, Pa
   * @param blowBy share of the charge lost past the rings
   * @param exhaustTemperature of the gas that leaves the cylinder, mass mean, K
   */
  public record Charge(
      double volumetricEfficiency,
      double airFlow,
      double trappedMass,
      double residual,
      double plenumPressure,
      double blowBy,
      double exhaustTemperature) {}

  /**
   * Mean pressures over the displacement, Pa.
   *
   * @param imep indicated, of compression and expansion stroke
   * @param pmep lost in gas exchange; positive where it costs
   * @param fmep friction, windage and accessories with it
   * @param drive what a driven compressor takes
   */
  public record MeanPressures(double imep, double pmep, double fmep, double drive) {}

  /**
   * The combustion.
   *
   * @param spark crank rad before top centre
   * @param burned50 where half of the charge has burned, crank rad after top centre
   * @param peakPressure of the cylinder that has most, Pa
   * @param peakAngle crank rad after top centre
   * @param heatShare heat to the cylinders' walls over the heat of the fuel
   */
  public record Flame(
      double spark, double burned50, double peakPressure, double peakAngle, double heatShare) {}

  /**
   * The run.
   *
   * @param cycles run until it was periodic
   * @param cellSteps cells of the network moved on, times steps, for measuring speed
   * @param change of work or trapped mass in the last cycle, whichever was more, as a share
   * @param converged whether torque and trapped mass changed by less than 0.1 % a cycle
   * @param note why not, empty where converged
   */
  public record Convergence(
      int cycles, long cellSteps, double change, boolean converged, String note) {}

  public CurvePoint {
    cylinders = List.copyOf(cylinders);
  }

  /** Brake mean pressure, Pa. */
  public double bmep() {
    return imep() - pmep() - fmep() - drive();
  }

  public double volumetricEfficiency() {
    return charge.volumetricEfficiency;
  }

  public double airFlow() {
    return charge.airFlow;
  }

  public double trappedMass() {
    return charge.trappedMass;
  }

  public double residual() {
    return charge.residual;
  }

  public double plenumPressure() {
    return charge.plenumPressure;
  }

  public double blowBy() {
    return charge.blowBy;
  }

  public double exhaustTemperature() {
    return charge.exhaustTemperature;
  }

  public double imep() {
    return pressures.imep;
  }

  public double pmep() {
    return pressures.pmep;
  }

  public double fmep() {
    return pressures.fmep;
  }

  public double drive() {
    return pressures.drive;
  }

  public double spark() {
    return flame.spark;
  }

  public double burned50() {
    return flame.burned50;
  }

  public double peakPressure() {
    return flame.peakPressure;
  }

  public double peakAngle() {
    return flame.peakAngle;
  }

  public double heatShare() {
    return flame.heatShare;
  }

  public int cycles() {
    return convergence.cycles;
  }

  public long cellSteps() {
    return convergence.cellSteps;
  }

  public double change() {
    return convergence.change;
  }

  public boolean converged() {
    return convergence.converged;
  }

  public String note() {
    return convergence.note;
  }
}
