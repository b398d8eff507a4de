package grandbore.core.prediction;

import grandbore.core.combination.Combination;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.List;
import java.util.NavigableSet;
import java.util.Optional;
import java.util.TreeSet;

/**
 * What the gas of an engine runs through as a graph: cylinders, each with ports that lead to nodes
 * (plenums, merges, ends), and what leads from node to node. The network is built of it, node by
 * node and way by way. Its turns are the angles by which it can be turned and is itself: every
 * cylinder then stands where another fired, and its ports, and the ways behind them, lead to what
 * that one's lead to.
 *
 * @param cylinders in firing order
 * @param nodes only those that are equal may come to one another's places
 */
record GasGraph(Cycle cycle, List<Fired> cylinders, List<Node> nodes, List<Way> ways) {
  /** Firings closer than that are at the same angle, rad. */
  private static final double SAME = 1e-3;

  /**
   * A cylinder.
   *
   * @param at crank angle of its firing after the first, rad
   * @param ports the node that each of its ports leads to, all cylinders' in the same order
   */
  record Fired(double at, List<Integer> ports) {}

  /** What stands at a node. */
  enum Place {
    /** The air in front of the engine, or what a compressor makes of it. */
    AIR,
    AIR_BOX,
    /** What runners open into, well mixed. */
    PLENUM,
    /** A place along a plenum that is a pipe. */
    BOX,
    /** Where primaries meet at a small angle. */
    MERGE,
    /** Where a primary meets a log from the side. */
    TEE,
    /** Where pipes meet behind the primaries. */
    JOINT,
    /** Where a bank's last pipe ends. */
    OUTLET,
    /** The end of a pipe that leads on to nothing. */
    SHUT;

    /** Whether it stands ahead of the cylinders. */
    boolean isAhead() {
      return compareTo(BOX) <= 0;
    }
  }

  /**
   * A node.
   *
   * @param number parts those of a kind that may not come to one another's places
   */
  record Node(Place place, int number) {}

  /** What leads from a node to another: a pipe, or an opening. */
  enum Lead {
    /** From the air to the air box. */
    DUCT,
    /** Bores of the throttles, with the spacer. */
    THROTTLE,
    /** An opening between two planes. */
    WINDOW,
    /** A plenum that is a pipe, between two places along it. */
    BOX,
    /** A log between two cylinders' places. */
    LOG,
    /** Half of a log, its end shut, where all are taken to meet in its middle. */
    HALF_LOG,
    SECONDARY,
    COLLECTOR,
    TAIL,
    /** Between both banks' collectors. */
    BALANCE
  }

  /**
   * A way from one node to another; of one kind and number at most one leaves a node, and one comes
   * to it.
   */
  record Way(Lead lead, int number, int from, int to) {
    boolean isLike(Way o) {
      return lead == o.lead && number == o.number;
    }
  }

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
    return new GasPaths(c, apart).graph();
  }

  /** What stands at a node. */
  Place place(int node) {
    return nodes.get(node).place;
  }

  /** The node that a port of a cylinder leads to. */
  int leads(int place, int port) {
    return cylinders.get(place).ports.get(port);
  }

  /** How many nodes of a kind there are. */
  int count(Place place) {
    return (int) nodes.stream().filter(n -> n.place == place).count();
  }

  /** Ways from a node. */
  List<Way> from(int node) {
    return ways.stream().filter(w -> w.from == node).toList();
  }

  /** Ways to a node. */
  List<Way> to(int node) {
    return ways.stream().filter(w -> w.to == node).toList();
  }

  /**
   * All nodes that the gas of some cylinders comes to, in the nodes' order. It goes no further than
   * the air, which feels nothing of what is drawn from it.
   *
   * @param places of the cylinders in the firing order
   */
  NavigableSet<Integer> reached(Collection<Integer> places) {
    var reached = new TreeSet<Integer>();
    var next = new ArrayDeque<Integer>();
    places.forEach(p -> next.addAll(cylinders.get(p).ports));
    while (!next.isEmpty()) {
      int node = next.remove();
      if (reached.add(node) && place(node) != Place.AIR) {
        from(node).forEach(w -> next.add(w.to));
        to(node).forEach(w -> next.add(w.from));
      }
    }
    return reached;
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

    private boolean along(int from, int to, boolean forward) {
      for (var way : ways) {
        if ((forward ? way.from : way.to) == from) {
          var other =
              ways.stream().filter(w -> w.isLike(way) && (forward ? w.from : w.to) == to).toList();
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
}
