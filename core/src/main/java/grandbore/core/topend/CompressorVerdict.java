package grandbore.core.topend;

import static grandbore.core.checks.Check.Verdict.BAD;
import static grandbore.core.checks.Check.Verdict.CLOSE;
import static grandbore.core.checks.Check.Verdict.GOOD;

import grandbore.core.build.Build;
import grandbore.core.checks.Check;
import grandbore.core.checks.CheckList;
import grandbore.core.flow.CompressorChart;
import grandbore.core.prediction.Curve;
import grandbore.core.prediction.CurvePoint;
import java.util.List;

/** The engine's line on the compressor's map: surge, choke and where it works best. */
public final class CompressorVerdict {
  private static final double NEAR = 0.08;

  private CompressorVerdict() {}

  /** Flow at a point, brought to the map's inlet state, kg/s. */
  public static double flow(Build build, CurvePoint p) {
    var w = build.combination().weather();
    return CompressorChart.corrected(p.airFlow(), w.pressure().si(), w.temperature().si());
  }

  /** Pressure ratio that the compressor makes at a point: the plenum's and the cooler's loss. */
  public static double ratio(Build build, CurvePoint p) {
    var boost = build.combination().boost();
    return (p.plenumPressure() + boost.lostCooling())
        / build.combination().weather().pressure().si();
  }

  /** Of a curve on the map; nothing without one. */
  public static List<Check> of(Build build, Curve curve) {
    var boost = build.combination().boost();
    if (!boost.hasWheel() || !boost.map().isGiven() || curve.settled().isEmpty()) {
      return List.of();
    }
    var chart = new CompressorChart(boost.map());
    var list = new CheckList(build.units());
    CurvePoint surging = null;
    double margin = Double.MAX_VALUE;
    CurvePoint choking = null;
    double most = 0;
    for (var p : curve.settled()) {
      double ratio = ratio(build, p);
      if (ratio < 1.05) {
        continue;
      }
      double flow = flow(build, p);
      double over = flow / chart.surge(ratio) - 1;
      if (over < margin) {
        margin = over;
        surging = p;
      }
      double share = flow / chart.choke(ratio);
      if (share > most) {
        most = share;
        choking = p;
      }
    }
    if (surging == null || choking == null) {
      list.add(
          "surge", "Surge", GOOD, "no boost worth the name is made", "ratio below 1.05 throughout");
      return list.checks();
    }
    list.add(
        "surge",
        "Surge",
        margin < 0 ? BAD : margin < NEAR ? CLOSE : GOOD,
        margin < 0
            ? "surges near %,.0f rpm: a smaller compressor, or boost later".formatted(surging.rpm())
            : "%.0f %% more flow than at surge, least at %,.0f rpm"
                .formatted(100 * margin, surging.rpm()),
        "the engine's corrected flow over the map's at surge, at the same ratio; 8 % is wanted ("
            + CheckList.PRACTICE
            + ")");
    list.add(
        "choke",
        "Choke",
        most > 1 ? BAD : most > 1 - NEAR ? CLOSE : GOOD,
        most > 1
            ? "beyond its map at %,.0f rpm: a larger compressor".formatted(choking.rpm())
            : "%.0f %% of the map's most, at %,.0f rpm".formatted(100 * most, choking.rpm()),
        "the engine's corrected flow over the map's at choke, at the same ratio");
    var power = curve.bestPoint().orElseThrow();
    list.add(
        "compressor_at_power",
        "Compressor at peak power",
        GOOD,
        "efficiency %.2f at %.2f to 1"
            .formatted(
                chart.efficiency(flow(build, power), ratio(build, power)), ratio(build, power)),
        "from the map at that flow and ratio; the wave model heats the charge by it");
    return list.checks();
  }
}
