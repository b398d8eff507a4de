/** Panes and what they ask of the queue of runs; the Prediction station. */
package grandbore.desktop.results;
