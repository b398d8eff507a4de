package grandbore.core.units;

import java.util.Locale;
import java.util.regex.Pattern;

/**
 * Reads a number as people write it: {@code 4.125}, {@code 4 1/8}, {@code 104.8 mm}, {@code .030
 * over}, {@code 40 thou}, {@code 63 cc}; a decimal comma is understood.
 */
public final class Entry {
  private static final Pattern FORM =
      Pattern.compile(
          "(?<sign>[-+−]?)\\s*(?:(?<whole>\\d+)[\\s-]+)?(?:(?<top>\\d+)/(?<bottom>\\d+)"
              + "|(?<number>\\d+(?:[.,]\\d*)?|[.,]\\d+))\\s*(?<unit>[^\\d\\s]\\S*?)?\\s*"
              + "(?<over>over|under)?");

  /** Nobody writes a number with more signs. */
  private static final int LONGEST = 60;

  private Entry() {}

  /**
   * Reads a number, or several: feeler leaves, {@code .012+.008}, or what is less than a bridge is
   * high, {@code .500 - .438}, the sign between blanks.
   */
  public static double sum(String text, Quantity quantity, UnitSystem system) {
    double sum = 0;
    for (String part : text.split("\\+", -1)) {
      double sign = 1;
      for (String term : part.split("(?<=\\S)\\s+[-−]\\s+", -1)) {
        sum += sign * parse(term, quantity, system, 0);
        sign = -1;
      }
    }
    return sum;
  }

  /**
   * @param current the value now, SI, that {@code over} and {@code under} count from
   * @throws IllegalArgumentException in words, when it can't be read
   */
  public static double parse(String text, Quantity quantity, UnitSystem system, double current) {
    String written = text.strip();
    var m = FORM.matcher(written);
    if (written.isEmpty() || written.length() > LONGEST || !m.matches()) {
      throw unreadable(text, quantity, system);
    }
    double value;
    if (m.group("top") != null) {
      double bottom = Double.parseDouble(m.group("bottom"));
      if (bottom == 0) {
        throw unreadable(text, quantity, system);
      }
      value = Double.parseDouble(m.group("top")) / bottom;
    } else {
      value = Double.parseDouble(m.group("number").replace(',', '.'));
    }
    if (m.group("whole") != null) {
      if (m.group("top") == null) {
        throw unreadable(text, quantity, system);
      }
      value += Double.parseDouble(m.group("whole"));
    }
    if (!m.group("sign").isEmpty() && !m.group("sign").equals("+")) {
      value = -value;
    }
    String unit = m.group("unit");
    String over = m.group("over");
    if (over == null && unit != null && (unit.equals("over") || unit.equals("under"))) {
      over = unit;
      unit = null;
    }
    var measure = unit == null ? quantity.unit(system) : named(unit, text, quantity, system);
    double si = measure.toSi(value);
    if (over == null) {
      return si;
    }
    return over.equals("over") ? current + si : current - si;
  }

  private static Measure named(String unit, String text, Quantity quantity, UnitSystem system) {
    var measure = Measure.of(unit).orElseThrow(() -> unreadable(text, quantity, system));
    if (!quantity.accepts(measure)) {
      throw new IllegalArgumentException(
          "“%s” is in %s; this wants a number in %s"
              .formatted(text.strip(), measure.symbol(), quantity.unit(system).symbol()));
    }
    return measure;
  }

  private static IllegalArgumentException unreadable(String text, Quantity q, UnitSystem system) {
    return new IllegalArgumentException(
        String.format(
            Locale.ROOT,
            "“%s” can't be read as a number%s",
            shortened(text.strip()),
            q.unit(system).symbol().isEmpty() ? "" : " in " + q.unit(system).symbol()));
  }

  private static String shortened(String text) {
    return text.length() > LONGEST ? text.substring(0, LONGEST) + "…" : text;
  }
}
