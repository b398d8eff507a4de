/**
 * All that an engine may run into, gathered from the parts and the curve, what bites first first.
 */
package grandbore.core.limits;
