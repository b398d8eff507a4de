package grandbore.book;

import grandbore.core.prediction.Curve;
import grandbore.core.prediction.CurvePoint;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.LinkedHashMap;
import java.util.Locale;
import java.util.Map;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;

/** A predicted curve as a table: one row a speed, units in the header. */
public final class CurveCsv {
  private CurveCsv() {}

  /** The columns of one point, in their order; numbers and whether it converged. */
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
    row.put("half_burned_deg", round(Math.toDegrees(p.halfBurned()), 1));
    row.put("residual_fraction", round(p.residual(), 4));
    row.put("exhaust_gas_k", round(p.exhaustTemperature(), 1));
    row.put("plenum_kpa", round(p.plenumPressure() / 1e3, 2));
    row.put("cycles", p.cycles());
    row.put("note", p.note());
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
