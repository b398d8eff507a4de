package grandbore.cli;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import grandbore.book.BuildDocument;
import grandbore.book.BuildJson;
import grandbore.core.demo.DemoBuilds;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Pulls by the command line: rehearsed, read, corrected, judged, compared, learned, pooled. */
class PullsTest {
  @TempDir Path folder;
  private String four;

  @BeforeEach
  void build() throws IOException {
    var document = new BuildDocument(DemoBuilds.paddockFour(), List.of());
    four = Files.writeString(folder.resolve("four.json"), BuildJson.write(document)).toString();
  }

  private static Ran typed(String lines, String... arguments) {
    InputStream was = System.in;
    try {
      System.setIn(new ByteArrayInputStream(lines.getBytes(StandardCharsets.UTF_8)));
      return Ran.run(arguments);
    } finally {
      System.setIn(was);
    }
  }

  private String rehearsed() {
    String out = folder.resolve("pulled.json").toString();
    var ran =
        typed(
            """
            rows 5
            spark 12
            pull first
            pull
            spark 8
            pull spark 8°
            spark 4
            pull spark 4°
            give fuel_meter
            pull
            nonsense
            quit
            """,
            "dyno",
            "--build",
            four,
            "--seed",
            "5",
            "--freeze",
            "--out",
            out);
    assertThat(ran.code()).as(ran.err()).isZero();
    assertThat(ran.out()).contains("pull 5:").contains("✕ “nonsense” is not understood");
    return out;
  }

  @Test
  void dayIsRehearsedJudgedComparedAndLearnedFrom() throws IOException {
    String pulled = rehearsed();
    var check = Ran.run("pulls", "check", "--build", pulled);
    assertThat(check.rows()).anyMatch(r -> r[0].equals("5") && r[2].equals("fuel_meter"));
    assertThat(check.rows().stream().skip(1).filter(r -> r[1].equals("false")))
        .allMatch(r -> r[0].equals("5"));
    var compare = Ran.run("pulls", "compare", "--build", pulled, "--format", "json");
    assertThat(compare.out()).contains("\"changed\" : \"spark 8°\"").contains("\"told\"");
    // The one bad pull of its five is counted and is not the best.
    var days = Ran.run("pulls", "days", "--build", pulled).rows();
    assertThat(days).hasSize(2);
    assertThat(days.get(1)[3]).isEqualTo("5");
    assertThat(days.get(1)[4]).isEqualTo("4");
    assertThat(days.get(1)[5]).isNotEqualTo("5");
    assertThat(Double.parseDouble(days.get(1)[6])).isBetween(50.0, 1000.0);
    String known = folder.resolve("known.json").toString();
    var learned =
        Ran.run(
            "pulls",
            "calibrate",
            "--build",
            pulled,
            "--coefficients",
            "intake_flow,friction",
            "--apply",
            "--out",
            known);
    assertThat(learned.code()).as(learned.err()).isZero();
    assertThat(learned.rows()).hasSize(3).anyMatch(r -> r[0].equals("friction"));
    assertThat(learned.err()).contains("calibrated on 4 pulls of 3 October");
    var taught = BuildJson.read(Files.readString(Path.of(known)));
    assertThat(taught.build().combination().learned().isAny()).isTrue();
    var again =
        Ran.run(
            "pulls",
            "calibrate",
            "--build",
            pulled,
            "--coefficients",
            "friction",
            "--profile",
            "--shop",
            known + "," + known);
    assertThat(again.code()).as(again.err()).isZero();
    assertThat(again.rows().getFirst()).endsWith("rise_at_-2", "rise_at_+2");
    assertThat(Double.parseDouble(again.rows().get(1)[3])).isNotEqualTo(0.12);
    // Cases of the shop, one of them no case at all.
    Files.createDirectories(folder.resolve("cases/deep"));
    Files.copy(Path.of(pulled), folder.resolve("cases/deep/four.json"));
    Files.copy(Path.of(four), folder.resolve("cases/none.json"));
    Files.writeString(folder.resolve("cases/bad.json"), "{");
    var pooled =
        Ran.run("check", "--cases", folder.resolve("cases").toString(), "--fidelity", "live");
    assertThat(pooled.code()).isZero();
    assertThat(pooled.err()).contains("none.json: no good pull").contains("bad.json: Not a");
    var rows = pooled.rows();
    assertThat(rows).anyMatch(r -> r[0].equals("deep/four.json") && r[2].equals("peak power"));
    var peak = rows.stream().filter(r -> r[2].equals("peak torque")).findFirst().orElseThrow();
    assertThat(Double.parseDouble(peak[7]))
        .isCloseTo(
            100 * (Double.parseDouble(peak[5]) / Double.parseDouble(peak[6]) - 1), within(0.1));
    assertThat(rows.getLast()[2]).isEqualTo("root mean square error of torque by rpm");
    // Three engines and more tell how far the model may be off.
    Files.copy(Path.of(pulled), folder.resolve("cases/second.json"));
    Files.copy(Path.of(pulled), folder.resolve("cases/third.json"));
    var three =
        Ran.run("check", "--cases", folder.resolve("cases").toString(), "--fidelity", "live");
    assertThat(three.rows().getLast()[2]).isEqualTo("the model's own doubt by these engines");
    assertThat(Double.parseDouble(three.rows().getLast()[5])).isBetween(0.1, 20.0);
  }

  @Test
  void sheetIsReadCorrectedAndTakenBack() throws IOException {
    var sheet = new StringBuilder("rpm;load;oil pressure (psi)\n");
    IntStream.rangeClosed(0, 10)
        .forEach(k -> sheet.append(3000 + 500 * k).append(";200,5;").append(60).append('\n'));
    var file = Files.writeString(folder.resolve("sheet.csv"), sheet);
    String out = folder.resolve("read.json").toString();
    var refused = Ran.run("pulls", "import", file.toString(), "--build", four, "--out", out);
    assertThat(refused.code()).isEqualTo(2);
    assertThat(refused.err()).contains("No column is torque or power");
    var read =
        Ran.run(
            "pulls",
            "import",
            file.toString(),
            "--build",
            four,
            "--map",
            "load=torque:N·m",
            "--air",
            "96,30,0",
            "--carries",
            "sae_j607",
            "--out",
            out);
    assertThat(read.code()).as(read.err()).isZero();
    assertThat(read.err()).contains("1 pull read");
    var raw = Ran.run("pulls", "correct", "--build", out, "--standard", "none");
    // 200.5 carried the 1.0815 of SAE J607 at 96 kPa dry and 30 °C.
    assertThat(Double.parseDouble(raw.rows().get(1)[2])).isCloseTo(200.5 / 1.0815, within(0.02));
    var newer = Ran.run("pulls", "correct", "--build", out);
    assertThat(Double.parseDouble(newer.rows().get(1)[2]))
        .isCloseTo(200.5 / 1.0815 * 1.0470, within(0.02));
    assertThat(Ran.run("pulls", "correct", "--build", out, "--standard", "mine").err())
        .contains("--standard")
        .contains("din_70020");
    assertThat(Ran.run("pulls", "compare", "--build", out).err()).contains("two settings");
    assertThat(Ran.run("pulls", "correct", "--build", four).err()).contains("a build with pulls");
    assertThat(Ran.run("pulls", "calibrate", "--build", out, "--coefficients", "luck").err())
        .contains("burn_speed");
  }

  @Test
  void schemaOfRecordsIsPublished() throws IOException {
    assertThat(Ran.run("schema", "--dyno").out())
        .isEqualTo(Files.readString(Path.of("../docs/formats/dyno-1.schema.json")));
  }
}
