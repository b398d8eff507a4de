/**
 * Fields, rows and views that every station is made of. A field takes a number in any unit, keeps
 * what it can't take and says why.
 */
package grandbore.desktop.controls;
