package grandbore.book;

import grandbore.core.prediction.Trace;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;

/** One cycle's traces as a table: a row a crank angle, SI, pressures along the pipes at the end. */
public final class TraceCsv {
  private TraceCsv() {}

  /** The whole table; a cell is empty where there is none, as of a flame that does not burn. */
  public static String write(Trace trace) {
    var out = new StringBuilder();
    try (var printer =
        new CSVPrinter(out, CSVFormat.RFC4180.builder().setRecordSeparator("\n").get())) {
      var heading = new ArrayList<String>();
      heading.add("crank_deg_after_firing_top");
      for (var kind : Trace.Kind.values()) {
        heading.add(kind.column());
      }
      cells(heading, "intake_pipe_pressure_Pa_", trace.intakeWave());
      cells(heading, "exhaust_pipe_pressure_Pa_", trace.exhaustWave());
      printer.printRecord(heading);
      for (int i = 0; i < trace.angles().length; i++) {
        var row = new ArrayList<String>();
        row.add(String.format(Locale.ROOT, "%.2f", Math.toDegrees(trace.angles()[i])));
        for (var kind : Trace.Kind.values()) {
          row.add(number(trace.of(kind)[i]));
        }
        numbers(row, trace.intakeWave()[i]);
        numbers(row, trace.exhaustWave()[i]);
        printer.printRecord(row);
      }
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return out.toString();
  }

  private static void cells(List<String> heading, String name, double[][] wave) {
    for (int k = 0; wave.length > 0 && k < wave[0].length; k++) {
      heading.add(name + (k + 1));
    }
  }

  private static void numbers(List<String> row, double[] values) {
    for (double v : values) {
      row.add(number(v));
    }
  }

  private static String number(double v) {
    return Double.isFinite(v) ? String.format(Locale.ROOT, "%.6g", v) : "";
  }
}
