/**
 * Air, fuels, burned products and nitrous oxide as mixtures of ideal gases: specific heats and
 * enthalpies in the form of NASA TM-4513, equilibrium of the products by the smallest Gibbs energy
 * (NASA RP-1311). In come temperature, K, and pressure, Pa.
 */
package grandbore.core.gas;
