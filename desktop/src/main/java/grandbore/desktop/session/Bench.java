package grandbore.desktop.session;

import grandbore.book.BuildDocument;
import grandbore.book.Damage;
import grandbore.book.Opened;
import grandbore.core.build.Build;
import grandbore.core.clearances.Kept;
import grandbore.core.clearances.Ledger;
import grandbore.core.clearances.Note;
import grandbore.core.clearances.Readings;
import grandbore.core.clearances.Rule;
import grandbore.core.prediction.BuiltEngine;
import grandbore.core.working.Figure;
import grandbore.core.working.Figures;
import java.util.List;
import java.util.Optional;

/**
 * The state of the bench at one moment, never changed: a build of the book, its readings and notes,
 * and what follows from them, worked out when it is first asked for. Asked by the window's thread.
 */
public final class Bench {
  private static final Readings NONE = new Readings(List.of());

  private final long id;
  private final long revision;
  private final Build build;
  private final Readings readings;
  private final List<Kept> notes;
  private final List<Damage> damages;
  private final BuiltEngine engine;
  private final String contradiction;
  private Ledger ledger;
  private volatile List<Figure> figures;

  private Bench(
      long id,
      long revision,
      Build build,
      Readings readings,
      List<Kept> notes,
      List<Damage> damages) {
    this.id = id;
    this.revision = revision;
    this.build = build;
    this.readings = readings;
    this.notes = List.copyOf(notes);
    this.damages = List.copyOf(damages);
    BuiltEngine made;
    String why = "";
    try {
      made = build.asMeasured(readings);
    } catch (IllegalArgumentException e) {
      made = BuiltEngine.asSpecified(build.combination());
      why = String.valueOf(e.getMessage());
    }
    engine = made;
    contradiction = why;
  }

  static Bench of(Opened o) {
    return new Bench(o.id(), o.revision(), o.build(), o.readings(), o.notes(), o.damages());
  }

  Bench with(Build now, long as) {
    return new Bench(id, as, now, readings, notes, damages);
  }

  Bench with(Readings now) {
    return new Bench(id, revision, build, now, notes, damages);
  }

  Bench with(List<Kept> now) {
    return new Bench(id, revision, build, readings, now, damages);
  }

  /** Its number in the book. */
  public long id() {
    return id;
  }

  /** The number of the revision that stands. */
  public long revision() {
    return revision;
  }

  /** As it is specified. */
  public Build build() {
    return build;
  }

  public Readings readings() {
    return readings;
  }

  /** What is kept beside the readings, the shop's own rules with it, struck ones too. */
  public List<Kept> notes() {
    return notes;
  }

  /** The notes of one kind that stand, the oldest first. */
  public <T extends Note> List<T> notes(Class<T> kind) {
    return notes.stream()
        .filter(k -> !k.struck() && kind.isInstance(k.note()))
        .map(k -> kind.cast(k.note()))
        .toList();
  }

  /** What of its rows in the book is damaged. */
  public List<Damage> damages() {
    return damages;
  }

  /**
   * The engine with the measured values in place; as it is specified where readings and
   * specification contradict each other.
   */
  public BuiltEngine engine() {
    return engine;
  }

  /** Why readings and specification make no engine together, empty where they do. */
  public Optional<String> contradiction() {
    return contradiction.isEmpty() ? Optional.empty() : Optional.of(contradiction);
  }

  private Readings usable() {
    return contradiction.isEmpty() ? readings : NONE;
  }

  /** What the readings come to on the build as it is specified. */
  public Ledger ledger() {
    if (ledger == null) {
      ledger = new Ledger(build.combination(), build.application(), readings, notes(Rule.class));
    }
    return ledger;
  }

  /** The figures, each with its working. */
  public List<Figure> figures() {
    if (figures == null) {
      figures = Figures.of(build, usable());
    }
    return figures;
  }

  /** The build with all that hangs on it, as it goes out. */
  public BuildDocument document() {
    return new BuildDocument(build, readings.all(), Opened.ownNotes(notes));
  }
}
