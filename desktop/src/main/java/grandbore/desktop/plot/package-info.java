/**
 * What every plot of the window is made of: lines with names that stand clear of one another, a
 * cross-hair that reads them, zoom, export and copy. Comes in: lines; goes out: pictures, drawings
 * and tables. Knows the look, no engine.
 */
package grandbore.desktop.plot;
