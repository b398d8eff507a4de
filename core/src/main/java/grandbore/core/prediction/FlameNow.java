package grandbore.core.prediction;

/**
 * A flame at one moment; not a number where there is none.
 *
 * @param share burned of what burns of the charge
 * @param radius m
 * @param unburned temperature of what has not burned, K
 * @param burned temperature of what has, K
 */
record FlameNow(double share, double radius, double unburned, double burned) {}
