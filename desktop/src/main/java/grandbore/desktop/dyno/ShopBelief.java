package grandbore.desktop.dyno;

import grandbore.book.DynoBook;
import grandbore.book.Summary;
import grandbore.core.dyno.calibration.Calibration;
import grandbore.desktop.session.Session;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;

/** What the pulls of the shop's other engines taught, read from the book beside the window. */
final class ShopBelief {
  private ShopBelief() {}

  /** The last calibration of every other build in work or put away that has one. */
  static CompletableFuture<List<Calibration>> of(Session session) {
    var all =
        session.books().builds().stream()
            .filter(s -> s.id() != session.id() && s.isSound() && s.place() != Summary.Place.BIN)
            .map(s -> session.books().notes(s.id()).thenApply(DynoBook::taught))
            .toList();
    return CompletableFuture.allOf(all.toArray(CompletableFuture[]::new))
        .thenApply(
            done -> all.stream().map(CompletableFuture::join).flatMap(Optional::stream).toList());
  }
}
