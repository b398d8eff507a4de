package grandbore.book;

import static org.assertj.core.api.Assertions.assertThat;

import grandbore.core.clearances.Measurement;
import grandbore.core.clearances.Reading;
import grandbore.core.clearances.Taken;
import grandbore.core.combination.InvalidInput;
import grandbore.core.combination.Provenance;
import grandbore.core.combination.Specs;
import grandbore.core.demo.DemoBuilds;
import grandbore.core.units.UnitSystem;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.function.Consumer;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/** Damaged documents and tables are read or refused in one line; nothing else comes out of them. */
class AttackTest {
  private static final String[] BITS = {
    "\"",
    "{",
    "}",
    "[",
    "]",
    ",",
    ":",
    "-",
    "1e999",
    "4294967304",
    "null",
    "true",
    "NaN",
    "\n",
    "\uFEFF",
    "\0",
    "İ",
    "'",
    "=",
    "0x1p3",
    "  ",
    "\"\"",
    "1e-400",
    "99999999999999999999"
  };

  private static String mutated(String text, Random random) {
    var out = new StringBuilder(text);
    int hits = 1 + random.nextInt(3);
    for (int i = 0; i < hits && !out.isEmpty(); i++) {
      int at = random.nextInt(out.length());
      int to = Math.min(out.length(), at + 1 + random.nextInt(random.nextInt(8) == 0 ? 400 : 6));
      switch (random.nextInt(5)) {
        case 0 -> out.delete(at, to);
        case 1 -> out.insert(at, BITS[random.nextInt(BITS.length)]);
        case 2 -> out.insert(at, out.substring(at, to));
        case 3 -> out.setCharAt(at, (char) (32 + random.nextInt(95)));
        default -> out.replace(at, to, BITS[random.nextInt(BITS.length)]);
      }
    }
    return out.toString();
  }

  /** Tries each; returns how many were refused. */
  private static int attack(int tries, long seed, List<String> sound, Consumer<String> read) {
    var random = new Random(seed);
    int refused = 0;
    for (int i = 0; i < tries; i++) {
      String text = mutated(sound.get(random.nextInt(sound.size())), random);
      try {
        read.accept(text);
      } catch (FormatException | InvalidInput e) {
        refused++;
        assertThat(e.getMessage()).as(text).doesNotContain("\n").hasSizeLessThan(600);
      }
    }
    return refused;
  }

  private static int documents(int tries) {
    var document =
        new BuildDocument(
            DemoBuilds.hillClimbEight(),
            DemoBuilds.hillClimbReadings(),
            DemoBuilds.hillClimbNotes());
    return attack(
        tries,
        1,
        List.of(BuildJson.write(document), BuildJson.writeCompact(document)),
        text -> {
          var read = BuildJson.read(text);
          // What is read can be written and read again, and is the same.
          var again = BuildJson.read(BuildJson.write(read)).build().combination();
          for (var field : Specs.fields()) {
            assertThat(field.get(again).si())
                .as(field.path())
                .isEqualTo(field.get(read.build().combination()).si());
          }
        });
  }

  private static int tables(int tries) {
    var readings = new ArrayList<Reading>();
    for (int p = 1; p <= 8; p++) {
      var taken = new Taken("Ines", "burette", "57,2 cc", 0, 0.1e-6, 291.5, "=1+1", Instant.EPOCH);
      readings.add(new Reading(0, Measurement.CHAMBER, p, Reading.Side.NONE, 57e-6, taken, p == 3));
    }
    var heads = DemoBuilds.hillClimbEight().combination().heads();
    String flow = FlowSheetCsv.write(heads.intakeFlow(), UnitSystem.US);
    String lobe = "angle_deg,lift_in\n-80,0.001\n-40,0.150\n0,0.350\n40,0.149\n80,0.000\n";
    String bolts = "name,lubricant,rows,sequence,stages\nrods,moly,1,1 2,\"25 lb·ft; 0.006 in\"\n";
    String map = "shaft_rpm,flow_g/s,ratio,efficiency\n80000,60,1.5,0.7\n110000,110,2.2,0.72\n";
    return attack(
            tries / 2,
            2,
            List.of(ReadingsCsv.write(readings, UnitSystem.METRIC)),
            ReadingsCsv::read)
        + attack(tries / 8, 3, List.of(flow), t -> FlowSheetCsv.read(t, Provenance.CARD))
        + attack(tries / 8, 4, List.of(lobe), LiftTableCsv::read)
        + attack(tries / 8, 5, List.of(bolts), FastenerCsv::read)
        + attack(tries / 8, 6, List.of(map), CompressorCsv::read);
  }

  @Test
  void damagedDocumentsAndTablesAreReadOrRefusedInOneLine() {
    assertThat(documents(200)).isBetween(100, 200);
    assertThat(tables(2000)).isBetween(800, 2000);
  }

  /** Numbers beyond any computer's, once read into lists and never written again. */
  @Test
  void numbersBeyondAnyAreRefusedWithTheirPlace() {
    var eight = DemoBuilds.hillClimbEight();
    var c =
        eight
            .combination()
            .with("intake.runnerChanges", List.of(0.01, 0.0, 0.0, 0.0, 0.0, 0.0, 0.0, 0.0));
    String text = BuildJson.writeCompact(new BuildDocument(eight.with(c), List.of()));
    assertThat(text).contains("\"runnerChanges\":[0.01");
    org.assertj.core.api.Assertions.assertThatThrownBy(
            () ->
                BuildJson.read(text.replace("\"runnerChanges\":[0.01", "\"runnerChanges\":[1e999")))
        .isInstanceOfAny(FormatException.class, InvalidInput.class)
        .hasMessageContaining("runnerChanges");
  }

  @Test
  @Tag("study")
  void tenThousandDocumentsAndTables() {
    System.out.printf(
        "documents refused: %d of 10,000; tables refused: %d of 10,000%n",
        documents(10_000), tables(10_000));
  }

  /** Texts that a spreadsheet would run go out as texts, and come back as they were. */
  @Test
  void textsOfATableComeBackAsTheyWere() {
    var texts =
        List.of(
            "=1+1",
            "+2",
            "-3",
            "@x",
            "\ttab",
            "\rreturn",
            "'quoted",
            "''",
            "'=x",
            " outer ",
            "a,b",
            "say \"so\"",
            "two\nlines",
            "",
            "=",
            "'");
    for (var text : texts) {
      var taken = new Taken(text, text, text, 0, 0, 0, text, Instant.EPOCH);
      var r = new Reading(0, Measurement.CHAMBER, 1, Reading.Side.NONE, 57e-6, taken, false);
      String table = ReadingsCsv.write(List.of(r), UnitSystem.US);
      assertThat(ReadingsCsv.read(table).getFirst().taken()).isEqualTo(taken);
      assertThat(Csv.cell(text)).doesNotMatch("(?s)^[=+@\\t\\r-].*");
    }
    String table =
        ReadingsCsv.write(
            List.of(
                new Reading(
                    0,
                    Measurement.CHAMBER,
                    1,
                    Reading.Side.NONE,
                    57e-6,
                    "",
                    "",
                    Instant.EPOCH,
                    false)),
            UnitSystem.US);
    assertThat(ReadingsCsv.read(table.replace(",false", ",YES")).getFirst().struck()).isTrue();
    org.assertj.core.api.Assertions.assertThatThrownBy(
            () -> ReadingsCsv.read(table.replace(",false", ",perhaps")))
        .hasMessageContaining("line 2")
        .hasMessageContaining("allowed: true");
  }
}
