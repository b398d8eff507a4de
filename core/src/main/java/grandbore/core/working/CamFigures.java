package grandbore.core.working;

import grandbore.core.build.Build;
import grandbore.core.combination.Cam;
import grandbore.core.combination.Given;
import grandbore.core.flow.PortSizing;
import grandbore.core.units.Measure;
import grandbore.core.units.Quantity;
import grandbore.core.valvetrain.FlatTappet;
import grandbore.core.valvetrain.Overlap;
import java.util.Locale;

/** What the cam card comes to. */
final class CamFigures extends FigureList {
  CamFigures(Build measured) {
    super(measured);
    cam();
    tappets();
    gear();
    masses();
    sizing();
  }

  private void cam() {
    var cam = c().cam();
    double in = cam.intakeDuration().si();
    double ex = cam.exhaustDuration().si();
    event(
        "intake_opens",
        "Intake opens before top centre",
        cam.intakeOpens(in),
        cam.intakeDuration(),
        cam,
        "duration/2 − centreline");
    event(
        "intake_closes",
        "Intake closes after bottom centre",
        cam.intakeCloses(in),
        cam.intakeDuration(),
        cam,
        "centreline + duration/2 − 180°");
    event(
        "exhaust_opens",
        "Exhaust opens before bottom centre",
        cam.exhaustOpens(ex),
        cam.exhaustDuration(),
        cam,
        "exhaust centreline + duration/2 − 180°");
    event(
        "exhaust_closes",
        "Exhaust closes after top centre",
        cam.exhaustCloses(ex),
        cam.exhaustDuration(),
        cam,
        "duration/2 − exhaust centreline");
    var from = weakest(cam.intakeDuration(), cam.exhaustDuration(), cam.separation());
    add(
        "overlap",
        "Overlap at 0.050 in",
        cam.intakeOpens(in) + cam.exhaustCloses(ex),
        Quantity.ANGLE,
        from,
        "intake opens + exhaust closes",
        "%s + %s"
            .formatted(
                Quantity.ANGLE.show(cam.intakeOpens(in), units()),
                Quantity.ANGLE.show(cam.exhaustCloses(ex), units())),
        "cam card arithmetic");
    double seatIn = cam.intakeSeat().si();
    double seatEx = cam.exhaustSeat().si();
    add(
        "seat_overlap",
        "Overlap at the seats",
        cam.intakeOpens(seatIn) + cam.exhaustCloses(seatEx),
        Quantity.ANGLE,
        weakest(cam.intakeSeat(), cam.exhaustSeat(), cam.separation()),
        "(intake seat + exhaust seat)/2 − 2 × separation",
        "(%s + %s)/2 − 2 × %s"
            .formatted(show(cam.intakeSeat()), show(cam.exhaustSeat()), show(cam.separation())),
        "cam card arithmetic");
    lift(
        "intake_lift",
        "Intake valve lift",
        cam.intakeLobeLift(),
        c().valveTrain().intakeRocker(),
        c().valveTrain().intakeLash());
    lift(
        "exhaust_lift",
        "Exhaust valve lift",
        cam.exhaustLobeLift(),
        c().valveTrain().exhaustRocker(),
        c().valveTrain().exhaustLash());
    if (c().heads().intakeValves() == 1) {
      double perInch =
          Measure.CUBIC_INCHES.fromSi(c().bottomEnd().sweptVolume())
              / Measure.INCHES.fromSi(c().heads().intakeValve().si());
      add(
          "separation_rule",
          "Lobe separation by rule of thumb",
          Math.toRadians(128 - 0.91 * perInch),
          Quantity.ANGLE,
          weakest(c().bottomEnd().bore(), c().bottomEnd().stroke(), c().heads().intakeValve()),
          "128 − 0.91 × (in³ a cylinder ÷ intake valve in inches)",
          String.format(Locale.ROOT, "128 − 0.91 × %.2f", perInch),
          PRACTICE + "; for two-valve wedge heads near 10.5:1");
    }
  }

  private void tappets() {
    if (!FlatTappet.concerns(c())) {
      return;
    }
    double[] wanted = {FlatTappet.intake(c()), FlatTappet.exhaust(c())};
    String[] sides = {"intake", "exhaust"};
    for (int i = 0; i < 2; i++) {
      add(
          sides[i] + "_tappet_wanted",
          "Flat tappet the " + sides[i] + " lobe wants",
          wanted[i],
          Quantity.LENGTH,
          weakest(i == 0 ? c().cam().intakeDuration() : c().cam().exhaustDuration()),
          "2 × fastest lift ÷ radian of the cam",
          "2 × %s".formatted(Quantity.LENGTH.show(wanted[i] / 2, units())),
          "kinematics of a flat follower; fitted: " + show(c().valveTrain().tappetDiameter()));
    }
  }

  private void event(
      String name, String label, double at, Given duration, Cam cam, String formula) {
    add(
        name,
        label + " (0.050 in)",
        at,
        Quantity.ANGLE,
        weakest(duration, cam.separation(), cam.intakeCentreline()),
        formula,
        "duration %s, intake centreline %s, exhaust centreline %s"
            .formatted(
                show(duration),
                show(cam.intakeCentreline()),
                Quantity.ANGLE.show(cam.exhaustCentreline(), units())),
        "cam card arithmetic");
  }

  private void lift(String name, String label, Given lobe, Given rocker, Given lash) {
    add(
        name,
        label,
        lobe.si() * rocker.si() - lash.si(),
        Quantity.LENGTH,
        weakest(lobe, rocker, lash),
        "lobe lift × rocker ratio − lash",
        "%s × %s − %s".formatted(show(lobe), show(rocker), show(lash)),
        GEOMETRY);
  }

  private void gear() {
    var t = c().valveTrain();
    var cam = c().cam();
    var from = weakest(cam.intakeDuration(), cam.exhaustDuration(), cam.separation());
    add(
        "overlap_area",
        "Overlap area",
        Overlap.area(c()),
        Quantity.OVERLAP,
        from.and(weakest(t.intakeRocker(), t.intakeLash(), t.rockerOffSeat())),
        "the lesser of both lifts, summed over the crank's angle",
        "lash %s and %s, rockers %s and %s"
            .formatted(
                show(t.intakeLash()),
                show(t.exhaustLash()),
                show(t.intakeRocker()),
                show(t.exhaustRocker())),
        "common practice, no source");
    double lift = Math.max(c().intakeLift(), c().exhaustLift());
    add(
        "spring_open",
        "Spring force at full lift",
        t.springSeat().si() + t.springRate().si() * lift,
        Quantity.FORCE,
        weakest(t.springSeat(), t.springRate()),
        "force on the seat + rate × lift",
        "%s + %s × %s"
            .formatted(
                show(t.springSeat()), show(t.springRate()), Quantity.LENGTH.show(lift, units())),
        "a spring's law");
  }

  private void masses() {
    var g = c().valveHardware();
    if (!g.knowsMasses()) {
      return;
    }
    var ratio = c().valveTrain().intakeRocker();
    add(
        "mass_at_valve",
        "Moving mass at the intake valve, from its parts",
        g.atValve(ratio.si()),
        Quantity.MASS,
        weakest(g.valveMass(), g.retainerMass(), g.springMass()),
        "valve + retainer + spring/3 + rocker + (tappet + pushrod) ÷ ratio²",
        "%s + %s + %s/3 + %s + (%s + %s) ÷ %s²"
            .formatted(
                show(g.valveMass()),
                show(g.retainerMass()),
                show(g.springMass()),
                show(g.rockerMass()),
                show(g.tappetMass()),
                show(g.pushrodMass()),
                show(ratio)),
        "kinetic energy alike; a third of a spring moves with its end");
  }

  private void sizing() {
    var h = c().heads();
    double speed = topRotation();
    var from = weakest(h.intakeValve(), c().bottomEnd().bore(), c().bottomEnd().stroke());
    add(
        "mach_index",
        atTop("Inlet Mach index"),
        PortSizing.machIndex(c(), speed),
        Quantity.RATIO,
        from,
        "piston area × mean piston speed ÷ (valve area × mean coefficient × sound speed)",
        "coefficient %.2f over the opening".formatted(PortSizing.meanCoefficient(c())),
        "C. F. Taylor, The Internal-Combustion Engine in Theory and Practice, volume 1, chapter 6,"
            + " from memory: filling falls beyond 0.6");
    add(
        "limiting_speed",
        "Speed at which the valve limits",
        PortSizing.limitingSpeed(c()),
        Quantity.ROTATION,
        from,
        "where the inlet Mach index comes to 0.6",
        "valve %s, bore %s".formatted(show(h.intakeValve()), show(c().bottomEnd().bore())),
        "as the Mach index");
    add(
        "port_speed",
        atTop("Mean speed in the intake port"),
        PortSizing.portSpeed(c(), speed),
        Quantity.GAS_SPEED,
        weakest(h.intakePortVolume(), h.intakePortLength(), c().bottomEnd().bore()),
        "mean piston speed × bore area ÷ port section",
        "port %s ÷ %s".formatted(show(h.intakePortVolume()), show(h.intakePortLength())),
        GEOMETRY);
  }
}
