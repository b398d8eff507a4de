package grandbore.core.prediction;

import grandbore.core.prediction.GasGraph.Lead;
import grandbore.core.prediction.GasGraph.Place;
import grandbore.core.prediction.GasGraph.Way;
import grandbore.core.waves.Junction;
import grandbore.core.waves.Pipe;
import grandbore.core.waves.PipeEnd;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.NavigableSet;
import java.util.TreeMap;

/**
 * Everything behind the exhaust ports, as the {@link GasGraph} has it: where a bank's primaries
 * meet, at once, in groups or along a log; behind that an open end, or a pipe with silencer or
 * turbine, joined to the other bank's by a balance pipe or not.
 */
final class ExhaustSide {
  /** Cosine of the usual angle between a primary and the collector's axis, 12°. */
  private static final double MERGE = 0.978;

  /** Cosine between what comes from the side and what it meets. */
  private static final double SIDE = 0;

  private final EngineParts parts;
  private final GasGraph graph;
  private final Map<Way, Pipe> pipes = new LinkedHashMap<>();

  /** By the node at which primaries meet. */
  private final Map<Integer, Collector> meeting = new TreeMap<>();

  private final List<Collector> collectors;
  private final List<Junction> joints = new ArrayList<>();
  private final List<Outlet> outlets = new ArrayList<>();
  private final List<PipeEnd> shut = new ArrayList<>();

  /**
   * @param reached nodes that the gas of the solved cylinders comes to
   */
  ExhaustSide(EngineParts parts, GasGraph graph, NavigableSet<Integer> reached) {
    this.parts = parts;
    this.graph = graph;
    for (var way : graph.ways()) {
      if (reached.contains(way.from())) {
        lay(way);
      }
    }
    for (int node : reached) {
      switch (graph.place(node)) {
        case MERGE -> meeting.put(node, new Collector(parts, meet(node), MERGE));
        case TEE -> meeting.put(node, new Collector(parts, meet(node), SIDE));
        case JOINT -> joints.add(meet(node));
        case OUTLET ->
            outlets.add(
                new Outlet(
                    parts, pipes.get(graph.to(node).getFirst()), parts.piping().collectorArea()));
        case SHUT ->
            shut.add(PipeEnd.shut(parts.gas(), pipes.get(graph.from(node).getFirst()), true));
        default -> {}
      }
    }
    collectors = List.copyOf(meeting.values());
  }

  private void lay(Way way) {
    var piping = parts.piping();
    switch (way.lead()) {
      case LOG -> pipes.put(way, piping.logPipe(1));
      case HALF_LOG -> pipes.put(way, piping.logPipe(halfLog()));
      case SECONDARY -> pipes.put(way, piping.secondaryPipe());
      case COLLECTOR -> {
        boolean open = graph.place(way.to()) == Place.OUTLET;
        boolean half = graph.to(way.from()).stream().anyMatch(w -> w.lead() == Lead.HALF_LOG);
        pipes.put(way, piping.collectorPipe(open, half ? halfLog() : 0));
      }
      case TAIL -> pipes.put(way, piping.tailPipe());
      case BALANCE -> pipes.put(way, piping.balancePipe());
      default -> {}
    }
  }

  private double halfLog() {
    var bottom = parts.combination().bottomEnd();
    return Piping.halfLog(bottom.cylinders() / bottom.banks());
  }

  /** Joins the pipes that meet at a node. */
  private Junction meet(int node) {
    var junction = parts.piping().merge();
    pipes.forEach(
        (way, pipe) -> {
          if (way.from() == node) {
            junction.join(pipe, true, way.lead() == Lead.BALANCE ? SIDE : -1);
          } else if (way.to() == node) {
            junction.join(pipe, false, arriving(way.lead()));
          }
        });
    return junction;
  }

  /** Cosine between a pipe that comes to a node and what carries on from it. */
  private static double arriving(Lead lead) {
    return switch (lead) {
      case SECONDARY -> MERGE;
      case BALANCE -> SIDE;
      default -> 1;
    };
  }

  /**
   * Connects a cylinder's port.
   *
   * @param node at which it meets others
   * @param others that meet there as copies of it
   */
  void join(Cylinder cylinder, Port port, int node, Others others) {
    meeting.get(node).join(cylinder, port, others);
  }

  /** The pipes behind a node at which primaries meet. */
  Map<Duct, Pipe> behind(int node) {
    var all = new EnumMap<Duct, Pipe>(Duct.class);
    var ways = graph.from(node);
    while (!ways.isEmpty()) {
      var way = ways.getFirst();
      switch (way.lead()) {
        case SECONDARY -> all.put(Duct.SECONDARY, pipes.get(way));
        case COLLECTOR -> all.put(Duct.COLLECTOR, pipes.get(way));
        case TAIL -> all.put(Duct.TAIL, pipes.get(way));
        default -> {}
      }
      ways = graph.from(way.to());
    }
    return all;
  }

  List<Pipe> pipes() {
    return List.copyOf(pipes.values());
  }

  /** Whether another, of the same nodes, stands so that its gas can be taken over. */
  boolean fits(ExhaustSide o) {
    return Pairing.inPairs(collectors, o.collectors, Collector::fits)
        && Pairing.inPairs(outlets, o.outlets, Outlet::fits);
  }

  void startFrom(ExhaustSide o) {
    for (int k = 0; k < collectors.size(); k++) {
      collectors.get(k).startFrom(o.collectors.get(k));
    }
    for (int k = 0; k < joints.size(); k++) {
      joints.get(k).startFrom(o.joints.get(k));
    }
    for (int k = 0; k < outlets.size(); k++) {
      outlets.get(k).startFrom(o.outlets.get(k));
    }
  }

  void freshen(double share) {
    collectors.forEach(c -> c.freshen(share));
  }

  void couple(double dt, double speed) {
    for (int i = 0; i < collectors.size(); i++) {
      collectors.get(i).couple(dt, speed);
    }
    for (int i = 0; i < joints.size(); i++) {
      joints.get(i).couple();
    }
    for (int i = 0; i < shut.size(); i++) {
      shut.get(i).couple(dt);
    }
    for (int i = 0; i < outlets.size(); i++) {
      outlets.get(i).couple(dt);
    }
  }

  double stableStep() {
    double dt = Double.MAX_VALUE;
    for (int i = 0; i < outlets.size(); i++) {
      dt = Math.min(dt, outlets.get(i).stableStep());
    }
    return dt;
  }

  /** Work of the turbines of all banks since the last call, J. */
  double takeTurbineWork() {
    double sum = 0;
    for (var o : outlets) {
      sum += o.takeTurbineWork();
    }
    return sum * graph.count(Place.OUTLET) / outlets.size();
  }

  void gate(double surplus) {
    outlets.forEach(o -> o.gate(surplus));
  }

  double mass() {
    return outlets.stream().mapToDouble(Outlet::mass).sum();
  }

  double energy() {
    return outlets.stream().mapToDouble(Outlet::energy).sum();
  }

  double received() {
    return outlets.stream().mapToDouble(o -> o.outside().received()).sum();
  }

  double receivedEnergy() {
    return outlets.stream().mapToDouble(o -> o.outside().receivedEnergy()).sum();
  }
}
