package grandbore.core.job.route;

import grandbore.core.clearances.Measurement;
import grandbore.core.combination.Combination;
import grandbore.core.combination.InvalidInput;
import grandbore.core.combination.Specs;
import grandbore.core.job.facts.Fact;
import grandbore.core.job.facts.Operation;
import grandbore.core.job.parts.EnginePart;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Collections;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * One step of the route.
 *
 * @param id by which other steps name it
 * @param who does it, empty for the shop itself
 * @param hours of work
 * @param days for which it is away after them
 * @param cost in the shop's currency, beside its own hours
 * @param after steps that have to be done before
 * @param parts that have to be there
 * @param readings that have to be taken, at every place, for it to be done
 * @param own kinds of reading of the shop's own that have to be taken, by their keys
 * @param proves what is proved by it
 * @param does what it does to parts in the shop itself
 * @param notBefore a day before which it can't begin, {@code null} for none
 * @param done that it was done, {@code null} before
 */
public record Step(
    String id,
    String title,
    Stage stage,
    String who,
    double hours,
    int days,
    double cost,
    List<String> after,
    Set<EnginePart> parts,
    Set<Measurement> readings,
    Set<String> own,
    Set<Fact> proves,
    Set<Operation> does,
    List<StepCheck> checks,
    boolean dyno,
    LocalDate notBefore,
    Done done) {
  public Step {
    if (id == null || id.isBlank() || id.length() > 40) {
      throw new InvalidInput("Step", "“" + id + "”", "1 to 40 characters", "others name it");
    }
    if (title == null || title.isBlank() || title.length() > 160) {
      throw new InvalidInput(
          "Step %s, title".formatted(id), "“" + title + "”", "1 to 160 characters", "it is read");
    }
    if (stage == null || who == null || who.length() > 120) {
      throw new InvalidInput(
          "Step " + title, "no stage, or who is too long", "both", "it is listed");
    }
    if (!(hours >= 0 && hours <= 2000)) {
      throw new InvalidInput(title + ", hours", "" + hours, "0 to 2000", "it takes a while");
    }
    if (days < 0 || days > 1000) {
      throw new InvalidInput(title + ", days", "" + days, "0 to 1000", "it is waited for");
    }
    if (!(cost >= 0 && cost <= 10e6)) {
      throw new InvalidInput(title + ", cost", "" + cost, "0 to 10,000,000", "it is what is paid");
    }
    if (after.contains(id)) {
      throw new InvalidInput(title + ", after", id, "other steps", "it can't wait for itself");
    }
    after = List.copyOf(after);
    parts = Set.copyOf(parts);
    readings = Set.copyOf(readings);
    // Routes of before the shop had readings of its own say nothing of them.
    own = own == null ? Set.of() : Set.copyOf(own);
    proves = Set.copyOf(proves);
    does = Set.copyOf(does);
    checks = List.copyOf(checks);
  }

  /** One of the shop's own that needs nothing so far. */
  public static Step of(String id, String title, Stage stage, double hours) {
    return new Step(
        id, title, stage, "", hours, 0, 0, List.of(), Set.of(), Set.of(), Set.of(), Set.of(),
        Set.of(), List.of(), false, null, null);
  }

  private Step with(String component, Object value) {
    return Specs.changed(this, Collections.singletonMap(component, value));
  }

  /** The same step with some components as said. */
  public Step with(Map<String, ?> said) {
    return Specs.changed(this, said);
  }

  /** The same step after others. */
  public Step after(String... others) {
    return with("after", List.of(others));
  }

  /** The same step with parts that it needs. */
  public Step needs(EnginePart... some) {
    return with("parts", Set.of(some));
  }

  /** The same step with readings that it takes. */
  public Step reads(Measurement... some) {
    return with("readings", Set.of(some));
  }

  /** The same step with what it proves. */
  public Step proves(Fact... some) {
    return with("proves", Set.of(some));
  }

  /** The same step with what it does to parts. */
  public Step does(Operation... some) {
    return with("does", Set.of(some));
  }

  /** The same step with something that is looked at. */
  public Step checks(StepCheck... some) {
    return with("checks", List.of(some));
  }

  /** The same step done by somebody else, who has the parts for some days. */
  public Step away(String by, int days, double price) {
    return with(Map.of("who", by, "days", days, "cost", price));
  }

  /** The same step as the one on the dyno. */
  public Step onDyno() {
    return with("dyno", true);
  }

  /** The same step, not to begin before a day, {@code null} for at any time. */
  public Step notBefore(LocalDate day) {
    return with("notBefore", day);
  }

  /** The same step done on the engine as it is. */
  public Step done(Instant at, String by, Combination engine) {
    return with("done", new Done(at, by, Fact.inputs(engine, proves)));
  }

  /** The same step to be done again. */
  public Step again() {
    return with("done", null);
  }

  /** The same step with a place of a check ticked, or not any more. */
  public Step turned(int check, int place) {
    var all = new java.util.ArrayList<>(checks);
    all.set(check, all.get(check).turned(place));
    return with("checks", all);
  }

  public boolean isDone() {
    return done != null;
  }

  /** What has to be proved again after it. */
  public Set<Fact> upsets() {
    var all = EnumSet.noneOf(Fact.class);
    does.forEach(o -> all.addAll(o.upsets()));
    return all;
  }
}
