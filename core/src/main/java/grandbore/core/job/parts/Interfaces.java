package grandbore.core.job.parts;

import java.util.ArrayList;
import java.util.List;
import java.util.TreeSet;

/** Whether two parts, or the parts of two engines, fit in each other's place. */
public final class Interfaces {
  private Interfaces() {}

  /** How something compares. */
  public enum Fit {
    MATCHES("matches"),
    DIFFERS("differs"),
    UNKNOWN("known of one only");

    private final String title;

    Fit(String title) {
      this.title = title;
    }

    public String title() {
      return title;
    }
  }

  /**
   * One interface of two parts.
   *
   * @param name as the shop notes it
   * @param one value of the first, empty where it is not known
   */
  public record Compared(EnginePart part, String name, String one, String other, Fit fit) {}

  /** What two parts have to match in. */
  public static List<Compared> of(Item one, Item other) {
    var names = new TreeSet<>(one.interfaces().keySet());
    names.addAll(other.interfaces().keySet());
    var all = new ArrayList<Compared>();
    for (var name : names) {
      String a = one.interfaces().getOrDefault(name, "").strip();
      String b = other.interfaces().getOrDefault(name, "").strip();
      var fit =
          a.isEmpty() || b.isEmpty()
              ? Fit.UNKNOWN
              : a.equalsIgnoreCase(b) ? Fit.MATCHES : Fit.DIFFERS;
      all.add(new Compared(one.part(), name, a, b, fit));
    }
    return List.copyOf(all);
  }

  /** Of all kinds of part that two engines both have, the first of each kind. */
  public static List<Compared> of(List<Item> one, List<Item> other) {
    var all = new ArrayList<Compared>();
    for (var part : EnginePart.values()) {
      var a = one.stream().filter(i -> i.part() == part).findFirst();
      var b = other.stream().filter(i -> i.part() == part).findFirst();
      if (a.isPresent() && b.isPresent()) {
        all.addAll(of(a.get(), b.get()));
      }
    }
    return List.copyOf(all);
  }
}
