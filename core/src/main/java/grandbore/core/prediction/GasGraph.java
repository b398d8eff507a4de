package grandbore.core.prediction;

import grandbore.core.combination.BottomEnd;
import grandbore.core.combination.Combination;
import grandbore.core.combination.Exhaust;
import grandbore.core.combination.Intake;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;

/**
 * What the gas of an engine runs through as a graph: cylinders, each with ports that lead to nodes
 * (plenums, merges, ends), and pipes between nodes. Its turns are the angles by which it can be
 * turned and is itself: every cylinder then stands where another fired, and its ports, and the
 * pipes behind them, lead to what that one's lead to.
 *
 * @param cylinders in firing order
 * @param nodes what each is; only nodes of the same name may come to one another's places
 */
record GasGraph(Cycle cycle, List<Fired> cylinders, List<String> nodes, List<Way> ways) {
  /** Firings closer than that are at the same angle, rad. */
  private static final double SAME = 1e-3;

  /**
   * A cylinder.
   *
   * @param at crank angle of its firing after the first, rad
   * @param ports the node that each of its ports leads to, all cylinders' in the same order
   */
  record Fired(double at, List<Integer> ports) {}

  /** A pipe from one node to another. */
  record Way(String name, int from, int to) {}

  /**
   * An angle that turns the engine onto itself.
   *
   * @param by rad
   * @param onto the place in the firing order that each cylinder comes to
   */
  record Turn(double by, List<Integer> onto) {}

  /**
   * Of a combination.
   *
   * @param apart whether each cylinder has its own place along a log or a box
   */
  static GasGraph of(Combination c, boolean apart) {
    return new Maker(c, apart).graph();
  }

  /** All angles by which it can be turned but the whole cycle, in the order of the firings. */
  List<Turn> turns() {
    var turns = new ArrayList<Turn>();
    double last = 0;
    for (var fired : cylinders) {
      double by = fired.at - cylinders.getFirst().at;
      if (by > last + SAME) {
        turn(by).ifPresent(turns::add);
        last = by;
      }
    }
    return turns;
  }

  private Optional<Turn> turn(double by) {
    var search = new Search(by);
    return search.place(0)
        ? Optional.of(new Turn(by, Arrays.stream(search.onto).boxed().toList()))
        : Optional.empty();
  }

  /** Looks for where cylinders and nodes come to, cylinder after cylinder, and takes back. */
  private final class Search {
    private static final int FREE = -1;

    private final double by;
    private final int[] onto = free(cylinders.size());
    private int[] nodes = free(GasGraph.this.nodes.size());

    Search(double by) {
      this.by = by;
    }

    private static int[] free(int size) {
      var all = new int[size];
      Arrays.fill(all, FREE);
      return all;
    }

    boolean place(int cylinder) {
      if (cylinder == onto.length) {
        return true;
      }
      double fires = cylinders.get(cylinder).at + by;
      for (int to = 0; to < onto.length; to++) {
        if (cycle.apart(cylinders.get(to).at, fires) < SAME && !taken(onto, to)) {
          var before = nodes.clone();
          onto[cylinder] = to;
          if (follow(cylinder, to) && place(cylinder + 1)) {
            return true;
          }
          onto[cylinder] = FREE;
          nodes = before;
        }
      }
      return false;
    }

    private boolean taken(int[] all, int value) {
      return Arrays.stream(all).anyMatch(v -> v == value);
    }

    private boolean follow(int cylinder, int to) {
      var mine = cylinders.get(cylinder).ports;
      var other = cylinders.get(to).ports;
      boolean fits = mine.size() == other.size();
      for (int k = 0; fits && k < mine.size(); k++) {
        fits = map(mine.get(k), other.get(k));
      }
      return fits;
    }

    /** Brings a node to another's place, and what its pipes lead to with it. */
    private boolean map(int from, int to) {
      if (nodes[from] != FREE || taken(nodes, to)) {
        return nodes[from] == to;
      }
      if (!GasGraph.this.nodes.get(from).equals(GasGraph.this.nodes.get(to))) {
        return false;
      }
      nodes[from] = to;
      return along(from, to, true) && along(from, to, false);
    }

    /** Each name leaves a node once at most, and comes to it once at most. */
    private boolean along(int from, int to, boolean forward) {
      for (var way : ways) {
        if ((forward ? way.from : way.to) == from) {
          var other =
              ways.stream()
                  .filter(w -> w.name.equals(way.name) && (forward ? w.from : w.to) == to)
                  .toList();
          if (other.size() != 1
              || !map(
                  forward ? way.to : way.from,
                  forward ? other.getFirst().to : other.getFirst().from)) {
            return false;
          }
        }
      }
      return true;
    }
  }

  /** Puts the nodes of a combination together. */
  private static final class Maker {
    private final Combination c;
    private final BottomEnd bottom;
    private final boolean apart;
    private final List<String> nodes = new ArrayList<>();
    private final List<Way> ways = new ArrayList<>();

    Maker(Combination c, boolean apart) {
      this.c = c;
      this.apart = apart;
      bottom = c.bottomEnd();
    }

    GasGraph graph() {
      var intake = intake();
      var exhaust = exhaust();
      var fired =
          IntStream.range(0, bottom.cylinders())
              .mapToObj(p -> new Fired(bottom.firesAt(p), List.of(intake.get(p), exhaust.get(p))))
              .toList();
      return new GasGraph(Cycle.FOUR_STROKE, fired, List.copyOf(nodes), List.copyOf(ways));
    }

    private int node(String name) {
      nodes.add(name);
      return nodes.size() - 1;
    }

    private void way(String name, int from, int to) {
      ways.add(new Way(name, from, to));
    }

    /** The node that each place of the firing order draws from. */
    private List<Integer> intake() {
      var in = c.intake();
      int air = node("air");
      if (in.airBox().isKnown()) {
        int box = node("air box");
        way("duct", air, box);
        air = box;
      }
      if (in.manifold() == Intake.Manifold.INDIVIDUAL) {
        return Collections.nCopies(bottom.cylinders(), air);
      }
      if (in.isBox() && apart) {
        return alongBox(air);
      }
      // Named apart: each plane is solved, and stays itself.
      int planes = RepresentativeCylinders.planes(c);
      var all = IntStream.range(0, planes).map(k -> node("plane " + k)).boxed().toList();
      for (int k = 0; k < planes; k++) {
        way("throttle " + k, air, all.get(k));
      }
      if (planes == 2 && in.planeWindow().si() > 0) {
        way("window", all.get(0), all.get(1));
      }
      return IntStream.range(0, bottom.cylinders()).mapToObj(p -> all.get(p % planes)).toList();
    }

    private List<Integer> alongBox(int air) {
      int places = bottom.cylinders() / bottom.banks();
      var cells = IntStream.range(0, places).map(k -> node("box")).boxed().toList();
      way("throttle", air, cells.getFirst());
      for (int k = 0; k + 1 < places; k++) {
        way("box", cells.get(k), cells.get(k + 1));
      }
      return IntStream.range(0, bottom.cylinders())
          .mapToObj(p -> cells.get(RepresentativeCylinders.along(bottom, p)))
          .toList();
    }

    /** The node that each place of the firing order blows into. */
    private List<Integer> exhaust() {
      var x = c.exhaust();
      int banks = bottom.banks();
      var ends = IntStream.range(0, banks).map(b -> node("end")).boxed().toList();
      if (ExhaustSide.tiesBanks(c)) {
        // Both are there, so that neither may stand for the other.
        int middle = node("balance pipe");
        way("balance 0", ends.get(0), middle);
        way("balance 1", ends.get(1), middle);
      }
      boolean onLog = apart && x.kind() == Exhaust.Kind.CAST_MANIFOLD;
      var meets = ends.stream().map(end -> onLog ? log(end) : merges(end)).toList();
      return IntStream.range(0, bottom.cylinders())
          .mapToObj(
              p ->
                  meets
                      .get(RepresentativeCylinders.bank(bottom, p))
                      .get(
                          onLog
                              ? RepresentativeCylinders.along(bottom, p)
                              : RepresentativeCylinders.group(c, p)))
          .toList();
    }

    /** Where the groups of a bank meet. Named apart: each is solved, and stays itself. */
    private List<Integer> merges(int end) {
      var all = new ArrayList<Integer>();
      for (int g = 0; g < ExhaustSide.groups(c); g++) {
        all.add(node("merge " + g));
        way("behind " + g, all.getLast(), end);
      }
      return all;
    }

    private List<Integer> log(int end) {
      int places = bottom.cylinders() / bottom.banks();
      var tees = IntStream.range(0, places).map(k -> node("tee")).boxed().toList();
      for (int k = 0; k + 1 < places; k++) {
        way("log", tees.get(k), tees.get(k + 1));
      }
      way("behind", tees.getLast(), end);
      return tees;
    }
  }
}
