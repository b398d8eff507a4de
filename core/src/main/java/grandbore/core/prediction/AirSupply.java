package grandbore.core.prediction;

import grandbore.core.combination.Boost;
import grandbore.core.flow.CompressorChart;
import grandbore.core.waves.Atmosphere;
import grandbore.core.waves.Reservoir;

/**
 * The air in front of the throttles: the atmosphere's, or what a compressor makes of it. A
 * compressor is known by its adiabatic efficiency; its temperature rise is the isentropic one over
 * it, of which an intercooler takes a share (any textbook of thermodynamics; Heywood 1988, chapter
 * 6.8). A turbocharger's or a centrifugal compressor's efficiency is its map's where there is one.
 * A turbocharger's pressure is what its turbine's power stands for, up to the waste-gate; a
 * centrifugal compressor's goes with the square of the speed; a positive-displacement blower moves
 * its volume, whatever the pressure behind it.
 */
final class AirSupply {
  private static final double CP = 1010;
  private static final double GAMMA = 1.4;
  private static final double EXPONENT = (GAMMA - 1) / GAMMA;
  private static final double RELAX = 0.5;

  private final EngineParts parts;
  private final Boost boost;
  private final double outsidePressure;
  private final double outsideTemperature;
  private final double chargeTemperature;
  private final Atmosphere air;
  private double gauge;
  private double drivePower;
  private double delivered;
  private double deliveredEnergy;
  private double work;
  private double efficiency;
  private final CompressorChart chart;

  AirSupply(EngineParts parts) {
    this.parts = parts;
    boost = parts.combination().boost();
    outsidePressure = parts.combination().weather().pressure().si();
    outsideTemperature = parts.combination().weather().temperature().si();
    chargeTemperature = parts.chargeTemperature();
    efficiency = boost.efficiency().si();
    chart = boost.map().isGiven() ? new CompressorChart(boost.map()) : null;
    air = new Atmosphere(outsidePressure, chargeTemperature, 0);
  }

  /** Takes over the pressure that another of the same kind has built up. */
  void startFrom(AirSupply o) {
    gauge = o.gauge;
    efficiency = o.efficiency;
    if (gauge > 0) {
      press(outsidePressure + gauge);
    }
  }

  boolean fits(AirSupply o) {
    return boost.kind() == o.boost.kind();
  }

  Reservoir reservoir() {
    return air;
  }

  /** Whether a blower delivers into the plenum itself. */
  boolean feedsPlenum() {
    return boost.kind() == Boost.Kind.POSITIVE_DISPLACEMENT;
  }

  /** Temperature behind compressor and cooler at a pressure, K, the fuel's cooling with it. */
  private double warmed(double pressure) {
    return chargeTemperature + rise(pressure) * (1 - boost.cooling().si());
  }

  /** Work to compress one kilogram to a pressure, J/kg. */
  private double specificWork(double pressure) {
    return CP * rise(pressure);
  }

  /** What compressing to a pressure warms the air by, K. */
  private double rise(double pressure) {
    return outsideTemperature
        * (Math.pow(Math.max(1, pressure / outsidePressure), EXPONENT) - 1)
        / efficiency;
  }

  /** Where the map has the compressor at a flow and a pressure; without one, as given. */
  private void look(double massFlow, double pressure) {
    if (chart != null && massFlow > 0) {
      double corrected = CompressorChart.corrected(massFlow, outsidePressure, outsideTemperature);
      efficiency = chart.efficiency(corrected, pressure / outsidePressure);
    }
  }

  /** What a positive-displacement blower puts into one of so many plenums in a step. */
  void deliver(Reservoir plenum, double dt, double speed, int plenums) {
    double p2 = plenum.pressure() + boost.lostCooling();
    double over = p2 - outsidePressure - boost.pressure().si();
    double inlet = outsidePressure / (parts.gas().freshR() * outsideTemperature);
    double turns = speed / (2 * Math.PI);
    double flow = turns * boost.sweptPerTurn().si() * boost.filling().si() * inlet / plenums;
    // The throttle stands before the blower: it passes no more than it does when choked.
    flow = Math.min(flow, parts.meterFlowAtMost() / plenums);
    double through = over > 0 ? flow * Math.max(0, 1 - over / (0.1 * boost.pressure().si())) : flow;
    double temperature = warmed(p2);
    double energy = through * parts.gas().enthalpy(temperature, 0);
    plenum.receive(through * dt, energy * dt, 0);
    delivered += through * dt;
    deliveredEnergy += energy * dt;
    work += flow * specificWork(p2) * dt;
  }

  /**
   * Sets the state for the next cycle.
   *
   * @param speed of the crank, rad/s
   * @param massFlow of charge in the last cycle, kg/s
   * @param turbinePower of all turbines in the last cycle, W
   * @param seconds the cycle took
   */
  void next(double speed, double massFlow, double turbinePower, double seconds) {
    switch (boost.kind()) {
      case NONE -> {}
      case CENTRIFUGAL -> {
        double share = speed / boost.ratedSpeed().si();
        gauge = boost.pressure().si() * share * share;
        look(massFlow, outsidePressure + gauge);
        press(outsidePressure + gauge);
        drivePower =
            massFlow * specificWork(outsidePressure + gauge) / boost.driveEfficiency().si();
      }
      case TURBOCHARGER -> {
        look(massFlow, outsidePressure + gauge);
        double available =
            massFlow > 0 ? turbinePower * boost.driveEfficiency().si() / massFlow : 0;
        double ratio =
            Math.pow(1 + available * efficiency / (CP * outsideTemperature), 1 / EXPONENT);
        double wanted = Math.min(boost.pressure().si(), outsidePressure * (ratio - 1));
        gauge += RELAX * (wanted - gauge);
        press(outsidePressure + gauge);
      }
      case POSITIVE_DISPLACEMENT -> {
        drivePower = seconds > 0 ? work / seconds / boost.driveEfficiency().si() : 0;
        work = 0;
      }
    }
  }

  private void press(double pressure) {
    air.set(Math.max(0.9 * outsidePressure, pressure - boost.lostCooling()), warmed(pressure));
  }

  /** Turbine power that would hold the boost at the waste-gate's, W. */
  double turbinePowerWanted(double massFlow) {
    return massFlow
        * specificWork(outsidePressure + boost.pressure().si())
        / boost.driveEfficiency().si();
  }

  boolean hasTurbine() {
    return boost.kind() == Boost.Kind.TURBOCHARGER;
  }

  /** Power taken from the crank, W. */
  double drivePower() {
    return drivePower;
  }

  /** Mass given to the engine since the start, kg. */
  double given() {
    return delivered - air.received();
  }

  double givenEnergy() {
    return deliveredEnergy - air.receivedEnergy();
  }
}
