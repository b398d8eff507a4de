package grandbore.core.job.route;

import grandbore.core.combination.InvalidInput;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.Set;

/**
 * The shop's days. A time is a whole number of minutes: 1440 times the day since 1 January 1970,
 * and the minutes of that day's work on it.
 *
 * @param on days of the week on which there is work
 * @param hours of work on each
 */
public record WorkDays(Set<DayOfWeek> on, double hours) {
  private static final long DAY = 1440;
  private static final int WEEK = 7;

  public static final WorkDays USUAL =
      new WorkDays(
          Set.of(
              DayOfWeek.MONDAY,
              DayOfWeek.TUESDAY,
              DayOfWeek.WEDNESDAY,
              DayOfWeek.THURSDAY,
              DayOfWeek.FRIDAY),
          8);

  public WorkDays {
    if (on.isEmpty()) {
      throw new InvalidInput("Days of work", "none", "1 to 7 of the week", "work has to be done");
    }
    if (!(hours >= 0.25 && hours <= 24)) {
      throw new InvalidInput("Hours of a day", "" + hours, "0.25 to 24", "work has to be done");
    }
    on = Set.copyOf(on);
  }

  private long shift() {
    return Math.round(60 * hours);
  }

  private boolean isOff(long day) {
    return !on.contains(LocalDate.ofEpochDay(day).getDayOfWeek());
  }

  private long next(long day) {
    long d = day;
    for (int i = 0; i < WEEK && isOff(d); i++) {
      d++;
    }
    return d;
  }

  private long last(long day) {
    long d = day;
    for (int i = 0; i < WEEK && isOff(d); i++) {
      d--;
    }
    return d;
  }

  /** When a day's work begins; the next day's that has work. */
  public long opening(LocalDate day) {
    return DAY * next(day.toEpochDay());
  }

  /** The day on which something stands that ends then. */
  public LocalDate ends(long time) {
    return LocalDate.ofEpochDay(Math.floorDiv(time, DAY));
  }

  /** The day on which something is begun then. */
  public LocalDate begins(long time) {
    return LocalDate.ofEpochDay(Math.floorDiv(moment(time), DAY));
  }

  /** The same moment told one way: the end of a day's work is the next day's beginning. */
  public long moment(long time) {
    long day = Math.floorDiv(time, DAY);
    long into = Math.floorMod(time, DAY);
    boolean over = into >= shift() || isOff(day);
    return over ? DAY * next(isOff(day) ? day : day + 1) : time;
  }

  /** Work, then days of waiting. */
  public CriticalPath.Span span(double work, int wait) {
    long minutes = Math.round(60 * work);
    return new CriticalPath.Span() {
      @Override
      public long finish(long start) {
        long done = minutes == 0 ? start : onward(start, minutes);
        return wait == 0 ? done : DAY * next(Math.floorDiv(done, DAY) + wait);
      }

      @Override
      public long start(long finish) {
        long away = wait == 0 ? finish : DAY * (last(Math.floorDiv(finish, DAY)) - wait) + shift();
        return minutes == 0 ? away : back(away, minutes);
      }
    };
  }

  /** Time after so much work. */
  long onward(long start, long minutes) {
    long day = Math.floorDiv(start, DAY);
    long into = Math.min(shift(), Math.floorMod(start, DAY));
    if (isOff(day)) {
      day = next(day);
      into = 0;
    }
    long left = minutes;
    while (left > shift() - into) {
      left -= shift() - into;
      day = next(day + 1);
      into = 0;
    }
    return DAY * day + into + left;
  }

  /** The latest time from which so much work is done by then. */
  private long back(long finish, long minutes) {
    long day = Math.floorDiv(finish, DAY);
    long into = Math.min(shift(), Math.floorMod(finish, DAY));
    if (isOff(day)) {
      day = last(day);
      into = shift();
    }
    long left = minutes;
    while (left > into) {
      left -= into;
      day = last(day - 1);
      into = shift();
    }
    return DAY * day + into - left;
  }
}
