package grandbore.desktop.session;

import grandbore.book.Backups;
import grandbore.book.FormatException;
import grandbore.book.Journal;
import grandbore.book.KeptStudy;
import grandbore.book.Opened;
import grandbore.book.ShopBook;
import grandbore.book.StudyJson;
import grandbore.book.Summary;
import grandbore.core.clearances.Kept;
import grandbore.core.combination.InvalidInput;
import grandbore.core.job.JobLine;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.function.Supplier;
import javafx.application.Platform;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;

/**
 * The shop book as the window asks for it: read on a thread of its own, never on the window's,
 * where every answer arrives; what is entered before a question is stored before it is answered.
 */
public final class Books implements AutoCloseable {
  private final ShopBook book;
  private final Journal journal;
  private final ExecutorService reader =
      Executors.newSingleThreadExecutor(Thread.ofPlatform().daemon().name("book-reader").factory());
  private final ReadOnlyObjectWrapper<List<Summary>> builds =
      new ReadOnlyObjectWrapper<>(List.of());

  Books(ShopBook book, Journal journal) {
    this.book = book;
    this.journal = journal;
  }

  /** The result arrives on the window's thread. */
  private <T> CompletableFuture<T> read(Supplier<T> what) {
    var result = new CompletableFuture<T>();
    var _ =
        CompletableFuture.supplyAsync(what, reader)
            .whenComplete(
                (is, e) ->
                    Platform.runLater(
                        () -> {
                          if (e == null) {
                            result.complete(is);
                          } else {
                            result.completeExceptionally(e);
                          }
                        }));
    return result;
  }

  /** The same once all that was entered so far is stored. */
  private <T> CompletableFuture<T> readAfter(Supplier<T> what) {
    return journal.settled().thenComposeAsync(v -> read(what), Platform::runLater);
  }

  /** What went wrong, in words. */
  public static String words(Throwable e) {
    var cause = e instanceof CompletionException && e.getCause() != null ? e.getCause() : e;
    return String.valueOf(cause.getMessage());
  }

  CompletableFuture<Opened> open(long build) {
    return readAfter(() -> book.open(build));
  }

  /** Marks a build that can't be opened; gives what is to be said. */
  CompletableFuture<String> unreadable(long build, String why) {
    listed(builds().stream().map(b -> b.id() == build ? b.with(why) : b).toList());
    return read(() -> book.rescue(build).line(why)).exceptionally(e -> why);
  }

  /** The list of builds as it was read last. */
  public ReadOnlyObjectProperty<List<Summary>> buildsProperty() {
    return builds.getReadOnlyProperty();
  }

  public List<Summary> builds() {
    return builds.get();
  }

  void listed(List<Summary> all) {
    builds.set(all);
  }

  void stands(long build, JobLine line) {
    listed(builds().stream().map(b -> b.id() == build ? b.standing(line) : b).toList());
  }

  /** Reads the list of builds again. */
  public CompletableFuture<Void> refresh() {
    return readAfter(book::builds).thenAccept(this::listed);
  }

  /** The folder of the book's pictures. */
  public Path pictures() {
    return book.pictures();
  }

  /** Another build with its measured values in place, to hold beside the one on the bench. */
  public CompletableFuture<Session.Over> other(long build) {
    return open(build)
        .thenApply(laid -> new Session.Over(build, laid.build(), Bench.of(laid).engine()));
  }

  /** What hangs on another build. */
  public CompletableFuture<List<Kept>> notes(long build) {
    return open(build).thenApply(Opened::notes);
  }

  /**
   * A kept study as the book has it.
   *
   * @param note its number
   * @param study empty where it can't be read
   * @param trouble why not, empty where it can
   */
  public record StudyRead(
      long build, long note, Instant at, Optional<KeptStudy> study, String trouble) {
    private static StudyRead of(ShopBook.StudyOf s) {
      try {
        var study = StudyJson.read(s.study().document());
        return new StudyRead(s.build(), s.kept().id(), s.kept().at(), Optional.of(study), "");
      } catch (FormatException | InvalidInput e) {
        return new StudyRead(
            s.build(),
            s.kept().id(),
            s.kept().at(),
            Optional.empty(),
            String.valueOf(e.getMessage()));
      }
    }
  }

  /** The kept studies of all builds, also of those thrown away, the oldest first. */
  public CompletableFuture<List<StudyRead>> studies() {
    return readAfter(() -> book.studies().stream().map(StudyRead::of).toList());
  }

  /** The dated copies of the book, the newest first. */
  public CompletableFuture<List<Backups.Backup>> backups() {
    return read(() -> book.backups().all());
  }

  /** Copies the book aside, with all that was entered so far. */
  public CompletableFuture<Void> backUp() {
    return readAfter(
        () -> {
          book.backUp();
          return null;
        });
  }

  /** The book as it was, and what to begin with now. */
  record Restored(Path aside, Beginning beginning) {}

  /** Puts a backup in the book's place. */
  CompletableFuture<Restored> restore(Backups.Backup backup, long here) {
    return readAfter(
        () -> {
          var aside = book.restore(backup);
          var all = book.builds();
          boolean there = all.stream().anyMatch(b -> b.id() == here && b.isSound());
          return new Restored(
              aside, there ? new Beginning(book.open(here), all) : Beginning.of(book));
        });
  }

  /** Rows that are missing from the book, and why the day's backup could not be made. */
  public List<String> troubles() {
    var all = new ArrayList<>(book.gaps().stream().map(g -> "In the book " + g).toList());
    if (!book.backupTrouble().isEmpty()) {
      all.add(book.backupTrouble());
    }
    return all;
  }

  /** A build that can't be opened: its raw text. */
  public CompletableFuture<String> raw(long build) {
    return read(() -> book.rescue(build).raw());
  }

  /** Its revisions, the newest first. */
  public CompletableFuture<List<grandbore.book.Rescue.Step>> steps(long build) {
    return read(() -> book.rescue(build).steps());
  }

  /** Lets an older revision of it stand. */
  public CompletableFuture<Void> restoreStep(long build, long revision) {
    return readAfter(
            () -> {
              book.rescue(build).restore(revision);
              return book.builds();
            })
        .thenAccept(this::listed);
  }

  @Override
  public void close() {
    reader.shutdown();
  }
}
