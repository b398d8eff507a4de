package grandbore.core.units;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** Conversions of NIST Special Publication 811, appendix B, from memory. */
class PublishedUnitsTest {
  @ParameterizedTest
  @CsvSource({
    "US_GALLONS, 3.785412e-3",
    "US_FLUID_OUNCES, 2.957353e-5",
    "CUBIC_INCHES, 1.638706e-5",
    "FEET_PER_SECOND, 0.3048",
    "FEET_PER_MINUTE, 5.08e-3",
    "FEET_PER_SECOND_SQUARED, 0.3048",
    "PSI, 6894.757",
    "INCHES_OF_MERCURY, 3386.389",
    "POUND_FEET, 1.355818",
    "POUNDS_FORCE, 4.448222",
    "POUNDS, 0.4535924",
    "HORSEPOWER, 745.6999",
    "CUBIC_FEET_PER_MINUTE, 4.719474e-4",
    "SQUARE_INCHES, 6.4516e-4",
    "POUNDS_PER_INCH, 175.1268"
  })
  void unitsAreThePublishedOnes(Measure measure, double si) {
    assertThat(measure.toSi(1)).isCloseTo(si, within(1e-6 * si));
    assertThat(measure.fromSi(measure.toSi(123.4))).isCloseTo(123.4, within(1e-9));
  }

  /** A length by an angle: an inch over a degree, a millimetre over a degree. */
  @Test
  void overlapIsALengthByAnAngle() {
    assertThat(Measure.INCH_DEGREES.toSi(1)).isCloseTo(0.0254 * Math.PI / 180, within(1e-12));
    assertThat(Measure.MILLIMETRE_DEGREES.toSi(1000)).isCloseTo(Math.PI / 180, within(1e-12));
  }

  /** Every kind of number is shown and read back in both systems, to its own digits. */
  @ParameterizedTest
  @EnumSource(Quantity.class)
  void whatIsShownIsReadBack(Quantity q) {
    for (var units : UnitSystem.values()) {
      double digit = Math.pow(10, -q.digits(units));
      double si = q.unit(units).toSi(37 * digit);
      String number = q.number(si, units);
      double back = Entry.parse(number, q, units, 0);
      assertThat(q.unit(units).fromSi(back))
          .as(q + " " + number)
          .isCloseTo(37 * digit, within(0.51 * digit));
      assertThat(q.accepts(q.unit(units))).isTrue();
      assertThat(q.accepts(q.si())).isTrue();
    }
  }

  /** Digits before the point are rounded too where they would claim too much. */
  @Test
  void accelerationsAreNotShownToTheFoot() {
    double si = Measure.FEET_PER_SECOND_SQUARED.toSi(98_827);
    assertThat(Quantity.ACCELERATION.show(si, UnitSystem.US)).isEqualTo("98800 ft/s²");
  }
}
