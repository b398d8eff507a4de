package grandbore.cli;

import grandbore.core.combination.Combination;
import grandbore.core.demo.ObservedChanges;
import grandbore.core.demo.ObservedChanges.Change;
import grandbore.core.prediction.BuiltEngine;
import grandbore.core.prediction.Curve;
import grandbore.core.prediction.Predictor;
import grandbore.core.units.Measure;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Spec;

@Command(
    name = "changes",
    description = "Predicts what changes did on dynos: before, after, the change and the one seen.")
final class ChangesCommand implements Callable<Integer> {
  /** A change of at least half and at most twice what was seen has its rough size. */
  private static final double ROUGH = 2;

  private static final double NONE = Double.NaN;

  @Mixin private FidelityOption depth;

  @Option(
      names = "--step",
      paramLabel = "RPM",
      defaultValue = "250",
      description = "spacing, 1 to 5000 rpm")
  private double step;

  @Spec private CommandSpec spec;

  private record Run(Combination combination, double from, double to) {}

  private final Map<Run, Curve> known = new HashMap<>();

  @Override
  public Integer call() {
    SpeedsOption.step(step);
    var out = spec.commandLine().getOut();
    out.println("change,quantity,unit,before,after,predicted,observed,verdict");
    try (var predictor = new Predictor()) {
      for (var change : ObservedChanges.all()) {
        double before = read(change, curve(predictor, change.before(), change));
        double after = read(change, curve(predictor, change.after(), change));
        boolean ratio = change.reading() == ObservedChanges.Reading.POWER_RATIO;
        double predicted = ratio ? after / before : after - before;
        out.println(line(change, before, after, predicted, ratio));
      }
    }
    return 0;
  }

  private static String line(
      Change change, double before, double after, double predicted, boolean ratio) {
    String digits = ratio ? "%.2f" : "%+.0f";
    return String.format(
        Locale.ROOT,
        "\"%s\",%s%s,%s,%.0f,%.0f," + digits + "," + digits + " to " + digits + ",%s",
        change.name(),
        change.reading().label(),
        Double.isNaN(change.speed())
            ? ""
            : String.format(Locale.ROOT, " at %.0f rpm", change.speed()),
        ratio ? "hp" : change.reading().unit(),
        before,
        after,
        predicted,
        change.least(),
        change.most(),
        verdict(change, predicted));
  }

  /** Within the range, of its rough size, of its sign only, or not even that. */
  private static String verdict(Change change, double predicted) {
    double least = change.least();
    double most = change.most();
    if (predicted >= least && predicted <= most) {
      return "as seen";
    }
    if (least < 0 && most > 0) {
      return Math.abs(predicted) < ROUGH * Math.max(-least, most) ? "rough size" : "not as seen";
    }
    double near = Math.min(Math.abs(least), Math.abs(most));
    double far = Math.max(Math.abs(least), Math.abs(most));
    boolean sign = predicted * (least + most) > 0;
    boolean size =
        Math.abs(predicted) >= near / ROUGH - 0.5 && Math.abs(predicted) <= ROUGH * far + 0.5;
    return size && (sign || Math.abs(predicted) <= 0.5)
        ? "rough size"
        : sign ? "sign only" : "not as seen";
  }

  private Curve curve(Predictor predictor, Combination combination, Change change) {
    return known.computeIfAbsent(
        new Run(combination, change.from(), change.to()),
        r ->
            predictor.predict(
                BuiltEngine.asSpecified(r.combination()), speeds(change), depth.fidelity()));
  }

  private List<Double> speeds(Change change) {
    return Double.isNaN(change.speed())
        ? Predictor.speeds(change.from(), change.to(), step)
        : List.of(change.speed());
  }

  private static double read(Change change, Curve curve) {
    return switch (change.reading()) {
      case PEAK_POWER, POWER_RATIO -> curve.peakPower().map(p -> power(p.power())).orElse(NONE);
      case PEAK_TORQUE -> curve.peakTorque().map(p -> torque(p.torque())).orElse(NONE);
      case POWER -> settled(curve) ? power(curve.points().getFirst().power()) : NONE;
      case TORQUE -> settled(curve) ? torque(curve.points().getFirst().torque()) : NONE;
    };
  }

  private static boolean settled(Curve curve) {
    return curve.points().getFirst().converged();
  }

  private static double power(double watts) {
    return Measure.HORSEPOWER.fromSi(watts);
  }

  private static double torque(double newtonMetres) {
    return newtonMetres / Measure.POUND_FEET.toSi(1);
  }
}
