package grandbore.desktop.weighing;

import grandbore.core.prediction.BuiltEngine;
import grandbore.core.studies.IdleStudy;
import grandbore.core.studies.SlowStudy.Slow;
import grandbore.core.units.Quantity;
import grandbore.core.units.UnitSystem;
import java.util.Collections;
import java.util.List;
import java.util.function.Function;
import java.util.stream.IntStream;

/** What each does cranked and idling, a column a build; dots for those still to be solved. */
final class BesideSlow extends SideTable {
  BesideSlow(List<BuiltEngine> engines, List<String> names, List<Slow> solved, UnitSystem units) {
    super("Cranked and idling", names);
    setId("beside-slow");
    line("Cranking pressure by the gauge", each(names, solved, s -> pressure(s, units)));
    line(
        "Vacuum at idle",
        IntStream.range(0, names.size())
            .mapToObj(
                i ->
                    i < solved.size()
                        ? vacuum(
                            solved.get(i), IdleStudy.speed(engines.get(i).combination()), units)
                        : "…")
            .toList());
  }

  private static List<String> each(
      List<String> names, List<Slow> solved, Function<Slow, String> says) {
    return IntStream.range(0, names.size())
        .mapToObj(i -> i < solved.size() ? says.apply(solved.get(i)) : "…")
        .toList();
  }

  private static String pressure(Slow slow, UnitSystem units) {
    String low = Quantity.CYLINDER_PRESSURE.show(Collections.min(slow.compression()), units);
    String high = Quantity.CYLINDER_PRESSURE.show(Collections.max(slow.compression()), units);
    return low.equals(high) ? low : low + " to " + high;
  }

  private static String vacuum(Slow slow, double rpm, UnitSystem units) {
    return slow.idle()
        .map(
            i ->
                "%s at %,.0f rpm%s"
                    .formatted(
                        Quantity.PRESSURE.show(i.vacuum(), units),
                        rpm,
                        i.steady() ? "" : ", rough"))
        .orElse("no throttle holds an idle of %,.0f rpm".formatted(rpm));
  }
}
