package grandbore.core.prediction;

import java.util.Map;

/**
 * The gas along one pipe in one cycle: for each state a row an angle, a value a cell, cells of
 * equal length from where the gas comes in to where it goes out.
 *
 * @param length of all cells, m; an open end's carries the end correction with it
 */
public record DuctTrace(Duct duct, double length, Map<State, double[][]> states) {
  /** What is known of the gas in a cell. */
  public enum State {
    /** Absolute, Pa. */
    PRESSURE,
    /** Toward the tail, m/s. */
    SPEED,
    /** In K. */
    TEMPERATURE,
    /** Burned share by mass, 0 to 1. */
    BURNED
  }

  public DuctTrace {
    states = Map.copyOf(states);
  }

  /** Rows over the trace's angles, a value a cell. */
  public double[][] of(State state) {
    return states.get(state);
  }

  /** How many. */
  public int cells() {
    return of(State.PRESSURE)[0].length;
  }
}
