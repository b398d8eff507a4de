package grandbore.core.prediction;

import grandbore.core.combination.BottomEnd;
import grandbore.core.combination.Combination;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.NavigableSet;
import java.util.TreeMap;
import java.util.function.IntFunction;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * Which cylinders are solved, and where the others stand as their copies.
 *
 * @param graph what their gas runs through
 * @param each in firing order, the first to fire first
 * @param alike whether all are taken as the mean of them
 */
record RepresentativeCylinders(GasGraph graph, List<Role> each, boolean alike) {
  /**
   * A cylinder that is solved.
   *
   * @param numbers its own and those whose results are its own too
   * @param place in the firing order, from 0
   * @param firesAt crank angle after the first firing, rad
   * @param others where each of its ports leads to, in their order, those that it stands for there
   */
  record Role(List<Integer> numbers, int place, double firesAt, List<Others> others) {
    int number() {
      return numbers.getFirst();
    }
  }

  /** Every cylinder. */
  static RepresentativeCylinders every(Combination c) {
    var graph = GasGraph.of(c, true);
    return new RepresentativeCylinders(
        graph,
        IntStream.range(0, c.bottomEnd().cylinders())
            .mapToObj(place -> role(c, place, List.of(place), ports(graph, k -> Others.NONE)))
            .toList(),
        false);
  }

  /**
   * Every cylinder, those left out that are others over again: where the engine, turned on by an
   * angle, is itself. On a log and along a box each has its own place.
   */
  static RepresentativeCylinders full(BuiltEngine engine) {
    var c = engine.combination();
    boolean alike =
        Stream.of(
                engine.clearances(),
                c.intake().runnerChanges(),
                c.heads().intakeShares(),
                c.heads().exhaustShares(),
                c.mixture().byCylinder())
            .allMatch(each -> each.stream().distinct().count() <= 1);
    return alike ? placed(c, GasGraph.of(c, true), true) : every(c);
  }

  /**
   * Mean cylinders, one for each place that sees the others differently: on a log and along a box
   * each its own.
   */
  static RepresentativeCylinders placed(Combination c) {
    return placed(c, GasGraph.of(c, true), false);
  }

  private static RepresentativeCylinders placed(Combination c, GasGraph graph, boolean named) {
    var bottom = c.bottomEnd();
    var turns = graph.turns();
    if (turns.isEmpty()) {
      return every(c);
    }
    var chosen = new TreeMap<Integer, List<Integer>>();
    var played = new boolean[bottom.cylinders()];
    for (int place = 0; place < played.length; place++) {
      if (!played[place]) {
        var orbit = new ArrayList<>(List.of(place));
        for (var turn : turns) {
          orbit.add(turn.onto().get(place));
        }
        orbit.forEach(p -> played[p] = true);
        chosen.put(representative(graph, orbit, chosen.keySet()), orbit);
      }
    }
    var roles = new ArrayList<Role>();
    chosen.forEach(
        (place, orbit) ->
            roles.add(
                role(
                    c,
                    place,
                    named ? orbit : List.of(place),
                    ports(graph, k -> atTheSame(graph, turns, place, k)))));
    return new RepresentativeCylinders(graph, roles, true);
  }

  /**
   * Of cylinders that are one another over again the first with the most ports whose gas meets that
   * of those chosen before, so that no bank is begun where another stands already.
   */
  private static int representative(
      GasGraph graph, List<Integer> orbit, Collection<Integer> chosen) {
    var reached = graph.reached(chosen);
    return orbit.stream()
        .max(
            Comparator.<Integer>comparingLong(
                    p ->
                        graph.cylinders().get(p).ports().stream().filter(reached::contains).count())
                .thenComparing(Comparator.reverseOrder()))
        .orElseThrow();
  }

  /** Those of a cylinder's copies that stand where one of its ports leads to. */
  private static Others atTheSame(GasGraph graph, List<GasGraph.Turn> turns, int place, int port) {
    return new Others(
        turns.stream()
            .filter(t -> graph.leads(t.onto().get(place), port) == graph.leads(place, port))
            .map(t -> new Others.Later(t.by(), 1))
            .toList());
  }

  /**
   * One mean cylinder for all where they fire evenly. On an unevenly firing bank it hears of the
   * others what they hear of each other on the mean: where two of four follow half a turn later,
   * half a cylinder does. A box is one volume to it, and all on a log meet in its middle.
   */
  static RepresentativeCylinders live(Combination c) {
    var graph = GasGraph.of(c, false);
    if (!c.bottomEnd().firesEvenly() || !hearsAlike(graph)) {
      return placed(c);
    }
    return new RepresentativeCylinders(
        graph,
        List.of(role(c, 0, List.of(0), ports(graph, k -> onTheMean(c.bottomEnd(), graph, k)))),
        true);
  }

  /**
   * Whether a cylinder's gas comes to one plenum, one merge and one outlet alone, as every other's
   * does to its own.
   */
  private static boolean hearsAlike(GasGraph graph) {
    var places = graph.reached(List.of(0)).stream().map(graph::place).toList();
    return Stream.of(GasGraph.Place.PLENUM, GasGraph.Place.MERGE, GasGraph.Place.OUTLET)
        .allMatch(p -> Collections.frequency(places, p) <= 1);
  }

  private static List<Others> ports(GasGraph graph, IntFunction<Others> each) {
    return IntStream.range(0, graph.cylinders().getFirst().ports().size()).mapToObj(each).toList();
  }

  /**
   * @param orbit places whose results it stands for
   */
  private static Role role(Combination c, int place, List<Integer> orbit, List<Others> others) {
    var bottom = c.bottomEnd();
    var order = bottom.firingOrder();
    var numbers =
        Stream.concat(Stream.of(place), orbit.stream().filter(p -> p != place)).map(order::get);
    return new Role(numbers.toList(), place, bottom.firesAt(place), others);
  }

  private static Others onTheMean(BottomEnd bottom, GasGraph graph, int port) {
    int cylinders = bottom.cylinders();
    long cycle = Math.round(Math.toDegrees(graph.cycle().length()));
    var counts = new TreeMap<Long, Integer>();
    for (int mine = 0; mine < cylinders; mine++) {
      for (int other = 0; other < cylinders; other++) {
        if (other != mine && graph.leads(mine, port) == graph.leads(other, port)) {
          double later = Math.toDegrees(bottom.firesAt(other) - bottom.firesAt(mine));
          counts.merge(Math.floorMod(Math.round(later), cycle), 1, Integer::sum);
        }
      }
    }
    return new Others(
        counts.entrySet().stream()
            .map(
                e ->
                    new Others.Later(Math.toRadians(e.getKey()), (double) e.getValue() / cylinders))
            .toList());
  }

  /** The nodes that the gas of those that are solved comes to. */
  NavigableSet<Integer> reached() {
    return graph.reached(each.stream().map(Role::place).toList());
  }

  boolean haveCopies() {
    return each.stream().flatMap(r -> r.others().stream()).anyMatch(o -> !o.each().isEmpty());
  }
}
