package grandbore.book;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import grandbore.core.clearances.Kept;
import grandbore.core.clearances.OnDyno;
import grandbore.core.demo.DemoBuilds;
import grandbore.core.dyno.Channel;
import grandbore.core.dyno.Column;
import grandbore.core.dyno.Pull;
import grandbore.core.dyno.Recorded;
import grandbore.core.dyno.Standard;
import grandbore.core.dyno.effects.Effect;
import grandbore.core.dyno.effects.Jets;
import grandbore.core.prediction.WantedBand;
import grandbore.core.studies.ModelSpread;
import java.io.File;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Days at the dyno in the book: kept whole, judged, struck out, damaged, killed in the middle. */
class DynoBookTest {
  @TempDir Path folder;

  private static List<Kept> dyno(BuildDocument document) {
    return document.notes().stream().filter(k -> k.note() instanceof OnDyno).toList();
  }

  /** The demo's day: a fault found on the way, a hill, jets, a spacer, and what was learned. */
  @Test
  void demosDayIsWhole() {
    var demo = PlannedChanges.demo();
    var book = DynoBook.of(demo.notes(), demo);
    assertThat(book.pulls()).hasSize(12);
    assertThat(book.good()).hasSize(11);
    var first = book.pulls().getFirst();
    assertThat(first.isGood()).isFalse();
    assertThat(first.checks()).anyMatch(c -> c.name().equals("pickup"));
    assertThat(book.frozen()).isPresent();
    assertThat(book.nextNumber()).isEqualTo(13);
    var band = WantedBand.of(demo.build().combination().brief());
    var effects = Effect.of(book.good(), Standard.SAE_J1349, band.from(), band.to());
    assertThat(effects).hasSize(8).anyMatch(e -> e.told() == Effect.Told.GAIN);
    assertThat(effects).anyMatch(e -> e.told() == Effect.Told.LOSS);
    var learned = book.calibrations().getLast();
    assertThat(learned.pulls()).hasSize(11);
    assertThat(learned.after()).isLessThan(0.5 * learned.before());
    assertThat(learned.change().orElseThrow().on(demo.build().combination()).learned().isAny())
        .isTrue();
  }

  @Test
  void everyKindComesBackAsItWas() {
    var demo = PlannedChanges.demo();
    for (var kept : dyno(demo)) {
      var note = (OnDyno) kept.note();
      String text = note.document();
      switch (note.kind()) {
        case PULL ->
            assertThat(DynoJson.pull(DynoJson.write(DynoJson.pull(text))))
                .isEqualTo(DynoJson.pull(text));
        case FROZEN ->
            assertThat(DynoJson.frozen(DynoJson.write(DynoJson.frozen(text))).prediction())
                .isEqualTo(DynoJson.frozen(text).prediction());
        case CALIBRATION ->
            assertThat(DynoJson.calibration(DynoJson.write(DynoJson.calibration(text))))
                .isEqualTo(DynoJson.calibration(text));
        default -> throw new AssertionError(note.kind());
      }
    }
    assertThat(DynoJson.pointer(DynoJson.writePointer(0.05))).isEqualTo(0.05);
    var jets = new Jets(List.of(1.8e-3, 1.85e-3));
    assertThat(DynoJson.jets(DynoJson.write(jets))).isEqualTo(jets);
    assertThatThrownBy(() -> DynoJson.jets(DynoJson.write(jets).replace("0.00185", "1.85")))
        .hasMessageContaining("0.1 to 10 mm");
    var spread = new ModelSpread(0.041, 12, "12 pooled cases");
    assertThat(DynoJson.spread(DynoJson.write(spread))).isEqualTo(spread);
    var verdict = new PullVerdict(3, false, "the hat was off");
    assertThat(DynoJson.verdict(DynoJson.write(verdict))).isEqualTo(verdict);
  }

  @Test
  void damagedRecordsAreRefusedWhole() {
    var demo = PlannedChanges.demo();
    String pull =
        dyno(demo).stream()
            .map(k -> (OnDyno) k.note())
            .filter(n -> n.kind() == OnDyno.Kind.PULL)
            .findFirst()
            .orElseThrow()
            .document();
    assertThatThrownBy(() -> DynoJson.pull(pull.substring(0, 300)))
        .isInstanceOf(FormatException.class);
    assertThatThrownBy(() -> DynoJson.pull(pull.replace("\"torque\"", "\"talk\"")))
        .isInstanceOf(FormatException.class)
        .hasMessageContaining("channel");
    assertThatThrownBy(() -> DynoJson.pull(pull.replace("\"rpm\"", "\"knock\"")))
        .hasMessageContaining("Pull");
    assertThatThrownBy(() -> DynoJson.frozen(pull)).hasMessageContaining("allowed: frozen");
    assertThatThrownBy(() -> DynoJson.pull(pull.replace("\"version\":1", "\"version\":9")))
        .hasMessageContaining("version is 9");
    assertThatThrownBy(() -> new OnDyno(OnDyno.Kind.PULL, " ")).hasMessageContaining("Of the dyno");
  }

  /** The builder's word goes over the checks; what is struck out is never learned from. */
  @Test
  void verdictsAndStrikesDecideWhatIsLearnedFrom() throws IOException {
    var demo = PlannedChanges.demo();
    try (var book = ShopBook.open(folder.resolve("shop.db"))) {
      long build = book.add(new BuildDocument(DemoBuilds.hillClimbEight(), List.of(), dyno(demo)));
      var notes = book.open(build).notes();
      var read = DynoBook.of(notes, demo);
      assertThat(read.pulls()).hasSize(12);
      var now = Instant.parse("2026-10-04T08:00:00Z");
      var verdict = new OnDyno(OnDyno.Kind.VERDICT, DynoJson.write(new PullVerdict(1, true, "")));
      var proved = new OnDyno(OnDyno.Kind.POINTER, DynoJson.writePointer(Math.toRadians(2)));
      book.write(
          new Entry.Notes(
              build,
              List.of(
                  book.numbered(new Kept(0, verdict, "", now, false)),
                  book.numbered(new Kept(0, proved, "", now, false)))));
      book.write(new Entry.StrikeNotes(build, List.of(read.pulls().get(4).note()), true, now));
      var again = DynoBook.of(book.open(build).notes(), demo);
      assertThat(again.pull(1).orElseThrow().isGood()).isTrue();
      assertThat(again.pull(5).orElseThrow().struck()).isTrue();
      assertThat(again.good()).extracting(Pull::number).doesNotContain(5).contains(1);
      assertThat(again.pointer()).isCloseTo(Math.toRadians(2), within(1e-12));
    }
  }

  /** A build with its pulls goes out and comes back as one document. */
  @Test
  void buildTravelsWithItsPulls() {
    var demo = PlannedChanges.demo();
    var back = BuildJson.read(BuildJson.write(demo));
    var was = DynoBook.of(demo.notes(), demo);
    var is = DynoBook.of(back.notes(), back);
    assertThat(is.good()).isEqualTo(was.good());
    assertThat(is.calibrations()).isEqualTo(was.calibrations());
  }

  /** What the calibration sets on an engine is written and read like any other input. */
  @Test
  void whatPullsTaughtTravelsWithTheBuild() {
    var build = DemoBuilds.hillClimbEight();
    var demo = PlannedChanges.demo();
    var learned = DynoBook.of(demo.notes(), demo).calibrations().getLast();
    var taught = build.with(learned.change().orElseThrow().on(build.combination()));
    var document = new BuildDocument(taught, List.of());
    var back = BuildJson.read(BuildJson.write(document));
    assertThat(back.build().combination().learned()).isEqualTo(taught.combination().learned());
    // Documents from before there was anything to learn are whole.
    String older =
        BuildJson.write(document).replaceAll("(?s)\"learned\" ?: ?\\{.*?\\n    \\},?", "");
    assertThat(older).doesNotContain("burnSpeed");
  }

  @Test
  void symptomsThatComeWithTheProgramPartTheirCauses() {
    var all = SymptomsJson.shipped();
    assertThat(all).hasSizeGreaterThan(6);
    for (var s : all) {
      for (var cause : s.causes()) {
        // Whoever answers as the cause would is left with it.
        var search = grandbore.core.dyno.symptoms.Search.begin(s, List.of());
        for (var test = search.next(); test.isPresent(); test = search.next()) {
          String answer =
              test.get().answers().entrySet().stream()
                  .filter(a -> a.getValue().contains(cause.word()))
                  .findFirst()
                  .orElseThrow()
                  .getKey();
          search = search.answered(test.get(), answer);
        }
        assertThat(search.left()).as(s.name()).contains(cause);
      }
    }
    String own =
        """
        {"format":"grand-bore-symptoms","version":1,"symptoms":[{"name":"It pops","causes":
        [{"word":"a","label":"a mouse","weight":1,"suspects":[]}],"tests":[]}]}
        """;
    assertThat(SymptomsJson.with(own)).hasSameSizeAs(all);
    assertThatThrownBy(() -> SymptomsJson.with(own.replace("\"weight\":1", "\"weight\":\"x\"")))
        .isInstanceOf(FormatException.class)
        .hasMessageContaining("weight");
  }

  /** Streams rows into a spool until it is killed, telling each that is written. */
  public static final class Streamer {
    private Streamer() {}

    public static void main(String[] arguments) throws IOException {
      var columns =
          List.of(
              new Column(Channel.RPM, 0, List.of()),
              new Column(Channel.TORQUE, 0, List.of()),
              new Column(Channel.EXHAUST_TEMPERATURE, 3, List.of()));
      try (var spool = PullSpool.begin(Path.of(arguments[0]), columns)) {
        for (int k = 0; ; k++) {
          spool.row(0.01 * k, List.of(3000.0 + k % 4000, 400.0, k % 5 == 0 ? Double.NaN : 900.0));
          System.out.println(k + 1);
          System.out.flush();
        }
      }
    }
  }

  /** Killed at any moment while pulls stream in, every row that was told is there. */
  @Test
  void killedWhileRowsStreamIn() throws Exception {
    var random = new Random(11);
    for (int kill = 0; kill < 8; kill++) {
      var place = Files.createDirectories(folder.resolve("kill" + kill));
      var process =
          new ProcessBuilder(
                  Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                  "-XX:TieredStopAtLevel=1",
                  "-cp",
                  System.getProperty("java.class.path"),
                  Streamer.class.getName(),
                  place.toString())
              .redirectError(new File("/dev/null"))
              .start();
      int told = 0;
      try (var reader = process.inputReader()) {
        int wanted = 1 + random.nextInt(3000);
        String line = reader.readLine();
        while (line != null && told < wanted) {
          told = Integer.parseInt(line);
          line = reader.readLine();
        }
        process.destroyForcibly();
        assertThat(process.waitFor(20, TimeUnit.SECONDS)).isTrue();
      }
      var left = PullSpool.left(place).orElseThrow();
      assertThat(left.rows()).isGreaterThanOrEqualTo(told);
      assertThat(left.column(Channel.EXHAUST_TEMPERATURE, 3)).isPresent();
      PullSpool.forget(place);
      assertThat(PullSpool.left(place)).isEmpty();
    }
  }

  @Test
  void spoolThatEndsInTheMiddleOfARowKeepsTheWholeOnes() throws IOException {
    try (var spool =
        PullSpool.begin(
            folder,
            List.of(
                new Column(Channel.RPM, 0, List.of()), new Column(Channel.TORQUE, 0, List.of())))) {
      for (int k = 0; k < 5; k++) {
        spool.row(0.25 * k, List.of(3000.0 + k, 400.0));
      }
    }
    Files.writeString(folder.resolve("pull-under-way.csv"), "1.25,30", StandardOpenOption.APPEND);
    Recorded left = PullSpool.left(folder).orElseThrow();
    assertThat(left.rows()).isEqualTo(5);
    var pull =
        new Pull(
            1,
            "d",
            Instant.EPOCH,
            Pull.How.SWEEP,
            0,
            0,
            Optional.empty(),
            Standard.NONE,
            Double.NaN,
            "",
            Optional.empty(),
            "",
            "",
            left);
    assertThat(DynoJson.pull(DynoJson.write(pull))).isEqualTo(pull);
  }
}
