package grandbore.core.beginning;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import grandbore.core.build.Build;
import grandbore.core.clearances.Application;
import grandbore.core.combination.Arrangement;
import grandbore.core.combination.Boost;
import grandbore.core.combination.Exhaust;
import grandbore.core.combination.Intake;
import grandbore.core.combination.InvalidInput;
import grandbore.core.combination.Nitrous;
import grandbore.core.combination.Provenance;
import grandbore.core.combination.Specs;
import grandbore.core.combination.ValveTrain;
import grandbore.core.demo.DemoBuilds;
import grandbore.core.prediction.BuiltEngine;
import grandbore.core.prediction.Fidelity;
import grandbore.core.prediction.Predictor;
import grandbore.core.units.Measure;
import grandbore.core.units.UnitSystem;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** A few numbers make a whole engine that runs, and says how it came to the others. */
class OrdinaryTest {
  private static Asked with(Asked a, Map<Said, Double> said, double ratio, Application use) {
    return new Asked(
        a.name(),
        a.units(),
        a.arrangement(),
        a.valves(),
        a.follower(),
        a.manifold(),
        a.fuelling(),
        a.exhaust(),
        use,
        ratio,
        0,
        said,
        a.flow());
  }

  /**
   * An engine on the street makes 8.5 to 13 bar of brake mean pressure at its best, 14 with four
   * valves and tuned pipes, and fills itself by 75 to 110 % (C. F. Taylor, volume 1; Heywood 1988,
   * table 2.1, from memory).
   */
  @ParameterizedTest
  @EnumSource(Pattern.class)
  void everyPatternRunsLikeAnEngineOfItsKind(Pattern pattern) {
    var build = Ordinary.build(pattern.asked("New", UnitSystem.METRIC));
    var c = build.combination();
    assertThat(c.staticRatio()).isCloseTo(pattern.ratio(), within(1e-9));
    assertThat(Arrangement.of(c.bottomEnd())).contains(pattern.arrangement());
    assertThat(c.intake().manifold()).isEqualTo(pattern.manifold());
    try (var predictor = new Predictor(2)) {
      var curve =
          predictor.predict(BuiltEngine.asSpecified(c), build.speeds().points(7), Fidelity.LIVE);
      assertThat(curve.settled()).hasSameSizeAs(curve.points());
      double best = curve.points().stream().mapToDouble(p -> p.bmep()).max().orElseThrow();
      double filling =
          curve.points().stream().mapToDouble(p -> p.volumetricEfficiency()).max().orElseThrow();
      assertThat(best).isBetween(8.5e5, 14.2e5);
      assertThat(filling).isBetween(0.75, 1.1);
      // Power has its peak inside the curve, or is about to.
      var peak = curve.peakPower().orElseThrow();
      assertThat(peak.rpm()).isGreaterThan(0.6 * build.speeds().to());
    }
  }

  /** What is bolted on is of the engine's size: a bottle gives a third to two thirds more. */
  @ParameterizedTest
  @EnumSource(Pattern.class)
  void whatIsBoltedOnIsOfItsSize(Pattern pattern) {
    var build = Ordinary.build(pattern.asked("New", UnitSystem.METRIC));
    var bottled = Ordinary.choose(build, "nitrous.kind", Nitrous.Kind.FITTED);
    var speed = List.of(0.8 * build.speeds().to());
    try (var predictor = new Predictor(1)) {
      double without = torque(predictor, build, speed);
      assertThat(torque(predictor, bottled, speed) / without).isBetween(1.3, 1.67);
      if (pattern.manifold() != Intake.Manifold.INDIVIDUAL) {
        var blown = Ordinary.choose(build, "boost.kind", Boost.Kind.POSITIVE_DISPLACEMENT);
        assertThat(torque(predictor, blown, speed) / without).isBetween(1.05, 1.35);
      }
    }
  }

  private static double torque(Predictor predictor, Build build, List<Double> speed) {
    var engine = BuiltEngine.asSpecified(build.combination());
    return predictor.predict(engine, speed, Fidelity.LIVE).points().getFirst().torque();
  }

  /** Every number that nobody said is assumed and has its rule; one that is changed has none. */
  @ParameterizedTest
  @EnumSource(Pattern.class)
  void everyAssumedNumberHasItsRule(Pattern pattern) {
    var build = Ordinary.build(pattern.asked("New", UnitSystem.US));
    var c = build.combination();
    for (var rule : Rules.ALL) {
      var is = Specs.field(rule.path()).get(c);
      boolean said = rule.path().endsWith("LobeLift");
      assertThat(is.provenance())
          .as(rule.path())
          .isEqualTo(said ? Provenance.CARD : Provenance.ASSUMED);
      if (!said) {
        assertThat(Ordinary.rule(build, rule.path())).as(rule.path()).contains(rule.words());
      }
    }
    var bore = Specs.field("bottomEnd.bore").get(c);
    assertThat(bore.provenance()).isEqualTo(Provenance.CARD);
    assertThat(Ordinary.rule(build, "bottomEnd.bore")).isEmpty();
    var rod = c.bottomEnd().rodLength();
    Build other =
        build.with(c.with("bottomEnd.rodLength", rod.with(1.001 * rod.si(), Provenance.ASSUMED)));
    assertThat(Ordinary.rule(other, "bottomEnd.rodLength")).isEmpty();
  }

  /**
   * What nobody said follows the choices, there and back again; what somebody said stands, and so
   * do the valves' lifts.
   */
  @ParameterizedTest
  @EnumSource(Pattern.class)
  void choicesTakeAlongWhatNobodySaid(Pattern pattern) {
    var build = Ordinary.build(pattern.asked("New", UnitSystem.METRIC));
    double bore = build.combination().bottomEnd().bore().si();
    var cast = Ordinary.choose(build, "exhaust.kind", Exhaust.Kind.CAST_MANIFOLD);
    var x = cast.combination().exhaust();
    assertThat(x.primaryLength().si()).isCloseTo(0.9 * bore, within(1e-9));
    assertThat(x.primaryLength().provenance()).isEqualTo(Provenance.ASSUMED);
    assertThat(Ordinary.rule(cast, "exhaust.collectorDiameter")).isPresent();
    assertThat(cast.combination().with(build.combination().exhaust()))
        .isEqualTo(build.combination());
    var choices =
        Map.of(
            "exhaust.kind", new Exhaust.Kind[] {Exhaust.Kind.CAST_MANIFOLD},
            "intake.fuelling", Intake.Fuelling.values(),
            "valveTrain.follower", ValveTrain.Follower.values());
    choices.forEach(
        (path, all) -> {
          for (var one : all) {
            var there = Ordinary.choose(build, path, one);
            assertThat(Ordinary.choose(there, path, build.combination().at(path)).combination())
                .as("%s %s", path, one)
                .isEqualTo(build.combination());
            assertThat(new Sizes(there).lift(true))
                .isCloseTo(new Sizes(build).lift(true), within(1e-9));
          }
        });
    var said =
        build.with(
            build
                .combination()
                .with("exhaust.primaryDiameter", x.primaryDiameter().with(0.05, Provenance.CARD)));
    var kept = Ordinary.choose(said, "exhaust.kind", Exhaust.Kind.CAST_MANIFOLD).combination();
    assertThat(kept.exhaust().primaryDiameter().si()).isEqualTo(0.05);
    assertThat(kept.exhaust().collectorLength().si()).isEqualTo(0.4);
  }

  @Test
  void whatIsSaidStands() {
    var asked = Pattern.WEDGE_EIGHT.asked("Mine", UnitSystem.US);
    var said = new EnumMap<Said, Double>(asked.said());
    said.put(Said.ROD, Measure.INCHES.toSi(6.0));
    said.put(Said.SEPARATION, Math.toRadians(108));
    double lift = Measure.INCHES.toSi(0.5);
    double flow = Measure.CUBIC_FEET_PER_MINUTE.toSi(231);
    var c =
        Ordinary.build(
                new Asked(
                    "Mine",
                    UnitSystem.US,
                    Arrangement.VEE_8_FLAT,
                    2,
                    ValveTrain.Follower.ROLLER_PUSHROD,
                    Intake.Manifold.PLENUM,
                    Intake.Fuelling.CARBURETTOR,
                    Exhaust.Kind.HEADERS,
                    Application.DRAG,
                    13.5,
                    8250,
                    said,
                    new Asked.Flow(lift, flow)))
            .combination();
    assertThat(c.bottomEnd().rodLength().si()).isCloseTo(0.1524, within(1e-12));
    assertThat(c.cam().separation().provenance()).isEqualTo(Provenance.CARD);
    assertThat(
            c.cam().intakeLobeLift().si() * c.valveTrain().intakeRocker().si()
                - c.valveTrain().intakeLash().si())
        .isCloseTo(said.get(Said.INTAKE_LIFT), within(1e-12));
    var rows = c.heads().intakeFlow().rows();
    double before = rows.stream().filter(r -> r.lift() <= lift).toList().getLast().flow();
    double after = rows.stream().filter(r -> r.lift() >= lift).findFirst().orElseThrow().flow();
    assertThat(flow).isBetween(before - 1e-9, after + 1e-9);
    assertThat(c.heads().intakeFlow().provenance()).isEqualTo(Provenance.CARD);
  }

  /** Any sizes make a whole engine or are refused in words that name what is wrong. */
  @Test
  void anySizesMakeAnEngineOrAreRefusedInWords() {
    var random = new Random(15);
    int made = 0;
    for (int i = 0; i < 600; i++) {
      var pattern = Pattern.values()[random.nextInt(Pattern.values().length)];
      var asked = pattern.asked("Any", UnitSystem.METRIC);
      var said = new EnumMap<Said, Double>(asked.said());
      double spread = i < 300 ? 0.25 : 0.9;
      said.replaceAll((k, v) -> v * (1 + spread * (2 * random.nextDouble() - 1)));
      var use = Application.values()[random.nextInt(Application.values().length)];
      try {
        var build = Ordinary.build(with(asked, said, 7 + 8 * random.nextDouble(), use));
        assertThat(build.combination().clearanceVolume()).isPositive();
        made++;
      } catch (InvalidInput e) {
        assertThat(e.getMessage()).contains("allowed");
      }
    }
    assertThat(made).isGreaterThan(250);
  }

  /** A larger engine of the same shape turns slower and is larger in every part. */
  @Test
  void sizesScaleTogether() {
    var asked = Pattern.BOXER.asked("Any", UnitSystem.METRIC);
    var larger = new EnumMap<Said, Double>(asked.said());
    for (var size : List.of(Said.BORE, Said.STROKE, Said.INTAKE_LIFT, Said.EXHAUST_LIFT)) {
      larger.compute(size, (k, v) -> 1.2 * v);
    }
    var one = Ordinary.build(asked).combination();
    var two = Ordinary.build(with(asked, larger, asked.ratio(), asked.use()));
    assertThat(two.speeds().to()).isLessThan(Ordinary.build(asked).speeds().to());
    for (var path :
        List.of(
            "bottomEnd.rodLength",
            "heads.intakeValve",
            "heads.intakePortVolume",
            "intake.runnerEntry",
            "exhaust.primaryDiameter",
            "compression.chamberVolume")) {
      var field = Specs.field(path);
      assertThat(field.get(two.combination()).si()).as(path).isGreaterThan(field.get(one).si());
    }
  }

  @Test
  void whatIsMissingIsNamed() {
    var asked = Pattern.BIG_SINGLE.asked("Any", UnitSystem.METRIC);
    var said = new EnumMap<Said, Double>(asked.said());
    said.remove(Said.STROKE);
    assertThatThrownBy(() -> with(asked, said, 10, Application.STREET))
        .isInstanceOf(InvalidInput.class)
        .hasMessageContaining("Stroke");
  }

  /**
   * What was said for headers is told as far off on a cast manifold; ordinary engines have none.
   */
  @Test
  void whatIsFarFromUsualIsTold() {
    var headers = Ordinary.build(Pattern.WEDGE_EIGHT.asked("Ours", UnitSystem.US));
    var c = headers.combination();
    var length = c.exhaust().primaryLength();
    var said =
        headers.with(
            c.with("exhaust.primaryLength", length.with(1.02 * length.si(), Provenance.CARD)));
    assertThat(Ordinary.unlike(said, "exhaust.primaryLength")).isEmpty();
    var cast = Ordinary.choose(said, "exhaust.kind", Exhaust.Kind.CAST_MANIFOLD);
    assertThat(cast.combination().exhaust().primaryLength().si()).isEqualTo(1.02 * length.si());
    var unlike = Ordinary.unlike(cast, "exhaust.primaryLength").orElseThrow();
    assertThat(unlike.usual()).isCloseTo(0.9 * c.bottomEnd().bore().si(), within(1e-9));
    assertThat(unlike.words()).contains("0.9 bores of branch in a cast manifold");
    var ordinary =
        new ArrayList<Build>(List.of(DemoBuilds.hillClimbEight(), DemoBuilds.paddockFour()));
    for (var pattern : Pattern.values()) {
      ordinary.add(Ordinary.build(pattern.asked("New", UnitSystem.METRIC)));
    }
    for (var build : ordinary) {
      for (var field : Specs.fields()) {
        assertThat(Ordinary.unlike(build, field.path())).as(field.path()).isEmpty();
      }
    }
  }
}
