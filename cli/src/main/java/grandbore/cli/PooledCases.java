package grandbore.cli;

import grandbore.book.BuildJson;
import grandbore.book.DynoBook;
import grandbore.book.FrozenBuild;
import grandbore.book.TextFile;
import grandbore.core.combination.InvalidInput;
import grandbore.core.dyno.calibration.CaseStudy;
import grandbore.core.prediction.Fidelity;
import grandbore.core.units.Measure;
import java.io.IOException;
import java.io.PrintWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/** Builds with their pulls in a folder, at any depth: predicted against what was pulled. */
final class PooledCases {
  private final PrintWriter out;
  private final PrintWriter err;
  private final Fidelity fidelity;
  private final List<Double> power = new ArrayList<>();
  private final List<Double> torque = new ArrayList<>();
  private final List<Double> byRpm = new ArrayList<>();

  PooledCases(PrintWriter out, PrintWriter err, Fidelity fidelity) {
    this.out = out;
    this.err = err;
    this.fidelity = fidelity;
  }

  /**
   * Runs them all; what is no case is said and left out.
   *
   * @throws InvalidInput where none is there
   */
  void run(Path folder) {
    List<Path> files;
    try (var walk = Files.walk(folder)) {
      files = walk.filter(p -> p.toString().endsWith(".json")).sorted().toList();
    } catch (IOException e) {
      throw new InvalidInput("--cases", folder.toString(), "a folder of cases", e.toString());
    }
    out.println("case,setting,quantity,unit,rpm,predicted,observed,error_percent");
    for (var file : files) {
      one(folder.relativize(file).toString(), file);
    }
    if (power.isEmpty()) {
      throw new InvalidInput(
          "--cases", folder.toString(), "build documents with good pulls", "there is none");
    }
    spread("peak power", power);
    spread("peak torque", torque);
    spread("torque by rpm", byRpm);
    out.flush();
  }

  private void one(String name, Path file) {
    try {
      var document = BuildJson.read(TextFile.read(file));
      var book = DynoBook.of(document.notes(), document);
      if (book.good().isEmpty()) {
        err.println(name + ": no good pull; left out");
        return;
      }
      var engine = book.frozen().map(FrozenBuild::of).orElse(document).engine();
      var found = StudyRun.of(new CaseStudy(engine, book.good(), book.pointer(), fidelity));
      found.forEach(s -> print(name, s));
    } catch (IllegalArgumentException e) {
      err.println(name + ": " + e.getMessage() + "; left out");
    }
  }

  private void print(String name, CaseStudy.Setting s) {
    line(
        name,
        s.what(),
        "peak power",
        "hp",
        0,
        Measure.HORSEPOWER.fromSi(s.mostPowerPredicted()),
        Measure.HORSEPOWER.fromSi(s.mostPowerObserved()),
        power);
    double foot = Measure.POUND_FEET.toSi(1);
    line(
        name,
        s.what(),
        "peak torque",
        "lb·ft",
        0,
        s.mostPredicted() / foot,
        s.mostObserved() / foot,
        torque);
    for (var r : s.rows()) {
      line(
          name,
          s.what(),
          "torque",
          "lb·ft",
          r.rpm(),
          r.predicted() / foot,
          r.observed() / foot,
          byRpm);
    }
  }

  private void line(
      String name,
      String what,
      String quantity,
      String unit,
      double rpm,
      double predicted,
      double observed,
      List<Double> errors) {
    double error = 100 * (predicted / observed - 1);
    errors.add(error);
    out.printf(
        Locale.ROOT,
        "%s,\"%s\",%s,%s,%s,%.1f,%.1f,%+.2f%n",
        name,
        what.replace("\"", "'"),
        quantity,
        unit,
        rpm == 0 ? "" : "%.0f".formatted(rpm),
        predicted,
        observed,
        error);
  }

  private void spread(String quantity, List<Double> errors) {
    double mean = errors.stream().mapToDouble(e -> e).average().orElse(0);
    double square = errors.stream().mapToDouble(e -> e * e).average().orElse(0);
    out.printf(Locale.ROOT, "all,%d,mean error of %s,%%,,%+.2f,,%n", errors.size(), quantity, mean);
    out.printf(
        Locale.ROOT,
        "all,%d,root mean square error of %s,%%,,%.2f,,%n",
        errors.size(),
        quantity,
        Math.sqrt(square));
  }
}
