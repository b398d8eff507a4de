package grandbore.book;

import grandbore.core.dyno.Channel;
import grandbore.core.gas.Air;
import grandbore.core.gas.FuelKind;
import grandbore.core.units.Measure;
import grandbore.core.units.Quantity;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.DoubleUnaryOperator;

/**
 * A unit as recorders write it, and how it becomes what a channel keeps.
 *
 * @param written as it stands in the heading
 */
record PullUnit(String written, DoubleUnaryOperator toSi) {
  private static final double STANDARD_AIR = Air.density(29.92 * 3386.389, 519.67 / 1.8);
  private static final double GALLON_AN_HOUR = 0.003785411784 / 3600;
  private static final double LITRE_AN_HOUR = 1e-3 / 3600;

  /** Spellings of the trade, by the unit they mean. */
  private static final Map<String, String> SPELLED =
      Map.ofEntries(
          Map.entry("ftlb", "lb·ft"),
          Map.entry("lbft", "lb·ft"),
          Map.entry("ftlbs", "lb·ft"),
          Map.entry("lbsft", "lb·ft"),
          Map.entry("lbsfeet", "lb·ft"),
          Map.entry("ftlbf", "lb·ft"),
          Map.entry("lbfft", "lb·ft"),
          Map.entry("nm", "N·m"),
          Map.entry("bhp", "hp"),
          Map.entry("chp", "hp"),
          Map.entry("lbhr", "lb/h"),
          Map.entry("lbsh", "lb/h"),
          Map.entry("lbh", "lb/h"),
          Map.entry("lbshr", "lb/h"),
          Map.entry("pph", "lb/h"),
          Map.entry("degf", "°F"),
          Map.entry("fahrenheit", "°F"),
          Map.entry("degc", "°C"),
          Map.entry("celsius", "°C"),
          Map.entry("psig", "psi"),
          Map.entry("psia", "psi"),
          Map.entry("inhg", "inHg"),
          Map.entry("hga", "inHg"),
          Map.entry("inh2o", "inH2O"),
          Map.entry("pct", "%"),
          Map.entry("rh", "%"),
          Map.entry("degbtdc", "deg"),
          Map.entry("btdc", "deg"),
          Map.entry("1min", "rpm"),
          Map.entry("min1", "rpm"),
          Map.entry("umin", "rpm"));

  /**
   * The unit of a channel's column.
   *
   * @param fuel whose mixture and volume is told
   * @return empty where it is not one of this channel
   */
  static Optional<PullUnit> of(String written, Channel channel, FuelKind fuel) {
    String word =
        written
            .toLowerCase(Locale.ROOT)
            .replace("°", "deg")
            .replaceAll("[\\s\\-·*/^.()\\[\\]]", "");
    Double factor = special(word, channel, fuel);
    if (factor != null) {
      double f = factor;
      return Optional.of(new PullUnit(written, v -> v * f));
    }
    if (channel == Channel.RPM) {
      return word.equals("rpm") || "rpm".equals(SPELLED.get(word))
          ? Optional.of(new PullUnit(written, v -> v))
          : Optional.empty();
    }
    String symbol =
        SPELLED.getOrDefault(
            word, word.equals("f") ? "°F" : word.equals("c") ? "°C" : written.strip());
    return Measure.of(symbol)
        .or(() -> Measure.of(word))
        .filter(m -> fits(m, channel))
        .map(m -> new PullUnit(written, m::toSi));
  }

  private static boolean fits(Measure m, Channel channel) {
    var q = channel.quantity();
    return q.accepts(m)
        || (q == Quantity.PRESSURE && Quantity.CYLINDER_PRESSURE.accepts(m))
        || (q == Quantity.POWER && Quantity.HEAT.accepts(m));
  }

  private static Double special(String word, Channel channel, FuelKind fuel) {
    return switch (channel) {
      case AIR_FLOW ->
          switch (word) {
            case "scfm", "cfm" -> STANDARD_AIR * Measure.CUBIC_FEET_PER_MINUTE.toSi(1);
            case "kgh", "kghr" -> 1.0 / 3600;
            default -> null;
          };
      case FUEL_FLOW ->
          switch (word) {
            case "galh", "galhr", "gph" -> GALLON_AN_HOUR * fuel.density();
            case "lh", "lhr" -> LITRE_AN_HOUR * fuel.density();
            case "kgh", "kghr" -> 1.0 / 3600;
            default -> null;
          };
      case LAMBDA, BANK_LAMBDA, CYLINDER_LAMBDA ->
          switch (word) {
            case "afr", "airfuel", "af", "aftofuel", ":1", "1" ->
                1 / fuel.stoichiometricAirFuelRatio();
            case "lambda", "λ" -> 1.0;
            default -> null;
          };
      case MANIFOLD_PRESSURE, AIR_PRESSURE, CRANKCASE_VACUUM, OIL_PRESSURE ->
          switch (word) {
            case "mbar", "hpa" -> 100.0;
            case "mmhg", "torr" -> 133.322;
            default -> null;
          };
      case POWER -> word.equals("ps") ? Double.valueOf(735.49875) : null;
      default -> null;
    };
  }

  /** What a column of this channel is in where nobody says, by how large its numbers are. */
  static String usual(Channel channel, double typical) {
    return switch (channel) {
      case RPM -> "rpm";
      case LAMBDA, BANK_LAMBDA, CYLINDER_LAMBDA -> typical > 4 ? "AFR" : "lambda";
      case KNOCK, HUMIDITY -> channel == Channel.HUMIDITY && typical > 1.5 ? "%" : "";
      case SPARK -> "deg";
      default -> "?";
    };
  }
}
