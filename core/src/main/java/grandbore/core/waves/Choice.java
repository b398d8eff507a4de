package grandbore.core.waves;

/**
 * Choices as sums, for loops that the compiler is to make of vector instructions: {@code Math.min}
 * and {@code Math.max} heed the signs of zero and what is no number, and take three times as long.
 * Right to the last digit but one.
 */
final class Choice {
  private Choice() {}

  /** The lesser of two. */
  static double lesser(double a, double b) {
    return 0.5 * (a + b - Math.abs(a - b));
  }

  /** The greater of two. */
  static double greater(double a, double b) {
    return 0.5 * (a + b + Math.abs(a - b));
  }

  /** One for what is above nothing, else nothing. */
  static double ifPositive(double value) {
    double sign = Math.signum(value);
    return 0.5 * (sign * sign + sign);
  }
}
