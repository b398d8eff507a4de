package grandbore.core.studies;

import grandbore.core.changes.Change;
import grandbore.core.changes.Difference;
import grandbore.core.combination.Combination;
import grandbore.core.combination.InvalidInput;
import grandbore.core.prediction.BuiltEngine;
import grandbore.core.prediction.Curve;
import grandbore.core.prediction.Fidelity;
import grandbore.core.runs.Desk;
import grandbore.core.runs.Study;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.IntStream;

/**
 * Why two engines differ: the inputs in which they do, by what they act on, exchanged part by part
 * in every order, so that the shares add up to the whole difference.
 *
 * @param speeds rev/min
 */
public record WhyStudy(BuiltEngine from, BuiltEngine to, List<Double> speeds)
    implements Study<WhyStudy.Found> {
  /** What inputs act on. */
  public enum Physics {
    FILLING_INTAKE("filling, intake side"),
    FILLING_EXHAUST("filling, exhaust side"),
    VALVE_EVENTS("valve events and lift"),
    COMPRESSION_AND_SIZE("compression, size and burn"),
    FRICTION("friction and windage"),
    MIXTURE_AND_SPARK("mixture and spark");

    private final String label;

    Physics(String label) {
      this.label = label;
    }

    public String label() {
      return label;
    }

    static Physics of(String path) {
      return switch (path.substring(0, path.indexOf('.'))) {
        case "intake", "boost", "nitrous", "weather" -> FILLING_INTAKE;
        case "exhaust" -> FILLING_EXHAUST;
        case "heads" -> path.contains("xhaust") ? FILLING_EXHAUST : FILLING_INTAKE;
        case "cam", "valveTrain", "seats" -> VALVE_EVENTS;
        case "losses", "weights" -> FRICTION;
        case "mixture" -> MIXTURE_AND_SPARK;
        default -> COMPRESSION_AND_SIZE;
      };
    }
  }

  /**
   * @param speeds at which both engines settled, rev/min
   * @param torque the whole difference at each, N m
   * @param shares of it, N m at each speed
   * @param inputs that act there
   */
  public record Found(
      List<Double> speeds,
      List<Double> torque,
      Map<Physics, List<Double>> shares,
      Map<Physics, List<String>> inputs) {
    public Found {
      speeds = List.copyOf(speeds);
      torque = List.copyOf(torque);
      shares = Map.copyOf(shares);
      inputs = Map.copyOf(inputs);
    }
  }

  public WhyStudy {
    speeds = List.copyOf(speeds);
    if (Difference.among(List.of(from.combination(), to.combination())).isEmpty()) {
      throw new InvalidInput(
          "Why", "two engines that are alike", "two that differ", "nothing is to be shared out");
    }
    if (from.combination().bottomEnd().cylinders() != to.combination().bottomEnd().cylinders()) {
      throw new InvalidInput(
          "Why",
          "%d and %d cylinders"
              .formatted(
                  from.combination().bottomEnd().cylinders(),
                  to.combination().bottomEnd().cylinders()),
          "two engines of as many cylinders",
          "what is exchanged has to fit the other");
    }
  }

  @Override
  public String title() {
    return "Why two engines differ";
  }

  @Override
  public List<Object> key() {
    return List.of(from.key(), to.key(), speeds);
  }

  @Override
  public Found solve(Desk<Found> desk) {
    var parts = parts(from.combination(), to.combination());
    var physics = List.copyOf(parts.keySet());
    desk.expect((1 << physics.size()) * speeds.size());
    var base = desk.base(from, speeds, Fidelity.PLACED);
    var curves = new ArrayList<Curve>();
    curves.add(base.curve());
    for (var few : Batch.few(IntStream.range(1, 1 << physics.size()).boxed().toList())) {
      curves.addAll(desk.curves(base, few.stream().map(set -> with(parts, physics, set)).toList()));
    }
    var reached =
        speeds.stream()
            .filter(s -> curves.stream().allMatch(c -> !Double.isNaN(new CurveLine(c).torque(s))))
            .toList();
    var shares =
        Shapley.shares(
            physics.size(),
            set -> {
              var line = new CurveLine(curves.get(set));
              return reached.stream().mapToDouble(line::torque).toArray();
            });
    var byPhysics = new EnumMap<Physics, List<Double>>(Physics.class);
    var inputs = new EnumMap<Physics, List<String>>(Physics.class);
    for (int i = 0; i < physics.size(); i++) {
      byPhysics.put(physics.get(i), java.util.Arrays.stream(shares[i]).boxed().toList());
      inputs.put(physics.get(i), List.copyOf(parts.get(physics.get(i)).keySet()));
    }
    var first = new CurveLine(curves.getFirst());
    var last = new CurveLine(curves.getLast());
    return new Found(
        reached,
        reached.stream().map(s -> last.torque(s) - first.torque(s)).toList(),
        byPhysics,
        inputs);
  }

  /** The inputs that differ, by what they act on. */
  private static Map<Physics, Map<String, Object>> parts(Combination from, Combination to) {
    var parts = new EnumMap<Physics, Map<String, Object>>(Physics.class);
    for (var d : Difference.among(List.of(from, to))) {
      parts
          .computeIfAbsent(Physics.of(d.path()), p -> new TreeMap<>())
          .put(d.path(), d.values().getLast());
    }
    return parts;
  }

  /** The one engine with some of the other's parts; with all of them it is the other. */
  private BuiltEngine with(
      Map<Physics, Map<String, Object>> parts, List<Physics> physics, int set) {
    if (set == (1 << physics.size()) - 1) {
      return to;
    }
    var sets = new TreeMap<String, Object>();
    var names = new ArrayList<String>();
    for (int i = 0; i < physics.size(); i++) {
      if ((set & 1 << i) != 0) {
        sets.putAll(parts.get(physics.get(i)));
        names.add(physics.get(i).label());
      }
    }
    String name = String.join(", ", names);
    return new Change(name.substring(0, Math.min(80, name.length())), sets).on(from);
  }
}
