package grandbore.core.prediction;

import grandbore.core.waves.Orifice;
import grandbore.core.waves.Pipe;
import grandbore.core.waves.PipeEnd;
import grandbore.core.waves.Reservoir;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * Everything from the air to the runners: an air box or none; one plenum, two planes with or
 * without a window between them, or a throttle a runner.
 */
final class IntakeSide {
  private final EngineParts parts;
  private final AirSupply supply;
  private final Optional<AirBox> airBox;
  private final List<Plenum> plenums = new ArrayList<>();
  private final List<Inlet> inlets = new ArrayList<>();
  private final List<Pipe> pipes = new ArrayList<>();
  private final List<PipeEnd> separate = new ArrayList<>();
  private final Optional<Orifice> window;
  private final int planes;
  private double throttle = 1;

  /**
   * @param solved planes
   * @param apart whether every cylinder is solved, at its own place
   */
  IntakeSide(EngineParts parts, AirSupply supply, int solved, boolean apart) {
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
    double share = planes == 0 ? 1 : (double) Math.min(planes, solved) / planes;
    double clear = parts.piping().throttleArea();
    airBox =
        c.intake().airBox().isKnown()
            ? Optional.of(new AirBox(parts, supply.reservoir(), share, share * clear))
            : Optional.empty();
    airBox.ifPresent(b -> pipes.add(b.duct()));
    double windowArea = planes == 2 ? c.intake().planeWindow().si() : 0;
    for (int k = 0; k < Math.min(planes, solved); k++) {
      var room =
          c.intake().isBox() && apart
              ? new BoxRoom(parts.gas(), parts.piping().box())
              : new MixedRoom(parts.piping().plenum(planes));
      room.pipe().ifPresent(pipes::add);
      var plenum = new Plenum(parts, room, cylinders / planes, clear / planes + windowArea);
      plenums.add(plenum);
      if (!supply.feedsPlenum()) {
        var inlet = new Inlet(parts, parts.piping().inletPipe(planes), ahead(), plenum.feed());
        inlets.add(inlet);
        pipes.add(inlet.pipe());
      }
    }
    window =
        plenums.size() == 2 && windowArea > 0
            ? Optional.of(
                new Orifice(
                    parts.gas(),
                    plenums.get(0).feed(),
                    plenums.get(1).feed(),
                    EngineParts.WINDOW * windowArea))
            : Optional.empty();
    throttle(1);
  }

  /** What the throttles open to: the air box, or what the supply makes of the air. */
  private Reservoir ahead() {
    return airBox.<Reservoir>map(AirBox::volume).orElseGet(supply::reservoir);
  }

  /**
   * Connects a cylinder.
   *
   * @param others that draw from its plane as copies
   */
  void join(CylinderUnit unit, Others others) {
    if (plenums.isEmpty()) {
      var mouth = new PipeEnd(parts.gas(), unit.intake(), true, ahead());
      separate.add(mouth);
      mouth.open(separateArea());
    } else {
      plenums.get(unit.role().plane()).join(unit, others);
    }
  }

  private double separateArea() {
    return throttle
        * Math.min(
            EngineParts.MOUTH * parts.combination().intake().runnerEntry().si(), parts.meterArea());
  }

  /** What a cylinder's runner opens into: its place in the plenum, or what feeds it alone. */
  Reservoir reservoir(RepresentativeCylinders.Role role) {
    return plenums.isEmpty() ? ahead() : plenums.get(role.plane()).at(role.share());
  }

  /**
   * The throttles' bores that lead to a cylinder's plenum; none where a blower delivers into it.
   */
  Optional<Pipe> inlet(RepresentativeCylinders.Role role) {
    return inlets.isEmpty() ? Optional.empty() : Optional.of(inlets.get(role.plane()).pipe());
  }

  /** Opens the throttles to a share of their whole area. */
  void throttle(double share) {
    throttle = share;
    for (var m : inlets) {
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

  /** Whether another stands so that its gas can be taken over. */
  boolean fits(IntakeSide o) {
    return airBox.isPresent() == o.airBox.isPresent()
        && Pairing.inPairs(plenums, o.plenums, Plenum::fits);
  }

  void startFrom(IntakeSide o) {
    airBox.ifPresent(b -> b.startFrom(o.airBox.orElseThrow()));
    for (int k = 0; k < plenums.size(); k++) {
      plenums.get(k).startFrom(o.plenums.get(k));
    }
  }

  void freshen(double share) {
    plenums.forEach(p -> p.freshen(share));
  }

  void couple(double dt, double speed) {
    airBox.ifPresent(b -> b.couple(dt));
    for (int i = 0; i < separate.size(); i++) {
      separate.get(i).couple(dt);
    }
    for (int i = 0; i < plenums.size(); i++) {
      plenums.get(i).couple(dt, speed);
    }
    for (int i = 0; i < inlets.size(); i++) {
      inlets.get(i).couple(dt);
    }
    if (supply.feedsPlenum()) {
      for (int i = 0; i < plenums.size(); i++) {
        supply.deliver(plenums.get(i).feed(), dt, speed, planes);
      }
    }
    window.ifPresent(w -> w.couple(dt));
    for (int i = 0; i < plenums.size(); i++) {
      plenums.get(i).settle(dt);
    }
    airBox.ifPresent(AirBox::settle);
  }

  double stableStep() {
    double dt = airBox.map(AirBox::stableStep).orElse(Double.MAX_VALUE);
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
    return Stream.concat(
            plenums.stream().map(Plenum::mass), airBox.stream().map(b -> b.volume().mass()))
        .mapToDouble(m -> m)
        .sum();
  }

  double energy() {
    return Stream.concat(
            plenums.stream().map(Plenum::energy), airBox.stream().map(b -> b.volume().energy()))
        .mapToDouble(e -> e)
        .sum();
  }
}
