/**
 * Quantities with their units, metric and US, numbers as people type and read them. Everything
 * inside is SI; units convert here, at the edge. Temperatures convert with their offset,
 * differences without.
 */
package grandbore.core.units;
