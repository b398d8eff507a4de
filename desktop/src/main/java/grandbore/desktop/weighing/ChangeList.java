package grandbore.desktop.weighing;

import grandbore.book.PlannedChanges;
import grandbore.core.changes.Change;
import grandbore.core.changes.Cost;
import grandbore.core.changes.Plan;
import grandbore.core.clearances.Planned;
import grandbore.core.combination.Combination;
import grandbore.desktop.session.LastRead;
import grandbore.desktop.session.Session;
import java.util.List;

/**
 * The changes thought of for the build on the bench, in the order of its ladder. Each step is kept
 * with the build and can be undone; while one is being written, the edits on the bench are its.
 */
final class ChangeList {
  /**
   * A change that is being written.
   *
   * @param build on whose bench
   * @param before the engine as it was when it was begun
   */
  record Written(long build, Combination before) {}

  private final Session session;
  private final LastRead<Planned, Plan> plan = new LastRead<>(PlannedChanges::of);
  private Written written;

  ChangeList(Session session) {
    this.session = session;
  }

  /**
   * As they stand.
   *
   * @throws grandbore.book.FormatException where they can't be read
   */
  Plan plan() {
    return plan.of(session.notes(Planned.class));
  }

  List<Change> all() {
    return plan().changes();
  }

  private void keep(Plan now) {
    if (!now.equals(plan())) {
      session.keep(PlannedChanges.note(now, session.build().units()), "");
    }
  }

  void add(List<Change> more) {
    keep(plan().with(more));
  }

  void remove(int place) {
    keep(plan().without(place));
  }

  /** Moves one to where another stands, those between closing up. */
  void move(int from, int to) {
    keep(plan().moved(from, to));
  }

  /** Puts all in another order: places from 0. */
  void order(List<Integer> places) {
    keep(plan().ordered(places));
  }

  /** A stage ends after this one, or no more. */
  void stage(int place) {
    keep(plan().staged(place));
  }

  /** Makes one on the build on the bench. */
  void make(int place) {
    var change = all().get(place);
    session.edit(change.name(), b -> b.with(change.on(b.combination())));
  }

  boolean isWriting() {
    return written != null && written.build == session.id();
  }

  /** From now on edits on the bench are a change's. */
  void begin() {
    written = new Written(session.id(), session.build().combination());
  }

  /** The engine goes back to where it was; nothing is kept. */
  void giveUp() {
    var before = written.before;
    written = null;
    session.edit("Change given up", b -> b.with(before));
  }

  /**
   * What was edited becomes a change, and the engine goes back to where it was.
   *
   * @throws grandbore.core.combination.InvalidInput where nothing was edited
   */
  void close(String name, Cost cost, String supplier, List<String> needs) {
    var before = written.before;
    // Refused before anything is put back: what was edited is not lost.
    var between = Change.between(name, before, session.build().combination());
    var change = new Change(name, between.sets(), cost, supplier, needs);
    written = null;
    session.edit("Change written", b -> b.with(before));
    add(List.of(change));
  }
}
