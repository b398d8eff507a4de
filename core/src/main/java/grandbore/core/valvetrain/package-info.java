/**
 * Lobes and what follows them: lift curves, m over rad, from durations or from a measured table,
 * motion with the train's elasticity, overlap, piston to valve, rocker sweep, flat tappets. Sources
 * stand at the classes.
 */
package grandbore.core.valvetrain;
