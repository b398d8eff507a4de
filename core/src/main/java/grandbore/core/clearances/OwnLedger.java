package grandbore.core.clearances;

import grandbore.core.combination.BottomEnd;
import grandbore.core.combination.Combination;
import grandbore.core.units.UnitSystem;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** What the shop's own kinds of reading come to on a build. */
public final class OwnLedger {
  /**
   * What stands at one point.
   *
   * @param value mean of its readings, SI
   * @param count how many make it
   * @param range largest less smallest, SI
   */
  public record Value(OwnKind kind, int place, int point, double value, int count, double range) {}

  private record Where(String kind, int place, int point) {}

  private final BottomEnd bottom;
  private final Map<String, OwnKind> kinds = new LinkedHashMap<>();
  private final Map<Where, List<OwnReading>> readings = new LinkedHashMap<>();

  /**
   * @param notes of the build and the shop, the oldest first
   */
  public OwnLedger(Combination engine, List<Kept> notes) {
    bottom = engine.bottomEnd();
    for (var kept : notes) {
      if (!kept.struck()) {
        switch (kept.note()) {
          case OwnKind k -> kinds.put(k.key(), k);
          case OwnReading r ->
              readings
                  .computeIfAbsent(
                      new Where(r.kind(), r.place(), r.point()), w -> new ArrayList<>())
                  .add(r);
          default -> {}
        }
      }
    }
    kinds.values().removeIf(OwnKind::gone);
  }

  /** The kinds that the shop takes. */
  public List<OwnKind> kinds() {
    return List.copyOf(kinds.values());
  }

  public Optional<OwnKind> kind(String key) {
    return Optional.ofNullable(kinds.get(key));
  }

  /** How many places of a kind this engine has. */
  public int places(OwnKind k) {
    return k.place().count(bottom);
  }

  /** The value at a point. */
  public Optional<Value> at(OwnKind k, int place, int point) {
    var found = readings.getOrDefault(new Where(k.key(), place, point), List.of());
    if (found.isEmpty()) {
      return Optional.empty();
    }
    var s = found.stream().mapToDouble(OwnReading::value).summaryStatistics();
    return Optional.of(
        new Value(k, place, point, s.getAverage(), found.size(), s.getMax() - s.getMin()));
  }

  /** The values of all points of all places that have one. */
  public List<Value> over(OwnKind k) {
    var all = new ArrayList<Value>();
    for (int place = 1; place <= places(k); place++) {
      for (int point = 0; point < k.times(); point++) {
        at(k, place, point).ifPresent(all::add);
      }
    }
    return all;
  }

  /** How many points of a kind there are to be read, over all places. */
  public int wanted(OwnKind k) {
    return places(k) * k.times();
  }

  /** Whether every point of every place of a kind has been read. */
  public boolean isRead(OwnKind k) {
    return over(k).size() == wanted(k);
  }

  /** How a value stands to its kind's band, where it has one. */
  public Optional<Band.Verdict> verdict(Value v) {
    return v.kind().band(bottom.bore().si()).map(b -> b.judge(v.value()));
  }

  /** Where a value was read: “cylinder 3, front, 40 mm down”. */
  public static String where(OwnKind k, int place, int point) {
    String at = k.place().at(place);
    return k.points().isEmpty() ? at : at + ", " + k.point(point);
  }

  /** What lies outside of its band, each in words. */
  public List<String> tasks(UnitSystem units) {
    var all = new ArrayList<String>();
    for (var k : kinds.values()) {
      for (var v : over(k)) {
        verdict(v)
            .filter(Band.Verdict::isOutside)
            .ifPresent(
                is ->
                    all.add(
                        "%s, %s: %s, %s; band %s"
                            .formatted(
                                k.label(),
                                where(k, v.place(), v.point()),
                                k.quantity().show(v.value(), units),
                                is.word(),
                                k.band(bottom.bore().si())
                                    .orElseThrow()
                                    .show(k.quantity(), units))));
      }
    }
    return List.copyOf(all);
  }
}
