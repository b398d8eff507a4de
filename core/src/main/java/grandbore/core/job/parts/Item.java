package grandbore.core.job.parts;

import grandbore.core.combination.Bounds;
import grandbore.core.combination.InvalidInput;
import grandbore.core.combination.Specs;
import grandbore.core.units.UnitSystem;
import java.time.LocalDate;
import java.util.Collections;
import java.util.Map;
import java.util.Optional;
import java.util.SortedMap;
import java.util.TreeMap;

/**
 * One part of one engine.
 *
 * @param id by which the build knows it
 * @param place from 1; 0 where it is not said yet
 * @param maker and {@code number} as they were typed, may be empty
 * @param reused whether it was in an engine before
 * @param finding what there is to say about its condition, may be empty
 * @param measures what was weighed or measured on it, SI
 * @param marks direction, place, match marks, may be empty
 * @param price in the shop's currency
 * @param lead days from the order until it is there; 0 where it is not known
 * @param promised the day on which it is to be there, {@code null} where none was told
 * @param interfaces what it has to match other parts in, as the shop notes it: “bolt pattern”
 */
public record Item(
    String id,
    EnginePart part,
    int place,
    String maker,
    String number,
    ItemState state,
    boolean reused,
    Condition condition,
    String finding,
    SortedMap<ItemMeasure, Double> measures,
    String marks,
    double price,
    String supplier,
    int lead,
    LocalDate promised,
    SortedMap<String, String> interfaces) {
  private static final int LONGEST = 200;
  private static final int WORDS = 2000;
  private static final int YEARS = 1000;

  public Item {
    if (id == null || id.isBlank() || id.length() > 40) {
      throw new InvalidInput(
          "Part, number", "“" + id + "”", "1 to 40 characters", "it is known by");
    }
    if (part == null || state == null || condition == null) {
      throw new InvalidInput("Part " + id, "no kind, state or condition", "all", "it is shown so");
    }
    words(id, "maker", maker, LONGEST);
    words(id, "maker's number", number, LONGEST);
    words(id, "finding", finding, WORDS);
    words(id, "marks", marks, LONGEST);
    words(id, "supplier", supplier, LONGEST);
    if (place < 0 || place > 24) {
      throw new InvalidInput(
          "Part %s, place".formatted(id), "" + place, "0 to 24", "it is a place");
    }
    if (!(price >= 0 && price <= 10e6)) {
      throw new InvalidInput(
          "Part %s, price".formatted(id), "" + price, "0 to 10,000,000", "it is what is paid");
    }
    if (lead < 0 || lead > YEARS) {
      throw new InvalidInput(
          "Part %s, days until it is there".formatted(id),
          "" + lead,
          "0 to 1000",
          "it is waited for");
    }
    measures.forEach(
        (m, v) -> {
          if (!Bounds.hold(v, m.least(), m.most())) {
            throw new InvalidInput(
                "Part %s, %s".formatted(id, m.title()),
                m.quantity().show(v, UnitSystem.METRIC),
                "%s to %s"
                    .formatted(
                        m.quantity().show(m.least(), UnitSystem.METRIC),
                        m.quantity().show(m.most(), UnitSystem.METRIC)),
                "no such part is outside of that");
          }
        });
    measures = Collections.unmodifiableSortedMap(new TreeMap<>(measures));
    interfaces.forEach(
        (k, v) -> {
          words(id, "what it matches in", k, LONGEST);
          words(id, k, v, LONGEST);
        });
    interfaces = Collections.unmodifiableSortedMap(new TreeMap<>(interfaces));
  }

  private static void words(String id, String field, String text, int longest) {
    if (text == null || text.length() > longest) {
      throw new InvalidInput(
          "Part %s, %s".formatted(id, field),
          "none or too long",
          "up to %d characters".formatted(longest),
          "it is read");
    }
  }

  /** A part that is only wanted so far. */
  public static Item wanted(String id, EnginePart part, int place) {
    return new Item(
        id,
        part,
        place,
        "",
        "",
        ItemState.WANTED,
        false,
        Condition.UNKNOWN,
        "",
        new TreeMap<>(),
        "",
        0,
        "",
        0,
        null,
        new TreeMap<>());
  }

  /** What was measured on it, SI. */
  public Optional<Double> measure(ItemMeasure m) {
    return Optional.ofNullable(measures.get(m));
  }

  /** The day on which it is promised. */
  public Optional<LocalDate> day() {
    return Optional.ofNullable(promised);
  }

  private Item with(Map<String, ?> changed) {
    return Specs.changed(this, changed);
  }

  /** The same part somewhere else on its way. */
  public Item in(ItemState now) {
    return with(Map.of("state", now));
  }

  /** The same part at another place. */
  public Item at(int now) {
    return with(Map.of("place", now));
  }

  /** The same part promised for another day, {@code null} for none. */
  public Item promised(LocalDate now) {
    return with(Collections.singletonMap("promised", now));
  }

  /**
   * The same part from somebody, at a price.
   *
   * @param days from the order until it is there, 0 where it is not known
   */
  public Item from(String who, double paid, int days) {
    return with(Map.of("supplier", who, "price", paid, "lead", days));
  }

  /** The same part, what it was called by its maker. */
  public Item made(String by, String as) {
    return with(Map.of("maker", by, "number", as));
  }

  /** The same part looked at. */
  public Item found(boolean used, Condition is, String words) {
    return with(Map.of("reused", used, "condition", is, "finding", words));
  }

  /** The same part with what it has to match others in: “bolt pattern”, “water outlet”. */
  public Item matching(Map<String, String> others) {
    return with(Map.of("interfaces", new TreeMap<>(others)));
  }

  /** The same part, weighed or measured. */
  public Item measured(Map<ItemMeasure, Double> values) {
    var all = new TreeMap<>(measures);
    all.putAll(values);
    return with(Map.of("measures", all));
  }
}
