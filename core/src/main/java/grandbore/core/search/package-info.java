/**
 * Looks for the best of many: points of the unit cube judged by a goal and by what must hold. Knows
 * no engine; {@link grandbore.core.studies.SearchStudy} gives it one to judge.
 */
package grandbore.core.search;
