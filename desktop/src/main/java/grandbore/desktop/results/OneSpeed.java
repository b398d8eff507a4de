package grandbore.desktop.results;

import grandbore.core.prediction.CurvePoint;
import grandbore.core.prediction.CylinderPoint;
import grandbore.core.prediction.HotWalls;
import grandbore.core.prediction.Trace;
import grandbore.core.prediction.Trace.Kind;
import grandbore.core.studies.Starving;
import grandbore.core.units.Measure;
import grandbore.core.units.Quantity;
import grandbore.desktop.look.Look;
import grandbore.desktop.plot.Line;
import grandbore.desktop.plot.PlotPane;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import javafx.geometry.HPos;
import javafx.scene.control.Label;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.VBox;

/** One engine speed: traces over the crank's angle, and each cylinder's own result. */
final class OneSpeed extends VBox {
  /** Fresh charge that differs by less is alike. */
  private static final double ALIKE = 0.0015;

  /** Crank angles between which the burn is shown, rad. */
  private static final double BURN_FROM = Math.toRadians(-60);

  private static final double BURN_TO = Math.toRadians(100);

  private static final double[] PLACES = {0, 0.5, 1};

  private final PlotPane valves;
  private final PlotPane flows;
  private final PlotPane loop;
  private final PlotPane waves;
  private final PlotPane burn;
  private final PlotPane zones;
  private final Label flame = new Label();
  private final Label metal = new Label();
  private final GridPane cylinders = new GridPane();
  private final Label words = new Label();

  OneSpeed(Look look) {
    super(10);
    valves = new PlotPane(look, "plot-valves", "Pressures at the valves, overlap shaded", "%.1f");
    flows = new PlotPane(look, "plot-flows", "Flow through the valves", "%.0f");
    loop = new PlotPane(look, "plot-loop", "Pressure over volume", "%.0f");
    waves = new PlotPane(look, "plot-waves", "Waves along runner and port", "%.1f");
    burn = new PlotPane(look, "plot-burn", "The burn: share burned, flame's radius", "%.0f");
    zones = new PlotPane(look, "plot-zones", "Unburned and burned gas", "%.0f");
    flame.setWrapText(true);
    flame.getStyleClass().add("soft");
    flame.setId("flame-words");
    metal.setWrapText(true);
    metal.getStyleClass().add("soft");
    metal.setId("metal-words");
    words.setWrapText(true);
    words.getStyleClass().add("soft");
    words.setId("worst-cylinder");
    cylinders.getStyleClass().add("result-grid");
    getChildren()
        .addAll(
            PlotPane.pair(valves, flows),
            PlotPane.pair(loop, waves),
            flame,
            PlotPane.pair(burn, zones),
            metal,
            words,
            cylinders);
  }

  void show(Trace trace, Shown shown) {
    var angles = shown.in(Measure.DEGREES, trace.angles());
    var p = shown.pressure();
    String crank = "crank °, firing top centre 0";
    valves.show(
        crank,
        p.symbol() + " absolute",
        List.of(
            new Line("intake", angles, shown.in(p, trace.of(Kind.INTAKE_PRESSURE))),
            new Line("exhaust", angles, shown.in(p, trace.of(Kind.EXHAUST_PRESSURE))),
            new Line(
                "cylinder",
                angles,
                exchangeOnly(angles, shown.in(p, trace.of(Kind.CYLINDER_PRESSURE))))),
        shown.in(Measure.DEGREES, trace.overlap()));
    flows.show(
        crank,
        "g/s, forward positive",
        List.of(
            new Line(
                "intake", angles, shown.in(Measure.GRAMS_PER_SECOND, trace.of(Kind.INTAKE_FLOW))),
            new Line(
                "exhaust",
                angles,
                shown.in(Measure.GRAMS_PER_SECOND, trace.of(Kind.EXHAUST_FLOW)))),
        shown.in(Measure.DEGREES, trace.overlap()));
    var high = shown.high();
    loop.show(
        "volume, cc",
        high.symbol() + " absolute",
        List.of(
            new Line(
                "one cycle",
                closed(shown.in(shown.volume(), trace.of(Kind.CYLINDER_VOLUME))),
                closed(shown.in(high, trace.of(Kind.CYLINDER_PRESSURE))))));
    String[] names = {"outer end", "half way", "valve"};
    var lines = new java.util.ArrayList<Line>();
    for (int k = 0; k < PLACES.length; k++) {
      lines.add(new Line(names[k], angles, shown.in(p, along(trace.intakeWave(), PLACES[k]))));
    }
    waves.show(crank, p.symbol() + " absolute", lines);
    burned(trace, shown);
    metal(trace.walls(), shown);
    each(trace.point(), shown);
  }

  private void metal(HotWalls hot, Shown shown) {
    var t = shown.temperature();
    metal.setText(
        String.format(
            Locale.US,
            "The metal's surface, on the mean of a cycle: head %2$.0f, piston's crown %3$.0f,"
                + " cylinder %4$.0f, exhaust port %5$.0f, end of its pipe %6$.0f %1$s. Glowing"
                + " pipes burn: keep hands, hoses and fuel away.",
            t.symbol(),
            t.fromSi(hot.head()),
            t.fromSi(hot.crown()),
            t.fromSi(hot.liner()),
            t.fromSi(hot.exhaustPort()),
            t.fromSi(hot.exhaustPipe())));
  }

  /** The flame from before top centre on. */
  private void burned(Trace trace, Shown shown) {
    var of = trace.point().flame();
    var angles = trace.angles();
    int n = angles.length;
    int first = 0;
    while (first < n && angles[first] < BURN_FROM + 4 * Math.PI) {
      first++;
    }
    int rows = n - first;
    int end = rows;
    for (int i = 0; i < n && angles[i] < BURN_TO; i++) {
      end++;
    }
    var crank = new double[end];
    var share = new double[end];
    var radius = new double[end];
    var unburned = new double[end];
    var hot = new double[end];
    var t = shown.temperature();
    for (int k = 0; k < end; k++) {
      int i = (first + k) % n;
      crank[k] = Math.toDegrees(k < rows ? angles[i] - 4 * Math.PI : angles[i]);
      share[k] = 100 * trace.of(Kind.SHARE_BURNED)[i];
      radius[k] = 1e3 * trace.of(Kind.FLAME_RADIUS)[i];
      unburned[k] = t.fromSi(trace.of(Kind.UNBURNED_TEMPERATURE)[i]);
      hot[k] = t.fromSi(trace.of(Kind.BURNED_TEMPERATURE)[i]);
    }
    String label = "crank °, firing top centre 0";
    burn.show(
        label,
        "% burned, mm of radius",
        List.of(new Line("burned", crank, share), new Line("radius", crank, radius)));
    zones.show(
        label,
        t.symbol(),
        List.of(new Line("unburned", crank, unburned), new Line("burned", crank, hot)));
    flame.setText(
        String.format(
            Locale.US,
            "Spark %.0f° before top centre; a tenth burned at %+.0f°, half at %+.0f°, nine tenths"
                + " at %+.0f°; turbulence %s at the spark. Ten degrees less spark: %s of torque;"
                + " ten more: %s.",
            Math.toDegrees(of.spark()),
            Math.toDegrees(of.burned().tenth()),
            Math.toDegrees(of.burned().half()),
            Math.toDegrees(of.burned().most()),
            Quantity.GAS_SPEED.show(of.turbulence(), shown.units()),
            share(of.tenLess()),
            share(of.tenMore())));
  }

  private static String share(double gain) {
    return Double.isFinite(gain) ? String.format(Locale.US, "%+.1f %%", 100 * gain) : "not told";
  }

  /** With the first value again at the end. */
  private static double[] closed(double[] values) {
    var out = Arrays.copyOf(values, values.length + 1);
    out[values.length] = values[0];
    return out;
  }

  /** Cylinder pressure only while gas is exchanged: the rest is off this scale. */
  private static double[] exchangeOnly(double[] angles, double[] values) {
    var out = values.clone();
    for (int i = 0; i < out.length; i++) {
      out[i] = angles[i] > 150 && angles[i] < 590 ? out[i] : Double.NaN;
    }
    return out;
  }

  private static double[] along(double[][] wave, double share) {
    var out = new double[wave.length];
    for (int i = 0; i < out.length; i++) {
      out[i] = wave[i][(int) Math.round(share * (wave[i].length - 1))];
    }
    return out;
  }

  private void each(CurvePoint point, Shown shown) {
    cylinders.getChildren().clear();
    String[] heads = {
      "cyl.",
      "charge, mg",
      "residual, %",
      "imep, " + shown.pressure().symbol(),
      "peak, " + shown.high().symbol(),
      "exhaust, " + shown.temperature().symbol(),
      "octane wanted"
    };
    for (int k = 0; k < heads.length; k++) {
      var label = new Label(heads[k]);
      label.getStyleClass().add("unit");
      GridPane.setHalignment(label, HPos.RIGHT);
      cylinders.add(label, k, 0);
    }
    var sorted =
        point.cylinders().stream().sorted(Comparator.comparingInt(CylinderPoint::number)).toList();
    for (int i = 0; i < sorted.size(); i++) {
      var c = sorted.get(i);
      cell(0, i, "%.0f", c.number());
      cell(1, i, "%.0f", 1e6 * c.fresh());
      cell(2, i, "%.1f", 100 * c.residual());
      cell(3, i, "%.0f", shown.pressure().fromSi(c.imep()));
      cell(4, i, "%.0f", shown.high().fromSi(c.peakPressure()));
      cell(5, i, "%.0f", shown.temperature().fromSi(c.exhaustTemperature()));
      cell(6, i, "%.1f", c.octaneWanted());
    }
    words.setText(worst(sorted));
  }

  private void cell(int column, int row, String pattern, double value) {
    var label = new Label(String.format(Locale.US, pattern, value));
    label.getStyleClass().add("number");
    GridPane.setHalignment(label, HPos.RIGHT);
    cylinders.add(label, column, row + 1);
  }

  /** Whether one cylinder gets so much less than another that it is worth asking why. */
  static boolean differ(CurvePoint point) {
    var filled = point.cylinders().stream().mapToDouble(CylinderPoint::fresh).summaryStatistics();
    return filled.getCount() > 1 && 1 - filled.getMin() / filled.getMax() >= ALIKE;
  }

  /** Says why one cylinder gets least. */
  void why(Starving found) {
    words.setText(words.getText() + " " + Why.said(found));
  }

  /** Which cylinder gets least, which is hottest, which is nearest to knock. */
  private static String worst(List<CylinderPoint> all) {
    if (all.size() < 2) {
      return "";
    }
    var least = all.stream().min(Comparator.comparingDouble(CylinderPoint::fresh)).orElseThrow();
    var most = all.stream().max(Comparator.comparingDouble(CylinderPoint::fresh)).orElseThrow();
    var hot =
        all.stream()
            .max(Comparator.comparingDouble(CylinderPoint::exhaustTemperature))
            .orElseThrow();
    var knock =
        all.stream().max(Comparator.comparingDouble(CylinderPoint::octaneWanted)).orElseThrow();
    double lack = 1 - least.fresh() / most.fresh();
    if (lack < ALIKE) {
      return String.format(
          Locale.US,
          "The cylinders fill alike, within %.1f %%; %d has the hottest exhaust, %d is nearest to"
              + " knock.",
          Math.max(0.1, 100 * lack),
          hot.number(),
          knock.number());
    }
    return String.format(
        Locale.US,
        "Cylinder %d gets least charge (%.1f %% under cylinder %d), %d has the hottest exhaust, %d"
            + " is nearest to knock.",
        least.number(),
        100 * lack,
        most.number(),
        hot.number(),
        knock.number());
  }
}
