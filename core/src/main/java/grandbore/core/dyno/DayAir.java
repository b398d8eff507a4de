package grandbore.core.dyno;

import grandbore.core.combination.InvalidInput;
import grandbore.core.combination.Weather;
import grandbore.core.gas.Air;
import grandbore.core.units.Quantity;
import grandbore.core.units.UnitSystem;

/**
 * The air that an engine breathed.
 *
 * @param pressure at the place, not reduced to sea level, Pa
 * @param temperature at the inlet, K
 * @param humidity share of saturation, 0 to 1
 */
public record DayAir(double pressure, double temperature, double humidity) {
  public DayAir {
    check("Air pressure", pressure, 50e3, 110e3, Quantity.PRESSURE);
    check("Air temperature", temperature, 233, 338, Quantity.TEMPERATURE);
    check("Humidity", humidity, 0, 1, Quantity.SHARE);
  }

  private static void check(String what, double is, double least, double most, Quantity quantity) {
    if (!(is >= least && is <= most)) {
      throw new InvalidInput(
          what,
          quantity.show(is, UnitSystem.METRIC),
          quantity.show(least, UnitSystem.METRIC) + " to " + quantity.show(most, UnitSystem.METRIC),
          "a dyno stands in that");
    }
  }

  public static DayAir of(Weather w) {
    return new DayAir(w.pressure().si(), w.temperature().si(), w.humidity().si());
  }

  /** Pressure of the water in it, Pa. */
  public double vapour() {
    return humidity * Air.saturationPressure(temperature);
  }

  /** Pressure of the air without its water, Pa. */
  public double dry() {
    return pressure - vapour();
  }
}
