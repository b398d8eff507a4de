package grandbore.book;

import grandbore.core.combination.CompressorMap;
import grandbore.core.combination.Provenance;
import grandbore.core.units.Measure;
import grandbore.core.units.Quantity;
import java.util.ArrayList;
import java.util.Optional;
import java.util.regex.Pattern;

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
    Measure flow = null;
    var rows = new ArrayList<CompressorMap.Row>();
    for (var record : Csv.records(text)) {
      if (record.size() != 4) {
        throw new FormatException(
            "line %d: four columns wanted, shaft speed, flow, ratio and efficiency"
                .formatted(record.getRecordNumber()));
      }
      if (flow == null) {
        var m = FLOW.matcher(record.get(1).strip());
        var unit =
            m.matches()
                ? Measure.of(m.group(1)).filter(Quantity.MASS_FLOW::accepts)
                : Optional.<Measure>empty();
        if (unit.isEmpty() || !record.get(0).strip().equals("shaft_rpm")) {
          throw new FormatException(
              "line 1: the heading is to be shaft_rpm,flow_lb/h,ratio,efficiency (or flow_g/s)");
        }
        flow = unit.get();
        continue;
      }
      rows.add(
          new CompressorMap.Row(
              Measure.RPM.toSi(Csv.number(record, 0)),
              flow.toSi(Csv.number(record, 1)),
              Csv.number(record, 2),
              Csv.number(record, 3)));
    }
    if (rows.isEmpty()) {
      throw new FormatException("line 1: a heading and rows wanted");
    }
    return new CompressorMap(Provenance.CARD, rows);
  }
}
