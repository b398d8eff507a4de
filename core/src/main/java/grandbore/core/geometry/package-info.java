/**
 * The slider and its crank, with an offset pin: piston position, m, its slope, m/rad, and angles,
 * rad. Exact kinematics.
 */
package grandbore.core.geometry;
