package grandbore.book;

import grandbore.core.prediction.Curve;
import grandbore.core.prediction.CurvePoint;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.LinkedHashMap;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;

/** A predicted curve as a table: one row a speed, units in the header. */
public final class CurveCsv {
  /** What is known of a speed that did not become periodic. */
  private static final Set<String> ALWAYS_KNOWN =
      Set.of(
          "rpm",
          "converged",
          "mean_piston_speed_m_per_s",
          "peak_piston_speed_m_per_s",
          "peak_acceleration_m_per_s2",
          "valves_follow",
          "change_of_last_cycle",
          "cycles",
          "note");

  private CurveCsv() {}

  /**
   * The columns of one point, in their order; numbers and whether it converged. Of one that did not
   * only what does not hang on it is told, the rest is {@code null}.
   */
  public static Map<String, Object> columns(CurvePoint p) {
    var row = new LinkedHashMap<String, Object>();
    row.put("rpm", round(p.rpm(), 1));
    row.put("brake_torque_nm", round(p.torque(), 2));
    row.put("brake_power_kw", round(p.power() / 1e3, 3));
    row.put("volumetric_efficiency", round(p.volumetricEfficiency(), 4));
    row.put("imep_kpa", round(p.imep() / 1e3, 2));
    row.put("pmep_kpa", round(p.pmep() / 1e3, 2));
    row.put("fmep_kpa", round(p.fmep() / 1e3, 2));
    row.put("bsfc_g_per_kwh", round(p.fuelPerJoule() * 3.6e9, 2));
    row.put("air_kg_per_s", round(p.airFlow(), 5));
    row.put("peak_pressure_kpa", round(p.peakPressure() / 1e3, 1));
    row.put("converged", p.converged());
    row.put("peak_pressure_angle_deg", round(Math.toDegrees(p.peakAngle()), 1));
    row.put("spark_advance_deg", round(Math.toDegrees(p.spark()), 1));
    row.put("half_burned_deg", round(Math.toDegrees(p.burned50()), 1));
    row.put("residual_fraction", round(p.residual(), 4));
    row.put("exhaust_gas_k", round(p.exhaustTemperature(), 1));
    row.put("plenum_kpa", round(p.plenumPressure() / 1e3, 2));
    row.put("drive_kpa", round(p.drive() / 1e3, 2));
    row.put("heat_to_walls_fraction", round(p.heatShare(), 4));
    row.put("blow_by_fraction", round(p.blowBy(), 5));
    row.put("octane_wanted", round(p.margins().octaneWanted(), 1));
    row.put("octane_margin", round(p.margins().octane(), 1));
    row.put("spark_margin_deg", round(Math.toDegrees(p.margins().advance()), 1));
    row.put("intake_port_mach", round(p.efforts().portMach(), 3));
    row.put("mean_piston_speed_m_per_s", round(p.efforts().meanPistonSpeed(), 2));
    row.put("peak_piston_speed_m_per_s", round(p.efforts().peakPistonSpeed(), 2));
    row.put("peak_acceleration_m_per_s2", round(p.efforts().peakAcceleration(), 0));
    row.put("rod_tension_n", round(p.efforts().rodTension(), 0));
    row.put("rod_compression_n", round(p.efforts().rodCompression(), 0));
    row.put("side_force_n", round(p.efforts().sideForce(), 0));
    row.put("valves_follow", p.efforts().valvesFollow());
    row.put("change_of_last_cycle", round(p.change(), 6));
    row.put("cycles", p.cycles());
    row.put("note", p.note());
    if (!p.converged()) {
      row.replaceAll((column, value) -> ALWAYS_KNOWN.contains(column) ? value : null);
    }
    return row;
  }

  private static Double round(double value, int digits) {
    if (!Double.isFinite(value)) {
      return null;
    }
    double scale = Math.pow(10, digits);
    return Math.rint(value * scale) / scale;
  }

  /** The whole table. */
  public static String write(Curve curve) {
    var out = new StringBuilder();
    try (var printer =
        new CSVPrinter(out, CSVFormat.RFC4180.builder().setRecordSeparator("\n").get())) {
      for (int i = 0; i < curve.points().size(); i++) {
        var row = columns(curve.points().get(i));
        if (i == 0) {
          printer.printRecord(row.keySet());
        }
        printer.printRecord(row.values().stream().map(CurveCsv::text).toList());
      }
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return out.toString();
  }

  private static String text(Object value) {
    if (value == null) {
      return "";
    }
    if (value instanceof Double d) {
      String s = String.format(Locale.ROOT, "%.5f", d);
      s = s.contains(".") ? s.replaceAll("0+$", "").replaceAll("\\.$", "") : s;
      return s.equals("-0") ? "0" : s;
    }
    return value.toString();
  }
}
