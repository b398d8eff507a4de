package grandbore.book;

import grandbore.core.checks.Check;
import grandbore.core.clearances.Kept;
import grandbore.core.clearances.OnDyno;
import grandbore.core.clearances.Photo;
import grandbore.core.dyno.Frozen;
import grandbore.core.dyno.Pull;
import grandbore.core.dyno.calibration.Calibration;
import grandbore.core.dyno.effects.Day;
import grandbore.core.dyno.effects.Jets;
import grandbore.core.dyno.judged.Judge;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * What the book has of a build's days at the dyno.
 *
 * @param frozen the newest prediction that was frozen
 * @param pulls in their order, those struck out too
 * @param pointer how much more the pointer shows than there is, as it was proved last, rad; 0
 * @param jets main jets as they were said to be fitted last
 * @param calibrations the oldest first
 */
public record DynoBook(
    Optional<FrozenBuild> frozen,
    List<KeptPull> pulls,
    double pointer,
    Optional<Jets> jets,
    List<Calibration> calibrations) {
  public static final DynoBook NONE =
      new DynoBook(Optional.empty(), List.of(), 0, Optional.empty(), List.of());

  /**
   * A pull with what is thought of it.
   *
   * @param note its number in the book
   * @param verdict the builder's, where there is one
   * @param checks what its channels say
   */
  public record KeptPull(
      long note,
      Pull pull,
      boolean struck,
      Optional<PullVerdict> verdict,
      List<Photo> pictures,
      List<Check> checks) {
    public KeptPull {
      pictures = List.copyOf(pictures);
      checks = List.copyOf(checks);
    }

    /** Whether it is learned from: by the builder's word, or as long as nothing is against it. */
    public boolean isGood() {
      return !struck && verdict.map(PullVerdict::good).orElse(Judge.bad(checks).isEmpty());
    }
  }

  public DynoBook {
    pulls = List.copyOf(pulls);
    calibrations = List.copyOf(calibrations);
  }

  /**
   * Reads the notes of a build, each pull judged beside the good ones before it.
   *
   * @param build as it stands, for a day without a frozen prediction
   * @throws FormatException where one can't be read
   */
  public static DynoBook of(List<Kept> notes, BuildDocument build) {
    Optional<FrozenBuild> frozen = Optional.empty();
    var raw = new ArrayList<Kept>();
    Map<Integer, PullVerdict> verdicts = new LinkedHashMap<>();
    Map<Integer, Set<Photo>> pictures = new LinkedHashMap<>();
    double pointer = 0;
    Optional<Jets> jets = Optional.empty();
    var calibrations = new ArrayList<Calibration>();
    for (var kept : notes) {
      if (kept.note() instanceof OnDyno d) {
        switch (d.kind()) {
          case PULL -> raw.add(kept);
          case FROZEN ->
              frozen = kept.struck() ? frozen : Optional.of(DynoJson.frozen(d.document()));
          case VERDICT -> {
            if (!kept.struck()) {
              var v = DynoJson.verdict(d.document());
              verdicts.put(v.pull(), v);
              pictures.computeIfAbsent(v.pull(), k -> new LinkedHashSet<>()).addAll(d.pictures());
            }
          }
          case POINTER -> pointer = kept.struck() ? pointer : DynoJson.pointer(d.document());
          case JETS -> jets = kept.struck() ? jets : Optional.of(DynoJson.jets(d.document()));
          case CALIBRATION -> {
            if (!kept.struck()) {
              calibrations.add(DynoJson.calibration(d.document()));
            }
          }
          case LAYOUT, SYMPTOMS, CASES -> {}
        }
      }
    }
    var judged = judged(raw, verdicts, pictures, frozen, build);
    return new DynoBook(frozen, judged, pointer, jets, calibrations);
  }

  /**
   * What the pulls of a build taught last; nothing where none did.
   *
   * @throws FormatException where it can't be read
   */
  public static Optional<Calibration> taught(List<Kept> notes) {
    return notes.stream()
        .filter(k -> !k.struck())
        .map(Kept::note)
        .filter(OnDyno.class::isInstance)
        .map(OnDyno.class::cast)
        .filter(d -> d.kind() == OnDyno.Kind.CALIBRATION)
        .reduce((a, b) -> b)
        .map(d -> DynoJson.calibration(d.document()));
  }

  private static List<KeptPull> judged(
      List<Kept> raw,
      Map<Integer, PullVerdict> verdicts,
      Map<Integer, Set<Photo>> pictures,
      Optional<FrozenBuild> frozen,
      BuildDocument build) {
    var engine = frozen.map(FrozenBuild::of).orElse(build).engine().combination();
    Optional<Frozen> prediction = frozen.map(FrozenBuild::prediction);
    var pulls = new ArrayList<KeptPull>();
    var good = new ArrayList<Pull>();
    for (var kept : raw) {
      var note = (OnDyno) kept.note();
      var pull = DynoJson.pull(note.document());
      var sameDay = good.stream().filter(p -> p.day().equals(pull.day())).toList();
      var checks = Judge.of(engine, pull, sameDay, prediction);
      var verdict = Optional.ofNullable(verdicts.get(pull.number()));
      var seen = new LinkedHashSet<>(note.pictures());
      seen.addAll(pictures.getOrDefault(pull.number(), Set.of()));
      var one = new KeptPull(kept.id(), pull, kept.struck(), verdict, List.copyOf(seen), checks);
      pulls.add(one);
      if (one.isGood()) {
        good.add(pull);
      }
    }
    return pulls;
  }

  /** Pulls that are learned from, in their order. */
  public List<Pull> good() {
    return pulls.stream().filter(KeptPull::isGood).map(KeptPull::pull).toList();
  }

  /** The days at the dyno, of pulls that stand. */
  public List<Day> days() {
    return Day.of(pulls.stream().filter(p -> !p.struck()).map(KeptPull::pull).toList(), good());
  }

  /** The number that the next pull gets. */
  public int nextNumber() {
    return 1 + pulls.stream().mapToInt(p -> p.pull().number()).max().orElse(0);
  }

  /** The pull of a number. */
  public Optional<KeptPull> pull(int number) {
    return pulls.stream().filter(p -> p.pull().number() == number).findFirst();
  }
}
