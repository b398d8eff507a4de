/**
 * The Cam and valves station: events, lobes, card, degreeing, springs, pistons to valves,
 * separation.
 */
package grandbore.desktop.camshaft;
