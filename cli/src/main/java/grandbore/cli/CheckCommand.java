package grandbore.cli;

import grandbore.book.CaseFiles;
import grandbore.core.demo.DynoCases;
import grandbore.core.dyno.calibration.CasesStudy;
import grandbore.core.dyno.calibration.PooledCases;
import grandbore.core.prediction.BuiltEngine;
import grandbore.core.prediction.Curve;
import grandbore.core.prediction.Peak;
import grandbore.core.prediction.Predictor;
import grandbore.core.units.Measure;
import java.io.PrintWriter;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.Callable;
import java.util.function.ToDoubleFunction;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Spec;

@Command(
    name = "check",
    description = "Runs the dyno cases and prints predicted, observed and error, met or not.")
final class CheckCommand implements Callable<Integer> {
  private static final double SPEED_TOLERANCE = 400;

  /** Tolerances on the mean and on the worst error, percent. */
  private record Tolerance(String what, double mean, double worst) {}

  private static final Tolerance POWER = new Tolerance("peak power", 3, 6);
  private static final Tolerance TORQUE = new Tolerance("peak torque", 4, 7);

  @Mixin private FidelityOption depth;

  @Option(
      names = "--step",
      paramLabel = "RPM",
      defaultValue = "100",
      description = "spacing, 1 to 5000 rpm")
  private double step;

  @Option(
      names = "--cases",
      paramLabel = "DIR",
      description = "builds with pulls in a folder, at any depth, in the place of the own cases")
  private Path cases;

  @Spec private CommandSpec spec;

  private final List<Double> powerErrors = new ArrayList<>();
  private final List<Double> torqueErrors = new ArrayList<>();

  @Override
  public Integer call() {
    SpeedsOption.step(step);
    var out = spec.commandLine().getOut();
    if (cases != null) {
      pooled(out);
      return 0;
    }
    out.println("case,quantity,unit,predicted,observed,error,tolerance,met");
    try (var predictor = new Predictor()) {
      for (var k : DynoCases.all()) {
        var engine = BuiltEngine.asSpecified(k.combination());
        var curve =
            predictor.predict(engine, Predictor.speeds(k.from(), k.to(), step), depth.fidelity());
        report(out, k, curve);
      }
    }
    summary(out, POWER, powerErrors);
    summary(out, TORQUE, torqueErrors);
    return 0;
  }

  /** Each case printed as soon as it was run. */
  private void pooled(PrintWriter out) {
    var files = CaseFiles.in(cases);
    files.leftOut().forEach(spec.commandLine().getErr()::println);
    var table = new PooledCasesTable(out);
    var all = new ArrayList<PooledCases.Ran>();
    for (var k : files.cases()) {
      var ran = StudyRun.of(new CasesStudy(List.of(k), depth.fidelity()));
      ran.cases().forEach(table::print);
      all.addAll(ran.cases());
    }
    table.print(new PooledCases(all));
  }

  private void report(PrintWriter out, DynoCases.Case k, Curve curve) {
    long failed = curve.points().stream().filter(p -> !p.converged()).count();
    if (failed > 0) {
      out.println(k.key() + ",points not converged,," + failed + ",0,,,no");
    }
    var power = curve.peakPower().orElseThrow();
    var torque = curve.peakTorque().orElseThrow();
    var seen = k.observed();
    relative(
        out,
        k.key(),
        POWER,
        power,
        p -> Measure.HORSEPOWER.fromSi(p.power()),
        "hp",
        seen.power(),
        powerErrors);
    relative(
        out,
        k.key(),
        TORQUE,
        torque,
        p -> p.torque() / Measure.POUND_FEET.toSi(1),
        "lb·ft",
        seen.torque(),
        torqueErrors);
    speed(out, k.key(), "speed of peak power", power.rpm(), seen.powerSpeed());
    speed(out, k.key(), "speed of peak torque", torque.rpm(), seen.torqueSpeed());
  }

  private static void relative(
      PrintWriter out,
      String key,
      Tolerance tolerance,
      Peak point,
      ToDoubleFunction<Peak> value,
      String unit,
      double observed,
      List<Double> errors) {
    if (Double.isNaN(observed)) {
      return;
    }
    double predicted = value.applyAsDouble(point);
    double error = 100 * (predicted / observed - 1);
    errors.add(error);
    out.printf(
        Locale.ROOT,
        "%s,%s,%s,%.0f,%.0f,%+.1f %%,%.0f %%,%s%n",
        key,
        tolerance.what(),
        unit,
        predicted,
        observed,
        error,
        tolerance.worst(),
        Math.abs(error) <= tolerance.worst() ? "yes" : "no");
  }

  private static void speed(
      PrintWriter out, String key, String what, double predicted, double observed) {
    if (Double.isNaN(observed)) {
      return;
    }
    out.printf(
        Locale.ROOT,
        "%s,%s,rpm,%.0f,%.0f,%+.0f,%.0f,%s%n",
        key,
        what,
        predicted,
        observed,
        predicted - observed,
        SPEED_TOLERANCE,
        Math.abs(predicted - observed) <= SPEED_TOLERANCE ? "yes" : "no");
  }

  private static void summary(PrintWriter out, Tolerance t, List<Double> errors) {
    double mean = errors.stream().mapToDouble(Math::abs).average().orElse(0);
    double worst = errors.stream().mapToDouble(Math::abs).max().orElse(0);
    out.printf(
        Locale.ROOT,
        "all,mean error of %s,%%,%.1f,,,%.0f %%,%s%n",
        t.what(),
        mean,
        t.mean(),
        mean <= t.mean() ? "yes" : "no");
    out.printf(
        Locale.ROOT,
        "all,worst error of %s,%%,%.1f,,,%.0f %%,%s%n",
        t.what(),
        worst,
        t.worst(),
        worst <= t.worst() ? "yes" : "no");
    out.flush();
  }
}
