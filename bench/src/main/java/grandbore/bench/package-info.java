/** Measures how fast the wave model is, as ratios within one run. */
package grandbore.bench;
