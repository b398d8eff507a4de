package grandbore.core.prediction;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import grandbore.core.combination.Combination;
import grandbore.core.combination.Exhaust;
import grandbore.core.combination.Intake;
import grandbore.core.combination.Provenance;
import grandbore.core.combination.Specs;
import grandbore.core.waves.Pipe;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;

/** The pipes that a combination's dimensions come to: lengths, volumes, ends, what fills them. */
class PipingTest extends EngineTest {
  /** An unflanged open end's own air, in radii (Levine and Schwinger 1948). */
  private static final double OPEN = 0.6133;

  private static Piping piping(Combination c, Fidelity fidelity) {
    return new EngineParts(c, fidelity.mesh()).piping();
  }

  private static double volume(Pipe pipe) {
    double sum = 0;
    for (int i = 0; i < pipe.cells(); i++) {
      sum += pipe.density(i);
    }
    // All cells hold the same gas at first: the mass tells the volume.
    return pipe.mass() / (sum / pipe.cells());
  }

  private static double circle(double diameter) {
    return Math.PI / 4 * diameter * diameter;
  }

  /** Runner, end correction and port, whatever the mesh: length and volume are the drawing's. */
  @ParameterizedTest
  @EnumSource(Fidelity.class)
  void theIntakePipeIsRunnerAndPort(Fidelity fidelity) {
    for (var c : new Combination[] {EIGHT, FOUR}) {
      var in = c.intake();
      double runner = in.runnerLength().si();
      var pipe = piping(c, fidelity).intakePipe(runner);
      double mouth = OPEN * Math.sqrt(in.runnerEntry().si() / Math.PI);
      assertThat(pipe.length())
          .isCloseTo(runner + mouth + c.heads().intakePortLength().si(), within(1e-9));
      double port = c.heads().intakePortArea();
      double a = Math.sqrt(in.runnerEntry().si());
      double b = Math.sqrt(in.runnerExit().si());
      double frustum = (runner + mouth) / 3 * (a * a + a * b + b * b);
      double first = Math.sqrt(0.5 * (in.runnerExit().si() + port));
      double second = Math.sqrt(port);
      double inHead =
          c.heads().intakePortLength().si()
              / 3
              * (first * first + first * second + second * second);
      assertThat(volume(pipe)).isCloseTo(frustum + inHead, within(2e-3 * frustum));
    }
  }

  /** What pulls taught of a length moves the measured part alone, not the head's port. */
  @ParameterizedTest
  @ValueSource(doubles = {0.9, 1.0, 1.1})
  void whatPullsTaughtMovesTheMeasuredPart(double factor) {
    var field = Specs.field("learned.exhaustLength");
    var c = field.with(EIGHT, field.get(EIGHT).with(factor, Provenance.MEASURED));
    double port = c.heads().exhaustPortLength().si();
    double primary = c.exhaust().primaryLength().si();
    assertThat(piping(c, Fidelity.LIVE).exhaustPipe().length())
        .isCloseTo(port + factor * primary, within(1e-9));
  }

  /** An open end carries the air that swings before it; one that goes on does not. */
  @Test
  void onlyOpenEndsAreLengthened() {
    var x = EIGHT.exhaust();
    double diameter = x.collectorDiameter().si();
    double cone = diameter;
    var open = piping(EIGHT, Fidelity.LIVE).collectorPipe(true, 0);
    var on = piping(EIGHT, Fidelity.LIVE).collectorPipe(false, 0);
    assertThat(on.length()).isCloseTo(x.collectorLength().si() + cone, within(1e-9));
    assertThat(open.length() - on.length()).isCloseTo(OPEN * diameter / 2, within(1e-9));
    assertThat(volume(on)).isCloseTo(on.length() * circle(diameter), within(1e-9));
  }

  /** Half of a log is half of the spacings on it; each spacing is a bore's, near enough. */
  @Test
  void aLogIsAsLongAsItsCylinders() {
    var cast = EIGHT.with("exhaust.kind", Exhaust.Kind.CAST_MANIFOLD);
    var one = piping(cast, Fidelity.LIVE).logPipe(1);
    var half = piping(cast, Fidelity.LIVE).logPipe(Piping.halfLog(4));
    assertThat(half.length()).isCloseTo(1.5 * one.length(), within(1e-9));
    assertThat(one.length()).isCloseTo(2.6 * cast.exhaust().primaryDiameter().si(), within(1e-9));
    assertThat(one.length())
        .isBetween(0.8 * cast.bottomEnd().bore().si(), 1.5 * cast.bottomEnd().bore().si());
  }

  /** A box keeps its volume whatever its length; so does a plenum shared out to planes. */
  @ParameterizedTest
  @ValueSource(doubles = {0.3, 0.45, 0.6})
  void aBoxKeepsItsVolume(double length) {
    var field = Specs.field("intake.boxLength");
    var c = field.with(EIGHT, field.get(EIGHT).with(length, Provenance.MEASURED));
    var box = piping(c, Fidelity.LIVE).box();
    assertThat(box.length()).isCloseTo(length, within(1e-9));
    assertThat(volume(box)).isCloseTo(c.intake().plenumVolume().si(), within(1e-9));
    var planes = c.with("intake.manifold", Intake.Manifold.DUAL_PLANE);
    var halves = piping(planes, Fidelity.LIVE);
    assertThat(2 * halves.plenum(2).mass()).isCloseTo(halves.plenum(1).mass(), within(1e-12));
  }

  /** At first fresh charge stands before the valves and burned gas behind them, at rest. */
  @Test
  void whatStandsInThePipesAtFirst() {
    var parts = new EngineParts(EIGHT, Fidelity.LIVE.mesh());
    var in = parts.piping().intakePipe(0.2);
    var out = parts.piping().exhaustPipe();
    for (int i = 0; i < in.cells(); i++) {
      assertThat(in.burned(i)).isZero();
      assertThat(in.velocity(i)).isZero();
      assertThat(in.temperature(i)).isCloseTo(parts.chargeTemperature(), within(1e-6));
      assertThat(in.pressure(i)).isCloseTo(EIGHT.weather().pressure().si(), within(0.5));
    }
    for (int i = 0; i < out.cells(); i++) {
      assertThat(out.burned(i)).isCloseTo(1, within(1e-12));
      assertThat(out.temperature(i)).isGreaterThan(600);
    }
    // Colder than the air by what evaporates, no colder than fuel alone can make it.
    double air = EIGHT.weather().temperature().si();
    assertThat(parts.chargeTemperature()).isBetween(air - 30, air - 5);
  }
}
