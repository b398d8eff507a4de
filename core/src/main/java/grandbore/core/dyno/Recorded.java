package grandbore.core.dyno;

import grandbore.core.combination.InvalidInput;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;

/**
 * The rows of a pull as they were recorded.
 *
 * @param seconds of each row since the first; empty for a sheet that says none
 * @param columns all as long; one of them the speed, one torque or power
 */
public record Recorded(List<Double> seconds, List<Column> columns) {
  private static final int MOST_ROWS = 20_000;
  private static final int MOST_COLUMNS = 120;

  public Recorded {
    seconds = List.copyOf(seconds);
    columns = List.copyOf(columns);
    if (columns.isEmpty() || columns.size() > MOST_COLUMNS) {
      throw new InvalidInput(
          "Pull, channels",
          String.valueOf(columns.size()),
          "1 to 120",
          "speed and torque at least");
    }
    int rows = columns.getFirst().values().size();
    if (rows == 0 || rows > MOST_ROWS) {
      throw new InvalidInput("Pull, rows", String.valueOf(rows), "1 to 20,000", "a pull has some");
    }
    var seen = new HashSet<String>();
    for (var c : columns) {
      if (c.values().size() != rows) {
        throw new InvalidInput(
            "Pull, " + c.title(), c.values().size() + " rows", rows + " rows", "all are one table");
      }
      if (!seen.add(c.word())) {
        throw new InvalidInput("Pull, " + c.title(), "twice", "once", "which is meant?");
      }
      for (int k = 0; k < rows; k++) {
        double v = c.values().get(k);
        if (!Double.isNaN(v) && !c.channel().canBe(v)) {
          throw new InvalidInput(
              "Pull, %s, row %d".formatted(c.title(), k + 1),
              String.valueOf(v),
              "a number that an engine can have",
              "it is a fault of the recorder");
        }
      }
    }
    if (!seen.contains(Channel.RPM.word())) {
      throw new InvalidInput("Pull, speed", "missing", "a column of it", "all is seen over speed");
    }
    if (!seen.contains(Channel.TORQUE.word()) && !seen.contains(Channel.POWER.word())) {
      throw new InvalidInput(
          "Pull, torque", "missing", "a column of torque or power", "that is what was measured");
    }
    times(seconds, rows);
  }

  private static void times(List<Double> seconds, int rows) {
    if (!seconds.isEmpty() && seconds.size() != rows) {
      throw new InvalidInput(
          "Pull, time", seconds.size() + " rows", rows + " rows", "all are one table");
    }
    for (int k = 1; k < seconds.size(); k++) {
      if (!(seconds.get(k) >= seconds.get(k - 1))) {
        throw new InvalidInput(
            "Pull, time, row " + (k + 1),
            seconds.get(k) + " s after " + seconds.get(k - 1) + " s",
            "times that rise",
            "time does not go back: perhaps it is another pull");
      }
    }
  }

  public int rows() {
    return columns.getFirst().values().size();
  }

  public Optional<Column> column(Channel channel) {
    return column(channel, 0);
  }

  public Optional<Column> column(Channel channel, int place) {
    return columns.stream().filter(c -> c.channel() == channel && c.place() == place).findFirst();
  }

  /** All columns of a channel, by place. */
  public List<Column> all(Channel channel) {
    return columns.stream().filter(c -> c.channel() == channel).toList();
  }

  /** Speed of a row, rev/min; not a number where it has none. */
  public double rpm(int row) {
    return column(Channel.RPM).orElseThrow().values().get(row);
  }

  /** Torque of a row, from the power where only that was recorded, N m. */
  public double torque(int row) {
    var torque = column(Channel.TORQUE);
    return torque.isPresent()
        ? torque.get().values().get(row)
        : column(Channel.POWER).orElseThrow().values().get(row) / (rpm(row) * Math.PI / 30);
  }

  /** The mean of what a channel read; empty where it was not recorded. */
  public Optional<Double> mean(Channel channel) {
    return column(channel)
        .map(
            c ->
                c.values().stream()
                    .mapToDouble(v -> v)
                    .filter(Double::isFinite)
                    .average()
                    .orElse(Double.NaN))
        .filter(Double::isFinite);
  }
}
