/**
 * The dyno's station: what to do before, the gauges while it runs, pulls, what each change gave,
 * the search for a cause, and what was learned. In come the build's notes of the dyno, judged off
 * the window's thread; out go notes, and inputs where the builder takes a calibration.
 */
package grandbore.desktop.dyno;
