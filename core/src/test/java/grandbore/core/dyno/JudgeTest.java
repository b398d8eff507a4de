package grandbore.core.dyno;

import static org.assertj.core.api.Assertions.assertThat;

import grandbore.core.checks.Check;
import grandbore.core.checks.Check.Verdict;
import grandbore.core.combination.Combination;
import grandbore.core.demo.DemoBuilds;
import grandbore.core.dyno.judged.Judge;
import grandbore.core.dyno.judged.Pattern;
import grandbore.core.dyno.judged.Suspect;
import java.time.Instant;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.DoubleUnaryOperator;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

/** What the checks say of pulls that are made by hand, one thing wrong with each. */
class JudgeTest {
  private static final Combination ENGINE = DemoBuilds.hillClimbEight().combination();
  private static final DayAir AIR = new DayAir(99e3, 298.15, 0);
  private static final Instant WHEN = Instant.parse("2026-10-03T09:00:00Z");
  private static final double STOICHIOMETRIC = ENGINE.mixture().fuel().stoichiometricAirFuelRatio();
  private static final double LAMBDA = ENGINE.mixture().lambda().si();

  /** A smooth torque curve of an eight of this size, N m. */
  private static double torque(double rpm) {
    return 560 - 26 * Math.pow((rpm - 5200) / 1000, 2);
  }

  /** Air that fills the cylinders as well as torque says, kg/s. */
  private static double air(double rpm) {
    double density = 99e3 / (287.05 * 298.15);
    double filling = torque(rpm) / 560;
    return filling * density * ENGINE.bottomEnd().displacement() / 2 * rpm / 60;
  }

  private static double fuel(double rpm) {
    return air(rpm) / (LAMBDA * STOICHIOMETRIC);
  }

  private static double exhaust(double rpm) {
    return 1150 + 0.02 * (rpm - 3000);
  }

  private static final Frozen FROZEN =
      new Frozen(
          "as built",
          WHEN,
          AIR,
          LAMBDA,
          IntStream.rangeClosed(0, 18)
              .mapToObj(
                  k -> {
                    double n = 3000 + 250.0 * k;
                    return new Frozen.Row(
                        n,
                        torque(n),
                        0.95 * torque(n),
                        1.05 * torque(n),
                        air(n),
                        fuel(n),
                        exhaust(n),
                        96e3,
                        0.55,
                        0.58);
                  })
              .toList());

  /** A pull whose channels are made one by one. */
  private static final class Made {
    private final Map<Channel, DoubleUnaryOperator> channels = new EnumMap<>(Channel.class);
    private final Map<Integer, DoubleUnaryOperator> exhausts = new java.util.TreeMap<>();
    private Instant at = WHEN;

    Made() {
      channels.put(Channel.TORQUE, JudgeTest::torque);
      channels.put(Channel.POWER, n -> torque(n) * n * Math.PI / 30);
      channels.put(Channel.AIR_FLOW, JudgeTest::air);
      channels.put(Channel.FUEL_FLOW, JudgeTest::fuel);
      channels.put(Channel.LAMBDA, n -> LAMBDA);
      channels.put(Channel.MANIFOLD_PRESSURE, n -> 96e3);
      channels.put(Channel.OIL_PRESSURE, n -> 4e5 + 10 * n);
      channels.put(Channel.OIL_TEMPERATURE, n -> 365);
      channels.put(Channel.WATER_OUT, n -> 356);
      channels.put(Channel.BLOW_BY, n -> 4e-4);
      channels.put(Channel.KNOCK, n -> 1);
      for (int c = 1; c <= 8; c++) {
        exhausts.put(c, JudgeTest::exhaust);
      }
    }

    Made with(Channel channel, DoubleUnaryOperator value) {
      channels.put(channel, value);
      return this;
    }

    Made exhaust(int cylinder, DoubleUnaryOperator value) {
      exhausts.put(cylinder, value);
      return this;
    }

    Made without(Channel channel) {
      channels.remove(channel);
      return this;
    }

    Made after(int minutes) {
      at = WHEN.plusSeconds(60L * minutes);
      return this;
    }

    Pull pull(int number) {
      var rpm = IntStream.rangeClosed(0, 150).mapToObj(k -> 3000.0 + 30 * k).toList();
      var columns = new ArrayList<Column>();
      columns.add(new Column(Channel.RPM, 0, rpm));
      channels.forEach(
          (channel, f) ->
              columns.add(new Column(channel, 0, rpm.stream().map(f::applyAsDouble).toList())));
      exhausts.forEach(
          (place, f) ->
              columns.add(
                  new Column(
                      Channel.EXHAUST_TEMPERATURE,
                      place,
                      rpm.stream().map(f::applyAsDouble).toList())));
      return new Pull(
          number,
          "a day",
          at,
          Pull.How.SWEEP,
          300,
          0,
          Optional.of(AIR),
          Standard.NONE,
          0.55,
          "",
          Optional.empty(),
          "",
          "",
          new Recorded(IntStream.rangeClosed(0, 150).mapToObj(k -> 0.1 * k).toList(), columns));
    }
  }

  private static List<Check> judged(Pull pull, Pull... before) {
    return Judge.of(ENGINE, pull, List.of(before), Optional.of(FROZEN));
  }

  private static void suspects(Suspect suspect, Made made, Pull... before) {
    assertThat(Judge.bad(judged(made.pull(9), before)))
        .extracting(Check::name)
        .as("%s", suspect)
        .containsExactly(suspect.word());
  }

  @Test
  void nothingIsSaidOfAPullThatIsAsPredicted() {
    var checks = judged(new Made().pull(2), new Made().pull(1));
    assertThat(checks).hasSizeGreaterThan(12).allMatch(c -> c.verdict() == Verdict.GOOD);
    assertThat(checks).allMatch(c -> !c.working().isBlank() && !c.says().isBlank());
  }

  /** Power that is not torque times speed has another unit or correction on it. */
  @Test
  void powerColumnOfAnotherCorrection() {
    suspects(
        Suspect.POWER_COLUMN,
        new Made().with(Channel.POWER, n -> 1.04 * torque(n) * n * Math.PI / 30));
  }

  /** Which of three meters lies is told by the prediction, with which two of them agree. */
  @Test
  void theMeterThatLiesIsNamed() {
    suspects(Suspect.FUEL_METER, new Made().with(Channel.FUEL_FLOW, n -> 0.88 * fuel(n)));
    suspects(Suspect.AIR_METER, new Made().with(Channel.AIR_FLOW, n -> 1.13 * air(n)));
    suspects(Suspect.AIR_HAT, new Made().with(Channel.AIR_FLOW, n -> 0.3 * air(n)));
    var sensor = judged(new Made().with(Channel.LAMBDA, n -> 1.12 * LAMBDA).pull(1));
    assertThat(Judge.bad(sensor)).extracting(Check::name).contains(Suspect.MIXTURE_SENSOR.word());
  }

  /** Without a prediction what no engine can do is still told. */
  @Test
  void whatNoEngineCanDoIsToldWithoutAPrediction() {
    var half = new Made().with(Channel.FUEL_FLOW, n -> 0.55 * fuel(n)).pull(1);
    assertThat(Judge.bad(Judge.of(ENGINE, half, List.of(), Optional.empty())))
        .extracting(Check::name)
        .contains(Suspect.FUEL_METER.word());
    var twice = new Made().with(Channel.AIR_FLOW, n -> 1.6 * air(n)).pull(1);
    assertThat(Judge.bad(Judge.of(ENGINE, twice, List.of(), Optional.empty())))
        .extracting(Check::name)
        .contains(Suspect.AIR_METER.word());
    var bare = new Made();
    List.of(Channel.AIR_FLOW, Channel.FUEL_FLOW, Channel.LAMBDA, Channel.KNOCK)
        .forEach(bare::without);
    assertThat(Judge.bad(Judge.of(ENGINE, bare.pull(1), List.of(), Optional.empty()))).isEmpty();
  }

  @Test
  void oneCylinderAgainstTheOthers() {
    suspects(Suspect.PLUG, new Made().exhaust(5, n -> exhaust(n) - 300));
    suspects(Suspect.CYLINDER, new Made().exhaust(3, n -> exhaust(n) + 90));
    var says =
        Judge.bad(judged(new Made().exhaust(5, n -> exhaust(n) - 300).pull(1))).getFirst().says();
    assertThat(says).contains("cylinder 5");
  }

  @Test
  void mixtureIsToldBySpeed() {
    var lean =
        new Made()
            .with(Channel.LAMBDA, n -> 1.1 * LAMBDA)
            .with(Channel.FUEL_FLOW, n -> fuel(n) / 1.1);
    suspects(Suspect.CARBURETTOR, lean);
    DoubleUnaryOperator rich = n -> 1 - 0.18 * (7500 - n) / 4500;
    suspects(
        Suspect.RICH_BELOW,
        new Made()
            .with(Channel.LAMBDA, n -> rich.applyAsDouble(n) * LAMBDA)
            .with(Channel.FUEL_FLOW, n -> fuel(n) / rich.applyAsDouble(n)));
  }

  @Test
  void oilKnockAndTheTopEnd() {
    suspects(
        Suspect.OIL_PICKUP, new Made().with(Channel.OIL_PRESSURE, n -> n < 6000 ? 4.3e5 : 2.6e5));
    suspects(
        Suspect.FUEL_OCTANE, new Made().with(Channel.KNOCK, n -> n > 4500 && n < 5500 ? 3 : 1));
    DoubleUnaryOperator breaks = n -> n < 7150 ? 1 : 1 - (n - 7150) / 1000;
    suspects(
        Suspect.VALVE_SPRINGS,
        new Made()
            .with(Channel.TORQUE, n -> breaks.applyAsDouble(n) * torque(n))
            .with(Channel.POWER, n -> breaks.applyAsDouble(n) * torque(n) * n * Math.PI / 30)
            .with(Channel.AIR_FLOW, n -> breaks.applyAsDouble(n) * air(n))
            .with(Channel.FUEL_FLOW, n -> breaks.applyAsDouble(n) * fuel(n)));
  }

  @Test
  void pullsBesideOneAnother() {
    var first = new Made().pull(1);
    suspects(Suspect.WARMTH, new Made().with(Channel.OIL_TEMPERATURE, n -> 380), first);
    suspects(Suspect.RINGS, new Made().with(Channel.BLOW_BY, n -> 7e-4), first);
  }

  private static Made dipped(double at) {
    DoubleUnaryOperator dip = n -> 1 - 0.07 * Math.exp(-Math.pow((n - at) / 130, 2));
    return new Made()
        .with(Channel.TORQUE, n -> dip.applyAsDouble(n) * torque(n))
        .with(Channel.POWER, n -> dip.applyAsDouble(n) * torque(n) * n * Math.PI / 30);
  }

  /** A dip that stays where it is is a wave or the mixture; one that wanders is the ignition. */
  @Test
  void dipsThatStayAndDipsThatWander() {
    suspects(Suspect.IGNITION, dipped(6200), dipped(4400).pull(1));
    var steady = judged(dipped(4410).after(10).pull(2), dipped(4400).pull(1));
    assertThat(Judge.bad(steady)).isEmpty();
    assertThat(steady)
        .anyMatch(c -> c.name().equals(Suspect.WAVE.word()) && c.says().contains("in 2 pulls"));
    assertThat(judged(dipped(4400).pull(1)))
        .anyMatch(c -> c.verdict() == Verdict.CLOSE && c.says().contains("next pull"));
  }

  private static Pattern pattern(DoubleUnaryOperator torque) {
    var pull =
        new Made()
            .with(Channel.TORQUE, torque)
            .with(Channel.POWER, n -> torque.applyAsDouble(n) * n * Math.PI / 30)
            .pull(1);
    return Pattern.of(ENGINE, pull, FROZEN).orElseThrow();
  }

  /** The kinds of difference, each made by hand and said in words. */
  @Test
  void differencesAreReadAsWhatMakesThem() {
    assertThat(pattern(JudgeTest::torque).says())
        .containsExactly("within one per cent of the prediction");
    var less = pattern(n -> 0.95 * torque(n));
    assertThat(less.says()).hasSize(1).first().asString().startsWith("-5.0 % at all speeds");
    var falls = pattern(n -> (1 - 0.08 * (n - 3000) / 4500) * torque(n));
    assertThat(falls.says()).anyMatch(s -> s.contains("flow, exhaust, valve motion"));
    var low = pattern(n -> (n < 4300 ? 0.93 : 1) * torque(n));
    assertThat(low.says()).anyMatch(s -> s.contains("lowest third alone"));
    var moved = pattern(n -> torque(n / 1.04));
    assertThat(moved.displaced()).isBetween(0.03, 0.05);
    assertThat(moved.says()).anyMatch(s -> s.contains("shorter"));
    var waves = pattern(n -> (1 + 0.03 * Math.sin(n / 200)) * torque(n));
    assertThat(waves.says()).anyMatch(s -> s.contains("up and down from speed to speed"));
  }
}
