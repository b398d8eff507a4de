/**
 * Unsteady gas in pipes: one-dimensional Euler equations with friction, heat and area change in
 * finite volumes, MUSCL-Hancock with the HLLC flux (Toro, <i>Riemann Solvers and Numerical Methods
 * for Fluid Dynamics</i>, chapters 10, 13 and 14); quasi-steady ends after Benson, <i>The
 * Thermodynamics and Gas Dynamics of Internal Combustion Engines</i>, volume 1; junctions,
 * orifices, volumes. In come shapes, m and m², and states, Pa, K, m/s; out go flows of mass, kg/s,
 * momentum, N, and energy, W.
 */
package grandbore.core.waves;
