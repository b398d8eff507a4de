/** The Heads station: flow sheets, sizing, seats. */
package grandbore.desktop.heads;
