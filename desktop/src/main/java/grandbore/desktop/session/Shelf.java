package grandbore.desktop.session;

import grandbore.book.BuildDocument;
import grandbore.book.Entry;
import grandbore.book.Journal;
import grandbore.book.ShopBook;
import grandbore.book.Summary;
import grandbore.core.build.Build;
import java.time.Instant;
import java.util.concurrent.CompletableFuture;

/** The builds of the book as things with names: begun, copied, named, put away, thrown away. */
public final class Shelf {
  private final Session session;
  private final ShopBook book;
  private final Journal journal;
  private final Books books;

  Shelf(Session session, ShopBook book, Journal journal, Books books) {
    this.session = session;
    this.book = book;
    this.journal = journal;
    this.books = books;
  }

  private static Build named(Build build, String name) {
    return build.with(build.combination().named(name));
  }

  /**
   * A second build under another name that starts as the bench stands, all that hangs on it too.
   *
   * @throws IllegalArgumentException where the name can't be
   */
  public CompletableFuture<Void> copy(String name) {
    var document = session.bench().document();
    return session.begin(
        new BuildDocument(named(document.build(), name), document.readings(), document.notes()));
  }

  /** Names a build; the one on the bench by an edit that undo takes back. */
  public CompletableFuture<Void> rename(long build, String name) {
    if (build == session.id()) {
      try {
        session.edit("Name", b -> named(b, name));
      } catch (IllegalArgumentException e) {
        return CompletableFuture.failedFuture(e);
      }
      return books.refresh();
    }
    return books
        .open(build)
        .thenAccept(
            opened ->
                journal.add(
                    new Entry.Revise(
                        build,
                        book.nextRevision(),
                        opened.revision(),
                        "Name",
                        named(opened.build(), name),
                        Instant.now())))
        .thenCompose(v -> books.refresh());
  }

  /** Puts a build somewhere else; nothing of it is lost. */
  public void move(long build, Summary.Place place) {
    var now = Instant.now();
    journal.add(new Entry.Shelve(build, place, now));
    books.listed(
        books.builds().stream().map(b -> b.id() == build ? b.with(place, now) : b).toList());
  }
}
