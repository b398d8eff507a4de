package grandbore.book;

import grandbore.core.studies.TimeAtSpeed;
import java.util.ArrayList;
import java.util.Locale;

/**
 * Where an engine spends its time, from a table: either {@code rpm,share}, or a log of any columns,
 * one of them {@code rpm}, whose rows were taken at even times.
 */
public final class SpeedLogCsv {
  private SpeedLogCsv() {}

  /**
   * Reads a table.
   *
   * @throws FormatException with the place of the damage
   * @throws grandbore.core.combination.InvalidInput where a speed or share can't be
   */
  public static TimeAtSpeed read(String text) {
    var all = Csv.records(text);
    if (all.isEmpty()) {
      throw new FormatException("line 1: a heading with a column rpm is wanted");
    }
    var head = all.getFirst().stream().map(h -> h.strip().toLowerCase(Locale.ROOT)).toList();
    int rpm = head.indexOf("rpm");
    int share = head.indexOf("share");
    if (rpm < 0) {
      throw new FormatException(
          "line 1: no column rpm among “%s”".formatted(Lines.shortened(String.join(",", head))));
    }
    var rows = new ArrayList<TimeAtSpeed.Row>();
    var speeds = new ArrayList<Double>();
    for (var row : all.subList(1, all.size())) {
      Csv.columns(row, head.size());
      double at = Csv.number(row, rpm);
      if (share >= 0) {
        rows.add(new TimeAtSpeed.Row(at, Csv.number(row, share)));
      } else {
        speeds.add(at);
      }
    }
    return share >= 0 ? new TimeAtSpeed(rows) : TimeAtSpeed.ofLog(speeds);
  }
}
