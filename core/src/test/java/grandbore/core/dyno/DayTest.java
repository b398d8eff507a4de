package grandbore.core.dyno;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import grandbore.core.combination.InvalidInput;
import grandbore.core.dyno.effects.Day;
import grandbore.core.dyno.effects.Effect;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** Days at the dyno told beside one another, on pulls whose answers are known. */
class DayTest {
  private static final Instant MORNING = Instant.parse("2026-10-03T08:00:00Z");
  private static final DayAir COOL = new DayAir(99e3, 288.15, 0);
  private static final DayAir WARM = new DayAir(98e3, 298.15, 0);
  private static final double FROM = 4000;
  private static final double TO = 7000;

  /** Torque is level, so that its mean is it and power is most at the last speed. */
  private static Pull pull(int number, String day, int minutes, double spark, double torque) {
    return pull(number, day, minutes, spark, torque, Optional.of(number % 2 == 0 ? COOL : WARM));
  }

  private static Pull pull(
      int number, String day, int minutes, double spark, double torque, Optional<DayAir> air) {
    return SweptPull.of(
        number,
        day,
        MORNING.plus(Duration.ofMinutes(minutes)),
        air,
        spark,
        spark == 30 ? "" : "spark %.0f°".formatted(spark),
        n -> torque,
        List.of());
  }

  private static List<Pull> before() {
    return List.of(
        pull(1, "before", 0, 30, 500),
        pull(2, "before", 10, 30, 502),
        pull(3, "before", 20, 34, 510),
        pull(4, "before", 30, 34, 512),
        pull(5, "before", 40, 30, 495));
  }

  private static List<Pull> after() {
    return List.of(
        pull(6, "after", 60 * 24, 30, 520),
        pull(7, "after", 60 * 24 + 10, 34, 531),
        pull(8, "after", 60 * 24 + 20, 34, 533));
  }

  @Test
  void aDayIsItsPullsItsBestAndItsDrift() {
    var all = new ArrayList<>(before());
    all.addAll(after());
    var days = Day.of(all, all);
    assertThat(days).extracting(Day::name).containsExactly("before", "after");
    var day = days.getFirst();
    assertThat(day.from()).isEqualTo(MORNING);
    assertThat(day.to()).isEqualTo(MORNING.plus(Duration.ofMinutes(40)));
    assertThat(day.airs()).containsExactlyInAnyOrder(COOL, WARM);
    var best = day.best(Standard.NONE, FROM, TO).orElseThrow();
    assertThat(best.pull().number()).isEqualTo(4);
    assertThat(best.mean()).isCloseTo(512, within(1e-6));
    assertThat(best.power().rpm()).isEqualTo(7500);
    assertThat(best.power().value()).isCloseTo(512 * 7500 * Math.PI / 30, within(1e-3));
    // As it was set first it was pulled first and last, over the longest time.
    var drift = day.drift(Standard.NONE, FROM, TO).orElseThrow();
    assertThat(drift.first().number()).isEqualTo(1);
    assertThat(drift.last().number()).isEqualTo(5);
    assertThat(drift.share()).isCloseTo(495.0 / 500 - 1, within(1e-9));
  }

  /** What is not good is counted and not told as the best. */
  @Test
  void whatIsNotGoodIsNotTheBest() {
    var all = before();
    var good = all.stream().filter(p -> p.number() != 4).toList();
    var day = Day.of(all, good).getFirst();
    assertThat(day.pulls()).hasSize(5);
    assertThat(day.best(Standard.NONE, FROM, TO).orElseThrow().pull().number()).isEqualTo(3);
    // A band that no pull spans has no best, and so nothing to be compared.
    assertThat(day.best(Standard.NONE, 2000, TO)).isEmpty();
    assertThat(day.drift(Standard.NONE, 2000, TO)).isEmpty();
  }

  /**
   * From day to day: the means of both days' best settings, and the least difference that counts by
   * Student's test with the repeats of both.
   */
  @Test
  void oneDayIsToldOverAnother() {
    var all = new ArrayList<>(before());
    all.addAll(after());
    var days = Day.of(all, all);
    var over = days.get(1).over(days.get(0), Standard.NONE, FROM, TO).orElseThrow();
    assertThat(over.share()).isCloseTo(532.0 / 511 - 1, within(1e-9));
    assertThat(over.told()).isEqualTo(Effect.Told.GAIN);
    assertThat(over.before().pulls()).extracting(Pull::number).containsExactly(3, 4);
    assertThat(over.after().pulls()).extracting(Pull::number).containsExactly(7, 8);
    // Within the days: 30° three times, 34° twice and twice; four degrees of freedom.
    double squares = relative(500, 502, 495) + relative(510, 512) + relative(531, 533);
    assertThat(over.counts())
        .isCloseTo(2.7764 * Math.sqrt(squares / 4) * Math.sqrt(0.5 + 0.5), within(2e-5));
  }

  private static double relative(double... values) {
    double mean = Arrays.stream(values).average().orElseThrow();
    return Arrays.stream(values).map(v -> Math.pow((v - mean) / mean, 2)).sum();
  }

  /** Under a standard a pull whose air nobody read has no place; a day is at least a pull. */
  @Test
  void withoutAirThereIsNoStandard() {
    var blind = List.of(pull(1, "blind", 0, 30, 500, Optional.empty()));
    var day = Day.of(blind, blind).getFirst();
    assertThat(day.airs()).isEmpty();
    assertThat(day.best(Standard.SAE_J1349, FROM, TO)).isEmpty();
    assertThat(day.best(Standard.NONE, FROM, TO)).isPresent();
    assertThat(Day.of(List.of(), List.of())).isEmpty();
    // Among others it is passed over, wherever it would count.
    var some = new ArrayList<>(before());
    some.add(pull(9, "before", 50, 30, 900, Optional.empty()));
    some.addAll(after());
    var days = Day.of(some, some);
    var known = days.getFirst();
    assertThat(known.told(Standard.SAE_J1349)).hasSize(5);
    var best = known.best(Standard.SAE_J1349, FROM, TO).orElseThrow();
    assertThat(best.pull().number()).isNotEqualTo(9);
    assertThat(known.drift(Standard.SAE_J1349, FROM, TO).orElseThrow().last().number())
        .isEqualTo(5);
    assertThat(days.get(1).over(known, Standard.SAE_J1349, FROM, TO)).isPresent();
    assertThat(known.best(Standard.NONE, FROM, TO).orElseThrow().pull().number()).isEqualTo(9);
    assertThatThrownBy(() -> new Day("none", List.of(), List.of()))
        .isInstanceOf(InvalidInput.class)
        .hasMessageContaining("no pulls");
  }
}
