package grandbore.cli;

import static grandbore.cli.Ran.run;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.json.JsonMapper;
import grandbore.book.BuildDocument;
import grandbore.book.BuildJson;
import grandbore.core.demo.DemoBuilds;
import grandbore.core.studies.Repeatability;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Side by side, ladders and sweeps from the command line: the same figures by every way. */
class WeighingTest {
  private static final List<String> SPEEDS =
      List.of("--from", "4500", "--to", "7200", "--step", "900");

  private static final List<String> OF_FOUR =
      List.of("--from", "3000", "--to", "8500", "--step", "1100");

  @TempDir Path folder;
  private String four;
  private String longer;

  @BeforeEach
  void builds() throws IOException {
    var build = DemoBuilds.paddockFour();
    var c = build.combination();
    var length = c.exhaust().primaryLength();
    four = write("four.json", new BuildDocument(build, List.of()));
    longer =
        write(
            "longer.json",
            new BuildDocument(
                build.with(
                    c.with(
                            "exhaust.primaryLength",
                            length.with(1.2 * length.si(), length.provenance()))
                        .named("Longer")),
                List.of()));
  }

  private String write(String name, BuildDocument document) throws IOException {
    return Files.writeString(folder.resolve(name), BuildJson.write(document)).toString();
  }

  private static JsonNode rows(String... command) throws IOException {
    var all = new ArrayList<>(List.of(command));
    all.addAll(List.of("--format", "json"));
    var ran = run(all.toArray(String[]::new));
    assertThat(ran.err()).isEmpty();
    return JsonMapper.builder().build().readTree(ran.out());
  }

  private static String[] with(List<String> more, String... command) {
    var all = new ArrayList<>(List.of(command));
    all.addAll(more);
    return all.toArray(String[]::new);
  }

  /** The gain of the figures is that of the ladder, of the sweep and of the reasons. */
  @Test
  void oneChangeIsWorthTheSameBesideOnTheLadderAndInTheSweep() throws IOException {
    var beside = rows(with(OF_FOUR, "compare", four, longer, "--fidelity", "live"));
    assertThat(beside).hasSize(2);
    assertThat(beside.get(1).get("build").asText()).isEqualTo("Longer");
    double gain = beside.get(1).get("gain_over_first_kw").asDouble();
    // Begun elsewhere, it ends within what the model can tell.
    double sharp = Repeatability.of(beside.get(0).get("band_power_kw").asDouble());
    assertThat(Math.abs(gain)).isGreaterThan(2 * sharp);
    var inputs = rows("compare", four, longer, "--show", "inputs");
    assertThat(inputs).hasSize(1);
    assertThat(inputs.get(0).get("input").asText()).isEqualTo("exhaust.primaryLength");
    var value = inputs.get(0).get("build_2").asText();

    var changes =
        Files.writeString(
            folder.resolve("changes.json"),
            """
            {"format": "grand-bore-changes", "version": 1, "changes": [
              {"name": "Longer primaries", "price": 100, "labour": 20, "sets":
                {"exhaust": {"primaryLength":
                  {"value": %s, "unit": "mm", "provenance": "assumed"}}}}]}
            """
                .formatted(value.replaceAll(" mm.*", "")));
    var ladder = rows(with(OF_FOUR, "ladder", "--build", four, "--changes", changes.toString()));
    assertThat(ladder).hasSize(1);
    assertThat(ladder.get(0).get("alone_kw").asDouble()).isCloseTo(gain, within(sharp));
    assertThat(ladder.get(0).get("so_far_kw")).isEqualTo(ladder.get(0).get("alone_kw"));
    assertThat(ladder.get(0).get("money").asDouble()).isEqualTo(120);

    var sweep =
        rows(
            with(
                OF_FOUR,
                "sweep",
                "--build",
                four,
                "--steps",
                "3",
                "--input",
                "exhaust.primaryLength"));
    assertThat(sweep).hasSize(3);
    double stands = sweep.get(1).get("band_power_kw").asDouble();
    assertThat(sweep.get(2).get("band_power_kw").asDouble() - stands)
        .isCloseTo(gain, within(sharp));
    assertThat(stands).isCloseTo(beside.get(0).get("band_power_kw").asDouble(), within(sharp));

    var why = rows(with(OF_FOUR, "compare", four, longer, "--show", "why"));
    for (var row : why) {
      assertThat(row.get("filling_exhaust_nm")).isEqualTo(row.get("gain_nm"));
      assertThat(row.get("friction_nm").asDouble()).isZero();
    }
    var curves =
        rows(with(OF_FOUR, "compare", four, longer, "--show", "curves", "--fidelity", "live"));
    assertThat(curves).hasSize(6);
    assertThat(curves.get(0).get("build_2_torque_nm").asDouble())
        .isCloseTo(
            curves.get(0).get("build_1_torque_nm").asDouble()
                + curves.get(0).get("build_2_gain_nm").asDouble(),
            within(0.011));
  }

  /** What carries the doubt is what matters alone, and one that is measured carries little. */
  @Test
  void theDoubtOfABuildIsToldWithWhatToMeasureNext() throws IOException {
    var samples = List.of("--build", four, "--samples", "24", "--seed", "3");
    var band = rows(with(samples, "doubt"));
    for (var row : band) {
      double low = row.get("low_nm").asDouble();
      double high = row.get("high_nm").asDouble();
      assertThat(row.get("torque_nm").asDouble()).isBetween(0.97 * low, 1.03 * high);
      assertThat(row.get("low_with_model_nm").asDouble()).isLessThan(low);
      assertThat(row.get("high_with_model_nm").asDouble()).isGreaterThan(high);
      // A draw of which no engine can be built is left out, and told.
      assertThat(row.get("samples").asInt() + row.get("refused").asInt()).isEqualTo(24);
      assertThat(row.get("seed").asInt()).isEqualTo(3);
    }
    var next = rows(with(samples, "doubt", "--show", "next"));
    var alone = rows("doubt", "--build", four, "--show", "spread");
    var first = next.get(0);
    assertThat(first.get("share_percent").asDouble()).isGreaterThan(10);
    var strongest = new ArrayList<String>();
    for (int k = 0; k < 6; k++) {
      strongest.add(alone.get(k).get("input").asText());
    }
    assertThat(strongest).contains(first.get("input").asText());
    assertThat(next)
        .anySatisfy(r -> assertThat(r.get("settled_by").asText()).isEqualTo("Chamber volume"));
    assertThat(run("doubt", "--build", four, "--samples", "5").err())
        .contains("Samples", "10 to 2,000");
  }

  /** A search over one pipe is as good as the sweep's best; with no way out it says how near. */
  @Test
  void aSearchFindsWhatASweepFinds() throws IOException {
    var pipe = "exhaust.primaryLength=500 mm..800 mm";
    var sweep = rows("sweep", "--build", four, "--input", pipe, "--from", "3000", "--to", "8500");
    double most = 0;
    for (var row : sweep) {
      most = Math.max(most, row.get("band_power_kw").asDouble());
    }
    var search = List.of("--build", four, "--free", pipe, "--candidates", "20");
    var found = rows(with(search, "search")).get(0);
    assertThat(found.get("holds").asBoolean()).isTrue();
    assertThat(found.get("exhaust.primaryLength").asDouble()).isBetween(500.0, 800.0);
    assertThat(found.get("goal_si").asDouble() / 1e3).isCloseTo(most, within(0.01 * most));
    assertThat(found.get("every_cylinder_kw").asDouble())
        .isGreaterThan(found.get("as_it_stands_kw").asDouble());
    var none = rows(with(search, "search", "--octane", "70")).get(0);
    assertThat(none.get("holds").asBoolean()).isFalse();
    assertThat(none.get("broken").asText()).contains("octane to spare");
    assertThat(run("search", "--build", four).err()).contains("nothing free");
  }

  /** The trade rises in one as it falls in the other; every candidate can be printed. */
  @Test
  void aSearchShowsItsTradeAndAllOfIt() throws IOException {
    var changes =
        Files.writeString(
            folder.resolve("two.json"),
            """
            {"format": "grand-bore-changes", "version": 1, "changes": [
              {"name": "Dear", "price": 900, "sets": {"intake": {"throttleFlow":
                {"value": 190, "unit": "l/s", "provenance": "card"}}}},
              {"name": "Cheap", "price": 40, "sets": {"compression": {"chamberVolume":
                {"value": 40, "unit": "cc", "provenance": "card"}}}}]}
            """);
    var asked = List.of("--build", four, "--changes", changes.toString(), "--candidates", "30");
    var all = rows(with(asked, "search", "--against", "thrift", "--show", "all"));
    assertThat(all.size()).isBetween(25, 30);
    var trade = rows(with(asked, "search", "--against", "thrift", "--show", "trade"));
    double goal = 0;
    double money = -1;
    for (var row : trade) {
      assertThat(row.get("goal_si").asDouble()).isGreaterThanOrEqualTo(goal);
      assertThat(row.get("money").asDouble()).isGreaterThan(money);
      assertThat(row.get("second_si").asDouble()).isEqualTo(-row.get("money").asDouble());
      goal = row.get("goal_si").asDouble();
      money = row.get("money").asDouble();
    }
    assertThat(trade.get(0).get("money").asDouble()).isZero();
    var poor = rows(with(asked, "search", "--money", "100")).get(0);
    assertThat(poor.get("money").asDouble()).isLessThanOrEqualTo(100);
    // The same seed finds the same, another may not.
    var again = rows(with(asked, "search", "--money", "100")).get(0);
    assertThat(again).isEqualTo(poor);
  }

  @Test
  void theDemosLadderRunsAndItsChangesComeAsADocument() throws IOException {
    var template = run("template", "--changes");
    var file = Files.writeString(folder.resolve("changes.json"), template.out());
    var ladder = rows(with(SPEEDS, "ladder", "--build", "demo", "--changes", file.toString()));
    assertThat(ladder).hasSize(5);
    double so = 0;
    for (var row : ladder) {
      so += row.get("step_kw").asDouble();
      assertThat(row.get("refused").asText()).isEmpty();
      assertThat(row.get("so_far_kw").asDouble()).isCloseTo(so, within(0.003));
    }
    assertThat(ladder.get(4).get("money_so_far").asDouble()).isEqualTo(2053);
    assertThat(run("schema", "--changes").out()).contains("primaryLength", "grand-bore-changes");
  }

  /** Speeds that do not reach as far as the band leave no average; it is said, not left blank. */
  @Test
  void speedsThatDoNotSpanTheBandAreSaid() {
    var ran =
        run(
            "sweep",
            "--build",
            "demo",
            "--input",
            "exhaust.primaryLength",
            "--steps",
            "2",
            "--from",
            "5000",
            "--to",
            "6000",
            "--step",
            "1000");
    assertThat(ran.code()).isZero();
    assertThat(ran.err().strip())
        .isEqualTo(
            "From 5,000 to 6,000 rpm the speeds do not span the brief's band, 4,500 to 7,200 rpm:"
                + " there is no average over it");
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "compare demo | Side by side, engines is 1; allowed: 2 to 6",
        "compare demo demo --show why | two engines that are alike",
        "compare demo nowhere.json | BUILD",
        "sweep --build demo --input exhaust.primaryLength=300..400 | Primary length"
            + " (exhaust.primaryLength)",
        "sweep --build demo --input exhaust.primaryLength=40..30 | a range that does not rise",
        "sweep --build demo --input exhaust.primaryLength=40 | two values: 28..36",
        "sweep --build demo --input exhaust.colour | There is no input exhaust.colour",
        "sweep --build demo --input heads.intakeValve --steps 1 | --steps is 1; allowed: 2 to 41",
        "ladder --build demo --changes nowhere.json | no such file",
      })
  void whatCanNotBeMeantIsRefusedWithTheReason(String command, String words) {
    var ran = run(command.split(" "));
    assertThat(ran.code()).isEqualTo(Main.REFUSED);
    assertThat(ran.err()).contains(words.strip());
    assertThat(ran.err().lines()).hasSize(1);
  }
}
