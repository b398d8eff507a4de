package grandbore.core.working;

import grandbore.core.build.Build;
import grandbore.core.clearances.Readings;
import grandbore.core.combination.Cam;
import grandbore.core.combination.Combination;
import grandbore.core.combination.Given;
import grandbore.core.combination.Provenance;
import grandbore.core.geometry.SliderCrank;
import grandbore.core.units.Measure;
import grandbore.core.units.Quantity;
import grandbore.core.units.UnitSystem;
import grandbore.core.valvetrain.FlatTappet;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/** The figures a builder works out on paper, each with its working. */
public final class Figures {
  private static final String GEOMETRY = "geometry";
  private static final String PRACTICE = "common practice, no source";

  private final Combination c;
  private final UnitSystem units;
  private final double topSpeed;
  private final List<Figure> figures = new ArrayList<>();

  private Figures(Build build, Readings readings) {
    c = build.asMeasured(readings).combination();
    units = build.units();
    topSpeed = build.speeds().to();
  }

  /** All figures of a build with its readings, in the order of the stations. */
  public static List<Figure> of(Build build, Readings readings) {
    var f = new Figures(build, readings);
    f.bottomEnd();
    f.squeeze();
    f.cam();
    f.tappets();
    f.breathing();
    f.weather();
    return List.copyOf(f.figures);
  }

  private String show(Given g) {
    return g.quantity().show(g.si(), units);
  }

  private static Provenance weakest(Given... inputs) {
    var p = Provenance.REPEATED;
    for (var g : inputs) {
      p = p.and(g.provenance());
    }
    return p;
  }

  private void add(
      String name,
      String label,
      double si,
      Quantity q,
      Provenance from,
      String formula,
      String putIn,
      String source) {
    figures.add(new Figure(name, label, si, q, from, formula, putIn, source));
  }

  private void bottomEnd() {
    var b = c.bottomEnd();
    var sizes = weakest(b.bore(), b.stroke());
    add(
        "displacement",
        "Displacement",
        b.displacement(),
        Quantity.DISPLACEMENT,
        sizes,
        "cylinders × π/4 × bore² × stroke",
        "%d × π/4 × %s² × %s".formatted(b.cylinders(), show(b.bore()), show(b.stroke())),
        GEOMETRY);
    add(
        "rod_ratio",
        "Rod ratio",
        b.rodRatio(),
        Quantity.RATIO,
        weakest(b.rodLength(), b.stroke()),
        "rod length ÷ stroke",
        "%s ÷ %s".formatted(show(b.rodLength()), show(b.stroke())),
        GEOMETRY + "; 1.6 to 1.8 suits most engines (common practice)");
    double mean = 2 * b.stroke().si() * topSpeed / 60;
    add(
        "mean_piston_speed",
        "Mean piston speed at " + String.format(Locale.ROOT, "%.0f", topSpeed) + " rpm",
        mean,
        Quantity.PISTON_SPEED,
        b.stroke().provenance(),
        "2 × stroke × rpm ÷ 60",
        "2 × %s × %.0f ÷ 60".formatted(show(b.stroke()), topSpeed),
        GEOMETRY);
    add(
        "deck_clearance",
        "Deck clearance",
        b.deckClearance(),
        Quantity.CLEARANCE,
        weakest(b.blockDeck(), b.stroke(), b.rodLength(), b.pinHeight()),
        "deck height − stroke/2 − rod − pin height",
        "%s − %s/2 − %s − %s"
            .formatted(
                show(b.blockDeck()), show(b.stroke()), show(b.rodLength()), show(b.pinHeight())),
        GEOMETRY);
  }

  private void tappets() {
    if (!FlatTappet.concerns(c)) {
      return;
    }
    double[] wanted = {FlatTappet.intake(c), FlatTappet.exhaust(c)};
    String[] sides = {"intake", "exhaust"};
    for (int i = 0; i < 2; i++) {
      add(
          sides[i] + "_tappet_wanted",
          "Flat tappet the " + sides[i] + " lobe wants",
          wanted[i],
          Quantity.LENGTH,
          weakest(i == 0 ? c.cam().intakeDuration() : c.cam().exhaustDuration()),
          "2 × fastest lift ÷ radian of the cam",
          "2 × %s".formatted(Quantity.LENGTH.show(wanted[i] / 2, units)),
          "kinematics of a flat follower; fitted: " + show(c.valveTrain().tappetDiameter()));
    }
  }

  private void weather() {
    var w = c.weather();
    double dry = Correction.dryPressure(w);
    for (var standard : Correction.values()) {
      add(
          "correction_" + standard.name().toLowerCase(Locale.ROOT),
          "This day's power to " + standard.label(),
          standard.factor(w),
          Quantity.FACTOR,
          weakest(w.pressure(), w.temperature(), w.humidity()),
          standard.formula(),
          "barometer %s, dry %s, %s"
              .formatted(
                  show(w.pressure()), Quantity.PRESSURE.show(dry, units), show(w.temperature())),
          standard.label() + ", from memory");
    }
  }

  private void squeeze() {
    var b = c.bottomEnd();
    var s = c.squeeze();
    var from =
        weakest(
            b.bore(),
            b.stroke(),
            b.blockDeck(),
            s.chamberVolume(),
            s.gasketBore(),
            s.gasketThickness(),
            s.pistonVolume());
    double swept = b.sweptVolume();
    double clearance = c.clearanceVolume();
    String volumes =
        "(%s + %s) ÷ %s"
            .formatted(
                Quantity.VOLUME.show(swept, units),
                Quantity.VOLUME.show(clearance, units),
                Quantity.VOLUME.show(clearance, units));
    add(
        "clearance_volume",
        "Volume at top centre",
        clearance,
        Quantity.VOLUME,
        from,
        "chamber + gasket + deck + dish + land crevice",
        "%s + %s + %s + %s + %s"
            .formatted(
                show(s.chamberVolume()),
                Quantity.VOLUME.show(
                    Math.PI
                        / 4
                        * s.gasketBore().si()
                        * s.gasketBore().si()
                        * s.gasketThickness().si(),
                    units),
                Quantity.VOLUME.show(b.boreArea() * b.deckClearance(), units),
                show(s.pistonVolume()),
                Quantity.VOLUME.show(
                    Math.PI / 2 * b.bore().si() * s.landClearance().si() * s.landHeight().si(),
                    units)),
        GEOMETRY);
    add(
        "static_compression",
        "Compression ratio",
        c.staticRatio(),
        Quantity.RATIO,
        from,
        "(swept + clearance) ÷ clearance",
        volumes,
        GEOMETRY);
    double closing = c.cam().intakeCloses(c.cam().intakeSeat().si());
    var crank = new SliderCrank(b.stroke().si() / 2, b.rodLength().si(), b.pinOffset().si());
    double left = b.boreArea() * crank.depth(Math.PI + closing);
    add(
        "effective_compression",
        "Effective compression ratio",
        (left + clearance) / clearance,
        Quantity.RATIO,
        from.and(weakest(c.cam().intakeSeat(), c.cam().intakeCentreline(), b.rodLength())),
        "(swept after intake closing + clearance) ÷ clearance",
        "(%s + %s) ÷ %s, closing %s after bottom centre"
            .formatted(
                Quantity.VOLUME.show(left, units),
                Quantity.VOLUME.show(clearance, units),
                Quantity.VOLUME.show(clearance, units),
                Quantity.ANGLE.show(closing, units)),
        "slider-crank geometry at the seat timing of the card");
    add(
        "quench",
        "Quench gap",
        b.deckClearance() + s.gasketThickness().si(),
        Quantity.CLEARANCE,
        weakest(b.blockDeck(), s.gasketThickness()),
        "deck clearance + gasket",
        "%s + %s"
            .formatted(
                Quantity.CLEARANCE.show(b.deckClearance(), units), show(s.gasketThickness())),
        GEOMETRY + "; 0.035 to 0.045 in with steel rods (common practice)");
  }

  private void cam() {
    var cam = c.cam();
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
                Quantity.ANGLE.show(cam.intakeOpens(in), units),
                Quantity.ANGLE.show(cam.exhaustCloses(ex), units)),
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
        c.valveTrain().intakeRocker(),
        c.valveTrain().intakeLash());
    lift(
        "exhaust_lift",
        "Exhaust valve lift",
        cam.exhaustLobeLift(),
        c.valveTrain().exhaustRocker(),
        c.valveTrain().exhaustLash());
    if (c.heads().intakeValves() == 1) {
      double perInch =
          Measure.CUBIC_INCHES.fromSi(c.bottomEnd().sweptVolume())
              / Measure.INCHES.fromSi(c.heads().intakeValve().si());
      add(
          "separation_rule",
          "Lobe separation by rule of thumb",
          Math.toRadians(128 - 0.91 * perInch),
          Quantity.ANGLE,
          weakest(c.bottomEnd().bore(), c.bottomEnd().stroke(), c.heads().intakeValve()),
          "128 − 0.91 × (in³ a cylinder ÷ intake valve in inches)",
          String.format(Locale.ROOT, "128 − 0.91 × %.2f", perInch),
          PRACTICE + "; for two-valve wedge heads near 10.5:1");
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
                Quantity.ANGLE.show(cam.exhaustCentreline(), units)),
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

  private void breathing() {
    double path = c.intake().runnerLength().si() + c.heads().intakePortLength().si();
    var from = weakest(c.intake().runnerLength(), c.heads().intakePortLength());
    double inches = Measure.INCHES.fromSi(path);
    add(
        "intake_path",
        "Intake path, runner and port",
        path,
        Quantity.LENGTH,
        from,
        "runner length + port length",
        "%s + %s".formatted(show(c.intake().runnerLength()), show(c.heads().intakePortLength())),
        GEOMETRY);
    band("third_harmonic", "Third harmonic", 87_750, 100_300, inches, from);
    band("second_harmonic", "Second harmonic", 117_000, 142_500, inches, from);
  }

  private void band(
      String name, String label, double low, double high, double inches, Provenance from) {
    for (boolean start : new boolean[] {true, false}) {
      double k = start ? low : high;
      add(
          name + (start ? "_from" : "_to"),
          label + (start ? " from" : " to"),
          Measure.RPM.toSi(k / inches),
          Quantity.ROTATION,
          from,
          String.format(Locale.ROOT, "%.0f ÷ path in inches", k),
          String.format(Locale.ROOT, "%.0f ÷ %.2f", k, inches),
          PRACTICE);
    }
  }
}
