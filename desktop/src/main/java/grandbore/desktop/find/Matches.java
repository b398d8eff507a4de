package grandbore.desktop.find;

import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;

/** Which targets a few typed letters mean, the likeliest first. */
public final class Matches {
  private static final int MOST = 40;

  /** A target and how well it fits; less is better. */
  private record Rated(Target target, double rate) {}

  private Matches() {}

  /** Every word typed must begin a word of the title, or of the place; the title counts more. */
  public static List<Target> of(List<Target> all, String typed) {
    var words = words(typed.toLowerCase(Locale.ROOT));
    if (words.isEmpty()) {
      return List.of();
    }
    return all.stream()
        .map(t -> new Rated(t, rate(t, words)))
        .filter(r -> r.rate < Double.MAX_VALUE)
        .sorted(Comparator.comparingDouble(Rated::rate))
        .limit(MOST)
        .map(Rated::target)
        .toList();
  }

  private static double rate(Target t, List<String> words) {
    var title = t.title().toLowerCase(Locale.ROOT);
    var where = t.where().toLowerCase(Locale.ROOT);
    double sum = 0.1 * t.kind().ordinal() + 0.002 * title.length();
    for (var w : words) {
      double in = begins(title, w);
      double at = begins(where, w);
      if (in < 0 && at < 0) {
        return Double.MAX_VALUE;
      }
      sum += in >= 0 ? in : 5 + at;
    }
    return sum;
  }

  private static List<String> words(String text) {
    return Arrays.stream(text.split("[^\\p{Alnum}°.]+", -1)).filter(w -> !w.isEmpty()).toList();
  }

  /** At which word of a text another begins, whole words before beginnings; −1 for nowhere. */
  private static double begins(String text, String word) {
    var all = words(text);
    if (all.contains(word)) {
      return all.indexOf(word);
    }
    for (int k = 0; k < all.size(); k++) {
      if (all.get(k).startsWith(word)) {
        return k + 0.5;
      }
    }
    return -1;
  }
}
