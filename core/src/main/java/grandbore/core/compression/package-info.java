/**
 * Compression ratio and what hangs on it: reaching a ratio by one part, evening chambers, squish,
 * octane and blends, what a compression test shows. In come volumes, m³, and lengths, m; out go
 * ratios, volumes and verdicts.
 */
package grandbore.core.compression;
