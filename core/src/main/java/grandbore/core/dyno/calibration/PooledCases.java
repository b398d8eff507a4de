package grandbore.core.dyno.calibration;

import grandbore.core.dyno.Pull;
import grandbore.core.prediction.BuiltEngine;
import grandbore.core.studies.ModelSpread;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Stream;

/** Engines that were predicted and pulled, those of several shops together. */
public record PooledCases(List<Ran> cases) {
  /** Fewer engines tell nothing of a model. */
  public static final int FEWEST = 3;

  /**
   * An engine with its good pulls.
   *
   * @param engine as it was before the first pull
   * @param pointer how much more the pointer shows than there is, rad
   */
  public record Case(String name, BuiltEngine engine, List<Pull> good, double pointer) {
    public Case {
      good = List.copyOf(good);
    }
  }

  /** A case that was run, setting by setting. */
  public record Ran(String name, List<Setting> settings) {
    public Ran {
      settings = List.copyOf(settings);
    }
  }

  /**
   * What was run alike: pulls of one state of the engine.
   *
   * @param what by which the setting is told
   * @param rows by speed
   */
  public record Setting(String what, List<Row> rows) {
    public Setting {
      rows = List.copyOf(rows);
    }

    /** The most torque, N m, at the speeds pulled. */
    public Row torque() {
      return new Row(0, most(Row::predicted), most(Row::observed));
    }

    /** The most power, W, at the speeds pulled. */
    public Row power() {
      double perRpm = Math.PI / 30;
      return new Row(
          0, perRpm * most(r -> r.predicted * r.rpm), perRpm * most(r -> r.observed * r.rpm));
    }

    private double most(Function<Row, Double> value) {
      return rows.stream().mapToDouble(value::apply).max().orElse(Double.NaN);
    }
  }

  /**
   * Torque of the engine in the day's air, N m, or what was made of it.
   *
   * @param rpm rev/min; 0 for a peak
   */
  public record Row(double rpm, double predicted, double observed) {
    /** How much more was predicted than pulled, as a share. */
    public double error() {
      return predicted / observed - 1;
    }
  }

  /** Errors as shares: their mean, and the root of the mean of their squares. */
  public record Errors(int count, double mean, double rootMeanSquare) {
    static Errors of(Stream<Row> rows) {
      var all = rows.mapToDouble(Row::error).filter(Double::isFinite).toArray();
      double sum = 0;
      double squares = 0;
      for (double e : all) {
        sum += e;
        squares += e * e;
      }
      return new Errors(all.length, sum / all.length, Math.sqrt(squares / all.length));
    }
  }

  public PooledCases {
    cases = List.copyOf(cases);
  }

  /** These and one more. */
  PooledCases with(Ran more) {
    var all = new ArrayList<>(cases);
    all.add(more);
    return new PooledCases(all);
  }

  private Stream<Setting> settings() {
    return cases.stream().flatMap(c -> c.settings.stream());
  }

  public Errors power() {
    return Errors.of(settings().map(Setting::power));
  }

  public Errors torque() {
    return Errors.of(settings().map(Setting::torque));
  }

  public Errors byRpm() {
    return Errors.of(settings().flatMap(s -> s.rows.stream()));
  }

  /**
   * The model's doubt as these engines show it: the root mean square of the errors of their peaks,
   * each engine counted once however many settings it was pulled with. None of fewer than three.
   */
  public Optional<ModelSpread> spread() {
    var squares =
        cases.stream()
            .map(c -> Errors.of(c.settings.stream().flatMap(s -> Stream.of(s.power(), s.torque()))))
            .filter(e -> e.count > 0)
            .mapToDouble(e -> e.rootMeanSquare * e.rootMeanSquare)
            .toArray();
    if (squares.length < FEWEST) {
      return Optional.empty();
    }
    double mean = 0;
    for (double s : squares) {
      mean += s / squares.length;
    }
    return Optional.of(
        new ModelSpread(
            Math.max(ModelSpread.LEAST, Math.sqrt(mean)),
            squares.length,
            "%d pooled cases".formatted(squares.length)));
  }
}
