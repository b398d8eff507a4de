package grandbore.core.dyno.judged;

import grandbore.core.checks.Check;
import grandbore.core.combination.Combination;
import grandbore.core.dyno.Frozen;
import grandbore.core.dyno.Pull;
import java.util.List;
import java.util.Optional;

/** Is the pull good? */
public final class Judge {
  private Judge() {}

  /**
   * All that a pull says of its meters, of the engine and of what is set.
   *
   * @param c the engine as it was frozen
   * @param before good pulls before it, in their order
   * @return each with the word of its {@link Suspect} as the name
   */
  public static List<Check> of(
      Combination c, Pull pull, List<Pull> before, Optional<Frozen> frozen) {
    var seen = new Seen(c, pull, frozen);
    var doubts = new Doubts();
    if (!seen.speeds().isEmpty()) {
      MeterChecks.of(seen, doubts);
      CylinderChecks.of(seen, doubts);
      RunningChecks.of(seen, doubts);
      SessionChecks.of(seen, before, doubts);
    }
    return doubts.all();
  }

  /** What does not hold. */
  public static List<Check> bad(List<Check> all) {
    return all.stream().filter(c -> c.verdict() == Check.Verdict.BAD).toList();
  }
}
