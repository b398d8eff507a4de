package grandbore.instruments;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import grandbore.core.combination.Combination;
import grandbore.core.demo.DemoBuilds;
import grandbore.core.units.UnitSystem;
import java.util.HashSet;
import java.util.stream.DoubleStream;
import java.util.stream.IntStream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** The mock-up moves as an engine does, and the instruments are as good or bad as they are set. */
class RigTest {
  private static final Combination EIGHT = DemoBuilds.hillClimbEight().combination();

  private final Rig rig = new Rig(new MockUp(EIGHT), 11);
  private final Console console = new Console(rig, UnitSystem.METRIC);

  @BeforeEach
  void atTop() {
    assertThat(rig.mockUp().wheel()).isZero();
  }

  private double dial() {
    return rig.sensor(Kind.DIAL).read(Message.Word.LIVE).si();
  }

  /** A positive stop is met as far before top as after it, whatever the wheel says. */
  @Test
  void bothTouchesOfAStopLieEvenlyAboutTop() {
    rig.mockUp().pointer(Math.toRadians(3));
    rig.mockUp().turn(Math.toRadians(90));
    console.say("stop 8 mm");
    rig.mockUp().turn(Math.toRadians(-300));
    double one = rig.mockUp().wheel();
    double depth = rig.mockUp().piston(0) - EIGHT.bottomEnd().deckClearance();
    assertThat(depth).isCloseTo(8e-3, within(1e-6));
    rig.mockUp().turn(Math.toRadians(700));
    double other = rig.mockUp().wheel();
    assertThat(Math.toDegrees(0.5 * (one + other))).isCloseTo(3, within(1e-3));
    assertThat(console.say("stop out")).contains("out");
  }

  /** The cam follows once the play is taken up: forward and back differ by the slack. */
  @Test
  void aSlackDriveReadsOtherwiseOnTheWayBack() {
    var m = rig.mockUp();
    m.slack(Math.toRadians(4));
    double forward = whereLifted(m, 0.25);
    m.turn(Math.toRadians(30));
    double back = whereLifted(m, -0.25);
    assertThat(Math.toDegrees(forward - back)).isCloseTo(4, within(0.5));
    var tight = new MockUp(EIGHT);
    double there = whereLifted(tight, 0.25);
    tight.turn(Math.toRadians(30));
    assertThat(Math.toDegrees(there - whereLifted(tight, -0.25))).isCloseTo(0, within(0.5));
  }

  /** Turns on until the intake tappet is at 0.050 in of lift; the true crank angle there. */
  private static double whereLifted(MockUp m, double step) {
    boolean above = m.lift(true) > 1.27e-3;
    for (int i = 0; i < 6000; i++) {
      m.turn(Math.toRadians(step));
      if (m.lift(true) > 1.27e-3 != above) {
        return m.crank();
      }
    }
    throw new AssertionError("never lifted");
  }

  @Test
  void noiseAndResolutionAreAsSet() {
    var dial = rig.sensor(Kind.DIAL);
    dial.on(() -> 1e-3);
    console.say("fault dial noise 0.02 mm");
    double[] shown = DoubleStream.generate(this::dial).limit(4000).toArray();
    double mean = DoubleStream.of(shown).average().orElseThrow();
    double spread =
        Math.sqrt(DoubleStream.of(shown).map(v -> (v - mean) * (v - mean)).average().orElseThrow());
    assertThat(mean).isCloseTo(1e-3, within(2e-6));
    assertThat(spread).isCloseTo(0.02e-3, within(1e-6));
    console.say("fault dial none");
    console.say("fault dial resolution 0.1 mm");
    dial.on(() -> 1.234e-3);
    assertThat(dial()).isCloseTo(1.2e-3, within(1e-9));
  }

  @Test
  void backlashDriftALooseBaseAndAFlatBattery() {
    var dial = rig.sensor(Kind.DIAL);
    var at = new double[1];
    dial.on(() -> at[0]);
    console.say("fault dial backlash 0.1 mm");
    at[0] = 1e-3;
    double up = dial();
    at[0] = 2e-3;
    dial();
    at[0] = 1e-3;
    assertThat(dial() - up).isCloseTo(0.1e-3, within(5e-6));
    console.say("fault dial none");
    console.say("fault dial drift 0.005 mm");
    double first = dial();
    IntStream.range(0, 9).forEach(i -> dial());
    assertThat(dial() - first).isCloseTo(0.05e-3, within(5e-6));
    console.say("fault dial none");
    console.say("fault dial loose 50 %");
    var seen = new HashSet<Double>();
    IntStream.range(0, 40).forEach(i -> seen.add(dial()));
    assertThat(seen).hasSizeGreaterThan(3);
    console.say("fault dial battery flat");
    assertThat(dial.read(Message.Word.SENT).state()).isEqualTo(Message.State.FLAT);
    assertThat(console.say("read dial")).contains("flat");
  }

  @Test
  void theConsoleDrivesEverythingAndSaysWhatItDoesNotUnderstand() {
    assertThat(console.say("turn 30")).isEqualTo("wheel 30.0°");
    assertThat(console.say("turn to -20")).isEqualTo("wheel -20.0°");
    assertThat(console.say("wheel 0")).isEqualTo("wheel 0.0°");
    assertThat(console.say("on piston thrust")).startsWith("dial indicator");
    assertThat(console.say("zero dial")).contains("0 mm");
    assertThat(console.say("part 62.2 mm")).contains("62.2 mm");
    assertThat(console.say("fill 63.2 cc")).contains("63.2 cc");
    assertThat(console.say("pull 60 N·m")).contains("60 N·m");
    assertThat(console.say("leak 8 %")).contains("8 %");
    assertThat(console.say("spring 45 mm")).contains("spring tester");
    assertThat(console.say("send burette")).isEqualTo("63.2 cc");
    assertThat(console.say("dance")).contains("not understood").contains("help lists");
    assertThat(console.say("send trumpet")).contains("say which");
    assertThat(console.say("turn fast")).startsWith("✕");
    assertThat(console.say("fault dial rust")).contains("which fault");
    assertThat(console.say("on the moon")).contains("on what");
  }

  /** A shorter spring pushes harder, by its rate. */
  @Test
  void theSpringTesterKnowsTheRate() {
    console.say("spring 45 mm");
    double low = rig.sensor(Kind.TESTER).read(Message.Word.LIVE).si();
    console.say("spring 35 mm");
    double high = rig.sensor(Kind.TESTER).read(Message.Word.LIVE).si();
    assertThat(high - low).isCloseTo(0.010 * EIGHT.valveTrain().springRate().si(), within(2.1));
  }
}
