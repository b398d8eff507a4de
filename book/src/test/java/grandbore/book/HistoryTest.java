package grandbore.book;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import grandbore.core.build.Build;
import grandbore.core.combination.Provenance;
import grandbore.core.combination.Specs;
import grandbore.core.demo.DemoBuilds;
import java.nio.file.Path;
import java.util.ArrayDeque;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Undo and redo against a model of them: two stacks. */
class HistoryTest {
  @TempDir Path folder;

  private static Build bored(Build build, double metres) {
    var bore = Specs.field("bottomEnd.bore");
    var c = build.combination();
    return build.with(bore.with(c, bore.get(c).with(metres, Provenance.CARD)));
  }

  private static double bore(Build build) {
    return build.combination().bottomEnd().bore().si();
  }

  @Test
  void anySequenceOfEditsUndosAndRedosEndsWhereTwoStacksEnd() {
    var random = new Random(7);
    var begun = DemoBuilds.hillClimbEight();
    var back = new ArrayDeque<Double>();
    var forth = new ArrayDeque<Double>();
    double now = bore(begun);
    var file = folder.resolve("book.sqlite");
    long id;
    try (var book = ShopBook.open(file)) {
      id = book.add(new BuildDocument(begun, List.of()));
    }
    for (int session = 0; session < 4; session++) {
      try (var book = ShopBook.open(file)) {
        for (int i = 0; i < 25; i++) {
          switch (random.nextInt(4)) {
            case 0, 1 -> {
              double next = 0.1035 + 1e-5 * random.nextInt(100);
              book.save(id, bored(begun, next), "Bore");
              back.push(now);
              forth.clear();
              now = next;
            }
            case 2 -> {
              Steps.undo(book, id);
              if (!back.isEmpty()) {
                forth.push(now);
                now = back.pop();
              }
            }
            default -> {
              Steps.redo(book, id);
              if (!forth.isEmpty()) {
                back.push(now);
                now = forth.pop();
              }
            }
          }
          var state = book.open(id);
          assertThat(bore(state.build())).isCloseTo(now, within(1e-12));
          assertThat(state.past().isEmpty()).isEqualTo(back.isEmpty());
        }
      }
    }
  }

  @Test
  void buildsKeepOutOfOneAnothersHistory() {
    try (var book = ShopBook.open(folder.resolve("two.sqlite"))) {
      long eight = book.add(new BuildDocument(DemoBuilds.hillClimbEight(), List.of()));
      long four = book.add(new BuildDocument(DemoBuilds.paddockFour(), List.of()));
      book.save(eight, bored(DemoBuilds.hillClimbEight(), 0.1045), "Bore");
      assertThat(book.open(four).past()).isEmpty();
      assertThat(bore(Steps.undo(book, four).build()))
          .isCloseTo(bore(DemoBuilds.paddockFour()), within(1e-12));
      assertThat(bore(book.open(eight).build())).isCloseTo(0.1045, within(1e-12));
      assertThat(book.builds()).extracting(Summary::id).containsExactly(eight, four);
    }
  }
}
