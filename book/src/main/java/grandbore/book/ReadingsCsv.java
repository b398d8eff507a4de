package grandbore.book;

import grandbore.core.clearances.Measurement;
import grandbore.core.clearances.Reading;
import grandbore.core.clearances.Taken;
import grandbore.core.combination.InvalidInput;
import grandbore.core.units.Measure;
import grandbore.core.units.UnitSystem;
import java.io.IOException;
import java.io.StringWriter;
import java.util.ArrayList;
import java.util.List;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import org.apache.commons.csv.CSVRecord;

/** Readings as a table, one a row, each with its unit. */
public final class ReadingsCsv {
  private static final String[] HEAD = {
    "measurement",
    "place",
    "side",
    "value",
    "unit",
    "by",
    "instrument",
    "at",
    "typed",
    "zero_before",
    "zero_after",
    "temperature_K",
    "note",
    "struck"
  };

  private ReadingsCsv() {}

  public static String write(List<Reading> readings, UnitSystem units) {
    var out = new StringWriter();
    try (var printer = new CSVPrinter(out, CSVFormat.RFC4180.builder().setHeader(HEAD).get())) {
      for (var r : readings) {
        var unit = r.measurement().quantity().unit(units);
        var t = r.taken();
        printer.printRecord(
            r.measurement().name(),
            r.place(),
            r.side().name(),
            ExactNumber.in(unit, r.value()).toPlainString(),
            unit.symbol(),
            Csv.cell(t.by()),
            Csv.cell(t.instrument()),
            t.at(),
            Csv.cell(t.typed()),
            ExactNumber.tidy(unit.differenceFromSi(t.zeroBefore())).toPlainString(),
            ExactNumber.tidy(unit.differenceFromSi(t.zeroAfter())).toPlainString(),
            ExactNumber.tidy(t.temperature()).toPlainString(),
            Csv.cell(t.note()),
            r.struck());
      }
    } catch (IOException e) {
      throw new IllegalStateException(e);
    }
    return out.toString();
  }

  /**
   * Reads a table; it is refused whole where a row can't be.
   *
   * @throws FormatException with the place of the damage
   */
  public static List<Reading> read(String text) {
    var all = new ArrayList<Reading>();
    for (var row : Csv.rows(text, HEAD)) {
      try {
        all.add(reading(row));
      } catch (InvalidInput e) {
        throw new FormatException(
            "line %d: %s".formatted(row.getRecordNumber(), e.getMessage()), e);
      }
    }
    return all;
  }

  private static Reading reading(CSVRecord row) {
    var m = Csv.word(row, 0, Measurement.class);
    String symbol = row.get(4).strip();
    var unit =
        Measure.of(symbol)
            .filter(m.quantity()::accepts)
            .orElseThrow(
                () ->
                    new FormatException(
                        "line %d: unit “%s” does not fit"
                            .formatted(row.getRecordNumber(), Lines.shortened(symbol))));
    double zero = unit.toSi(0);
    return new Reading(
        0,
        m,
        Csv.whole(row, 1),
        Csv.word(row, 2, Reading.Side.class),
        unit.toSi(Csv.number(row, 3)),
        new Taken(
            Csv.text(row, 5),
            Csv.text(row, 6),
            Csv.text(row, 8),
            unit.toSi(Csv.number(row, 9)) - zero,
            unit.toSi(Csv.number(row, 10)) - zero,
            Csv.number(row, 11),
            Csv.text(row, 12),
            Times.read(row.get(7).strip(), "line %d: the time".formatted(row.getRecordNumber()))),
        Csv.flag(row, 13));
  }
}
