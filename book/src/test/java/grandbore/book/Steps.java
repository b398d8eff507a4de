package grandbore.book;

import java.time.Instant;

/** Undo and redo as a window does them: one of the revisions at hand is let stand. */
final class Steps {
  private Steps() {}

  static Opened undo(ShopBook book, long build) {
    return stand(book, build, book.open(build).past());
  }

  static Opened redo(ShopBook book, long build) {
    return stand(book, build, book.open(build).future());
  }

  private static Opened stand(
      ShopBook book, long build, java.util.List<Opened.Revision> nearestFirst) {
    if (!nearestFirst.isEmpty()) {
      book.write(new Entry.Stand(build, nearestFirst.getFirst().id()));
    }
    return book.open(build);
  }

  static void strike(ShopBook book, long build, long reading, boolean struck) {
    book.write(
        new Entry.Strike(
            build, java.util.List.of(reading), struck, Instant.parse("2026-05-04T10:00:00Z")));
  }
}
