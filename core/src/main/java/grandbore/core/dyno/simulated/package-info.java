/**
 * A dyno to rehearse on: the wave model of an engine that differs from the build by seeded amounts
 * which nobody is told, on a brake with inertia, warming water and oil, and meters that are noisy,
 * drift and may lie. What it records is read like any other pull.
 */
package grandbore.core.dyno.simulated;
