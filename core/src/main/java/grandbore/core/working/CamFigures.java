package grandbore.core.working;

import grandbore.core.build.Build;
import grandbore.core.clearances.Readings;
import grandbore.core.combination.Cam;
import grandbore.core.combination.Given;
import grandbore.core.units.Measure;
import grandbore.core.units.Quantity;
import grandbore.core.valvetrain.FlatTappet;
import java.util.Locale;

/** What the cam card comes to. */
final class CamFigures extends FigureList {
  CamFigures(Build build, Readings readings) {
    super(build, readings);
    cam();
    tappets();
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
}
