package grandbore.cli;

import grandbore.core.combination.InvalidInput;

/** Speeds as a command takes them. */
final class Speeds {
  private static final double LEAST_STEP = 1;
  private static final double MOST_STEP = 5000;

  private Speeds() {}

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
}
