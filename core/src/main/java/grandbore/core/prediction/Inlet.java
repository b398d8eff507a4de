package grandbore.core.prediction;

import grandbore.core.waves.Pipe;
import grandbore.core.waves.PipeEnd;
import grandbore.core.waves.Reservoir;

/**
 * A carburettor's or throttle's bores with the spacer under them, as a pipe: what the throttle's
 * opening lets in at its mouth runs on into the plenum, and comes back as it must. The gas in it
 * and the plenum ring as a Helmholtz resonator.
 */
final class Inlet {
  private final Pipe pipe;
  private final PipeEnd mouth;
  private final PipeEnd end;

  /**
   * @param from the air in front of it
   * @param into the plenum
   */
  Inlet(EngineParts parts, Pipe pipe, Reservoir from, Reservoir into) {
    this.pipe = pipe;
    mouth = new PipeEnd(parts.gas(), pipe, true, from);
    end = new PipeEnd(parts.gas(), pipe, false, into);
    end.open(Double.MAX_VALUE);
  }

  /** Opens the throttle to so much effective area, m². */
  void open(double area) {
    mouth.open(area);
  }

  void couple(double dt) {
    mouth.couple(dt);
    end.couple(dt);
  }

  Pipe pipe() {
    return pipe;
  }
}
