package grandbore.desktop.weighing;

import grandbore.core.studies.Ladder;
import grandbore.core.studies.Repeatability;
import grandbore.core.units.Measure;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.stream.IntStream;

/** What each two changes give together beyond the sum of both alone. */
final class PairsTable extends SideTable {
  PairsTable(Ladder ladder, Measure power) {
    super(
        "Two together beyond the sum of both alone, " + power.symbol(),
        IntStream.rangeClosed(1, ladder.changes().size() - 1).mapToObj(i -> "with " + i).toList());
    setId("ladder-pairs");
    double base = ladder.power(Set.of());
    int n = ladder.changes().size();
    for (int i = 1; i < n; i++) {
      List<String> words = new ArrayList<>();
      for (int j = 0; j < n - 1; j++) {
        words.add(j < i ? words(ladder.interaction(j, i), base, power) : "");
      }
      line("%d  %s".formatted(i + 1, ladder.changes().get(i).name()), words);
    }
  }

  private static String words(double watts, double base, Measure power) {
    return Double.isNaN(watts)
        ? "–"
        : Repeatability.tells(watts, base)
            ? String.format(Locale.US, "%+.1f", power.fromSi(watts))
            : "none";
  }
}
