package grandbore.core.prediction;

import grandbore.core.waves.Pipe;
import java.util.ArrayList;
import java.util.List;
import java.util.NavigableSet;

/**
 * The engine as a network, built of its {@link GasGraph}: cylinders with their pipes between an
 * {@link IntakeSide} and an {@link ExhaustSide}. Some cylinders are solved; their flows are played
 * again for the others.
 */
final class EngineNetwork {
  /** A step of the crank is taken in parts no longer than this, rad. */
  private static final double LONGEST_PART = Math.toRadians(3);

  /** Where parts would have to be shorter, the gas is beyond the model, rad. */
  private static final double SHORTEST_PART = Math.toRadians(0.005);

  private static final double SAME_PHASE = 1e-6;

  private static final double PIPES_RISE = 0.3;
  private static final double CYLINDERS_RISE = 0.65;

  /** Friction and heat of the walls are found anew after so much of a turn, rad. */
  private static final double WALL_REFRESH = Math.toRadians(8);

  private final List<CylinderUnit> units = new ArrayList<>();
  private final List<Pipe> pipes = new ArrayList<>();
  private final EngineParts parts;
  private final GasGraph graph;
  private final NavigableSet<Integer> reached;
  private final AirSupply supply;
  private final IntakeSide intake;
  private final ExhaustSide exhaust;
  private final int cylinders;
  private double step;
  private final Pipe.Steps gas;
  private long steps;
  private long crankSteps;

  /**
   * @param clearances volume of each cylinder at top centre, m³, by number
   */
  EngineNetwork(EngineParts parts, RepresentativeCylinders roles, double[] clearances) {
    this.parts = parts;
    cylinders = parts.combination().bottomEnd().cylinders();
    step = parts.step();
    supply = new AirSupply(parts);
    graph = roles.graph();
    reached = roles.reached();
    intake = new IntakeSide(parts, supply, graph, reached);
    exhaust = new ExhaustSide(parts, graph, reached);
    for (var role : roles.each()) {
      double clearance = roles.alike() ? mean(clearances) : clearances[role.number() - 1];
      var unit = new CylinderUnit(parts, role, roles.alike(), clearance);
      units.add(unit);
      pipes.addAll(unit.pipes());
      for (int k = 0; k < unit.ports().size(); k++) {
        int node = graph.leads(role.place(), k);
        var port = unit.ports().get(k);
        if (graph.place(node).isAhead()) {
          intake.join(unit.cylinder(), port, node, role.others().get(k));
        } else {
          exhaust.join(unit.cylinder(), port, node, role.others().get(k));
        }
      }
    }
    pipes.addAll(intake.pipes());
    pipes.addAll(exhaust.pipes());
    gas = Pipe.together(parts.gas(), pipes);
  }

  /**
   * Starts from where another network stands, of the same or another engine, where that one's parts
   * pair with this one's; returns whether they do.
   */
  boolean startFrom(EngineNetwork o) {
    boolean fits =
        Pairing.inPairs(units, o.units, (mine, other) -> firesAlike(mine, o, other))
            && graph.nodes().equals(o.graph.nodes())
            && graph.ways().equals(o.graph.ways())
            && reached.equals(o.reached)
            && supply.fits(o.supply)
            && intake.fits(o.intake)
            && exhaust.fits(o.exhaust);
    if (fits) {
      for (int k = 0; k < pipes.size(); k++) {
        pipes.get(k).startFrom(o.pipes.get(k));
      }
      for (int k = 0; k < units.size(); k++) {
        units.get(k).startFrom(o.units.get(k));
      }
      supply.startFrom(o.supply);
      intake.startFrom(o.intake);
      exhaust.startFrom(o.exhaust);
    }
    return fits;
  }

  private boolean firesAlike(CylinderUnit mine, EngineNetwork o, CylinderUnit other) {
    double off = sinceFirst(mine) - o.sinceFirst(other);
    return mine.role().numbers().equals(other.role().numbers())
        && parts.cycle().apart(off, 0) < SAME_PHASE;
  }

  private double sinceFirst(CylinderUnit unit) {
    return unit.cylinder().phase() - units.getFirst().cylinder().phase();
  }

  private static double mean(double[] values) {
    double sum = 0;
    for (double v : values) {
      sum += v;
    }
    return sum / values.length;
  }

  /**
   * Moves everything on by one step of the crank; returns its angle, rad. Every cycle has the same
   * steps, so that cycles can be compared; a long one, and one that waves are too fast for, is
   * taken in parts.
   */
  double step(double speed, double meanPistonSpeed) {
    // At the same angles of every cycle, so that cycles can be compared.
    long between = Math.max(1, Math.round(WALL_REFRESH / step));
    if (crankSteps++ % between == 0) {
      gas.refreshWalls();
    }
    double left = step;
    while (left > 0) {
      double part = Math.min(LONGEST_PART, stableStep() * speed);
      if (!(part > SHORTEST_PART)) {
        return Double.NaN;
      }
      double parts1 = Math.ceil(left / part * (1 - 1e-9));
      double angle = parts1 <= 1 ? left : left / parts1;
      move(angle / speed, angle, meanPistonSpeed);
      left = parts1 <= 1 ? 0 : left - angle;
    }
    return step;
  }

  /**
   * Guesses how hot walls are at another speed: by the power of it with which they are found to
   * rise, near enough to begin with.
   *
   * @param faster the speed over the one that they are of
   */
  void guessWalls(double faster) {
    gas.guessWalls(Math.pow(faster, PIPES_RISE));
    for (var u : units) {
      u.cylinder().walls().guess(Math.pow(faster, CYLINDERS_RISE));
    }
  }

  /** Makes all walls as hot as the last cycle leaves them. */
  void balanceWalls() {
    gas.balanceWalls();
    for (var u : units) {
      u.cylinder().walls().balance();
    }
  }

  /** Sets the step of the crank, rad. */
  void turnBy(double rad) {
    step = rad;
  }

  /** Sets the share of the new cycle in what the copies play. */
  void freshen(double share) {
    intake.freshen(share);
    exhaust.freshen(share);
  }

  private double stableStep() {
    double dt = Math.min(gas.stableStep(), Math.min(intake.stableStep(), exhaust.stableStep()));
    for (int i = 0; i < units.size(); i++) {
      dt = Math.min(dt, units.get(i).stableStep());
    }
    return dt;
  }

  private void move(double dt, double angle, double meanPistonSpeed) {
    steps++;
    gas.predict(dt);
    for (int i = 0; i < units.size(); i++) {
      units.get(i).coupleValves(dt, 0.5 * angle);
    }
    intake.couple(dt, angle / dt);
    exhaust.couple(dt, angle / dt);
    gas.update(dt);
    for (int i = 0; i < units.size(); i++) {
      units.get(i).advance(dt, angle, meanPistonSpeed);
    }
  }

  /** Steps and parts of steps since the start. */
  long steps() {
    return steps;
  }

  EngineParts parts() {
    return parts;
  }

  /** The node that a port of a solved cylinder leads to. */
  int leads(CylinderUnit unit, Port port) {
    return graph.leads(unit.role().place(), unit.ports().indexOf(port));
  }

  List<CylinderUnit> units() {
    return units;
  }

  IntakeSide intake() {
    return intake;
  }

  ExhaustSide exhaust() {
    return exhaust;
  }

  AirSupply supply() {
    return supply;
  }

  int cylinders() {
    return cylinders;
  }

  int cells() {
    return pipes.stream().mapToInt(Pipe::cells).sum();
  }

  /** Mass of all gas inside, kg. */
  double mass() {
    double sum = intake.mass() + exhaust.mass();
    for (var p : pipes) {
      sum += p.mass();
    }
    for (var u : units) {
      sum += u.cylinder().mass();
    }
    return sum;
  }

  /** Energy of all gas inside, J. */
  double energy() {
    double sum = intake.energy() + exhaust.energy();
    for (var p : pipes) {
      sum += p.energy();
    }
    for (var u : units) {
      sum += u.cylinder().energy();
    }
    return sum;
  }

  /** Heat given to all pipe walls since the start, J. */
  double heatToPipes() {
    return pipes.stream().mapToDouble(Pipe::heatToWall).sum();
  }

  /** Mass taken from the air less mass given back, to the tail and the crankcase, kg. */
  double massTaken() {
    return supply.given()
        - exhaust.received()
        - units.stream().mapToDouble(u -> u.cylinder().crevice().lostMass()).sum();
  }

  double energyTaken() {
    return supply.givenEnergy()
        - exhaust.receivedEnergy()
        - units.stream().mapToDouble(u -> u.cylinder().crevice().lostEnergy()).sum();
  }
}
