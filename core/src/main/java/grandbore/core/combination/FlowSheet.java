package grandbore.core.combination;

import grandbore.core.units.Quantity;
import grandbore.core.units.UnitSystem;
import java.util.List;

/**
 * One port's flow on a bench, all its valves open together.
 *
 * @param depression across the port, Pa; sheets are at 28 inH2O unless stated
 * @param fitting what was on the port
 */
public record FlowSheet(double depression, Provenance provenance, Fitting fitting, List<Row> rows) {
  /** What was on the port while it was flowed. */
  public enum Fitting {
    /** The sheet does not say; as is usual, a rounded entry for an intake. */
    NOT_STATED,
    /** Nothing. */
    PORT_ALONE,
    /** A rounded entry on an intake, a short pipe on an exhaust. */
    RADIUS_OR_PIPE,
    /** The manifold or the header. */
    MANIFOLD
  }

  /** Flow, m³/s of room air, at a valve lift, m. */
  public record Row(double lift, double flow) {}

  /** A sheet that does not say what was on the port. */
  public FlowSheet(double depression, Provenance provenance, List<Row> rows) {
    this(depression, provenance, Fitting.NOT_STATED, rows);
  }

  public FlowSheet {
    if (!Bounds.hold(depression, 200, 25_000)) {
      throw new InvalidInput(
          "Flow sheet depression",
          Quantity.DEPRESSION.show(depression, UnitSystem.METRIC),
          "0.20 to 25.00 kPa (1 to 100 inH2O)",
          "flow benches work there");
    }
    if (rows == null || rows.size() < 2) {
      throw new InvalidInput(
          "Flow sheet",
          (rows == null ? 0 : rows.size()) + " rows",
          "two or more",
          "a curve needs two points");
    }
    if (provenance == null || fitting == null) {
      throw new InvalidInput(
          "Flow sheet provenance or fitting", "missing", "both", "they are needed");
    }
    rows = List.copyOf(rows);
    double last = 0;
    for (int i = 0; i < rows.size(); i++) {
      var row = rows.get(i);
      String name = "Flow sheet row " + (i + 1);
      if (!(row.lift > last && Bounds.hold(row.lift, 0, 0.030))) {
        throw new InvalidInput(
            name + " lift",
            Quantity.LENGTH.show(row.lift, UnitSystem.METRIC),
            "more than "
                + Quantity.LENGTH.show(last, UnitSystem.METRIC)
                + ", up to 30.00 mm (1.181 in)",
            "lifts rise from row to row");
      }
      if (!(row.flow > 0 && Bounds.hold(row.flow, 0, 0.6))) {
        throw new InvalidInput(
            name + " flow",
            Quantity.AIRFLOW.show(row.flow, UnitSystem.METRIC),
            "above 0 to 600.0 l/s (1271 cfm)",
            "a port passes that much at most");
      }
      last = row.lift;
    }
  }

  /** The same port with other rows. */
  public FlowSheet with(List<Row> changed) {
    return new FlowSheet(depression, provenance, fitting, changed);
  }

  /** How far all its rows may lie off together, one standard deviation as a share of the flow. */
  public double spread() {
    return provenance.relativeSpread();
  }

  /** The same port with every flow so many times as large. */
  public FlowSheet scaled(double factor) {
    return with(rows.stream().map(r -> new Row(r.lift, factor * r.flow)).toList());
  }
}
