package grandbore.core.job;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import grandbore.core.job.route.CriticalPath;
import grandbore.core.job.route.CriticalPath.Activity;
import grandbore.core.job.route.CriticalPath.Span;
import grandbore.core.job.route.WorkDays;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

class CriticalPathTest {
  private static Activity of(String name, int length, Integer... before) {
    return new Activity(name, List.of(before), 0, Span.of(length));
  }

  /**
   * The Reliable Construction Co. project of Hillier and Lieberman, “Introduction to Operations
   * Research”, chapter on project management with PERT/CPM: 44 weeks, critical A-B-C-E-F-J-L-N,
   * slacks of the others 4, 4, 4, 2, 1, 4; its table from memory.
   */
  @Test
  void thePublishedProjectTakes44Weeks() {
    var all =
        List.of(
            of("A", 2),
            of("B", 4, 0),
            of("C", 10, 1),
            of("D", 6, 2),
            of("E", 4, 2),
            of("F", 5, 4),
            of("G", 7, 3),
            of("H", 9, 4, 6),
            of("I", 7, 2),
            of("J", 8, 5, 8),
            of("K", 4, 9),
            of("L", 5, 9),
            of("M", 2, 7),
            of("N", 6, 10, 11));
    var path = new CriticalPath(all);
    assertThat(path.end()).isEqualTo(44);
    var slack = IntStream.range(0, all.size()).mapToObj(path::slack).toList();
    assertThat(slack).containsExactly(0L, 0L, 0L, 4L, 0L, 0L, 4L, 4L, 2L, 0L, 1L, 0L, 4L, 0L);
    assertThat(path.decide(13).stream().map(i -> all.get(i).name()).toList())
        .containsExactly("A", "B", "C", "E", "F", "J", "L", "N");
  }

  /** On random graphs the end is that of the longest of all chains, each chain walked through. */
  @Test
  void theEndIsThatOfTheLongestOfAllChains() {
    var random = new Random(7);
    for (int k = 0; k < 300; k++) {
      int n = 1 + random.nextInt(9);
      var all = new ArrayList<Activity>();
      for (int i = 0; i < n; i++) {
        var before = IntStream.range(0, i).filter(j -> random.nextInt(3) == 0).boxed().toList();
        all.add(new Activity("" + i, before, random.nextInt(6), Span.of(random.nextInt(8))));
      }
      var path = new CriticalPath(all);
      var longest = IntStream.range(0, n).mapToLong(i -> longest(all, i)).toArray();
      for (int i = 0; i < n; i++) {
        assertThat(path.finish(i)).isEqualTo(longest[i]);
        // Put off by its slack it moves no end; by one more it does.
        assertThat(end(all, i, path.slack(i))).isEqualTo(path.end());
        assertThat(end(all, i, path.slack(i) + 1)).isGreaterThan(path.end());
      }
    }
  }

  private static long longest(List<Activity> all, int i) {
    var a = all.get(i);
    long start = a.before().stream().mapToLong(p -> longest(all, p)).max().orElse(0);
    return a.span().finish(Math.max(a.ready(), start));
  }

  private static long end(List<Activity> all, int late, long by) {
    var moved = new ArrayList<>(all);
    var was = all.get(late);
    long at = new CriticalPath(all).start(late) + by;
    moved.set(late, new Activity(was.name(), was.before(), at, was.span()));
    return new CriticalPath(moved).end();
  }

  @Test
  void aRingIsRefusedByName() {
    assertThatThrownBy(
            () -> new CriticalPath(List.of(of("deck", 1, 1), of("bore", 1, 0), of("strip", 1))))
        .hasMessageContaining("deck, bore")
        .hasMessageNotContaining("strip");
  }

  /** Work goes on the next day of work; the latest start is the last that still ends in time. */
  @Test
  void workIsDoneOnDaysOfWorkOnly() {
    var days = WorkDays.USUAL;
    var friday = LocalDate.of(2026, 11, 27);
    long six = days.span(6, 0).finish(days.opening(friday));
    assertThat(days.ends(six)).isEqualTo(friday);
    long ten = days.span(10, 0).finish(days.opening(friday));
    assertThat(days.ends(ten)).isEqualTo(LocalDate.of(2026, 11, 30));
    // A week at the machine shop counts every day, and is looked at on a day of work.
    long away = days.span(2, 8).finish(days.opening(friday));
    assertThat(days.ends(away)).isEqualTo(LocalDate.of(2026, 12, 7));
    assertThat(days.opening(LocalDate.of(2026, 11, 28)))
        .isEqualTo(days.opening(LocalDate.of(2026, 11, 30)));

    var random = new Random(3);
    for (int k = 0; k < 2000; k++) {
      var on = EnumSet.noneOf(DayOfWeek.class);
      on.add(DayOfWeek.of(1 + random.nextInt(7)));
      for (int i = 0; i < 5; i++) {
        on.add(DayOfWeek.of(1 + random.nextInt(7)));
      }
      var some = new WorkDays(on, 1 + random.nextInt(10));
      var span = some.span(random.nextInt(40) / 2.0, random.nextInt(9));
      long start = some.opening(friday.plusDays(random.nextInt(9))) + random.nextInt(60);
      long finish = span.finish(start);
      long latest = span.start(finish);
      assertThat(latest).isGreaterThanOrEqualTo(start);
      assertThat(span.finish(latest)).isLessThanOrEqualTo(finish);
      assertThat(span.finish(start + 1)).isGreaterThanOrEqualTo(finish);
    }
  }
}
