package grandbore.core.dyno.effects;

import grandbore.core.dyno.Pull;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.SortedMap;

/**
 * What was on the engine in pulls that are repeats of one another.
 *
 * @param sets inputs in which it differed from the build as it was frozen
 * @param spark as read, in tenths of a degree; none where nobody said
 * @param words by which it is told
 */
public record Setting(SortedMap<String, Object> sets, Long spark, String words) {
  /** Of one pull. */
  public static Setting of(Pull pull) {
    var sets = pull.fitted().map(c -> c.sets()).orElseGet(java.util.Collections::emptySortedMap);
    Long spark = Double.isNaN(pull.spark()) ? null : Math.round(10 * Math.toDegrees(pull.spark()));
    return new Setting(sets, spark, pull.changed());
  }

  private List<Object> key() {
    return List.of(sets, spark == null ? "" : spark);
  }

  /**
   * Pulls that follow one another and are repeats: a setting that is come back to is a group of its
   * own, so that what drifts shows.
   */
  public static List<Group> groups(List<Pull> pulls) {
    var groups = new ArrayList<Group>();
    for (var pull : pulls) {
      var setting = of(pull);
      if (!groups.isEmpty() && groups.getLast().setting.key().equals(setting.key())) {
        var last = groups.removeLast();
        var all = new ArrayList<>(last.pulls);
        all.add(pull);
        groups.add(new Group(last.setting, all));
      } else {
        groups.add(new Group(setting, List.of(pull)));
      }
    }
    return List.copyOf(groups);
  }

  /** All pulls of each setting together, wherever they stood. */
  public static List<Group> together(List<Pull> pulls) {
    Map<List<Object>, Group> by = new LinkedHashMap<>();
    for (var pull : pulls) {
      var setting = of(pull);
      by.merge(
          setting.key(),
          new Group(setting, List.of(pull)),
          (a, b) -> {
            var all = new ArrayList<>(a.pulls);
            all.addAll(b.pulls);
            return new Group(a.setting, all);
          });
    }
    return List.copyOf(by.values());
  }

  /** Pulls of one setting. */
  public record Group(Setting setting, List<Pull> pulls) {
    public Group {
      pulls = List.copyOf(pulls);
    }
  }
}
