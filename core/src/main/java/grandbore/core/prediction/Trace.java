package grandbore.core.prediction;

import grandbore.core.prediction.DuctTrace.State;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** One cycle of one cylinder written down, SI, angles in crank rad after the firing top centre. */
public final class Trace {
  private final CurvePoint point;
  private final double[] angles;
  private final Map<Kind, double[]> series;
  private final List<DuctTrace> ducts;
  private final HotWalls walls;

  Trace(
      CurvePoint point,
      double[] angles,
      Map<Kind, double[]> series,
      List<DuctTrace> ducts,
      HotWalls walls) {
    this.point = point;
    this.angles = angles;
    this.series = series;
    this.ducts = List.copyOf(ducts);
    this.walls = walls;
  }

  /** How hot the metal around the gas is. */
  public HotWalls walls() {
    return walls;
  }

  /** What is written down. */
  public enum Kind {
    CYLINDER_PRESSURE("cylinder_pressure", "Pa"),
    CYLINDER_TEMPERATURE("cylinder_temperature", "K"),
    CYLINDER_VOLUME("cylinder_volume", "m3"),
    INTAKE_LIFT("intake_lift", "m"),
    EXHAUST_LIFT("exhaust_lift", "m"),
    INTAKE_FLOW("intake_flow", "kg/s"),
    EXHAUST_FLOW("exhaust_flow", "kg/s"),
    INTAKE_PRESSURE("intake_valve_pressure", "Pa"),
    EXHAUST_PRESSURE("exhaust_valve_pressure", "Pa"),
    CYLINDER_BURNED("cylinder_burned", "share"),
    SHARE_BURNED("share_burned", "share"),
    FLAME_RADIUS("flame_radius", "m"),
    UNBURNED_TEMPERATURE("unburned_temperature", "K"),
    BURNED_TEMPERATURE("burned_temperature", "K"),
    PLENUM_PRESSURE("plenum_pressure", "Pa"),
    PLENUM_TEMPERATURE("plenum_temperature", "K");

    private final String name;
    private final String unit;

    Kind(String name, String unit) {
      this.name = name;
      this.unit = unit;
    }

    /** Name of the column. */
    public String column() {
      return name + "_" + unit.replace('/', '_');
    }
  }

  /** What the cycle sums up to. */
  public CurvePoint point() {
    return point;
  }

  /** From where the intake opens to where the exhaust shuts; empty where they never overlap. */
  public double[] overlap() {
    double from = Double.NaN;
    double to = Double.NaN;
    var in = of(Kind.INTAKE_LIFT);
    var out = of(Kind.EXHAUST_LIFT);
    for (int i = 0; i < in.length; i++) {
      if (in[i] > 0 && out[i] > 0) {
        from = Double.isNaN(from) ? angles[i] : from;
        to = angles[i];
      }
    }
    return Double.isNaN(from) ? new double[0] : new double[] {from, to};
  }

  /** Crank angles of the rows, rad, rising. */
  public double[] angles() {
    return angles;
  }

  /** The values of one kind, one an angle. */
  public double[] of(Kind kind) {
    return series.get(kind);
  }

  /** The gas in all pipes that it goes through, in its order; an engine has not each of them. */
  public List<DuctTrace> ducts() {
    return ducts;
  }

  /** The gas in one pipe; empty where the engine has none such. */
  public Optional<DuctTrace> along(Duct duct) {
    return ducts.stream().filter(d -> d.duct() == duct).findFirst();
  }

  /** Pressure along runner and port, Pa: a row an angle, from the plenum to the valve. */
  public double[][] intakeWave() {
    return along(Duct.INTAKE).orElseThrow().of(State.PRESSURE);
  }

  /** Speed of the gas along runner and port, m/s, toward the valve: a row an angle. */
  public double[][] intakeSpeed() {
    return along(Duct.INTAKE).orElseThrow().of(State.SPEED);
  }

  /** Pressure along port and primary, Pa: a row an angle, from the valve to the merge. */
  public double[][] exhaustWave() {
    return along(Duct.EXHAUST).orElseThrow().of(State.PRESSURE);
  }
}
