package grandbore.core.dyno.effects;

import grandbore.core.combination.Mixture;
import grandbore.core.combination.MixtureTable;
import grandbore.core.combination.Provenance;
import grandbore.core.dyno.Channel;
import grandbore.core.dyno.Column;
import grandbore.core.dyno.Pull;
import grandbore.core.dyno.PullCurve;
import java.util.ArrayList;
import java.util.List;

/**
 * Lambda as it was read, by speed and by where.
 *
 * @param places as headed: the engine, banks, cylinders
 * @param rows by rising speed
 */
public record LambdaMap(List<String> places, List<Row> rows) {
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
    return new LambdaMap(columns.stream().map(Column::title).toList(), rows);
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
