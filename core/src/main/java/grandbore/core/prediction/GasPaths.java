package grandbore.core.prediction;

import grandbore.core.combination.BottomEnd;
import grandbore.core.combination.Combination;
import grandbore.core.combination.Exhaust;
import grandbore.core.combination.Intake;
import grandbore.core.prediction.GasGraph.Fired;
import grandbore.core.prediction.GasGraph.Lead;
import grandbore.core.prediction.GasGraph.Node;
import grandbore.core.prediction.GasGraph.Place;
import grandbore.core.prediction.GasGraph.Way;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.stream.IntStream;

/** Draws a combination's {@link GasGraph}: what kind of manifolds it has is decided here alone. */
final class GasPaths {
  private final Combination c;
  private final BottomEnd bottom;
  private final boolean apart;
  private final List<Node> nodes = new ArrayList<>();
  private final List<Way> ways = new ArrayList<>();

  /**
   * @param apart whether each cylinder has its own place along a log or a box
   */
  GasPaths(Combination c, boolean apart) {
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

  private int node(Place place) {
    return node(place, 0);
  }

  private int node(Place place, int number) {
    nodes.add(new Node(place, number));
    return nodes.size() - 1;
  }

  /** Numbered nodes of a kind. */
  private List<Integer> nodes(Place place, int count) {
    return IntStream.range(0, count).map(k -> node(place, k)).boxed().toList();
  }

  private void way(Lead lead, int from, int to) {
    way(lead, 0, from, to);
  }

  private void way(Lead lead, int number, int from, int to) {
    ways.add(new Way(lead, number, from, to));
  }

  /** The node that each place of the firing order draws from. */
  private List<Integer> intake() {
    var in = c.intake();
    int air = node(Place.AIR);
    if (in.airBox().isKnown()) {
      int box = node(Place.AIR_BOX);
      way(Lead.DUCT, air, box);
      air = box;
    }
    if (in.manifold() == Intake.Manifold.INDIVIDUAL) {
      return Collections.nCopies(bottom.cylinders(), air);
    }
    if (in.isBox() && apart) {
      return alongBox(air);
    }
    // Every cylinder of the firing order takes turns at them. Each plane is solved, and stays
    // itself.
    int planes = in.manifold() == Intake.Manifold.DUAL_PLANE ? 2 : 1;
    var all = nodes(Place.PLENUM, planes);
    for (int k = 0; k < planes; k++) {
      way(Lead.THROTTLE, k, air, all.get(k));
    }
    if (planes == 2 && in.planeWindow().si() > 0) {
      way(Lead.WINDOW, all.get(0), all.get(1));
    }
    return IntStream.range(0, bottom.cylinders()).mapToObj(p -> all.get(p % planes)).toList();
  }

  private List<Integer> alongBox(int air) {
    var cells = nodes(Place.BOX, bank());
    way(Lead.THROTTLE, air, cells.getFirst());
    for (int k = 0; k + 1 < cells.size(); k++) {
      way(Lead.BOX, cells.get(k), cells.get(k + 1));
    }
    return IntStream.range(0, bottom.cylinders()).mapToObj(p -> cells.get(along(p))).toList();
  }

  /** Cylinders of a bank. */
  private int bank() {
    return bottom.cylinders() / bottom.banks();
  }

  /** The node that each place of the firing order blows into. */
  private List<Integer> exhaust() {
    var x = c.exhaust();
    boolean tied = x.balance() == Exhaust.Balance.PIPE && bottom.banks() == 2;
    boolean continues = x.outlet() == Exhaust.Outlet.SYSTEM || x.balance() == Exhaust.Balance.PIPE;
    var joints = new ArrayList<Integer>();
    var meets = new ArrayList<List<Integer>>();
    for (int b = 0; b < bottom.banks(); b++) {
      int outlet = node(Place.OUTLET);
      int end = continues ? node(Place.JOINT) : outlet;
      joints.add(end);
      meets.add(
          switch (x.kind()) {
            case HEADERS -> List.of(led(Place.MERGE, end));
            case STEPPED -> steps(led(Place.JOINT, end));
            case CAST_MANIFOLD -> apart ? log(end) : middleOfLog(end);
          });
      if (continues) {
        way(Lead.TAIL, end, outlet);
      }
    }
    if (tied) {
      way(Lead.BALANCE, joints.get(0), joints.get(1));
    }
    return IntStream.range(0, bottom.cylinders())
        .mapToObj(p -> meeting(meets.get(bank(p)), p))
        .toList();
  }

  private int meeting(List<Integer> meets, int place) {
    boolean onLog = c.exhaust().kind() == Exhaust.Kind.CAST_MANIFOLD && apart;
    // A bank's groups take turns in its firing order.
    return meets.get(onLog ? along(place) : beforeInBank(place) % meets.size());
  }

  /** A node that a collector leads from. */
  private int led(Place place, int end) {
    int node = node(place);
    way(Lead.COLLECTOR, node, end);
    return node;
  }

  /**
   * Where the groups of a bank meet: twos that fire furthest apart, threes in a bank of six. Each
   * is solved, and stays itself.
   */
  private List<Integer> steps(int second) {
    int groups = bank() % 3 == 0 ? bank() / 3 : 2;
    var merges = nodes(Place.MERGE, groups);
    for (int g = 0; g < groups; g++) {
      way(Lead.SECONDARY, g, merges.get(g), second);
    }
    return merges;
  }

  private List<Integer> log(int end) {
    var tees = nodes(Place.TEE, bank());
    for (int k = 0; k + 1 < tees.size(); k++) {
      way(Lead.LOG, tees.get(k), tees.get(k + 1));
    }
    way(Lead.COLLECTOR, tees.getLast(), end);
    return tees;
  }

  /** All branches meet the log in its middle: half of it is a dead end, half leads on. */
  private List<Integer> middleOfLog(int end) {
    int tee = node(Place.TEE);
    if (bank() > 1) {
      way(Lead.HALF_LOG, node(Place.SHUT), tee);
    }
    way(Lead.COLLECTOR, tee, end);
    return List.of(tee);
  }

  private int bank(int place) {
    return bottom.bank(bottom.firingOrder().get(place));
  }

  private int beforeInBank(int place) {
    return (int) IntStream.range(0, place).filter(k -> bank(k) == bank(place)).count();
  }

  /** Cylinders of the same bank with a lower number. */
  private int along(int place) {
    int number = bottom.firingOrder().get(place);
    return (int)
        bottom.firingOrder().stream()
            .filter(n -> n < number && bottom.bank(n) == bottom.bank(number))
            .count();
  }
}
