package grandbore.core.flow;

import grandbore.core.combination.CompressorMap;
import grandbore.core.combination.CompressorMap.Row;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.function.Function;

/**
 * A compressor's map between its points: efficiency at a flow and a pressure ratio, and the flows
 * at surge and at choke. The lines of one shaft speed are followed by their share of the way from
 * surge to choke, straight from line to line; outside the map its nearest edge holds.
 */
public final class CompressorChart {
  /** Inlet state that the map's flows are corrected to. */
  private static final double PRESSURE = 100_000;

  private static final double TEMPERATURE = 298.15;
  private static final int WAYS = 25;
  private static final int BETWEEN = 8;

  /** The map, refined: rows along lines, lines between the lines stated. */
  private final List<List<Row>> mesh = new ArrayList<>();

  public CompressorChart(CompressorMap map) {
    var lines = map.lines();
    for (int k = 0; k + 1 < lines.size(); k++) {
      int parts = k + 2 == lines.size() ? BETWEEN : BETWEEN - 1;
      for (int part = 0; part <= parts; part++) {
        double share = part / (double) BETWEEN;
        var line = new ArrayList<Row>();
        for (int i = 0; i < WAYS; i++) {
          double way = i / (WAYS - 1.0);
          line.add(between(along(lines.get(k), way), along(lines.get(k + 1), way), share));
        }
        mesh.add(line);
      }
    }
  }

  /** Flow, kg/s, brought to the map's inlet state. */
  public static double corrected(double flow, double pressure, double temperature) {
    return flow * Math.sqrt(temperature / TEMPERATURE) * PRESSURE / pressure;
  }

  private static Row along(List<Row> line, double way) {
    double at = way * (line.size() - 1);
    int i = Math.min((int) at, Math.max(0, line.size() - 2));
    return line.size() == 1 ? line.getFirst() : between(line.get(i), line.get(i + 1), at - i);
  }

  private static Row between(Row a, Row b, double share) {
    return new Row(
        a.shaftSpeed() + share * (b.shaftSpeed() - a.shaftSpeed()),
        a.flow() + share * (b.flow() - a.flow()),
        a.ratio() + share * (b.ratio() - a.ratio()),
        a.efficiency() + share * (b.efficiency() - a.efficiency()));
  }

  /** Efficiency at a corrected flow, kg/s, and a pressure ratio. */
  public double efficiency(double flow, double ratio) {
    return nearest(flow, ratio).efficiency();
  }

  /** The place on the map, or its nearest edge. */
  public Row nearest(double flow, double ratio) {
    double widest = mesh.getLast().getLast().flow();
    double highest = mesh.getLast().getFirst().ratio();
    return mesh.stream()
        .flatMap(List::stream)
        .min(
            Comparator.comparingDouble(
                r ->
                    Math.hypot(
                        (r.flow() - flow) / widest, (r.ratio() - ratio) / (highest - 1 + 1e-9))))
        .orElseThrow();
  }

  /** Corrected flow, kg/s, at which it surges at a pressure ratio. */
  public double surge(double ratio) {
    return edge(ratio, List::getFirst);
  }

  /** Corrected flow, kg/s, at which it chokes at a pressure ratio. */
  public double choke(double ratio) {
    return edge(ratio, List::getLast);
  }

  private double edge(double ratio, Function<List<Row>, Row> end) {
    var edge = mesh.stream().map(end).toList();
    for (int i = 0; i + 1 < edge.size(); i++) {
      var a = edge.get(i);
      var b = edge.get(i + 1);
      if (ratio <= b.ratio() && b.ratio() > a.ratio()) {
        double share = Math.max(0, (ratio - a.ratio()) / (b.ratio() - a.ratio()));
        return a.flow() + share * (b.flow() - a.flow());
      }
    }
    return edge.getLast().flow();
  }
}
