package grandbore.core.clearances;

import static org.assertj.core.api.Assertions.assertThat;

import grandbore.core.build.Build;
import grandbore.core.clearances.Reading.Side;
import grandbore.core.combination.Arrangement;
import grandbore.core.combination.InvalidInput;
import grandbore.core.demo.DemoBuilds;
import grandbore.core.guided.Answers;
import grandbore.core.guided.Guide;
import grandbore.core.guided.Outcome.Into;
import grandbore.core.guided.Routine;
import grandbore.core.guided.Step;
import grandbore.core.prediction.RandomEngines;
import grandbore.core.units.UnitSystem;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** Any engine's book: what has to hold whatever is measured on it. */
class AnyBookTest {
  private static final Build EIGHT = DemoBuilds.hillClimbEight();

  private static Reading at(Measurement m, int place, Side side, double si) {
    return new Reading(0, m, place, side, si, "", "", Instant.EPOCH, false);
  }

  /** Everything read at the middle of its band: nothing to do, nothing odd, all inside. */
  @ParameterizedTest
  @EnumSource(Arrangement.class)
  void anEngineBuiltToItsBandsLeavesNothingToDo(Arrangement arrangement) {
    var c = arrangement.of(EIGHT.combination());
    for (var use : Application.values()) {
      var bands = new Bands(c, use, List.of());
      var all = new ArrayList<Reading>();
      for (var m : Measurement.values()) {
        for (var side : m.valueSides()) {
          var band = bands.of(m, side);
          for (int p = 1; band.isPresent() && p <= m.places(c.bottomEnd()); p++) {
            all.add(at(m, p, side, band.get().aim()));
          }
        }
      }
      var ledger = new Ledger(c, use, new Readings(all), List.of());
      assertThat(ToDo.of(ledger, UnitSystem.US)).as(use.word()).isEmpty();
      assertThat(Plausibility.of(ledger, UnitSystem.US)).isEmpty();
      for (var r : all) {
        assertThat(ledger.verdict(r.measurement(), r.place(), r.side()).orElseThrow().isOutside())
            .isFalse();
        assertThat(ledger.filled(r.measurement())).isEqualTo(ledger.wanted(r.measurement()));
      }
    }
  }

  /** One value moved out of its band: one task, at its place, and only there. */
  @Test
  void oneValueOutsideMakesOneTaskAtItsPlace() {
    var random = new Random(12);
    var c = EIGHT.combination();
    var bands = new Bands(c, Application.STREET, List.of());
    for (var m : Measurement.values()) {
      for (var side : m.valueSides()) {
        var band = bands.of(m, side);
        if (band.isEmpty() || m == Measurement.DECK) {
          continue;
        }
        int places = m.places(c.bottomEnd());
        int odd = 1 + random.nextInt(places);
        var all = new ArrayList<Reading>();
        for (int p = 1; p <= places; p++) {
          double tight = Math.max(m.least(), 0.7 * band.get().least());
          all.add(at(m, p, side, p == odd ? tight : band.get().aim()));
        }
        var tasks =
            ToDo.of(new Ledger(c, Application.STREET, new Readings(all), List.of()), UnitSystem.US);
        assertThat(tasks)
            .as(m + " " + side)
            .singleElement()
            .satisfies(
                t -> {
                  assertThat(t.measurement()).isEqualTo(m);
                  assertThat(t.place()).isEqualTo(odd);
                  assertThat(t.words()).isNotBlank();
                });
      }
    }
  }

  /**
   * A struck reading counts for nothing; a second one at a place moves the mean, never the other.
   */
  @Test
  void strikingAndRepeatingTouchTheirOwnPlaceOnly() {
    var random = new Random(5);
    var c = EIGHT.combination();
    for (int set = 0; set < 200; set++) {
      var m = Measurement.values()[random.nextInt(Measurement.values().length)];
      var sides = m.sides().all();
      int places = m.places(c.bottomEnd());
      var all = new ArrayList<Reading>();
      for (int i = 0; i < 30; i++) {
        double v = m.least() + (m.most() - m.least()) * (0.2 + 0.6 * random.nextDouble());
        all.add(at(m, 1 + random.nextInt(places), sides.get(random.nextInt(sides.size())), v));
      }
      var before = new Readings(all);
      int hit = random.nextInt(all.size());
      var r = all.get(hit);
      all.set(hit, new Reading(0, m, r.place(), r.side(), r.value(), r.taken(), true));
      var after = new Readings(all);
      for (int p = 1; p <= places; p++) {
        for (var side : sides) {
          if (p == r.place() && side == r.side()) {
            int was = before.side(m, p, side).orElseThrow().count();
            assertThat(after.side(m, p, side).map(Readings.Result::count).orElse(0))
                .isEqualTo(was - 1);
          } else {
            assertThat(after.side(m, p, side)).isEqualTo(before.side(m, p, side));
          }
        }
      }
    }
  }

  /** Whatever is read, on whatever engine: a verdict or a refusal, never a number that is none. */
  @Test
  void anythingReadOnAnyEngineIsJudgedOrRefused() {
    var engines = new RandomEngines(6);
    var random = new Random(66);
    for (int i = 0; i < 60; i++) {
      var build = EIGHT.with(engines.next());
      var c = build.combination();
      var all = new ArrayList<Reading>();
      for (var m : Measurement.values()) {
        for (var side : m.sides().all()) {
          for (int p = 1; p <= m.places(c.bottomEnd()); p++) {
            double v = m.least() + (m.most() - m.least()) * random.nextDouble();
            all.add(at(m, p, side, v));
          }
        }
      }
      var ledger = new Ledger(c, build.application(), new Readings(all), List.of());
      for (var m : Measurement.values()) {
        for (var side : m.valueSides()) {
          for (var v : ledger.over(m, side)) {
            assertThat(v.value().si()).isFinite();
            assertThat(v.value().working()).isNotBlank();
          }
        }
      }
      assertThat(Plausibility.of(ledger, UnitSystem.METRIC))
          .allSatisfy(d -> assertThat(d.says() + d.cause() + d.ask()).doesNotContain("NaN"));
      assertThat(ToDo.of(ledger, UnitSystem.METRIC))
          .allSatisfy(t -> assertThat(t.words()).doesNotContain("NaN").doesNotContain("Infinity"));
      try {
        var engine = build.asMeasured(new Readings(all));
        assertThat(engine.clearances()).allMatch(Double::isFinite);
      } catch (InvalidInput e) {
        assertThat(e.getMessage()).contains("allowed");
      }
    }
  }

  /** Whatever is answered, a routine says what it can and offers only numbers. */
  @ParameterizedTest
  @EnumSource(Routine.class)
  void routinesTakeAnyAnswer(Routine routine) {
    var random = new Random(routine.ordinal());
    for (int i = 0; i < 300; i++) {
      var guide =
          Guide.of(
              routine,
              EIGHT,
              1 + random.nextInt(8),
              routine.subjects().get(random.nextInt(routine.subjects().size())));
      var answers = new Answers();
      for (Step step : guide.steps()) {
        if (step.isRead() && random.nextInt(5) > 0) {
          double v = random.nextGaussian() * Math.pow(10, -random.nextInt(6));
          answers.put(step.key(), step.counted(v), random.nextInt(4) == 0);
        }
      }
      var outcome = guide.conclude(answers);
      assertThat(outcome.says()).allSatisfy(s -> assertThat(s).doesNotContain("NaN"));
      assertThat(outcome.wrong()).allSatisfy(s -> assertThat(s).doesNotContain("NaN"));
      for (var into : outcome.into()) {
        double value =
            switch (into) {
              case Into.Book b -> b.value();
              case Into.Input in -> in.value();
            };
        assertThat(value).isFinite();
      }
    }
  }
}
