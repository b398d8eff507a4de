package grandbore.core.prediction;

import grandbore.core.combination.Combination;
import grandbore.core.waves.Pipe;
import java.util.ArrayList;
import java.util.List;

/**
 * The engine as a network: cylinders with their pipes between an {@link IntakeSide} and an {@link
 * ExhaustSide}. A network with copies holds one cylinder and plays its flows again for the others.
 */
final class EngineNetwork {
  private static final double STEP = Math.toRadians(1);
  private static final double MOST_PARTS = 200;

  private final List<CylinderUnit> units = new ArrayList<>();
  private final List<Pipe> pipes = new ArrayList<>();
  private final EngineParts parts;
  private final AirSupply supply;
  private final IntakeSide intake;
  private final ExhaustSide exhaust;
  private final int cylinders;
  private final Pipe.Steps gas;
  private long steps;

  /**
   * @param copies whether one cylinder stands for all
   * @param clearances volume of each cylinder at top centre, m³, by number
   */
  EngineNetwork(EngineParts parts, boolean copies, double[] clearances) {
    this.parts = parts;
    var c = parts.combination();
    var bottom = c.bottomEnd();
    cylinders = bottom.cylinders();
    supply = new AirSupply(parts);
    intake = new IntakeSide(parts, supply, copies);
    exhaust = new ExhaustSide(parts, copies ? 1 : bottom.banks(), copies);
    var places = new int[2];
    for (int k = 0; k < (copies ? 1 : cylinders); k++) {
      int number = bottom.firingOrder().get(k);
      double phase = k == 0 ? 0 : Cylinder.CYCLE - bottom.firesAt(k);
      double clearance = copies ? mean(clearances) : clearances[number - 1];
      var unit = new CylinderUnit(parts, number, copies, phase % Cylinder.CYCLE, clearance);
      units.add(unit);
      pipes.add(unit.intake());
      pipes.add(unit.exhaust());
      intake.join(unit, k);
      int bank = copies ? 0 : bottom.bank(number);
      exhaust.join(unit, bank, places[bank]++);
    }
    pipes.addAll(exhaust.pipes());
    gas = Pipe.together(parts.gas(), pipes);
  }

  /** Whether one cylinder and its copies make this engine: all alike and evenly spaced. */
  static boolean copyable(Combination c) {
    return c.bottomEnd().firesEvenly()
        && IntakeSide.copyable(c.intake())
        && ExhaustSide.copyable(c);
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
   * steps, so that cycles can be compared; where waves are too fast for one, it is taken in parts.
   */
  double step(double speed, double meanPistonSpeed) {
    double left = STEP;
    while (left > 0) {
      double dt = stableStep();
      double parts1 = Math.ceil(left / (dt * speed) * (1 - 1e-9));
      if (!(parts1 < MOST_PARTS)) {
        return Double.NaN;
      }
      double angle = parts1 <= 1 ? left : left / parts1;
      move(angle / speed, angle, meanPistonSpeed);
      left = parts1 <= 1 ? 0 : left - angle;
    }
    return STEP;
  }

  /** Sets the share of the new cycle in what the copies play. */
  void freshen(double share) {
    intake.freshen(share);
    exhaust.freshen(share);
  }

  private double stableStep() {
    return Math.min(gas.stableStep(), Math.min(intake.stableStep(), exhaust.stableStep()));
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
