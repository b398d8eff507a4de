package grandbore.desktop.session;

import grandbore.book.Backups;
import grandbore.book.BookException;
import grandbore.book.ShopBook;
import grandbore.core.build.Build;
import grandbore.core.clearances.Kept;
import grandbore.core.clearances.Ledger;
import grandbore.core.clearances.Note;
import grandbore.core.clearances.Reading;
import grandbore.core.clearances.Readings;
import grandbore.core.clearances.Rule;
import grandbore.core.combination.Given;
import grandbore.core.combination.Specs;
import grandbore.core.prediction.BuiltEngine;
import grandbore.core.working.Figure;
import grandbore.core.working.Figures;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.function.BiConsumer;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.function.LongUnaryOperator;
import java.util.function.UnaryOperator;
import javafx.application.Platform;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.ReadOnlyStringProperty;
import javafx.beans.property.ReadOnlyStringWrapper;

/**
 * What is on the bench now: one build of the book, its readings, and the way back. The window's
 * state changes at once; the book is written by a thread of its own, in order.
 */
public final class Session implements AutoCloseable {
  /** One thing that can be taken back. */
  private sealed interface Step {
    record Edit() implements Step {}

    record Row(Shelf<?> shelf, long id, boolean struck) implements Step {}
  }

  /** Rows of the book that are only added and struck out: how they are struck, read and shown. */
  private record Shelf<T>(
      BiConsumer<Long, Boolean> strike, Function<Long, T> load, Consumer<T> show) {}

  private final ShopBook book;
  private final ExecutorService writer =
      Executors.newSingleThreadExecutor(Thread.ofPlatform().daemon().name("book-writer").factory());
  private final ReadOnlyObjectWrapper<Build> build = new ReadOnlyObjectWrapper<>();
  private final ReadOnlyObjectWrapper<Readings> readings =
      new ReadOnlyObjectWrapper<>(new Readings(List.of()));
  private final ReadOnlyObjectWrapper<List<Kept>> notes = new ReadOnlyObjectWrapper<>(List.of());
  private final ReadOnlyStringWrapper trouble = new ReadOnlyStringWrapper("");
  private final ReadOnlyStringWrapper refusal = new ReadOnlyStringWrapper("");
  private final Deque<Step> done = new ArrayDeque<>();
  private final Deque<Step> undone = new ArrayDeque<>();
  private final ReadOnlyObjectWrapper<Over> over = new ReadOnlyObjectWrapper<>();
  private final Shelf<Readings> readingShelf;
  private final Shelf<List<Kept>> noteShelf;
  private Ledger ledger;
  private BuiltEngine engine;
  private List<Figure> figures;
  private long id;

  public Session(ShopBook book, long id) {
    this.book = book;
    readingShelf = new Shelf<>(book::strike, book::readings, this::show);
    noteShelf = new Shelf<>(book::strikeNote, book::notes, this::show);
    open(id);
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
    boolean known = book.builds().stream().anyMatch(b -> b.id() == other);
    if (!known || other == id) {
      over.set(null);
      return;
    }
    var laid = book.state(other).build();
    over.set(new Over(other, laid, laid.asMeasured(book.readings(other))));
  }

  /** Puts another build of the book on the bench. */
  public void open(long newId) {
    id = newId;
    if (over.get() != null && over.get().id() == newId) {
      over.set(null);
    }
    done.clear();
    undone.clear();
    var kept = book.readings(id);
    var opened = book.state(id).build();
    show(book.notes(id));
    engine = opened.asMeasured(kept);
    forget();
    readings.set(kept);
    forget();
    build.set(opened);
  }

  /** What was worked out of an earlier state is worked out again when it is asked for. */
  private void forget() {
    figures = null;
    ledger = null;
  }

  public List<ShopBook.Entry> builds() {
    return book.builds();
  }

  public long id() {
    return id;
  }

  public Build build() {
    return build.get();
  }

  public ReadOnlyObjectProperty<Build> buildProperty() {
    return build.getReadOnlyProperty();
  }

  public Readings readings() {
    return readings.get();
  }

  public ReadOnlyObjectProperty<Readings> readingsProperty() {
    return readings.getReadOnlyProperty();
  }

  /** What is kept beside the readings, the shop's own rules with it, struck ones too. */
  public ReadOnlyObjectProperty<List<Kept>> notesProperty() {
    return notes.getReadOnlyProperty();
  }

  /** The notes of one kind that stand, the oldest first. */
  public <T extends Note> List<T> notes(Class<T> kind) {
    return notes.get().stream()
        .filter(k -> !k.struck() && kind.isInstance(k.note()))
        .map(k -> kind.cast(k.note()))
        .toList();
  }

  /** What the readings come to on the build as it is specified; made once for each state of it. */
  public Ledger ledger() {
    if (ledger == null) {
      ledger =
          new Ledger(build().combination(), build().application(), readings(), notes(Rule.class));
    }
    return ledger;
  }

  /** The book itself: its backups and the folder of its pictures. */
  public ShopBook book() {
    return book;
  }

  /** Puts a backup in the book's place and opens it; returns where the book as it was lies now. */
  public Path restore(Backups.Backup backup) {
    settled().join();
    var aside = book.restore(backup);
    var all = book.builds();
    long next = all.stream().anyMatch(b -> b.id() == id) ? id : all.getFirst().id();
    open(next);
    return aside;
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

  /**
   * The figures of the build on the bench, each with its working; made once for each state of it.
   */
  public List<Figure> figures() {
    if (figures == null) {
      figures = Figures.of(build(), readings());
    }
    return figures;
  }

  /** One of them by its name, where this build has it. */
  public Optional<Figure> figure(String name) {
    return figures().stream().filter(f -> f.name().equals(name)).findFirst();
  }

  /** The engine with the measured values in place. */
  public BuiltEngine engine() {
    return engine;
  }

  /** Changes the build and keeps the change; throws where the result can't be. */
  public void edit(String what, UnaryOperator<Build> change) {
    var now = change.apply(build());
    if (now.equals(build())) {
      return;
    }
    engine = now.asMeasured(readings());
    refusal.set("");
    forget();
    build.set(now);
    done.push(new Step.Edit());
    undone.clear();
    long on = id;
    write(() -> book.save(on, now, what));
  }

  /** Changes one input. */
  public void put(Specs.Field field, Given value) {
    edit(field.spec().label(), b -> b.with(field.with(b.combination(), value)));
  }

  /** Keeps a reading. */
  public void read(Reading reading) {
    var with = new ArrayList<>(readings().all());
    with.add(reading);
    build().asMeasured(new Readings(with));
    // One that comes in struck is a matter of record, and nothing to take back.
    add(
        readingShelf,
        !reading.struck(),
        on -> {
          long kept = book.addReading(on, reading).id();
          if (reading.struck()) {
            book.strike(kept, true);
          }
          return kept;
        });
  }

  /** Strikes a reading out, or takes that back. */
  public void strike(long reading, boolean struck) {
    strike(readingShelf, reading, struck);
  }

  /** Keeps a note. */
  public void keep(Note note, String by) {
    add(noteShelf, true, on -> book.addNote(on, new Kept(0, note, by, Instant.now(), false)));
  }

  /** Strikes a note out, or takes that back. */
  public void strikeNote(long note, boolean struck) {
    strike(noteShelf, note, struck);
  }

  private <T> void add(Shelf<T> shelf, boolean undoable, LongUnaryOperator insert) {
    long on = id;
    write(
        () -> {
          long kept = insert.applyAsLong(on);
          var all = shelf.load().apply(on);
          Platform.runLater(
              () -> {
                if (on == id) {
                  if (undoable) {
                    done.push(new Step.Row(shelf, kept, false));
                    undone.clear();
                  }
                  shelf.show().accept(all);
                }
              });
        });
  }

  private void strike(Shelf<?> shelf, long row, boolean struck) {
    done.push(new Step.Row(shelf, row, struck));
    undone.clear();
    strikeNow(shelf, row, struck);
  }

  private <T> void strikeNow(Shelf<T> shelf, long row, boolean struck) {
    long on = id;
    write(
        () -> {
          shelf.strike().accept(row, struck);
          var all = shelf.load().apply(on);
          Platform.runLater(
              () -> {
                if (on == id) {
                  shelf.show().accept(all);
                }
              });
        });
  }

  private void show(List<Kept> all) {
    forget();
    notes.set(all);
  }

  private void show(Readings all) {
    engine = build().asMeasured(all);
    forget();
    readings.set(all);
  }

  /** Takes the last step back. */
  public void undo() {
    move(done, undone, true);
  }

  /** Brings the last step taken back again. */
  public void redo() {
    move(undone, done, false);
  }

  private void move(Deque<Step> from, Deque<Step> to, boolean back) {
    var step = from.isEmpty() ? new Step.Edit() : from.pop();
    switch (step) {
      case Step.Row(Shelf<?> shelf, long row, boolean struck) -> {
        to.push(step);
        strikeNow(shelf, row, back != struck);
      }
      case Step.Edit edit -> {
        to.push(edit);
        long on = id;
        write(
            () -> {
              var state = back ? book.undo(on) : book.redo(on);
              Platform.runLater(
                  () -> {
                    if (on == id) {
                      engine = state.build().asMeasured(readings());
                      forget();
                      build.set(state.build());
                    }
                  });
            });
      }
    }
  }

  private void write(Runnable work) {
    writer.execute(
        () -> {
          try {
            work.run();
            Platform.runLater(() -> trouble.set(""));
          } catch (BookException e) {
            Platform.runLater(() -> trouble.set(e.getMessage()));
          }
        });
  }

  /** Done once all that was asked so far is in the book. */
  public CompletableFuture<Void> settled() {
    return CompletableFuture.runAsync(() -> {}, writer);
  }

  @Override
  public void close() {
    settled().join();
    writer.shutdown();
    book.close();
  }
}
