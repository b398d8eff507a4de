package grandbore.core.combination;

import static grandbore.core.units.Quantity.PRESSURE;
import static grandbore.core.units.Quantity.SHARE;
import static grandbore.core.units.Quantity.TEMPERATURE;

/** The air the engine breathes. */
public record Weather(
    @Spec(
            label = "Air pressure",
            quantity = PRESSURE,
            min = 50e3,
            max = 110e3,
            why = "it is the pressure at the place, not reduced to sea level")
        Given pressure,
    @Spec(
            label = "Air temperature",
            quantity = TEMPERATURE,
            min = 233,
            max = 328,
            why = "engines run in that weather")
        Given temperature,
    @Spec(
            label = "Relative humidity",
            quantity = SHARE,
            min = 0,
            max = 1,
            why = "it is a share of saturation")
        Given humidity) {
  public Weather {
    Specs.check(Weather.class, "weather", pressure, temperature, humidity);
  }
}
