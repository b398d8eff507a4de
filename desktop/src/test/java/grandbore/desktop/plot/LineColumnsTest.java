package grandbore.desktop.plot;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What is nearest to a name among many lines: as asking every line at every place finds it. */
class LineColumnsTest {
  private static final double LEFT = 2000;
  private static final double WIDTH = 5120;
  private static final int COLUMNS = 256;

  private static List<Line> lines(Random random, int number) {
    var all = new ArrayList<Line>();
    for (int k = 0; k < number; k++) {
      double base = 400 * random.nextDouble();
      double slope = 0.02 * random.nextGaussian();
      double gap = random.nextDouble() < 0.2 ? 30 : -1;
      var x = IntStream.rangeClosed(0, 64).mapToDouble(i -> LEFT + 80.0 * i).toArray();
      var y =
          IntStream.rangeClosed(0, 64)
              .mapToDouble(i -> i == gap ? Double.NaN : base + slope * 80 * i)
              .toArray();
      all.add(new Line("" + k, x, y));
    }
    return all;
  }

  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3, 4, 5})
  void theNearestIsWhatAskingEveryLineFinds(long seed) {
    var random = new Random(seed);
    var lines = lines(random, 3 + random.nextInt(60));
    var columns = new LineColumns(lines, LEFT, WIDTH);
    for (int t = 0; t < 60; t++) {
      int own = random.nextInt(lines.size());
      double wide = 40 + 800 * random.nextDouble();
      double x = LEFT + wide / 2 + (WIDTH - wide) * random.nextDouble();
      double low = 450 * random.nextDouble() - 25;
      double high = low + 20;
      double least = Double.POSITIVE_INFINITY;
      double top = Double.NEGATIVE_INFINITY;
      boolean broken = false;
      double step = WIDTH / COLUMNS;
      int first = (int) Math.floor((x - wide / 2 - LEFT) / step);
      int last = (int) Math.ceil((x + wide / 2 - LEFT) / step);
      for (int c = Math.max(0, first); c <= Math.min(COLUMNS, last); c++) {
        for (int l = 0; l < lines.size(); l++) {
          double y = lines.get(l).at(LEFT + c * step);
          if (l == own) {
            broken |= Double.isNaN(y);
            top = Math.max(top, y);
          } else if (Double.isFinite(y)) {
            least = Math.min(least, Math.max(0, Math.max(low - y, y - high)));
          }
        }
      }
      assertThat(columns.nearest(own, x, wide, low, high)).isCloseTo(least, within(1e-9));
      double edge = columns.edge(own, x, wide, true);
      if (broken) {
        assertThat(edge).isNaN();
      } else {
        assertThat(edge).isCloseTo(top, within(1e-9));
      }
    }
  }

  /** A line alone has nothing near it; one that ends early is not there beyond its end. */
  @Test
  void whereNoLineIsNothingIsNear() {
    var half = new Line("half", new double[] {LEFT, LEFT + WIDTH / 2}, new double[] {100, 100});
    var whole = new Line("whole", new double[] {LEFT, LEFT + WIDTH}, new double[] {300, 300});
    var columns = new LineColumns(List.of(half, whole), LEFT, WIDTH);
    assertThat(columns.nearest(1, LEFT + 0.9 * WIDTH, 200, 280, 290)).isInfinite();
    assertThat(columns.nearest(1, LEFT + 0.2 * WIDTH, 200, 280, 290)).isCloseTo(180, within(1e-9));
    assertThat(columns.nearest(0, LEFT + 0.9 * WIDTH, 200, 280, 290)).isCloseTo(10, within(1e-9));
    assertThat(columns.edge(0, LEFT + 0.9 * WIDTH, 200, true)).isNaN();
    assertThat(columns.edge(1, LEFT + 0.9 * WIDTH, 200, false)).isCloseTo(300, within(1e-9));
  }
}
