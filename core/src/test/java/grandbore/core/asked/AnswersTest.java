package grandbore.core.asked;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import grandbore.core.changes.Change;
import grandbore.core.combination.Given;
import grandbore.core.demo.DemoBuilds;
import grandbore.core.prediction.BuiltEngine;
import grandbore.core.prediction.WantedBand;
import grandbore.core.runs.RunQueue;
import grandbore.core.runs.Urgency;
import grandbore.core.studies.Goal;
import grandbore.core.studies.InputSweep;
import grandbore.core.studies.InputSweepStudy;
import grandbore.core.studies.SearchBounds;
import grandbore.core.studies.SweepAxis;
import grandbore.core.units.UnitSystem;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

/** What studies are told as is what they came to. */
class AnswersTest {
  private static final BuiltEngine FOUR =
      BuiltEngine.asSpecified(DemoBuilds.paddockFour().combination());
  private static final WantedBand BAND = new WantedBand(4500, 6000);
  private static final List<Double> SPEEDS = List.of(4500.0, 6000.0);

  private static <T> Answer ask(Question.Posed<T> posed, UnitSystem units) {
    try (var queue = new RunQueue()) {
      return posed.answer().apply(queue.submit(posed.study(), Urgency.STUDY).await(), units);
    }
  }

  @Test
  void aSweepIsToldValueByValue() {
    var axis = SweepAxis.around(FOUR.combination(), "exhaust.primaryLength", 3);
    var question = new Question.OfSweep(List.of(axis), SPEEDS, BAND, false);
    var answer = ask(question.to(FOUR), UnitSystem.METRIC);
    InputSweep run;
    try (var queue = new RunQueue()) {
      var study = new InputSweepStudy(FOUR, List.of(axis), SPEEDS, BAND);
      run = queue.submit(study, Urgency.STUDY).await();
    }
    var rows = answer.tables().getFirst().rows();
    assertThat(rows).hasSize(3);
    for (int i = 0; i < 3; i++) {
      assertThat(rows.get(i).getFirst()).endsWith(" mm");
      assertThat(rows.get(i).get(1))
          .isEqualTo("%.0f kW".formatted(run.rungs().get(i).power() / 1e3));
    }
    assertThat(answer.said()).startsWith("Most at " + rows.get(run.best()).getFirst() + ": ");
    assertThat(question.title()).isEqualTo("Sweep of primary length");
  }

  /** A column an engine; what each gains is over the one that was asked about. */
  @Test
  void enginesSideBySideAreToldAgainstTheFirst() {
    var chamber = (Given) FOUR.combination().at("compression.chamberVolume");
    var tight =
        BuiltEngine.asSpecified(
            FOUR.combination()
                .with(
                    "compression.chamberVolume",
                    chamber.with(0.93 * chamber.si(), chamber.provenance())));
    var question =
        new Question.OfBeside(
            List.of(new Question.Rival("The same", FOUR), new Question.Rival("Tight", tight)),
            SPEEDS,
            BAND);
    assertThat(question.title()).isEqualTo("Beside The same, Tight");
    var answer = ask(question.to(FOUR), UnitSystem.METRIC);
    var table = answer.tables().getFirst();
    assertThat(table.columns()).containsExactly("figure", "it", "The same", "Tight");
    var rows =
        table.rows().stream().collect(Collectors.toMap(List::getFirst, r -> r.subList(1, 4)));
    assertThat(rows.get("most power").get(1)).isEqualTo(rows.get("most power").get(0));
    assertThat(rows.get("most power").get(2)).isNotEqualTo(rows.get("most power").get(0));
    assertThat(rows.get("gained by it").subList(0, 2)).containsExactly("", "none it can tell");
    String gained = rows.get("gained by it").get(2);
    assertThat(gained).matches("\\+\\d+\\.\\d kW");
    // More compression gains at every speed: the curves cross nowhere.
    assertThat(rows.get("crosses it at").get(2)).isEqualTo("nowhere");
    assertThat(answer.said())
        .isEqualTo(
            "Average power over it, from 4,500 to 6,000 rpm. The same: none it can tell; Tight: "
                + gained
                + ".");
  }

  @Test
  void aLadderASearchAndABandAreToldToo() {
    var pipes = DemoBuilds.hillClimbEight().combination().exhaust();
    var change = new Change("Other pipes", Map.of("exhaust.primaryLength", pipes.primaryLength()));
    var far = new Change("Far", Map.of("exhaust.collectorLength", pipes.collectorLength()));
    var ladder =
        ask(
            new Question.OfLadder(List.of(change, far), SPEEDS, BAND, false).to(FOUR),
            UnitSystem.US);
    assertThat(ladder.tables().getFirst().rows())
        .extracting(List::getFirst)
        .containsExactly("Other pipes", "Far");
    assertThat(ladder.said()).startsWith("All of it gives ").endsWith(" on the average for 0.");
    var axis = SweepAxis.around(FOUR.combination(), "exhaust.primaryLength", 2);
    var hard = new SearchBounds(1e9, 90, 100, -1, 0, true);
    var search =
        new Question.OfSearch(
            BAND, List.of(axis), List.of(), Goal.BAND_POWER, Optional.empty(), hard, false, 10, 1);
    var missed = ask(search.to(FOUR), UnitSystem.US);
    assertThat(missed.said()).startsWith("Nothing holds. The nearest miss: ").contains("octane");
    assertThat(missed.tables().getFirst().rows()).isEmpty();
    var doubt = ask(new Question.OfDoubt(BAND, 4500, 6000, 12, 1).to(FOUR), UnitSystem.METRIC);
    assertThat(doubt.said()).startsWith("Four fifths of 12 samples lie between ");
    assertThat(doubt.tables().getFirst().rows()).hasSizeGreaterThanOrEqualTo(2);
    assertThatThrownBy(() -> new Answer.Table("Torn", List.of("a"), List.of(List.of("1", "2"))))
        .hasMessageContaining("2 cells under 1");
  }
}
