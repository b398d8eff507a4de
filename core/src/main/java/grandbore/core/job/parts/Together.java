package grandbore.core.job.parts;

import static grandbore.core.job.parts.EnginePart.BLOCK;
import static grandbore.core.job.parts.EnginePart.CAM;
import static grandbore.core.job.parts.EnginePart.CRANK;
import static grandbore.core.job.parts.EnginePart.GASKET_SET;
import static grandbore.core.job.parts.EnginePart.HEAD;
import static grandbore.core.job.parts.EnginePart.HEAD_BOLTS;
import static grandbore.core.job.parts.EnginePart.HEAD_GASKET;
import static grandbore.core.job.parts.EnginePart.MAIN_CAP;
import static grandbore.core.job.parts.EnginePart.MAIN_SHELLS;
import static grandbore.core.job.parts.EnginePart.PISTON;
import static grandbore.core.job.parts.EnginePart.PUSHRODS;
import static grandbore.core.job.parts.EnginePart.RINGS;
import static grandbore.core.job.parts.EnginePart.ROCKERS;
import static grandbore.core.job.parts.EnginePart.ROD;
import static grandbore.core.job.parts.EnginePart.ROD_SHELLS;
import static grandbore.core.job.parts.EnginePart.SPRINGS;
import static grandbore.core.job.parts.EnginePart.TAPPETS;
import static grandbore.core.job.parts.EnginePart.VALVES;

import java.util.ArrayList;
import java.util.List;

/** What stays together, and what is changed with what. All of it common practice, no source. */
public final class Together {
  /**
   * A rule that a list of parts breaks.
   *
   * @param items that it is about
   * @param says what is to be done and why
   */
  public record Broken(List<Item> items, String says) {
    public Broken {
      items = List.copyOf(items);
    }
  }

  /** Worn parts that ran on each other stay a pair. */
  private record Pair(EnginePart one, EnginePart other, String why) {}

  /** With one thing another is bought new. */
  private record With(EnginePart bought, EnginePart wanted, String why) {}

  private static final List<Pair> PAIRS =
      List.of(
          new Pair(CAM, TAPPETS, "a used tappet stays on the lobe it ran on, a new cam wants new"),
          new Pair(BLOCK, MAIN_CAP, "caps are bored with their block"),
          new Pair(ROCKERS, VALVES, "a pad stays on the tip it ran on"));

  private static final List<With> WITH =
      List.of(
          new With(CAM, SPRINGS, "a cam's lift and speed decide its springs"),
          new With(CAM, PUSHRODS, "another base circle is another length"),
          new With(HEAD, HEAD_GASKET, "a head is never set on a gasket that was squeezed"),
          new With(
              HEAD, HEAD_BOLTS, "bolts that stretched once are replaced where their maker says"),
          new With(HEAD_GASKET, GASKET_SET, "what comes off goes on with new gaskets"),
          new With(PISTON, RINGS, "rings are fitted to a piston's grooves"),
          new With(ROD, ROD_SHELLS, "shells are fitted once"),
          new With(CRANK, MAIN_SHELLS, "shells are fitted once"),
          new With(CRANK, ROD_SHELLS, "shells are fitted once"));

  private Together() {}

  /** What the parts of an engine break of that. */
  public static List<Broken> broken(List<Item> items) {
    var all = new ArrayList<Broken>();
    for (var p : PAIRS) {
      var one = here(items, p.one);
      var other = here(items, p.other);
      if (!one.isEmpty() && !other.isEmpty()) {
        boolean worn = one.stream().anyMatch(Item::reused);
        boolean alsoWorn = other.stream().anyMatch(Item::reused);
        if (p.one == CAM ? alsoWorn && !worn : worn != alsoWorn) {
          var both = new ArrayList<>(one);
          both.addAll(other);
          all.add(
              new Broken(
                  both,
                  "%s %s, %s %s: %s"
                      .formatted(
                          p.one.title(),
                          worn ? "used" : "new",
                          p.other.title().toLowerCase(java.util.Locale.ROOT),
                          alsoWorn ? "used" : "new",
                          p.why)));
        }
      }
    }
    for (var w : WITH) {
      var bought = here(items, w.bought).stream().filter(i -> !i.reused()).toList();
      if (!bought.isEmpty() && here(items, w.wanted).isEmpty()) {
        all.add(
            new Broken(
                bought,
                "%s without %s: %s"
                    .formatted(
                        w.bought.title(),
                        w.wanted.title().toLowerCase(java.util.Locale.ROOT),
                        w.why)));
      }
    }
    items.stream()
        .filter(i -> i.condition() == Condition.REJECT && i.state() == ItemState.FITTED)
        .forEach(
            i ->
                all.add(
                    new Broken(
                        List.of(i),
                        "%s %s is fitted and rejected: %s"
                            .formatted(i.part().title(), i.id(), i.finding()))));
    return List.copyOf(all);
  }

  private static List<Item> here(List<Item> items, EnginePart part) {
    return items.stream()
        .filter(i -> i.part() == part && i.state() != ItemState.SOLD)
        .filter(i -> i.condition() != Condition.REJECT || i.state() == ItemState.FITTED)
        .toList();
  }
}
