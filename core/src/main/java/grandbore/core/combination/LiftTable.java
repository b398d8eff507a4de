package grandbore.core.combination;

import grandbore.core.units.Quantity;
import grandbore.core.units.UnitSystem;
import java.util.List;

/** A lobe as a degree wheel and an indicator found it: tappet lift against crank angle. */
public record LiftTable(Provenance provenance, List<Row> rows) {
  /** No table: the lobe is made from the card. */
  public static final LiftTable NONE = new LiftTable(Provenance.ASSUMED, List.of());

  private static final int FEWEST = 8;
  private static final double HIGHEST = 0.020;

  /**
   * @param angle crank rad, from any zero
   * @param lift at the tappet, m
   */
  public record Row(double angle, double lift) {}

  public LiftTable {
    if (provenance == null || rows == null) {
      throw new InvalidInput("Lift table", "missing", "a table or none", "it is needed");
    }
    rows = List.copyOf(rows);
    if (!rows.isEmpty() && rows.size() < FEWEST) {
      throw new InvalidInput(
          "Lift table", rows.size() + " rows", "8 or more", "a lobe cannot be seen in fewer");
    }
    for (int i = 0; i < rows.size(); i++) {
      var row = rows.get(i);
      String name = "Lift table row " + (i + 1);
      if (!Double.isFinite(row.angle) || i > 0 && !(row.angle > rows.get(i - 1).angle)) {
        throw new InvalidInput(
            name + " angle",
            Quantity.ANGLE.show(row.angle, UnitSystem.METRIC),
            "more than the row before",
            "angles rise from row to row");
      }
      if (!Bounds.hold(row.lift, 0, HIGHEST)) {
        throw new InvalidInput(
            name + " lift",
            Quantity.LENGTH.show(row.lift, UnitSystem.METRIC),
            "0 to 20.00 mm (0.787 in)",
            "it is the lift of the lobe, not of the valve");
      }
    }
    if (!rows.isEmpty()) {
      double reach = rows.getLast().angle - rows.getFirst().angle;
      double most = rows.stream().mapToDouble(Row::lift).max().orElseThrow();
      double ends = Math.max(rows.getFirst().lift, rows.getLast().lift);
      if (!(reach > 2 && reach < 4 * Math.PI) || most < 0.002 || ends > 0.2 * most) {
        throw new InvalidInput(
            "Lift table",
            "%.0f° wide, its ends at %.0f %% of the lift"
                .formatted(Math.toDegrees(reach), 100 * ends / Math.max(1e-9, most)),
            "one whole lobe, both flanks down to a fifth of the lift or less",
            "the rest cannot be guessed");
      }
    }
  }

  /** The highest row, m. */
  public double peak() {
    return rows.stream().mapToDouble(Row::lift).max().orElse(0);
  }

  public boolean isGiven() {
    return !rows.isEmpty();
  }
}
