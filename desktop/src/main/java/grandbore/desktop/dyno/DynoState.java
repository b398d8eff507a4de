package grandbore.desktop.dyno;

import grandbore.book.BuildDocument;
import grandbore.book.DynoBook;
import grandbore.core.clearances.Kept;
import grandbore.core.clearances.OnDyno;
import grandbore.core.dyno.Standard;
import grandbore.desktop.session.Books;
import grandbore.desktop.session.Session;
import java.util.List;
import java.util.concurrent.CompletableFuture;
import javafx.application.Platform;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.ReadOnlyStringProperty;
import javafx.beans.property.ReadOnlyStringWrapper;
import javafx.beans.property.SimpleObjectProperty;
import javafx.beans.property.SimpleStringProperty;
import javafx.beans.property.StringProperty;

/** The build's days at the dyno as the window holds them, read and judged on another thread. */
public final class DynoState {
  private final Session session;
  private final ReadOnlyObjectWrapper<DynoBook> book = new ReadOnlyObjectWrapper<>(DynoBook.NONE);
  private final ReadOnlyStringWrapper trouble = new ReadOnlyStringWrapper("");
  private final ObjectProperty<Standard> standard = new SimpleObjectProperty<>(Standard.SAE_J1349);
  private final StringProperty day = new SimpleStringProperty("");
  private List<Kept> read = List.of();
  private long of;
  private int asked;

  public DynoState(Session session) {
    this.session = session;
    session.notesProperty().subscribe(n -> refresh());
  }

  private void refresh() {
    var notes =
        session.notesProperty().getValue().stream()
            .filter(k -> k.note() instanceof OnDyno)
            .toList();
    if (notes.equals(read) && of == session.id()) {
      return;
    }
    read = notes;
    of = session.id();
    asked++;
    int mine = asked;
    if (notes.isEmpty()) {
      book.set(DynoBook.NONE);
      trouble.set("");
      return;
    }
    var document = new BuildDocument(session.build(), session.readings().all());
    var _ =
        CompletableFuture.supplyAsync(() -> DynoBook.of(notes, document))
            .whenCompleteAsync(
                (all, wrong) -> {
                  if (mine == asked) {
                    trouble.set(wrong == null ? "" : "✕ " + Books.words(wrong));
                    book.set(wrong == null ? all : DynoBook.NONE);
                  }
                },
                Platform::runLater);
  }

  /** What the book has, as it was last read. */
  public ReadOnlyObjectProperty<DynoBook> bookProperty() {
    return book.getReadOnlyProperty();
  }

  public DynoBook book() {
    return book.get();
  }

  /** The number that the next pull gets, also before all of the others are read. */
  int nextNumber() {
    long kept =
        session.notes(OnDyno.class).stream().filter(n -> n.kind() == OnDyno.Kind.PULL).count();
    return Math.max((int) kept + 1, book().nextNumber());
  }

  /** Why it can't be read; empty where it can. */
  ReadOnlyStringProperty troubleProperty() {
    return trouble.getReadOnlyProperty();
  }

  /** Whose pulls are shown; empty for all days'. */
  StringProperty dayProperty() {
    return day;
  }

  /** Pulls that are shown, in their order. */
  List<DynoBook.KeptPull> shown() {
    var all = book().pulls();
    var some = all.stream().filter(p -> p.pull().day().equals(day.get())).toList();
    return some.isEmpty() ? all : some;
  }

  /** Under which torque is told in the whole station. */
  ObjectProperty<Standard> standardProperty() {
    return standard;
  }
}
