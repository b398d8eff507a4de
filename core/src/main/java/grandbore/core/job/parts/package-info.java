/**
 * The parts of one engine by their places: where each is, what it weighs and measures, what has to
 * stay with it or be changed with it, and which part belongs at which place. Comes in: parts as the
 * shop enters them. Goes out: lists, what is missing, what does not match, the best places.
 */
package grandbore.core.job.parts;
