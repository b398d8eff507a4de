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
   * @param burned where shares of the charge have burned
   * @param turbulence speed of it at the spark, m/s
   * @param peakPressure of the cylinder that has most, Pa
   * @param peakAngle crank rad after top centre
   * @param heatShare heat to the cylinders' walls over the heat of the fuel
   * @param tenLess what ten degrees less spark would add to the torque, as a share; not a number
   *     where it can't be told
   * @param tenMore what ten degrees more would
   */
  public record Flame(
      double spark,
      Burned burned,
      double turbulence,
      double peakPressure,
      double peakAngle,
      double heatShare,
      double tenLess,
      double tenMore) {}

  /**
   * Where a tenth, half and nine tenths of what burns have burned, crank rad after top centre: at
   * the spark of a speed.
   */
  public record Burned(double tenth, double half, double most) {
    /** From a tenth to nine tenths, rad. */
    public double rapid() {
      return most - tenth;
    }
  }

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

  /** Air taken in over the displacement full of outside air. */
  public double volumetricEfficiency() {
    return charge.volumetricEfficiency;
  }

  /** Dry air of the engine, kg/s. */
  public double airFlow() {
    return charge.airFlow;
  }

  /** Charge in one cylinder at closing, kg. */
  public double trappedMass() {
    return charge.trappedMass;
  }

  /** Burned share of the trapped charge, 0 to 1. */
  public double residual() {
    return charge.residual;
  }

  /** Mean, Pa. */
  public double plenumPressure() {
    return charge.plenumPressure;
  }

  /** Share of the charge lost past the rings, 0 to 1. */
  public double blowBy() {
    return charge.blowBy;
  }

  /** Of the gas that leaves the cylinder, mass mean, K. */
  public double exhaustTemperature() {
    return charge.exhaustTemperature;
  }

  /** Indicated mean pressure of compression and expansion, Pa. */
  public double imep() {
    return pressures.imep;
  }

  /** Mean pressure lost in gas exchange, Pa; positive where it costs. */
  public double pmep() {
    return pressures.pmep;
  }

  /** Mean pressure of friction, windage and accessories, Pa. */
  public double fmep() {
    return pressures.fmep;
  }

  /** Mean pressure that a driven compressor takes, Pa. */
  public double drive() {
    return pressures.drive;
  }

  /** Crank rad before top centre. */
  public double spark() {
    return flame.spark;
  }

  /** Where half of the charge has burned, crank rad after top centre. */
  public double burned50() {
    return flame.burned.half;
  }

  /** Of the cylinder that has most, Pa. */
  public double peakPressure() {
    return flame.peakPressure;
  }

  /** Of the peak pressure, crank rad after top centre. */
  public double peakAngle() {
    return flame.peakAngle;
  }

  /** Heat to the cylinders' walls over the heat of the fuel, 0 to 1. */
  public double heatShare() {
    return flame.heatShare;
  }

  /** Cycles run until it was periodic. */
  public int cycles() {
    return convergence.cycles;
  }

  /** Cells moved on times steps. */
  public long cellSteps() {
    return convergence.cellSteps;
  }

  /** Of work or trapped mass in the last cycle, as a share. */
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
