/**
 * The Compression station: volumes, reaching a ratio, banks and heads, fuel, tests of the whole.
 */
package grandbore.desktop.compression;
