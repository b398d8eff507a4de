package grandbore.core.combination;

import java.util.List;

/**
 * A compressor as its maker's map states it: lines of one shaft speed, each from surge to choke.
 */
public record CompressorMap(Provenance provenance, List<Row> rows) {
  /** No map: the efficiency given holds everywhere. */
  public static final CompressorMap NONE = new CompressorMap(Provenance.ASSUMED, List.of());

  private static final int FEWEST = 4;

  /**
   * @param shaftSpeed rad/s
   * @param flow kg/s, corrected to 1 bar and 25 °C at the inlet
   * @param ratio of the pressures behind and before
   * @param efficiency adiabatic
   */
  public record Row(double shaftSpeed, double flow, double ratio, double efficiency) {}

  public CompressorMap {
    if (provenance == null || rows == null) {
      throw new InvalidInput("Compressor map", "missing", "a map or none", "it is needed");
    }
    rows = List.copyOf(rows);
    if (!rows.isEmpty() && rows.stream().map(Row::shaftSpeed).distinct().count() < 2
        || !rows.isEmpty() && rows.size() < FEWEST) {
      throw new InvalidInput(
          "Compressor map",
          rows.size() + " rows",
          "two speeds or more, each with two points or more",
          "what lies between cannot be guessed from fewer");
    }
    for (int i = 0; i < rows.size(); i++) {
      var row = rows.get(i);
      within(i, "shaft speed", row.shaftSpeed, 500, 60_000, "rad/s");
      within(i, "flow", row.flow, 0.002, 3, "kg/s");
      within(i, "ratio", row.ratio, 1, 6, "");
      within(i, "efficiency", row.efficiency, 0.2, 0.9, "");
      if (i > 0) {
        var before = rows.get(i - 1);
        boolean rises =
            row.shaftSpeed > before.shaftSpeed
                || row.shaftSpeed == before.shaftSpeed && row.flow > before.flow;
        if (!rises) {
          throw new InvalidInput(
              "Compressor map row " + (i + 1),
              "flow %.4f kg/s".formatted(row.flow),
              "more flow than the row before, or a higher shaft speed",
              "each speed's line runs from surge to choke, the slowest first");
        }
      }
    }
  }

  private static void within(
      int i, String name, double value, double least, double most, String unit) {
    if (!Bounds.hold(value, least, most)) {
      throw new InvalidInput(
          "Compressor map row %d %s".formatted(i + 1, name),
          "%.4g %s".formatted(value, unit).strip(),
          "%.4g to %.4g %s".formatted(least, most, unit).strip(),
          "no compressor for an engine works outside that");
    }
  }

  /** Whether there is a map. */
  public boolean isGiven() {
    return !rows.isEmpty();
  }

  /** Every line of one shaft speed, the slowest first, each from surge to choke. */
  public List<List<Row>> lines() {
    return rows.stream()
        .map(Row::shaftSpeed)
        .distinct()
        .map(s -> rows.stream().filter(r -> r.shaftSpeed == s).toList())
        .toList();
  }
}
