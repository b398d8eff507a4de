/**
 * The wave model of a whole engine: cylinders, pipes, junctions and volumes stepped to a periodic
 * state at a speed, curves over speeds, traces, losses taken away, idling and cranking. In comes a
 * {@link grandbore.core.prediction.BuiltEngine}; out go points in SI units, speeds in rev/min. It
 * solves on {@link grandbore.core.prediction.Workers} that it is given; who goes first is decided
 * in {@code runs}. The equations are in docs/model.md; Benson, <i>The Thermodynamics and Gas
 * Dynamics of Internal Combustion Engines</i>, volume 1.
 */
package grandbore.core.prediction;
