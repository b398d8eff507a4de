package grandbore.core.prediction;

import grandbore.core.prediction.GasGraph.Place;
import grandbore.core.prediction.GasGraph.Way;
import grandbore.core.waves.Orifice;
import grandbore.core.waves.Pipe;
import grandbore.core.waves.PipeEnd;
import grandbore.core.waves.Reservoir;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.NavigableSet;
import java.util.Optional;
import java.util.TreeMap;

/**
 * Everything from the air to the runners, as the {@link GasGraph} has it: an air box or none; one
 * plenum, two planes with or without a window between them, or a throttle a runner.
 */
final class IntakeSide {
  private final EngineParts parts;
  private final AirSupply supply;
  private final GasGraph graph;

  /** What stands at each node that the solved cylinders' gas comes to, but the air. */
  private final Map<Integer, Plenum> rooms = new TreeMap<>();

  /** Each of them once, the air box first. */
  private final List<Plenum> all;

  /** Those that throttles and blowers feed. */
  private final List<Plenum> plenums;

  /** The duct to the air box. */
  private final List<Inlet> ducts = new ArrayList<>();

  private final Map<Plenum, Inlet> throttleOf = new HashMap<>();
  private final List<Inlet> throttles = new ArrayList<>();

  /** Throttles of one runner each. */
  private final List<PipeEnd> separate = new ArrayList<>();

  /** Those of them that open into the air. */
  private final List<PipeEnd> alone = new ArrayList<>();

  private final List<Orifice> windows = new ArrayList<>();
  private final List<Pipe> pipes = new ArrayList<>();
  private final int planes;
  private double throttle = 1;

  /**
   * @param reached nodes that the gas of the solved cylinders comes to
   */
  IntakeSide(EngineParts parts, AirSupply supply, GasGraph graph, NavigableSet<Integer> reached) {
    this.parts = parts;
    this.supply = supply;
    this.graph = graph;
    planes = graph.count(Place.PLENUM) + Math.min(1, graph.count(Place.BOX));
    var fed = new ArrayList<Plenum>();
    for (int node : reached) {
      switch (graph.place(node)) {
        case AIR_BOX -> rooms.put(node, airBox());
        case PLENUM -> {
          fed.add(plenum(new MixedRoom(parts.piping().plenum(planes))));
          rooms.put(node, fed.getLast());
        }
        case BOX -> {
          if (fed.isEmpty()) {
            var box = new BoxRoom(parts.gas(), parts.piping().box());
            box.pipe().ifPresent(pipes::add);
            fed.add(plenum(box));
          }
          rooms.put(node, fed.getFirst());
        }
        default -> {}
      }
    }
    plenums = List.copyOf(fed);
    all = rooms.values().stream().distinct().toList();
    graph.ways().stream().filter(w -> reached.contains(w.to())).forEach(this::lay);
    throttle(1);
  }

  private Plenum airBox() {
    var c = parts.combination();
    double throttles =
        planes == 0
            ? c.bottomEnd().cylinders() * c.intake().runnerEntry().si()
            : parts.piping().throttleArea();
    return new Plenum(
        parts, new MixedRoom(parts.piping().airBox()), throttles + c.intake().ductSection().si());
  }

  private Plenum plenum(Room room) {
    var c = parts.combination();
    double runners = (double) c.bottomEnd().cylinders() / planes * c.intake().runnerEntry().si();
    double throttles = parts.piping().throttleArea() / planes;
    return new Plenum(parts, room, runners + (throttles + window()));
  }

  /** Between two planes, m². */
  private double window() {
    return planes == 2 ? parts.combination().intake().planeWindow().si() : 0;
  }

  /** Puts a pipe or an opening in. */
  private void lay(Way way) {
    switch (way.lead()) {
      case DUCT -> {
        var duct = inlet(parts.piping().inletDuct(), way);
        duct.open(EngineParts.MOUTH * parts.combination().intake().ductSection().si());
        ducts.add(duct);
      }
      case THROTTLE -> {
        if (!supply.feedsPlenum()) {
          var bores = inlet(parts.piping().inletPipe(planes), way);
          throttles.add(bores);
          throttleOf.put(rooms.get(way.to()), bores);
        }
      }
      case WINDOW ->
          windows.add(
              new Orifice(
                  parts.gas(),
                  rooms.get(way.from()).feed(),
                  rooms.get(way.to()).feed(),
                  EngineParts.WINDOW * window()));
      default -> {}
    }
  }

  private Inlet inlet(Pipe pipe, Way way) {
    pipes.add(pipe);
    return new Inlet(parts, pipe, at(way.from()), rooms.get(way.to()).feed());
  }

  /** What a runner that leads to a node opens into: its place in a room, or what feeds it alone. */
  Reservoir at(int node) {
    return graph.place(node) == Place.AIR ? supply.reservoir() : rooms.get(node).at(along(node));
  }

  /** Share of a box's length before a node. */
  private double along(int node) {
    return (graph.nodes().get(node).number() + 0.5) / Math.max(1, graph.count(Place.BOX));
  }

  /**
   * Connects a cylinder's port.
   *
   * @param node that it draws from
   * @param others that draw there as copies of it
   */
  void join(Cylinder cylinder, Port port, int node, Others others) {
    switch (graph.place(node)) {
      case PLENUM, BOX ->
          rooms
              .get(node)
              .join(cylinder, port, along(node), others)
              .open(EngineParts.MOUTH * parts.combination().intake().runnerEntry().si());
      case AIR_BOX -> separate(rooms.get(node).join(cylinder, port, 0, others));
      case AIR -> {
        var mouth = new PipeEnd(parts.gas(), port.pipe(), true, supply.reservoir());
        alone.add(mouth);
        separate(mouth);
      }
      default -> throw new IllegalArgumentException("nothing is drawn from " + graph.place(node));
    }
  }

  /** A throttle for one runner. */
  private void separate(PipeEnd mouth) {
    separate.add(mouth);
    mouth.open(separateArea());
  }

  private double separateArea() {
    return throttle
        * Math.min(
            EngineParts.MOUTH * parts.combination().intake().runnerEntry().si(), parts.meterArea());
  }

  /** The throttles' bores that lead to a node; none where a blower delivers into it. */
  Optional<Pipe> inlet(int node) {
    return Optional.ofNullable(throttleOf.get(rooms.get(node))).map(Inlet::pipe);
  }

  /** Opens the throttles to a share of their whole area. */
  void throttle(double share) {
    throttle = share;
    for (var m : throttles) {
      m.open(share * parts.meterArea() / planes);
    }
    for (var end : separate) {
      end.open(separateArea());
    }
  }

  /** Pipes between the air and the plenums, and those that plenums are. */
  List<Pipe> pipes() {
    return pipes;
  }

  /** Whether another, of the same nodes, stands so that its gas can be taken over. */
  boolean fits(IntakeSide o) {
    return Pairing.inPairs(all, o.all, Plenum::fits);
  }

  void startFrom(IntakeSide o) {
    for (int k = 0; k < all.size(); k++) {
      all.get(k).startFrom(o.all.get(k));
    }
  }

  void freshen(double share) {
    all.forEach(p -> p.freshen(share));
  }

  void couple(double dt, double speed) {
    for (int i = 0; i < ducts.size(); i++) {
      ducts.get(i).couple(dt);
    }
    for (int i = 0; i < alone.size(); i++) {
      alone.get(i).couple(dt);
    }
    for (int i = 0; i < all.size(); i++) {
      all.get(i).couple(dt, speed);
    }
    for (int i = 0; i < throttles.size(); i++) {
      throttles.get(i).couple(dt);
    }
    if (supply.feedsPlenum()) {
      for (int i = 0; i < plenums.size(); i++) {
        supply.deliver(plenums.get(i).feed(), dt, speed, planes);
      }
    }
    for (int i = 0; i < windows.size(); i++) {
      windows.get(i).couple(dt);
    }
    for (int i = 0; i < all.size(); i++) {
      all.get(i).settle(dt);
    }
  }

  double stableStep() {
    double dt = Double.MAX_VALUE;
    for (int i = 0; i < all.size(); i++) {
      dt = Math.min(dt, all.get(i).stableStep());
    }
    return dt;
  }

  /** Mean pressure in the manifold since the last call, Pa. */
  double takeMeanPressure() {
    double sum = 0;
    for (var p : plenums) {
      sum += p.takeMeanPressure();
    }
    return plenums.isEmpty() ? supply.reservoir().pressure() : sum / plenums.size();
  }

  double mass() {
    return all.stream().mapToDouble(Plenum::mass).sum();
  }

  double energy() {
    return all.stream().mapToDouble(Plenum::energy).sum();
  }
}
