package grandbore.desktop.weighing;

import grandbore.core.prediction.WantedBand;
import grandbore.core.studies.CurveFigures;
import grandbore.core.studies.Goal;
import grandbore.core.studies.InputSweep;
import grandbore.core.studies.Repeatability;
import grandbore.core.studies.Rung;
import grandbore.core.units.Quantity;
import grandbore.core.units.UnitSystem;
import grandbore.desktop.controls.Words;
import java.util.List;
import java.util.function.Function;
import java.util.function.ToDoubleFunction;
import java.util.stream.IntStream;

/** What each value of a swept input comes to, a column a value. */
final class SweepTable extends SideTable {
  /**
   * @param by what is weighed, told first where it is not the average power
   */
  SweepTable(InputSweep sweep, Quantity quantity, UnitSystem units, Goal by, WantedBand band) {
    super(
        "Value by value",
        IntStream.range(0, sweep.rungs().size())
            .mapToObj(i -> quantity.show(sweep.value(0, i), units))
            .toList());
    setId("sweep-table");
    if (by != Goal.BAND_POWER) {
      line(Words.capital(by.label()), each(sweep, r -> by.show(by.of(r, band, 0), units)));
    }
    double base = sweep.base().power();
    var power = Quantity.POWER.unit(units);
    line(
        "Average power, " + power.symbol(),
        each(
            sweep, r -> Double.isNaN(r.power()) ? "–" : "%.1f".formatted(power.fromSi(r.power()))));
    line(
        "Gained over the build as it stands",
        each(
            sweep,
            r -> {
              double gain = r.power() - base;
              return Double.isNaN(gain)
                  ? "–"
                  : Repeatability.tells(gain, base)
                      ? "%+.1f".formatted(power.fromSi(gain))
                      : "none";
            }));
    line(
        "Most power, " + power.symbol(),
        each(sweep, r -> top(r, f -> power.fromSi(f.power().power()), f -> f.power().rpm())));
    var torque = Quantity.TORQUE.unit(units);
    line(
        "Most torque, " + torque.symbol(),
        each(sweep, r -> top(r, f -> torque.fromSi(f.torque().torque()), f -> f.torque().rpm())));
  }

  private static String top(
      Rung rung, ToDoubleFunction<CurveFigures> value, ToDoubleFunction<CurveFigures> rpm) {
    String none = rung.refused().isEmpty() ? "–" : "does not fit";
    return rung.figures()
        .map(f -> "%.0f at %,.0f".formatted(value.applyAsDouble(f), rpm.applyAsDouble(f)))
        .orElse(none);
  }

  private static List<String> each(InputSweep sweep, Function<Rung, String> says) {
    return sweep.rungs().stream().map(says).toList();
  }
}
