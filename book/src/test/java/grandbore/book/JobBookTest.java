package grandbore.book;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import grandbore.core.clearances.Kept;
import grandbore.core.clearances.OnJob;
import grandbore.core.clearances.Photo;
import grandbore.core.clearances.Readings;
import grandbore.core.demo.DemoBuilds;
import grandbore.core.demo.DemoJob;
import grandbore.core.job.Job;
import grandbore.core.job.JobLine;
import grandbore.core.job.Route;
import grandbore.core.job.parts.EnginePart;
import grandbore.core.job.parts.Item;
import grandbore.core.job.parts.ItemMeasure;
import grandbore.core.job.parts.ItemState;
import grandbore.core.job.route.Stage;
import grandbore.core.job.route.Step;
import grandbore.core.job.route.StepCheck;
import java.io.StringReader;
import java.nio.file.Path;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.stream.IntStream;
import net.fortuna.ical4j.data.CalendarBuilder;
import net.fortuna.ical4j.model.component.VEvent;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Whatever hangs on a build of its job comes back from the book and the document. */
class JobBookTest {
  private static final LocalDate TODAY = LocalDate.of(2026, 11, 30);
  private static final Instant NOW = Instant.parse("2026-11-30T08:00:00Z");

  @TempDir Path folder;

  private static List<Kept> kept(List<OnJob> notes) {
    return notes.stream().map(n -> new Kept(0, n, "", NOW, false)).toList();
  }

  private static BuildDocument document(Job job) {
    return new BuildDocument(
        DemoBuilds.hillClimbEight(), DemoBuilds.hillClimbReadings(), kept(JobBook.notes(job)));
  }

  private static Job read(BuildDocument document) {
    return JobBook.of(document.notes()).job();
  }

  /** Random parts and steps beside the demo's orders and options. */
  private static Job any(Random random) {
    var demo = DemoJob.on(TODAY);
    var items = new ArrayList<Item>(demo.items());
    for (int i = 0; i < 10; i++) {
      var part = EnginePart.values()[random.nextInt(EnginePart.values().length)];
      var item =
          Item.wanted("R" + i, part, random.nextInt(9))
              .made("x “y” <z>", "№ " + random.nextInt())
              .from("ä; b", random.nextInt(900) / 7.0, random.nextInt(30))
              .in(ItemState.values()[random.nextInt(ItemState.values().length)])
              .matching(Map.of("port: a", "b"))
              .measured(Map.of(ItemMeasure.WEIGHT, 0.1 + random.nextDouble()));
      items.add(random.nextBoolean() ? item.promised(TODAY.plusDays(random.nextInt(40))) : item);
    }
    var steps = new ArrayList<Step>(demo.steps());
    for (int i = 0; i < 5; i++) {
      var step =
          Step.of("own" + i, "Own & odd " + i, Stage.values()[random.nextInt(6)], random.nextInt(9))
              .checks(StepCheck.of("looked at", 1 + random.nextInt(20)).turned(1))
              .notBefore(random.nextBoolean() ? TODAY.plusDays(3) : null);
      steps.add(random.nextInt(steps.size()), step);
    }
    return new Job(demo.plan(), items, demo.orders(), steps, demo.options());
  }

  @Test
  void nothingIsLostOnTheWay() {
    var random = new Random(8);
    for (int k = 0; k < 10; k++) {
      var job = any(random);
      var out = BuildJson.read(BuildJson.write(document(job)));
      assertThat(read(out)).isEqualTo(job);
    }
    var job = any(random);
    try (var book = ShopBook.open(folder.resolve("book.db"))) {
      long id = book.add(document(job));
      assertThat(read(book.document(id))).isEqualTo(job);
      // A copy is begun from the document; the archive and the bin keep it.
      long copy = book.add(book.document(id));
      book.write(new Entry.Shelve(copy, Summary.Place.BIN, NOW));
      assertThat(read(book.document(copy))).isEqualTo(job);
    }
  }

  /** The newest of each stands; one struck out is as if it had never been. */
  @Test
  void theNewestStandsAndUndoGoesBack() {
    var first = Item.wanted("K1", EnginePart.CAM, 1).promised(TODAY);
    var later = first.in(ItemState.ORDERED).promised(TODAY.plusDays(9));
    var notes = new ArrayList<>(kept(List.of(JobJson.note(first), JobJson.note(later))));
    var book = JobBook.of(notes);
    assertThat(book.job().items()).containsExactly(later);
    assertThat(book.promisedFirst()).containsEntry("K1", TODAY);
    notes.set(1, notes.get(1).struck(true));
    assertThat(JobBook.of(notes).job().items()).containsExactly(first);
    notes.addAll(kept(List.of(JobJson.gone(OnJob.Kind.ITEM, "K1"))));
    assertThat(JobBook.of(notes).job().items()).isEmpty();
    assertThat(JobBook.next(notes, OnJob.Kind.ITEM, "K")).isEqualTo("K2");
    var photo = new Photo("seal.png", "ab".repeat(32), "the seal");
    var step = JobJson.note(Step.of("s", "Seal", Stage.MOCK_UP, 1));
    var pictured = new OnJob(step.kind(), step.key(), step.document(), List.of(photo));
    assertThat(JobBook.of(kept(List.of(pictured))).pictures())
        .containsEntry("STEP/s", List.of(photo));
  }

  @Test
  void aDamagedNoteIsRefusedWithItsPlace() {
    var note = JobJson.note(Item.wanted("K1", EnginePart.CAM, 1));
    for (var broken :
        List.of(
            note.document().replace("\"CAM\"", "\"SONG\""),
            note.document().replace("\"lead\":0", "\"lead\":-3"),
            note.document().replace("}", ""),
            note.document().replace("\"lead\"", "\"led\""))) {
      assertThatThrownBy(
              () -> JobBook.of(kept(List.of(new OnJob(note.kind(), note.key(), broken)))))
          .as(broken)
          .isInstanceOf(IllegalArgumentException.class);
    }
  }

  /** Read by the library's own parser: an event an open step, its days, the same number always. */
  @Test
  void theCalendarHasEveryOpenStep() throws Exception {
    var build = DemoBuilds.hillClimbEight();
    var job = DemoJob.on(TODAY);
    var route = new Route(job, build, new Readings(DemoBuilds.hillClimbReadings()), TODAY);
    String text = JobCalendar.write("V8, \"club\"", route, NOW);
    var events =
        new CalendarBuilder().build(new StringReader(text)).<VEvent>getComponents("VEVENT");
    var open = route.steps().stream().filter(p -> p.state() != Route.State.DONE).toList();
    assertThat(events).hasSize(open.size() + route.due().size());
    for (var p : open) {
      assertThat(events)
          .anySatisfy(
              e -> {
                assertThat(e.getSummary().getValue()).endsWith(p.step().title());
                assertThat(e.getDateTimeStart().getDate()).isEqualTo(p.begins());
                assertThat(e.getDateTimeEnd().getDate()).isEqualTo(p.ends().plusDays(1));
              });
    }
    assertThat(JobCalendar.write("V8, \"club\"", route, NOW)).isEqualTo(text);
  }

  @Test
  void sheetsSayWhatWasMeasuredAndWhatIsWanted() {
    var build = DemoBuilds.hillClimbEight();
    var job = DemoJob.on(TODAY);
    String order = JobSheet.order(build, job, job.order("W2").orElseThrow());
    assertThat(order)
        .contains("Quarry Lane Machine", "57.3 cc", "54.0 cc", "Valve job", "exhaust guide")
        .doesNotContain("NaN");
    String quote = JobSheet.quote(build, job);
    assertThat(quote).contains("Hill-climb club, car 8", "Machine work", "In all");
    var odd = job.items().getFirst().from("<script>", 5, 0);
    assertThat(
            JobSheet.quote(
                build, new Job(job.plan(), List.of(odd), List.of(), List.of(), List.of())))
        .doesNotContain("<script>");
  }

  /** Two hundred builds with their jobs are listed in a fraction of what a hand waits for. */
  @Test
  void homeOfTwoHundredBuildsIsThereAtOnce() {
    var build = DemoBuilds.hillClimbEight();
    var job = DemoJob.on(TODAY);
    var line = JobLine.of(job, new Route(job, build, new Readings(List.of()), TODAY), build);
    try (var book = ShopBook.open(folder.resolve("many.db"))) {
      IntStream.range(0, 200)
          .forEach(
              i -> {
                long id = book.add(new BuildDocument(build, List.of()));
                book.write(new Entry.Stands(id, line));
              });
      long least = Long.MAX_VALUE;
      for (int k = 0; k < 3; k++) {
        long from = System.nanoTime();
        assertThat(book.builds().stream().map(s -> s.line().orElseThrow()).toList())
            .hasSize(200)
            .containsOnly(line);
        least = Math.min(least, System.nanoTime() - from);
      }
      assertThat(least).isLessThan(1_000_000_000L);
    }
  }
}
