/**
 * Cam card, degreeing, valve gear, seats and flow sheets held against one another and against the
 * rules of the trade. In comes a build, out go checks.
 */
package grandbore.core.topend;
