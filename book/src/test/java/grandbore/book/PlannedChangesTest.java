package grandbore.book;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import grandbore.core.changes.Change;
import grandbore.core.changes.Plan;
import grandbore.core.clearances.Kept;
import grandbore.core.clearances.Planned;
import grandbore.core.combination.InvalidInput;
import grandbore.core.demo.DemoBuilds;
import grandbore.core.demo.DemoChanges;
import grandbore.core.units.UnitSystem;
import java.nio.file.Path;
import java.time.Instant;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The changes thought of for a build are kept with it, in order, and travel with it. */
class PlannedChangesTest {
  @TempDir Path folder;

  private static List<String> names(List<Change> changes) {
    return changes.stream().map(Change::name).toList();
  }

  private static List<Planned> planned(BuildDocument document) {
    return document.notes().stream()
        .filter(k -> !k.struck())
        .map(Kept::note)
        .filter(Planned.class::isInstance)
        .map(Planned.class::cast)
        .toList();
  }

  private static Kept kept(List<Change> changes, Integer... ends) {
    var stages = List.of(ends);
    return new Kept(
        0,
        PlannedChanges.note(new Plan(changes, stages), UnitSystem.US),
        "",
        Instant.parse("2026-01-02T03:04:05Z"),
        false);
  }

  /** The newest note stands; one that is taken back lets the one before it stand again. */
  @Test
  void theNewestStandsAndIsTakenBack() {
    var all = DemoChanges.hillClimbEight();
    var turned = all.reversed();
    try (var book = ShopBook.open(folder.resolve("book.sqlite"))) {
      long id = book.add(new BuildDocument(DemoBuilds.hillClimbEight(), List.of()));
      assertThat(PlannedChanges.of(planned(book.document(id)))).isEqualTo(Plan.NONE);
      book.addNote(id, kept(all));
      long second = book.addNote(id, kept(turned, 2, 4));
      assertThat(names(PlannedChanges.of(planned(book.document(id))).changes()))
          .isEqualTo(names(turned));
      assertThat(PlannedChanges.of(planned(book.document(id))).stages()).containsExactly(2, 4);
      book.write(new Entry.StrikeNotes(id, List.of(second), true, Instant.now()));
      assertThat(names(PlannedChanges.of(planned(book.document(id))).changes()))
          .isEqualTo(names(all));
      book.write(new Entry.StrikeNotes(id, List.of(second), false, Instant.now()));
      book.addNote(id, kept(List.of()));
      assertThat(PlannedChanges.of(planned(book.document(id)))).isEqualTo(Plan.NONE);
    }
    // And after a restart.
    try (var book = ShopBook.open(folder.resolve("book.sqlite"))) {
      long id = book.builds().getFirst().id();
      assertThat(planned(book.document(id))).hasSize(3);
    }
  }

  /** A build that goes out as a document takes its ladder along, prices and needs with it. */
  @Test
  void theyTravelWithTheirBuild() {
    var demo = PlannedChanges.demo();
    var back = BuildJson.read(BuildJson.write(demo));
    var plan = PlannedChanges.of(planned(back));
    var changes = plan.changes();
    assertThat(plan.stages()).isEqualTo(DemoChanges.plan().stages()).isNotEmpty();
    assertThat(names(changes)).isEqualTo(names(DemoChanges.hillClimbEight()));
    assertThat(changes)
        .extracting(c -> c.cost().money())
        .isEqualTo(DemoChanges.hillClimbEight().stream().map(c -> c.cost().money()).toList());
    assertThat(changes.get(3).needs()).isEqualTo(DemoChanges.hillClimbEight().get(3).needs());
    assertThat(BuildJson.writeCompact(back)).isEqualTo(BuildJson.writeCompact(demo));
    try (var book = ShopBook.open(folder.resolve("other.sqlite"))) {
      long id = book.add(back);
      assertThat(names(PlannedChanges.of(planned(book.document(id))).changes()))
          .isEqualTo(names(changes));
      // The engine that they are made on fits them.
      var engine = book.document(id).engine();
      for (var change : changes) {
        assertThat(change.on(engine).key()).isNotEqualTo(engine.key());
      }
    }
  }

  /** What is damaged is refused whole, with its place; what is too long is no note. */
  @Test
  void whatIsDamagedIsRefused() {
    var note = PlannedChanges.note(DemoChanges.plan(), UnitSystem.US);
    var torn = new Planned(note.document().substring(0, note.document().length() / 2));
    assertThatThrownBy(() -> PlannedChanges.of(List.of(torn)))
        .isInstanceOf(FormatException.class)
        .hasMessageContaining("line");
    var empty = new Planned(note.document().replace("[ 3 ]", "[ 3, 5 ]"));
    assertThatThrownBy(() -> PlannedChanges.of(List.of(empty)))
        .isInstanceOf(InvalidInput.class)
        .hasMessageContaining("5 of 5");
    var other = new Planned("{\"format\": \"grand-bore-build\", \"version\": 1}");
    assertThatThrownBy(() -> PlannedChanges.of(List.of(other))).isInstanceOf(FormatException.class);
    assertThatThrownBy(() -> new Planned("x".repeat(500_000)))
        .isInstanceOf(InvalidInput.class)
        .hasMessageContaining("too long");
    assertThat(PlannedChanges.of(List.of(torn, new Planned("")))).isEqualTo(Plan.NONE);
  }
}
