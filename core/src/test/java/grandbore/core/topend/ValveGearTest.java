package grandbore.core.topend;

import static grandbore.core.Said.check;
import static grandbore.core.Said.with;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import grandbore.core.build.Build;
import grandbore.core.checks.Check.Verdict;
import grandbore.core.combination.Provenance;
import grandbore.core.demo.DemoBuilds;
import grandbore.core.units.Measure;
import grandbore.core.valvetrain.LobeShape;
import grandbore.core.valvetrain.MeasuredLobe;
import grandbore.core.valvetrain.Overlap;
import grandbore.core.valvetrain.PistonToValve;
import grandbore.core.valvetrain.RockerSweep;
import grandbore.core.valvetrain.ValveMotion;
import org.hipparchus.analysis.integration.SimpsonIntegrator;
import org.junit.jupiter.api.Test;

class ValveGearTest {
  private static final Build EIGHT = DemoBuilds.hillClimbEight();
  private static final double INCH = 0.0254;

  private static Build eight(String path, double value, Measure unit) {
    return EIGHT.with(with(EIGHT.combination(), path, value, unit));
  }

  /**
   * Brute force: a valve's edge as a point that moves down its own axis, the crown as a height; the
   * clearance is the way along the axis until the point lies on the crown.
   */
  @Test
  void clearanceToThePistonIsWhatSteppingAlongTheStemFinds() {
    var c = EIGHT.combination();
    var geometry = PistonToValve.intake(c);
    var b = c.bottomEnd();
    var lift = ValveMotion.intake(c).still();
    double alpha = c.heads().intakeAngle().si();
    for (int degree = -30; degree <= 60; degree += 10) {
      double a = Math.toRadians(degree);
      double r = b.stroke().si() / 2;
      double l = b.rodLength().si();
      double pin = r * Math.cos(a) + Math.sqrt(l * l - r * r * Math.sin(a) * Math.sin(a));
      double crown = pin + b.pinHeight().si() - c.compression().intakePocket().si();
      double open = lift.at(2 * Math.PI + a);
      double opened = open > 0 ? open + c.valveTrain().intakeLash().si() : 0;
      double edge =
          b.blockDeck().si()
              + c.compression().gasketThickness().si()
              + c.heads().intakeRecess().si()
              - opened * Math.cos(alpha);
      double way = 0;
      while (edge - way * Math.cos(alpha) > crown) {
        way += 1e-6;
      }
      assertThat(geometry.at(a)).as(degree + "°").isCloseTo(way, within(3e-6));
    }
  }

  /**
   * Worst near ten degrees from top (common practice), and moved as every change should move it.
   */
  @Test
  void theClosestIsNearTenDegreesAndFollowsEveryChange() {
    var c = EIGHT.combination();
    var in = PistonToValve.intake(c).closest();
    var out = PistonToValve.exhaust(c).closest();
    assertThat(Math.toDegrees(in.angle())).isBetween(5.0, 20.0);
    assertThat(Math.toDegrees(out.angle())).isBetween(-20.0, -5.0);
    double cut = 0.010 * INCH;
    var milled = with(c, "heads.intakeRecess", c.heads().intakeRecess().si() - cut, Measure.METRES);
    assertThat(in.clearance() - PistonToValve.intake(milled).closest().clearance())
        .isCloseTo(cut / Math.cos(c.heads().intakeAngle().si()), within(1e-9));
    double centreline = Math.toDegrees(c.cam().intakeCentreline().si());
    var advanced = with(c, "cam.intakeCentreline", centreline - 4, Measure.DEGREES);
    assertThat(PistonToValve.intake(advanced).closest().clearance()).isLessThan(in.clearance());
    assertThat(PistonToValve.exhaust(advanced).closest().clearance())
        .isGreaterThan(out.clearance());
    var rocker = with(c, "valveTrain.intakeRocker", 1.65, Measure.NONE);
    assertThat(PistonToValve.intake(rocker).closest().clearance()).isLessThan(in.clearance());
  }

  @Test
  void aReadingTeachesWhereTheValveStands() {
    var c = EIGHT.combination();
    double read = 0.087 * INCH;
    double recess = PistonToValve.intake(c).recessFor(c.heads().intakeRecess().si(), read);
    var taught = with(c, "heads.intakeRecess", recess, Measure.METRES);
    assertThat(PistonToValve.intake(taught).closest().clearance()).isCloseTo(read, within(1e-9));
    assertThat(check(ValveGear.pistonToValve(EIGHT.with(taught)), "intake_to_piston").verdict())
        .isEqualTo(Verdict.CLOSE);
    var tight = with(taught, "compression.intakePocket", 0.060, Measure.INCHES);
    assertThat(check(ValveGear.pistonToValve(EIGHT.with(tight)), "intake_to_piston").verdict())
        .isEqualTo(Verdict.BAD);
    assertThat(
            check(
                    ValveGear.pistonToValve(
                        eight("valveHardware.intakePocketWidth", 2.05, Measure.INCHES)),
                    "intake_pocket")
                .verdict())
        .isEqualTo(Verdict.BAD);
  }

  /**
   * Installed height, coil bind and lift in inches, by hand; more spring and less mass turn faster.
   */
  @Test
  void springsHaveTheRoomAndTheSpeedThatArithmeticSays() {
    var all = ValveGear.springs(EIGHT);
    double lift = EIGHT.combination().intakeLift() / INCH;
    assertThat(check(all, "coil_bind").says()).contains("%.4f in".formatted(1.880 - 1.165 - lift));
    assertThat(
            check(
                    ValveGear.springs(eight("valveHardware.coilBind", 1.290, Measure.INCHES)),
                    "coil_bind")
                .verdict())
        .isEqualTo(Verdict.BAD);
    var c = EIGHT.combination();
    double now = ValveGear.follows(c, 1300);
    assertThat(ValveGear.follows(ValveGear.shimmed(c), 1300)).isGreaterThan(now);
    assertThat(ValveGear.follows(ValveGear.lightened(c), 1300)).isGreaterThan(now);
  }

  /**
   * Float of a harmonic lobe, closed form: acceleration over the nose is lift × (half turn ÷ span)²
   * × speed²; a rigid train leaves its lobe where the spring can give no more.
   */
  @Test
  void aHarmonicLobeFloatsWhereItsSpringGivesOut() {
    double lift = 0.010;
    double span = Math.toRadians(120);
    var rows = new java.util.ArrayList<grandbore.core.combination.LiftTable.Row>();
    for (int i = -60; i <= 60; i++) {
      double a = span * i / 60;
      rows.add(
          new grandbore.core.combination.LiftTable.Row(
              a, 0.5 * lift * (1 + Math.cos(Math.PI * a / span))));
    }
    var lobe =
        new MeasuredLobe(new grandbore.core.combination.LiftTable(Provenance.MEASURED, rows));
    var shape = new LobeShape(lobe);
    double bend = 0.5 * lift * Math.pow(Math.PI / span, 2);
    // Over the cam's own angle: four times that over the crank's.
    assertThat(shape.acceleration(0)).isCloseTo(-4 * bend, within(0.01 * 4 * bend));
    double base = 0.016;
    assertThat(shape.noseRadius(base, 0)).isCloseTo(base + lift - 4 * bend, within(2e-4));
    double mass = 0.2;
    double seat = 500;
    double rate = 40e3;
    var train =
        new ValveMotion.Train(lobe, 2 * Math.PI + 1.8, 1, 1, 0, mass, seat, rate, 3e7, 0.01);
    double force = (seat + rate * lift) / mass / bend;
    double found = new ValveMotion(train).floatSpeed(150, 1600);
    assertThat(found).isBetween(0.9 * Math.sqrt(force), 1.35 * Math.sqrt(force));
  }

  /** The area by a general library's integrator over the same lifts. */
  @Test
  void overlapAreaIsTheIntegralOfTheLesserLift() {
    var c = EIGHT.combination();
    var in = ValveMotion.intake(c).still();
    var out = ValveMotion.exhaust(c).still();
    double library =
        new SimpsonIntegrator(1e-6, 1e-12, 3, 30)
            .integrate(
                2_000_000,
                a -> Math.min(in.at(a), out.at(a)),
                2 * Math.PI - 1.2,
                2 * Math.PI + 1.2);
    assertThat(Overlap.area(c)).isCloseTo(library, within(0.005 * library));
    var tight = with(c, "valveTrain.intakeLash", 0.004, Measure.INCHES);
    assertThat(Overlap.area(tight)).isGreaterThan(Overlap.area(c));
    var close = with(c, "cam.separation", 106, Measure.DEGREES);
    assertThat(Overlap.area(close)).isGreaterThan(Overlap.area(c));
  }

  /**
   * The pattern by stepping the arm round; narrowest where it is square to the stem at half lift.
   */
  @Test
  void aRockersPatternIsNarrowestWhenItIsSquareAtHalfLift() {
    double arm = 0.038;
    double lift = 0.014;
    for (double rise : new double[] {0, 0.004, 0.007, 0.011}) {
      double least = Double.MAX_VALUE;
      double most = 0;
      for (int i = 0; i <= 1000; i++) {
        double h = rise - lift * i / 1000;
        double x = arm * Math.cos(Math.asin(h / arm));
        least = Math.min(least, x);
        most = Math.max(most, x);
      }
      var sweep = new RockerSweep(arm, rise, lift);
      assertThat(sweep.width()).isCloseTo(most - least, within(1e-8));
      assertThat(sweep.width())
          .isGreaterThanOrEqualTo(new RockerSweep(arm, sweep.narrowest(), lift).width());
    }
    assertThat(new RockerSweep(arm, lift / 2, lift).pushrod(1.5)).isCloseTo(0, within(1e-12));
  }
}
