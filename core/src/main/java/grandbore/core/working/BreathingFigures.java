package grandbore.core.working;

import grandbore.core.build.Build;
import grandbore.core.combination.Provenance;
import grandbore.core.prediction.WantedBand;
import grandbore.core.units.Measure;
import grandbore.core.units.Quantity;
import java.util.Locale;

/** What the intake path and the weather come to. */
final class BreathingFigures extends FigureList {
  BreathingFigures(Build measured) {
    super(measured);
    breathing();
    weather();
  }

  private void breathing() {
    double path = c().intakePath();
    var from = weakest(c().intake().runnerLength(), c().heads().intakePortLength());
    double inches = Measure.INCHES.fromSi(path);
    add(
        "intake_path",
        "Intake path, runner and port",
        path,
        Quantity.LENGTH,
        from,
        "runner length + port length",
        "%s + %s"
            .formatted(show(c().intake().runnerLength()), show(c().heads().intakePortLength())),
        GEOMETRY);
    double middle = WantedBand.of(c().brief()).middle();
    add(
        "path_wanted",
        "Path that puts the third harmonic in the band's middle",
        Measure.INCHES.toSi(0.5 * (87_750 + 100_300) / middle),
        Quantity.LENGTH,
        weakest(c().brief().bandFrom(), c().brief().bandTo()),
        "94,025 ÷ rpm, in inches",
        String.format(Locale.ROOT, "94,025 ÷ %.0f", middle),
        PRACTICE);
    band("third_harmonic", "Third harmonic", 87_750, 100_300, inches, from);
    band("second_harmonic", "Second harmonic", 117_000, 142_500, inches, from);
  }

  private void band(
      String name, String label, double low, double high, double inches, Provenance from) {
    for (boolean start : new boolean[] {true, false}) {
      double k = start ? low : high;
      add(
          name + (start ? "_from" : "_to"),
          label + (start ? " from" : " to"),
          Measure.RPM.toSi(k / inches),
          Quantity.ROTATION,
          from,
          String.format(Locale.ROOT, "%.0f ÷ path in inches", k),
          String.format(Locale.ROOT, "%.0f ÷ %.2f", k, inches),
          PRACTICE);
    }
  }

  private void weather() {
    var w = c().weather();
    double dry = Correction.dryPressure(w);
    for (var standard : Correction.values()) {
      add(
          "correction_" + standard.name().toLowerCase(Locale.ROOT),
          "This day's power to " + standard.label(),
          standard.factor(w),
          Quantity.FACTOR,
          weakest(w.pressure(), w.temperature(), w.humidity()),
          standard.formula(),
          "barometer %s, dry %s, %s"
              .formatted(
                  show(w.pressure()), Quantity.PRESSURE.show(dry, units()), show(w.temperature())),
          standard.label() + ", from memory");
    }
  }
}
