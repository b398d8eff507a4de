/**
 * A statement about a build with its verdict and its working, and the list that collects them. What
 * is judged and by which rule belongs to the packages that judge.
 */
package grandbore.core.checks;
