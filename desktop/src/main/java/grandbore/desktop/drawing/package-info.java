/**
 * Drawings to scale, live from the bench, with dimensions that are typed where they are measured.
 */
package grandbore.desktop.drawing;
