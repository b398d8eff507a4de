package grandbore.core.prediction;

import grandbore.core.waves.Orifice;
import grandbore.core.waves.PipeEnd;
import grandbore.core.waves.Reservoir;
import java.util.ArrayList;
import java.util.List;

/**
 * Everything from the air to the runners: one plenum, two planes with or without a window between
 * them, or a throttle a runner.
 */
final class IntakeSide {
  private final EngineParts parts;
  private final AirSupply supply;
  private final List<Plenum> plenums = new ArrayList<>();
  private final List<Orifice> throttles = new ArrayList<>();
  private final List<PipeEnd> separate = new ArrayList<>();
  private final Orifice window;
  private final int planes;
  private double throttle = 1;

  /**
   * @param solved planes
   */
  IntakeSide(EngineParts parts, AirSupply supply, int solved) {
    this.parts = parts;
    this.supply = supply;
    var c = parts.combination();
    int cylinders = c.bottomEnd().cylinders();
    planes =
        switch (c.intake().manifold()) {
          case PLENUM -> 1;
          case DUAL_PLANE -> 2;
          case INDIVIDUAL -> 0;
        };
    double windowArea = planes == 2 ? c.intake().planeWindow().si() : 0;
    for (int k = 0; k < Math.min(planes, solved); k++) {
      var plenum =
          new Plenum(
              parts,
              c.intake().sharedVolume() / planes,
              cylinders / planes,
              parts.meterArea() / planes + windowArea);
      plenums.add(plenum);
      if (!supply.feedsPlenum()) {
        throttles.add(
            new Orifice(
                parts.gas(), supply.reservoir(), plenum.reservoir(), parts.meterArea() / planes));
      }
    }
    window =
        plenums.size() == 2 && windowArea > 0
            ? new Orifice(
                parts.gas(),
                plenums.get(0).reservoir(),
                plenums.get(1).reservoir(),
                EngineParts.WINDOW * windowArea)
            : null;
  }

  /**
   * Connects a cylinder.
   *
   * @param plane that it draws from
   * @param others that draw from it as copies
   */
  void join(CylinderUnit unit, int plane, Others others) {
    if (plenums.isEmpty()) {
      var mouth = new PipeEnd(parts.gas(), unit.intake(), true, supply.reservoir());
      separate.add(mouth);
      mouth.open(separateArea());
    } else {
      plenums.get(plane).join(unit, others);
    }
  }

  private double separateArea() {
    return throttle
        * Math.min(
            EngineParts.MOUTH * parts.combination().intake().runnerEntry().si(), parts.meterArea());
  }

  /** What the runners of a plane open into: their plenum, or what feeds each alone. */
  Reservoir reservoir(int plane) {
    return plenums.isEmpty() ? supply.reservoir() : plenums.get(plane).reservoir();
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

  /** Whether another stands so that its gas can be taken over. */
  boolean fits(IntakeSide o) {
    return Pairing.inPairs(plenums, o.plenums, Plenum::fits);
  }

  void startFrom(IntakeSide o) {
    for (int k = 0; k < plenums.size(); k++) {
      plenums.get(k).startFrom(o.plenums.get(k));
    }
  }

  void freshen(double share) {
    plenums.forEach(p -> p.freshen(share));
  }

  void couple(double dt, double speed) {
    for (int i = 0; i < separate.size(); i++) {
      separate.get(i).couple(dt);
    }
    for (int i = 0; i < plenums.size(); i++) {
      plenums.get(i).couple(dt, speed);
    }
    for (int i = 0; i < throttles.size(); i++) {
      throttles.get(i).couple(dt);
    }
    if (supply.feedsPlenum()) {
      for (int i = 0; i < plenums.size(); i++) {
        supply.deliver(plenums.get(i).reservoir(), dt, speed, planes);
      }
    }
    if (window != null) {
      window.couple(dt);
    }
    for (int i = 0; i < plenums.size(); i++) {
      plenums.get(i).settle(dt);
    }
  }

  double stableStep() {
    double dt = Double.MAX_VALUE;
    for (int i = 0; i < plenums.size(); i++) {
      dt = Math.min(dt, plenums.get(i).stableStep());
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
    return plenums.stream().mapToDouble(Plenum::mass).sum();
  }

  double energy() {
    return plenums.stream().mapToDouble(Plenum::energy).sum();
  }
}
