package grandbore.desktop.session;

import grandbore.book.Backups;
import grandbore.book.BuildDocument;
import grandbore.book.BuildJson;
import grandbore.book.Entry;
import grandbore.book.Journal;
import grandbore.book.Opened;
import grandbore.book.ShopBook;
import grandbore.core.build.Build;
import grandbore.core.clearances.Kept;
import grandbore.core.clearances.Ledger;
import grandbore.core.clearances.Note;
import grandbore.core.clearances.Reading;
import grandbore.core.clearances.Readings;
import grandbore.core.combination.Given;
import grandbore.core.combination.Measured;
import grandbore.core.combination.Specs;
import grandbore.core.job.JobLine;
import grandbore.core.prediction.BuiltEngine;
import grandbore.core.units.UnitSystem;
import grandbore.core.working.Figure;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.function.UnaryOperator;
import javafx.application.Platform;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.ReadOnlyStringProperty;
import javafx.beans.property.ReadOnlyStringWrapper;
import javafx.beans.value.ObservableValue;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * What is on the bench now, and the way back. The state is one immutable {@link Bench} that changes
 * once per edit, on the window's thread and at once; the book is a journal of it, written behind it
 * in order and read on a thread of its own.
 */
public final class Session implements AutoCloseable {
  private static final Logger LOG = LoggerFactory.getLogger(Session.class);

  private final ShopBook book;
  private final Journal journal;
  private final Books books;
  private final Shelf shelf;
  private final ReadOnlyObjectWrapper<Bench> bench = new ReadOnlyObjectWrapper<>();
  private final ReadOnlyStringWrapper trouble = new ReadOnlyStringWrapper("");
  private final ReadOnlyStringWrapper refusal = new ReadOnlyStringWrapper("");
  private final ReadOnlyObjectWrapper<Over> over = new ReadOnlyObjectWrapper<>();
  private History history;
  private long opening;

  public Session(ShopBook book, Beginning beginning) {
    this.book = book;
    journal = new Journal(book::write, t -> Platform.runLater(() -> trouble(t)));
    books = new Books(book, journal);
    shelf = new Shelf(this, book, journal, books);
    books.listed(beginning.builds());
    put(beginning.opened());
  }

  private void trouble(Journal.Trouble t) {
    trouble.set(
        t.is() ? "%s (%d not stored yet; it is tried again)".formatted(t.why(), t.waiting()) : "");
  }

  /** The state of the bench; it changes once per edit. */
  public ReadOnlyObjectProperty<Bench> benchProperty() {
    return bench.getReadOnlyProperty();
  }

  public Bench bench() {
    return bench.get();
  }

  /** Another build laid over the one on the bench, its measured values in place. */
  public record Over(long id, Build build, BuiltEngine engine) {}

  /** What is laid over, {@code null} for nothing. */
  public ReadOnlyObjectProperty<Over> overProperty() {
    return over.getReadOnlyProperty();
  }

  /**
   * Lays another build of the book over this one; one that the book does not have takes it away.
   */
  public void layOver(long other) {
    if (other == id() || books.builds().stream().noneMatch(b -> b.id() == other)) {
      over.set(null);
      return;
    }
    long from = id();
    var _ =
        books
            .other(other)
            .whenComplete(
                (laid, e) -> {
                  if (e != null) {
                    refuse(Books.words(e));
                  } else if (id() == from) {
                    over.set(laid);
                  }
                });
  }

  /**
   * Puts another build of the book on the bench, once all that was entered is stored. One that
   * can't be opened leaves the bench as it is, says why, and is marked in the list.
   */
  public CompletableFuture<Void> open(long newId) {
    if (!trouble.get().isEmpty()) {
      refuse("Another build can be opened once all that was entered is stored");
      return CompletableFuture.completedFuture(null);
    }
    long wish = ++opening;
    return books
        .open(newId)
        .handle(
            (opened, e) -> {
              if (e != null) {
                var _ = books.unreadable(newId, Books.words(e)).thenAccept(this::refuse);
              } else if (wish == opening) {
                put(opened);
              }
              return null;
            });
  }

  private void put(Opened opened) {
    if (over.get() != null && over.get().id() == opened.id()) {
      over.set(null);
    }
    history = History.of(opened);
    refusal.set("");
    bench.set(Bench.of(opened));
  }

  /**
   * Begins a build with all that hangs on it, and puts it on the bench once it is stored.
   *
   * @throws IllegalArgumentException where the document makes an impossible engine: nothing is
   *     stored
   */
  public CompletableFuture<Void> begin(BuildDocument document) {
    document.engine();
    long begun = book.nextBuild();
    journal.add(new Entry.Begin(begun, document, Instant.now()));
    return open(begun).thenCompose(v -> books.refresh());
  }

  /** Keeps what was predicted of the build on the bench, for the list. */
  public void predicted(double power, double speed) {
    journal.add(
        new Entry.Predicted(id(), power, speed, Measured.of(engine().combination()).share()));
  }

  /** Keeps how the build on the bench stands as a job, for the list. */
  public void stands(JobLine line) {
    journal.add(new Entry.Stands(id(), line));
    books.stands(id(), line);
  }

  public long id() {
    return bench().id();
  }

  public Build build() {
    return bench().build();
  }

  public ObservableValue<Build> buildProperty() {
    return bench.map(Bench::build);
  }

  public Readings readings() {
    return bench().readings();
  }

  public ObservableValue<Readings> readingsProperty() {
    return bench.map(Bench::readings);
  }

  /** What is kept beside the readings, the shop's own rules with it, struck ones too. */
  public ObservableValue<List<Kept>> notesProperty() {
    return bench.map(Bench::notes);
  }

  /** The notes of one kind that stand, the oldest first. */
  public <T extends Note> List<T> notes(Class<T> kind) {
    return bench().notes(kind);
  }

  /** What the readings come to on the build as it is specified. */
  public Ledger ledger() {
    return bench().ledger();
  }

  /** The figures of the build on the bench, each with its working. */
  public List<Figure> figures() {
    return bench().figures();
  }

  /** One of them by its name, where this build has it. */
  public Optional<Figure> figure(String name) {
    return figures().stream().filter(f -> f.name().equals(name)).findFirst();
  }

  /** The engine with the measured values in place. */
  public BuiltEngine engine() {
    return bench().engine();
  }

  /** The book: its list of builds, backups and pictures. */
  public Books books() {
    return books;
  }

  /** The builds as things with names. */
  public Shelf shelf() {
    return shelf;
  }

  /** Puts a backup in the book's place and opens it; gives where the book as it was lies now. */
  public CompletableFuture<Path> restore(Backups.Backup backup) {
    return books
        .restore(backup, id())
        .thenApply(
            r -> {
              opening++;
              books.listed(r.beginning().builds());
              put(r.beginning().opened());
              return r.aside();
            });
  }

  /** Why the book could not be written, empty where all is kept. */
  public ReadOnlyStringProperty troubleProperty() {
    return trouble.getReadOnlyProperty();
  }

  /** Why the last choice could not be taken, empty once one was. */
  public ReadOnlyStringProperty refusalProperty() {
    return refusal.getReadOnlyProperty();
  }

  /** Says why a choice could not be taken. */
  public void refuse(String why) {
    refusal.set(why);
  }

  private void apply(Done done) {
    refusal.set("");
    done.move().entries().forEach(journal::add);
    if (done.step() != null) {
      history.did(done.step());
    }
    bench.set(done.move().to());
  }

  /** Changes the build and keeps the change; throws where the result can't be. */
  public void edit(String what, UnaryOperator<Build> change) {
    var was = bench();
    var now = change.apply(was.build());
    if (now.equals(was.build())) {
      return;
    }
    if (was.contradiction().isEmpty()) {
      now.asMeasured(was.readings());
    }
    apply(Done.edited(was, what, now, book.nextRevision()));
  }

  /** Changes one input. */
  public void put(Specs.Field field, Given value) {
    edit(field.spec().label(), b -> b.with(field.with(b.combination(), value)));
  }

  /** Keeps a reading; throws where it makes an impossible engine. */
  public void read(Reading reading) {
    read(List.of(reading));
  }

  /** Keeps readings, all or none; throws where they make an impossible engine together. */
  public void read(List<Reading> readings) {
    if (readings.isEmpty()) {
      return;
    }
    var was = bench();
    var all = new ArrayList<>(was.readings().all());
    all.addAll(readings);
    if (was.contradiction().isEmpty()) {
      was.build().asMeasured(new Readings(all));
    }
    apply(Done.read(was, readings.stream().map(book::numbered).toList()));
  }

  /** Strikes a reading out, or takes that back. */
  public void strike(long reading, boolean struck) {
    strike(List.of(reading), struck);
  }

  /** Strikes readings out together, or takes that back. */
  public void strike(List<Long> readings, boolean struck) {
    apply(Done.struck(bench(), readings, struck));
  }

  /** Keeps a note. */
  public void keep(Note note, String by) {
    keep(List.of(note), by);
  }

  /** Keeps notes, all or none. */
  public void keep(List<? extends Note> notes, String by) {
    keep(notes, by, List.of());
  }

  /** Keeps notes, and strikes out the readings that they take the ground from, in one step. */
  public void keep(List<? extends Note> notes, String by, List<Long> readings) {
    var now = Instant.now();
    var kept = notes.stream().map(n -> book.numbered(new Kept(0, n, by, now, false))).toList();
    apply(Done.kept(bench(), kept, readings));
  }

  /** Strikes a note out, or takes that back. */
  public void strikeNote(long note, boolean struck) {
    apply(Done.noteStruck(bench(), note, struck));
  }

  /** Takes the last step back. */
  public void undo() {
    move(true);
  }

  /** Brings the last step taken back again. */
  public void redo() {
    move(false);
  }

  private void move(boolean back) {
    try {
      var move = history.move(bench(), back);
      if (move != null) {
        apply(new Done(move, null));
      }
    } catch (IllegalArgumentException e) {
      refuse(
          "%s is not possible: %s"
              .formatted(back ? "Undo" : "Redo", String.valueOf(e.getMessage())));
    }
  }

  /** Done once all that was asked so far is in the book. */
  public CompletableFuture<Void> settled() {
    return journal.settled();
  }

  /** How many entries are not in the book yet. */
  public int unstored() {
    return journal.unstored().size();
  }

  /**
   * The documents that hold what is not in the book yet: the build on the bench, and those that
   * were just begun. Empty where all is stored.
   */
  public List<BuildDocument> rescue() {
    return RescueFiles.documents(journal.unstored(), bench());
  }

  /** The build in the other units. */
  public void turnUnits() {
    edit("Units", b -> b.with(b.units() == UnitSystem.US ? UnitSystem.METRIC : UnitSystem.US));
  }

  /** Writes what could not be stored into files; gives where they lie. */
  public List<Path> writeRescue() {
    return RescueFiles.write(
        book.path(), rescue().stream().map(BuildJson::write).toList(), Instant.now());
  }

  /** Ends once all is stored; what can't be goes into files, and that is logged. */
  @Override
  public void close() {
    journal.close();
    if (unstored() > 0) {
      LOG.error("{} changes are not in the book; they are kept in {}", unstored(), writeRescue());
    }
    books.close();
    book.close();
  }
}
