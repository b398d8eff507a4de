package grandbore.core.beginning;

import grandbore.core.combination.Exhaust;
import java.util.List;
import java.util.function.ToDoubleFunction;

/** The rules, in the order in which one leans on another. */
final class Rules {
  private static final double INCH = 0.0254;
  private static final double CC = 1e-6;

  static final List<Rule> ALL =
      List.of(
          rule("bottomEnd.rodLength", "1.7 strokes", s -> 1.7 * s.stroke()),
          rule(
              "bottomEnd.pinHeight",
              "0.36 bores with pushrods, 0.34 with the cam overhead",
              s -> (s.isOverhead() ? 0.34 : 0.36) * s.bore()),
          rule(
              "bottomEnd.blockDeck",
              "half the stroke + rod + compression height + 0.4 mm, so that the crown lies that far"
                  + " down",
              s ->
                  s.stroke() / 2
                      + s.at("bottomEnd.rodLength")
                      + s.at("bottomEnd.pinHeight")
                      + 0.4e-3),
          rule("bottomEnd.pinOffset", "none", s -> 0),
          rule("bottomEnd.mainJournal", "0.62 bores", s -> 0.62 * s.bore()),
          rule("bottomEnd.rodJournal", "0.53 bores", s -> 0.53 * s.bore()),
          rule("compression.gasketBore", "1.012 bores", s -> 1.012 * s.bore()),
          rule("compression.gasketThickness", "1.0 mm pressed", s -> 1e-3),
          rule("compression.pistonVolume", "flat tops", s -> 0),
          rule("compression.landHeight", "0.065 bores", s -> 0.065 * s.bore()),
          rule("compression.landClearance", "0.0075 bores", s -> 0.0075 * s.bore()),
          rule(
              "heads.intakeValve",
              "bores × 0.50 for one valve, 0.385 for two; 3 % more for racing",
              s -> (s.pairs() == 1 ? 0.50 : 0.385) * (1 + 0.03 * s.hardness()) * s.bore()),
          rule(
              "heads.exhaustValve",
              "0.79 intake valves with one of each, 0.86 with two",
              s -> (s.pairs() == 1 ? 0.79 : 0.86) * s.at("heads.intakeValve")),
          rule("heads.intakePortLength", "1.25 bores", s -> 1.25 * s.bore()),
          rule(
              "heads.intakePortVolume",
              "port length × 0.75 of the intake valves' area",
              s -> 0.75 * s.intakeArea() * s.at("heads.intakePortLength")),
          rule("heads.exhaustPortLength", "0.9 bores", s -> 0.9 * s.bore()),
          rule(
              "heads.exhaustPortVolume",
              "port length × 0.72 of the exhaust valves' area",
              s -> 0.72 * s.exhaustArea() * s.at("heads.exhaustPortLength")),
          rule(
              "valveTrain.intakeRocker",
              "1.5 with pushrods and fingers, 1 with buckets",
              s -> s.hasBuckets() ? 1 : 1.5),
          rule("valveTrain.exhaustRocker", "as the intake's", s -> s.at("valveTrain.intakeRocker")),
          rule("valveTrain.intakeLash", "0.25 mm", s -> 0.25e-3),
          rule("valveTrain.exhaustLash", "0.30 mm", s -> 0.30e-3),
          rule(
              "cam.intakeLobeLift",
              "valve lift and lash over the rocker's ratio",
              s -> lobe(s, true)),
          rule(
              "cam.exhaustLobeLift",
              "valve lift and lash over the rocker's ratio",
              s -> lobe(s, false)),
          rule(
              "cam.intakeSeat",
              "duration at 0.050 + 50° with pushrods, + 42° with the cam overhead",
              s -> s.at("cam.intakeDuration") + Math.toRadians(s.isOverhead() ? 42 : 50)),
          rule(
              "cam.exhaustSeat",
              "duration at 0.050 + 50° with pushrods, + 42° with the cam overhead",
              s -> s.at("cam.exhaustDuration") + Math.toRadians(s.isOverhead() ? 42 : 50)),
          rule(
              "cam.separation",
              "112° for the street down to 107° for drag racing, 2° less with two intake valves,"
                  + " 114° with boost",
              s ->
                  Math.toRadians(
                      (s.use() == grandbore.core.clearances.Application.BOOST
                              ? 114
                              : 112 - 5 * s.hardness())
                          - (s.pairs() == 2 ? 2 : 0))),
          rule(
              "cam.intakeCentreline",
              "separation less 4° of advance with pushrods, 1° with the cam overhead",
              s -> s.at("cam.separation") - Math.toRadians(s.isOverhead() ? 1 : 4)),
          rule(
              "valveTrain.intakeMass",
              "300 g at the valve for a 51 mm valve with pushrods, 120 g for one of 33 mm with the"
                  + " cam overhead, going with its square",
              Rules::mass),
          rule(
              "valveTrain.exhaustMass",
              "0.95 of the intake's",
              s -> 0.95 * s.at("valveTrain.intakeMass")),
          rule(
              "valveTrain.springSeat",
              "0.4 of what the nose asks for at the highest speed",
              s -> 0.4 * noseForce(s)),
          rule(
              "valveTrain.springRate",
              "so that the open force is what the nose asks for at the highest speed: 1.3 × mass ×"
                  + " lift/2 × (2π/seat duration)² × cam speed²",
              s -> 0.6 * noseForce(s) / s.lift(true)),
          rule(
              "intake.runnerExit",
              "the port's mean section",
              s -> s.at("heads.intakePortVolume") / s.at("heads.intakePortLength")),
          rule("intake.runnerEntry", "1.1 port sections", s -> 1.1 * s.at("intake.runnerExit")),
          rule(
              "intake.runnerLength",
              "1.5 bores in a dual plane; else so long that valve to plenum is 2,150 m/min over the"
                  + " speed of peak power, at least 60 mm",
              s ->
                  s.isDualPlane()
                      ? 1.5 * s.bore()
                      : Math.clamp(2150 / s.peak() - s.at("heads.intakePortLength"), 0.06, 0.6)),
          rule(
              "intake.runnerTurn",
              "90° in a dual plane, else 30°",
              s -> Math.toRadians(s.isDualPlane() ? 90 : 30)),
          rule(
              "intake.plenumVolume",
              "0.35 displacements under a carburettor, 0.9 with injection",
              s -> (s.hasCarburettor() ? 0.35 : 0.9) * s.cylinders() * s.cylinder()),
          rule(
              "intake.throttleFlow",
              "displacement × half the highest speed, 1.15 times under a carburettor, 1.6 with one"
                  + " throttle; a throttle that serves one cylinder 2.8 times its own",
              s ->
                  s.highest()
                      / 120
                      * s.cylinder()
                      * (s.hasOwnThrottles() || s.cylinders() == 1
                          ? 2.8
                          : s.cylinders() * (s.hasCarburettor() ? 1.15 : 1.6))),
          rule("intake.ratingDepression", "1.5 inches of mercury", s -> 1.5 * 3386.389),
          rule(
              "exhaust.secondaryLength",
              "0.4 of what a header into one is long",
              s -> 0.4 * header(s)),
          rule(
              "exhaust.primaryLength",
              "850 × (180° + exhaust opening at 0.050) over the speed of peak power − 3, inches"
                  + " (A. G. Bell, from memory); 0.6 of it where secondaries follow; 0.9 bores of"
                  + " branch in a cast manifold",
              s ->
                  switch (s.exhaust()) {
                    case CAST_MANIFOLD -> 0.9 * s.bore();
                    case HEADERS -> header(s);
                    case STEPPED -> 0.6 * header(s);
                  }),
          rule(
              "exhaust.primaryDiameter",
              "2.1 × √(cylinder in cc over 25 × (length of a header into one + 3)), inches (A. G."
                  + " Bell, from memory); in a cast manifold as wide as the exhaust port",
              s ->
                  s.exhaust() == Exhaust.Kind.CAST_MANIFOLD
                      ? Math.sqrt(4 / Math.PI * s.exhaustPort())
                      : 2.1 * Math.sqrt(s.cylinder() / CC / (25 * (header(s) / INCH + 3))) * INCH),
          rule(
              "exhaust.secondaryDiameter",
              "1.2 primaries",
              s -> 1.2 * s.at("exhaust.primaryDiameter")),
          rule(
              "exhaust.collectorLength",
              "half of what a header into one is long; 0.4 m of pipe behind a cast manifold",
              s -> s.exhaust() == Exhaust.Kind.CAST_MANIFOLD ? 0.4 : 0.5 * header(s)),
          rule(
              "exhaust.collectorDiameter",
              "0.9 × √(primaries that meet) of the primary's, 0.75 in a cast manifold, at least"
                  + " 1.15; 1.5 where secondaries follow",
              s ->
                  s.at("exhaust.primaryDiameter")
                      * switch (s.exhaust()) {
                        case CAST_MANIFOLD -> Math.max(1.15, 0.75 * Math.sqrt(s.perBank()));
                        case HEADERS -> Math.max(1.15, 0.9 * Math.sqrt(s.perBank()));
                        case STEPPED -> 1.5;
                      }),
          rule(
              "exhaust.silencerVolume",
              "twice what its bank displaces",
              s -> 2 * s.perBank() * s.cylinder()),
          rule(
              "exhaust.systemFlow",
              "1.2 times what the engine displaces at its highest speed",
              s -> 1.2 * s.cylinders() * s.cylinder() * s.highest() / 120),
          rule(
              "intake.ductSection",
              "1.75 cm² for a litre and 1,000 rpm of the highest speed",
              s -> 1.75e-4 * litres(s) * s.highest() / 1000),
          rule("boost.ratedSpeed", "the highest speed", s -> s.highest() * Math.PI / 30),
          rule(
              "boost.sweptPerTurn",
              "1.4 times what the engine draws in a turn",
              s -> 1.4 / 2 * s.cylinders() * s.cylinder()),
          rule(
              "boost.turbineArea",
              "0.26 cm² for a litre and 1,000 rpm of the highest speed",
              s -> 0.26e-4 * litres(s) * s.highest() / 1000),
          rule(
              "nitrous.flow",
              "10 g/s a litre, some half of the power more",
              s -> 10e-3 * litres(s)),
          rule("nitrous.from", "half the highest speed", s -> s.highest() * Math.PI / 60),
          rule("losses.topGap", "0.0025 bores, warm", s -> 0.0025 * s.bore()),
          rule(
              "valveHardware.stem",
              "0.17 intake valves, at least 5.5 mm",
              s -> Math.max(5.5e-3, 0.17 * s.at("heads.intakeValve"))),
          rule("partSizes.boreSpacing", "1.1 bores", s -> 1.1 * s.bore()),
          rule("mixture.lambda", "0.88, best power on gasoline", s -> 0.88),
          rule(
              "weather.pressure",
              "29.92 inHg, the older dyno correction (SAE J607)",
              s -> 101_320.7),
          rule(
              "weather.temperature", "60 °F, the older dyno correction (SAE J607)", s -> 288.70556),
          rule("weather.humidity", "dry, the older dyno correction (SAE J607)", s -> 0),
          rule("mixture.advance", "32°, used where the spark is fixed", s -> Math.toRadians(32)));

  private Rules() {}

  private static Rule rule(String path, String words, ToDoubleFunction<Sizes> value) {
    return new Rule(path, words, value);
  }

  private static double litres(Sizes s) {
    return s.cylinders() * s.cylinder() / 1e-3;
  }

  private static double lobe(Sizes s, boolean intake) {
    String side = intake ? "intake" : "exhaust";
    return (s.liftSaid(intake) + s.at("valveTrain." + side + "Lash"))
        / s.at("valveTrain." + side + "Rocker");
  }

  private static double mass(Sizes s) {
    double d = s.at("heads.intakeValve");
    return s.isOverhead() ? 0.120 * Math.pow(d / 0.033, 2) : 0.300 * Math.pow(d / 0.051, 2);
  }

  /** Force that keeps a sine-shaped lobe's nose in touch at the highest speed, N. */
  private static double noseForce(Sizes s) {
    double cam = 2 * Math.PI * s.highest() / 120;
    double around = 2 * Math.PI / (s.at("cam.intakeSeat") / 2);
    double acceleration = 0.5 * s.lift(true) * around * around * cam * cam;
    return 1.3 * s.at("valveTrain.intakeMass") * acceleration;
  }

  /** Length of a header into one, m. */
  private static double header(Sizes s) {
    double opens =
        2 * s.at("cam.separation")
            - s.at("cam.intakeCentreline")
            + s.at("cam.exhaustDuration") / 2
            - Math.PI;
    return (850 * (180 + Math.toDegrees(opens)) / s.peak() - 3) * INCH;
  }
}
