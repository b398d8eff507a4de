package grandbore.core.job.parts;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import org.jgrapht.alg.matching.KuhnMunkresMinimalWeightBipartitePerfectMatching;
import org.jgrapht.graph.DefaultWeightedEdge;
import org.jgrapht.graph.SimpleWeightedGraph;

/**
 * Who goes where: the one-to-one assignment of least cost, exact, by the method of Kuhn (1955) and
 * Munkres (1957).
 */
public final class Assignment {
  private Assignment() {}

  /**
   * For each thing its place.
   *
   * @param cost of each thing at each place, as many places as things
   */
  public static int[] least(double[][] cost) {
    int n = cost.length;
    if (n < 2) {
      return new int[n];
    }
    var graph = new SimpleWeightedGraph<Integer, DefaultWeightedEdge>(DefaultWeightedEdge.class);
    var things = new ArrayList<Integer>();
    var places = new ArrayList<Integer>();
    for (int i = 0; i < n; i++) {
      things.add(i);
      places.add(n + i);
    }
    things.forEach(graph::addVertex);
    places.forEach(graph::addVertex);
    for (int i = 0; i < n; i++) {
      for (int j = 0; j < n; j++) {
        graph.setEdgeWeight(graph.addEdge(i, n + j), cost[i][j]);
      }
    }
    var matching =
        new KuhnMunkresMinimalWeightBipartitePerfectMatching<>(
                graph, new HashSet<>(things), new HashSet<>(places))
            .getMatching();
    int[] at = new int[n];
    for (var edge : matching.getEdges()) {
      at[graph.getEdgeSource(edge)] = graph.getEdgeTarget(edge) - n;
    }
    return at;
  }

  /** Things in the order of their places. */
  static <T> List<T> ordered(List<T> things, int[] at) {
    var all = new ArrayList<T>(things);
    for (int i = 0; i < at.length; i++) {
      all.set(at[i], things.get(i));
    }
    return all;
  }
}
