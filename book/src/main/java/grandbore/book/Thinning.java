package grandbore.book;

import grandbore.book.Backups.Backup;
import grandbore.book.Backups.Kind;
import java.time.Duration;
import java.time.LocalDateTime;
import java.time.temporal.IsoFields;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;

/**
 * Which backups are kept: of the days' ones the newest of each of seven days, five weeks and twelve
 * months; of those asked for the newest ten; of damaged books the newest three. A copy without a
 * seal never takes the place of one that has it. Copies far apart in time are thinned by
 * themselves, and those from the future not at all, so that a clock that stood wrong costs nothing.
 */
final class Thinning {
  private static final int DAYS = 7;
  private static final int WEEKS = 5;
  private static final int MONTHS = 12;
  private static final int BY_HAND = 10;
  private static final int DAMAGED = 3;
  private static final Duration APART = Duration.ofDays(60);

  private Thinning() {}

  /** Which of them are kept, out of all, the newest first. */
  static Set<Backup> kept(List<Backup> newestFirst, LocalDateTime now) {
    var kept = new LinkedHashSet<Backup>();
    var daily = new ArrayList<Backup>();
    int byHand = 0;
    int damaged = 0;
    for (var b : newestFirst) {
      boolean ahead = b.made().isAfter(now.plusDays(1));
      boolean room =
          switch (b.kind()) {
            case BY_HAND -> byHand++ < BY_HAND;
            case DAMAGED -> damaged++ < DAMAGED;
            case DAILY -> false;
          };
      if (ahead || room) {
        kept.add(b);
      } else if (b.kind() == Kind.DAILY) {
        daily.add(b);
      }
    }
    var stretch = new ArrayList<Backup>();
    for (var b : daily) {
      if (!stretch.isEmpty()
          && Duration.between(b.made(), stretch.getLast().made()).compareTo(APART) > 0) {
        keep(stretch, kept);
        stretch.clear();
      }
      stretch.add(b);
    }
    keep(stretch, kept);
    return kept;
  }

  /** Sealed ones take the places first; what has no seal fills those that are left. */
  private static void keep(List<Backup> newestFirst, Set<Backup> kept) {
    var days = new HashSet<Object>();
    var weeks = new HashSet<Object>();
    var months = new HashSet<Object>();
    for (boolean sealed : new boolean[] {true, false}) {
      for (var b : newestFirst) {
        if (b.sealed() != sealed) {
          continue;
        }
        var date = b.made().toLocalDate();
        Object week =
            date.get(IsoFields.WEEK_BASED_YEAR) * 100 + date.get(IsoFields.WEEK_OF_WEEK_BASED_YEAR);
        Object month = date.getYear() * 100 + date.getMonthValue();
        boolean keep = isNew(days, date, DAYS);
        keep |= isNew(weeks, week, WEEKS);
        keep |= isNew(months, month, MONTHS);
        if (keep) {
          kept.add(b);
        }
      }
    }
  }

  private static boolean isNew(Set<Object> seen, Object what, int most) {
    return seen.size() < most && seen.add(what);
  }
}
