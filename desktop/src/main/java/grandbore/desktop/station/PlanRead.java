package grandbore.desktop.station;

import grandbore.book.FormatException;
import grandbore.book.PlannedChanges;
import grandbore.core.changes.Plan;
import grandbore.core.clearances.Planned;
import grandbore.desktop.session.LastRead;
import grandbore.desktop.session.Session;

/** The ladder of the build on the bench; none where it can't be read, which its own view tells. */
final class PlanRead {
  private final Session session;
  private final LastRead<Planned, Plan> read = new LastRead<>(PlannedChanges::of);

  PlanRead(Session session) {
    this.session = session;
  }

  Plan plan() {
    try {
      return read.of(session.notes(Planned.class));
    } catch (FormatException e) {
      return Plan.NONE;
    }
  }
}
