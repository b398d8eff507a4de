package grandbore.desktop.longsection;

import java.util.Arrays;
import java.util.Comparator;
import java.util.stream.IntStream;

/** Sets things beside one another as near to where each is wanted as goes without overlap. */
final class Spread {
  private Spread() {}

  /**
   * Left edges, in the order given. Those that are wanted too near to each other share the room
   * about where they are wanted on the mean.
   *
   * @param wanted middles, rising or not
   * @param width of each
   * @param from left edge of the room
   * @param to right edge of the room; where it is too narrow they overlap evenly
   */
  static double[] place(double[] wanted, double[] width, double from, double to) {
    int n = wanted.length;
    double sum = Arrays.stream(width).sum();
    double squeeze = sum > to - from ? (to - from) / sum : 1;
    var order =
        IntStream.range(0, n)
            .boxed()
            .sorted(Comparator.comparingDouble(i -> wanted[i]))
            .mapToInt(i -> i)
            .toArray();
    var edge = new double[n];
    // Groups of neighbours that touch: first member, wanted left edge on the mean, width.
    var first = new int[n];
    var start = new double[n];
    var wide = new double[n];
    var count = new int[n];
    int groups = 0;
    for (int k = 0; k < n; k++) {
      int i = order[k];
      first[groups] = k;
      count[groups] = 1;
      wide[groups] = width[i] * squeeze;
      start[groups] = clamp(wanted[i] - width[i] * squeeze / 2, from, to - wide[groups]);
      groups++;
      while (groups > 1 && start[groups - 2] + wide[groups - 2] > start[groups - 1]) {
        int a = groups - 2;
        int b = groups - 1;
        double mean =
            (start[a] * count[a] + (start[b] - wide[a]) * count[b]) / (count[a] + count[b]);
        wide[a] += wide[b];
        count[a] += count[b];
        start[a] = clamp(mean, from, to - wide[a]);
        groups--;
      }
    }
    for (int g = 0; g < groups; g++) {
      double x = start[g];
      for (int k = first[g]; k < first[g] + count[g]; k++) {
        edge[order[k]] = x;
        x += width[order[k]] * squeeze;
      }
    }
    return edge;
  }

  private static double clamp(double v, double low, double high) {
    return Math.max(low, Math.min(v, Math.max(low, high)));
  }
}
