/**
 * Invented builds to look around in and engines of known output to hold the model against. Nothing
 * here is anybody's engine.
 */
package grandbore.core.demo;
