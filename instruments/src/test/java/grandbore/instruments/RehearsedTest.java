package grandbore.instruments;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import grandbore.core.build.Build;
import grandbore.core.clearances.Measurement;
import grandbore.core.demo.DemoBuilds;
import grandbore.core.guided.Answers;
import grandbore.core.guided.Guide;
import grandbore.core.guided.Outcome;
import grandbore.core.guided.Outcome.Into;
import grandbore.core.guided.Routine;
import grandbore.core.guided.Step;
import grandbore.core.guided.Subject;
import grandbore.core.units.UnitSystem;
import java.util.Random;
import java.util.function.Predicate;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** Routines fed by the simulated instruments find what the mock-up really is. */
class RehearsedTest {
  private static final Build EIGHT = DemoBuilds.hillClimbEight();
  private static final double CHECKING = 1.27e-3;
  private static final double STEP = Math.toRadians(0.1);

  private static MockUp mockUp() {
    return new MockUp(EIGHT.combination());
  }

  private static void turnUntil(MockUp m, double step, Predicate<MockUp> there) {
    for (int i = 0; i < 20_000 && !there.test(m); i++) {
      m.turn(step);
    }
    assertThat(there.test(m)).isTrue();
  }

  private static Step step(Guide guide, String key) {
    return guide.steps().stream().filter(s -> s.key().equals(key)).findFirst().orElseThrow();
  }

  /** Reads the wheel into a step as the window does. */
  private static void read(Guide guide, Answers answers, String key, MockUp m) {
    answers.put(key, step(guide, key).counted(m.wheel()), false);
  }

  private static double degrees(Outcome o, String pattern) {
    var m = Pattern.compile(pattern).matcher(String.join("\n", o.says()));
    assertThat(m.find()).as(o.says() + " " + o.wrong()).isTrue();
    return Double.parseDouble(m.group(1));
  }

  /** Forty cams, each set otherwise, in drives with play, on wheels that are off. */
  @Test
  void anyCamIsDegreedToHalfADegree() {
    var random = new Random(40);
    double full = EIGHT.combination().cam().intakeLobeLift().si();
    for (int i = 0; i < 40; i++) {
      double late = Math.toRadians(random.nextDouble(-6, 6));
      double slack = Math.toRadians(random.nextDouble(0, 5));
      double off = Math.toRadians(random.nextDouble(-4, 4));
      var m = mockUp();
      m.camError(late);
      m.slack(slack);
      m.pointer(off);
      var guide = Guide.of(Routine.DEGREE, EIGHT, 1, Subject.INTAKE);
      var a = new Answers();
      m.turn(4 * Math.PI);
      read(guide, a, "top", m);
      m.turn(Math.toRadians(250));
      turnUntil(m, STEP, x -> x.lift(true) >= CHECKING);
      read(guide, a, "opens", m);
      turnUntil(m, STEP, x -> x.lift(true) >= full - CHECKING);
      read(guide, a, "rise", m);
      m.turn(Math.toRadians(20));
      turnUntil(m, STEP, x -> x.lift(true) <= full - CHECKING);
      read(guide, a, "fall", m);
      turnUntil(m, STEP, x -> x.lift(true) <= CHECKING);
      read(guide, a, "closes", m);
      m.turn(Math.toRadians(-60));
      turnUntil(m, -STEP, x -> x.lift(true) <= CHECKING);
      read(guide, a, "back", m);
      var o = guide.conclude(a);
      double card = EIGHT.combination().cam().intakeCentreline().si();
      // Turned forward, the drive drags the cam behind by half its play.
      double real = Math.toDegrees(card + late + slack / 2);
      assertThat(degrees(o, "Centreline, intake: ([0-9.]+)°")).isCloseTo(real, within(0.5));
      if (slack > Math.toRadians(1)) {
        assertThat(degrees(o, "Slack of the drive: ([0-9.]+)°"))
            .isCloseTo(Math.toDegrees(slack), within(0.4));
      }
      double wanted = Math.toDegrees(EIGHT.combination().degreed().wanted().si());
      double aim = wanted > 0 ? wanted : Math.toDegrees(card);
      if (Math.abs(real - aim) > 3) {
        assertThat(String.join(" ", o.says())).contains(real > aim ? "advance by" : "retard by");
      }
    }
  }

  /** The exhaust's lobe by its own indicator: its events count before bottom and before top. */
  @Test
  void anyExhaustCamIsDegreedToHalfADegree() {
    var random = new Random(44);
    double full = EIGHT.combination().cam().exhaustLobeLift().si();
    for (int i = 0; i < 20; i++) {
      double late = Math.toRadians(random.nextDouble(-6, 6));
      double off = Math.toRadians(random.nextDouble(-4, 4));
      var m = mockUp();
      m.camError(late);
      m.pointer(off);
      var guide = Guide.of(Routine.DEGREE, EIGHT, 1, Subject.EXHAUST);
      var a = new Answers();
      m.turn(4 * Math.PI);
      read(guide, a, "top", m);
      turnUntil(m, STEP, x -> x.lift(false) >= CHECKING);
      read(guide, a, "opens", m);
      turnUntil(m, STEP, x -> x.lift(false) >= full - CHECKING);
      read(guide, a, "rise", m);
      m.turn(Math.toRadians(20));
      turnUntil(m, STEP, x -> x.lift(false) <= full - CHECKING);
      read(guide, a, "fall", m);
      turnUntil(m, STEP, x -> x.lift(false) <= CHECKING);
      read(guide, a, "closes", m);
      var o = guide.conclude(a);
      double real = Math.toDegrees(EIGHT.combination().cam().exhaustCentreline() - late);
      assertThat(o.wrong()).isEmpty();
      assertThat(degrees(o, "Centreline, exhaust: ([0-9.]+)°")).isCloseTo(real, within(0.5));
    }
  }

  /** Top centre by a stop of any depth on a wheel that is off by anything. */
  @Test
  void topCentreIsFoundByAnyStop() {
    var random = new Random(41);
    for (int i = 0; i < 200; i++) {
      double off = Math.toRadians(random.nextDouble(-30, 30));
      var m = mockUp();
      m.pointer(off);
      m.turn(Math.toRadians(100));
      m.fitStop(random.nextDouble(3e-3, 25e-3));
      var guide = Guide.of(Routine.TOP_BY_STOP, EIGHT, 1, Subject.WHOLE);
      var a = new Answers();
      m.turn(Math.toRadians(300));
      read(guide, a, "forward", m);
      m.turn(Math.toRadians(-700));
      read(guide, a, "back", m);
      m.turn(Math.toRadians(700));
      read(guide, a, "again", m);
      var o = guide.conclude(a);
      assertThat(o.wrong()).isEmpty();
      // The stop is met on both sides of top; the wheel's error is what is left.
      if (Math.abs(off) > Math.toRadians(0.5)) {
        assertThat(degrees(o, "wheel reads (-?[0-9.]+)°"))
            .isCloseTo(Math.toDegrees(off), within(0.06));
      }
    }
  }

  /** Both crossings met going forward: the middle is top, whatever the wheel is off by. */
  @Test
  void topCentreIsFoundByEqualDepths() {
    var random = new Random(42);
    for (int i = 0; i < 50; i++) {
      double off = Math.toRadians(random.nextDouble(1, 20));
      var m = mockUp();
      m.pointer(off);
      double top = m.piston(0);
      m.turn(Math.toRadians(-60));
      var guide = Guide.of(Routine.TOP_BY_DWELL, EIGHT, 1, Subject.WHOLE);
      var a = new Answers();
      turnUntil(m, STEP, x -> x.piston(0) - top <= CHECKING);
      read(guide, a, "rise", m);
      m.turn(Math.toRadians(10));
      turnUntil(m, STEP, x -> x.piston(0) - top >= CHECKING);
      read(guide, a, "fall", m);
      double pin = EIGHT.combination().bottomEnd().crank().topAngle();
      assertThat(degrees(guide.conclude(a), "wheel reads (-?[0-9.]+)°"))
          .isCloseTo(Math.toDegrees(off + pin), within(0.2));
    }
  }

  /** Noise within a thou: the deck comes out; a drifting or loose dial is caught. */
  @Test
  void aDeckIsReadThroughNoiseAndABadDialIsCaught() {
    var rig = new Rig(mockUp(), 7);
    var console = new Console(rig, UnitSystem.METRIC);
    console.say("fault dial noise 0.002 mm");
    double deck = EIGHT.combination().bottomEnd().deckClearance();
    int caught = 0;
    for (int i = 0; i < 40; i++) {
      boolean bad = i % 2 == 1;
      console.say(bad ? "fault dial drift 0.02 mm" : "fault dial drift 0 mm");
      var o = deck(rig, console);
      if (bad) {
        caught += o.wrong().isEmpty() ? 0 : 1;
      } else {
        assertThat(o.wrong()).isEmpty();
        double mean =
            o.into().stream()
                .filter(x -> x instanceof Into.Book b && b.measurement() == Measurement.DECK)
                .mapToDouble(x -> ((Into.Book) x).value())
                .average()
                .orElseThrow();
        assertThat(mean).isCloseTo(deck, within(0.012e-3));
      }
    }
    assertThat(caught).isEqualTo(20);
  }

  private static Outcome deck(Rig rig, Console console) {
    var guide = Guide.of(Routine.DECK, EIGHT, 1, Subject.WHOLE);
    var a = new Answers();
    console.say("on deck");
    console.say("zero dial");
    a.put("zero", rig.send(Kind.DIAL).si(), false);
    console.say("on piston thrust");
    a.put("thrust", rig.send(Kind.DIAL).si(), false);
    console.say("on piston opposite");
    a.put("opposite", rig.send(Kind.DIAL).si(), false);
    console.say("on deck");
    a.put("after", rig.send(Kind.DIAL).si(), false);
    return guide.conclude(a);
  }
}
