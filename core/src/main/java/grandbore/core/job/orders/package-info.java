/**
 * Work orders: what a supplier shall do to which part, from which measured value to which wanted
 * one, and what came back. Comes in: a build with its readings. Goes out: orders as tables, and
 * each judged by the readings taken after it.
 */
package grandbore.core.job.orders;
