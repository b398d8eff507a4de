package grandbore.core.prediction;

import static org.assertj.core.api.Assertions.assertThat;

import grandbore.core.combination.Arrangement;
import grandbore.core.combination.Combination;
import grandbore.core.combination.Exhaust;
import grandbore.core.combination.Intake;
import grandbore.core.combination.InvalidInput;
import grandbore.core.prediction.GasGraph.Lead;
import grandbore.core.prediction.GasGraph.Place;
import grandbore.core.prediction.GasGraph.Way;
import grandbore.core.units.Measure;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** What an engine's gas runs through, as its manifolds have it. */
class GasPathsTest extends EngineTest {
  private static final int INTAKE = 0;
  private static final int EXHAUST = 1;

  /** Every manifold that an engine may have, with and without an air box and a pipe behind. */
  private static List<Combination> fitted(Combination engine) {
    var all = new ArrayList<Combination>(List.of(engine));
    for (var choice :
        List.of(
            List.of("intake.manifold", Intake.Manifold.values()),
            List.of("exhaust.kind", Exhaust.Kind.values()),
            List.of("exhaust.outlet", Exhaust.Outlet.values()),
            List.of("exhaust.balance", Exhaust.Balance.values()))) {
      var more = new ArrayList<Combination>();
      for (var c : all) {
        for (var value : (Object[]) choice.getLast()) {
          chosen(c, (String) choice.getFirst(), value).ifPresent(more::add);
        }
      }
      all = more;
    }
    all.addAll(all.stream().map(c -> with(c, "intake.airBox", 8, Measure.LITRES)).toList());
    return all;
  }

  private static Optional<Combination> chosen(Combination c, String path, Object value) {
    try {
      return Optional.of(c.with(path, value));
    } catch (InvalidInput notOnThisEngine) {
      return Optional.empty();
    }
  }

  /** From the air to every cylinder, and from it through one collector to its bank's outlet. */
  @ParameterizedTest
  @EnumSource(Arrangement.class)
  void everyCylindersGasComesInAndGoesOut(Arrangement layout) {
    var all = fitted(layout.of(EIGHT));
    assertThat(all).hasSizeGreaterThanOrEqualTo(16);
    for (var c : all) {
      for (boolean apart : new boolean[] {false, true}) {
        var graph = GasGraph.of(c, apart);
        assertThat(graph.count(Place.AIR)).isEqualTo(1);
        assertThat(graph.count(Place.OUTLET)).isEqualTo(c.bottomEnd().banks());
        for (int place = 0; place < graph.cylinders().size(); place++) {
          var out = wayOut(graph, graph.leads(place, EXHAUST));
          assertThat(out).extracting(Way::lead).containsOnlyOnce(Lead.COLLECTOR);
          assertThat(graph.place(out.getLast().to())).isEqualTo(Place.OUTLET);
          assertThat(comesFromAir(graph, graph.leads(place, INTAKE))).isTrue();
        }
        assertThat(graph.reached(IntStream.range(0, graph.cylinders().size()).boxed().toList()))
            .containsAll(
                IntStream.range(0, graph.nodes().size())
                    .filter(n -> graph.place(n) != Place.AIR)
                    .boxed()
                    .toList());
      }
    }
  }

  private static List<Way> wayOut(GasGraph graph, int from) {
    var out = new ArrayList<Way>();
    int node = from;
    while (graph.place(node) != Place.OUTLET) {
      var on = graph.from(node).stream().filter(w -> w.lead() != Lead.BALANCE).toList();
      assertThat(on).as("one way on from %s", graph.place(node)).hasSize(1);
      out.add(on.getFirst());
      node = on.getFirst().to();
      assertThat(out).hasSizeLessThan(graph.ways().size() + 1);
    }
    return out;
  }

  private static boolean comesFromAir(GasGraph graph, int node) {
    return graph.place(node) == Place.AIR
        || graph.to(node).stream()
            .filter(w -> w.lead() != Lead.WINDOW)
            .anyMatch(w -> comesFromAir(graph, w.from()));
  }

  private static long reached(Combination c, Place place) {
    var graph = GasGraph.of(c, false);
    return graph.reached(List.of(0)).stream().filter(n -> graph.place(n) == place).count();
  }

  /** What one cylinder's gas does not come to is not built for it: a bank, a plane. */
  @Test
  void onlyWhatIsHeardIsReached() {
    var eight = Arrangement.VEE_8_CROSS.of(EIGHT);
    assertThat(reached(eight, Place.OUTLET)).isEqualTo(1);
    assertThat(reached(eight.with("exhaust.balance", Exhaust.Balance.PIPE), Place.OUTLET))
        .isEqualTo(2);
    var dual = eight.with("intake.manifold", Intake.Manifold.DUAL_PLANE);
    assertThat(reached(dual, Place.PLENUM)).isEqualTo(1);
    assertThat(reached(with(dual, "intake.planeWindow", 2, Measure.SQUARE_INCHES), Place.PLENUM))
        .isEqualTo(2);
    assertThat(reached(with(dual, "intake.airBox", 8, Measure.LITRES), Place.PLENUM)).isEqualTo(2);
  }

  /**
   * Stepped headers bring together those that fire furthest apart: 1 with 4 and 2 with 3 of an
   * in-line four, 1, 2, 3 and 4, 5, 6 of a six (common practice, no source).
   */
  @ParameterizedTest
  @CsvSource({"INLINE_4, 1 4, 2 3", "INLINE_6, 1 2 3, 4 5 6"})
  void stepsJoinThoseThatFireFurthestApart(Arrangement layout, String first, String second) {
    var c = layout.of(EIGHT).with("exhaust.kind", Exhaust.Kind.STEPPED);
    var graph = GasGraph.of(c, true);
    var order = c.bottomEnd().firingOrder();
    for (var group : List.of(first, second)) {
      var merges =
          List.of(group.split(" ")).stream()
              .map(n -> graph.leads(order.indexOf(Integer.valueOf(n)), EXHAUST))
              .distinct()
              .toList();
      assertThat(merges).as("%s in %s", group, order).hasSize(1);
      assertThat(graph.place(merges.getFirst())).isEqualTo(Place.MERGE);
    }
    assertThat(graph.count(Place.MERGE)).isEqualTo(2);
  }

  /** Along a log cylinders stand by their numbers, the last one by the outlet. */
  @Test
  void aLogGoesByNumbers() {
    var c = Arrangement.VEE_8_CROSS.of(EIGHT).with("exhaust.kind", Exhaust.Kind.CAST_MANIFOLD);
    var graph = GasGraph.of(c, true);
    var bottom = c.bottomEnd();
    for (int place = 0; place < bottom.cylinders(); place++) {
      int number = bottom.firingOrder().get(place);
      long after =
          bottom.firingOrder().stream()
              .filter(n -> n > number && bottom.bank(n) == bottom.bank(number))
              .count();
      var out = wayOut(graph, graph.leads(place, EXHAUST));
      assertThat(out.stream().filter(w -> w.lead() == Lead.LOG).count()).isEqualTo(after);
    }
    assertThat(GasGraph.of(c, false).count(Place.TEE)).isEqualTo(2);
  }
}
