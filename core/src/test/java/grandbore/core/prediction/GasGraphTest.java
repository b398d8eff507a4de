package grandbore.core.prediction;

import static org.assertj.core.api.Assertions.assertThat;

import grandbore.core.combination.Arrangement;
import grandbore.core.combination.Exhaust;
import grandbore.core.combination.Intake;
import grandbore.core.prediction.GasGraph.Fired;
import grandbore.core.prediction.GasGraph.Lead;
import grandbore.core.prediction.GasGraph.Node;
import grandbore.core.prediction.GasGraph.Place;
import grandbore.core.prediction.GasGraph.Way;
import grandbore.core.units.Measure;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashSet;
import java.util.List;
import java.util.Random;
import java.util.Set;
import java.util.TreeSet;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** By which angles an engine is itself again. */
class GasGraphTest extends EngineTest {
  private static Set<Long> degrees(GasGraph graph) {
    var all = new TreeSet<Long>();
    graph.turns().forEach(t -> all.add(Math.round(Math.toDegrees(t.by()))));
    return all;
  }

  /** On random graphs the same as by trying every arrangement of nodes and cylinders. */
  @Test
  void turnsAreThoseThatTryingEverythingFinds() {
    var random = new Random(11);
    int turned = 0;
    for (int trial = 0; trial < 400; trial++) {
      var graph = drawn(random);
      var tried = new TreeSet<Long>();
      for (var fired : graph.cylinders()) {
        double by = fired.at();
        if (by > 1e-6 && someArrangementFits(graph, by)) {
          tried.add(Math.round(Math.toDegrees(by)));
        }
      }
      assertThat(degrees(graph)).as("graph %d: %s", trial, graph).isEqualTo(tried);
      turned += tried.size();
    }
    assertThat(turned).isGreaterThan(30);
  }

  /** Two to five cylinders that fire in steps of 180°, some together; up to five nodes. */
  private static GasGraph drawn(Random random) {
    int cylinders = 2 + random.nextInt(3);
    int count = 2 + random.nextInt(3);
    boolean even = random.nextInt(4) > 0;
    var nodes = new ArrayList<Node>();
    for (int n = 0; n < count; n++) {
      nodes.add(new Node(random.nextInt(4) == 0 ? Place.TEE : Place.MERGE, 0));
    }
    var fired = new ArrayList<Fired>();
    for (int k = 0; k < cylinders; k++) {
      double at = even ? k * 4 * Math.PI / cylinders : Math.PI * random.nextInt(4);
      fired.add(new Fired(k == 0 ? 0 : at, List.of(random.nextInt(count), random.nextInt(count))));
    }
    fired.sort((a, b) -> Double.compare(a.at(), b.at()));
    var ways = new ArrayList<Way>();
    var ends = new HashSet<String>();
    for (int k = random.nextInt(4); k > 0; k--) {
      int from = random.nextInt(count);
      int to = random.nextInt(count);
      // A kind leaves a node once, and comes to one once.
      if (from != to && ends.add("out" + from) && ends.add("in" + to)) {
        ways.add(new Way(Lead.LOG, 0, from, to));
      }
    }
    return new GasGraph(Cycle.FOUR_STROKE, fired, nodes, ways);
  }

  private static boolean someArrangementFits(GasGraph graph, double by) {
    for (var nodes : arrangements(graph.nodes().size())) {
      boolean kept = true;
      for (int n = 0; n < nodes.size(); n++) {
        kept &= graph.nodes().get(n).equals(graph.nodes().get(nodes.get(n)));
      }
      var turned = new HashSet<Way>();
      graph
          .ways()
          .forEach(w -> turned.add(new Way(Lead.LOG, 0, nodes.get(w.from()), nodes.get(w.to()))));
      kept &= turned.equals(new HashSet<>(graph.ways()));
      if (kept && firesAlike(graph, by, nodes)) {
        return true;
      }
    }
    return false;
  }

  private static boolean firesAlike(GasGraph graph, double by, List<Integer> nodes) {
    var there =
        new ArrayList<>(graph.cylinders().stream().map(f -> said(f.at(), f.ports())).toList());
    for (var f : graph.cylinders()) {
      double at = graph.cycle().phase(f.at() + by + 1e-9) - 1e-9;
      if (!there.remove(said(at, f.ports().stream().map(nodes::get).toList()))) {
        return false;
      }
    }
    return true;
  }

  private static String said(double at, List<Integer> ports) {
    return Math.round(Math.toDegrees(at)) + " " + ports;
  }

  private static List<List<Integer>> arrangements(int size) {
    if (size == 0) {
      return List.of(List.of());
    }
    var all = new ArrayList<List<Integer>>();
    for (var shorter : arrangements(size - 1)) {
      for (int at = 0; at < size; at++) {
        var next = new ArrayList<>(shorter);
        next.add(at, size - 1);
        all.add(next);
      }
    }
    return all;
  }

  /**
   * An even four is itself every half turn, a cross-plane eight once a turn, a flat-plane one every
   * quarter; a balance pipe leaves the flat-plane one its banks' own half turns (geometry).
   */
  @ParameterizedTest
  @CsvSource({"INLINE_4, 3", "VEE_8_CROSS, 1", "VEE_8_FLAT, 7", "VEE_TWIN_45, 0", "INLINE_6, 5"})
  void knownEnginesTurnAsTheyAreKnownTo(Arrangement layout, int turns) {
    var c = layout.of(EIGHT);
    assertThat(GasGraph.of(c, false).turns()).hasSize(turns);
  }

  /** Along a log or a box each cylinder has a place of its own, so that no turn is left. */
  @Test
  void placesAlongALogOrABoxAreTheirOwn() {
    for (var layout : List.of(Arrangement.INLINE_4, Arrangement.VEE_8_CROSS)) {
      var c = layout.of(EIGHT);
      var log = c.with("exhaust.kind", Exhaust.Kind.CAST_MANIFOLD);
      assertThat(GasGraph.of(log, false).turns()).isNotEmpty();
      assertThat(GasGraph.of(log, true).turns()).isEmpty();
      var box = with(c, "intake.boxLength", 8, Measure.INCHES);
      assertThat(box.intake().isBox()).isTrue();
      assertThat(GasGraph.of(box, true).turns()).isEmpty();
    }
    var tied = Arrangement.VEE_8_FLAT.of(EIGHT).with("exhaust.balance", Exhaust.Balance.PIPE);
    assertThat(degrees(GasGraph.of(tied, false))).containsExactly(180L, 360L, 540L);
    var windows =
        with(
            Arrangement.VEE_8_CROSS.of(EIGHT).with("intake.manifold", Intake.Manifold.DUAL_PLANE),
            "intake.planeWindow",
            2,
            Measure.SQUARE_INCHES);
    assertThat(degrees(GasGraph.of(windows, false))).containsExactly(360L);
    assertThat(Collections.max(degrees(GasGraph.of(windows, false)))).isLessThan(720L);
  }
}
