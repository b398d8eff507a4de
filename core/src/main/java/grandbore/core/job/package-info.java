/**
 * A build as a job: the route to the dyno with its dates, what is still missing, what was done too
 * early or has to be done again, what it costs. Comes in: parts, orders and steps as the shop
 * enters them, a build with its readings, the day. Goes out: what can be done now, dates, sums.
 */
package grandbore.core.job;
