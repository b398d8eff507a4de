/**
 * Forces, balance and strength of crank, rods, pistons and their fits: N, N m, Pa, m. Statics and
 * kinematics of the crank drive; limits are common practice where no source is named.
 */
package grandbore.core.mechanics;
