package grandbore.core.prediction;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import grandbore.core.combination.Combination;
import grandbore.core.combination.Given;
import grandbore.core.combination.InvalidInput;
import grandbore.core.combination.Mixture;
import grandbore.core.combination.MixtureTable;
import grandbore.core.combination.MixtureTable.Row;
import grandbore.core.combination.Provenance;
import grandbore.core.units.Measure;
import java.util.ArrayList;
import java.util.List;
import org.assertj.core.data.Percentage;
import org.junit.jupiter.api.Test;

/** Mixture and spark that run over the speeds. */
class MixtureBySpeedTest extends EngineTest {
  private static final List<Double> SPEEDS = List.of(3000.0, 4500.0, 6000.0);
  private static final double[] LAMBDA = {0.98, 0.90, 0.80};
  private static final double[] SPARK = {24, 30, 36};

  private static MixtureTable table(boolean spark) {
    var rows = new ArrayList<Row>();
    for (int i = 0; i < SPEEDS.size(); i++) {
      rows.add(
          new Row(
              Measure.RPM.toSi(SPEEDS.get(i)),
              LAMBDA[i],
              spark ? Math.toRadians(SPARK[i]) : Double.NaN));
    }
    return new MixtureTable(Provenance.MEASURED, rows);
  }

  private static Combination set(Combination c, double lambda, double spark) {
    var fixed = c.with("mixture.spark", Mixture.Spark.FIXED);
    return with(
        with(fixed, "mixture.lambda", lambda, Measure.NONE),
        "mixture.advance",
        spark,
        Measure.DEGREES);
  }

  /**
   * At each speed it runs as the engine that has those figures at all speeds, within what a run
   * from cold stops short of where one from near ends.
   */
  @Test
  void eachSpeedRunsWithItsOwn() {
    var whole = set(FOUR, 2.68 / 3, 30).with("mixture.bySpeed", table(true));
    var points = curve(whole, SPEEDS, Fidelity.LIVE);
    for (int i = 0; i < SPEEDS.size(); i++) {
      var alone = point(set(FOUR, LAMBDA[i], SPARK[i]), SPEEDS.get(i), Fidelity.LIVE);
      assertThat(points.get(i).torque())
          .as("at %.0f", SPEEDS.get(i))
          .isCloseTo(alone.torque(), Percentage.withPercentage(0.25));
      assertThat(points.get(i).spark()).isCloseTo(Math.toRadians(SPARK[i]), within(1e-9));
    }
    // Leaner and richer than the mean: told apart from the engine of one mixture.
    var mean = curve(set(FOUR, 2.68 / 3, 30), SPEEDS, Fidelity.LIVE);
    assertThat(points.getFirst().torque()).isNotCloseTo(mean.getFirst().torque(), within(0.5));
    assertThat(BuiltEngine.asSpecified(whole).key())
        .isNotEqualTo(BuiltEngine.asSpecified(set(FOUR, 2.68 / 3, 30)).key());
  }

  /** The single figures are its means and move the whole of it; beyond its ends it holds. */
  @Test
  void theSingleFiguresMoveTheWhole() {
    var mixture = set(FOUR, 0.9 * table(true).meanLambda(), 33).mixture();
    mixture =
        new Mixture(
            mixture.fuel(),
            mixture.lambda(),
            mixture.spark(),
            mixture.advance(),
            table(true),
            List.of());
    for (double rpm : new double[] {1500, 3000, 3750, 6000, 9000}) {
      double f = Math.clamp((rpm - 3000) / 1500, 0, 2);
      double lambda = f < 1 ? 0.98 - 0.08 * f : 0.90 - 0.10 * (f - 1);
      var at = mixture.at(Measure.RPM.toSi(rpm));
      assertThat(at.lambda().si()).as("at %.0f", rpm).isCloseTo(0.9 * lambda, within(1e-9));
      assertThat(Math.toDegrees(at.advance().si())).isCloseTo(24 + 6 * f + 3, within(1e-9));
    }
    // Without spark in it the spark is one for all; and no further than a charge can be lit.
    Given rich = mixture.lambda().with(0.66, Provenance.CARD);
    var bare =
        new Mixture(
            mixture.fuel(), rich, mixture.spark(), mixture.advance(), table(false), List.of());
    assertThat(bare.at(Measure.RPM.toSi(6000)).advance()).isEqualTo(bare.advance());
    assertThat(bare.at(Measure.RPM.toSi(6000)).lambda().si()).isEqualTo(0.65);
  }

  @Test
  void whatIsWrongInItIsNamed() {
    refused("1 rows", "2 to 80", new Row(300, 0.9, Double.NaN));
    refused("row 2, speed", "rise", new Row(300, 0.9, Double.NaN), new Row(300, 0.9, Double.NaN));
    refused("row 1, lambda", "0.65", new Row(300, 0.5, Double.NaN), new Row(400, 0.9, Double.NaN));
    refused("row 2, spark", "all rows", new Row(300, 0.9, 0.5), new Row(400, 0.9, Double.NaN));
    refused("row 2, spark", "60°", new Row(300, 0.9, 0.5), new Row(400, 0.9, 1.5));
    refused("row 1, speed", "rpm", new Row(3, 0.9, 0.5), new Row(400, 0.9, 0.5));
  }

  private static void refused(String place, String why, Row... rows) {
    assertThatThrownBy(() -> new MixtureTable(Provenance.MEASURED, List.of(rows)))
        .isInstanceOf(InvalidInput.class)
        .hasMessageContaining(place)
        .hasMessageContaining(why);
  }
}
