/**
 * The Clearances station: readings, guided measuring, instruments, torque and assembly, findings,
 * the book itself.
 */
package grandbore.desktop.bench;
