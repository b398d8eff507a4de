/**
 * The station of the job: the route with its dates, parts by their places, work orders, money; and
 * the cards of all builds at home. Comes in: the job that hangs on the build on the bench, read on
 * another thread. Goes out: notes of the build.
 */
package grandbore.desktop.job;
