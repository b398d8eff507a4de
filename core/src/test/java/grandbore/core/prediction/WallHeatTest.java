package grandbore.core.prediction;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import grandbore.core.combustion.HeatTransfer;
import grandbore.core.geometry.SliderCrank;
import grandbore.core.waves.Wall;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** A cylinder's walls under a gas that stands: temperatures and heats are sums by hand. */
class WallHeatTest {
  private static final double H = 900;
  private static final double GAS = 1500;
  private static final double DT = 1e-4;

  private static final CylinderGeometry.Walls WALLS =
      new CylinderGeometry.Walls(
          new Wall(470, 365, 5100, 0), new Wall(550, 390, 3000, 0), new Wall(420, 365, 2200, 0));

  private static final CylinderGeometry GEOMETRY =
      new CylinderGeometry(
          Cycle.FOUR_STROKE, new SliderCrank(0.045, 0.15, 0), 0.1, 7e-5, 2.4, WALLS);

  /** As much for every kelvin whatever the gas does. */
  private static final HeatTransfer EVEN = (p, t, v, piston, open, combustion) -> H;

  private WallHeat walls;

  @BeforeEach
  void begin() {
    walls = new WallHeat(EVEN, GEOMETRY);
  }

  private static Charge gas(double temperature) {
    var charge = new Charge();
    charge.temperature = temperature;
    charge.pressure = 1e5;
    return charge;
  }

  /** Of a step with the piston at the bottom, J. */
  private double step(double temperature) {
    double all = GEOMETRY.volume(Math.PI);
    return walls.loss(gas(temperature), all, all, false, 15, DT);
  }

  @Test
  void heatIsThatOfThreeSurfaces() {
    double bare = Math.PI * 0.1 * 0.09;
    double byHand =
        H
            * DT
            * (1.25 * GEOMETRY.boreArea() * (GAS - 470)
                + GEOMETRY.boreArea() * (GAS - 550)
                + bare * (GAS - 420));
    assertThat(step(GAS)).isCloseTo(byHand, within(1e-9 * byHand));
    double top = GEOMETRY.volume(0);
    assertThat(walls.loss(gas(GAS), top, top, false, 15, DT))
        .isCloseTo(byHand - H * DT * bare * (GAS - 420), within(1e-9 * byHand));
  }

  /** Two conductances in a row each: the metal stands between gas and coolant by them. */
  @Test
  void metalComesToStandBetweenGasAndCoolant() {
    for (int k = 0; k < 100; k++) {
      step(GAS);
    }
    walls.balance();
    double head = (H * GAS + 5100 * 365) / (H + 5100);
    double crown = (H * GAS + 3000 * 390) / (H + 3000);
    double liner = (H * GAS + 2200 * 365) / (H + 2200);
    double heat = step(GAS);
    double byHand =
        H
            * DT
            * (1.25 * GEOMETRY.boreArea() * (GAS - head)
                + GEOMETRY.boreArea() * (GAS - crown)
                + Math.PI * 0.1 * 0.09 * (GAS - liner));
    assertThat(heat).isCloseTo(byHand, within(1e-9 * byHand));
    // A second look at the same gas moves nothing; cold gas cools it again.
    walls.balance();
    assertThat(step(GAS)).isCloseTo(byHand, within(1e-9 * byHand));
    walls.balance();
    step(300);
    walls.balance();
    assertThat(step(GAS)).isGreaterThan(byHand);
  }

  /** What another cylinder's walls are can be begun from, and guessed for another speed. */
  @Test
  void wallsAreTakenOverAndGuessed() {
    for (int k = 0; k < 10; k++) {
      step(2000);
    }
    walls.balance();
    var other = new WallHeat(EVEN, GEOMETRY);
    other.startFrom(walls);
    double all = GEOMETRY.volume(Math.PI);
    assertThat(other.loss(gas(GAS), all, all, false, 15, DT)).isEqualTo(step(GAS));
    double before = step(GAS);
    walls.guess(1.5);
    assertThat(step(GAS)).as("hotter walls take less").isLessThan(before);
    walls.guess(1 / 1.5);
    assertThat(step(GAS)).isCloseTo(before, within(1e-9 * before));
  }
}
