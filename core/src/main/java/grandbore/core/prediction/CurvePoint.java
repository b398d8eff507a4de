package grandbore.core.prediction;

import java.util.List;

/**
 * One speed's result, SI.
 *
 * @param rpm rev/min
 * @param torque brake torque, N m
 * @param power brake power, W
 * @param volumetricEfficiency air taken in over the displacement full of outside air
 * @param imep indicated mean pressure of compression and expansion stroke, Pa
 * @param pmep mean pressure lost in gas exchange, Pa; positive where it costs
 * @param fmep friction mean pressure, windage and accessories with it, Pa
 * @param drive mean pressure that a driven compressor takes, Pa
 * @param fuelPerJoule brake specific fuel consumption, kg/J
 * @param airFlow dry air, kg/s
 * @param trappedMass charge in one cylinder at closing, kg
 * @param residual burned share of the trapped charge
 * @param heatShare heat to the cylinders' walls over the heat of the fuel
 * @param peakPressure Pa
 * @param peakAngle crank rad after top centre
 * @param spark crank rad before top centre
 * @param burned50 crank rad after top centre
 * @param exhaustTemperature of the gas that leaves the cylinder, mass mean, K
 * @param plenumPressure mean, Pa
 * @param blowBy share of the charge lost past the rings
 * @param margins to knock
 * @param efforts what the parts bear
 * @param cylinders each that was solved, in firing order
 * @param cycles run until it was periodic
 * @param cellSteps cells of the network moved on, times steps, for measuring speed
 * @param change of work or trapped mass in the last cycle, whichever was more, as a share
 * @param converged whether torque and trapped mass changed by less than 0.1 % a cycle
 * @param note why not, empty where converged
 */
public record CurvePoint(
    double rpm,
    double torque,
    double power,
    double volumetricEfficiency,
    double imep,
    double pmep,
    double fmep,
    double drive,
    double fuelPerJoule,
    double airFlow,
    double trappedMass,
    double residual,
    double heatShare,
    double peakPressure,
    double peakAngle,
    double spark,
    double burned50,
    double exhaustTemperature,
    double plenumPressure,
    double blowBy,
    Margins margins,
    Efforts efforts,
    List<CylinderPoint> cylinders,
    int cycles,
    long cellSteps,
    double change,
    boolean converged,
    String note) {

  /** Brake mean pressure, Pa. */
  public double bmep() {
    return imep - pmep - fmep - drive;
  }
}
