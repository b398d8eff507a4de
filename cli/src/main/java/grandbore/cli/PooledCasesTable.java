package grandbore.cli;

import grandbore.core.dyno.calibration.PooledCases;
import grandbore.core.units.Measure;
import java.io.PrintWriter;
import java.util.Locale;

/** Predicted against pulled, case by case, and the spread of all. */
final class PooledCasesTable {
  private final PrintWriter out;

  PooledCasesTable(PrintWriter out) {
    this.out = out;
    out.println("case,setting,quantity,unit,rpm,predicted,observed,error_percent");
  }

  void print(PooledCases.Ran ran) {
    double foot = Measure.POUND_FEET.toSi(1);
    for (var s : ran.settings()) {
      line(ran.name(), s.what(), "peak power", "hp", s.power(), Measure.HORSEPOWER.toSi(1));
      line(ran.name(), s.what(), "peak torque", "lb·ft", s.torque(), foot);
      s.rows().forEach(r -> line(ran.name(), s.what(), "torque", "lb·ft", r, foot));
    }
    out.flush();
  }

  private void line(
      String name, String what, String quantity, String unit, PooledCases.Row r, double si) {
    out.printf(
        Locale.ROOT,
        "%s,\"%s\",%s,%s,%s,%.1f,%.1f,%+.2f%n",
        name,
        what.replace("\"", "'"),
        quantity,
        unit,
        r.rpm() == 0 ? "" : "%.0f".formatted(r.rpm()),
        r.predicted() / si,
        r.observed() / si,
        100 * r.error());
  }

  void print(PooledCases all) {
    spread("peak power", all.power());
    spread("peak torque", all.torque());
    spread("torque by rpm", all.byRpm());
    all.spread()
        .ifPresent(
            s ->
                out.printf(
                    Locale.ROOT,
                    "all,%d,the model's own doubt by these engines,%%,,%.2f,,%n",
                    s.engines(),
                    100 * s.share()));
    out.flush();
  }

  private void spread(String quantity, PooledCases.Errors e) {
    out.printf(
        Locale.ROOT, "all,%d,mean error of %s,%%,,%+.2f,,%n", e.count(), quantity, 100 * e.mean());
    out.printf(
        Locale.ROOT,
        "all,%d,root mean square error of %s,%%,,%.2f,,%n",
        e.count(),
        quantity,
        100 * e.rootMeanSquare());
  }
}
