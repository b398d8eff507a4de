/**
 * One engine on the bench: its combination, units, use and speeds. In come specifications and
 * readings; out goes the engine as measured, every number that a reading knows better in the place
 * of the one that was specified.
 */
package grandbore.core.build;
