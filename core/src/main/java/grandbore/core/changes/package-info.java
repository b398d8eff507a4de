/**
 * What may be done to an engine: a change is a named set of inputs with what it costs and what it
 * needs beside it. Comes in: combinations, prices. Goes out: combinations with a change made, the
 * inputs in which several differ. What a change is worth stands in {@code studies}.
 */
package grandbore.core.changes;
