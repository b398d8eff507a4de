/** The stations of the rail and the page of each. */
package grandbore.desktop.station;
