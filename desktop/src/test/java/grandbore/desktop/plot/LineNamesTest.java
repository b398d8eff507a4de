package grandbore.desktop.plot;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Random;
import java.util.function.DoubleUnaryOperator;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Names of lines stand in the plot, by their own line, clear of the others where there is room. */
class LineNamesTest {
  private static final double PIXELS = 240;
  private static final double HIGH = 0.08;

  private static Line line(String name, DoubleUnaryOperator f) {
    var x = new double[61];
    var y = new double[61];
    for (int i = 0; i < x.length; i++) {
      x[i] = 1000 + 100.0 * i;
      y[i] = f.applyAsDouble(i / 60.0);
    }
    return new Line(name, x, y);
  }

  /** Three level lines far apart: each name beside its own and near no other. */
  @Test
  void levelLinesAreEachNamedAtTheirOwn() {
    var lines = List.of(line("low", t -> 0), line("middle", t -> 50), line("high", t -> 100));
    var places = LineNames.of(lines, PIXELS);
    for (int k = 0; k < 3; k++) {
      double own = 50.0 * k;
      assertThat(places.get(k).y()).isCloseTo(own, within(3.0));
      assertThat(places.get(k).x()).isBetween(1000.0, 7000.0);
    }
  }

  /** Whatever the lines, a name stays in the plot and no two names lie on one another. */
  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8})
  void namesStayInThePlotAndOffOneAnother(long seed) {
    var random = new Random(seed);
    var lines = new ArrayList<Line>();
    for (int k = 0; k < 4; k++) {
      double base = 30.0 * k + 10 * random.nextDouble();
      double slope = 20 * (random.nextDouble() - 0.5);
      lines.add(line("line " + k, t -> base + slope * t));
    }
    double low = lines.stream().mapToDouble(l -> min(l.y())).min().orElseThrow();
    double high = lines.stream().mapToDouble(l -> -min(negative(l.y()))).max().orElseThrow();
    double height = high - low;
    var places = LineNames.of(lines, PIXELS);
    for (int k = 0; k < places.size(); k++) {
      var p = places.get(k);
      double far = p.y() + (p.above() ? HIGH : -HIGH) * height;
      assertThat(Math.min(p.y(), far)).isGreaterThanOrEqualTo(low - 0.1001 * height);
      assertThat(Math.max(p.y(), far)).isLessThanOrEqualTo(high + 0.1001 * height);
      for (int j = 0; j < k; j++) {
        var o = places.get(j);
        double otherFar = o.y() + (o.above() ? HIGH : -HIGH) * height;
        boolean aside = Math.abs(o.x() - p.x()) > 6000 * 5.8 * 7 / PIXELS - 1;
        boolean apart =
            Math.max(p.y(), far) <= Math.min(o.y(), otherFar) + 1e-9
                || Math.max(o.y(), otherFar) <= Math.min(p.y(), far) + 1e-9;
        assertThat(aside || apart).isTrue();
      }
    }
  }

  private static double min(double[] values) {
    return java.util.Arrays.stream(values).min().orElseThrow();
  }

  private static double[] negative(double[] values) {
    return java.util.Arrays.stream(values).map(v -> -v).toArray();
  }

  /** Gaps are not named, and a line without a value has no name at all. */
  @Test
  void gapsAreNotNamed() {
    var broken = line("broken", t -> t < 0.5 ? Double.NaN : 10);
    var empty = line("empty", t -> Double.NaN);
    var places = LineNames.of(List.of(broken, empty, line("whole", t -> 40)), PIXELS);
    assertThat(places.get(0).x()).isGreaterThan(4000);
    assertThat(places.get(1)).isNull();
    assertThat(places.get(2)).isNotNull();
  }

  /** Of two hundred lines as many are named as have room, each off the other names, and soon. */
  @Test
  void aCrowdIsNamedWhereThereIsRoom() {
    var random = new Random(1);
    var lines = new ArrayList<Line>();
    for (int k = 0; k < 200; k++) {
      double lift = 0.3 * k;
      lines.add(line("" + k, t -> 100 * Math.sin(3 * t) + lift + random.nextGaussian()));
    }
    var places = LineNames.of(lines, PIXELS);
    var named = places.stream().filter(Objects::nonNull).toList();
    assertThat(named.size()).isBetween(10, 199);
    double height = 0.08 * 160;
    for (int i = 0; i < named.size(); i++) {
      for (int j = 0; j < i; j++) {
        var a = named.get(i);
        var b = named.get(j);
        double low = a.above() ? a.y() : a.y() - height;
        double other = b.above() ? b.y() : b.y() - height;
        boolean aside = Math.abs(a.x() - b.x()) >= 6000 * 5.8 * 2 / PIXELS - 1;
        assertThat(aside || Math.abs(low - other) > 0.9 * height).isTrue();
      }
    }
  }

  /** A line reads between its places, and not beyond its ends or in a gap. */
  @Test
  void aLineReadsBetweenItsPlaces() {
    var l = line("ramp", t -> 60 * t);
    assertThat(l.at(1050)).isCloseTo(0.5, within(1e-9));
    assertThat(l.near(1049)).isCloseTo(0, within(1e-9));
    assertThat(l.at(900)).isNaN();
    assertThat(l.at(7100)).isNaN();
    assertThat(line("gap", t -> t > 0.4 && t < 0.6 ? Double.NaN : 1).at(4000)).isNaN();
  }
}
