package grandbore.cli;

import grandbore.book.BuildDocument;
import grandbore.core.build.Build;
import grandbore.core.changes.Difference;
import grandbore.core.combination.Given;
import grandbore.core.prediction.Curve;
import grandbore.core.prediction.WantedBand;
import grandbore.core.studies.CompareStudy;
import grandbore.core.studies.CurveDifference;
import grandbore.core.studies.CurveFigures;
import grandbore.core.studies.Repeatability;
import grandbore.core.studies.WhyStudy;
import grandbore.core.units.UnitSystem;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;

@Command(
    name = "compare",
    description = "Two to six builds side by side; the first is what the others are held against.")
final class CompareCommand implements Callable<Integer> {
  private static final double[] SHARES = {0.90, 0.95, 0.98};

  /** What is printed. */
  enum Show {
    /** A row a build: peaks, averages over the first build's band, gain over the first. */
    FIGURES,
    /** A row an input in which they differ. */
    INPUTS,
    /** A row a speed: torque of each, and what it has more than the first. */
    CURVES,
    /** A row a speed: what makes the last differ from the first. */
    WHY
  }

  @Parameters(paramLabel = "BUILD", description = "build documents, or the word demo")
  private List<String> builds = List.of();

  @Mixin private SpeedsOption at = new SpeedsOption();

  @Mixin private FidelityOption depth;

  @Option(
      names = "--show",
      defaultValue = "figures",
      description = "figures, inputs, curves, or why (two builds)")
  private Show show;

  @Mixin private TableOption table = new TableOption();

  @Override
  public Integer call() {
    var documents = builds.stream().map(b -> BuildOption.read("BUILD", b)).toList();
    var engines = documents.stream().map(BuildDocument::engine).toList();
    var study =
        new CompareStudy(
            engines,
            documents.isEmpty() ? List.of() : speeds(documents.getFirst().build()),
            depth.fidelity());
    var rows =
        switch (show) {
          case INPUTS -> inputs(documents);
          case FIGURES -> figures(documents, StudyRun.of(study));
          case CURVES -> curves(documents, StudyRun.of(study));
          case WHY -> why(new WhyStudy(engines.getFirst(), engines.getLast(), study.speeds()));
        };
    table.print(rows);
    return 0;
  }

  private List<Double> speeds(Build first) {
    return at.all(first.speeds(), WantedBand.of(first.combination().brief()));
  }

  private static List<Map<String, Object>> inputs(List<BuildDocument> documents) {
    var rows = new ArrayList<Map<String, Object>>();
    var engines = documents.stream().map(d -> d.engine().combination()).toList();
    for (var d : Difference.among(engines)) {
      var row = new LinkedHashMap<String, Object>();
      row.put("input", d.path());
      row.put("label", d.label());
      for (int i = 0; i < documents.size(); i++) {
        var units = documents.getFirst().build().units();
        row.put("build_" + (i + 1), words(d.values().get(i), units));
      }
      rows.add(row);
    }
    if (rows.isEmpty()) {
      rows.add(Map.of("input", "none"));
    }
    return rows;
  }

  private static String words(Object value, UnitSystem units) {
    return value instanceof Given g
        ? "%s, %s".formatted(g.quantity().show(g.si(), units), g.provenance().word())
        : String.valueOf(value);
  }

  private static List<Map<String, Object>> figures(
      List<BuildDocument> documents, List<Curve> curves) {
    var band = WantedBand.of(documents.getFirst().build().combination().brief());
    double base = band.meanPower(curves.getFirst());
    var rows = new ArrayList<Map<String, Object>>();
    for (int i = 0; i < curves.size(); i++) {
      var row = new LinkedHashMap<String, Object>();
      row.put("build", documents.get(i).build().name());
      var curve = curves.get(i);
      var found = CurveFigures.of(curve, documents.get(i).engine().combination(), band);
      if (found.isPresent()) {
        put(row, found.get(), curve);
      } else {
        row.put("peak_power_kw", null);
      }
      double gain = band.meanPower(curve) - base;
      row.put("gain_over_first_kw", StudyRun.round(gain / 1e3, 3));
      row.put("can_be_told", i > 0 && Repeatability.tells(gain, base));
      row.put(
          "crosses_first_at_rpm",
          String.join(
              " ",
              CurveDifference.of(curves.getFirst(), curve).crossings().stream()
                  .map(c -> "%.0f".formatted(c))
                  .toList()));
      rows.add(row);
    }
    return rows;
  }

  private static void put(Map<String, Object> row, CurveFigures f, Curve curve) {
    row.put("peak_power_kw", StudyRun.round(f.power().power() / 1e3, 3));
    row.put("peak_power_rpm", StudyRun.round(f.power().rpm(), 0));
    row.put("peak_torque_nm", StudyRun.round(f.torque().torque(), 2));
    row.put("peak_torque_rpm", StudyRun.round(f.torque().rpm(), 0));
    row.put("band_power_kw", f.band().map(b -> StudyRun.round(b.power() / 1e3, 3)).orElse(null));
    row.put("band_torque_nm", f.band().map(b -> StudyRun.round(b.torque(), 2)).orElse(null));
    row.put("least_torque_nm", f.least().map(p -> StudyRun.round(p.torque(), 2)).orElse(null));
    row.put("least_torque_rpm", f.least().map(p -> StudyRun.round(p.rpm(), 0)).orElse(null));
    for (double share : SHARES) {
      var range = f.above(curve, share);
      String name = "above_%.0f_percent".formatted(100 * share);
      row.put(name + "_from_rpm", range.map(r -> StudyRun.round(r.from(), 0)).orElse(null));
      row.put(name + "_to_rpm", range.map(r -> StudyRun.round(r.to(), 0)).orElse(null));
    }
    row.put("peak_power_kw_per_l", StudyRun.round(f.powerPerVolume() / 1e6, 3));
    row.put("peak_power_kj_per_kg_air", StudyRun.round(f.powerPerAir() / 1e3, 1));
  }

  private static List<Map<String, Object>> curves(
      List<BuildDocument> documents, List<Curve> curves) {
    var rows = new ArrayList<Map<String, Object>>();
    for (int k = 0; k < curves.getFirst().points().size(); k++) {
      var row = new LinkedHashMap<String, Object>();
      row.put("rpm", curves.getFirst().points().get(k).rpm());
      for (int i = 0; i < documents.size(); i++) {
        var p = curves.get(i).points().get(k);
        row.put(
            "build_%d_torque_nm".formatted(i + 1),
            p.converged() ? StudyRun.round(p.torque(), 2) : null);
      }
      for (int i = 1; i < documents.size(); i++) {
        double rpm = curves.getFirst().points().get(k).rpm();
        var gain =
            CurveDifference.of(curves.getFirst(), curves.get(i)).points().stream()
                .filter(d -> d.rpm() == rpm)
                .findFirst();
        row.put(
            "build_%d_gain_nm".formatted(i + 1),
            gain.map(g -> StudyRun.round(g.torque(), 2)).orElse(null));
      }
      rows.add(row);
    }
    return rows;
  }

  private static List<Map<String, Object>> why(WhyStudy study) {
    var found = StudyRun.of(study);
    var rows = new ArrayList<Map<String, Object>>();
    for (int k = 0; k < found.speeds().size(); k++) {
      var row = new LinkedHashMap<String, Object>();
      row.put("rpm", found.speeds().get(k));
      row.put("gain_nm", StudyRun.round(found.torque().get(k), 2));
      for (var physics : WhyStudy.Physics.values()) {
        var shares = found.shares().get(physics);
        row.put(
            physics.name().toLowerCase(Locale.ROOT) + "_nm",
            shares == null ? Double.valueOf(0) : StudyRun.round(shares.get(k), 2));
      }
      rows.add(row);
    }
    if (rows.isEmpty()) {
      rows.add(Map.of("rpm", "no speed at which all settled"));
    }
    return rows;
  }
}
