package grandbore.cli;

import static grandbore.cli.Ran.run;
import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.json.JsonMapper;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Locale;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class CommandLineTest {
  @TempDir Path folder;

  @Test
  void theTemplateValidatesPredictsAndWorksOut() throws IOException {
    var template = run("template");
    assertThat(template.code()).isZero();
    var file = Files.writeString(folder.resolve("build.json"), template.out());
    var predicted =
        run(
            "predict",
            "--build",
            file.toString(),
            "--from",
            "5000",
            "--to",
            "6000",
            "--step",
            "500",
            "--fidelity",
            "live",
            "--format",
            "csv");
    assertThat(predicted.err()).isEmpty();
    assertThat(predicted.out().lines()).hasSize(4);
    assertThat(predicted.out()).startsWith("rpm,brake_torque_nm,brake_power_kw,");
    var demo =
        run(
            "predict",
            "--build",
            "demo",
            "--from",
            "5000",
            "--to",
            "6000",
            "--step",
            "500",
            "--fidelity",
            "live");
    assertThat(demo.out()).isEqualTo(predicted.out());
    var figures = run("figures", "--build", file.toString());
    assertThat(figures.out()).startsWith("name,value,unit,provenance,formula,source");
    assertThat(figures.out()).contains("static_compression,").contains("57.3 cc");
  }

  @Test
  void jsonHoldsTheSameRows() throws IOException {
    var ran =
        run(
            "predict",
            "--build",
            "demo",
            "--from",
            "5500",
            "--to",
            "5500",
            "--fidelity",
            "LIVE",
            "--format",
            "json");
    var rows = JsonMapper.builder().build().readTree(ran.out());
    assertThat(rows).hasSize(1);
    assertThat(rows.get(0).get("converged").asBoolean()).isTrue();
    assertThat(rows.get(0).get("brake_torque_nm").asDouble()).isBetween(300.0, 700.0);
    assertThat(run("figures", "--build", "demo", "--format", "json").out()).contains("put_in");
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "predict --build nowhere.json | no such file",
        "predict --build demo --from 100 | --from is 100.0; allowed: 500 to 15000 rpm",
        "predict --build demo --from 5000 --to 3000 | --to is 3000.0",
        "predict --build demo --step 0 | --step is 0.0; allowed",
        "predict --build demo --from 1000 --to 9000 --step 1 | up to 400 points",
        "predict --build demo --fidelity quick | fidelity",
        "predict --build demo --from fast | fast",
        "predict | --build",
        "figures --build demo --format xml | format",
        "nonsense | nonsense"
      })
  void badInputEndsWithTwoAndOneLine(String line, String says) {
    var ran = run(line.split(" "));
    assertThat(ran.code()).isEqualTo(2);
    assertThat(ran.err().strip()).contains(says).doesNotContain("\n").doesNotContain("\tat ");
    assertThat(ran.out()).isEmpty();
  }

  @Test
  void aBadBuildNamesFieldValueRangeAndReason() throws IOException {
    String text = run("template").out();
    var file =
        Files.writeString(
            folder.resolve("bad.json"), text.replaceFirst("\"value\" : 5.85", "\"value\" : 3.4"));
    var ran = run("figures", "--build", file.toString());
    assertThat(ran.code()).isEqualTo(2);
    assertThat(ran.err())
        .contains("Rod length (bottomEnd.rodLength) is 86.36 mm")
        .contains("allowed: at least 92.96 mm")
        .contains("because");
    Files.writeString(file, text.substring(0, 900));
    assertThat(run("figures", "--build", file.toString()).err())
        .contains("line")
        .contains("column");
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "check --step 0 | --step is 0.0",
        "check --step -5 | --step is -5.0",
        "changes --step NaN | --step is NaN",
        "predict --build demo --step NaN | --step is NaN",
        "predict --build /dev/zero | is no plain file",
        "figures --build . | is no plain file",
        "figures --build a\0b | --build"
      })
  void whatCanNotBeMeantIsRefusedAtOnce(String line, String says) {
    long from = System.nanoTime();
    var ran = run(line.split(" ", -1));
    assertThat(ran.code()).isEqualTo(2);
    assertThat(ran.err().strip()).contains(says).doesNotContain("\n").hasSizeLessThan(300);
    assertThat((System.nanoTime() - from) / 1e9).isLessThan(20);
  }

  /** A command that is none names those that are. */
  @Test
  void aCommandThatIsNoneNamesThoseThatAre() {
    var ran = run("nonsense");
    assertThat(ran.code()).isEqualTo(2);
    assertThat(ran.err()).contains("“nonsense”", "predict, ", "compare, ladder, sweep", "search");
  }

  /** An output never goes over the input, however it is named; a long refusal stays one line. */
  @Test
  void anOutputNeverOverwritesItsInput() throws IOException {
    String text = run("template").out();
    var file = Files.writeString(folder.resolve("mine.json"), text);
    var link = Files.createSymbolicLink(folder.resolve("link.csv"), file);
    for (var out : new String[] {file.toString(), folder + "/./mine.json", link.toString()}) {
      var ran = run("predict", "--build", file.toString(), "--from", "5000", "--traces", out);
      assertThat(ran.code()).isEqualTo(2);
      assertThat(ran.err()).contains("another file than that of --build");
    }
    assertThat(file).hasContent(text);
    Files.writeString(file, "\uFEFF" + text);
    assertThat(run("figures", "--build", file.toString()).code()).isZero();
    Files.writeString(file, text.replaceFirst("\"cylinders\" : 8", "\"cylinders\" : 4294967304"));
    assertThat(run("figures", "--build", file.toString()).code()).isEqualTo(2);
    Files.writeString(file, text.replaceFirst("\"HILL_CLIMB\"", "\"" + "X".repeat(3000) + "\""));
    assertThat(run("figures", "--build", file.toString()).err().strip()).hasSizeLessThan(300);
    Files.writeString(
        file,
        text.replaceFirst("T08:30:00Z", "T08:30Z").replaceFirst("2026-10-03T", "2026-14-03T"));
    assertThat(run("figures", "--build", file.toString()).err())
        .contains("allowed: a day and a time");
  }

  /** Figures are worded in one language, whatever the system's is. */
  @Test
  void figuresAreAlikeInEveryLanguage() {
    var was = Locale.getDefault();
    try {
      Locale.setDefault(Locale.ROOT);
      String plain = run("figures", "--build", "demo").out();
      Locale.setDefault(Locale.GERMANY);
      assertThat(run("figures", "--build", "demo").out()).isEqualTo(plain);
    } finally {
      Locale.setDefault(was);
    }
  }
}
