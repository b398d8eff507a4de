package grandbore.core.prediction;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import grandbore.core.combination.Combination;
import grandbore.core.combination.Exhaust;
import grandbore.core.combination.Intake;
import grandbore.core.flow.GasPath;
import grandbore.core.flow.GasPath.Part;
import grandbore.core.prediction.DuctTrace.State;
import grandbore.core.prediction.Trace.Kind;
import grandbore.core.units.Measure;
import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Waves in a written-down cycle run as fast as sound and gas carry them, along the path drawn. */
class WaveTravelTest extends EngineTest {
  private static final double RPM = 5700;
  private static final double RAD_A_SECOND = RPM * Math.PI / 30;

  /** Exhaust gas: ratio of specific heats and gas constant, J/(kg K), at 900 to 1,200 K. */
  private static final double GAMMA = 1.32;

  private static final double R = 287;

  private static Trace trace(Combination c) {
    return PREDICTOR.trace(BuiltEngine.asSpecified(c), RPM, () -> false);
  }

  /** The angle after exhaust opening at which a cell's pressure rises fastest, rad. */
  private static double rise(Trace t, DuctTrace d, int cell) {
    double opens = opens(t);
    double steepest = 0;
    double at = Double.NaN;
    var p = d.of(State.PRESSURE);
    for (int i = 2; i < p.length; i++) {
      double angle = t.angles()[i];
      if (angle < opens || angle > opens + Math.toRadians(120)) {
        continue;
      }
      double slope = (p[i][cell] - p[i - 2][cell]) / (angle - t.angles()[i - 2]);
      if (slope > steepest) {
        steepest = slope;
        at = t.angles()[i - 1];
      }
    }
    return at;
  }

  private static double opens(Trace t) {
    var lift = t.of(Kind.EXHAUST_LIFT);
    int i = 0;
    while (lift[i] <= 0 || t.angles()[i] < Math.PI / 2) {
      i++;
    }
    return t.angles()[i];
  }

  private static int row(Trace t, double angle) {
    int i = 0;
    while (i < t.angles().length - 1 && t.angles()[i] < angle) {
      i++;
    }
    return i;
  }

  /**
   * Where a disturbance that runs with the gas is along a pipe: dx/dt = u + c (or u − c back), by
   * steps of a quarter of a degree; gives the angle at which it has got there, rad.
   */
  private static double runs(Trace t, DuctTrace d, double from, double to, double angle, int way) {
    double x = from;
    double at = angle;
    double step = Math.toRadians(0.25);
    while (way * (to - x) > 0 && at < angle + 2 * Math.PI) {
      int i = row(t, at % (4 * Math.PI));
      int cell = Math.clamp((long) (x / d.length() * d.cells()), 0, d.cells() - 1);
      double c = Math.sqrt(GAMMA * R * d.of(State.TEMPERATURE)[i][cell]);
      x += (d.of(State.SPEED)[i][cell] + way * c) * step / RAD_A_SECOND;
      at += step;
    }
    return at;
  }

  /** The blow-down pulse is at the merge when gas and sound have carried it there. */
  @Test
  void theBlowDownPulseReachesTheCollectorInAcousticTime() {
    for (double inches : new double[] {22, 31, 40}) {
      var t = trace(with(EIGHT, "exhaust.primaryLength", inches, Measure.INCHES));
      var d = t.along(Duct.EXHAUST).orElseThrow();
      int near = 3;
      int far = d.cells() - 2;
      double cell = d.length() / d.cells();
      double leaves = rise(t, d, near);
      double arrives = rise(t, d, far);
      double acoustic = runs(t, d, (near + 0.5) * cell, (far + 0.5) * cell, leaves, 1);
      assertThat(Math.toDegrees(arrives - leaves))
          .as("%.0f in", inches)
          .isCloseTo(
              Math.toDegrees(acoustic - leaves),
              within(0.15 * Math.toDegrees(acoustic - leaves) + 1));
    }
  }

  /** The suction that comes back from the merge comes later by both ways along what is added. */
  @Test
  void aLongerPrimarySendsItsSuctionBackLater() {
    double[] at = new double[2];
    double[] there = new double[2];
    double[] inches = {26, 34};
    for (int k = 0; k < 2; k++) {
      var t = trace(with(EIGHT, "exhaust.primaryLength", inches[k], Measure.INCHES));
      var d = t.along(Duct.EXHAUST).orElseThrow();
      double leaves = rise(t, d, 3);
      double turned = runs(t, d, 0, d.length(), leaves, 1);
      there[k] = runs(t, d, d.length(), 0, turned, -1) - leaves;
      at[k] = falls(t, d, leaves + there[k]) - leaves;
    }
    double acoustic = Math.toDegrees(there[1] - there[0]);
    assertThat(acoustic).isBetween(10.0, 40.0);
    assertThat(Math.toDegrees(at[1] - at[0])).isCloseTo(acoustic, within(0.35 * acoustic));
  }

  /** The angle of the lowest pressure at the valve within an eighth of a turn of an angle, rad. */
  private static double falls(Trace t, DuctTrace d, double near) {
    var p = d.of(State.PRESSURE);
    int lowest = row(t, near - Math.PI / 4);
    for (int i = lowest; i < p.length && t.angles()[i] < near + Math.PI / 4; i++) {
      lowest = p[i][1] < p[lowest][1] ? i : lowest;
    }
    return t.angles()[lowest];
  }

  /** The path drawn is the path solved: as long, as wide, one piece for each that there is. */
  @Test
  void thePathIsAsLongAndWideAsTheInputsSay() {
    var c =
        EIGHT
            .with("exhaust.kind", Exhaust.Kind.STEPPED)
            .with("exhaust.outlet", Exhaust.Outlet.SYSTEM)
            .with("intake.runnerChanges", List.of(0.01, 0.02, 0.0, 0.0, 0.0, 0.0, 0.0, -0.01));
    var path = GasPath.of(c, 2);
    assertThat(path.find(Part.RUNNER).orElseThrow().length())
        .isCloseTo(c.intake().runnerLength().si() + 0.02, within(1e-12));
    assertThat(path.find(Part.RUNNER).orElseThrow().area(0))
        .isCloseTo(c.intake().runnerEntry().si(), within(1e-12));
    assertThat(path.find(Part.RUNNER).orElseThrow().area(1))
        .isCloseTo(c.intake().runnerExit().si(), within(1e-12));
    for (var port : List.of(Part.INTAKE_PORT, Part.EXHAUST_PORT)) {
      var piece = path.find(port).orElseThrow();
      var volume =
          port == Part.INTAKE_PORT ? c.heads().intakePortVolume() : c.heads().exhaustPortVolume();
      assertThat(piece.area(0.5) * piece.length()).isCloseTo(volume.si(), within(1e-12));
    }
    assertThat(Math.pow(path.find(Part.PLENUM).orElseThrow().length(), 3))
        .isCloseTo(c.intake().plenumVolume().si(), within(1e-12));
    var ducts = trace(c).ducts();
    assertThat(ducts.stream().map(DuctTrace::duct))
        .containsExactly(
            Duct.INLET, Duct.INTAKE, Duct.EXHAUST, Duct.SECONDARY, Duct.COLLECTOR, Duct.TAIL);
    for (var d : ducts) {
      double drawn =
          switch (d.duct()) {
            // With a correction of its end on both sides, as wide as all bores together.
            case INLET -> length(path, Part.THROTTLE) + 0.05;
            case INTAKE -> length(path, Part.RUNNER) + length(path, Part.INTAKE_PORT);
            case EXHAUST -> length(path, Part.EXHAUST_PORT) + length(path, Part.PRIMARY);
            // Each begins with the cone of the merge, as long as it is wide.
            case SECONDARY -> length(path, Part.SECONDARY) + c.exhaust().secondaryDiameter().si();
            case COLLECTOR -> length(path, Part.COLLECTOR) + c.exhaust().collectorDiameter().si();
            case TAIL -> length(path, Part.TAIL);
          };
      // The solved pipe is cylinder 1's, and an open end's has its correction, six tenths a radius.
      assertThat(d.length()).as(d.duct().name()).isBetween(drawn - 0.03, drawn + 0.03);
    }
    var own = GasPath.of(c.with("intake.manifold", Intake.Manifold.INDIVIDUAL), 1);
    assertThat(own.find(Part.PLENUM)).isEmpty();
  }

  private static double length(GasPath path, Part part) {
    return path.find(part).orElseThrow().length();
  }

  /** The cycle written down is the chosen cylinder's: its runner, its breath, its place. */
  @Test
  void eachCylinderHasACycleOfItsOwn() {
    var c = FOUR.with("intake.runnerChanges", List.of(0.0, 0.0, 0.08, 0.0));
    var engine = BuiltEngine.asSpecified(c);
    var first = PREDICTOR.trace(engine, RPM, 1, () -> false);
    var third = PREDICTOR.trace(engine, RPM, 3, () -> false);
    assertThat(
            third.along(Duct.INTAKE).orElseThrow().length()
                - first.along(Duct.INTAKE).orElseThrow().length())
        .isCloseTo(0.08, within(1e-9));
    assertThat(peak(third.of(Kind.INTAKE_PRESSURE)))
        .isNotEqualTo(peak(first.of(Kind.INTAKE_PRESSURE)));
    // One engine, one result, whichever cylinder is looked at.
    assertThat(third.point().torque()).isEqualTo(first.point().torque());
    assertThatThrownBy(() -> PREDICTOR.trace(engine, RPM, 5, () -> false))
        .hasMessageContaining("no cylinder 5");
    // Where two are each other over again, they have the same cycle.
    var alike = BuiltEngine.asSpecified(FOUR);
    assertThat(PREDICTOR.trace(alike, RPM, 4, () -> false).of(Kind.CYLINDER_PRESSURE))
        .isEqualTo(PREDICTOR.trace(alike, RPM, 1, () -> false).of(Kind.CYLINDER_PRESSURE));
  }

  private static double peak(double[] values) {
    return Arrays.stream(values).max().orElseThrow();
  }
}
