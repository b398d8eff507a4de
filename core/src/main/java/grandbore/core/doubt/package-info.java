/**
 * What is not known for sure of an engine, and what hangs on it: inputs with their spreads, samples
 * over all of them, and how much of an answer's variance each carries. Knows no window and no
 * queue.
 */
package grandbore.core.doubt;
