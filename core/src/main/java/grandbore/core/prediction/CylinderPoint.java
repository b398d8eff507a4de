package grandbore.core.prediction;

/**
 * One cylinder at one speed, SI.
 *
 * @param number on the engine
 * @param trapped charge at closing, kg
 * @param fresh charge taken in through the valve, kg
 * @param residual burned share of the trapped charge
 * @param imep net indicated mean pressure, Pa
 * @param peakPressure Pa
 * @param exhaustTemperature of the gas that leaves, mass mean, K
 * @param octaneWanted that would just stand it
 */
public record CylinderPoint(
    int number,
    double trapped,
    double fresh,
    double residual,
    double imep,
    double peakPressure,
    double exhaustTemperature,
    double octaneWanted) {}
