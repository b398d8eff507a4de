/**
 * The engine as it is specified: one immutable record a group of parts, each input a number with
 * quantity, provenance and spread, its range and label in {@link grandbore.core.combination.Spec}.
 * All in SI units, angles in radians. Records refuse what can't be, naming field, value, range and
 * reason.
 */
package grandbore.core.combination;
