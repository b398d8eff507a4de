/**
 * Measurements led step by step: what to do, what to read, what it comes to, which usual mistake
 * the numbers show, what goes into the book. In come answers in SI units; out goes an outcome that
 * nothing was done with yet.
 */
package grandbore.core.guided;
