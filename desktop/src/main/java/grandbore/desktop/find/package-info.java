/**
 * One field that finds any input, figure, reading, view or command by its name, shows its value and
 * goes there; and the card of all keys. What can be found is asked of the bench and of the window's
 * commands; how to get to a place is the window's own business.
 */
package grandbore.desktop.find;
