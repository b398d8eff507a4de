package grandbore.book;

import grandbore.core.changes.Plan;
import grandbore.core.clearances.Kept;
import grandbore.core.clearances.OnJob;
import grandbore.core.clearances.Planned;
import grandbore.core.clearances.Studied;
import grandbore.core.demo.DemoBuilds;
import grandbore.core.demo.DemoChanges;
import grandbore.core.demo.DemoJob;
import grandbore.core.demo.DemoShelf;
import grandbore.core.units.UnitSystem;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;

/** The changes that are thought of for a build, as its notes keep them. */
public final class PlannedChanges {
  /** When the demo's search was run. */
  private static final Instant SEARCHED = Instant.parse("2026-11-29T03:12:00Z");

  private PlannedChanges() {}

  /**
   * Those that stand, in the order of the ladder.
   *
   * @param notes of the build, the oldest first
   * @throws FormatException where they can't be read
   */
  public static Plan of(List<Planned> notes) {
    return notes.isEmpty() || notes.getLast().document().isEmpty()
        ? Plan.NONE
        : ChangesJson.plan(notes.getLast().document());
  }

  /** What is kept for these to stand. */
  public static Planned note(Plan plan, UnitSystem units) {
    return new Planned(plan.changes().isEmpty() ? "" : ChangesJson.write(plan, units));
  }

  /** A search that was run on the demo's V8 and kept; asked again it comes to the same. */
  private static String search() {
    try (var in = PlannedChanges.class.getResourceAsStream("demo-search.json")) {
      return new String(in.readAllBytes(), StandardCharsets.UTF_8);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /**
   * The demo's V8 with its readings, its notes, what could be done to it, the shop's shelf, and its
   * job as it stands today.
   */
  public static BuildDocument demo() {
    return demo(LocalDate.now(ZoneId.systemDefault()));
  }

  /** The same as it stands on a day. */
  public static BuildDocument demo(LocalDate today) {
    var notes = new ArrayList<>(DemoBuilds.hillClimbNotes());
    var last = notes.stream().map(Kept::at).max(Instant::compareTo).orElse(Instant.EPOCH);
    var planned = note(DemoChanges.plan(), DemoBuilds.hillClimbEight().units());
    notes.add(new Kept(0, planned, "", last, false));
    for (var part : DemoShelf.parts()) {
      var stocked = ShopParts.note(part, DemoBuilds.hillClimbEight().units());
      notes.add(new Kept(0, stocked, "", last, false));
    }
    notes.add(new Kept(0, new Studied(search()), "", SEARCHED, false));
    notes.addAll(DemoDyno.notes());
    var begun = today.minusDays(25).atTime(9, 0).toInstant(ZoneOffset.UTC);
    var job = new ArrayList<OnJob>();
    job.add(JobJson.note(DemoJob.promisedFirst(today)));
    job.addAll(JobBook.notes(DemoJob.on(today)));
    job.add(JobJson.version("As raced in October", DemoBuilds.hillClimbEight()));
    job.forEach(n -> notes.add(new Kept(0, n, "", begun, false)));
    DemoJob.own(today).forEach(n -> notes.add(new Kept(0, n, "", begun, false)));
    return new BuildDocument(
        DemoBuilds.hillClimbEight(), DemoBuilds.hillClimbReadings(), List.copyOf(notes));
  }
}
