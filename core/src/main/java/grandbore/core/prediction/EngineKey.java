package grandbore.core.prediction;

import grandbore.core.combination.Brief;
import grandbore.core.combination.CamCard;
import grandbore.core.combination.Degreed;
import grandbore.core.combination.Given;
import grandbore.core.combination.PartSizes;
import grandbore.core.combination.Provenance;
import grandbore.core.combination.Ratings;
import grandbore.core.combination.Specs;
import grandbore.core.combination.ValveHardware;
import grandbore.core.combination.ValveTrain;
import grandbore.core.combination.Worksheet;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Set;

/**
 * What the prediction reads of an engine, as bare numbers and kinds: no names, no provenance, no
 * spread, nothing of what is only kept on paper. Two engines of one key run alike to the last
 * digit.
 */
public record EngineKey(List<Object> numbers) {
  /** Groups that are kept with an engine and that the prediction does not read. */
  private static final Set<Class<? extends Record>> ON_PAPER =
      Set.of(
          PartSizes.class,
          Ratings.class,
          CamCard.class,
          ValveHardware.class,
          Degreed.class,
          Brief.class,
          Worksheet.class);

  public EngineKey {
    numbers = List.copyOf(numbers);
  }

  static EngineKey of(BuiltEngine engine) {
    var numbers = new ArrayList<Object>();
    for (var group : Specs.values(engine.combination())) {
      add(numbers, group);
    }
    numbers.addAll(engine.clearances());
    return new EngineKey(numbers);
  }

  private static void add(List<Object> numbers, Object value) {
    switch (value) {
      case Given g -> numbers.add(g.si());
      case Record r -> {
        if (!ON_PAPER.contains(r.getClass())) {
          Specs.values(r).forEach(v -> add(numbers, v));
        }
      }
      case Collection<?> all -> {
        // Its length parts it from what follows.
        numbers.add(all.size());
        all.forEach(v -> add(numbers, v));
      }
      case Provenance _, ValveTrain.Shafts _, String _ -> {}
      default -> numbers.add(value);
    }
  }
}
