/**
 * What to do on a day at the dyno: pulls in their order, one change at a time, each with what the
 * model expects of it, the difference from which on it counts, and what it costs. A study for the
 * queue of runs.
 */
package grandbore.core.dyno.plan;
