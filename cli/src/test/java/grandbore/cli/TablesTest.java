package grandbore.cli;

import static grandbore.cli.Ran.run;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.json.JsonMapper;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Tables of the command line besides the curve: traces, losses, slow running, changes. */
class TablesTest {
  @TempDir Path folder;

  /** A trace is one cycle, a row an angle, with the waves of both pipes, all numbers. */
  @Test
  void tracesAreOneCycleWithTheWavesOfBothPipes() throws IOException {
    var file = folder.resolve("trace.csv");
    var ran = run("predict", "--build", "demo", "--from", "6000", "--traces", file.toString());
    assertThat(ran.code()).isZero();
    assertThat(ran.err()).contains(file.toString());
    var lines = Files.readAllLines(file);
    var heading = lines.getFirst().split(",");
    assertThat(heading[0]).isEqualTo("crank_deg_after_firing_top");
    assertThat(heading)
        .contains("cylinder_pressure_Pa", "intake_flow_kg_s", "intake_pipe_pressure_Pa_1")
        .contains("exhaust_pipe_pressure_Pa_1");
    assertThat(lines.size() - 1).isBetween(700, 760);
    double last = Double.NEGATIVE_INFINITY;
    double highest = 0;
    for (var line : lines.subList(1, lines.size())) {
      var cells = line.split(",", -1);
      assertThat(cells).hasSameSizeAs(heading);
      double angle = Double.parseDouble(cells[0]);
      assertThat(angle).isGreaterThan(last);
      last = angle;
      highest = Math.max(highest, Double.parseDouble(cells[1]));
      // Empty only what is told of a flame while none burns.
      assertThat(Arrays.stream(cells).filter(c -> !c.isEmpty()).mapToDouble(Double::parseDouble))
          .allMatch(Double::isFinite)
          .hasSizeGreaterThanOrEqualTo(heading.length - 4);
    }
    assertThat(last).isBetween(715.0, 722.0);
    assertThat(highest).isBetween(5e6, 12e6);
  }

  @Test
  void aTraceThatCannotBeWrittenSaysWhere() {
    var ran =
        run("predict", "--build", "demo", "--traces", folder.resolve("no/such/t.csv").toString());
    assertThat(ran.code()).isEqualTo(2);
    assertThat(ran.err()).contains("--traces", "t.csv", "can be written");
  }

  /** What each loss costs is what the torque gains without it: columns for all, and together. */
  @Test
  void lossesHaveAColumnForEach() {
    var ran = run("losses", "--build", "demo", "--points", "2");
    assertThat(ran.code()).isZero();
    var rows = ran.rows();
    assertThat(rows).hasSize(3);
    assertThat(rows.get(0)[0]).isEqualTo("rpm");
    assertThat(rows.get(0)).contains("without_meter_gain_nm", "without_all_gain_nm");
    for (var row : rows.subList(1, 3)) {
      double together = Double.parseDouble(row[row.length - 1]);
      for (int k = 2; k < row.length - 1; k++) {
        assertThat(Double.parseDouble(row[k])).isLessThan(together);
      }
    }
  }

  /** Readings of a compression test and of idle, also as JSON. */
  @Test
  void slowRunningTellsEachCylinderAndIdle() throws IOException {
    var ran = run("slow", "--build", "demo", "--idle", "900", "--format", "json");
    assertThat(ran.code()).isZero();
    var rows = JsonMapper.builder().build().readTree(ran.out());
    assertThat(rows).hasSize(13);
    for (int i = 0; i < 8; i++) {
      assertThat(rows.get(i).get("name").asText())
          .isEqualTo("compression_test_cylinder_" + (i + 1));
      assertThat(rows.get(i).get("value").asDouble()).isBetween(800.0, 2200.0);
      assertThat(rows.get(i).get("unit").asText()).isEqualTo("kPa");
    }
    assertThat(rows.get(8).get("value").asDouble()).isCloseTo(900, within(1e-9));
    assertThat(rows.get(9).get("value").asDouble()).isBetween(10.0, 60.0);
  }

  /** The table of observed changes says of itself what its numbers say. */
  @Test
  void theTableOfChangesIsConsistentWithItself() {
    var ran = run("changes", "--fidelity", "live", "--step", "1000");
    assertThat(ran.code()).isZero();
    var rows = ran.rows();
    assertThat(rows.getFirst())
        .containsExactly(
            "change", "quantity", "unit", "before", "after", "predicted", "observed", "verdict");
    assertThat(rows).hasSizeGreaterThan(18).allSatisfy(r -> assertThat(r).hasSize(8));
    for (var row : rows.subList(1, rows.size())) {
      double before = Double.parseDouble(row[3]);
      double after = Double.parseDouble(row[4]);
      double predicted = Double.parseDouble(row[5]);
      boolean ratio = row[1].contains("ratio");
      assertThat(predicted).isCloseTo(ratio ? after / before : after - before, within(1.1));
      var seen = Arrays.stream(row[6].split(" to ")).mapToDouble(Double::parseDouble).toArray();
      assertThat(seen[0]).isLessThanOrEqualTo(seen[1]);
      boolean inside = predicted >= seen[0] - 0.01 && predicted <= seen[1] + 0.01;
      boolean nearEdge =
          Math.abs(predicted - seen[0]) < 1.01 || Math.abs(predicted - seen[1]) < 1.01;
      if (!nearEdge) {
        assertThat(row[7].equals("as seen")).isEqualTo(inside);
      }
      assertThat(row[7]).isIn("as seen", "rough size", "sign only", "not as seen");
    }
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "losses --build demo --points 1 | allowed: 2 to 60",
        "slow --build demo --idle 100 | allowed: 400 to 2000 rpm",
        "slow --build nowhere.json | no such file",
        "changes --fidelity quick | fidelity"
      })
  void badInputEndsWithTwoAndOneLine(String line, String says) {
    var ran = run(line.split(" "));
    assertThat(ran.code()).isEqualTo(2);
    assertThat(ran.err().strip()).contains(says).doesNotContain("\n");
  }
}
