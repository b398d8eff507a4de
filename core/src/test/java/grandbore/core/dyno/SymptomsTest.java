package grandbore.core.dyno;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import grandbore.core.dyno.symptoms.Search;
import grandbore.core.dyno.symptoms.Symptom;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** The cheapest test that parts the causes comes first. */
class SymptomsTest {
  private static Symptom.Cause cause(String word, double weight, String... suspects) {
    return new Symptom.Cause(word, word, weight, List.of(suspects));
  }

  private static final Symptom MISFIRE =
      new Symptom(
          "It misfires",
          List.of(
              cause("plug", 2), cause("lead", 1), cause("pickup", 1, "pickup"), cause("float", 1)),
          List.of(
              new Symptom.Test(
                  "Swap two leads",
                  5,
                  Map.of(
                      "it moves", List.of("lead"),
                      "it stays", List.of("plug", "pickup", "float"))),
              new Symptom.Test(
                  "A light on the pointer",
                  5,
                  Map.of(
                      "steady", List.of("plug", "lead", "float"), "it jumps", List.of("pickup"))),
              new Symptom.Test(
                  "New springs",
                  240,
                  Map.of("gone", List.of("float"), "no", List.of("plug", "lead", "pickup")))));

  @Test
  void cheapTestsGoFirstAndWhatAPullNamedIsLikelier() {
    var blind = Search.begin(MISFIRE, List.of());
    assertThat(blind.likely().getFirst().cause().word()).isEqualTo("plug");
    assertThat(blind.likely().stream().mapToDouble(Search.Likely::likelihood).sum())
        .isCloseTo(1, within(1e-12));
    var told = Search.begin(MISFIRE, List.of("pickup"));
    assertThat(told.likely().getFirst().cause().word()).isEqualTo("pickup");
    var test = told.next().orElseThrow();
    assertThat(test.label()).isEqualTo("A light on the pointer");
    var found = told.answered(test, "it jumps");
    assertThat(found.left()).extracting(Symptom.Cause::word).containsExactly("pickup");
    assertThat(found.next()).isEmpty();
    var not = told.answered(test, "steady");
    assertThat(not.left()).hasSize(3);
    assertThat(not.next().orElseThrow().label()).isEqualTo("Swap two leads");
    assertThatThrownBy(() -> told.answered(test, "perhaps")).hasMessageContaining("steady");
  }

  @Test
  void treesAreCheckedWhenTheyAreRead() {
    assertThatThrownBy(
            () ->
                new Symptom(
                    "x",
                    List.of(cause("a", 1)),
                    List.of(
                        new Symptom.Test("t", 1, Map.of("y", List.of("b"), "n", List.of("a"))))))
        .hasMessageContaining("cause b");
    assertThatThrownBy(() -> new Symptom.Test("t", 0, Map.of("y", List.of(), "n", List.of())))
        .hasMessageContaining("Test");
    assertThatThrownBy(() -> cause("a", 0)).hasMessageContaining("weight");
  }
}
