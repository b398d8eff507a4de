package grandbore.desktop.weighing;

import grandbore.core.checks.Check;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;

/** What is left of each limit, a column a build, the one that bites any of them first on top. */
final class BesideLimits extends SideTable {
  /** The rest has room enough in all of them. */
  private static final int SHOWN = 12;

  BesideLimits(List<String> names, List<List<Check>> limits) {
    super("What bites first", names);
    setId("beside-limits");
    var labels = new LinkedHashMap<String, String>();
    limits.forEach(all -> all.forEach(c -> labels.putIfAbsent(c.name(), c.label())));
    var ranked = new ArrayList<>(labels.keySet());
    ranked.removeIf(name -> Double.isInfinite(least(name, limits)));
    ranked.sort(Comparator.comparingDouble(name -> least(name, limits)));
    for (var name : ranked.subList(0, Math.min(SHOWN, ranked.size()))) {
      line(
          labels.get(name),
          limits.stream()
              .map(all -> all.stream().filter(c -> c.name().equals(name)).findFirst())
              .map(c -> c.map(BesideLimits::left).orElse("–"))
              .toList());
    }
  }

  /** Of all builds; infinite where none of them can be told. */
  private static double least(String name, List<List<Check>> limits) {
    return limits.stream()
        .flatMap(List::stream)
        .filter(c -> c.name().equals(name) && !Double.isNaN(c.margin()))
        .mapToDouble(Check::margin)
        .min()
        .orElse(Double.POSITIVE_INFINITY);
  }

  /** What is left as a share of what is allowed, in words. */
  static String left(Check c) {
    return Double.isNaN(c.margin())
        ? "–"
        : c.margin() < 0
            ? String.format(Locale.US, "▲ %.0f %% beyond", -100 * c.margin())
            : String.format(Locale.US, "%.0f %% left", 100 * c.margin());
  }
}
