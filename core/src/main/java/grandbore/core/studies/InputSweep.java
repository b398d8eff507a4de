package grandbore.core.studies;

import java.util.List;
import java.util.function.ToDoubleFunction;

/**
 * What an engine came to over one input, or over two.
 *
 * @param base the engine as it stands, from which all were begun
 * @param axes one or two
 * @param rungs as far as they were run: the last axis changes fastest
 */
public record InputSweep(Rung base, List<SweepAxis> axes, List<Rung> rungs) {
  public InputSweep {
    axes = List.copyOf(axes);
    rungs = List.copyOf(rungs);
  }

  /** The place of the most power over the band; −1 where none was run or none settled. */
  public int best() {
    return best(Rung::power);
  }

  /** The place of the most of something; −1 where none has it. */
  public int best(ToDoubleFunction<Rung> score) {
    int best = -1;
    for (int i = 0; i < rungs.size(); i++) {
      double is = score.applyAsDouble(rungs.get(i));
      if (!Double.isNaN(is) && (best < 0 || is > score.applyAsDouble(rungs.get(best)))) {
        best = i;
      }
    }
    return best;
  }

  /** The value of an axis at a place, SI. */
  public double value(int axis, int place) {
    int step = axes.size() == 1 ? place : axis == 0 ? place / fast() : place % fast();
    return axes.get(axis).values().get(step);
  }

  private int fast() {
    return axes.getLast().values().size();
  }
}
