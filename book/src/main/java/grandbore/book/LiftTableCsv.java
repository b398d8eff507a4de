package grandbore.book;

import grandbore.core.combination.LiftTable;
import grandbore.core.combination.Provenance;
import grandbore.core.units.Measure;
import grandbore.core.units.Quantity;
import grandbore.core.units.UnitSystem;
import java.util.ArrayList;
import java.util.regex.Pattern;

/** Measured lobes as tables: heading {@code angle_deg,lift_in} or {@code angle_deg,lift_mm}. */
public final class LiftTableCsv {
  private static final Pattern ANGLE = Pattern.compile("angle_(\\w+)");
  private static final Pattern LIFT = Pattern.compile("lift_(\\w+)");

  private LiftTableCsv() {}

  /** A table of angles and tappet lifts in a system's units. */
  public static String write(LiftTable table, UnitSystem units) {
    var lift = Quantity.LENGTH.unit(units);
    var out = new StringBuilder("angle_deg,lift_" + lift.symbol() + "\n");
    for (var row : table.rows()) {
      out.append(ExactNumber.in(Measure.DEGREES, row.angle()))
          .append(',')
          .append(ExactNumber.in(lift, row.lift()))
          .append('\n');
    }
    return out.toString();
  }

  /**
   * Reads a table.
   *
   * @throws FormatException with the place of the damage
   */
  public static LiftTable read(String text) {
    Measure angle = null;
    Measure lift = null;
    var rows = new ArrayList<LiftTable.Row>();
    for (var record : Csv.records(text)) {
      if (record.size() != 2) {
        throw new FormatException(
            "line %d: two columns wanted, angle and lift".formatted(record.getRecordNumber()));
      }
      if (angle == null) {
        angle = unit(ANGLE, record.get(0).strip(), Quantity.ANGLE);
        lift = unit(LIFT, record.get(1).strip(), Quantity.LENGTH);
        continue;
      }
      rows.add(
          new LiftTable.Row(angle.toSi(Csv.number(record, 0)), lift.toSi(Csv.number(record, 1))));
    }
    if (rows.isEmpty()) {
      throw new FormatException("line 1: a heading and rows wanted, such as angle_deg,lift_in");
    }
    return new LiftTable(Provenance.MEASURED, rows);
  }

  private static Measure unit(Pattern form, String heading, Quantity quantity) {
    var m = form.matcher(heading);
    if (m.matches()) {
      var unit = Measure.of(m.group(1)).filter(quantity::accepts);
      if (unit.isPresent()) {
        return unit.get();
      }
    }
    throw new FormatException(
        "line 1: heading “%s”; wanted: angle_deg and lift_in or lift_mm"
            .formatted(Lines.shortened(heading)));
  }
}
