package grandbore.core.studies;

import grandbore.core.changes.Change;
import grandbore.core.combination.InvalidInput;
import grandbore.core.prediction.BuiltEngine;
import grandbore.core.prediction.Curve;
import grandbore.core.prediction.Fidelity;
import grandbore.core.prediction.WantedBand;
import grandbore.core.runs.Desk;
import grandbore.core.runs.Study;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;

/**
 * Runs a ladder of changes. Every engine starts from where the base ended and from nowhere else, so
 * that no rung hangs on the order in which they are run.
 *
 * @param base as measured
 * @param changes in the order in which they would be made; where two set the same input, the later
 * @param speeds rev/min, spanning the band
 * @param pairs whether each two are run together
 */
public record LadderStudy(
    BuiltEngine base, List<Change> changes, List<Double> speeds, WantedBand band, boolean pairs)
    implements Study<Ladder> {
  private static final int MOST = 12;

  public LadderStudy {
    changes = List.copyOf(changes);
    speeds = List.copyOf(speeds);
    if (changes.isEmpty() || changes.size() > MOST) {
      throw new InvalidInput(
          "Ladder", changes.size() + " changes", "1 to 12", "each two of them are run together");
    }
  }

  @Override
  public String title() {
    return title(changes.size());
  }

  /** Of a ladder of so many changes. */
  public static String title(int changes) {
    return changes == 1 ? "Ladder of one change" : "Ladder of %d changes".formatted(changes);
  }

  @Override
  public List<Object> key() {
    return List.of(base.key(), changes, speeds, band, pairs);
  }

  @Override
  public Ladder solve(Desk<Ladder> desk) {
    var sets = sets();
    desk.expect((sets.size() + 1) * speeds.size());
    var begun = desk.base(base, speeds, Fidelity.PLACED);
    var ladder = new Ladder(changes, Map.of(Set.of(), rung(base, begun.curve())));
    desk.show(ladder);
    for (var few : Batch.few(sets)) {
      for (var ran : Batch.run(desk, begun, few, this::with)) {
        ladder = ladder.with(ran.of(), Rung.of(ran, band));
      }
      desk.show(ladder);
    }
    return ladder;
  }

  /** What is run, the most telling first. */
  private List<Set<Integer>> sets() {
    int n = changes.size();
    var all = new LinkedHashSet<Set<Integer>>();
    for (int i = 0; i < n; i++) {
      all.add(Set.of(i));
    }
    for (int i = 1; i < n; i++) {
      all.add(Ladder.first(i + 1));
    }
    for (int i = 0; n > 1 && i < n; i++) {
      all.add(Ladder.without(n, i));
    }
    for (int i = 0; pairs && i < n; i++) {
      for (int j = 0; j < i; j++) {
        all.add(Set.of(j, i));
      }
    }
    return new ArrayList<>(all);
  }

  /** The base with some changes, made in the order of the ladder. */
  private BuiltEngine with(Set<Integer> made) {
    return Change.on(base, new TreeSet<>(made).stream().map(changes::get).toList());
  }

  private Rung rung(BuiltEngine engine, Curve curve) {
    return Rung.of(engine, curve, band);
  }
}
