/** Colours, fonts and the two themes. */
package grandbore.desktop.look;
