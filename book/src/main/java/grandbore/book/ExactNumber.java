package grandbore.book;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import grandbore.core.units.Measure;
import java.math.BigDecimal;
import java.math.MathContext;

/**
 * Numbers in a document, written in a unit and read back as the very number in SI: with twelve
 * digits, and the SI number beside them where these do not come back exactly; in the rows of a
 * table with as many digits as that takes.
 */
final class ExactNumber {
  private static final int[] DIGITS = {12, 15, 16, 17};
  private static final int NEIGHBOURS = 4;

  /** How far value and SI may differ before somebody has changed the value by hand. */
  private static final double SAME = 1e-9;

  private ExactNumber() {}

  /** The shortest decimal that comes back as this number, or the nearest where none does. */
  static BigDecimal in(Measure unit, double si) {
    double value = unit.fromSi(si);
    for (int digits : DIGITS) {
      var written = tidy(value, digits);
      if (unit.toSi(written.doubleValue()) == si) {
        return written;
      }
    }
    double up = value;
    double down = value;
    for (int i = 0; i < NEIGHBOURS; i++) {
      up = Math.nextUp(up);
      down = Math.nextDown(down);
      if (unit.toSi(up) == si) {
        return tidy(up, 17);
      }
      if (unit.toSi(down) == si) {
        return tidy(down, 17);
      }
    }
    return tidy(value, 17);
  }

  private static BigDecimal tidy(double value, int digits) {
    var rounded = new BigDecimal(value).round(new MathContext(digits)).stripTrailingZeros();
    return rounded.scale() < 0 ? rounded.setScale(0) : rounded;
  }

  /** Twelve digits: for what is not kept to the last of them, such as spreads. */
  static BigDecimal tidy(double value) {
    return tidy(value, DIGITS[0]);
  }

  /** Puts a value, and its SI number where the value alone would not come back exactly. */
  static void put(ObjectNode node, Measure unit, double si) {
    var value = tidy(unit.fromSi(si));
    node.put("value", value).put("unit", unit.symbol());
    if (unit.toSi(value.doubleValue()) != si) {
      node.put("si", si);
    }
  }

  /** The number that was put; a value changed by hand counts before the SI number beside it. */
  static double read(JsonNode node, Measure unit) {
    double value = unit.toSi(node.get("value").asDouble());
    double si = node.path("si").asDouble(value);
    return Math.abs(si - value) <= SAME * Math.max(Math.abs(si), Math.abs(value)) ? si : value;
  }
}
