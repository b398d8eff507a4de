/** The Bottom end station: section, stack-up, motion, forces, balance, limits, oil. */
package grandbore.desktop.bottomend;
