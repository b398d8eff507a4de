package grandbore.core.units;

import static tech.units.indriya.unit.Units.CELSIUS;
import static tech.units.indriya.unit.Units.CUBIC_METRE;
import static tech.units.indriya.unit.Units.GRAM;
import static tech.units.indriya.unit.Units.KELVIN;
import static tech.units.indriya.unit.Units.KILOGRAM;
import static tech.units.indriya.unit.Units.METRE;
import static tech.units.indriya.unit.Units.METRE_PER_SQUARE_SECOND;
import static tech.units.indriya.unit.Units.NEWTON;
import static tech.units.indriya.unit.Units.PASCAL;
import static tech.units.indriya.unit.Units.RADIAN;
import static tech.units.indriya.unit.Units.SECOND;
import static tech.units.indriya.unit.Units.SQUARE_METRE;
import static tech.units.indriya.unit.Units.WATT;

import java.util.Arrays;
import java.util.Optional;
import javax.measure.Unit;
import javax.measure.UnitConverter;
import tech.units.indriya.AbstractUnit;

/** The units a person may write, each with its conversion to SI. */
public enum Measure {
  METRES("m", METRE),
  MILLIMETRES("mm", METRE.divide(1000)),
  MICROMETRES("µm", METRE.divide(1_000_000)),
  INCHES("in", METRE.multiply(0.0254)),
  THOU("thou", METRE.multiply(0.0254).divide(1000)),
  SQUARE_METRES("m2", SQUARE_METRE),
  SQUARE_CENTIMETRES("cm2", SQUARE_METRE.divide(10_000)),
  SQUARE_INCHES("in2", SQUARE_METRE.multiply(0.0254 * 0.0254)),
  CUBIC_METRES("m3", CUBIC_METRE),
  CUBIC_CENTIMETRES("cc", CUBIC_METRE.divide(1_000_000)),
  LITRES("l", CUBIC_METRE.divide(1000)),
  CUBIC_INCHES("in3", CUBIC_METRE.multiply(0.0254 * 0.0254 * 0.0254)),
  RADIANS("rad", RADIAN),
  DEGREES("deg", RADIAN.multiply(Math.PI / 180)),
  CUBIC_METRES_PER_SECOND("m3/s", CUBIC_METRE.divide(SECOND)),
  LITRES_PER_SECOND("l/s", CUBIC_METRE.divide(1000).divide(SECOND)),
  CUBIC_FEET_PER_MINUTE("cfm", CUBIC_METRE.multiply(0.028316846592 / 60).divide(SECOND)),
  PASCALS("Pa", PASCAL),
  KILOPASCALS("kPa", PASCAL.multiply(1000)),
  BAR("bar", PASCAL.multiply(100_000)),
  PSI("psi", PASCAL.multiply(6894.757293168)),
  INCHES_OF_WATER("inH2O", PASCAL.multiply(249.08891)),
  INCHES_OF_MERCURY("inHg", PASCAL.multiply(3386.389)),
  US_GALLONS("gal", CUBIC_METRE.multiply(0.003785411784)),
  US_FLUID_OUNCES("fl oz", CUBIC_METRE.multiply(0.003785411784 / 128)),
  KELVINS("K", KELVIN),
  DEGREES_CELSIUS("°C", CELSIUS),
  DEGREES_FAHRENHEIT("°F", KELVIN.divide(1.8).shift(459.67)),
  RPM("rpm", RADIAN.multiply(Math.PI / 30).divide(SECOND)),
  METRES_PER_SECOND("m/s", METRE.divide(SECOND)),
  FEET_PER_SECOND("ft/s", METRE.multiply(0.3048).divide(SECOND)),
  FEET_PER_MINUTE("ft/min", METRE.multiply(0.3048 / 60).divide(SECOND)),
  METRES_PER_SECOND_SQUARED("m/s2", METRE_PER_SQUARE_SECOND),
  FEET_PER_SECOND_SQUARED("ft/s2", METRE_PER_SQUARE_SECOND.multiply(0.3048)),
  WATTS("W", WATT),
  KILOWATTS("kW", WATT.multiply(1000)),
  HORSEPOWER("hp", WATT.multiply(745.699871582)),
  NEWTON_METRES("N·m", AbstractUnit.ONE),
  METRE_RADIANS("m·rad", AbstractUnit.ONE),
  INCH_DEGREES("in·°", AbstractUnit.ONE.multiply(0.0254 * Math.PI / 180)),
  MILLIMETRE_DEGREES("mm·°", AbstractUnit.ONE.multiply(0.001 * Math.PI / 180)),
  POUND_FEET("lb·ft", AbstractUnit.ONE.multiply(1.3558179483314)),
  KILOGRAMS("kg", KILOGRAM),
  GRAMS("g", GRAM),
  POUNDS("lb", KILOGRAM.multiply(0.45359237)),
  NEWTONS("N", NEWTON),
  POUNDS_FORCE("lbf", NEWTON.multiply(4.4482216152605)),
  NEWTONS_PER_METRE("N/m", NEWTON.divide(METRE)),
  NEWTONS_PER_MILLIMETRE("N/mm", NEWTON.divide(METRE).multiply(1000)),
  POUNDS_PER_INCH("lbf/in", NEWTON.divide(METRE).multiply(175.12683524)),
  KILOGRAMS_PER_SECOND("kg/s", KILOGRAM.divide(SECOND)),
  GRAMS_PER_SECOND("g/s", KILOGRAM.divide(SECOND).divide(1000)),
  POUNDS_PER_HOUR("lb/h", KILOGRAM.divide(SECOND).multiply(0.45359237 / 3600)),
  SQUARE_METRES_PER_SECOND("m2/s", SQUARE_METRE.divide(SECOND)),
  CENTISTOKES("cSt", SQUARE_METRE.divide(SECOND).divide(1_000_000)),
  RADIANS_PER_SECOND("rad/s", RADIAN.divide(SECOND)),
  NONE("", AbstractUnit.ONE),
  PERCENT("%", AbstractUnit.ONE.divide(100));

  private final String symbol;

  /** Every unit here is linear in its SI unit: taken from the library once, for speed. */
  private final double factor;

  private final double zero;

  Measure(String symbol, Unit<?> unit) {
    this.symbol = symbol;
    UnitConverter toSi = ((AbstractUnit<?>) unit).getSystemConverter();
    zero = toSi.convert(0.0);
    factor = toSi.convert(1.0) - zero;
  }

  public String symbol() {
    return symbol;
  }

  /** A value written in this unit, in SI. */
  public double toSi(double value) {
    return value * factor + zero;
  }

  /** An SI value in this unit. */
  public double fromSi(double si) {
    return (si - zero) / factor;
  }

  /** The size of an SI difference in this unit, without any offset of its zero. */
  public double differenceFromSi(double si) {
    return si / factor;
  }

  /** The unit of this symbol; common other spellings are understood. */
  public static Optional<Measure> of(String written) {
    String s =
        switch (written.strip()) {
          case "\"", "inch", "inches" -> "in";
          case "cm³", "cm3", "ccm", "ml" -> "cc";
          case "in³", "cid", "ci" -> "in3";
          case "in²" -> "in2";
          case "cm²" -> "cm2";
          case "°", "degrees", "degree" -> "deg";
          case "um", "micron" -> "µm";
          case "L", "litre", "liter" -> "l";
          case "F", "degF" -> "°F";
          case "C", "degC" -> "°C";
          default -> written.strip();
        };
    return Arrays.stream(values()).filter(m -> m.symbol.equalsIgnoreCase(s)).findFirst();
  }
}
