/**
 * The shop's own parts: what each sets on an engine, what it costs, where it lies and what state it
 * is in. Comes in: inputs of combinations, prices. Goes out: changes that may be made on any build.
 * How parts are kept stands in the book.
 */
package grandbore.core.shelf;
