package grandbore.core.prediction;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import grandbore.core.combustion.ChamberForm;
import grandbore.core.combustion.ChamberShape;
import grandbore.core.combustion.FlameSpeed;
import grandbore.core.combustion.FlameSurface;
import grandbore.core.combustion.HeatTransfer;
import grandbore.core.combustion.TurbulentFlame;
import grandbore.core.combustion.Woschni;
import grandbore.core.gas.FuelKind;
import grandbore.core.gas.WorkingGas;
import grandbore.core.geometry.SliderCrank;
import org.assertj.core.data.Percentage;
import org.hipparchus.ode.ODEState;
import org.hipparchus.ode.OrdinaryDifferentialEquation;
import org.hipparchus.ode.nonstiff.DormandPrince853Integrator;
import org.junit.jupiter.api.Test;

class CylinderTest {
  private static final SliderCrank CRANK = new SliderCrank(0.044, 0.152, 0);
  private static final double BORE = 0.102;
  private static final double STEP = Math.toRadians(0.5);
  private static final double SPEED = 400;

  private static CylinderGeometry geometry(double ratio) {
    return geometry(Cycle.FOUR_STROKE, ratio);
  }

  private static CylinderGeometry geometry(Cycle cycle, double ratio) {
    double swept = Math.PI / 4 * BORE * BORE * 0.088;
    return new CylinderGeometry(
        cycle, CRANK, BORE, swept / (ratio - 1), 2.4, CylinderGeometry.Walls.working(false));
  }

  private static Cylinder atBottom(WorkingGas gas, CylinderGeometry g, HeatTransfer heat) {
    return atBottom(gas, g, heat, 3 * Math.PI);
  }

  private static Cylinder atBottom(
      WorkingGas gas, CylinderGeometry g, HeatTransfer heat, double phase) {
    return new Cylinder(
        new ChargeGas(gas, gas), g, flame(g), 98, heat, new Crevice(gas, 0, 0, 1e5), phase, 1e5);
  }

  private static TurbulentFlame flame(CylinderGeometry g) {
    var chamber =
        ChamberShape.of(ChamberForm.WEDGE, 2, BORE, g.clearance() - 8e-6, 0, 0.001, 0, 0, 1);
    return new TurbulentFlame(
        new FlameSpeed(FuelKind.PUMP_93, 0.9),
        FlameSurface.of(chamber, 0.088),
        chamber.squish(),
        0,
        1);
  }

  private static void turn(Cylinder c, double angle) {
    int steps = (int) Math.round(angle / STEP);
    for (int i = 0; i < steps; i++) {
      c.advance(STEP / SPEED, STEP, 12);
    }
  }

  /** Heat at constant volume, compression and expansion without loss: 1 − r^(1−γ). */
  @Test
  void theIdealOttoCycleComesOut() {
    for (double ratio : new double[] {8, 10, 13}) {
      var c = atBottom(WorkingGas.perfect(287, 1.35), geometry(ratio), (p, t, v, s, o, w) -> 0);
      turn(c, Math.PI);
      double heat = 1500;
      c.receive(0, heat, 0);
      // Settle the pressure with a turn of no angle before the piston moves.
      c.advance(1e-9, 0, 12);
      turn(c, Math.PI);
      assertThat(c.work() / heat)
          .isCloseTo(1 - Math.pow(ratio, -0.35), Percentage.withPercentage(0.1));
    }
  }

  /**
   * The length of a cycle is a value: one of two strokes is over every turn, and none of its work
   * is gas exchange; one of four has a turn of it.
   */
  @Test
  void aCycleIsAsLongAsItIsSaidToBe() {
    var two = atBottom(geometry(new Cycle(2 * Math.PI), 10), Math.PI);
    var four = atBottom(geometry(10), 3 * Math.PI);
    turn(two, 1.5 * Math.PI);
    turn(four, 1.5 * Math.PI);
    double peak = two.lastCycle().peakPressure;
    assertThat(peak).isCloseTo(1e5 * Math.pow(10, 1.35), Percentage.withPercentage(0.1));
    assertThat(four.lastCycle().peakPressure).isCloseTo(peak, Percentage.withPercentage(1e-6));
    turn(two, 2 * Math.PI);
    turn(four, 2 * Math.PI);
    assertThat(two.phase()).isCloseTo(0.5 * Math.PI, within(1e-9));
    assertThat(four.phase()).isCloseTo(2.5 * Math.PI, within(1e-9));
    assertThat(two.lastCycle().pumpWork).isZero();
    turn(four, 2 * Math.PI);
    // A gas spring pressed in where a charge is changed too, and no work lost in either turn.
    assertThat(four.lastCycle().pumpWork).isNotZero().isCloseTo(0, within(0.1));
    assertThat(four.lastCycle().grossWork).isCloseTo(0, within(0.1));
    assertThat(two.lastCycle().grossWork).isCloseTo(0, within(0.1));
  }

  private static Cylinder atBottom(CylinderGeometry g, double phase) {
    return atBottom(WorkingGas.perfect(287, 1.35), g, (p, t, v, s, o, w) -> 0, phase);
  }

  /** The motored closed cycle with real gas and wall heat, integrated by a library's solver. */
  @Test
  void theClosedCycleMatchesALibrarysAdaptiveIntegrator() {
    var gas = new WorkingGas(FuelKind.PUMP_93, 0.9, 0);
    var g = geometry(10.5);
    var heat = new Woschni(BORE);
    var c = atBottom(gas, g, heat);
    double mass = c.mass();
    double y = c.burned();
    var equation =
        new OrdinaryDifferentialEquation() {
          @Override
          public int getDimension() {
            return 2;
          }

          @Override
          public double[] computeDerivatives(double angle, double[] state) {
            double t = gas.temperature(state[0] / mass, y, 400);
            double v = g.volume(angle);
            double p = mass * gas.gasConstant(y) * t / v;
            double q = heat.coefficient(p, t, v, 12, true, 0) * overWalls(g, v, t) / SPEED;
            double w = p * g.boreArea() * CRANK.slope(angle);
            return new double[] {-w - q, w};
          }
        };
    var solved =
        new DormandPrince853Integrator(1e-6, 0.02, 1e-6, 1e-8)
            .integrate(
                equation, new ODEState(3 * Math.PI, new double[] {c.energy(), 0}), 4.8 * Math.PI);
    turn(c, 1.8 * Math.PI);
    assertThat(c.energy() - mass * gas.energy(300, y))
        .isCloseTo(
            solved.getPrimaryState()[0] - mass * gas.energy(300, y),
            Percentage.withPercentage(0.1));
  }

  /** Areas of the walls times how much hotter the gas is, m² K. */
  private static double overWalls(CylinderGeometry g, double volume, double t) {
    var walls = g.walls();
    return g.headArea() * (t - walls.head().temperature())
        + g.boreArea() * (t - walls.crown().temperature())
        + Math.PI * BORE * g.depth(volume) * (t - walls.liner().temperature());
  }

  /** Fired: all the charge's energy is in the gas, the walls or the piston's work. */
  @Test
  void burningKeepsTheEnergyAndTwoZonesStayHot() {
    var gas = new WorkingGas(FuelKind.PUMP_93, 0.9, 0);
    var c = atBottom(gas, geometry(10.5), new Woschni(BORE));
    double before = c.energy();
    c.stir(c.mass(), 80);
    c.close();
    c.setSpark(Math.toRadians(28));
    turn(c, 1.7 * Math.PI);
    assertThat(c.energy() + c.work() + c.heatLost())
        .isCloseTo(before, Percentage.withPercentage(1e-6));
    assertThat(c.lastCycle().peakPressure + c.pressure()).isGreaterThan(1e5);
    assertThat(c.burned()).isGreaterThan(0.95);
    assertThat(c.temperature()).isBetween(1500.0, 2300.0);
    assertThat(c.work()).isGreaterThan(500);
  }
}
