package grandbore.core.studies;

import static org.assertj.core.api.Assertions.assertThat;

import grandbore.core.combination.Given;
import grandbore.core.demo.DemoBuilds;
import grandbore.core.prediction.BuiltEngine;
import grandbore.core.runs.RunQueue;
import grandbore.core.runs.Study;
import grandbore.core.runs.Urgency;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Several engines cranked and idling: each as it is alone. */
class SlowSideStudyTest {
  private static final BuiltEngine EIGHT =
      BuiltEngine.asSpecified(DemoBuilds.hillClimbEight().combination());

  private static <T> T run(Study<T> study) {
    try (var queue = new RunQueue()) {
      return queue.submit(study, Urgency.STUDY).await();
    }
  }

  @Test
  void eachIsAsItIsAlone() {
    var chamber = (Given) EIGHT.combination().at("compression.chamberVolume");
    var tight =
        BuiltEngine.asSpecified(
            EIGHT
                .combination()
                .with(
                    "compression.chamberVolume",
                    chamber.with(0.9 * chamber.si(), chamber.provenance())));
    var both = run(new SlowSideStudy(List.of(EIGHT, tight)));
    assertThat(both).hasSize(2);
    double idle = IdleStudy.speed(EIGHT.combination());
    assertThat(both.getFirst()).isEqualTo(run(new SlowStudy(EIGHT, idle)));
    // A smaller chamber is cranked higher, in every cylinder alike.
    assertThat(both.getLast().compression().getFirst())
        .isGreaterThan(1.05 * both.getFirst().compression().getFirst());
    assertThat(both.getLast().compression()).containsOnly(both.getLast().compression().getFirst());
    // The order in which they stand is theirs alone.
    assertThat(run(new SlowSideStudy(List.of(tight, EIGHT)))).isEqualTo(both.reversed());
  }
}
