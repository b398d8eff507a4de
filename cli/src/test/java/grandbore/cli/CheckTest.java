package grandbore.cli;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;

class CheckTest {
  /** The table must say of itself what its numbers say: error and verdict follow from the row. */
  @Test
  void theTableOfDynoCasesIsConsistentWithItself() {
    var ran = Ran.run("check", "--fidelity", "live", "--step", "1000");
    assertThat(ran.code()).isZero();
    List<String> lines = ran.out().lines().toList();
    assertThat(lines.getFirst())
        .isEqualTo("case,quantity,unit,predicted,observed,error,tolerance,met");
    var rows = lines.stream().skip(1).map(l -> l.split(",", -1)).toList();
    assertThat(rows).hasSizeGreaterThan(15).allSatisfy(r -> assertThat(r).hasSize(8));
    double sum = 0;
    int count = 0;
    for (var r : rows) {
      if (r[1].equals("peak power") || r[1].equals("peak torque")) {
        double predicted = Double.parseDouble(r[3]);
        double observed = Double.parseDouble(r[4]);
        double error = Double.parseDouble(r[5].replace(" %", ""));
        assertThat(error)
            .isBetween(
                100 * (predicted - 1) / observed - 101, 100 * (predicted + 1) / observed - 99);
        double allowed = Double.parseDouble(r[6].replace(" %", ""));
        if (Math.abs(Math.abs(error) - allowed) > 0.1) {
          assertThat(r[7]).isEqualTo(Math.abs(error) < allowed ? "yes" : "no");
        }
        if (r[1].equals("peak power")) {
          sum += Math.abs(error);
          count++;
        }
      }
    }
    double mean = sum / count;
    var stated =
        rows.stream()
            .filter(r -> r[1].equals("mean error of peak power"))
            .findFirst()
            .orElseThrow();
    assertThat(Double.parseDouble(stated[3])).isBetween(mean - 0.15, mean + 0.15);
  }
}
