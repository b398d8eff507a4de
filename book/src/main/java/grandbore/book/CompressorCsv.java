package grandbore.book;

import grandbore.core.combination.CompressorMap;
import grandbore.core.combination.Provenance;
import grandbore.core.units.Measure;
import grandbore.core.units.Quantity;
import java.io.IOException;
import java.io.StringReader;
import java.util.ArrayList;
import java.util.regex.Pattern;
import org.apache.commons.csv.CSVFormat;

/**
 * Compressor maps as tables: heading {@code shaft_rpm,flow_lb/h,ratio,efficiency} or {@code
 * shaft_rpm,flow_g/s,ratio,efficiency}, each speed's line from surge to choke, the slowest first.
 */
public final class CompressorCsv {
  private static final Pattern FLOW = Pattern.compile("flow_(\\S+)");

  private CompressorCsv() {}

  /**
   * Reads a map.
   *
   * @throws FormatException with the place of the damage
   */
  public static CompressorMap read(String text) {
    try (var parser =
        CSVFormat.RFC4180.builder().setTrim(true).get().parse(new StringReader(text))) {
      Measure flow = null;
      var rows = new ArrayList<CompressorMap.Row>();
      for (var record : parser) {
        long line = record.getRecordNumber();
        if (record.size() != 4) {
          throw new FormatException(
              "line %d: four columns wanted, shaft speed, flow, ratio and efficiency"
                  .formatted(line));
        }
        if (flow == null) {
          var m = FLOW.matcher(record.get(1));
          var unit =
              m.matches()
                  ? Measure.of(m.group(1)).filter(Quantity.MASS_FLOW::accepts)
                  : java.util.Optional.<Measure>empty();
          if (unit.isEmpty() || !record.get(0).equals("shaft_rpm")) {
            throw new FormatException(
                "line 1: the heading is to be shaft_rpm,flow_lb/h,ratio,efficiency (or flow_g/s)");
          }
          flow = unit.get();
          continue;
        }
        rows.add(
            new CompressorMap.Row(
                Measure.RPM.toSi(number(record.get(0), line)),
                flow.toSi(number(record.get(1), line)),
                number(record.get(2), line),
                number(record.get(3), line)));
      }
      if (rows.isEmpty()) {
        throw new FormatException("line 1: a heading and rows wanted");
      }
      return new CompressorMap(Provenance.CARD, rows);
    } catch (IOException e) {
      throw new FormatException("Not a table: " + e.getMessage(), e);
    }
  }

  private static double number(String text, long line) {
    try {
      return Double.parseDouble(text);
    } catch (NumberFormatException e) {
      throw new FormatException("line %d: “%s” is no number".formatted(line, text), e);
    }
  }
}
