/**
 * The way of a build from the idea to the running engine: steps with what each needs, when each can
 * be done, what decides the date of the dyno, and what has to be done again. Comes in: steps, parts
 * and orders of a build. Goes out: dates, slack, warnings.
 */
package grandbore.core.job.route;
