package grandbore.core.prediction;

import grandbore.core.combination.Combination;
import grandbore.core.combination.Exhaust;
import grandbore.core.waves.Junction;
import grandbore.core.waves.Pipe;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;

/**
 * Everything behind the exhaust ports: a bank's primaries meet in one collector, or in groups whose
 * secondaries meet in it; behind it an open end, or a pipe with silencer or turbine, joined to the
 * other bank's by a balance pipe or not.
 */
final class ExhaustSide {
  private final EngineParts parts;
  private final List<Pipe> pipes = new ArrayList<>();
  private final List<Collector> collectors = new ArrayList<>();
  private final List<Junction> junctions = new ArrayList<>();
  private final List<Outlet> outlets = new ArrayList<>();
  private final List<Pipe> secondaries = new ArrayList<>();
  private final List<Pipe> lasts = new ArrayList<>();
  private final List<Pipe> tails = new ArrayList<>();
  private final int groups;

  /**
   * @param banks solved
   * @param apart whether every cylinder is solved, at its own place
   */
  ExhaustSide(EngineParts parts, int banks, boolean apart) {
    this.parts = parts;
    var c = parts.combination();
    var x = c.exhaust();
    int bank = c.bottomEnd().cylinders() / c.bottomEnd().banks();
    boolean stepped = x.kind() == Exhaust.Kind.STEPPED;
    groups = groups(c);
    boolean balanced = tiesBanks(c);
    var balance = balanced ? keep(parts.piping().balancePipe()) : null;
    for (int b = 0; b < banks; b++) {
      double half = apart ? 0 : Piping.halfLog(bank);
      var collector = keep(parts.piping().collectorPipe(!continues(x), half));
      lasts.add(collector);
      if (stepped) {
        var second = parts.piping().merge();
        second.join(collector, true, -1);
        for (int g = 0; g < groups; g++) {
          var pipe = keep(parts.piping().secondaryPipe());
          secondaries.add(pipe);
          collectors.add(new MergeCollector(parts, pipe));
          second.join(pipe, false, MergeCollector.MERGE_COSINE);
        }
        junctions.add(second);
      } else if (x.kind() == Exhaust.Kind.HEADERS) {
        collectors.add(new MergeCollector(parts, collector));
      } else {
        collectors.add(new LogCollector(parts, collector, bank, apart, this::keep));
      }
      var last = collector;
      if (continues(x)) {
        last = keep(parts.piping().tailPipe());
        tails.add(last);
        var joint = parts.piping().merge();
        joint.join(collector, false, 1);
        joint.join(last, true, -1);
        if (balanced) {
          joint.join(balance, b == 0, 0);
        }
        junctions.add(joint);
      }
      outlets.add(new Outlet(parts, last, parts.piping().collectorArea()));
    }
  }

  /** Groups of a bank's primaries: twos that fire furthest apart, threes in a bank of six. */
  static int groups(Combination c) {
    int bank = c.bottomEnd().cylinders() / c.bottomEnd().banks();
    int stepped = bank % 3 == 0 ? bank / 3 : 2;
    return c.exhaust().kind() == Exhaust.Kind.STEPPED ? stepped : 1;
  }

  /** Whether a pipe carries on behind the collector. */
  static boolean continues(Exhaust x) {
    return x.outlet() == Exhaust.Outlet.SYSTEM || x.balance() == Exhaust.Balance.PIPE;
  }

  /** Whether a pipe joins both banks, so that both have to be there. */
  static boolean tiesBanks(Combination c) {
    return c.exhaust().balance() == Exhaust.Balance.PIPE && c.bottomEnd().banks() == 2;
  }

  private Pipe keep(Pipe pipe) {
    pipes.add(pipe);
    return pipe;
  }

  /**
   * Connects a cylinder.
   *
   * @param bank solved, from 0
   * @param group of the bank, from 0
   * @param others that meet there as copies of it
   */
  void join(CylinderUnit unit, int bank, int group, Others others) {
    collectors.get(bank * groups + group).join(unit, others);
  }

  /** The pipes behind the primaries of a group of a bank. */
  Map<Duct, Pipe> behind(int bank, int group) {
    var all = new EnumMap<Duct, Pipe>(Duct.class);
    if (!secondaries.isEmpty()) {
      all.put(Duct.SECONDARY, secondaries.get(bank * groups + group));
    }
    all.put(Duct.COLLECTOR, lasts.get(bank));
    if (!tails.isEmpty()) {
      all.put(Duct.TAIL, tails.get(bank));
    }
    return all;
  }

  List<Pipe> pipes() {
    return pipes;
  }

  /** Whether another stands so that its gas can be taken over. */
  boolean fits(ExhaustSide o) {
    return junctions.size() == o.junctions.size()
        && Pairing.inPairs(collectors, o.collectors, Collector::fits)
        && Pairing.inPairs(outlets, o.outlets, Outlet::fits);
  }

  void startFrom(ExhaustSide o) {
    for (int k = 0; k < collectors.size(); k++) {
      collectors.get(k).startFrom(o.collectors.get(k));
    }
    for (int k = 0; k < junctions.size(); k++) {
      junctions.get(k).startFrom(o.junctions.get(k));
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
    for (int i = 0; i < junctions.size(); i++) {
      junctions.get(i).couple();
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
    return sum * parts.combination().bottomEnd().banks() / outlets.size();
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
