package grandbore.core.valvetrain;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import grandbore.core.combination.Combination;
import grandbore.core.combination.Given;
import grandbore.core.combination.Provenance;
import grandbore.core.combination.Specs;
import grandbore.core.demo.DemoBuilds;
import grandbore.core.units.Measure;
import grandbore.core.valvetrain.ValveMotion.Train;
import org.hipparchus.ode.ODEState;
import org.hipparchus.ode.OrdinaryDifferentialEquation;
import org.hipparchus.ode.nonstiff.DormandPrince853Integrator;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** The valve behind its train: against closed forms and a library's integrator. */
class ValveMotionTest {
  private static final double CENTRE = Math.toRadians(465);
  private static final double BIND = 0.02;
  private static final Lobe LOBE =
      new PolydyneLobe(0.0095, Math.toRadians(236), Math.toRadians(286));

  private static Train train(double lash, double mass, double seat, double rate, double stiff) {
    return new Train(LOBE, CENTRE, 1.6, 1, lash, mass, seat, rate, stiff, BIND);
  }

  private static double wanted(double angle) {
    return 1.6 * LOBE.lift(angle - CENTRE);
  }

  /** Cold and slow, the valve does what a degree wheel finds: lobe times ratio less lash. */
  @Test
  void aSlowStiffTrainGivesTheDegreeWheelsLift() {
    double lash = 0.4e-3;
    var motion = new ValveMotion(train(lash, 0.15, 600, 60e3, 60e6));
    var slow = motion.at(50);
    for (double degree = 0; degree < 720; degree += 2.5) {
      double angle = Math.toRadians(degree);
      double expected = Math.max(0, wanted(angle) - lash);
      assertThat(motion.still().at(angle)).isCloseTo(expected, within(2e-6));
      assertThat(slow.lift().at(angle)).isCloseTo(expected, within(6e-5));
    }
    assertThat(slow.follows()).isTrue();
    assertThat(slow.separation()).isZero();
    assertThat(slow.lift().closes()).isTrue();
  }

  /** The seat's force winds the train up before the valve leaves it: lift lost is force / k. */
  @ParameterizedTest
  @ValueSource(doubles = {2e6, 4e6, 8e6})
  void aSoftTrainLosesTheSpringsForceOverItsStiffness(double stiffness) {
    double seat = 600;
    double rate = 60e3;
    var slow = new ValveMotion(train(0, 0.15, seat, rate, stiffness)).at(40);
    double full = wanted(CENTRE);
    // Force balance at the nose: k (full − x) = seat + rate x, inertia being nothing.
    double expected = (stiffness * full - seat) / (stiffness + rate);
    assertThat(slow.lift().at(CENTRE)).isCloseTo(expected, within(3e-5));
  }

  /** The same equation by an adaptive Runge-Kutta of order 8, while the train stays pressed. */
  @ParameterizedTest
  @ValueSource(doubles = {3000, 5000})
  void theMotionMatchesALibrarysIntegrator(double rpm) {
    double mass = 0.22;
    double stiffness = 8e6;
    double seat = 1000;
    double rate = 90e3;
    double speed = rpm * Math.PI / 30;
    var motion = new ValveMotion(train(0, mass, seat, rate, stiffness)).at(speed);
    assertThat(motion.separation()).isZero();
    double damper = 2 * 0.06 * Math.sqrt(stiffness * mass);
    // From where the train has been wound up so far that the valve leaves its seat.
    double start = CENTRE - LOBE.opening();
    while (stiffness * wanted(start) < seat) {
      start += 1e-4;
    }
    double step = 1e-4;
    var equation =
        new OrdinaryDifferentialEquation() {
          @Override
          public int getDimension() {
            return 2;
          }

          @Override
          public double[] computeDerivatives(double angle, double[] y) {
            double rise = (wanted(angle + step) - wanted(angle - step)) / (2 * step) * speed;
            double push = stiffness * (wanted(angle) - y[0]) + damper * (rise - y[1]);
            double force = push - seat - rate * y[0];
            return new double[] {y[1] / speed, force / mass / speed};
          }
        };
    var integrator = new DormandPrince853Integrator(1e-7, 0.01, 1e-10, 1e-9);
    double last = start;
    double[] state = {0, 0};
    double worst = 0;
    for (double angle = start + 0.1; angle < CENTRE + 1.2; angle += 0.1) {
      state = integrator.integrate(equation, new ODEState(last, state), angle).getPrimaryState();
      last = angle;
      worst = Math.max(worst, Math.abs(motion.lift().at(angle) - state[0]));
    }
    assertThat(worst).isLessThan(0.06e-3);
  }

  /** One turn of the cam from the seat, with so much gas pressing on the valve after its nose. */
  private static double[] flight(ValveMotion motion, double speed, double gas) {
    var valve = motion.flying();
    double step = Math.toRadians(0.25);
    double most = 0;
    double openFor = 0;
    for (double angle = CENTRE - Math.PI; angle < CENTRE + Math.PI; angle += step) {
      double x = valve.turn(angle, step, speed, angle > CENTRE + 1 ? gas : 0);
      most = Math.max(most, x);
      openFor += x > 0.1e-3 ? step : 0;
    }
    return new double[] {most, openFor};
  }

  /**
   * A valve that has left its lobe comes to the spring's bound coils and no farther, but for what
   * they give; gas in the cylinder brings it to its seat the sooner the more it presses
   * (mechanics).
   */
  @Test
  void aFlyingValveIsStoppedByItsCoilsAndByTheGas() {
    double clearance = 2e-3;
    var weak = new Train(LOBE, CENTRE, 1.6, 1, 0, 0.25, 250, 20e3, 20e6, clearance);
    var motion = new ValveMotion(weak);
    double speed = 8000 * Math.PI / 30;
    assertThat(motion.at(speed).follows()).isFalse();
    double full = motion.still().peak();
    double most = flight(motion, speed, 0)[0];
    assertThat(most).isBetween(full + 0.5 * clearance, full + clearance + 0.6e-3);
    var free = new ValveMotion(new Train(LOBE, CENTRE, 1.6, 1, 0, 0.25, 250, 20e3, 20e6, 0.1));
    assertThat(flight(free, speed, 0)[0]).isGreaterThan(most + 1e-3);
    double last = Double.POSITIVE_INFINITY;
    // A bar on a valve of 20 cm² is 200 N.
    for (double gas : new double[] {0, 500, 2000, 6000}) {
      double open = flight(motion, speed, gas)[1];
      assertThat(open).isLessThan(last);
      last = open;
    }
    // Below float the gas is not asked: the lobe says where the valve is.
    var stiff = new ValveMotion(train(0, 0.1, 1500, 120e3, 60e6));
    double slow = 2000 * Math.PI / 30;
    assertThat(flight(stiff, slow, 300)[0]).isCloseTo(flight(stiff, slow, 0)[0], within(1e-6));
  }

  /** Over the nose of a stiff train the spring has to hold what the lobe asks: F = m ω² L''. */
  @Test
  void aStiffTrainFloatsWhereInertiaOutgrowsTheSpring() {
    double mass = 0.3;
    double seat = 300;
    double rate = 25e3;
    var soft = new PolydyneLobe(0.0095, Math.toRadians(250), Math.toRadians(330));
    var motion = new ValveMotion(new Train(soft, CENTRE, 1.6, 1, 0, mass, seat, rate, 60e6, BIND));
    double expected = Double.POSITIVE_INFINITY;
    double h = 1e-3;
    for (double a = -1.2; a <= 1.2; a += 0.01) {
      double bend = 1.6 * (soft.lift(a + h) - 2 * soft.lift(a) + soft.lift(a - h)) / (h * h);
      double force = seat + rate * 1.6 * soft.lift(a);
      if (bend < 0) {
        expected = Math.min(expected, Math.sqrt(force / (mass * -bend)));
      }
    }
    double found = motion.floatSpeed(150, 1200);
    // It is called float once the train stands well clear, somewhat above the balance of forces.
    assertThat(found).isBetween(0.98 * expected, 1.2 * expected);
  }

  /** Lighter retainers or more spring cure a float near the top: common practice, no source. */
  @ParameterizedTest
  @CsvSource({
    "valveTrain.intakeMass, 0.85",
    "valveTrain.springSeat, 1.25",
    "valveTrain.springRate, 1.2",
    "valveTrain.stiffness, 1.3"
  })
  void lighterPartsMoreSpringAndStifferTrainsFloatLater(String path, double times) {
    var c = DemoBuilds.hillClimbEight().combination();
    double before = ValveMotion.intake(c).floatSpeed(300, 1400);
    double after = ValveMotion.intake(scaled(c, path, times)).floatSpeed(300, 1400);
    assertThat(after).isGreaterThan(1.01 * before);
  }

  private static Combination scaled(Combination c, String path, double times) {
    var field = Specs.field(path);
    var given = field.get(c);
    return field.with(c, given.with(times * given.si(), Provenance.CARD));
  }

  /**
   * A flat tappet carries twice the steepest lift per radian of the cam: the usual 0.842 in stands
   * 0.0073 in per degree (common practice, no source, and 0.842 / 2 / 57.3 by hand).
   */
  @Test
  void aFlatTappetIsAsWideAsTheLobeIsSteep() {
    assertThat(0.842 / 2 / 57.2958).isCloseTo(0.00735, within(1e-5));
    double steepest = 0;
    double h = 1e-4;
    for (double crank = -2.5; crank < 2.5; crank += 0.001) {
      double perCrank = (LOBE.lift(crank + h) - LOBE.lift(crank - h)) / (2 * h);
      steepest = Math.max(steepest, 2 * Math.abs(perCrank));
    }
    assertThat(FlatTappet.width(LOBE)).isCloseTo(2 * steepest, within(2e-5));
    // Twice the lift at the same angles wants twice the width.
    var taller = new PolydyneLobe(0.0105, Math.toRadians(236), Math.toRadians(286));
    assertThat(FlatTappet.width(taller)).isGreaterThan(FlatTappet.width(LOBE));
    var eight = DemoBuilds.hillClimbEight().combination();
    assertThat(FlatTappet.tooNarrow(eight)).isEmpty();
    var flat =
        eight.with(
            "valveTrain.follower", grandbore.core.combination.ValveTrain.Follower.FLAT_PUSHROD);
    var wide = scaled(flat, "valveTrain.tappetDiameter", 2);
    assertThat(FlatTappet.tooNarrow(wide)).isEmpty();
    var narrow = scaled(flat, "valveTrain.tappetDiameter", 0.6);
    assertThat(FlatTappet.tooNarrow(narrow)).isPresent();
  }

  /** Past float the valve flies over its lobe, meets its seat hard, bounces, or never closes. */
  @Test
  void aFloatingValveLoftsAndBounces() {
    var c = scaled(DemoBuilds.hillClimbEight().combination(), "valveTrain.springSeat", 0.4);
    c = scaled(c, "valveTrain.springRate", 0.4);
    var motion = ValveMotion.intake(c);
    var calm = motion.at(350);
    var wild = motion.at(900);
    assertThat(calm.follows()).isTrue();
    assertThat(wild.follows()).isFalse();
    assertThat(wild.separation()).isGreaterThan(1e-3);
    assertThat(wild.lift().peak()).isGreaterThan(1.02 * calm.lift().peak());
    assertThat(Math.max(wild.bounce(), wild.seating())).isGreaterThan(calm.seating());
  }

  /** A rocker that gains ratio as it lifts gives less off the seat and the same law between. */
  @Test
  void aRockersRatioGrowsFromOffTheSeatToOverTheNose() {
    double off = 0.92;
    var motion = new ValveMotion(new Train(LOBE, CENTRE, 1.6, off, 0, 0.2, 800, 60e3, 20e6, BIND));
    double near = 0.0003;
    double angle = CENTRE - 1;
    while (LOBE.lift(angle - CENTRE) > near) {
      angle -= 1e-4;
    }
    double slope = motion.still().at(angle) / LOBE.lift(angle - CENTRE);
    assertThat(slope).isCloseTo(1.6 * off, within(0.02));
    // Lift over the nose is the mean of both ratios, because the ratio grows with lift.
    assertThat(motion.still().peak()).isCloseTo(1.6 * 0.5 * (1 + off) * 0.0095, within(1e-6));
    var c = DemoBuilds.hillClimbEight().combination();
    var given = Given.of(92, Measure.PERCENT, grandbore.core.units.Quantity.SHARE, Provenance.CARD);
    assertThat(c.with("valveTrain.rockerOffSeat", given).intakeLift()).isLessThan(c.intakeLift());
  }
}
