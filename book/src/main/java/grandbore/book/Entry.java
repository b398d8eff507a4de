package grandbore.book;

import grandbore.core.build.Build;
import grandbore.core.clearances.Kept;
import grandbore.core.clearances.Reading;
import grandbore.core.job.JobLine;
import java.time.Instant;
import java.util.List;

/**
 * One thing that is written into the book, all of it or nothing. Rows carry their numbers, so that
 * one that is written a second time, because nobody knew whether the first had worked, changes
 * nothing.
 */
public sealed interface Entry {
  /** The build that it is about. */
  long build();

  /** A build is begun, with all that hangs on it; numbers of its rows are given by the book. */
  record Begin(long build, BuildDocument document, Instant at) implements Entry {}

  /** A build is changed. */
  record Revise(long build, long revision, long parent, String what, Build now, Instant at)
      implements Entry {}

  /** Another of a build's revisions stands: undo and redo. */
  record Stand(long build, long revision) implements Entry {}

  /** Readings were taken, together or not at all. */
  record Take(long build, List<Reading> readings) implements Entry {
    public Take {
      readings = List.copyOf(readings);
    }
  }

  /** Readings are struck out, or that is taken back. */
  record Strike(long build, List<Long> readings, boolean struck, Instant at) implements Entry {
    public Strike {
      readings = List.copyOf(readings);
    }
  }

  /** Notes are kept, together or not at all. */
  record Notes(long build, List<Kept> kept) implements Entry {
    public Notes {
      kept = List.copyOf(kept);
    }
  }

  /** Notes are struck out, or that is taken back. */
  record StrikeNotes(long build, List<Long> notes, boolean struck, Instant at) implements Entry {
    public StrikeNotes {
      notes = List.copyOf(notes);
    }
  }

  /** A build leaves the list, or comes back to it. */
  record Shelve(long build, Summary.Place place, Instant at) implements Entry {}

  /** What was predicted of a build and how much of it is measured, 0 to 1, for the list. */
  record Predicted(long build, double power, double speed, double measured) implements Entry {}

  /** How a build stands as a job, for the list. */
  record Stands(long build, JobLine line) implements Entry {}
}
