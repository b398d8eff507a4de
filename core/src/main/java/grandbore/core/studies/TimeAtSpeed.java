package grandbore.core.studies;

import grandbore.core.clearances.SpeedShares;
import grandbore.core.combination.InvalidInput;
import grandbore.core.prediction.Curve;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/**
 * Where an engine spends its time: speeds, each with its share. What it scores is the average power
 * over them, Σ wᵢ P(nᵢ) / Σ wᵢ, the torque between two solved speeds running straight.
 */
public record TimeAtSpeed(List<Row> rows) {
  private static final int MOST = 400;
  private static final double FASTEST = 25_000;

  /**
   * @param rpm rev/min
   * @param share of the time, in any unit; only how they stand to each other counts
   */
  public record Row(double rpm, double share) {
    public Row {
      if (!(rpm > 0 && rpm <= FASTEST)) {
        throw new InvalidInput(
            "Time at speed, rpm",
            String.valueOf(rpm),
            "more than 0 to 25,000",
            "engines run there");
      }
      if (!(share >= 0) || Double.isInfinite(share)) {
        throw new InvalidInput(
            "Time at speed, share", String.valueOf(share), "0 or more", "it is a share of time");
      }
    }
  }

  public TimeAtSpeed {
    rows = List.copyOf(rows);
    if (rows.size() > MOST || rows.stream().mapToDouble(Row::share).sum() <= 0) {
      throw new InvalidInput(
          "Time at speed",
          rows.size() + " rows",
          "1 to 400 rows, one with a share above 0",
          "an average needs a weight");
    }
  }

  /** Speeds of a log fall into classes of so many rev/min. */
  private static final double CLASS = 250;

  /**
   * From a log taken at even times: speeds by classes of 250 rev/min, each by its middle. Rows of a
   * standing engine count for nothing.
   *
   * @param rpm rev/min
   */
  public static TimeAtSpeed ofLog(List<Double> rpm) {
    var classes = new TreeMap<Long, Double>();
    for (double speed : rpm) {
      if (!(speed >= 0 && speed <= FASTEST)) {
        throw new InvalidInput(
            "Log, rpm", String.valueOf(speed), "0 to 25,000", "engines run there");
      }
      if (speed > 0) {
        classes.merge((long) Math.floor(speed / CLASS), 1.0, Double::sum);
      }
    }
    return new TimeAtSpeed(
        classes.entrySet().stream()
            .map(e -> new Row((e.getKey() + 0.5) * CLASS, e.getValue() / rpm.size()))
            .toList());
  }

  /**
   * From words: {@code 4500 2, 5500 5, 6500 3}, each a speed and its share.
   *
   * @throws InvalidInput where they can't be read
   */
  public static TimeAtSpeed parse(String words) {
    var rows = new ArrayList<Row>();
    for (String pair : words.strip().split("\\s*[,;]\\s*", -1)) {
      var two = pair.split("\\s+", -1);
      try {
        if (two.length != 2) {
          throw new NumberFormatException(pair);
        }
        rows.add(new Row(Double.parseDouble(two[0]), Double.parseDouble(two[1])));
      } catch (NumberFormatException e) {
        throw new InvalidInput(
            "Time at speed", "“" + pair + "”", "such as 4500 2, 5500 5", "a speed and its share");
      }
    }
    return new TimeAtSpeed(rows);
  }

  /** Of a build's notes the newest; empty where none says any. */
  public static Optional<TimeAtSpeed> of(List<SpeedShares> notes) {
    if (notes.isEmpty() || notes.getLast().rpm().isEmpty()) {
      return Optional.empty();
    }
    var note = notes.getLast();
    return Optional.of(
        new TimeAtSpeed(
            IntStream.range(0, note.rpm().size())
                .mapToObj(i -> new Row(note.rpm().get(i), note.share().get(i)))
                .toList()));
  }

  /** As the book keeps it. */
  public SpeedShares note() {
    return new SpeedShares(
        rows.stream().map(Row::rpm).toList(), rows.stream().map(Row::share).toList());
  }

  /** As it is typed, shares of a hundred. */
  public String words() {
    double all = rows.stream().mapToDouble(Row::share).sum();
    return rows.stream()
        .map(r -> String.format(Locale.US, "%.0f %.3g", r.rpm, 100 * r.share / all))
        .collect(Collectors.joining(", "));
  }

  /** Average power, W; not a number where the curve does not reach one of the speeds. */
  public double meanPower(Curve curve) {
    var line = new CurveLine(curve);
    double power = 0;
    double all = 0;
    for (var r : rows) {
      if (r.share > 0) {
        power += r.share * line.power(r.rpm);
        all += r.share;
      }
    }
    return power / all;
  }
}
