/**
 * What pulls teach of an engine: few factors upon the model's own numbers, by least squares on all
 * good pulls together. A study for the queue of runs; in come an engine and its pulls, out comes
 * what was learned, how sure it is and what these pulls can't tell.
 */
package grandbore.core.dyno.calibration;
