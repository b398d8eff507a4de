package grandbore.core.studies;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import grandbore.core.combination.Arrangement;
import grandbore.core.combination.Combination;
import grandbore.core.combination.FlowSheet;
import grandbore.core.combination.Given;
import grandbore.core.combination.InvalidInput;
import grandbore.core.combination.Provenance;
import grandbore.core.combination.Specs;
import grandbore.core.demo.DemoBuilds;
import grandbore.core.demo.DynoCases;
import grandbore.core.doubt.Uncertain;
import grandbore.core.prediction.BuiltEngine;
import grandbore.core.prediction.CurvePoint;
import grandbore.core.prediction.Fidelity;
import grandbore.core.prediction.Predictor;
import grandbore.core.prediction.WantedBand;
import grandbore.core.runs.RunQueue;
import grandbore.core.runs.Study;
import grandbore.core.runs.Urgency;
import java.util.Comparator;
import java.util.List;
import org.assertj.core.data.Percentage;
import org.junit.jupiter.api.Test;

/** The band of doubt, what matters and what to measure next, on an engine. */
class DoubtTest {
  private static final WantedBand BAND = new WantedBand(4000, 6500);
  private static final int SAMPLES = 60;
  private static final BuiltEngine FOUR =
      BuiltEngine.asSpecified(DemoBuilds.paddockFour().combination());

  private static <T> T run(Study<T> study) {
    try (var queue = new RunQueue(2)) {
      return queue.submit(study, Urgency.STUDY).await();
    }
  }

  private static Doubt doubt(BuiltEngine engine) {
    return run(new DoubtStudy(engine, BAND, 4000, 6500, SAMPLES, 1));
  }

  /** Of the four, sampled once for all tests that look at it. */
  private static Doubt four;

  private static Doubt four() {
    if (four == null) {
      four = doubt(FOUR);
    }
    return four;
  }

  private static BuiltEngine with(BuiltEngine engine, String path, Provenance from) {
    var c = engine.combination();
    Object now =
        switch (c.at(path)) {
          case FlowSheet f -> new FlowSheet(f.depression(), from, f.fitting(), f.rows());
          case Given g -> g.with(g.si(), from);
          default -> throw new IllegalArgumentException(path);
        };
    return BuiltEngine.asSpecified(c.with(path, now));
  }

  private static double width(Doubt doubt) {
    return doubt.score().high() - doubt.score().low();
  }

  /** The band is a share of the live curve and lies about the curve that stands in the window. */
  @Test
  void theBandLiesAboutTheCurveThatStands() {
    var cross =
        BuiltEngine.asSpecified(
            Arrangement.VEE_8_CROSS.of(DemoBuilds.hillClimbEight().combination()));
    var band = new WantedBand(2900, 3100);
    var doubt = run(new DoubtStudy(cross, band, 2900, 3100, 10, 1));
    try (var predictor = new Predictor()) {
      var speeds = doubt.stands().points().stream().map(CurvePoint::rpm).toList();
      var placed = predictor.predict(cross, speeds, Fidelity.PLACED);
      var live = predictor.predict(cross, speeds, Fidelity.LIVE);
      double stands = band.meanPower(placed);
      assertThat(band.meanPower(doubt.stands())).isCloseTo(stands, Percentage.withPercentage(0.2));
      assertThat(doubt.score().low()).isLessThan(stands);
      assertThat(doubt.score().middle()).isCloseTo(stands, Percentage.withPercentage(2));
      // Far enough from the live curve for the test to tell.
      assertThat(band.meanPower(live)).isGreaterThan(1.03 * stands);
    }
  }

  /** The input that carries most of the doubt is the one whose reading narrows the band. */
  @Test
  void measuringWhatCarriesMostNarrowsTheBand() {
    var doubt = four();
    assertThat(doubt.refused()).isZero();
    assertThat(doubt.samples().size()).isEqualTo(SAMPLES);
    double stands = BAND.meanPower(doubt.stands());
    assertThat(doubt.score().low()).isLessThan(stands);
    assertThat(doubt.score().high()).isGreaterThan(stands);
    // An engine all from cards and guesses: some per cent, and less than the model's own with it.
    assertThat(width(doubt) / stands).isBetween(0.01, 0.12);
    var whole = ModelSpread.OWN.with(doubt.score(), stands);
    assertThat(whole.high() - whole.low()).isGreaterThan(width(doubt));

    var shares = doubt.shares();
    assertThat(shares.unexplained()).isLessThan(0.15);
    double sum = shares.shares().stream().mapToDouble(Doubt.Share::share).sum();
    assertThat(sum).as("nearly straight: shares add up to little over one").isBetween(0.95, 1.2);
    var most = shares.shares().getFirst();
    var known = doubt(with(FOUR, most.input().path(), Provenance.REPEATED));
    var idle = doubt(with(FOUR, shares.shares().getLast().input().path(), Provenance.REPEATED));
    double left = Math.pow(width(known) / width(doubt), 2);
    assertThat(left)
        .as("%s with %.2f of the variance", most.input().path(), most.share())
        .isBetween(0.7 * (1 - most.share()), 1 - 0.4 * most.share());
    assertThat(width(idle) / width(doubt)).isCloseTo(1, within(0.15));
  }

  private static Doubt few(long seed) {
    return run(new DoubtStudy(FOUR, BAND, 4000, 6500, 12, seed));
  }

  /** The same seed gives the same samples to the last digit, another gives others. */
  @Test
  void theSeedIsAllThatIsDrawn() {
    var one = few(5);
    var again = few(5);
    assertThat(again.samples().equals(one.samples())).isTrue();
    assertThat(again.seed()).isEqualTo(5);
    assertThat(few(6).samples().equals(one.samples())).isFalse();
  }

  /** One at a time gives the same order as the shares of the samples. */
  @Test
  void whatMattersAloneCarriesTheDoubt() {
    var effects = run(new EffectsStudy(FOUR, BAND.speeds(3), BAND, EffectsStudy.Step.SPREAD));
    var told = effects.told();
    assertThat(told).hasSizeGreaterThan(10);
    assertThat(told).isSortedAccordingTo(Comparator.comparingDouble(e -> -e.size()));
    var carrying = four().shares().shares().stream().limit(3).map(s -> s.input().path()).toList();
    assertThat(told.stream().limit(6).map(e -> e.input().path()).toList()).containsAll(carrying);

    var percent = run(new EffectsStudy(FOUR, BAND.speeds(3), BAND, EffectsStudy.Step.PERCENT));
    // A bore one per cent larger gives about two per cent more: the air goes with its square.
    var bore =
        percent.effects().stream()
            .filter(e -> e.input().path().equals("bottomEnd.bore"))
            .findFirst()
            .orElseThrow();
    assertThat(bore.high() / percent.stands()).isBetween(0.005, 0.035);
    assertThat(bore.low()).isNegative();
  }

  /** What is machined is known to hundredths however long it is; what is not fitted is no doubt. */
  @Test
  void spreadsAreThoseOfTheTrade() {
    var inputs = Uncertain.of(FOUR);
    assertThat(inputs).extracting(Uncertain::path).doesNotHaveDuplicates();
    assertThat(inputs)
        .noneMatch(u -> u.path().startsWith("boost.") || u.path().startsWith("brief."));
    assertThat(inputs).noneMatch(u -> u.path().startsWith("weather."));
    var rod =
        inputs.stream()
            .filter(u -> u.path().equals("bottomEnd.rodLength"))
            .findFirst()
            .orElseThrow();
    assertThat(rod.spread()).isLessThan(0.3e-3);
    // Said otherwise, it is as it was said.
    var given = (Given) FOUR.combination().at("bottomEnd.rodLength");
    var said = new Given(given.si(), given.quantity(), given.provenance(), 0.7e-3);
    var worn = BuiltEngine.asSpecified(FOUR.combination().with("bottomEnd.rodLength", said));
    assertThat(Uncertain.of(worn)).anyMatch(u -> u.spread() == 0.7e-3);
    // No further than its bounds.
    var header =
        inputs.stream()
            .filter(u -> u.path().equals("exhaust.primaryLength"))
            .findFirst()
            .orElseThrow();
    var spec = Specs.field(header.path()).spec();
    var far = header.byShare(50).on(FOUR, 3).combination();
    assertThat(((Given) far.at(header.path())).si()).isEqualTo(spec.max());
  }

  /** The model's own doubt is the root mean square of what the checks against dynos print. */
  @Test
  void theModelsOwnDoubtIsWhatItsChecksLeave() {
    // Peaks as docs/model.md tables them, per cent.
    double[] errors = {-0.8, -5.8, -3.8, -2.0, 0.5, 6.7, 1.1, 1.3, 3.6, 1.3, 1.1, -11.4, -10.4};
    double sum = 0;
    for (double e : errors) {
      sum += e * e / errors.length;
    }
    assertThat(100 * ModelSpread.OWN.share()).isCloseTo(Math.sqrt(sum), within(0.1));
    assertThat(DynoCases.all()).hasSize(ModelSpread.OWN.engines());
  }

  @Test
  void tooFewSamplesAreRefusedByName() {
    assertThatThrownBy(() -> new DoubtStudy(FOUR, BAND, 4000, 6500, 3, 1))
        .isInstanceOf(InvalidInput.class)
        .hasMessageContaining("Samples")
        .hasMessageContaining("10 to 2,000");
    Combination c = FOUR.combination();
    var none = new Doubt(doubtless(c), List.of(), List.of(), 200, 0, 1);
    assertThat(none.score().low()).isNaN();
    assertThatThrownBy(none::shares).hasMessageContaining("ten samples");
  }

  private static Doubt drawn(double... factors) {
    var speeds = List.of(4000.0, 5000.0, 6000.0);
    var stands = ClosedCurves.of(speeds, n -> n / 10);
    var samples = new java.util.ArrayList<Doubt.Sample>();
    for (double f : factors) {
      // At the first speed half as far off, at the last not run.
      samples.add(
          new Doubt.Sample(
              List.of(0.0), List.of(400 * (1 + f / 2), 500 * (1 + f), Double.NaN), 1e5 * (1 + f)));
    }
    return new Doubt(stands, List.of(), samples, factors.length, 0, 1);
  }

  /** Tenths lie where tenths lie; between speeds the share runs straight. */
  @Test
  void theBandLiesWhereItsSamplesLie() {
    var doubt = drawn(-0.10, -0.08, -0.06, -0.04, -0.02, 0, 0.02, 0.04, 0.06, 0.08, 0.10);
    assertThat(doubt.score().middle()).isCloseTo(1e5, within(1e-6));
    assertThat(doubt.score().low()).isBetween(0.89e5, 0.93e5);
    assertThat(doubt.score().high()).isBetween(1.07e5, 1.11e5);
    var near = doubt.torque(1);
    assertThat(near.low() / 500).isCloseTo(doubt.score().low() / 1e5, within(1e-12));
    assertThat(doubt.torque(2).low()).as("a speed that was not run").isNaN();
    double half = 1 - doubt.share(4000).low();
    double whole = 1 - doubt.share(5000).low();
    assertThat(whole).isCloseTo(2 * half, within(1e-12));
    assertThat(1 - doubt.share(4500).low()).isCloseTo(1.5 * half, within(1e-12));
    // Beyond the first it is as at the first.
    assertThat(doubt.share(3000)).isEqualTo(doubt.share(4000));
    // The model's own is added in squares: alone it is 1.2816 standard deviations either way.
    var sure = new Doubt.Range(100, 100, 100);
    var model = ModelSpread.OWN.with(sure, 100);
    assertThat(model.high() - 100).isCloseTo(1.28155 * 5.2, within(1e-3));
    assertThat(100 - model.low()).isCloseTo(model.high() - 100, within(1e-12));
    double both = ModelSpread.OWN.with(new Doubt.Range(97, 100, 103), 100).high() - 100;
    assertThat(both).isCloseTo(Math.hypot(3, 1.28155 * 5.2), within(1e-3));
    assertThat(drawn(0.1, 0.2).score().low()).as("two are too few").isNaN();
  }

  private static grandbore.core.prediction.Curve doubtless(Combination c) {
    return ClosedCurves.of(BAND.speeds(3), s -> 100 + c.bottomEnd().cylinders());
  }
}
