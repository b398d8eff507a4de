package grandbore.book;

import grandbore.core.combination.MixtureTable;
import grandbore.core.combination.Provenance;
import grandbore.core.units.Measure;
import java.util.ArrayList;

/**
 * Mixture and spark by speed as a table: heading {@code speed_rpm,lambda}, or {@code
 * speed_rpm,lambda,spark_deg} with the spark before top centre.
 */
public final class MixtureTableCsv {
  private static final String HEADING = "speed_rpm,lambda";
  private static final String SPARK = ",spark_deg";

  private MixtureTableCsv() {}

  /** A table as text. */
  public static String write(MixtureTable table) {
    var out = new StringBuilder(HEADING + (table.hasSpark() ? SPARK : "") + "\n");
    for (var row : table.rows()) {
      out.append(ExactNumber.in(Measure.RPM, row.speed()))
          .append(',')
          .append(ExactNumber.in(Measure.NONE, row.lambda()));
      if (table.hasSpark()) {
        out.append(',').append(ExactNumber.in(Measure.DEGREES, row.advance()));
      }
      out.append('\n');
    }
    return out.toString();
  }

  /**
   * Reads a table.
   *
   * @throws FormatException with the place of the damage
   */
  public static MixtureTable read(String text) {
    var rows = new ArrayList<MixtureTable.Row>();
    int columns = 0;
    for (var record : Csv.records(text)) {
      if (columns == 0) {
        columns = columns(String.join(",", record.stream().map(String::strip).toList()));
        continue;
      }
      if (record.size() != columns) {
        throw new FormatException(
            "line %d: %d columns wanted, as in the heading"
                .formatted(record.getRecordNumber(), columns));
      }
      rows.add(
          new MixtureTable.Row(
              Measure.RPM.toSi(Csv.number(record, 0)),
              Csv.number(record, 1),
              columns == 3 ? Measure.DEGREES.toSi(Csv.number(record, 2)) : Double.NaN));
    }
    if (rows.isEmpty()) {
      throw new FormatException(
          "line 1: a heading and rows wanted: " + HEADING + " or " + HEADING + SPARK);
    }
    return new MixtureTable(Provenance.MEASURED, rows);
  }

  private static int columns(String heading) {
    if (heading.equals(HEADING)) {
      return 2;
    }
    if (heading.equals(HEADING + SPARK)) {
      return 3;
    }
    throw new FormatException(
        "line 1: heading “%s”; wanted: %s or %s%s"
            .formatted(Lines.shortened(heading), HEADING, HEADING, SPARK));
  }
}
