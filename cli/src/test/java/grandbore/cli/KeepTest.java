package grandbore.cli;

import static grandbore.cli.Ran.run;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.json.JsonMapper;
import grandbore.book.BuildDocument;
import grandbore.book.BuildJson;
import grandbore.book.KeptStudy;
import grandbore.book.PartsJson;
import grandbore.book.StudyJson;
import grandbore.core.asked.Question;
import grandbore.core.demo.DemoBuilds;
import grandbore.core.prediction.ModelVersion;
import grandbore.core.prediction.WantedBand;
import grandbore.core.valvetrain.PistonToValve;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Studies of the command line are kept as documents that say what was printed. */
class KeepTest {
  private static final WantedBand BAND =
      WantedBand.of(DemoBuilds.paddockFour().combination().brief());

  /** Both ends of the band, and its middle. */
  private static final List<String> SPEEDS =
      List.of(
          "--from",
          String.valueOf(BAND.from()),
          "--to",
          String.valueOf(BAND.to()),
          "--step",
          String.valueOf((BAND.to() - BAND.from()) / 2));

  @TempDir Path folder;
  private String four;

  @BeforeEach
  void build() throws IOException {
    var document = new BuildDocument(DemoBuilds.paddockFour(), List.of());
    four = Files.writeString(folder.resolve("four.json"), BuildJson.write(document)).toString();
  }

  private KeptStudy kept(List<String> more, String... command) throws IOException {
    var file = folder.resolve(command[0] + ".json");
    var all = new ArrayList<>(List.of(command));
    all.addAll(more);
    all.addAll(List.of("--format", "json", "--keep", file.toString()));
    var ran = run(all.toArray(String[]::new));
    assertThat(ran.err()).isEmpty();
    printed = JsonMapper.builder().build().readTree(ran.out());
    return StudyJson.read(Files.readString(file));
  }

  private JsonNode printed;

  @Test
  void aSweepIsKeptAsItWasPrinted() throws IOException {
    var kept =
        kept(
            SPEEDS,
            "sweep",
            "--build",
            four,
            "--input",
            "exhaust.primaryLength=24in..32in",
            "--steps",
            "3");
    assertThat(kept.model()).isEqualTo(ModelVersion.CURRENT);
    assertThat(kept.of().build().name()).isEqualTo(DemoBuilds.paddockFour().name());
    double length = kept.of().build().combination().exhaust().primaryLength().si();
    assertThat(length)
        .isEqualTo(DemoBuilds.paddockFour().combination().exhaust().primaryLength().si());
    var asked = (Question.OfSweep) kept.asked();
    assertThat(asked.speeds()).hasSize(3);
    assertThat(asked.idle()).isFalse();
    var rows = kept.answer().tables().getFirst().rows();
    assertThat(rows).hasSize(3);
    for (int i = 0; i < 3; i++) {
      double told = number(rows.get(i).get(1));
      boolean us = rows.get(i).get(1).endsWith("hp");
      double kilowatts = printed.get(i).get("band_power_kw").asDouble();
      assertThat(us ? told * 0.7457 : told).isCloseTo(kilowatts, within(0.5));
      assertThat(printed.get(i).get("piston_to_valve_mm").asDouble()).isBetween(-12.0, 12.0);
      assertThat(printed.get(i).has("idle_vacuum_kpa")).isFalse();
    }
  }

  private static double number(String words) {
    return Double.parseDouble(words.substring(0, words.indexOf(' ')));
  }

  @Test
  void aSearchAndABandAreKeptWithTheirSeeds() throws IOException {
    var search =
        kept(
            List.of(),
            "search",
            "--build",
            four,
            "--free",
            "exhaust.primaryLength",
            "--candidates",
            "12",
            "--seed",
            "7",
            "--piston-speed",
            "60",
            "--goal",
            "piston_to_valve");
    var asked = (Question.OfSearch) search.asked();
    assertThat(asked.seed()).isEqualTo(7);
    assertThat(asked.bounds().pistonSpeed()).isEqualTo(60);
    assertThat(search.answer().said()).startsWith("The best of 12 candidates, seed 7: ");
    // A pipe's length moves no valve: whatever it is, the room is that of the engine.
    assertThat(search.answer().tables().getFirst().rows().getFirst().getFirst()).endsWith("m");
    double room = printed.get(0).get("goal_si").asDouble();
    var c = DemoBuilds.paddockFour().combination();
    assertThat(room)
        .isCloseTo(
            Math.min(
                PistonToValve.intake(c).closest().clearance(),
                PistonToValve.exhaust(c).closest().clearance()),
            within(0.0006));
    var doubt = kept(List.of(), "doubt", "--build", four, "--samples", "10", "--seed", "3");
    assertThat(((Question.OfDoubt) doubt.asked()).seed()).isEqualTo(3);
    var rows = doubt.answer().tables().getFirst().rows();
    assertThat(rows).hasSize(printed.size());
    assertThat(number(rows.getFirst().get(1) + " ")).isPositive();
  }

  @Test
  void aLadderIsKeptAndWhatCanNotBeWrittenIsSaid() throws IOException {
    var changes = folder.resolve("changes.json");
    Files.writeString(
        changes,
        grandbore.book.ChangesJson.write(
            List.of(grandbore.core.demo.DemoChanges.hillClimbEight().getFirst()),
            grandbore.core.units.UnitSystem.US));
    var ladder = kept(SPEEDS, "ladder", "--build", four, "--changes", changes.toString());
    assertThat(((Question.OfLadder) ladder.asked()).changes()).hasSize(1);
    assertThat(ladder.answer().tables().getFirst().rows().getFirst().getFirst())
        .isEqualTo(printed.get(0).get("change").asText());
    var nowhere = folder.resolve("no/such/place.json").toString();
    var ran =
        run(
            "sweep",
            "--build",
            four,
            "--input",
            "exhaust.primaryLength",
            "--steps",
            "2",
            "--from",
            "5000",
            "--to",
            "6000",
            "--step",
            "1000",
            "--keep",
            nowhere);
    assertThat(ran.err()).contains("--keep", "place.json", "allowed");
  }

  @Test
  void theSchemaOfPartsIsPrinted() {
    assertThat(run("schema", "--parts").out()).isEqualTo(PartsJson.schemaText());
  }
}
