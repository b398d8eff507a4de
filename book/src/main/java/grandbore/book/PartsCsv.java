package grandbore.book;

import grandbore.core.changes.Change;
import grandbore.core.changes.Cost;
import grandbore.core.combination.Given;
import grandbore.core.combination.InvalidInput;
import grandbore.core.combination.Provenance;
import grandbore.core.combination.Specs;
import grandbore.core.shelf.Part;
import grandbore.core.shelf.PartKind;
import grandbore.core.shelf.PartState;
import grandbore.core.units.Entry;
import grandbore.core.units.UnitSystem;
import java.io.IOException;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.TreeMap;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import org.apache.commons.csv.CSVRecord;

/**
 * The shop's parts as a list, one a row: {@code
 * number,kind,state,name,price,labour,hours,supplier,needs,condition}, then a column for each input
 * that some part sets, such as {@code exhaust.primaryLength}, its cells with their unit: {@code 34
 * in}. Needs stand apart by semicolons. Tables, kinds and lists are only in the JSON document.
 */
public final class PartsCsv {
  private static final List<String> HEAD =
      List.of(
          "number",
          "kind",
          "state",
          "name",
          "price",
          "labour",
          "hours",
          "supplier",
          "needs",
          "condition");

  private PartsCsv() {}

  /** The list's text, values in the units of a system. */
  public static String write(List<Part> parts, UnitSystem units) {
    var inputs = new LinkedHashSet<Specs.Field>();
    for (var field : Specs.fields()) {
      if (parts.stream().anyMatch(p -> p.change().sets().get(field.path()) instanceof Given)) {
        inputs.add(field);
      }
    }
    var head = new ArrayList<>(HEAD);
    inputs.forEach(f -> head.add(f.path()));
    var out = new StringWriter();
    try (var printer = new CSVPrinter(out, CSVFormat.RFC4180)) {
      printer.printRecord(head);
      for (var p : parts) {
        printer.printRecord(cells(p, inputs, units));
      }
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return out.toString();
  }

  /** Whether a list holds all that a part sets. */
  public static boolean holds(Part part) {
    return part.change().sets().values().stream().allMatch(Given.class::isInstance);
  }

  private static List<Object> cells(Part p, Iterable<Specs.Field> inputs, UnitSystem units) {
    var c = p.change();
    var cells = new ArrayList<Object>();
    cells.add(Csv.cell(p.number()));
    cells.add(p.kind());
    cells.add(p.state());
    cells.add(Csv.cell(c.name()));
    cells.add(c.cost().price());
    cells.add(c.cost().labour());
    cells.add(c.cost().hours());
    cells.add(Csv.cell(c.supplier()));
    cells.add(Csv.cell(String.join("; ", c.needs())));
    cells.add(Csv.cell(p.condition()));
    for (var f : inputs) {
      cells.add(c.sets().get(f.path()) instanceof Given g ? cell(g, f, units) : "");
    }
    return cells;
  }

  private static String cell(Given g, Specs.Field f, UnitSystem units) {
    var unit = f.spec().quantity().unit(units);
    return (ExactNumber.in(unit, g.si()).toPlainString() + " " + unit.symbol()).strip();
  }

  /**
   * Reads a list, whole or not at all; numbers without a unit are in that of the system.
   *
   * @throws FormatException with the place of the damage
   * @throws InvalidInput where a part's number stands twice
   */
  public static List<Part> read(String text, UnitSystem units) {
    var rows = Csv.records(text);
    if (rows.isEmpty() || rows.getFirst().size() < HEAD.size() || !isHead(rows.getFirst())) {
      throw new FormatException(
          "line 1: the heading is to be %s and then the paths of inputs"
              .formatted(String.join(",", HEAD)));
    }
    var inputs = new ArrayList<Specs.Field>();
    for (int i = HEAD.size(); i < rows.getFirst().size(); i++) {
      inputs.add(field(rows.getFirst().get(i).strip()));
    }
    var parts = new ArrayList<Part>();
    for (var row : rows.subList(1, rows.size())) {
      Csv.columns(row, HEAD.size() + inputs.size());
      try {
        parts.add(part(row, inputs, units));
      } catch (FormatException e) {
        throw e;
      } catch (IllegalArgumentException e) {
        throw new FormatException(
            "line %d: %s".formatted(row.getRecordNumber(), e.getMessage()), e);
      }
    }
    PartsJson.distinct(parts);
    return List.copyOf(parts);
  }

  private static boolean isHead(CSVRecord row) {
    return row.stream().limit(HEAD.size()).map(String::strip).toList().equals(HEAD);
  }

  private static Specs.Field field(String path) {
    return Specs.fields().stream()
        .filter(f -> f.path().equals(path))
        .findFirst()
        .orElseThrow(
            () ->
                new FormatException(
                    "line 1: “%s” is no input; wanted is such as exhaust.primaryLength"
                        .formatted(Lines.shortened(path))));
  }

  private static Part part(CSVRecord row, List<Specs.Field> inputs, UnitSystem units) {
    var sets = new TreeMap<String, Object>();
    for (int i = 0; i < inputs.size(); i++) {
      String cell = row.get(HEAD.size() + i).strip();
      if (!cell.isEmpty()) {
        var spec = inputs.get(i).spec();
        double si = Entry.parse(cell, spec.quantity(), units, 0);
        double spread = Given.usualSpread(si, spec.quantity(), Provenance.CARD);
        sets.put(inputs.get(i).path(), new Given(si, spec.quantity(), Provenance.CARD, spread));
      }
    }
    var needs =
        Arrays.stream(Csv.text(row, 8).split(";"))
            .map(String::strip)
            .filter(n -> !n.isEmpty())
            .toList();
    return new Part(
        Csv.text(row, 0).strip(),
        Csv.word(row, 1, PartKind.class),
        Csv.word(row, 2, PartState.class),
        new Change(
            Csv.text(row, 3).strip(),
            sets,
            new Cost(money(row, 4), money(row, 5), money(row, 6)),
            Csv.text(row, 7).strip(),
            needs),
        Csv.text(row, 9),
        List.of());
  }

  private static double money(CSVRecord row, int column) {
    return row.get(column).isBlank() ? 0 : Csv.number(row, column);
  }
}
