package grandbore.core.prediction;

import grandbore.core.waves.BranchFlow;
import grandbore.core.waves.Junction;
import grandbore.core.waves.Pipe;
import grandbore.core.waves.PipeEnd;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;

/**
 * A cast manifold: branches that meet a log from the side, each by a tee at its own place where
 * every cylinder is solved. Where cylinders speak for others, all meet it in its middle: half of
 * the log is a dead end, half leads on.
 */
final class LogCollector extends Collector {
  /** Cosine between a branch and the log. */
  private static final double SIDE = 0;

  /** A branch's tee, and its number there. */
  private record Place(Junction tee, int branch) {}

  private final List<Junction> tees = new ArrayList<>();
  private final List<Place> branches = new ArrayList<>();
  private final Optional<PipeEnd> deadEnd;
  private final boolean apart;

  /**
   * @param pipe behind the log, and behind its half where cylinders speak for others
   * @param sharers branches that meet it
   * @param apart whether each has a place of its own
   * @param keep takes the log's own pipes into the network
   */
  LogCollector(EngineParts parts, Pipe pipe, int sharers, boolean apart, UnaryOperator<Pipe> keep) {
    super(parts, pipe);
    this.apart = apart;
    var piping = parts.piping();
    for (int k = 0; k < (apart ? sharers : 1); k++) {
      tees.add(piping.merge());
    }
    for (int k = 0; k + 1 < tees.size(); k++) {
      var between = keep.apply(piping.logPipe(1));
      tees.get(k).join(between, true, -1);
      tees.get(k + 1).join(between, false, 1);
    }
    if (!apart && sharers > 1) {
      var blind = keep.apply(piping.logPipe(Piping.halfLog(sharers)));
      tees.getFirst().join(blind, false, 1);
      deadEnd = Optional.of(PipeEnd.shut(parts.gas(), blind, true));
    } else {
      deadEnd = Optional.empty();
    }
    tees.getLast().join(pipe, true, -1);
  }

  void copyGas(LogCollector o) {
    for (int k = 0; k < tees.size(); k++) {
      tees.get(k).startFrom(o.tees.get(k));
    }
  }

  @Override
  boolean standsAs(Collector o) {
    return super.standsAs(o) && tees.size() == ((LogCollector) o).tees.size();
  }

  @Override
  void join(CylinderUnit unit, Others others) {
    var tee = tees.get(apart ? unit.role().along() : 0);
    join(unit, branches.size(), others);
    branches.add(new Place(tee, tee.join(unit.exhaust(), false, SIDE)));
  }

  @Override
  double coupleInside(double dt) {
    for (int k = 0; k < tees.size(); k++) {
      tees.get(k).couple();
    }
    deadEnd.ifPresent(e -> e.couple(dt));
    return pressure();
  }

  @Override
  void branchFlow(int branch, BranchFlow out) {
    var place = branches.get(branch);
    place.tee.branchFlow(place.branch, out);
  }

  @Override
  void receive(int branch, BranchFlow copy, double share, double admittance) {
    var place = branches.get(branch);
    place.tee.add(place.branch, copy, share, admittance);
  }

  @Override
  double pressure() {
    return tees.getFirst().pressure();
  }
}
