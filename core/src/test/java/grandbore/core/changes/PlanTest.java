package grandbore.core.changes;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import grandbore.core.combination.InvalidInput;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** The ladder's order and its stages through any edits. */
class PlanTest {
  private static Change named(String name) {
    return new Change(name, Map.of("intake.throttles", 2));
  }

  private static Plan of(int count, Integer... stages) {
    return new Plan(
        IntStream.range(0, count).mapToObj(i -> named("c" + i)).toList(), List.of(stages));
  }

  private static List<String> names(Plan plan) {
    return plan.changes().stream().map(Change::name).toList();
  }

  @Test
  void stagesStayWhereTheyAre() {
    var plan = of(5, 2, 4);
    assertThat(plan.parts())
        .containsExactly(new Plan.Stage(0, 2), new Plan.Stage(2, 4), new Plan.Stage(4, 5));
    // A rung that is moved over an end is of the other stage.
    assertThat(names(plan.moved(0, 3))).containsExactly("c1", "c2", "c3", "c0", "c4");
    assertThat(plan.moved(0, 3).stages()).containsExactly(2, 4);
    // One that is taken away makes its stage smaller; an empty stage is none.
    assertThat(plan.without(1).stages()).containsExactly(1, 3);
    assertThat(plan.without(4).stages()).containsExactly(2);
    assertThat(plan.without(2).without(2).stages()).containsExactly(2);
    assertThat(plan.staged(1).stages()).containsExactly(4);
    assertThat(plan.staged(0).stages()).containsExactly(1, 2, 4);
    assertThat(plan.staged(4)).as("the last ends with the ladder").isEqualTo(plan);
    assertThat(Plan.NONE.parts()).isEmpty();
  }

  @Test
  void wrongStagesAreRefused() {
    for (var ends : List.of(List.of(0), List.of(3), List.of(2, 2), List.of(2, 1))) {
      var changes = of(3).changes();
      assertThatThrownBy(() -> new Plan(changes, ends))
          .isInstanceOf(InvalidInput.class)
          .hasMessageContaining("Stages");
    }
  }

  /** Whatever is done, stages hold all changes, each one of them, and none is empty. */
  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3})
  void stagesAlwaysHoldAllChanges(long seed) {
    var random = new Random(seed);
    var plan = of(6);
    for (int i = 0; i < 400; i++) {
      int count = plan.changes().size();
      int place = random.nextInt(Math.max(1, count));
      plan =
          switch (count == 0 ? 0 : random.nextInt(5)) {
            case 0 -> plan.with(List.of(named("n" + i)));
            case 1 -> plan.without(place);
            case 2 -> plan.moved(place, random.nextInt(count));
            case 3 -> {
              var order = new ArrayList<>(IntStream.range(0, count).boxed().toList());
              Collections.shuffle(order, random);
              yield plan.ordered(order);
            }
            default -> plan.staged(place);
          };
      int next = 0;
      for (var part : plan.parts()) {
        assertThat(part.from()).isEqualTo(next);
        assertThat(part.to()).isGreaterThan(part.from());
        next = part.to();
      }
      assertThat(next).isEqualTo(plan.changes().size());
      assertThat(plan.changes()).doesNotHaveDuplicates();
    }
  }
}
