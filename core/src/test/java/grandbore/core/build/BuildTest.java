package grandbore.core.build;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import grandbore.core.Said;
import grandbore.core.clearances.Application;
import grandbore.core.clearances.Band;
import grandbore.core.clearances.Bands;
import grandbore.core.clearances.Measurement;
import grandbore.core.clearances.Reading;
import grandbore.core.clearances.Readings;
import grandbore.core.combination.BottomEnd.Layout;
import grandbore.core.combination.Provenance;
import grandbore.core.combination.Specs;
import grandbore.core.demo.CombinationMaker;
import grandbore.core.demo.DemoBuilds;
import grandbore.core.demo.DynoCases;
import grandbore.core.units.Measure;
import grandbore.core.working.Figure;
import grandbore.core.working.Figures;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The trade's own arithmetic: common practice, no source, unless a line says otherwise. */
class BuildTest {
  private static final Readings NONE = new Readings(List.of());
  private final Build demo = DemoBuilds.hillClimbEight();

  private static double figure(Build build, Readings readings, String name) {
    return Figures.of(build, readings).stream()
        .filter(f -> f.name().equals(name))
        .mapToDouble(Figure::si)
        .findFirst()
        .orElseThrow();
  }

  @ParameterizedTest
  @CsvSource({
    "8, 4.125, 3.400, 363, in3",
    "8, 4.212, 4.250, 474, in3",
    "4, 3.7008, 2.7165, 1915, cc"
  })
  void displacement(int cylinders, double bore, double stroke, double expected, String unit) {
    var order = IntStream.rangeClosed(1, cylinders).boxed().toList();
    var b =
        CombinationMaker.bottomEnd(
            Layout.INLINE, order, bore, stroke, 6.5, 1.5, 0, 2.4, 2, Provenance.CARD);
    assertThat(Measure.of(unit).orElseThrow().fromSi(b.displacement()))
        .isCloseTo(expected, within(0.6));
  }

  /** 94 × 69 mm, 48 cc, 0.070 in deck, flat piston, no gasket volume: 8.9; rod 6.1/3.0: 2.03. */
  @Test
  void compressionFromVolumes() {
    var b =
        CombinationMaker.bottomEnd(
            Layout.INLINE,
            List.of(1, 3, 4, 2),
            94 / 25.4,
            69 / 25.4,
            6.1,
            1.5,
            0.070,
            2.4,
            2,
            Provenance.CARD);
    var compression = CombinationMaker.compression(48, 3.75, 0, 0, Provenance.CARD);
    var template = DemoBuilds.paddockFour().combination();
    var noCrevice =
        Specs.changed(
            compression,
            Map.of("landClearance", compression.landClearance().with(0.0001, Provenance.CARD)));
    var c =
        CombinationMaker.combination(
            "check",
            b,
            noCrevice,
            template.cam(),
            template.valveTrain(),
            template.heads(),
            template.intake(),
            template.exhaust(),
            template.mixture());
    assertThat(c.staticRatio()).isCloseTo(8.9, within(0.06));
    var long6 =
        CombinationMaker.bottomEnd(
            Layout.INLINE, List.of(1), 4, 3, 6.1, 1.5, 0, 2.4, 2, Provenance.CARD);
    assertThat(long6.rodRatio()).isCloseTo(2.03, within(0.005));
  }

  /** Intake 5/41, exhaust 35/7 at 0.050 in: 226° on 108°, 222° on 104°, separation 106°. */
  @Test
  void camEventsFromTheCard() {
    var cam = CombinationMaker.cam(226, 222, 266, 262, 0.35, 0.35, 106, 108, Provenance.CARD);
    double in = cam.intakeDuration().si();
    double ex = cam.exhaustDuration().si();
    assertThat(Math.toDegrees(cam.intakeOpens(in))).isCloseTo(5, within(1e-9));
    assertThat(Math.toDegrees(cam.intakeCloses(in))).isCloseTo(41, within(1e-9));
    assertThat(Math.toDegrees(cam.exhaustOpens(ex))).isCloseTo(35, within(1e-9));
    assertThat(Math.toDegrees(cam.exhaustCloses(ex))).isCloseTo(7, within(1e-9));
  }

  /** Path 12.5 in: third harmonic 7,000–8,000, second about 9,350–11,400. */
  @Test
  void harmonicBandsAndSeparationRule() {
    double path = figure(demo, NONE, "intake_path") / 0.0254;
    assertThat(Measure.RPM.fromSi(figure(demo, NONE, "third_harmonic_from")) * path / 12.5)
        .isCloseTo(7000, within(50.0));
    assertThat(Measure.RPM.fromSi(figure(demo, NONE, "second_harmonic_to")) * path / 12.5)
        .isCloseTo(11400, within(50.0));
    // 355 in³ V8 with 2.02 in valves: 108°.
    assertThat(128 - 0.91 * 355 / 8 / 2.02).isCloseTo(108, within(0.05));
    double rule = Math.toDegrees(figure(demo, NONE, "separation_rule"));
    double cubic = Measure.CUBIC_INCHES.fromSi(demo.combination().bottomEnd().sweptVolume());
    assertThat(rule).isCloseTo(128 - 0.91 * cubic / 2.02, within(1e-6));
  }

  @Test
  void everyFigureShowsItsWorkingAndSource() {
    for (var build : List.of(demo, DemoBuilds.paddockFour())) {
      var figures = Figures.of(build, NONE);
      assertThat(figures).hasSizeGreaterThan(18);
      assertThat(figures)
          .allSatisfy(
              f -> {
                assertThat(f.si()).isFinite();
                assertThat(List.of(f.formula(), f.putIn(), f.source())).doesNotContain("");
              });
      assertThat(figures.stream().map(Figure::name)).doesNotHaveDuplicates();
    }
  }

  private static Reading deck(int place, Reading.Side side, double inches) {
    return new Reading(
        0, Measurement.DECK, place, side, inches * 0.0254, "", "", Instant.EPOCH, false);
  }

  /** 0.021 and 0.011 in give 0.016; 0.028 and 0.012 give 0.020; one side alone gives nothing. */
  @Test
  void bothSidesOfThePinTakeTheRockOutOfTheDeck() {
    var readings =
        new Readings(
            List.of(
                deck(1, Reading.Side.THRUST, 0.021),
                deck(1, Reading.Side.OPPOSITE, 0.011),
                deck(2, Reading.Side.THRUST, 0.028),
                deck(2, Reading.Side.OPPOSITE, 0.012),
                deck(3, Reading.Side.THRUST, 0.015)));
    assertThat(readings.at(Measurement.DECK, 1).orElseThrow().value() / 0.0254)
        .isCloseTo(0.016, within(1e-9));
    assertThat(readings.at(Measurement.DECK, 2).orElseThrow().value() / 0.0254)
        .isCloseTo(0.020, within(1e-9));
    assertThat(readings.at(Measurement.DECK, 3)).isEmpty();
    assertThat(readings.isHalfRead(Measurement.DECK, 3)).isTrue();
  }

  @Test
  void measuredChambersAndDecksReplaceTheAssumedOnesCylinderByCylinder() {
    var readings = new Readings(DemoBuilds.hillClimbReadings());
    var engine = demo.asMeasured(readings);
    assertThat(engine.combination().compression().chamberVolume().provenance())
        .isEqualTo(Provenance.REPEATED);
    assertThat(engine.combination().compression().chamberVolume().si())
        .isGreaterThan(demo.combination().compression().chamberVolume().si());
    assertThat(engine.clearances()).doesNotHaveDuplicates();
    double specified = figure(demo, NONE, "static_compression");
    assertThat(figure(demo, readings, "static_compression")).isLessThan(specified);
    var bigger = new ArrayList<>(readings.all());
    bigger.removeIf(r -> r.measurement() == Measurement.CHAMBER);
    for (int i = 1; i <= 8; i++) {
      bigger.add(
          new Reading(
              0, Measurement.CHAMBER, i, Reading.Side.NONE, 62e-6, "", "", Instant.EPOCH, false));
    }
    assertThat(figure(demo, new Readings(bigger), "static_compression"))
        .isLessThan(specified - 0.5);
  }

  /** Boosted gap factors 0.0063 and 0.0068 at 4.125 in: 0.026 and 0.028 in. */
  @Test
  void bandsFollowTheEngineAndTheApplication() {
    var c = DemoBuilds.hillClimbEight().combination();
    c = Said.with(c, "bottomEnd.bore", 4.125, Measure.INCHES);
    c = Said.with(c, "bottomEnd.mainJournal", 2.45, Measure.INCHES);
    var boosted = new Bands(c, Application.BOOST, List.of());
    var top = boosted.of(Measurement.TOP_RING_GAP, Reading.Side.NONE).orElseThrow();
    var second = boosted.of(Measurement.SECOND_RING_GAP, Reading.Side.NONE).orElseThrow();
    assertThat(top.least() / 0.0254).isCloseTo(0.026, within(5e-4));
    assertThat(second.least() / 0.0254).isCloseTo(0.028, within(5e-4));
    var main =
        new Bands(c, Application.ROAD_COURSE, List.of())
            .of(Measurement.MAIN_BEARING, Reading.Side.NONE)
            .orElseThrow();
    assertThat(main.judge(2.8 * 0.0254e-3)).isEqualTo(Band.Verdict.INSIDE);
    assertThat(main.judge(2.46 * 0.0254e-3)).isEqualTo(Band.Verdict.NEAR_EDGE);
    assertThat(main.judge(2.0 * 0.0254e-3)).isEqualTo(Band.Verdict.TIGHT);
    assertThat(main.judge(3.6 * 0.0254e-3)).isEqualTo(Band.Verdict.WIDE);
  }

  @Test
  void impossibleReadingsAndSpeedsAreRefused() {
    // Without a side it is a bridge's along the pin; a valve's side it has not.
    assertThat(deck(1, Reading.Side.NONE, 0.01).value()).isCloseTo(2.54e-4, within(1e-9));
    assertThatThrownBy(() -> deck(1, Reading.Side.INTAKE, 0.01))
        .hasMessageContaining("both sides of the pin");
    assertThatThrownBy(() -> deck(1, Reading.Side.THRUST, 3.0)).hasMessageContaining("allowed");
    assertThatThrownBy(() -> new SpeedRange(6000, 3000)).hasMessageContaining("speeds.to");
  }

  @Test
  void dynoCasesCarryTheirStatedSizes() {
    assertThat(DynoCases.all()).hasSizeGreaterThanOrEqualTo(8);
    assertThat(DynoCases.all().getFirst().combination().staticRatio()).isCloseTo(11, within(1e-6));
  }
}
