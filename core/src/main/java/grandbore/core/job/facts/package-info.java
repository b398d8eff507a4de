/**
 * What a build has to prove before it runs, and what the work done on parts upsets of it. Comes in:
 * a combination. Goes out: what each fact rests on, as inputs and readings.
 */
package grandbore.core.job.facts;
