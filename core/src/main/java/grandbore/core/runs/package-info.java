/**
 * One queue for everything that is solved: handles with progress, time left, partial results and
 * stop; the live curve before all else; what was solved from a cold start kept by its numbers. In
 * come studies, out go runs.
 */
package grandbore.core.runs;
