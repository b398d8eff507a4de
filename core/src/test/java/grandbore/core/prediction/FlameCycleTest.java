package grandbore.core.prediction;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import grandbore.core.combustion.ChamberForm;
import grandbore.core.combustion.ChamberShape;
import grandbore.core.combustion.FlameSpeed;
import grandbore.core.combustion.FlameSurface;
import grandbore.core.combustion.TurbulentFlame;
import grandbore.core.combustion.Woschni;
import grandbore.core.gas.FuelKind;
import grandbore.core.geometry.SliderCrank;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/**
 * One closed cycle, always filled alike, its jets as fast as its piston: what the flame makes of
 * spark, speed, ratio and chamber, against what engines do.
 */
class FlameCycleTest {
  private static final double BORE = 0.1024;
  private static final double STROKE = 0.0884;
  private static final double SWEPT = Math.PI / 4 * BORE * BORE * STROKE;
  private static final double STEP = Math.toRadians(1);
  private static final int OPENS = 137;
  private static final double JET = 7;
  private static final double DISH = 5e-6;
  private static final double GAP = 0.001;

  /**
   * @param work up to where the exhaust opens, J; angles in degrees
   */
  private record Ran(double spark, double work, double tenth, double half, double most) {
    double early() {
      return spark + tenth;
    }

    double rapid() {
      return most - tenth;
    }
  }

  private record Engine(ChamberForm form, int valves, double ratio, double rpm, int plugs) {
    Engine(int valves, double ratio, double rpm) {
      this(ChamberForm.USUAL, valves, ratio, rpm, 1);
    }

    Ran at(double spark) {
      var gas = GasTables.of(FuelKind.PUMP_93, 0.88, 0, 0);
      double clearance = SWEPT / (ratio - 1);
      double head = clearance - DISH - GAP * Math.PI / 4 * BORE * BORE;
      var shape = ChamberShape.of(form, valves, BORE, head, DISH, GAP, 0, 0, plugs);
      var walls = CylinderGeometry.Walls.working(false);
      var crank = new SliderCrank(STROKE / 2, 0.152, 0);
      var woschni = new Woschni(BORE);
      var c =
          new Cylinder(
              new ChargeGas(gas, gas),
              new CylinderGeometry(
                  Cycle.FOUR_STROKE, crank, BORE, clearance, Math.toRadians(OPENS), walls),
              new TurbulentFlame(
                  new FlameSpeed(FuelKind.PUMP_93, 0.88),
                  FlameSurface.of(shape, STROKE),
                  shape.squish(),
                  valves > 2 ? 1 : 0,
                  1),
              98,
              (p, t, v, s, o, f) -> EngineParts.WALL_HEAT * woschni.coefficient(p, t, v, s, o, f),
              new Crevice(gas, 1e-6, 0, 1e5),
              Math.toRadians(576),
              1e5);
      double piston = 2 * STROKE * rpm / 60;
      double speed = rpm * Math.PI / 30;
      c.stir(c.mass(), JET * piston);
      c.close();
      c.setSpark(Math.toRadians(spark));
      for (int k = 576; k < 720 + OPENS; k++) {
        c.advance(STEP / speed, STEP, piston);
      }
      double work = c.work();
      for (int k = OPENS; k < 720; k++) {
        c.advance(STEP / speed, STEP, piston);
      }
      var t = c.lastCycle();
      return new Ran(
          spark,
          work,
          Math.toDegrees(t.burned10),
          Math.toDegrees(t.burned50),
          Math.toDegrees(t.burned90));
    }

    /** That of most work, to a degree. */
    Ran best() {
      Ran best = at(12);
      for (int spark = 13; spark <= 60; spark++) {
        var next = at(spark);
        best = next.work > best.work ? next : best;
      }
      return best;
    }
  }

  /**
   * Half of the charge follows the spark nearly one to one within ten degrees of the best, and the
   * charge burns faster near it than on the late side.
   */
  @ParameterizedTest
  @CsvSource({"2, 8, 6000", "2, 12, 6000", "2, 10, 3000", "4, 10, 3000", "4, 12, 6000"})
  void burnFollowsTheSpark(int valves, double ratio, double rpm) {
    var engine = new Engine(valves, ratio, rpm);
    var best = engine.best();
    var early = engine.at(best.spark + 10);
    var late = engine.at(best.spark - 10);
    assertThat((late.half - early.half) / 20).isBetween(0.75, 1.2);
    assertThat(late.rapid()).isGreaterThan(best.rapid());
    assertThat(engine.at(best.spark - 20).rapid()).isGreaterThan(late.rapid());
  }

  /**
   * Best spark falls with compression and rises with speed, best phasing stays; burn angles of four
   * valves are 18° to 28° from a tenth to nine tenths, spark to a tenth grows with the 0.2 to 0.4
   * power of speed (Heywood 1988, chapter 9, from memory).
   */
  @Test
  void bestSparkFollowsCompressionAndSpeed() {
    for (int valves : new int[] {2, 4}) {
      var low = new Engine(valves, 8, 6000).best();
      var high = new Engine(valves, 12, 6000).best();
      assertThat((low.spark - high.spark) / 4).isBetween(0.5, 2.25);
      var slow = new Engine(valves, 10, 3000).best();
      var fast = new Engine(valves, 10, 6000).best();
      double power = Math.log(fast.early() / slow.early()) / Math.log(2);
      assertThat(power).isBetween(0.2, 0.4);
      for (var ran : new Ran[] {low, high, slow, fast}) {
        assertThat(ran.half).as("best phasing, %d valves", valves).isBetween(2.0, 10.0);
      }
      if (valves == 4) {
        assertThat(fast.rapid()).isBetween(18.0, 28.0);
        assertThat(slow.rapid()).isBetween(18.0, 28.0);
      } else {
        assertThat(fast.spark).as("a wedge, as practice has it").isBetween(30.0, 38.0);
      }
    }
  }

  /**
   * Work against half burned later than best by 5° to 30°: 0.995, 0.975, 0.95, 0.91, 0.83 (F.
   * Ayala, M. Gerty, J. Heywood, SAE 2006-01-0229, from memory).
   */
  @ParameterizedTest
  @CsvSource({"2, 9", "2, 12", "4, 10"})
  void lateBurnCostsWhatItCosts(int valves, double ratio) {
    var engine = new Engine(valves, ratio, 3000);
    var best = engine.best();
    double[] later = {5, 10, 15, 20, 30};
    double[] left = {0.995, 0.975, 0.95, 0.91, 0.83};
    var before = best;
    int next = 0;
    for (double spark = best.spark - 0.5; spark > -20 && next < later.length; spark -= 0.5) {
      var now = engine.at(spark);
      double by = now.half - best.half;
      if (by >= later[next]) {
        double f = (later[next] - (before.half - best.half)) / (now.half - before.half);
        double work = before.work + f * (now.work - before.work);
        assertThat(work / best.work)
            .as("%d valves, %s:1, %.0f° late", valves, ratio, later[next])
            .isCloseTo(left[next], within(later[next] > 20 ? 0.065 : 0.045));
        next++;
      }
      before = now;
    }
    assertThat(next).isEqualTo(later.length);
  }

  /** A spark after top centre still lights the charge, which burns late. */
  @Test
  void sparkAfterTopCentreBurnsLate() {
    var engine = new Engine(2, 9, 3000);
    assertThat(engine.at(-5).half).isBetween(45.0, 100.0);
    assertThat(engine.at(-5).work).isLessThan(0.75 * engine.best().work).isPositive();
  }

  /** Work moves smoothly with the spark: no grain of steps for a search to stumble on. */
  @Test
  void workHasNoGrain() {
    var engine = new Engine(4, 11, 4000);
    double bend = 0;
    for (double spark = 22; spark < 28; spark += 0.25) {
      double a = engine.at(spark).work;
      double b = engine.at(spark + 0.25).work;
      double c = engine.at(spark + 0.5).work;
      bend = Math.max(bend, Math.abs(a - 2 * b + c) / b);
    }
    assertThat(bend).isLessThan(8e-4);
  }

  @Test
  void twoPlugsAndABetterFormWantLessSpark() {
    var one = new Engine(ChamberForm.HEMISPHERE, 2, 10, 6000, 1).best();
    var two = new Engine(ChamberForm.HEMISPHERE, 2, 10, 6000, 2).best();
    assertThat(two.spark).isLessThan(one.spark - 1);
    assertThat(two.rapid()).isLessThan(one.rapid());
    assertThat(two.work).isGreaterThan(one.work);
  }
}
