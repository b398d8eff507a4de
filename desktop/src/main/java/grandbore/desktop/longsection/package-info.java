/**
 * The engine's long section and its wave map: in come the bench's engine, the trace of one speed
 * and the crank cursor; out goes one picture in which gas, valves and piston move together, with
 * the dimensions typed on it.
 */
package grandbore.desktop.longsection;
