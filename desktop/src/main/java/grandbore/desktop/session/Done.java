package grandbore.desktop.session;

import grandbore.book.Entry;
import grandbore.core.build.Build;
import grandbore.core.clearances.Kept;
import grandbore.core.clearances.Reading;
import grandbore.core.clearances.Readings;
import grandbore.desktop.session.History.Move;
import grandbore.desktop.session.History.Step;
import grandbore.desktop.session.History.Version;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;

/**
 * Something done to the bench: where it leads, what is written of it, and the step that takes it
 * back.
 *
 * @param step {@code null} where there is nothing to take back
 */
record Done(Move move, Step step) {
  /**
   * The build was changed.
   *
   * @param what in words
   * @param revision that the change becomes
   */
  static Done edited(Bench was, String what, Build now, long revision) {
    return new Done(
        new Move(
            was.with(now, revision),
            List.of(
                new Entry.Revise(was.id(), revision, was.revision(), what, now, Instant.now()))),
        new Step.Revised(
            what, new Version(was.revision(), was::build), new Version(revision, () -> now)));
  }

  /** Readings were added; those that come in struck are a matter of record. */
  static Done read(Bench was, List<Reading> kept) {
    var all = new ArrayList<>(was.readings().all());
    all.addAll(kept);
    var standing = kept.stream().filter(r -> !r.struck()).map(Reading::id).toList();
    String what = standing.size() == 1 ? "a reading" : standing.size() + " readings";
    return new Done(
        new Move(was.with(new Readings(all)), List.of(new Entry.Take(was.id(), kept))),
        standing.isEmpty() ? null : new Step.Rows(what, false, standing, false));
  }

  /** Readings were struck out together, or that was taken back. */
  static Done struck(Bench was, List<Long> readings, boolean struck) {
    String what =
        readings.size() == 1
            ? "striking out a reading"
            : "striking out %d readings".formatted(readings.size());
    return new Done(
        History.struck(was, false, readings, struck), new Step.Rows(what, false, readings, struck));
  }

  /** A note was struck out, or that was taken back. */
  static Done noteStruck(Bench was, long note, boolean struck) {
    return new Done(
        History.struck(was, true, List.of(note), struck),
        new Step.Rows("striking out a note", true, List.of(note), struck));
  }

  /** Notes were added, and readings that they take the ground from struck out with them. */
  static Done kept(Bench was, List<Kept> kept, List<Long> readings) {
    var all = new ArrayList<>(was.notes());
    all.addAll(kept);
    var move = new Move(was.with(all), List.of(new Entry.Notes(was.id(), kept)));
    String what = kept.size() == 1 ? "a note" : kept.size() + " notes";
    var step = new Step.Rows(what, true, kept.stream().map(Kept::id).toList(), false);
    return readings.isEmpty()
        ? new Done(move, step)
        : new Done(
            move.then(History.struck(move.to(), false, readings, true)),
            new Step.Both(what, step, new Step.Rows(what, false, readings, true)));
  }
}
