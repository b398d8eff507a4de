package grandbore.cli;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import grandbore.book.BuildDocument;
import grandbore.book.BuildJson;
import grandbore.core.demo.DemoBuilds;
import java.io.PrintWriter;
import java.io.StringWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The job on the command line: tables, warnings beside them, files. */
class JobCommandTest {
  @TempDir Path folder;

  private final StringWriter out = new StringWriter();
  private final StringWriter err = new StringWriter();

  private int run(String... arguments) {
    out.getBuffer().setLength(0);
    err.getBuffer().setLength(0);
    return Main.run(new PrintWriter(out, true), new PrintWriter(err, true), arguments);
  }

  private JsonNode json() throws Exception {
    return new ObjectMapper().readTree(out.toString());
  }

  @Test
  void theRouteSaysWhatDecidesTheDay() throws Exception {
    var calendar = folder.resolve("route.ics");
    assertThat(
            run("route", "--build", "demo", "--format", "json", "--calendar", calendar.toString()))
        .isZero();
    var rows = json();
    assertThat(rows.size()).isGreaterThan(20);
    // Those that decide follow one another to the dyno without a day between.
    var decide =
        IntStream.range(0, rows.size())
            .mapToObj(rows::get)
            .filter(r -> r.get("decides_dyno").asBoolean())
            .toList();
    assertThat(decide).hasSizeGreaterThan(5).allMatch(r -> r.get("slack_days").asInt() == 0);
    assertThat(decide.getFirst().get("waits").asText()).contains("Rod shells, promised for");
    assertThat(err.toString())
        .contains("On the dyno on " + decide.getLast().get("begins").asText())
        .contains("Too early: Cam ordered before compression ratio is proved");
    assertThat(Files.readString(calendar)).startsWith("BEGIN:VCALENDAR").contains("BEGIN:VEVENT");
    // On a later day what is late comes later.
    assertThat(run("route", "--build", "demo", "--now", "--today", "2099-01-02")).isZero();
    assertThat(err.toString()).contains("On the dyno on 2099-01");
  }

  @Test
  void ordersAndPartsAreTables() throws Exception {
    var sheet = folder.resolve("w2.html");
    assertThat(
            run(
                "order",
                "--build",
                "demo",
                "--number",
                "W2",
                "--format",
                "json",
                "--sheet",
                sheet.toString()))
        .isZero();
    assertThat(json().get(0).get("work").asText()).isEqualTo("Mill the head");
    assertThat(json().get(0).get("to_si").asDouble()).isEqualTo(54e-6);
    assertThat(Files.readString(sheet)).contains("Work order W2");
    assertThat(run("order", "--build", "demo", "--number", "W9")).isEqualTo(2);
    assertThat(err.toString()).contains("W9").contains("[W1, W2]");
    assertThat(run("parts", "--build", "demo", "--match", "weight", "--format", "json")).isZero();
    assertThat(json().size()).isEqualTo(24);
    assertThat(err.toString()).startsWith("reciprocating weight: spread");
    assertThat(run("parts", "--build", "demo")).isZero();
    assertThat(out.toString().lines().count()).isGreaterThan(40);
  }

  @Test
  void aBuildWithoutAJobIsRefusedInWords() throws Exception {
    var plain = folder.resolve("plain.json");
    Files.writeString(
        plain, BuildJson.write(new BuildDocument(DemoBuilds.paddockFour(), List.of())));
    assertThat(run("route", "--build", plain.toString())).isEqualTo(2);
    assertThat(err.toString()).contains("a build with a route, parts or orders");
  }
}
