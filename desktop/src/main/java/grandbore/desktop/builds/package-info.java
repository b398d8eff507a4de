/** Builds as things with names: the list, a new build from a few numbers. */
package grandbore.desktop.builds;
