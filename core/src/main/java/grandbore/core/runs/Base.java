package grandbore.core.runs;

import grandbore.core.prediction.BuiltEngine;
import grandbore.core.prediction.Curve;
import grandbore.core.prediction.Fidelity;
import grandbore.core.prediction.WarmStarts;
import java.util.List;

/**
 * An engine that was run from a cold start and from which others start, each speed where it ended
 * at that speed. What they come to hangs on it and on nothing that is run beside them.
 */
public final class Base {
  private final BuiltEngine engine;
  private final List<Double> speeds;
  private final Fidelity fidelity;
  private final WarmStarts starts;
  private final Curve curve;

  Base(BuiltEngine engine, List<Double> speeds, Fidelity fidelity, WarmStarts starts, Curve curve) {
    this.engine = engine;
    this.speeds = List.copyOf(speeds);
    this.fidelity = fidelity;
    this.starts = starts;
    this.curve = curve;
  }

  public BuiltEngine engine() {
    return engine;
  }

  public Curve curve() {
    return curve;
  }

  List<Double> speeds() {
    return speeds;
  }

  Fidelity fidelity() {
    return fidelity;
  }

  /** A copy: what is kept here is never run on. */
  WarmStarts starts() {
    return new WarmStarts(starts);
  }

  /** All that a curve begun here hangs on. */
  List<Object> key(BuiltEngine other) {
    return List.of(engine.key(), other.key(), speeds, fidelity);
  }
}
