/**
 * A new build from a few numbers: what is asked, starting patterns, and ordinary values for all
 * that nobody said, each by a rule of the trade scaled from the engine's size, speed and use. In
 * comes what the builder said; out goes a whole build, what was said marked as from a card, all
 * else assumed. The rules are common practice and have no source; the header's length and bore
 * follow A. Graham Bell, <i>Four-Stroke Performance Tuning</i>, from memory.
 */
package grandbore.core.beginning;
