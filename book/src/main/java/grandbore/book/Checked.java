package grandbore.book;

import java.util.List;

/**
 * Rows of the book, and what of them is damaged.
 *
 * @param rows those that agree with their sums
 * @param damaged numbers and places of those that do not, in words
 */
record Checked<T>(List<T> rows, List<Bad> damaged) {
  /**
   * A row that does not agree with its sum.
   *
   * @param what and where, in words
   */
  record Bad(Table table, long id, String what) {}
}
