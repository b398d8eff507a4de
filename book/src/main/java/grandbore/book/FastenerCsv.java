package grandbore.book;

import grandbore.core.clearances.Fastener;
import grandbore.core.clearances.Fastener.Kind;
import grandbore.core.clearances.Fastener.Stage;
import grandbore.core.units.Measure;
import grandbore.core.units.Quantity;
import grandbore.core.units.UnitSystem;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.regex.Pattern;

/**
 * Fasteners as their maker states them, one a row: {@code name,lubricant,rows,sequence,stages},
 * with the sequence as {@code 3 1 2 4} and the stages as {@code 30 lb·ft; 60 lb·ft; 90 deg}.
 */
public final class FastenerCsv {
  private static final String[] HEAD = {"name", "lubricant", "rows", "sequence", "stages"};
  private static final Pattern STAGE = Pattern.compile("([0-9]*[.,]?[0-9]+)\\s*(\\S.*)");

  private FastenerCsv() {}

  /**
   * Reads a table.
   *
   * @throws FormatException with the place of the damage
   */
  public static List<Fastener> read(String text) {
    var all = new ArrayList<Fastener>();
    for (var row : Csv.rows(text, HEAD)) {
      try {
        all.add(fastener(Csv.text(row, 0), Csv.text(row, 1), row.get(2), row.get(3), row.get(4)));
      } catch (IllegalArgumentException e) {
        throw new FormatException(
            "line %d: %s".formatted(row.getRecordNumber(), e.getMessage()), e);
      }
    }
    return all;
  }

  /** One of them from its parts as they are written. */
  public static Fastener fastener(
      String name, String lubricant, String rows, String sequence, String stages) {
    return new Fastener(
        name.strip(),
        lubricant.strip(),
        whole(rows.isBlank() ? "1" : rows, "rows"),
        Arrays.stream(sequence.strip().split("[ ,;]+")).map(n -> whole(n, "sequence")).toList(),
        Arrays.stream(stages.strip().split("\\s*;\\s*")).map(FastenerCsv::stage).toList());
  }

  private static int whole(String text, String what) {
    try {
      return Integer.parseInt(text.strip());
    } catch (NumberFormatException e) {
      throw new FormatException(
          "%s: “%s”; whole numbers wanted, such as 3 1 2 4".formatted(what, Lines.shortened(text)),
          e);
    }
  }

  private static Stage stage(String text) {
    var m = STAGE.matcher(text.strip());
    if (m.matches()) {
      double value = Double.parseDouble(m.group(1).replace(',', '.'));
      String symbol = m.group(2).strip().replace("°", "deg");
      var unit = Measure.of(symbol);
      for (var kind : Kind.values()) {
        if (unit.filter(quantity(kind)::accepts).isPresent()) {
          return new Stage(kind, unit.get().toSi(value));
        }
      }
    }
    throw new FormatException(
        "stages: “%s”; wanted a torque, an angle or a stretch with its unit, such as 30 lb·ft; 90"
                .formatted(text)
            + " deg; 0.006 in");
  }

  private static Quantity quantity(Kind kind) {
    return switch (kind) {
      case TORQUE -> Quantity.TORQUE;
      case ANGLE -> Quantity.ANGLE;
      case STRETCH -> Quantity.CLEARANCE;
    };
  }

  /** A stage in words. */
  public static String show(Stage stage, UnitSystem units) {
    String value = quantity(stage.kind()).show(stage.value(), units);
    return stage.kind() == Kind.TORQUE
        ? value
        : value + (stage.kind() == Kind.ANGLE ? " further" : " of stretch");
  }
}
