package grandbore.core.job;

import grandbore.core.job.facts.Fact;
import grandbore.core.job.parts.Item;
import grandbore.core.job.parts.ItemState;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/**
 * A part that was ordered before what decides its size was proved.
 *
 * @param fact that decides it and is open
 */
public record TooEarly(Item item, Fact fact) {
  /** All of an engine, those that are fitted left out. */
  public static List<TooEarly> of(Job job, Proved proved) {
    var all = new ArrayList<TooEarly>();
    for (var item : job.items()) {
      boolean bought =
          item.state().isBought()
              && item.state() != ItemState.FITTED
              && item.state() != ItemState.SOLD;
      if (bought && !item.reused()) {
        for (var fact : item.part().decidedBy()) {
          if (!proved.is(fact)) {
            all.add(new TooEarly(item, fact));
          }
        }
      }
    }
    return List.copyOf(all);
  }

  /** In words, with why. */
  public String says() {
    return "%s %s before %s is proved: %s"
        .formatted(
            item.part().title(),
            item.state() == ItemState.ORDERED ? "ordered" : "bought",
            fact.title().toLowerCase(Locale.ROOT),
            item.part().why());
  }
}
