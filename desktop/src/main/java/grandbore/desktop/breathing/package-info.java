/** The Breathing station: intake and exhaust, tuning, waves, losses. */
package grandbore.desktop.breathing;
