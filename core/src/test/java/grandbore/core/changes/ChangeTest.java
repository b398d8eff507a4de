package grandbore.core.changes;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import grandbore.core.combination.Combination;
import grandbore.core.combination.Exhaust;
import grandbore.core.combination.Given;
import grandbore.core.combination.Provenance;
import grandbore.core.demo.DemoBuilds;
import grandbore.core.prediction.BuiltEngine;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

/** A change is made whole or not at all, says why not, and costs what its parts cost. */
class ChangeTest {
  private static final Combination EIGHT = DemoBuilds.hillClimbEight().combination();
  private static final Combination FOUR = DemoBuilds.paddockFour().combination();

  private static Given times(Combination c, String path, double factor) {
    var was = (Given) c.at(path);
    return was.with(was.si() * factor, Provenance.CARD);
  }

  @Test
  void aChangeSetsItsInputsAndNoOthers() {
    var longer =
        new Change(
            "Stepped headers",
            Map.of(
                "exhaust.kind",
                Exhaust.Kind.STEPPED,
                "exhaust.primaryLength",
                times(EIGHT, "exhaust.primaryLength", 0.6)));
    var after = longer.on(EIGHT);
    assertThat(Difference.among(List.of(EIGHT, after)))
        .extracting(Difference::path)
        .containsExactlyInAnyOrder("exhaust.kind", "exhaust.primaryLength");
    assertThat(Difference.among(List.of(EIGHT, after)))
        .extracting(Difference::label)
        .containsExactlyInAnyOrder("Exhaust kind", "Primary length");
    assertThat(after.exhaust().kind()).isEqualTo(Exhaust.Kind.STEPPED);
    assertThat(after.at("exhaust.primaryLength"))
        .isEqualTo(longer.sets().get("exhaust.primaryLength"));
  }

  /** What leads from one engine to another leads there, whatever the two are. */
  @Test
  void theDifferenceOfTwoBuildsMakesTheOneIntoTheOther() {
    var change = Change.between("The whole four", EIGHT, FOUR);
    var made = change.on(EIGHT);
    assertThat(Difference.among(List.of(made, FOUR))).isEmpty();
    assertThat(BuiltEngine.asSpecified(made).key()).isEqualTo(BuiltEngine.asSpecified(FOUR).key());
    assertThat(Difference.among(List.of(EIGHT, EIGHT.named("Another name")))).isEmpty();
  }

  @Test
  void whatLeadsOutOfABoundIsRefusedWithInputValueAndBound() {
    var milled =
        new Change(
            "Milled far",
            Map.of("compression.chamberVolume", times(EIGHT, "compression.chamberVolume", 0.3)));
    assertThatThrownBy(() -> milled.on(EIGHT))
        .isInstanceOf(DoesNotFit.class)
        .hasMessageContaining("“Milled far” does not fit")
        .hasMessageContaining("Compression ratio")
        .hasMessageContaining("20.00");
    var stepped = new Change("Stepped", Map.of("exhaust.kind", Exhaust.Kind.STEPPED));
    assertThatThrownBy(() -> stepped.on(FOUR.with("bottomEnd.firingOrder", List.of(1, 2))))
        .isInstanceOf(IllegalArgumentException.class);
    assertThatThrownBy(() -> new Change("Nothing", Map.of()))
        .hasMessageContaining("1 to 200 inputs");
    assertThatThrownBy(() -> new Change("Unknown", Map.of("exhaust.colour", 3)).on(EIGHT))
        .hasMessageContaining("colour");
    assertThatThrownBy(() -> new Cost(-1, 0, 0)).hasMessageContaining("Price");
  }

  /** Each measured cylinder keeps what it has more or less than the others. */
  @Test
  void measuredVolumesMoveByWhatTheChangeTakesAway() {
    var volumes = IntStream.range(0, 8).mapToObj(i -> EIGHT.clearanceVolume() + 1e-7 * i).toList();
    var engine = new BuiltEngine(EIGHT, volumes);
    var milled =
        new Change(
            "Milled",
            Map.of("compression.chamberVolume", times(EIGHT, "compression.chamberVolume", 0.95)));
    var after = milled.on(engine);
    double by = 0.05 * EIGHT.compression().chamberVolume().si();
    for (int i = 0; i < 8; i++) {
      assertThat(after.clearances().get(i)).isCloseTo(volumes.get(i) - by, within(1e-12));
    }
    var four = Change.between("The whole four", EIGHT, FOUR).on(engine);
    assertThat(four.clearances()).isEqualTo(Collections.nCopies(4, FOUR.clearanceVolume()));
  }

  /** Common practice, no source: parts at 350, 98, 112 and 150; with another at 186. */
  @Test
  void pricesAddUp() {
    var sum =
        IntStream.of(350, 98, 112, 150)
            .mapToObj(p -> new Cost(p, 0, 0))
            .reduce(Cost.NONE, Cost::plus);
    assertThat(sum.money()).isEqualTo(710);
    assertThat(sum.plus(new Cost(186, 0, 2)).money()).isEqualTo(896);
  }
}
