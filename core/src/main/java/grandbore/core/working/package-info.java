/**
 * The figures of a build, each with formula, numbers put in and source, and the brief held against
 * the curve.
 */
package grandbore.core.working;
