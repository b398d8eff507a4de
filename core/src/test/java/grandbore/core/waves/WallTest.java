package grandbore.core.waves;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import grandbore.core.gas.FuelKind;
import grandbore.core.gas.WorkingGas;
import java.util.List;
import org.junit.jupiter.api.Test;

/** A wall between gas and outside: what it takes it gives away. */
class WallTest {
  private static final double STEFAN_BOLTZMANN = 5.670374e-8;

  /** Two conductances in a row: the temperature between them. */
  @Test
  void withoutRadiationItLiesBetweenByTheConductances() {
    var wall = new Wall(500, 365, 3000, 0);
    // 1,000 W/(m² K) from gas at 1,365 K, summed over 0.02 s.
    double hot = wall.balanced(1000 * 0.02, 1000 * 0.02 * 1365, 0.02, 500);
    assertThat(hot).isCloseTo(365 + 1000.0 / 4, within(1e-9));
  }

  /** Balanced again and again it gives away by both ways what it takes, to the watt. */
  @Test
  void withRadiationItSettlesWhereWhatItTakesIsWhatItGives() {
    var wall = new Wall(800, 300, 25, 0.85);
    double hot = 800;
    for (int k = 0; k < 60; k++) {
      hot = wall.balanced(200, 200 * 1150.0, 1, hot);
    }
    double takes = 200 * (1150 - hot);
    double gives =
        25 * (hot - 300) + 0.85 * STEFAN_BOLTZMANN * (Math.pow(hot, 4) - Math.pow(300, 4));
    assertThat(takes).isCloseTo(gives, within(1.0));
    // The dull red of headers at full load.
    assertThat(hot).isBetween(850.0, 1050.0);
  }

  /** A wall that is kept stays, and so does one that no gas has touched. */
  @Test
  void whatIsKeptStays() {
    assertThat(Wall.kept(345).balanced(100, 1e5, 1, 345)).isEqualTo(345);
    assertThat(new Wall(500, 365, 3000, 0).balanced(0, 0, 0, 480)).isEqualTo(480);
  }

  /**
   * Hot gas blown through a pipe: the better the outside takes heat, the cooler wall and gas; as
   * hot as the outside at best, as hot as the gas where next to nothing is taken.
   */
  @Test
  void theBetterTheOutsideTakesHeatTheCoolerWallAndGas() {
    double wallBefore = 1200;
    double gasBefore = 1200;
    for (double conductance : new double[] {1e-3, 20, 200, 1e9}) {
      var pipe = blown(new Wall(600, 300, conductance, 0));
      int far = pipe.cells() - 1;
      assertThat(pipe.wallTemperature(far)).as("U %g", conductance).isLessThan(wallBefore);
      assertThat(pipe.temperature(far)).as("U %g", conductance).isLessThan(gasBefore + 0.5);
      wallBefore = pipe.wallTemperature(far);
      gasBefore = pipe.temperature(far);
      if (conductance < 1) {
        assertThat(wallBefore).isCloseTo(gasBefore, within(2.0));
      }
    }
    assertThat(wallBefore).isCloseTo(300, within(0.01));
    assertThat(gasBefore).isLessThan(995);
  }

  private static Pipe blown(Wall wall) {
    var gas = new WorkingGas(FuelKind.PUMP_91, 0.9, 0);
    double area = 1e-3;
    var section = new PipeShape.Section(1, area, area, wall, 0, 3, 0);
    var pipe = new Pipe(gas, new PipeShape(List.of(section)), 20);
    pipe.fill(1e5, 1000, 1);
    var all = Pipe.together(gas, List.of(pipe));
    var in = new PipeEnd(gas, pipe, true, new Atmosphere(1.05e5, 1000, 1));
    var out = new PipeEnd(gas, pipe, false, new Atmosphere(1e5, 1000, 1));
    in.open(area);
    out.open(area);
    for (int k = 0; k < 6000; k++) {
      double dt = all.stableStep();
      all.refreshWalls();
      all.predict(dt);
      in.couple(dt);
      out.couple(dt);
      all.update(dt);
      if (k % 100 == 0) {
        all.balanceWalls();
      }
    }
    return pipe;
  }
}
