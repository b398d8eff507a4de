package grandbore.desktop.session;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import grandbore.book.Entry;
import grandbore.book.FormatException;
import grandbore.book.Opened;
import grandbore.core.build.Build;
import grandbore.core.clearances.Kept;
import grandbore.core.clearances.Readings;
import grandbore.core.clearances.Remark;
import grandbore.core.demo.DemoBuilds;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Back and forth at random: what stands is always what stood then, as a plain list says. */
class HistoryWalkTest {
  private static final Build BUILD = DemoBuilds.paddockFour();
  private static final Instant THEN = Instant.parse("2026-10-03T09:00:00Z");

  private static Build named(String name) {
    return BUILD.with(BUILD.combination().named(name));
  }

  private static Opened opened(List<Opened.Revision> past, List<Opened.Revision> future) {
    return new Opened(
        7, named("0"), 100, "opened", new Readings(List.of()), List.of(), past, future, List.of());
  }

  /** What a bench shows of itself: its build's name and which remarks stand. */
  private static String seen(Bench bench) {
    return bench.build().name()
        + bench.notes().stream().filter(k -> !k.struck()).map(Kept::id).toList();
  }

  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8})
  void anyWalkEndsWhereTheListOfStatesSays(long seed) {
    var random = new Random(seed);
    var history = History.of(opened(List.of(), List.of()));
    var bench = Bench.of(opened(List.of(), List.of()));
    var states = new ArrayList<String>(List.of(seen(bench)));
    var said = new ArrayList<String>();
    int at = 0;
    for (int step = 1; step <= 150; step++) {
      double what = random.nextDouble();
      if (what < 0.25) {
        long revision = 100L + step;
        String name = "build " + step;
        var from = bench;
        history.did(
            new History.Step.Revised(
                name,
                new History.Version(from.revision(), from::build),
                new History.Version(revision, () -> named(name))));
        bench = bench.with(named(name), revision);
        at = forget(states, said, at, seen(bench), name);
      } else if (what < 0.45) {
        var all = new ArrayList<>(bench.notes());
        all.add(new Kept(step, new Remark("remark " + step), "", THEN, false));
        bench = bench.with(List.copyOf(all));
        String name = "note " + step;
        history.did(new History.Step.Rows(name, true, List.of((long) step), false));
        at = forget(states, said, at, seen(bench), name);
      } else if (what < 0.5 && bench.notes().stream().anyMatch(k -> !k.struck())) {
        // One note takes another's place, in one step.
        long gone = bench.notes().stream().filter(k -> !k.struck()).findFirst().orElseThrow().id();
        var all = new ArrayList<>(bench.notes());
        all.add(new Kept(step, new Remark("remark " + step), "", THEN, false));
        bench = History.struck(bench.with(List.copyOf(all)), true, List.of(gone), true).to();
        String name = "instead " + step;
        history.did(
            new History.Step.Both(
                name,
                new History.Step.Rows(name, true, List.of((long) step), false),
                new History.Step.Rows(name, true, List.of(gone), true)));
        at = forget(states, said, at, seen(bench), name);
      } else if (what < 0.55 && bench.notes().stream().anyMatch(k -> !k.struck())) {
        var standing = bench.notes().stream().filter(k -> !k.struck()).toList();
        long id = standing.get(random.nextInt(standing.size())).id();
        bench = History.struck(bench, true, List.of(id), true).to();
        String name = "strike " + id + " at " + step;
        history.did(new History.Step.Rows(name, true, List.of(id), true));
        at = forget(states, said, at, seen(bench), name);
      } else {
        boolean back = random.nextBoolean();
        var move = history.move(bench, back);
        if (back ? at == 0 : at == states.size() - 1) {
          assertThat(move).isNull();
        } else {
          bench = move.to();
          at += back ? -1 : 1;
        }
      }
      assertThat(seen(bench)).as("step %d", step).isEqualTo(states.get(at));
      assertThat(history.undoes()).isEqualTo(at == 0 ? "" : said.get(at - 1));
      assertThat(history.redoes()).isEqualTo(at == said.size() ? "" : said.get(at));
    }
    assertThat(states.size()).isGreaterThan(2);
  }

  /** Something new is done: what was taken back before it is gone. */
  private static int forget(
      List<String> states, List<String> said, int at, String seen, String name) {
    while (states.size() > at + 1) {
      states.removeLast();
      said.removeLast();
    }
    states.add(seen);
    said.add(name);
    return at + 1;
  }

  /** A build that is opened has its way back and forth with it, each step by its own words. */
  @Test
  void whatIsOpenedHasItsWay() {
    var past =
        List.of(
            new Opened.Revision(99, "bore", () -> named("-1")),
            new Opened.Revision(98, "stroke", () -> named("-2")));
    var future = List.of(new Opened.Revision(101, "cam", () -> named("1")));
    var o = opened(past, future);
    var history = History.of(o);
    var bench = Bench.of(o);
    assertThat(history.undoes()).isEqualTo("opened");
    assertThat(history.redoes()).isEqualTo("cam");
    var forth = history.move(bench, false);
    assertThat(forth.to().build().name()).isEqualTo("1");
    assertThat(forth.entries()).containsExactly(new Entry.Stand(7, 101));
    bench = forth.to();
    var names = new ArrayList<String>();
    for (var move = history.move(bench, true); move != null; move = history.move(bench, true)) {
      bench = move.to();
      names.add(bench.build().name());
    }
    assertThat(names).containsExactly("0", "-1", "-2");
    assertThat(history.redoes()).isEqualTo("bore");
  }

  /** A step whose document is damaged is refused with its reason and leaves all as it stood. */
  @Test
  void aDamagedStepMovesNothing() {
    var broken =
        new Opened.Revision(
            99,
            "bore",
            () -> {
              throw new FormatException("line 3: a bore of no length");
            });
    var o = opened(List.of(broken), List.of());
    var history = History.of(o);
    var bench = Bench.of(o);
    for (int k = 0; k < 2; k++) {
      assertThatThrownBy(() -> history.move(bench, true))
          .isInstanceOf(FormatException.class)
          .hasMessageContaining("line 3");
      assertThat(history.undoes()).isEqualTo("opened");
      assertThat(history.redoes()).isEmpty();
    }
  }
}
