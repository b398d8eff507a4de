package grandbore.core.dyno.judged;

import grandbore.core.checks.Check;
import java.util.ArrayList;
import java.util.List;

/** The checks of a pull as they are made. */
final class Doubts {
  private final List<Check> all = new ArrayList<>();

  /** Says how something stands. */
  void say(Suspect suspect, String label, Check.Verdict verdict, String says, String working) {
    all.add(new Check(suspect.word(), label, verdict, says, working, Double.NaN));
  }

  /** By how far a number lies off: bad from a limit on, close from half of it. */
  void judge(
      Suspect suspect,
      String label,
      double off,
      double limit,
      String good,
      String bad,
      String working) {
    if (Double.isNaN(off)) {
      return;
    }
    var verdict =
        off > limit
            ? Check.Verdict.BAD
            : off > 0.7 * limit ? Check.Verdict.CLOSE : Check.Verdict.GOOD;
    say(suspect, label, verdict, verdict == Check.Verdict.GOOD ? good : bad, working);
  }

  boolean isBad(Suspect suspect) {
    return all.stream()
        .anyMatch(k -> k.name().equals(suspect.word()) && k.verdict() == Check.Verdict.BAD);
  }

  List<Check> all() {
    return List.copyOf(all);
  }
}
