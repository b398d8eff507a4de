package grandbore.cli;

import grandbore.core.build.SpeedRange;
import grandbore.core.combination.InvalidInput;
import grandbore.core.prediction.Predictor;
import grandbore.core.prediction.WantedBand;
import java.util.List;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Spec;

/** The speeds that a command predicts at. */
final class SpeedsOption {
  private static final int MOST_POINTS = 400;
  private static final double LEAST_STEP = 1;
  private static final double MOST_STEP = 5000;
  private static final double SLOWEST = 500;
  private static final double FASTEST = 15_000;

  @Option(names = "--from", paramLabel = "RPM", description = "first speed, rev/min")
  private Double from;

  @Option(names = "--to", paramLabel = "RPM", description = "last speed, rev/min")
  private Double to;

  @Option(names = "--step", paramLabel = "RPM", defaultValue = "250", description = "spacing")
  private double step;

  @Spec(Spec.Target.MIXEE)
  private CommandSpec command;

  /** The first speed: that which was said, else a build's. */
  double first(SpeedRange range) {
    double first = from == null ? range.from() : from;
    within("--from", first, SLOWEST);
    return first;
  }

  /** All of them, both ends included. */
  List<Double> all(SpeedRange range) {
    double first = first(range);
    double last = to == null ? range.to() : to;
    within("--to", last, first);
    step(step);
    if ((last - first) / step > MOST_POINTS) {
      throw new InvalidInput(
          "--step",
          String.valueOf(step),
          "at least %.0f for these speeds".formatted((last - first) / MOST_POINTS),
          "a curve holds up to 400 points");
    }
    return Predictor.speeds(first, last, step);
  }

  /** All of them, for averages over a band: says so where they do not reach as far as it does. */
  List<Double> all(SpeedRange range, WantedBand band) {
    var all = all(range);
    if (all.getFirst() > band.from() || all.getLast() < band.to()) {
      command
          .commandLine()
          .getErr()
          .println(
              "From %,.0f to %,.0f rpm the speeds do not span the brief's band, %,.0f to %,.0f rpm: there is no average over it"
                  .formatted(all.getFirst(), all.getLast(), band.from(), band.to()));
    }
    return all;
  }

  /** Checks a spacing, rev/min. */
  static void step(double step) {
    if (!(step >= LEAST_STEP && step <= MOST_STEP)) {
      throw new InvalidInput(
          "--step",
          String.valueOf(step),
          "%.0f to %.0f rpm".formatted(LEAST_STEP, MOST_STEP),
          "speeds rise by it");
    }
  }

  private static void within(String option, double value, double least) {
    if (!(value >= least && value <= FASTEST)) {
      throw new InvalidInput(
          option,
          String.valueOf(value),
          "%.0f to %.0f rpm".formatted(least, FASTEST),
          "engines run there");
    }
  }
}
