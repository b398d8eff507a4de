package grandbore.core.asked;

import java.util.List;

/**
 * What a study came to, as it was told.
 *
 * @param said in a sentence or two
 */
public record Answer(String said, List<Table> tables) {
  /**
   * @param columns their names, each with its unit
   * @param rows as many cells each as there are columns
   */
  public record Table(String title, List<String> columns, List<List<String>> rows) {
    public Table {
      columns = List.copyOf(columns);
      rows = rows.stream().map(List::copyOf).toList();
      for (var row : rows) {
        if (row.size() != columns.size()) {
          throw new IllegalArgumentException(
              "“%s”: a row of %d cells under %d columns"
                  .formatted(title, row.size(), columns.size()));
        }
      }
    }
  }

  public Answer {
    tables = List.copyOf(tables);
  }
}
