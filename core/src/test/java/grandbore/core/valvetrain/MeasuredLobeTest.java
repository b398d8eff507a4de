package grandbore.core.valvetrain;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import grandbore.core.combination.InvalidInput;
import grandbore.core.combination.LiftTable;
import grandbore.core.combination.Provenance;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Lobes as a degree wheel and an indicator found them. */
class MeasuredLobeTest {
  private static final PolydyneLobe TRUE =
      new PolydyneLobe(0.0095, Math.toRadians(236), Math.toRadians(286));

  private static LiftTable sampled(double step, double zero, double readTo) {
    var rows = new ArrayList<LiftTable.Row>();
    for (double degree = -160; degree <= 160; degree += step) {
      double lift = TRUE.lift(Math.toRadians(degree));
      rows.add(new LiftTable.Row(Math.toRadians(degree + zero), readTo * Math.rint(lift / readTo)));
    }
    return new LiftTable(Provenance.MEASURED, rows);
  }

  /** Whatever the wheel's zero was, the lobe found is the lobe that was read. */
  @ParameterizedTest
  @ValueSource(doubles = {0, 37, 110.5})
  void aTableEveryFiveDegreesGivesTheLobeBack(double zero) {
    var found = new MeasuredLobe(sampled(5, zero, 1e-7));
    assertThat(found.peak()).isCloseTo(TRUE.peak(), within(1e-6));
    for (double degree = -150; degree <= 150; degree += 1.7) {
      double angle = Math.toRadians(degree);
      assertThat(found.lift(angle)).isCloseTo(TRUE.lift(angle), within(2.5e-5));
    }
  }

  /** An indicator reads to a hundredth of a millimetre; the lobe must not be made rough by it. */
  @Test
  void readingsToAHundredthStayWithinAHundredthOrTwo() {
    var found = new MeasuredLobe(sampled(4, 0, 1e-5));
    double worst = 0;
    for (double degree = -130; degree <= 130; degree += 1) {
      double angle = Math.toRadians(degree);
      worst = Math.max(worst, Math.abs(found.lift(angle) - TRUE.lift(angle)));
    }
    assertThat(worst).isLessThan(3e-5);
  }

  /** Both flanks run out to nothing, however the table was cut, and lift never turns negative. */
  @Test
  void theFlanksRunOutSmoothlyToNothing() {
    var rows = new ArrayList<LiftTable.Row>();
    for (double degree = -110; degree <= 110; degree += 5) {
      rows.add(new LiftTable.Row(Math.toRadians(degree), TRUE.lift(Math.toRadians(degree))));
    }
    var found = new MeasuredLobe(new LiftTable(Provenance.MEASURED, rows));
    assertThat(found.opening()).isGreaterThan(Math.toRadians(110));
    assertThat(found.lift(found.opening())).isCloseTo(0, within(1e-9));
    assertThat(found.lift(Math.PI)).isZero();
    double last = found.lift(0);
    for (double degree = 1; degree < 180; degree++) {
      double lift = found.lift(Math.toRadians(degree));
      assertThat(lift).isBetween(0.0, last + 1e-9);
      last = lift;
    }
  }

  /** A lobe with one flank slower than the other keeps both. */
  @Test
  void flanksMayDiffer() {
    var rows = new ArrayList<LiftTable.Row>();
    for (double degree = -150; degree <= 180; degree += 5) {
      double stretched = degree > 0 ? degree / 1.15 : degree;
      rows.add(new LiftTable.Row(Math.toRadians(degree), TRUE.lift(Math.toRadians(stretched))));
    }
    var found = new MeasuredLobe(new LiftTable(Provenance.MEASURED, rows));
    double opening = width(found, -1);
    double closing = width(found, 1);
    // The durations of both sides to 0.050 in differ by the 15 % that one was stretched.
    assertThat(opening + closing).isCloseTo(Math.toRadians(118 * 2.15), within(0.02));
  }

  private static double width(Lobe lobe, int side) {
    double angle = 0;
    while (lobe.lift(side * angle) > 0.050 * 0.0254) {
      angle += 1e-4;
    }
    return angle;
  }

  @Test
  void tablesThatHoldNoLobeAreRefusedWithTheRow() {
    var good = sampled(5, 0, 1e-7).rows();
    assertThatThrownBy(() -> new LiftTable(Provenance.MEASURED, good.subList(0, 5)))
        .isInstanceOf(InvalidInput.class)
        .hasMessageContaining("5 rows");
    var swapped = new ArrayList<>(good);
    swapped.set(3, good.get(2));
    assertThatThrownBy(() -> new LiftTable(Provenance.MEASURED, swapped))
        .hasMessageContaining("row 4")
        .hasMessageContaining("angles rise");
    var valve = new ArrayList<>(good);
    valve.set(30, new LiftTable.Row(good.get(30).angle(), 0.025));
    assertThatThrownBy(() -> new LiftTable(Provenance.MEASURED, valve))
        .hasMessageContaining("row 31 lift")
        .hasMessageContaining("not of the valve");
    assertThatThrownBy(() -> new LiftTable(Provenance.MEASURED, good.subList(0, 33)))
        .hasMessageContaining("one whole lobe");
    assertThat(new LiftTable(Provenance.MEASURED, List.of()).isGiven()).isFalse();
  }
}
