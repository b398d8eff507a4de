package grandbore.core.units;

import static grandbore.core.units.Measure.BAR;
import static grandbore.core.units.Measure.CENTISTOKES;
import static grandbore.core.units.Measure.CUBIC_CENTIMETRES;
import static grandbore.core.units.Measure.CUBIC_FEET_PER_MINUTE;
import static grandbore.core.units.Measure.CUBIC_INCHES;
import static grandbore.core.units.Measure.CUBIC_METRES;
import static grandbore.core.units.Measure.CUBIC_METRES_PER_SECOND;
import static grandbore.core.units.Measure.DEGREES;
import static grandbore.core.units.Measure.DEGREES_CELSIUS;
import static grandbore.core.units.Measure.DEGREES_FAHRENHEIT;
import static grandbore.core.units.Measure.FEET_PER_MINUTE;
import static grandbore.core.units.Measure.FEET_PER_SECOND;
import static grandbore.core.units.Measure.FEET_PER_SECOND_SQUARED;
import static grandbore.core.units.Measure.GRAMS;
import static grandbore.core.units.Measure.GRAMS_PER_SECOND;
import static grandbore.core.units.Measure.HORSEPOWER;
import static grandbore.core.units.Measure.INCHES;
import static grandbore.core.units.Measure.INCHES_OF_MERCURY;
import static grandbore.core.units.Measure.INCHES_OF_WATER;
import static grandbore.core.units.Measure.INCH_DEGREES;
import static grandbore.core.units.Measure.KELVINS;
import static grandbore.core.units.Measure.KILOGRAMS;
import static grandbore.core.units.Measure.KILOGRAMS_PER_SECOND;
import static grandbore.core.units.Measure.KILOPASCALS;
import static grandbore.core.units.Measure.KILOWATTS;
import static grandbore.core.units.Measure.LITRES;
import static grandbore.core.units.Measure.LITRES_PER_SECOND;
import static grandbore.core.units.Measure.METRES;
import static grandbore.core.units.Measure.METRES_PER_SECOND;
import static grandbore.core.units.Measure.METRES_PER_SECOND_SQUARED;
import static grandbore.core.units.Measure.METRE_RADIANS;
import static grandbore.core.units.Measure.MICROMETRES;
import static grandbore.core.units.Measure.MILLIMETRES;
import static grandbore.core.units.Measure.MILLIMETRE_DEGREES;
import static grandbore.core.units.Measure.NEWTONS;
import static grandbore.core.units.Measure.NEWTONS_PER_METRE;
import static grandbore.core.units.Measure.NEWTONS_PER_MILLIMETRE;
import static grandbore.core.units.Measure.NEWTON_METRES;
import static grandbore.core.units.Measure.NONE;
import static grandbore.core.units.Measure.PASCALS;
import static grandbore.core.units.Measure.PERCENT;
import static grandbore.core.units.Measure.POUNDS;
import static grandbore.core.units.Measure.POUNDS_FORCE;
import static grandbore.core.units.Measure.POUNDS_PER_HOUR;
import static grandbore.core.units.Measure.POUNDS_PER_INCH;
import static grandbore.core.units.Measure.POUND_FEET;
import static grandbore.core.units.Measure.PSI;
import static grandbore.core.units.Measure.RADIANS;
import static grandbore.core.units.Measure.RADIANS_PER_SECOND;
import static grandbore.core.units.Measure.RPM;
import static grandbore.core.units.Measure.SQUARE_CENTIMETRES;
import static grandbore.core.units.Measure.SQUARE_INCHES;
import static grandbore.core.units.Measure.SQUARE_METRES;
import static grandbore.core.units.Measure.SQUARE_METRES_PER_SECOND;
import static grandbore.core.units.Measure.THOU;
import static grandbore.core.units.Measure.US_FLUID_OUNCES;
import static grandbore.core.units.Measure.US_GALLONS;
import static grandbore.core.units.Measure.WATTS;

import java.util.List;

/** What kind of thing a number is: its unit in each system, its digits, and what it may be in. */
public enum Quantity {
  LENGTH(METRES, INCHES, 3, MILLIMETRES, 2, MICROMETRES, THOU),
  CLEARANCE(METRES, INCHES, 4, MILLIMETRES, 3, METRES, MICROMETRES, THOU),
  AREA(SQUARE_METRES, SQUARE_INCHES, 2, SQUARE_CENTIMETRES, 1),
  VOLUME(CUBIC_METRES, CUBIC_CENTIMETRES, 1, CUBIC_CENTIMETRES, 1, CUBIC_INCHES, LITRES),
  DISPLACEMENT(CUBIC_METRES, CUBIC_INCHES, 1, CUBIC_CENTIMETRES, 0, LITRES),
  ANGLE(RADIANS, DEGREES, 1, DEGREES, 1),
  AIRFLOW(CUBIC_METRES_PER_SECOND, CUBIC_FEET_PER_MINUTE, 0, LITRES_PER_SECOND, 1),
  PRESSURE(PASCALS, INCHES_OF_MERCURY, 2, KILOPASCALS, 1, INCHES_OF_WATER, BAR, PSI),
  DEPRESSION(PASCALS, INCHES_OF_WATER, 1, KILOPASCALS, 2, INCHES_OF_MERCURY),
  TEMPERATURE(KELVINS, DEGREES_FAHRENHEIT, 0, DEGREES_CELSIUS, 1),
  RATIO(NONE, NONE, 2, NONE, 2),
  FACTOR(NONE, NONE, 4, NONE, 4),
  SHARE(NONE, PERCENT, 0, PERCENT, 0, NONE),
  FORCE(NEWTONS, POUNDS_FORCE, 0, NEWTONS, 0),
  STIFFNESS(NEWTONS_PER_METRE, POUNDS_PER_INCH, 0, NEWTONS_PER_MILLIMETRE, 1),
  MASS(KILOGRAMS, GRAMS, 0, GRAMS, 0, POUNDS),
  MASS_FLOW(KILOGRAMS_PER_SECOND, POUNDS_PER_HOUR, 0, GRAMS_PER_SECOND, 0),
  VISCOSITY(SQUARE_METRES_PER_SECOND, CENTISTOKES, 1, CENTISTOKES, 1),
  ROTATION(RADIANS_PER_SECOND, RPM, 0, RPM, 0),
  PISTON_SPEED(METRES_PER_SECOND, FEET_PER_MINUTE, 0, METRES_PER_SECOND, 1),
  POWER(WATTS, HORSEPOWER, 0, KILOWATTS, 0),
  CYLINDER_PRESSURE(PASCALS, PSI, 0, BAR, 1, KILOPASCALS),
  ACCELERATION(
      METRES_PER_SECOND_SQUARED, FEET_PER_SECOND_SQUARED, -2, METRES_PER_SECOND_SQUARED, -2),
  OVERLAP(METRE_RADIANS, INCH_DEGREES, 2, MILLIMETRE_DEGREES, 0),
  GAS_SPEED(METRES_PER_SECOND, FEET_PER_SECOND, 0, METRES_PER_SECOND, 0),
  LIQUID(CUBIC_METRES, US_GALLONS, 2, LITRES, 2, US_FLUID_OUNCES, CUBIC_CENTIMETRES),
  POURED(CUBIC_METRES, US_FLUID_OUNCES, 1, CUBIC_CENTIMETRES, 0),
  HEAT(WATTS, KILOWATTS, 1, KILOWATTS, 1),
  CHANGE(NONE, PERCENT, 1, PERCENT, 1),
  OCTANE(NONE, NONE, 1, NONE, 1),
  COST(NONE, NONE, 0, NONE, 0),
  TORQUE(NEWTON_METRES, POUND_FEET, 0, NEWTON_METRES, 0);

  private final Measure si;
  private final Measure us;
  private final int usDigits;
  private final Measure metric;
  private final int metricDigits;
  private final List<Measure> others;

  Quantity(
      Measure si, Measure us, int usDigits, Measure metric, int metricDigits, Measure... others) {
    this.si = si;
    this.us = us;
    this.usDigits = usDigits;
    this.metric = metric;
    this.metricDigits = metricDigits;
    this.others = List.of(others);
  }

  public Measure unit(UnitSystem system) {
    return system == UnitSystem.US ? us : metric;
  }

  /** Digits after the point; negative where the last ones before it are rounded too. */
  public int digits(UnitSystem system) {
    return system == UnitSystem.US ? usDigits : metricDigits;
  }

  public Measure si() {
    return si;
  }

  /** Whether a number of this kind may be written in that unit. */
  public boolean accepts(Measure measure) {
    return measure == si || measure == us || measure == metric || others.contains(measure);
  }

  /** The bare number as shown, in the system's unit and with its digits. */
  public String number(double si, UnitSystem system) {
    if (!Double.isFinite(si)) {
      return "not a number";
    }
    return number(unit(system).fromSi(si) + 0.0, digits(system));
  }

  private static String number(double shown, int digits) {
    if (digits < 0) {
      double step = Math.pow(10, -digits);
      return String.format(java.util.Locale.ROOT, "%.0f", step * Math.rint(shown / step));
    }
    return String.format(java.util.Locale.ROOT, "%." + digits + "f", shown);
  }

  /** Number and unit as shown. */
  public String show(double si, UnitSystem system) {
    return withUnit(number(si, system), system);
  }

  /**
   * Number and unit of a tolerance: with a digit more than a value has where its own would hide
   * over a twentieth of it.
   */
  public String showTolerance(double si, UnitSystem system) {
    double shown = unit(system).fromSi(si);
    int digits = digits(system);
    double step = Math.pow(10, -digits);
    boolean hidden = Math.abs(step * Math.rint(shown / step) - shown) > 0.05 * Math.abs(shown);
    return withUnit(number(shown, hidden ? digits + 1 : digits), system);
  }

  private String withUnit(String number, UnitSystem system) {
    String symbol = unit(system).symbol();
    return switch (symbol) {
      case "" -> number;
      case "deg" -> number + "°";
      case "%" -> number + " %";
      case "in2" -> number + " in²";
      case "cm2" -> number + " cm²";
      case "in3" -> number + " in³";
      case "m/s2" -> number + " m/s²";
      case "ft/s2" -> number + " ft/s²";
      default -> number + " " + symbol;
    };
  }
}
