package grandbore.desktop.longsection;

import grandbore.core.prediction.DuctTrace.State;
import grandbore.core.prediction.Trace;
import grandbore.core.prediction.Trace.Kind;
import grandbore.core.units.Measure;
import grandbore.desktop.results.Shown;
import java.util.Arrays;
import java.util.Locale;
import java.util.stream.DoubleStream;

/** What of the gas is shown as tint. */
enum GasView {
  PRESSURE("Pressure", State.PRESSURE),
  SPEED("Speed", State.SPEED),
  TEMPERATURE("Temperature", State.TEMPERATURE),
  BURNED("Burned share", State.BURNED);

  /** Of all values so much lie inside the scale; the rest is at its ends. */
  private static final double COVERED = 0.97;

  private static final double[] ROUND = {1, 1.5, 2, 3, 4, 5, 6, 8, 10};

  private final String title;
  private final State state;

  GasView(String title, State state) {
    this.title = title;
    this.state = state;
  }

  String title() {
    return title;
  }

  State state() {
    return state;
  }

  /** In the cylinder at a row of the trace; not a number where that has no meaning. */
  double inCylinder(Trace t, int row) {
    return switch (this) {
      case PRESSURE -> t.of(Kind.CYLINDER_PRESSURE)[row];
      case SPEED -> Double.NaN;
      case TEMPERATURE -> t.of(Kind.CYLINDER_TEMPERATURE)[row];
      case BURNED -> t.of(Kind.CYLINDER_BURNED)[row];
    };
  }

  /** In what the runner opens into. */
  double inPlenum(Trace t, int row) {
    return switch (this) {
      case PRESSURE -> t.of(Kind.PLENUM_PRESSURE)[row];
      case SPEED, BURNED -> 0;
      case TEMPERATURE -> t.of(Kind.PLENUM_TEMPERATURE)[row];
    };
  }

  Measure unit(Shown shown) {
    return switch (this) {
      case PRESSURE -> shown.pressure();
      case SPEED -> Measure.METRES_PER_SECOND;
      case TEMPERATURE -> shown.temperature();
      case BURNED -> Measure.PERCENT;
    };
  }

  String show(double si, Shown shown) {
    return String.format(
        Locale.US,
        this == PRESSURE && unit(shown) == Measure.PSI ? "%.1f" : "%.0f",
        unit(shown).fromSi(si));
  }

  /**
   * The scale for a trace: about the outside pressure, about no speed, or from the coldest to the
   * hottest.
   *
   * @param outside pressure, Pa
   */
  Range range(Trace t, double outside) {
    return switch (this) {
      case PRESSURE -> about(outside, spread(t, outside));
      case SPEED -> about(0, spread(t, 0));
      case TEMPERATURE -> {
        double[] ends = ends(t);
        yield new Range(ends[0], (ends[0] + ends[1]) / 2, ends[1]);
      }
      case BURNED -> new Range(0, 0.5, 1);
    };
  }

  /** Coldest and hottest along the pipes, to the next fifty. */
  private double[] ends(Trace t) {
    var all = values(t).summaryStatistics();
    return new double[] {50 * Math.floor(all.getMin() / 50), 50 * Math.ceil(all.getMax() / 50)};
  }

  private DoubleStream values(Trace t) {
    return t.ducts().stream()
        .flatMap(d -> Arrays.stream(d.of(state)))
        .flatMapToDouble(Arrays::stream);
  }

  /** The scale for one trace less another. */
  Range difference(Trace t, double outside) {
    var whole = range(t, outside);
    return about(0, (whole.high() - whole.low()) / 4);
  }

  private static Range about(double middle, double most) {
    return new Range(middle - most, middle, middle + most);
  }

  private double spread(Trace t, double middle) {
    var off = values(t).map(v -> Math.abs(v - middle)).sorted().toArray();
    return round(off[(int) (COVERED * (off.length - 1))]);
  }

  private static double round(double v) {
    double ten = Math.pow(10, Math.floor(Math.log10(Math.max(v, 1e-9))));
    for (double r : ROUND) {
      if (v <= r * ten) {
        return r * ten;
      }
    }
    return v;
  }

  /**
   * A scale.
   *
   * @param middle what is neither
   */
  record Range(double low, double middle, double high) {
    /** From −1 at the low end to 1 at the high one. */
    double place(double v) {
      return v < middle
          ? Math.max(-1, (v - middle) / (middle - low))
          : Math.min(1, (v - middle) / (high - middle));
    }
  }
}
