package grandbore.core.dyno.effects;

import grandbore.core.combination.Mixture;
import grandbore.core.combination.MixtureTable;
import grandbore.core.combination.Provenance;
import grandbore.core.dyno.Channel;
import grandbore.core.dyno.Column;
import grandbore.core.dyno.Pull;
import grandbore.core.dyno.PullCurve;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * Lambda as it was read, by speed and by where.
 *
 * @param places as headed: the engine, banks, cylinders
 * @param cylinders the number of the cylinder at each place; 0 where it is of more than one
 * @param rows by rising speed
 */
public record LambdaMap(List<String> places, List<Integer> cylinders, List<Row> rows) {
  private static final double STEP = 250;

  /**
   * @param rpm rev/min
   * @param lambda of each place; not a number where it was not read
   */
  public record Row(double rpm, List<Double> lambda) {
    public Row {
      lambda = List.copyOf(lambda);
    }
  }

  public LambdaMap {
    places = List.copyOf(places);
    cylinders = List.copyOf(cylinders);
    rows = List.copyOf(rows);
  }

  public static LambdaMap of(Pull pull) {
    var columns = new ArrayList<Column>();
    for (var c : List.of(Channel.LAMBDA, Channel.BANK_LAMBDA, Channel.CYLINDER_LAMBDA)) {
      columns.addAll(pull.rows().all(c));
    }
    var curves =
        columns.stream()
            .map(c -> PullCurve.of(pull, c.channel(), c.place(), PullCurve.USUAL_WIDTH))
            .map(c -> c.orElse(new PullCurve(List.of())))
            .toList();
    var rows = new ArrayList<Row>();
    double low = curves.stream().mapToDouble(PullCurve::from).min().orElse(Double.NaN);
    double high = curves.stream().mapToDouble(PullCurve::to).max().orElse(Double.NaN);
    for (double n = Math.ceil(low / STEP) * STEP; n <= high; n += STEP) {
      double at = n;
      rows.add(new Row(at, curves.stream().map(c -> c.at(at)).toList()));
    }
    return new LambdaMap(
        columns.stream().map(Column::title).toList(),
        columns.stream().map(c -> c.channel() == Channel.CYLINDER_LAMBDA ? c.place() : 0).toList(),
        rows);
  }

  /**
   * As the prediction takes it: the mean of all places at each speed, without spark; no table where
   * it was read at fewer than two speeds.
   */
  public MixtureTable table() {
    var means = new ArrayList<MixtureTable.Row>();
    for (var row : rows) {
      double mean =
          row.lambda.stream().mapToDouble(v -> v).filter(Double::isFinite).average().orElse(0);
      if (Mixture.burns(mean)) {
        means.add(new MixtureTable.Row(row.rpm * Math.PI / 30, mean, Double.NaN));
      }
    }
    return means.size() < 2 ? MixtureTable.NONE : new MixtureTable(Provenance.MEASURED, means);
  }

  /**
   * Each cylinder's lambda over the mean of all of them, on the mean of the speeds at which all
   * were read; none unless every cylinder of so many was.
   */
  public List<Double> byCylinder(int number) {
    var shares = new double[number];
    int read = 0;
    for (var row : rows) {
      var each = new double[number];
      for (int k = 0; k < cylinders.size(); k++) {
        if (cylinders.get(k) > 0 && cylinders.get(k) <= number) {
          each[cylinders.get(k) - 1] = row.lambda.get(k);
        }
      }
      if (Arrays.stream(each).allMatch(Mixture::burns)) {
        double mean = Arrays.stream(each).average().orElseThrow();
        for (int k = 0; k < number; k++) {
          shares[k] += each[k] / mean;
        }
        read++;
      }
    }
    double rowsRead = read;
    return read == 0 ? List.of() : Arrays.stream(shares).map(s -> s / rowsRead).boxed().toList();
  }

  /** The mean of all places between two speeds; not a number where none was read. */
  public double mean(double from, double to) {
    return rows.stream()
        .filter(r -> r.rpm >= from && r.rpm <= to)
        .flatMap(r -> r.lambda.stream())
        .mapToDouble(v -> v)
        .filter(Double::isFinite)
        .average()
        .orElse(Double.NaN);
  }
}
