package grandbore.cli;

import grandbore.core.runs.RunQueue;
import grandbore.core.runs.Study;
import grandbore.core.runs.Urgency;

/** Runs one study and waits for what it comes to. */
final class StudyRun {
  private StudyRun() {}

  static <T> T of(Study<T> study) {
    try (var queue = new RunQueue()) {
      return queue.submit(study, Urgency.STUDY).await();
    } catch (IllegalStateException e) {
      // What was refused while it ran is told as if it had been refused before.
      if (e.getCause() instanceof IllegalArgumentException refused) {
        throw refused;
      }
      throw e;
    }
  }

  /** A number rounded for a table; {@code null} where there is none. */
  static Double round(double value, int digits) {
    double scale = Math.pow(10, digits);
    return Double.isFinite(value) ? Double.valueOf(Math.rint(scale * value) / scale + 0.0) : null;
  }
}
