/**
 * What turning costs, part by part: mean pressures, Pa, by the balance of Patton, Nitschke and
 * Heywood (SAE 890836) with the changes of Sandoval and Heywood (SAE 2003-01-0725).
 */
package grandbore.core.friction;
