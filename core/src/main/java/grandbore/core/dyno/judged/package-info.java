/**
 * Whether a pull is good: what its channels say of one another, of the pulls before it and of the
 * frozen prediction, each doubt with the meter, part or setting that it points to. In come pulls,
 * out come checks; the model is not run.
 */
package grandbore.core.dyno.judged;
