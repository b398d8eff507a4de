package grandbore.core.changes;

import grandbore.core.combination.Brief;
import grandbore.core.combination.Combination;
import grandbore.core.combination.Given;
import grandbore.core.combination.Specs;
import grandbore.core.combination.Worksheet;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Set;

/**
 * An input in which engines differ. What an engine is for and what was only worked out on paper are
 * no inputs of it.
 *
 * @param path of the input: {@code exhaust.primaryLength}
 * @param values of each engine, in their order
 */
public record Difference(String path, List<Object> values) {
  private static final Set<Class<?>> NO_PART = Set.of(Brief.class, Worksheet.class);

  public Difference {
    values = List.copyOf(values);
  }

  /** The paths of all inputs of an engine's parts, in the order of the records. */
  public static List<String> paths() {
    var all = new ArrayList<String>();
    for (var group : Combination.class.getRecordComponents()) {
      if (group.getType().isRecord() && !NO_PART.contains(group.getType())) {
        for (var c : group.getType().getRecordComponents()) {
          all.add(group.getName() + "." + c.getName());
        }
      }
    }
    return all;
  }

  /** All inputs in which they differ, in the order of the records; provenance is no difference. */
  public static List<Difference> among(List<Combination> engines) {
    var all = new ArrayList<Difference>();
    for (var path : paths()) {
      var values = engines.stream().map(e -> e.at(path)).toList();
      if (values.stream().map(Difference::bare).distinct().count() > 1) {
        all.add(new Difference(path, values));
      }
    }
    return List.copyOf(all);
  }

  private static Object bare(Object value) {
    return switch (value) {
      case Given g -> g.si();
      // A sheet or table is what its rows are.
      case Record r -> Specs.values(r).stream().map(Difference::bare).toList();
      default -> value;
    };
  }

  /**
   * What it is called; a choice by what is chosen, and by the part where that alone says little.
   */
  public String label() {
    return Specs.fields().stream()
        .filter(f -> f.path().equals(path))
        .findFirst()
        .map(f -> f.spec().label())
        .orElseGet(this::choice);
  }

  private String choice() {
    int dot = path.indexOf('.');
    String chosen = words(path.substring(dot + 1));
    String all = chosen.contains(" ") ? chosen : words(path.substring(0, dot)) + " " + chosen;
    return all.substring(0, 1).toUpperCase(Locale.ROOT) + all.substring(1);
  }

  private static String words(String name) {
    return name.replaceAll("([a-z])([A-Z])", "$1 $2").toLowerCase(Locale.ROOT);
  }
}
