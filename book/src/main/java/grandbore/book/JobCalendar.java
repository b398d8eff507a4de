package grandbore.book;

import grandbore.core.job.Days;
import grandbore.core.job.Route;
import java.io.IOException;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.LocalDate;
import java.util.UUID;
import net.fortuna.ical4j.data.CalendarOutputter;
import net.fortuna.ical4j.model.Calendar;
import net.fortuna.ical4j.model.component.VEvent;
import net.fortuna.ical4j.model.property.Description;
import net.fortuna.ical4j.model.property.DtEnd;
import net.fortuna.ical4j.model.property.DtStamp;
import net.fortuna.ical4j.model.property.DtStart;
import net.fortuna.ical4j.model.property.ProdId;
import net.fortuna.ical4j.model.property.Summary;
import net.fortuna.ical4j.model.property.Uid;
import net.fortuna.ical4j.model.property.immutable.ImmutableCalScale;
import net.fortuna.ical4j.model.property.immutable.ImmutableVersion;

/**
 * A route as an iCalendar document (RFC 5545): the steps that are open as events of whole days, and
 * what is promised.
 */
public final class JobCalendar {
  private JobCalendar() {}

  /**
   * The document's text.
   *
   * @param name of the build, in every event
   * @param at when it is written
   */
  public static String write(String name, Route route, Instant at) {
    var calendar = new Calendar();
    calendar.add(new ProdId("-//Grand Bore//Route//EN"));
    calendar.add(ImmutableVersion.VERSION_2_0);
    calendar.add(ImmutableCalScale.GREGORIAN);
    for (var p : route.steps()) {
      if (p.state() != Route.State.DONE) {
        String words =
            p.state().title()
                + (p.decides()
                    ? "; decides the day of the dyno"
                    : "; may slip " + Days.words(p.slack()))
                + (p.waits().isEmpty() ? "" : "; " + String.join("; ", p.waits()));
        add(
            calendar,
            name + "/step/" + p.step().id(),
            name + ": " + p.step().title(),
            words,
            p.begins(),
            p.ends(),
            at);
      }
    }
    for (var d : route.due()) {
      add(
          calendar,
          name + "/due/" + d.what(),
          name + ": " + d.what(),
          d.late() ? "late" : "promised",
          d.day(),
          d.day(),
          at);
    }
    var out = new StringWriter();
    try {
      new CalendarOutputter(false).output(calendar, out);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return out.toString();
  }

  private static void add(
      Calendar calendar,
      String key,
      String title,
      String words,
      LocalDate from,
      LocalDate to,
      Instant at) {
    var event = new VEvent(false);
    // The same thing has the same number in each document, so that it is moved, not doubled.
    event.add(new Uid(UUID.nameUUIDFromBytes(key.getBytes(StandardCharsets.UTF_8)).toString()));
    event.add(new DtStamp(at));
    event.add(new DtStart<>(from));
    event.add(new DtEnd<>(to.plusDays(1)));
    event.add(new Summary(title));
    event.add(new Description(words));
    calendar.add(event);
  }
}
