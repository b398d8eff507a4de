package grandbore.book;

import grandbore.core.build.Build;
import grandbore.core.clearances.Band;
import grandbore.core.clearances.Kept;
import grandbore.core.clearances.Note;
import grandbore.core.clearances.OnDyno;
import grandbore.core.clearances.OwnKind;
import grandbore.core.clearances.Reading;
import grandbore.core.clearances.Readings;
import grandbore.core.clearances.Rule;
import grandbore.core.clearances.Stocked;
import grandbore.core.clearances.Studied;
import java.nio.file.Path;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.atomic.AtomicLong;
import java.util.function.Function;
import org.jdbi.v3.core.Handle;

/**
 * The shop's builds and readings in one file. Every {@link Entry} is a transaction of its own;
 * revisions and readings are only ever added. Rows are numbered before they are written, in the
 * order in which they are asked for, and are to be written in that order.
 */
public final class ShopBook implements AutoCloseable {
  private final BookFile file;
  private final Clock clock;
  private final AtomicLong builds = new AtomicLong();
  private final AtomicLong revisions = new AtomicLong();
  private final AtomicLong readings = new AtomicLong();
  private final AtomicLong notes = new AtomicLong();

  private ShopBook(BookFile file, Clock clock) {
    this.file = file;
    this.clock = clock;
    count();
  }

  private void count() {
    in(
        h -> {
          builds.set(BuildRows.last(h));
          revisions.set(Table.REVISION.last(h));
          readings.set(Table.READING.last(h));
          notes.set(Table.NOTE.last(h));
          return null;
        });
  }

  /**
   * Opens a book, making it where there is none, and copies it aside once a day.
   *
   * @throws BookMissing where it is missing or empty and backups of it are there
   * @throws BookException where it can't be used
   */
  public static ShopBook open(Path file) {
    return open(file, Clock.systemUTC(), 0);
  }

  /** Opens a book, a new one also where backups of an older one are there. */
  public static ShopBook begin(Path file) {
    var clock = Clock.systemUTC();
    return new ShopBook(BookFile.open(file, clock, 0, true), clock);
  }

  /**
   * @param pages most that the file may have, as if its disk were no larger; 0 for as many as fit
   */
  static ShopBook open(Path file, Clock clock, int pages) {
    return new ShopBook(BookFile.open(file, clock, pages, false), clock);
  }

  private <T> T in(Function<Handle, T> work) {
    return file.in(work);
  }

  /** Where it lies. */
  public Path path() {
    return file.file();
  }

  /** Its dated copies. */
  public Backups backups() {
    return file.backups();
  }

  /** Why the day's backup could not be made, empty where it was. */
  public String backupTrouble() {
    return file.trouble();
  }

  /** Rows that are missing from the book, in words. */
  public List<String> gaps() {
    return file.gaps();
  }

  /** Copies the book aside now. */
  public void backUp() {
    file.backUp();
  }

  /** Puts a backup in the book's place; returns where the book as it was lies now. */
  public Path restore(Backups.Backup backup) {
    var aside = file.restore(backup);
    count();
    return aside;
  }

  /** All builds, in the order they were begun, those that can't be opened with the reason. */
  public List<Summary> builds() {
    return in(ShelfRows::all);
  }

  /** The number that the next build gets. */
  public long nextBuild() {
    return builds.incrementAndGet();
  }

  /** The number that the next revision gets. */
  public long nextRevision() {
    return revisions.incrementAndGet();
  }

  /** A reading under its number. */
  public Reading numbered(Reading reading) {
    return reading.numbered(readings.incrementAndGet());
  }

  /** A note under its number. */
  public Kept numbered(Kept kept) {
    return kept.numbered(notes.incrementAndGet());
  }

  /** Whether a note is the shop's own: a rule for every build, a part of its shelf. */
  public static boolean isShops(Note note) {
    return note instanceof Stocked
        || note instanceof OwnKind
        || note instanceof OnDyno d && d.kind().isShops()
        || note instanceof Rule r && r.source() == Band.Source.HOUSE;
  }

  /**
   * Writes one entry, all of it or nothing.
   *
   * @throws BookException where the book can't be written
   * @throws IllegalArgumentException where a build that is begun can't be
   */
  public void write(Entry entry) {
    in(
        h -> {
          switch (entry) {
            case Entry.Begin b -> begin(h, b);
            case Entry.Revise r -> {
              if (!RevisionRows.has(h, r.revision())) {
                RevisionRows.insert(
                    h, r.revision(), r.build(), r.parent(), r.at(), r.what(), text(r.now()));
              }
              BuildRows.stand(h, r.build(), r.revision());
              ShelfRows.put(h, r.build(), r.now(), r.at());
            }
            case Entry.Stand s -> {
              var row = RevisionRows.of(h, s.revision()).orElseThrow();
              var build = row.build("Revision " + s.revision());
              BuildRows.stand(h, s.build(), s.revision());
              ShelfRows.put(h, s.build(), build, clock.instant());
            }
            case Entry.Take t -> keep(h, t.build(), t.readings());
            case Entry.Strike s ->
                s.readings().forEach(r -> Strikes.READINGS.insert(h, r, s.struck(), s.at()));
            case Entry.Notes n -> n.kept().forEach(k -> keep(h, n.build(), k));
            case Entry.StrikeNotes s ->
                s.notes().forEach(n -> Strikes.NOTES.insert(h, n, s.struck(), s.at()));
            case Entry.Shelve s ->
                ShelfRows.of(h, s.build())
                    .ifPresent(was -> ShelfRows.put(h, was.with(s.place(), s.at())));
            case Entry.Predicted p ->
                ShelfRows.of(h, p.build())
                    .filter(Summary::isSound)
                    .ifPresent(
                        was -> ShelfRows.put(h, was.predicted(p.power(), p.speed(), p.measured())));
            case Entry.Stands s ->
                ShelfRows.of(h, s.build())
                    .filter(Summary::isSound)
                    .ifPresent(was -> ShelfRows.put(h, was.standing(s.line())));
          }
          if (isBenchWork(entry)) {
            ShelfRows.of(h, entry.build())
                .filter(Summary::isSound)
                .ifPresent(was -> ShelfRows.put(h, was.with(was.place(), clock.instant())));
          }
          return null;
        });
  }

  /** Whether it is something done at the bench, after which a build counts as touched. */
  private static boolean isBenchWork(Entry entry) {
    return switch (entry) {
      case Entry.Take _, Entry.Strike _, Entry.Notes _, Entry.StrikeNotes _ -> true;
      case Entry.Begin _,
          Entry.Revise _,
          Entry.Stand _,
          Entry.Shelve _,
          Entry.Predicted _,
          Entry.Stands _ ->
          false;
    };
  }

  /** A document that makes an impossible engine is refused before anything of it is stored. */
  private void begin(Handle h, Entry.Begin b) {
    if (BuildRows.has(h, b.build())) {
      return;
    }
    var document = b.document();
    document.engine();
    BuildRows.insert(h, b.build());
    long revision = nextRevision();
    RevisionRows.insert(h, revision, b.build(), null, b.at(), "begun", text(document.build()));
    BuildRows.stand(h, b.build(), revision);
    ShelfRows.put(h, b.build(), document.build(), b.at());
    keep(h, b.build(), document.readings().stream().map(this::numbered).toList());
    document.notes().forEach(k -> keep(h, b.build(), numbered(k)));
  }

  private static String text(Build build) {
    return BuildJson.writeCompact(new BuildDocument(build, List.of()));
  }

  private static void keep(Handle h, long build, List<Reading> readings) {
    ReadingRows.insert(h, build, readings);
    readings.stream()
        .filter(Reading::struck)
        .forEach(r -> Strikes.READINGS.insert(h, r.id(), true, r.taken().at()));
  }

  private void keep(Handle h, long build, Kept kept) {
    NoteRows.insert(h, isShops(kept.note()) ? null : build, kept);
    if (kept.struck()) {
      Strikes.NOTES.insert(h, kept.id(), true, kept.at());
    }
  }

  /** Begins a build; returns its number. */
  public long add(BuildDocument document) {
    long id = nextBuild();
    write(new Entry.Begin(id, document, clock.instant()));
    return id;
  }

  /** Keeps an edit; returns the number of the revision. */
  public long save(long build, Build now, String what) {
    long parent = in(h -> BuildRows.standing(h, build));
    long revision = nextRevision();
    write(new Entry.Revise(build, revision, parent, what, now, clock.instant()));
    return revision;
  }

  /** Keeps a reading; returns it with its number. */
  public Reading addReading(long build, Reading reading) {
    var kept = numbered(reading);
    write(new Entry.Take(build, List.of(kept)));
    return kept;
  }

  /** Keeps a note of a build; a shop's own rule is kept for all builds. Returns its number. */
  public long addNote(long build, Kept kept) {
    var numbered = numbered(kept);
    write(new Entry.Notes(build, List.of(numbered)));
    return numbered.id();
  }

  /**
   * A build as it stands, with all that hangs on it.
   *
   * @throws FormatException where its document is damaged or says what can't be
   */
  public Opened open(long build) {
    var bad = new ArrayList<Checked.Bad>();
    var opened = in(h -> open(h, build, bad));
    // Backups are only looked into where something is damaged.
    return bad.isEmpty() ? opened : opened(opened, damages(bad));
  }

  private static Opened opened(Opened o, List<Damage> damages) {
    return new Opened(
        o.id(),
        o.build(),
        o.revision(),
        o.what(),
        o.readings(),
        o.notes(),
        o.past(),
        o.future(),
        damages);
  }

  private static Opened open(Handle h, long build, List<Checked.Bad> bad) {
    var row =
        RevisionRows.of(h, BuildRows.standing(h, build))
            .orElseThrow(() -> new FormatException("the revision that stands is missing"));
    var readings = ReadingRows.of(h, build);
    var notes = NoteRows.of(h, build, true);
    bad.addAll(readings.damaged());
    bad.addAll(notes.damaged());
    return new Opened(
        build,
        row.build("revision " + row.id()),
        row.id(),
        row.what(),
        new Readings(readings.rows()),
        notes.rows(),
        revisions(RevisionRows.past(h, row)),
        revisions(RevisionRows.future(h, row)),
        List.of());
  }

  private static List<Opened.Revision> revisions(List<RevisionRows.Row> rows) {
    return rows.stream()
        .map(r -> new Opened.Revision(r.id(), r.what(), () -> r.build("revision " + r.id())))
        .toList();
  }

  /** What is damaged, each with the newest backup that has it sound. */
  private List<Damage> damages(List<Checked.Bad> bad) {
    var sound = backups().all().stream().filter(Backups.Backup::sealed).toList();
    return bad.stream()
        .map(
            b ->
                new Damage(
                    b.what(),
                    sound.stream()
                        .map(Backups.Backup::file)
                        .filter(f -> Rescue.hasSound(f, b.table(), b.id()))
                        .findFirst()))
        .toList();
  }

  /**
   * A study that stands, and of which build.
   *
   * @param study as it was kept
   */
  public record StudyOf(long build, Kept kept, Studied study) {}

  /** The studies of all builds, also of those that were thrown away, the oldest first. */
  public List<StudyOf> studies() {
    return in(
        h -> {
          var all = new ArrayList<StudyOf>();
          for (long build : NoteRows.buildsWith(h, Studied.class)) {
            for (var kept : NoteRows.of(h, build, false).rows()) {
              if (kept.note() instanceof Studied s && !kept.struck()) {
                all.add(new StudyOf(build, kept, s));
              }
            }
          }
          return List.copyOf(all);
        });
  }

  /** What can be had of a build that can't be opened. */
  public Rescue rescue(long build) {
    return new Rescue(file, build, backups());
  }

  /** One build with its readings and notes as a document. */
  public BuildDocument document(long build) {
    return open(build).document();
  }

  /** The folder beside the book in which its pictures lie. */
  public Path pictures() {
    return file.pictures();
  }

  @Override
  public void close() {
    file.close();
  }
}
