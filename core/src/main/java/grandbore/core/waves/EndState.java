package grandbore.core.waves;

/** The gas just inside a pipe's end; velocity positive outward, SI. Reused, never shared. */
final class EndState {
  double density;
  double velocity;
  double pressure;
  double temperature;
  double burned;
  double gamma;
  double gasConstant;
  double area;
}
