package grandbore.core.asked;

import grandbore.core.asked.Answer.Table;
import grandbore.core.prediction.BuiltEngine;
import grandbore.core.prediction.Curve;
import grandbore.core.prediction.Peak;
import grandbore.core.studies.CurveDifference;
import grandbore.core.studies.CurveFigures;
import grandbore.core.units.Quantity;
import grandbore.core.units.UnitSystem;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.IntFunction;
import java.util.function.ToDoubleFunction;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/** Engines side by side in words and tables, a column an engine. */
final class BesideAnswer {
  private BesideAnswer() {}

  static Answer of(
      Question.OfBeside asked, List<BuiltEngine> engines, List<Curve> curves, UnitSystem units) {
    var band = asked.band();
    var figures =
        IntStream.range(0, curves.size())
            .mapToObj(i -> CurveFigures.of(curves.get(i), engines.get(i).combination(), band))
            .toList();
    double base = band.meanPower(curves.getFirst());
    IntFunction<String> gained =
        i -> i == 0 ? "" : Answers.gain(band.meanPower(curves.get(i)) - base, base, units);
    var columns = new ArrayList<String>();
    columns.add("figure");
    columns.add("it");
    asked.others().forEach(o -> columns.add(o.name()));
    var rows = new ArrayList<List<String>>();
    rows.add(peaks("most power", Quantity.POWER, figures, CurveFigures::power, Peak::power, units));
    rows.add(
        peaks("most torque", Quantity.TORQUE, figures, CurveFigures::torque, Peak::torque, units));
    rows.add(
        row(
            "average power",
            curves.size(),
            i -> Answers.shown(Quantity.POWER, band.meanPower(curves.get(i)), units)));
    rows.add(row("gained by it", curves.size(), gained));
    rows.add(row("crosses it at", curves.size(), i -> i == 0 ? "" : crossings(curves, i)));
    String said =
        IntStream.range(1, curves.size())
            .mapToObj(i -> asked.others().get(i - 1).name() + ": " + gained.apply(i))
            .collect(Collectors.joining("; "));
    return new Answer(
        "Average power over it, from %,.0f to %,.0f rpm. %s."
            .formatted(band.from(), band.to(), said),
        List.of(new Table("What they come to", columns, rows)));
  }

  private static List<String> row(String name, int count, IntFunction<String> cell) {
    var row = new ArrayList<String>();
    row.add(name);
    IntStream.range(0, count).mapToObj(cell).forEach(row::add);
    return row;
  }

  private static List<String> peaks(
      String name,
      Quantity quantity,
      List<Optional<CurveFigures>> figures,
      Function<CurveFigures, Peak> peak,
      ToDoubleFunction<Peak> value,
      UnitSystem units) {
    return row(
        name,
        figures.size(),
        i ->
            figures
                .get(i)
                .map(peak)
                .map(
                    p ->
                        "%s at %,.0f"
                            .formatted(
                                Answers.shown(quantity, value.applyAsDouble(p), units), p.rpm()))
                .orElse("–"));
  }

  private static String crossings(List<Curve> curves, int which) {
    var at = CurveDifference.of(curves.getFirst(), curves.get(which)).crossings();
    return at.isEmpty()
        ? "nowhere"
        : at.stream().map(s -> "%,.0f".formatted(s)).collect(Collectors.joining(", ")) + " rpm";
  }
}
