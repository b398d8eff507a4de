package grandbore.core.runs;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import grandbore.core.combination.Combination;
import grandbore.core.combination.Given;
import grandbore.core.combination.Provenance;
import grandbore.core.combination.Specs;
import grandbore.core.demo.DemoBuilds;
import grandbore.core.prediction.BuiltEngine;
import grandbore.core.prediction.Fidelity;
import grandbore.core.prediction.WantedBand;
import grandbore.core.prediction.WarmStarts;
import grandbore.core.studies.CurvesStudy;
import grandbore.core.studies.RunnerStudy;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.concurrent.CancellationException;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.Timeout;

@Timeout(120)
class RunQueueTest {
  private static final BuiltEngine FOUR =
      BuiltEngine.asSpecified(DemoBuilds.paddockFour().combination());

  /** Goes on until it is let go, asking at every turn whether to stop. */
  private record Sweeping(CountDownLatch begun, CountDownLatch letGo, List<String> order)
      implements Study<String> {
    @Override
    public String title() {
      return "sweep";
    }

    @Override
    public String solve(Desk<String> desk) {
      desk.expect(10);
      return desk.alone(
          stop -> {
            desk.piece();
            begun.countDown();
            while (letGo.getCount() > 0) {
              if (stop.getAsBoolean()) {
                throw new CancellationException("stopped");
              }
              Thread.onSpinWait();
            }
            order.add("sweep");
            return "swept";
          });
    }
  }

  private record Quick(String name, List<String> order) implements Study<String> {
    @Override
    public String title() {
      return name;
    }

    @Override
    public String solve(Desk<String> desk) {
      return desk.alone(
          stop -> {
            order.add(name);
            return name;
          });
    }
  }

  /** With one worker, busy with a sweep, the curve is there before the sweep's end. */
  @Test
  void theLiveCurveGoesBeforeASweepThatGoesOn() throws InterruptedException {
    var order = Collections.synchronizedList(new ArrayList<String>());
    try (var queue = new RunQueue(1)) {
      var begun = new CountDownLatch(1);
      var letGo = new CountDownLatch(1);
      var sweep = queue.submit(new Sweeping(begun, letGo, order), Urgency.STUDY);
      begun.await();
      assertThat(queue.submit(new Quick("live", order), Urgency.LIVE).await()).isEqualTo("live");
      var other = queue.submit(new Quick("later", order), Urgency.STUDY);
      assertThat(sweep.isOver()).isFalse();
      assertThat(sweep.progress().share()).isEqualTo(0.1);
      letGo.countDown();
      assertThat(sweep.await()).isEqualTo("swept");
      other.await();
      assertThat(order).containsExactly("live", "sweep", "later");
    }
  }

  /** The same with the wave model: a curve solved amid a sweep is the curve solved alone. */
  @Test
  void aSweepThatGaveWayComesToTheSame() {
    var study = new RunnerStudy(FOUR, new WantedBand(5000, 7000));
    var speeds = List.of(4000.0, 6000.0);
    try (var alone = new RunQueue(1);
        var crowded = new RunQueue(1)) {
      var swept = crowded.submit(study, Urgency.STUDY);
      for (int i = 0; i < 4; i++) {
        var curve =
            crowded
                .submit(
                    new Study<grandbore.core.prediction.Curve>() {
                      @Override
                      public String title() {
                        return "live";
                      }

                      @Override
                      public grandbore.core.prediction.Curve solve(
                          Desk<grandbore.core.prediction.Curve> desk) {
                        return desk.curve(FOUR, speeds, Fidelity.LIVE, new WarmStarts());
                      }
                    },
                    Urgency.LIVE)
                .await();
        assertThat(curve.settled()).hasSize(2);
      }
      assertThat(swept.isOver()).isFalse();
      var parts = new AtomicInteger();
      swept.watch(
          () -> swept.partial().ifPresent(p -> parts.accumulateAndGet(p.at().size(), Math::max)));
      assertThat(swept.await()).isEqualTo(alone.submit(study, Urgency.STUDY).await());
      assertThat(parts.get()).isGreaterThan(1);
      assertThat(swept.progress().done()).isEqualTo(swept.progress().of());
    }
  }

  @Test
  void aStoppedRunEndsAndOthersGoOn() throws InterruptedException {
    var order = Collections.synchronizedList(new ArrayList<String>());
    try (var queue = new RunQueue(1)) {
      var begun = new CountDownLatch(1);
      var sweep = queue.submit(new Sweeping(begun, new CountDownLatch(1), order), Urgency.SEEN);
      begun.await();
      var waiting = queue.submit(new Quick("waiting", order), Urgency.SEEN);
      sweep.cancel();
      assertThatThrownBy(sweep::await).isInstanceOf(CancellationException.class);
      assertThat(sweep.failure()).isEmpty();
      assertThat(waiting.await()).isEqualTo("waiting");
    }
  }

  /** A study that breaks says why, to whoever watches, and takes no worker with it. */
  @Test
  void aBrokenStudySaysWhy() throws InterruptedException {
    try (var queue = new RunQueue(1)) {
      var told = new CountDownLatch(1);
      var broken =
          queue.submit(
              new Study<String>() {
                @Override
                public String title() {
                  return "broken";
                }

                @Override
                public String solve(Desk<String> desk) {
                  return desk.alone(
                      stop -> {
                        throw new IllegalStateException("no such pipe");
                      });
                }
              },
              Urgency.STUDY);
      broken.watch(told::countDown);
      assertThat(told.await(10, TimeUnit.SECONDS)).isTrue();
      assertThat(broken.failure().orElseThrow()).hasStackTraceContaining("no such pipe");
      var order = new ArrayList<String>();
      assertThat(queue.submit(new Quick("after", order), Urgency.STUDY).await()).isEqualTo("after");
    }
  }

  /** Names, provenance and words are no numbers: what was solved is not solved again. */
  @Test
  void theSameEngineIsNotSolvedTwice() {
    var c = FOUR.combination();
    var bore = c.bottomEnd().bore();
    var renamed =
        BuiltEngine.asSpecified(
            c.with("bottomEnd.bore", bore.with(bore.si(), Provenance.MEASURED).as("83 mm")));
    assertThat(renamed).isNotEqualTo(FOUR);
    try (var queue = new RunQueue(2)) {
      var speeds = List.of(6000.0);
      var first = queue.submit(new CurvesStudy("one", List.of(FOUR), speeds), Urgency.SEEN);
      var curves = first.await();
      var again = queue.submit(new CurvesStudy("two", List.of(renamed), speeds), Urgency.SEEN);
      assertThat(again.await()).isSameAs(curves);
      var other =
          queue.submit(new CurvesStudy("one", List.of(FOUR), List.of(6100.0)), Urgency.SEEN);
      assertThat(other.await()).isNotEqualTo(curves);
    }
  }

  /** On paper and read nevertheless: windage, what a stem leaves free, where a spring binds. */
  private static final List<String> READ =
      List.of(
          "partSizes.counterweightRadius",
          "valveHardware.stem",
          "valveHardware.installedHeight",
          "valveHardware.coilBind");

  /** Of what this engine does not have: a duct, stepped pipes, a balance pipe. */
  private static final List<String> IDLE =
      List.of(
          "intake.ductLength",
          "intake.ductSection",
          "exhaust.secondaryLength",
          "exhaust.secondaryDiameter",
          "exhaust.balanceDiameter");

  /**
   * Every input is in the key by its number alone, but for those that only paper reads, and those
   * that do nothing on this engine.
   */
  @Test
  void theKeyHoldsNumbersAndNothingElse() {
    var paper =
        List.of(
            "partSizes", "ratings", "camCard", "valveHardware", "degreed", "brief", "worksheet");
    var key = FOUR.key();
    for (var field : Specs.fields()) {
      var c = FOUR.combination();
      Given is = field.get(c);
      var from = is.provenance() == Provenance.CARD ? Provenance.ASSUMED : Provenance.CARD;
      Combination told =
          field.with(c, new Given(is.si(), is.quantity(), from, is.spread() + 1, "as said"));
      assertThat(new BuiltEngine(told, FOUR.clearances()).key()).as(field.path()).isEqualTo(key);
      if (is.isKnown()) {
        Combination moved;
        try {
          moved = field.with(c, is.with(is.si() * (1 + 1e-9), is.provenance()));
        } catch (IllegalArgumentException e) {
          continue;
        }
        var other = new BuiltEngine(moved, FOUR.clearances()).key();
        boolean left =
            paper.contains(field.group()) && !READ.contains(field.path())
                || IDLE.contains(field.path());
        assertThat(other.equals(key)).as(field.path()).isEqualTo(left);
      }
    }
  }

  @Test
  void timeLeftFollowsThePace() {
    assertThat(new Progress(0, 40, Duration.ofSeconds(9)).left()).isEmpty();
    assertThat(new Progress(10, 40, Duration.ofSeconds(5)).left()).contains(Duration.ofSeconds(15));
    assertThat(new Progress(40, 40, Duration.ofSeconds(5)).left()).contains(Duration.ZERO);
  }
}
