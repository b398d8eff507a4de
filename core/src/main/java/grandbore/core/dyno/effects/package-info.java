/**
 * What each change gave on a dyno and how sure that is: repeats, effects with their significance,
 * hills of torque over spark, jets and the mixture that was read. In come pulls, out come records;
 * the model is not asked.
 */
package grandbore.core.dyno.effects;
