package grandbore.desktop.job;

import grandbore.book.JobBook;
import grandbore.book.JobJson;
import grandbore.core.build.Build;
import grandbore.core.clearances.Kept;
import grandbore.core.clearances.Note;
import grandbore.core.clearances.OnJob;
import grandbore.core.clearances.OwnKind;
import grandbore.core.clearances.OwnLedger;
import grandbore.core.clearances.OwnReading;
import grandbore.core.clearances.Readings;
import grandbore.core.job.Job;
import grandbore.core.job.JobLine;
import grandbore.core.job.Money;
import grandbore.core.job.OptionDate;
import grandbore.core.job.Route;
import grandbore.core.job.route.Step;
import grandbore.desktop.session.Books;
import grandbore.desktop.session.Session;
import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CompletableFuture;
import java.util.function.Consumer;
import javafx.application.Platform;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.SimpleStringProperty;
import javafx.beans.property.StringProperty;

/** The job of the build on the bench as the window holds it, read and planned on another thread. */
public final class JobState {
  /**
   * A job with its dates.
   *
   * @param build that it is of
   * @param own what the shop's own kinds of reading come to
   * @param options the ways to go on, each with its day
   */
  public record Planned(
      JobBook book,
      Build build,
      Readings readings,
      OwnLedger own,
      Route route,
      Money money,
      List<OptionDate> options) {
    public Job job() {
      return book.job();
    }

    private static Planned of(List<Kept> notes, Build build, Readings readings, LocalDate today) {
      var book = JobBook.of(notes);
      return new Planned(
          book,
          build,
          readings,
          new OwnLedger(build.combination(), notes),
          new Route(book.job(), build, readings, today),
          Money.of(book.job(), build.combination().bottomEnd()),
          OptionDate.of(book.job(), build, readings, today));
    }
  }

  private final Session session;
  private final Clock clock;
  private final ReadOnlyObjectWrapper<Planned> planned = new ReadOnlyObjectWrapper<>();
  private final StringProperty trouble = new SimpleStringProperty("");
  private List<Kept> notes = List.of();
  private Build build;
  private Readings readings;
  private JobLine told;
  private long of;
  private int asked;
  private boolean pending;
  private final List<Consumer<Planned>> waiting = new ArrayList<>();

  /**
   * @param clock tells today
   */
  public JobState(Session session, Clock clock) {
    this.session = session;
    this.clock = clock;
    session.benchProperty().subscribe(b -> refresh());
  }

  private static boolean isOfJob(Note n) {
    return n instanceof OnJob || n instanceof OwnKind || n instanceof OwnReading;
  }

  private void refresh() {
    var now = session.bench().notes().stream().filter(k -> isOfJob(k.note())).toList();
    boolean same =
        of == session.id()
            && now.equals(notes)
            && session.build().equals(build)
            && session.readings().equals(readings);
    if (same) {
      return;
    }
    notes = now;
    build = session.build();
    readings = session.readings();
    of = session.id();
    asked++;
    pending = true;
    int mine = asked;
    var today = LocalDate.now(clock);
    var with = build;
    var read = readings;
    var _ =
        CompletableFuture.supplyAsync(() -> Planned.of(now, with, read, today))
            .whenCompleteAsync(
                (is, wrong) -> {
                  if (mine == asked) {
                    trouble.set(wrong == null ? "" : "✕ " + Books.words(wrong));
                    if (wrong != null) {
                      // It is said why; nothing is done with a later plan unasked.
                      waiting.clear();
                    } else {
                      planned.set(is);
                      tell(is);
                      pending = false;
                      var all = List.copyOf(waiting);
                      waiting.clear();
                      all.forEach(a -> a.accept(is));
                    }
                  }
                },
                Platform::runLater);
  }

  /** The list of builds shows how the job stands. */
  private void tell(Planned is) {
    var line = JobLine.of(is.job(), is.route(), is.build());
    if (!line.equals(told)) {
      told = line;
      session.stands(line);
    }
  }

  /** The job with its dates; {@code null} until it was read. */
  public ReadOnlyObjectProperty<Planned> plannedProperty() {
    return planned.getReadOnlyProperty();
  }

  /** Does something with the job as it is after the last edit, as soon as that is planned. */
  void whenPlanned(Consumer<Planned> does) {
    if (pending || planned.get() == null) {
      waiting.add(does);
    } else {
      does.accept(planned.get());
    }
  }

  /** The job as it was read last, an empty one until it was. */
  public Job job() {
    return planned.get() == null ? Job.NONE : planned.get().job();
  }

  /** Why it can't be read or planned, or a choice not be taken; empty where all is well. */
  public StringProperty troubleProperty() {
    return trouble;
  }

  /** Keeps what has changed; what can't be is said. */
  void keep(List<? extends Note> changed) {
    keep(changed, List.of());
  }

  /** Keeps what has changed, and strikes out readings that hold no longer, in one step. */
  void keep(List<? extends Note> changed, List<Long> readings) {
    if (!changed.isEmpty()) {
      trouble.set("");
      session.keep(changed, "", readings);
    }
  }

  void keep(Note changed) {
    keep(List.of(changed));
  }

  /** Takes something off the job; undo brings it back. */
  void remove(OnJob.Kind kind, String key) {
    keep(JobJson.gone(kind, key));
  }

  /** The first key with a letter that nothing of a kind has or had. */
  String next(OnJob.Kind kind, String letter) {
    return JobBook.next(session.bench().notes(), kind, letter);
  }

  /** Does what may be refused; what was refused is said. */
  boolean tried(Runnable does) {
    try {
      does.run();
      trouble.set("");
      return true;
    } catch (IllegalArgumentException e) {
      trouble.set("✕ " + e.getMessage());
      return false;
    }
  }

  /** A step with its dates, where the job has it. */
  Route.Planned step(String id) {
    return planned.get() == null
        ? null
        : planned.get().route().steps().stream()
            .filter(p -> p.step().id().equals(id))
            .findFirst()
            .orElse(null);
  }

  /** Keeps a step as it stands now. */
  void put(Step step) {
    keep(JobJson.note(step));
  }

  Session session() {
    return session;
  }

  LocalDate today() {
    return LocalDate.now(clock);
  }
}
