package grandbore.book;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import grandbore.core.asked.Answer;
import grandbore.core.asked.Question;
import grandbore.core.clearances.Kept;
import grandbore.core.clearances.Studied;
import grandbore.core.demo.DemoBuilds;
import grandbore.core.demo.DemoChanges;
import grandbore.core.prediction.BuiltEngine;
import grandbore.core.prediction.ModelVersion;
import grandbore.core.prediction.WantedBand;
import grandbore.core.runs.RunQueue;
import grandbore.core.runs.Urgency;
import grandbore.core.studies.Goal;
import grandbore.core.studies.SearchBounds;
import grandbore.core.studies.SweepAxis;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Studies are kept with what was asked and of which engine, and asked again years later. */
class KeptStudyTest {
  private static final WantedBand BAND = new WantedBand(4000, 6000);
  private static final List<SweepAxis> PIPES =
      List.of(
          SweepAxis.over("exhaust.primaryLength", 0.7, 0.9, 3),
          SweepAxis.over("exhaust.primaryDiameter", 0.04, 0.05, 2));

  @TempDir Path folder;

  private static BuildDocument eight() {
    return new BuildDocument(DemoBuilds.hillClimbEight(), DemoBuilds.hillClimbReadings());
  }

  private static Answer answer(String said) {
    return new Answer(
        said,
        List.of(
            new Answer.Table("By speed", List.of("rpm", "hp"), List.of(List.of("4,000", "–")))));
  }

  private static KeptStudy study(Question asked) {
    return new KeptStudy(ModelVersion.CURRENT, eight(), asked, answer("So it was."));
  }

  private static List<Question> questions() {
    var changes = DemoChanges.hillClimbEight();
    return List.of(
        new Question.OfLadder(changes, List.of(4000.0, 5000.5), BAND, true),
        new Question.OfSweep(PIPES, List.of(4000.0, 6000.0), BAND, true),
        new Question.OfSearch(
            BAND,
            PIPES,
            changes,
            Goal.PEAK_POWER,
            Optional.of(Goal.THRIFT),
            new SearchBounds(1200, -3, 22, 0.0015, 30e3, false),
            true,
            77,
            5),
        new Question.OfSearch(
            BAND,
            PIPES,
            List.of(),
            Goal.IDLE_VACUUM,
            Optional.empty(),
            SearchBounds.NONE,
            false,
            10,
            1),
        new Question.OfDoubt(BAND, 3000, 7000, 50, 9),
        new Question.OfBeside(
            List.of(
                new Question.Rival("The same, measured", eight().engine()),
                new Question.Rival(
                    "Four", BuiltEngine.asSpecified(DemoBuilds.paddockFour().combination()))),
            List.of(4000.0, 6000.0),
            BAND));
  }

  @Test
  void whatWasAskedAndOfWhatComesBack() {
    for (var question : questions()) {
      var kept = study(question);
      var back = StudyJson.read(StudyJson.write(kept));
      assertThat(back.asked()).as(question.title()).isEqualTo(question);
      assertThat(back.answer()).isEqualTo(kept.answer());
      assertThat(back.model()).isEqualTo(ModelVersion.CURRENT);
      assertThat(back.of().engine().key()).isEqualTo(eight().engine().key());
    }
  }

  /** Builds that were thrown away keep their studies, and a restart keeps all. */
  @Test
  void aStudyOutlivesItsBuild() {
    var file = folder.resolve("book.sqlite");
    long eight;
    try (var book = ShopBook.open(file)) {
      book.add(new BuildDocument(DemoBuilds.paddockFour(), List.of()));
      eight = book.add(eight());
      assertThat(book.studies()).isEmpty();
      var note = new Studied(StudyJson.write(study(questions().getFirst())));
      book.addNote(eight, new Kept(0, note, "", Instant.now(), false));
      long second = book.addNote(eight, new Kept(0, note, "", Instant.now(), false));
      assertThat(book.studies()).hasSize(2);
      book.write(new Entry.StrikeNotes(eight, List.of(second), true, Instant.now()));
      book.write(new Entry.Shelve(eight, Summary.Place.BIN, Instant.now()));
    }
    try (var book = ShopBook.open(file)) {
      assertThat(book.studies())
          .singleElement()
          .satisfies(
              s -> {
                assertThat(s.build()).isEqualTo(eight);
                var read = StudyJson.read(s.study().document());
                assertThat(read.asked()).isEqualTo(questions().getFirst());
              });
    }
  }

  /** The schema that is published is the one that documents are held against. */
  @Test
  void theSchemaIsPublished() throws Exception {
    assertThat(Files.readString(Path.of("../docs/formats/study-1.schema.json")))
        .isEqualTo(StudyJson.schemaText());
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "\"asked\": | \"axed\": | at the top: required property 'asked'",
        "\"kind\":\"SEARCH\" | \"kind\":\"GUESS\" | at asked.kind",
        "\"goal\":\"PEAK_POWER\" | \"goal\":\"NOISE\" | at asked.goal",
        "exhaust.primaryDiameter\",\"values | exhaust.primaryDiametre\",\"values | primaryDiametre",
        "[\"rpm\",\"hp\"] | [\"rpm\"] | 2 under 1",
        "\"money\":1200.0 | \"money\":-5 | Budget",
        "grand-bore-study | grand-bore-build | grand-bore-study"
      })
  void whatIsDamagedIsRefusedWithItsPlace(String right, String wrong, String says) {
    var text = StudyJson.write(study(questions().get(2)));
    String from = right.replace("\"asked\":", "\"asked\":{");
    assertThat(text).contains(from);
    String torn = text.replace(from, wrong.replace("\"axed\":", "\"axed\":{"));
    assertThatThrownBy(() -> StudyJson.read(torn))
        .isInstanceOf(IllegalArgumentException.class)
        .hasMessageContaining(says.replace("2 under 1", "2 cells under 1"));
  }

  /**
   * The demo's search was run and not made up: asked again of its engine by the model that answered
   * it comes to what was kept. Where the model has changed, it is to be run and kept anew.
   */
  @Test
  void theDemosSearchComesToTheSameAgain() {
    var demo =
        PlannedChanges.demo().notes().stream()
            .map(Kept::note)
            .filter(Studied.class::isInstance)
            .map(n -> StudyJson.read(((Studied) n).document()))
            .toList();
    assertThat(demo).hasSize(1);
    var kept = demo.getFirst();
    assertThat(kept.model()).isEqualTo(ModelVersion.CURRENT);
    assertThat(kept.of().engine().key()).isEqualTo(PlannedChanges.demo().engine().key());
    var asked = (Question.OfSearch) kept.asked();
    assertThat(asked.changes())
        .extracting(c -> c.name())
        .isEqualTo(DemoChanges.hillClimbEight().stream().map(c -> c.name()).toList());
    try (var queue = new RunQueue()) {
      var posed = asked.to(kept.of().engine());
      var found = queue.submit(posed.study(), Urgency.STUDY).await();
      var answer = posed.answer().apply(found, kept.of().build().units());
      assertThat(best(answer)).isCloseTo(best(kept.answer()), within(0.3));
      assertThat(answer.said()).startsWith("The best of 120 candidates, seed 1: ");
    }
  }

  private static double best(Answer answer) {
    return Double.parseDouble(
        answer.tables().getFirst().rows().getFirst().getFirst().split(" ", -1)[0]);
  }
}
