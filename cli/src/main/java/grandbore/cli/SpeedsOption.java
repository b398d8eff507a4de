package grandbore.cli;

import grandbore.core.build.SpeedRange;
import grandbore.core.combination.InvalidInput;
import grandbore.core.prediction.Predictor;
import java.util.List;
import picocli.CommandLine.Option;

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
