package grandbore.desktop.weighing;

import grandbore.core.prediction.BuiltEngine;
import grandbore.core.prediction.Curve;
import grandbore.core.prediction.Peak;
import grandbore.core.prediction.WantedBand;
import grandbore.core.studies.CurveDifference;
import grandbore.core.studies.CurveFigures;
import grandbore.core.studies.Repeatability;
import grandbore.core.studies.TimeAtSpeed;
import grandbore.core.units.Measure;
import grandbore.core.units.Quantity;
import grandbore.core.units.UnitSystem;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.ToDoubleFunction;

/** What each curve comes to, a column a build, the first the one that others are held against. */
final class BesideFigures extends SideTable {
  private static final double[] SHARES = {0.90, 0.95, 0.98};

  private final UnitSystem units;

  BesideFigures(
      List<BuiltEngine> engines,
      List<String> names,
      List<Curve> curves,
      WantedBand band,
      Optional<TimeAtSpeed> spent,
      List<Double> money,
      UnitSystem units) {
    super("What they come to", names);
    this.units = units;
    setId("beside-figures");
    var figures = new ArrayList<Optional<CurveFigures>>();
    for (int i = 0; i < curves.size(); i++) {
      figures.add(CurveFigures.of(curves.get(i), engines.get(i).combination(), band));
    }
    String speeds = "%,.0f to %,.0f rpm".formatted(band.from(), band.to());
    line("Most power", each(figures, f -> peak(f.power(), true)));
    line("Most torque", each(figures, f -> peak(f.torque(), false)));
    line(
        "Average power, " + speeds,
        each(figures, f -> f.band().map(b -> Quantity.POWER.show(b.power(), units)).orElse("–")));
    line("Gained by it", gains(curves, band::meanPower));
    spent.ifPresent(
        s -> {
          line("Average power by time at speed", each(curves, s));
          line("Gained by that", gains(curves, s::meanPower));
        });
    if (money.stream().anyMatch(m -> m > 0)) {
      line("Money", money.stream().map(m -> shown(m)).toList());
      line("Money for each %s gained".formatted(power().symbol()), each(curves, money, band));
    }
    line(
        "Average torque",
        each(figures, f -> f.band().map(b -> Quantity.TORQUE.show(b.torque(), units)).orElse("–")));
    line(
        "Least torque in the band",
        each(figures, f -> f.least().map(p -> peak(p, false)).orElse("–")));
    line("Octane wanted in the band, (R+M)/2", octane(curves, band));
    line("Crosses the first at", crossings(curves));
    for (double share : SHARES) {
      line(
          "Above %.0f %% of its most power".formatted(100 * share), ranges(figures, curves, share));
    }
    line(
        "Most power for each litre",
        each(figures, f -> Quantity.POWER.show(f.powerPerVolume() * 1e-3, units)));
    boolean us = units == UnitSystem.US;
    line(
        us ? "Most power for air of 1 lb/min" : "Most power for air of 1 kg/min",
        each(
            figures,
            f ->
                Quantity.POWER.show(
                    f.powerPerAir() * (us ? Measure.POUNDS.toSi(1) : 1) / 60, units)));
  }

  private static List<String> each(
      List<Optional<CurveFigures>> figures, Function<CurveFigures, String> says) {
    return figures.stream().map(f -> f.map(says).orElse("did not settle")).toList();
  }

  private String peak(Peak p, boolean power) {
    String value =
        power ? Quantity.POWER.show(p.power(), units) : Quantity.TORQUE.show(p.torque(), units);
    return "%s at %,.0f".formatted(value, p.rpm());
  }

  private Measure power() {
    return Quantity.POWER.unit(units);
  }

  private static String shown(double money) {
    return Double.isNaN(money) ? "–" : String.format(Locale.US, "%,.0f", money);
  }

  /** What a gain costs; none where there is none that can be told. */
  private List<String> each(List<Curve> curves, List<Double> money, WantedBand band) {
    double base = band.meanPower(curves.getFirst());
    var all = new ArrayList<String>();
    for (int i = 0; i < curves.size(); i++) {
      double gain = band.meanPower(curves.get(i)) - base;
      all.add(
          gain > 0 && Repeatability.tells(gain, base)
              ? shown(money.get(i) / power().fromSi(gain))
              : "–");
    }
    return all;
  }

  private List<String> each(List<Curve> curves, TimeAtSpeed spent) {
    return curves.stream()
        .map(spent::meanPower)
        .map(p -> Double.isNaN(p) ? "not all speeds are solved" : Quantity.POWER.show(p, units))
        .toList();
  }

  private List<String> gains(List<Curve> curves, ToDoubleFunction<Curve> score) {
    double base = score.applyAsDouble(curves.getFirst());
    var all = new ArrayList<String>();
    all.add("");
    for (var c : curves.subList(1, curves.size())) {
      double gain = score.applyAsDouble(c) - base;
      all.add(
          Double.isNaN(gain)
              ? "–"
              : Repeatability.tells(gain, base)
                  ? "%+.1f %s"
                      .formatted(
                          Quantity.POWER.unit(units).fromSi(gain),
                          Quantity.POWER.unit(units).symbol())
                  : "no difference it can tell");
    }
    return all;
  }

  /** Where it is most. */
  private static List<String> octane(List<Curve> curves, WantedBand band) {
    return curves.stream()
        .map(
            c ->
                c.settled().stream()
                    .filter(p -> p.rpm() >= band.from() && p.rpm() <= band.to())
                    .max(Comparator.comparingDouble(p -> p.margins().octaneWanted()))
                    .map(p -> "%.1f at %,.0f".formatted(p.margins().octaneWanted(), p.rpm()))
                    .orElse("–"))
        .toList();
  }

  private static List<String> crossings(List<Curve> curves) {
    var all = new ArrayList<String>();
    all.add("");
    for (var c : curves.subList(1, curves.size())) {
      var at = CurveDifference.of(curves.getFirst(), c).crossings();
      all.add(
          at.isEmpty()
              ? "nowhere"
              : String.join(", ", at.stream().map(s -> "%,.0f".formatted(s)).toList()) + " rpm");
    }
    return all;
  }

  private static List<String> ranges(
      List<Optional<CurveFigures>> figures, List<Curve> curves, double share) {
    var all = new ArrayList<String>();
    for (int i = 0; i < curves.size(); i++) {
      var curve = curves.get(i);
      all.add(
          figures
              .get(i)
              .flatMap(f -> f.above(curve, share))
              .map(
                  r ->
                      "%,.0f to %,.0f%s".formatted(r.from(), r.to(), r.open() ? " and beyond" : ""))
              .orElse("–"));
    }
    return all;
  }
}
