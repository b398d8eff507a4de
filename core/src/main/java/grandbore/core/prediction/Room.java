package grandbore.core.prediction;

import grandbore.core.waves.Pipe;
import grandbore.core.waves.Reservoir;
import java.util.Optional;

/** The room of a plenum: well mixed, or long enough for waves of its own. */
sealed interface Room permits MixedRoom, BoxRoom {
  /** What the throttles open into. */
  Reservoir feed();

  /**
   * What a runner opens into.
   *
   * @param along share of the room's length from its throttle's end
   */
  Reservoir at(double along);

  /** Its pipe, where it is one. */
  Optional<Pipe> pipe();

  /** Finds pressure and temperature after all flows of the step are in. */
  void settle(double dt);

  /** The longest step in which openings of so much area in all, m², do not throw it over, s. */
  double stableStep(double openArea);

  /** On the mean of the room, Pa. */
  double pressure();

  /** What is in it beside the gas of its pipe, kg. */
  double mass();

  /** The same in J. */
  double energy();

  /** Takes over the gas of another of the same kind. */
  void startFrom(Room o);
}
