package grandbore.core.prediction;

import grandbore.core.combination.Brief;
import grandbore.core.combination.CamCard;
import grandbore.core.combination.Combination;
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
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;

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

  /** What it reads of them nevertheless: windage, the room in the guide, where a spring binds. */
  private static final Map<Class<? extends Record>, Set<String>> READ =
      Map.of(
          PartSizes.class,
          Set.of("counterweightRadius"),
          ValveHardware.class,
          Set.of("stem", "installedHeight", "coilBind"));

  /** Inputs of parts that an engine may be without, not read of one that is. */
  private static final List<String> OF_PARTS =
      List.of(
          "intake.ductLength",
          "intake.ductSection",
          "exhaust.secondaryLength",
          "exhaust.secondaryDiameter",
          "exhaust.balanceDiameter");

  public EngineKey {
    numbers = List.copyOf(numbers);
  }

  /** Inputs that do nothing on an engine, because it does not have what they are of. */
  private static Set<String> idle(Combination c) {
    return OF_PARTS.stream()
        .filter(path -> !c.isFitted(path))
        .map(path -> path.substring(path.indexOf('.') + 1))
        .collect(Collectors.toSet());
  }

  static EngineKey of(BuiltEngine engine) {
    var numbers = new ArrayList<Object>();
    var idle = idle(engine.combination());
    for (var group : Specs.values(engine.combination())) {
      if (group instanceof Record r) {
        group(numbers, r, idle);
      } else {
        add(numbers, group);
      }
    }
    numbers.addAll(engine.clearances());
    return new EngineKey(numbers);
  }

  /** What is read of a group. */
  private static void group(List<Object> numbers, Record group, Set<String> idle) {
    boolean paper = ON_PAPER.contains(group.getClass());
    var read = READ.getOrDefault(group.getClass(), Set.of());
    Specs.each(
        group,
        (name, value) -> {
          if (paper ? read.contains(name) : !idle.contains(name)) {
            add(numbers, value);
          }
        });
  }

  private static void add(List<Object> numbers, Object value) {
    switch (value) {
      case Given g -> numbers.add(g.si());
      case Record r -> Specs.values(r).forEach(v -> add(numbers, v));
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
