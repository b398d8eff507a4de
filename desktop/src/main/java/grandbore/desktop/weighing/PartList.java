package grandbore.desktop.weighing;

import grandbore.book.ShopParts;
import grandbore.core.clearances.Stocked;
import grandbore.core.shelf.Part;
import grandbore.desktop.session.LastRead;
import grandbore.desktop.session.Session;
import java.util.List;

/** The parts of the shop as they stand; each step is kept in the book and can be undone. */
final class PartList {
  private final Session session;
  private final LastRead<Stocked, List<Part>> parts = new LastRead<>(ShopParts::of);

  PartList(Session session) {
    this.session = session;
  }

  /**
   * As they stand, in the order in which they came.
   *
   * @throws grandbore.book.FormatException where one can't be read
   */
  List<Part> all() {
    return parts.of(session.notes(Stocked.class));
  }

  /** Those that may be made a change of: not sold. */
  List<Part> offered() {
    return all().stream().filter(p -> !p.state().isGone()).toList();
  }

  String nextNumber() {
    return ShopParts.nextNumber(session.notes(Stocked.class));
  }

  /** Lets a part stand so from now on. */
  void put(Part part) {
    put(List.of(part));
  }

  /** The same for several, all or none. */
  void put(List<Part> some) {
    var units = session.build().units();
    session.keep(some.stream().map(p -> ShopParts.note(p, units)).toList(), "");
  }

  void remove(Part part) {
    session.keep(ShopParts.gone(part), "");
  }
}
