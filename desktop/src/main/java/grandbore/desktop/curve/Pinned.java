package grandbore.desktop.curve;

import grandbore.core.prediction.Curve;

/**
 * A curve that was pinned to the chart and stays while the build changes.
 *
 * @param letter names it at its line
 * @param of what it is the curve of
 */
record Pinned(String letter, String of, Curve curve) {}
