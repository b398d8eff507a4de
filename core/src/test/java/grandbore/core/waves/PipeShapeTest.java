package grandbore.core.waves;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import grandbore.core.waves.PipeShape.Section;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** A pipe cut into cells: however it is cut, nothing of it is lost, and nothing jumps. */
class PipeShapeTest {
  private static PipeShape drawn(Random random) {
    var sections = new ArrayList<Section>();
    int number = 1 + random.nextInt(4);
    double area = 1e-4 + 2e-3 * random.nextDouble();
    for (int k = 0; k < number; k++) {
      double next = random.nextBoolean() ? area : 1e-4 + 2e-3 * random.nextDouble();
      sections.add(
          new Section(
              0.02 + 0.6 * random.nextDouble(),
              area,
              next,
              new Wall(
                  400 + 500 * random.nextDouble(),
                  290 + 80 * random.nextDouble(),
                  2000 * random.nextDouble(),
                  random.nextDouble()),
              2 * random.nextDouble(),
              0.5 + 5 * random.nextDouble(),
              random.nextDouble()));
      // A step between sections now and then.
      area = random.nextDouble() < 0.3 ? 1e-4 + 2e-3 * random.nextDouble() : next;
    }
    return new PipeShape(sections);
  }

  private static double[] cuts(PipeShape shape, int cells) {
    var at = new double[cells + 1];
    for (int i = 0; i <= cells; i++) {
      at[i] = shape.length() * i / cells;
    }
    return at;
  }

  /** A frustum of a round pipe: a third of its length by both ends' areas and their mean. */
  private static double frustum(Section s) {
    return s.length() / 3 * (s.startArea() + Math.sqrt(s.startArea() * s.endArea()) + s.endArea());
  }

  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8, 9, 10})
  void whateverTheCellsThePipeIsAllThere(long seed) {
    var shape = drawn(new Random(seed));
    double volume = shape.sections().stream().mapToDouble(PipeShapeTest::frustum).sum();
    double bends = shape.sections().stream().mapToDouble(Section::bendLoss).sum();
    double rubs = shape.sections().stream().mapToDouble(s -> s.length() * s.frictionFactor()).sum();
    double heat = shape.sections().stream().mapToDouble(s -> s.length() * s.heatFactor()).sum();
    double away =
        shape.sections().stream().mapToDouble(s -> s.length() * s.wall().conductance()).sum();
    double carried =
        shape.sections().stream()
            .mapToDouble(s -> s.length() * s.wall().conductance() * s.wall().outside())
            .sum();
    for (int cells : new int[] {1, 3, 7, 20, 61}) {
      var at = cuts(shape, cells);
      double volumes = 0;
      double turned = 0;
      double rubbed = 0;
      double heated = 0;
      double given = 0;
      double carriedAway = 0;
      for (int i = 0; i < cells; i++) {
        var cell = shape.between(at[i], at[i + 1]);
        volumes += shape.volume(at[i], at[i + 1]);
        turned += cell.bendLoss();
        rubbed += cell.length() * cell.frictionFactor();
        heated += cell.length() * cell.heatFactor();
        given += cell.length() * cell.wall().conductance();
        carriedAway += cell.length() * cell.wall().conductance() * cell.wall().outside();
        assertThat(cell.wall().emissivity()).isBetween(0.0, 1.0);
      }
      assertThat(volumes).as("%d cells", cells).isCloseTo(volume, within(1e-12));
      assertThat(turned).as("%d cells", cells).isCloseTo(bends, within(1e-9));
      assertThat(rubbed).as("%d cells", cells).isCloseTo(rubs, within(1e-9));
      assertThat(heated).as("%d cells", cells).isCloseTo(heat, within(1e-9));
      assertThat(given).as("%d cells", cells).isCloseTo(away, within(1e-7));
      assertThat(carriedAway).as("%d cells", cells).isCloseTo(carried, within(1e-4));
    }
  }

  /**
   * A hair's breadth farther on a cell's wall is the same but for a hair: lengths can be sought.
   */
  @ParameterizedTest
  @ValueSource(longs = {11, 12, 13, 14, 15})
  void aCellsWallMovesNoFartherThanTheCell(long seed) {
    var shape = drawn(new Random(seed));
    double cell = shape.length() / 9;
    double hair = 1e-6 * cell;
    for (double from = 0; from + cell + hair < shape.length(); from += cell / 31) {
      var here = shape.between(from, from + cell);
      var there = shape.between(from + hair, from + cell + hair);
      assertThat(there.wall().conductance())
          .isCloseTo(here.wall().conductance(), within(2000 * 1e-5));
      assertThat(there.wall().outside()).isCloseTo(here.wall().outside(), within(0.05));
      assertThat(there.wall().temperature()).isCloseTo(here.wall().temperature(), within(0.05));
      assertThat(there.frictionFactor()).isCloseTo(here.frictionFactor(), within(1e-4));
      assertThat(shape.volume(from + hair, from + cell + hair))
          .isCloseTo(shape.volume(from, from + cell), within(1e-3 * 2e-3 * cell));
    }
  }

  /**
   * Ends are as drawn; a face where sections meet is the mean over a cell, the same from either.
   */
  @Test
  void facesAreAsDrawnAndMeanWhereSectionsMeet() {
    double narrow = 4e-4;
    double wide = 16e-4;
    var shape =
        new PipeShape(
            List.of(
                new Section(0.3, narrow, narrow, 400, 1, 1, 0),
                new Section(0.3, wide, wide, 400, 1, 1, 0)));
    double cell = 0.02;
    assertThat(shape.faceArea(0, cell)).isEqualTo(narrow);
    assertThat(shape.faceArea(0.6, cell)).isCloseTo(wide, within(1e-12));
    assertThat(shape.faceArea(0.1, cell)).isCloseTo(narrow, within(1e-12));
    assertThat(shape.faceArea(0.3, cell)).isCloseTo((narrow + wide) / 2, within(1e-9));
    // From one to the other straight, without a jump.
    double before = narrow;
    for (double x = 0.285; x <= 0.315; x += 0.001) {
      double now = shape.faceArea(x, cell);
      assertThat(now - before).isBetween(-1e-12, 1.001 * (wide - narrow) * 0.001 / cell + 1e-12);
      before = now;
    }
  }

  /** A kept wall stays kept in a cell of its own, and a straight pipe is an ideal one's shape. */
  @Test
  void aKeptWallIsKept() {
    var section = new Section(0.5, 1e-3, 1e-3, 345, 1, 2, 0);
    var cell = new PipeShape(List.of(section)).between(0.1, 0.2);
    assertThat(cell.wall().balanced(100, 5e4, 1, 345)).isEqualTo(345);
    assertThat(cell.wall().moved(345, 1.3)).isEqualTo(345);
    var ideal = PipeShape.ideal(0.5, 1e-3, 1e-3);
    assertThat(ideal.length()).isEqualTo(0.5);
    assertThat(ideal.volume(0, 0.5)).isCloseTo(5e-4, within(1e-12));
    assertThat(ideal.between(0, 0.5).heatFactor()).isZero();
  }
}
