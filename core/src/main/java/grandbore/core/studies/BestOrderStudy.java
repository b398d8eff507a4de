package grandbore.core.studies;

import grandbore.core.changes.Change;
import grandbore.core.combination.InvalidInput;
import grandbore.core.prediction.BuiltEngine;
import grandbore.core.prediction.Fidelity;
import grandbore.core.prediction.WantedBand;
import grandbore.core.runs.Desk;
import grandbore.core.runs.Study;
import java.util.ArrayList;
import java.util.List;
import java.util.TreeSet;
import java.util.stream.IntStream;

/**
 * The order in which changes give most for their money: at each rung the one of those left that
 * adds most average power for what it costs on top of those made. One that costs nothing counts as
 * if it cost one; where none gives anything that can be told, the rest stays in its order.
 *
 * @param speeds rev/min, spanning the band
 */
public record BestOrderStudy(
    BuiltEngine base, List<Change> changes, List<Double> speeds, WantedBand band)
    implements Study<List<Integer>> {
  public BestOrderStudy {
    changes = List.copyOf(changes);
    speeds = List.copyOf(speeds);
    if (changes.size() < 2) {
      throw new InvalidInput(
          "Order", changes.size() + " changes", "2 or more", "else there is but one order");
    }
  }

  @Override
  public String title() {
    return "Order by gain for money";
  }

  @Override
  public List<Object> key() {
    return List.of(base.key(), changes, speeds, band);
  }

  /** Places of the changes, from 0, in their new order. */
  @Override
  public List<Integer> solve(Desk<List<Integer>> desk) {
    int n = changes.size();
    desk.expect((n * (n + 1) / 2 + 1) * speeds.size());
    var begun = desk.base(base, speeds, Fidelity.PLACED);
    var left = new ArrayList<>(IntStream.range(0, n).boxed().toList());
    var order = new ArrayList<Integer>();
    double stands = band.meanPower(begun.curve());
    while (!left.isEmpty()) {
      int best = -1;
      double most = 0;
      double reached = stands;
      for (var ran : Batch.run(desk, begun, left, i -> with(order, i))) {
        double power = ran.curve().map(band::meanPower).orElse(Double.NaN);
        double gain = power - stands;
        double each = gain / Math.max(1, changes.get(ran.of()).cost().money());
        if (Repeatability.tells(gain, stands) && each > most) {
          most = each;
          best = ran.of();
          reached = power;
        }
      }
      if (best < 0) {
        order.addAll(left);
        left.clear();
      } else {
        order.add(best);
        left.remove(Integer.valueOf(best));
        stands = reached;
      }
      desk.show(List.copyOf(order));
    }
    return List.copyOf(order);
  }

  /** The base with some changes and one more, made in the order of the list. */
  private BuiltEngine with(List<Integer> made, int more) {
    var all = new TreeSet<>(made);
    all.add(more);
    return Change.on(base, all.stream().map(changes::get).toList());
  }
}
