/**
 * Studies as they are kept: what was asked, whatever the engine, and what came out in words and
 * tables. Comes in: studies and their results. Goes out: questions that may be asked again of any
 * engine. How they are kept stands in the book.
 */
package grandbore.core.asked;
