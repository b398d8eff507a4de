package grandbore.core.flow;

import grandbore.core.combination.FlowSheet;
import grandbore.core.waves.Nozzle;
import org.hipparchus.analysis.UnivariateFunction;
import org.hipparchus.analysis.interpolation.AkimaSplineInterpolator;
import org.hipparchus.analysis.interpolation.LinearInterpolator;

/**
 * Effective area of a port against valve lift, from its flow sheet: the throat of an ideal nozzle
 * that passes the same mass at the bench's depression. Room air at 101,325 Pa and 20 °C.
 */
public final class FlowCurve {
  static final double ROOM_PRESSURE = 101_325;
  static final double ROOM_TEMPERATURE = 293.15;
  static final double AIR_R = 287.05;
  static final double AIR_GAMMA = 1.4;

  private static final int ROWS = 300;
  private static final double REACH = 0.030;

  private final double[] area = new double[ROWS + 1];

  private FlowCurve() {}

  public FlowCurve(FlowSheet sheet) {
    int n = sheet.rows().size();
    var lifts = new double[n + 1];
    var areas = new double[n + 1];
    for (int i = 0; i < n; i++) {
      lifts[i + 1] = sheet.rows().get(i).lift();
      areas[i + 1] = effectiveArea(sheet.rows().get(i).flow(), sheet.depression());
    }
    UnivariateFunction curve =
        n >= 4
            ? new AkimaSplineInterpolator().interpolate(lifts, areas)
            : new LinearInterpolator().interpolate(lifts, areas);
    for (int i = 0; i <= ROWS; i++) {
      double lift = REACH * i / ROWS;
      area[i] = lift >= lifts[n] ? areas[n] : Math.max(0, curve.value(lift));
    }
  }

  /** A port that loses nothing: all of the section that its valves leave open. */
  public static FlowCurve ideal(int valves, ValvePassage valve) {
    var curve = new FlowCurve();
    for (int i = 0; i <= ROWS; i++) {
      curve.area[i] = valves * valve.area(REACH * i / ROWS);
    }
    return curve;
  }

  /** Effective area, m², that passes a flow of room air, m³/s, at a depression, Pa. */
  public static double effectiveArea(double flow, double depression) {
    double mass = flow * ROOM_PRESSURE / (AIR_R * ROOM_TEMPERATURE);
    return Nozzle.effectiveArea(
        mass, ROOM_PRESSURE, ROOM_TEMPERATURE, AIR_R, AIR_GAMMA, ROOM_PRESSURE - depression);
  }

  /** Flow of room air, m³/s, at a lift and a depression. */
  public double flow(double lift, double depression) {
    return at(lift)
        * Nozzle.massFlux(
            ROOM_PRESSURE, ROOM_TEMPERATURE, AIR_R, AIR_GAMMA, ROOM_PRESSURE - depression)
        * AIR_R
        * ROOM_TEMPERATURE
        / ROOM_PRESSURE;
  }

  /** Effective area at a lift, m². */
  public double at(double lift) {
    double k = Math.min(lift, REACH) * (ROWS / REACH);
    int i = Math.min((int) k, ROWS - 1);
    return area[i] + (k - i) * (area[i + 1] - area[i]);
  }
}
