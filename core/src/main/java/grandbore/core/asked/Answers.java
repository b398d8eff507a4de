package grandbore.core.asked;

import grandbore.core.asked.Answer.Table;
import grandbore.core.changes.Change;
import grandbore.core.combination.Specs;
import grandbore.core.prediction.WantedBand;
import grandbore.core.studies.Doubt;
import grandbore.core.studies.InputSweep;
import grandbore.core.studies.Ladder;
import grandbore.core.studies.Repeatability;
import grandbore.core.studies.Rung;
import grandbore.core.studies.Search;
import grandbore.core.studies.SweepAxis;
import grandbore.core.units.Quantity;
import grandbore.core.units.UnitSystem;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.stream.Collectors;

/** Results in words and tables. */
public final class Answers {
  private static final int BEST = 5;

  private Answers() {}

  static String names(List<SweepAxis> axes) {
    return axes.stream()
        .map(a -> Specs.field(a.path()).spec().label().toLowerCase(Locale.ROOT))
        .collect(Collectors.joining(" and "));
  }

  /** Of a ladder that was run whole. */
  public static Answer of(Ladder ladder, UnitSystem units) {
    double base = ladder.power(Set.of());
    int count = ladder.changes().size();
    var rows = new ArrayList<List<String>>();
    for (int i = 0; i < count; i++) {
      var change = ladder.changes().get(i);
      rows.add(
          List.of(
              change.name(),
              money(change.cost().money()),
              gain(ladder.alone(i), base, units),
              gain(ladder.step(i), base, units),
              gain(ladder.upTo(i), base, units),
              gain(ladder.leftOut(i), base, units)));
    }
    return new Answer(
        "All of it gives %s on the average for %s."
            .formatted(
                gain(ladder.upTo(count - 1), base, units), money(ladder.cost(count - 1).money())),
        List.of(
            new Table(
                "Changes in their order",
                List.of("change", "money", "alone", "step", "so far", "left out"),
                rows)));
  }

  /** Of a sweep or a map, by the average power over the band. */
  public static Answer of(InputSweep sweep, boolean idle, UnitSystem units) {
    var columns = new ArrayList<>(sweep.axes().stream().map(a -> names(List.of(a))).toList());
    columns.addAll(List.of("average power", "gained", "most power", "most torque"));
    if (idle) {
      columns.add("vacuum at idle");
    }
    double base = sweep.base().power();
    var rows = new ArrayList<List<String>>();
    for (int i = 0; i < sweep.rungs().size(); i++) {
      var rung = sweep.rungs().get(i);
      var row = new ArrayList<>(values(sweep, i, units));
      row.add(shown(Quantity.POWER, rung.power(), units));
      row.add(gain(rung.power() - base, base, units));
      row.addAll(peaks(rung, units));
      if (idle) {
        row.add(shown(Quantity.PRESSURE, rung.vacuum(), units));
      }
      rows.add(row);
    }
    int best = sweep.best();
    String said =
        best < 0
            ? "None of them settles."
            : "Most at %s: %s on the average, %s as it stood."
                .formatted(
                    String.join(" and ", values(sweep, best, units)),
                    shown(Quantity.POWER, sweep.rungs().get(best).power(), units),
                    shown(Quantity.POWER, base, units));
    return new Answer(said, List.of(new Table("Value by value", columns, rows)));
  }

  private static List<String> values(InputSweep sweep, int place, UnitSystem units) {
    var all = new ArrayList<String>();
    for (int axis = 0; axis < sweep.axes().size(); axis++) {
      var quantity = Specs.field(sweep.axes().get(axis).path()).spec().quantity();
      all.add(quantity.show(sweep.value(axis, place), units));
    }
    return all;
  }

  private static List<String> peaks(Rung rung, UnitSystem units) {
    return rung.figures()
        .map(
            f ->
                List.of(
                    "%s at %,.0f"
                        .formatted(
                            shown(Quantity.POWER, f.power().power(), units), f.power().rpm()),
                    "%s at %,.0f"
                        .formatted(
                            shown(Quantity.TORQUE, f.torque().torque(), units), f.torque().rpm())))
        .orElse(List.of("–", rung.refused().isEmpty() ? "–" : "does not fit"));
  }

  /** Of a search: the best and those next to it that differ in kind. */
  public static Answer of(Search search, Question.OfSearch asked, UnitSystem units) {
    var shown = search.best(BEST);
    var columns = new ArrayList<String>();
    columns.add(asked.goal().label());
    asked.second().ifPresent(g -> columns.add(g.label()));
    asked.free().forEach(a -> columns.add(names(List.of(a))));
    columns.addAll(List.of("changes made", "money"));
    var rows = new ArrayList<List<String>>();
    for (var c : shown) {
      var row = new ArrayList<String>();
      row.add(asked.goal().show(c.goal(), units));
      asked.second().ifPresent(g -> row.add(g.show(c.second(), units)));
      for (int i = 0; i < asked.free().size(); i++) {
        var quantity = Specs.field(asked.free().get(i).path()).spec().quantity();
        row.add(quantity.show(c.values().get(i), units));
      }
      row.add(
          c.chosen().isEmpty()
              ? "none"
              : c.chosen().stream().map(Change::name).collect(Collectors.joining("; ")));
      row.add(money(c.money()));
      rows.add(row);
    }
    String sure =
        search
            .verified()
            .map(
                v ->
                    " Every cylinder solved, the average power goes from %s to %s."
                        .formatted(
                            shown(Quantity.POWER, v.base(), units),
                            shown(Quantity.POWER, v.best(), units)))
            .orElse("");
    String said =
        shown.isEmpty()
            ? "Nothing holds. The nearest miss: "
                + search.nearestMiss().map(m -> String.join("; ", m.broken())).orElse("none")
            : "The best of %d candidates, seed %d: %s.%s"
                .formatted(
                    search.candidates().size(), search.seed(), rows.getFirst().getFirst(), sure);
    return new Answer(said, List.of(new Table("The best, and next to it", columns, rows)));
  }

  /** Of samples over what the inputs allow. */
  public static Answer of(Doubt doubt, WantedBand band, UnitSystem units) {
    var rows = new ArrayList<List<String>>();
    for (int i = 0; i < doubt.stands().points().size(); i++) {
      var p = doubt.stands().points().get(i);
      var range = doubt.torque(i);
      rows.add(
          List.of(
              "%,.0f".formatted(p.rpm()),
              shown(Quantity.TORQUE, p.torque(), units),
              shown(Quantity.TORQUE, range.low(), units),
              shown(Quantity.TORQUE, range.high(), units)));
    }
    return new Answer(
        "Four fifths of %d samples lie between %s and %s on the average, %s as it stood."
            .formatted(
                doubt.samples().size(),
                shown(Quantity.POWER, doubt.score().low(), units),
                shown(Quantity.POWER, doubt.score().high(), units),
                shown(Quantity.POWER, band.meanPower(doubt.stands()), units)),
        List.of(
            new Table(
                "Torque by speed",
                List.of("rpm", "as it stood", "a tenth below", "a tenth above"),
                rows)));
  }

  private static String money(double value) {
    return String.format(Locale.US, "%,.0f", value);
  }

  static String shown(Quantity quantity, double si, UnitSystem units) {
    return Double.isFinite(si) ? quantity.show(si, units) : "–";
  }

  static String gain(double watts, double base, UnitSystem units) {
    var unit = Quantity.POWER.unit(units);
    return Double.isNaN(watts)
        ? "–"
        : Repeatability.tells(watts, base)
            ? String.format(Locale.US, "%+.1f %s", unit.fromSi(watts), unit.symbol())
            : "none it can tell";
  }
}
