package grandbore.core.prediction;

import java.util.List;

/**
 * The cylinders that share a volume with a solved one and are played as copies of it.
 *
 * @param each with a place of its own in the cycle
 */
record Others(List<Later> each) {
  static final Others NONE = new Others(List.of());

  /**
   * @param by crank angle at which it fires after the solved one, rad
   * @param share of a cylinder
   */
  record Later(double by, double share) {}
}
