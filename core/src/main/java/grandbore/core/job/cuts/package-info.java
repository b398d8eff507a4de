/**
 * What is cut off where: a deck from its corners, a head from two fills, a crank's throws by an
 * offset grind. Comes in: readings at known places, m and m³. Goes out: depths of cut, m.
 */
package grandbore.core.job.cuts;
