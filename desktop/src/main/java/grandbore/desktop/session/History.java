package grandbore.desktop.session;

import grandbore.book.Entry;
import grandbore.book.Opened;
import grandbore.core.build.Build;
import grandbore.core.clearances.Readings;
import java.time.Instant;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.HashSet;
import java.util.List;
import java.util.function.Supplier;
import java.util.stream.Stream;

/** The way back and forth of the build on the bench, in memory. */
final class History {
  /** A revision that undo or redo may bring; an older one's document is read when it is asked. */
  record Version(long revision, Supplier<Build> build) {}

  /** One thing that can be taken back. */
  sealed interface Step {
    String what();

    /** The build was changed. */
    record Revised(String what, Version before, Version after) implements Step {}

    /** Readings or a note were added, or struck out. */
    record Rows(String what, boolean notes, List<Long> ids, boolean struck) implements Step {}

    /** Two of these at once. */
    record Both(String what, Rows first, Rows second) implements Step {}
  }

  private final Deque<Step> done = new ArrayDeque<>();
  private final Deque<Step> undone = new ArrayDeque<>();

  /** The way back of a build that is opened. */
  static History of(Opened o) {
    var history = new History();
    var here = new Version(o.revision(), o::build);
    var after = here;
    String what = o.what();
    for (var r : o.past()) {
      var before = new Version(r.id(), r::build);
      history.done.addLast(new Step.Revised(what, before, after));
      after = before;
      what = r.what();
    }
    var from = here;
    for (var r : o.future()) {
      var to = new Version(r.id(), r::build);
      history.undone.addLast(new Step.Revised(r.what(), from, to));
      from = to;
    }
    return history;
  }

  void did(Step step) {
    done.push(step);
    undone.clear();
  }

  /** What undo would take back, empty where nothing is. */
  String undoes() {
    return done.isEmpty() ? "" : done.peek().what();
  }

  String redoes() {
    return undone.isEmpty() ? "" : undone.peek().what();
  }

  /** A state of the bench and what leads there in the book, in order. */
  record Move(Bench to, List<Entry> entries) {
    Move then(Move next) {
      return new Move(next.to, Stream.concat(entries.stream(), next.entries.stream()).toList());
    }
  }

  /**
   * Where one step back or forth leads, {@code null} where there is none; nothing is moved where
   * the step's document can't be read.
   */
  Move move(Bench bench, boolean back) {
    var from = back ? done : undone;
    if (from.isEmpty()) {
      return null;
    }
    var step = from.peek();
    var move =
        switch (step) {
          case Step.Revised r -> {
            var to = back ? r.before() : r.after();
            yield new Move(
                bench.with(to.build().get(), to.revision()),
                List.of(new Entry.Stand(bench.id(), to.revision())));
          }
          case Step.Rows r -> struck(bench, r, back);
          case Step.Both b -> {
            var one = struck(bench, b.first(), back);
            yield one.then(struck(one.to(), b.second(), back));
          }
        };
    from.pop();
    (back ? undone : done).push(step);
    return move;
  }

  private static Move struck(Bench bench, Step.Rows rows, boolean back) {
    return struck(bench, rows.notes(), rows.ids(), back != rows.struck());
  }

  /** The bench with rows struck out, or back. */
  static Move struck(Bench bench, boolean notes, List<Long> ids, boolean struck) {
    var which = new HashSet<>(ids);
    var now = Instant.now();
    if (notes) {
      var all =
          bench.notes().stream().map(k -> which.contains(k.id()) ? k.struck(struck) : k).toList();
      return new Move(
          bench.with(all), List.of(new Entry.StrikeNotes(bench.id(), ids, struck, now)));
    }
    var all =
        bench.readings().all().stream()
            .map(r -> which.contains(r.id()) ? r.struck(struck) : r)
            .toList();
    return new Move(
        bench.with(new Readings(all)), List.of(new Entry.Strike(bench.id(), ids, struck, now)));
  }
}
