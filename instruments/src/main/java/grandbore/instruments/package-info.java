/**
 * Measuring instruments over a line of text: dial, caliper, burette, encoder, torque wrench; a rig
 * of simulated ones for rehearsal, with slack, drift and faults; serial ports. Lines are bounded
 * and checked; each client has a queue of its own. docs/formats/instruments.md is the protocol.
 */
package grandbore.instruments;
