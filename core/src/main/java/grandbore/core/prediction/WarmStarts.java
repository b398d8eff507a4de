package grandbore.core.prediction;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;

/**
 * Where the last run ended at each speed, so that the next one, of an engine a little changed,
 * starts there. A network that is kept is not run on: others only copy from it.
 */
public final class WarmStarts {
  /** More speeds than a curve has; the longest unused go first. */
  private static final int MOST = 64;

  /**
   * A settled state.
   *
   * @param spark found there, rad before top centre
   */
  record Start(EngineNetwork network, double spark) {}

  private final Map<Double, Start> bySpeed = new LinkedHashMap<>(MOST, 0.75F, true);

  public WarmStarts() {}

  /** Starts with what another has now; the other stays as it is. */
  public WarmStarts(WarmStarts other) {
    synchronized (other) {
      bySpeed.putAll(other.bySpeed);
    }
  }

  synchronized Optional<Start> at(double rpm) {
    return Optional.ofNullable(bySpeed.get(rpm));
  }

  synchronized boolean has(double rpm) {
    return bySpeed.containsKey(rpm);
  }

  synchronized void keep(double rpm, Start start) {
    bySpeed.put(rpm, start);
    if (bySpeed.size() > MOST) {
      bySpeed.remove(bySpeed.keySet().iterator().next());
    }
  }
}
