/**
 * What can be asked of the wave model, each a record that knows nothing of who asks: sweeps of
 * runner and separation, octane by ratio, other valves, the account of losses, traces, idle and
 * cranking. In comes a built engine, out go numbers in SI units.
 */
package grandbore.core.studies;
