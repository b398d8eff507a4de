package grandbore.desktop.bench;

import grandbore.core.clearances.Band;
import grandbore.core.units.Quantity;
import grandbore.core.units.UnitSystem;
import grandbore.desktop.look.Look;
import java.util.Optional;
import javafx.geometry.VPos;
import javafx.scene.canvas.Canvas;
import javafx.scene.layout.Region;
import javafx.scene.text.Font;
import javafx.scene.text.TextAlignment;

/** A band as a line with the value's mark on it, to be read from two metres. */
final class BandLine extends Region {
  private static final double HEIGHT = 74;

  /** Beside the band, in its widths. */
  private static final double BESIDE = 0.8;

  private final Look look;
  private final Canvas canvas = new Canvas();
  private Optional<Band> band = Optional.empty();
  private double value = Double.NaN;
  private Quantity quantity = Quantity.LENGTH;
  private UnitSystem units = UnitSystem.US;

  BandLine(Look look) {
    this.look = look;
    setMinHeight(HEIGHT);
    setPrefHeight(HEIGHT);
    getChildren().add(canvas);
    widthProperty().subscribe(w -> draw());
  }

  /**
   * @param si not a number where there is none yet
   */
  void show(Optional<Band> now, double si, Quantity of, UnitSystem in) {
    band = now;
    value = si;
    quantity = of;
    units = in;
    draw();
  }

  /** Both ends as they are drawn; one that is open lies as far off as the other. */
  private static double[] ends(Band b) {
    double low = Double.isFinite(b.least()) ? b.least() : b.most() - Math.abs(b.most());
    double high = Double.isFinite(b.most()) ? b.most() : b.least() + Math.abs(b.least());
    return new double[] {low, Math.max(high, low + 1e-9)};
  }

  private void draw() {
    double w = getWidth();
    canvas.setWidth(w);
    canvas.setHeight(HEIGHT);
    var g = canvas.getGraphicsContext2D();
    g.clearRect(0, 0, w, HEIGHT);
    if (band.isEmpty() || w < 100) {
      return;
    }
    var p = look.palette();
    double[] ends = ends(band.get());
    double low = ends[0];
    double high = ends[1];
    double range = high - low;
    double left = 20;
    double wide = w - 40;
    double perUnit = wide / (range * (1 + 2 * BESIDE));
    double from = left + BESIDE * range * perUnit;
    double to = from + range * perUnit;
    double y = 34;
    g.setStroke(p.soft());
    g.setLineWidth(3);
    g.strokeLine(left, y, left + wide, y);
    g.setFill(p.straw().deriveColor(0, 1, 1, 0.3));
    g.fillRect(from, y - 11, to - from, 22);
    g.setStroke(p.straw());
    g.setLineWidth(2);
    g.strokeRect(from, y - 11, to - from, 22);
    g.setFill(p.soft());
    g.setFont(Font.font("Hack", 16));
    g.setTextAlign(TextAlignment.CENTER);
    g.setTextBaseline(VPos.CENTER);
    if (Double.isFinite(band.get().least())) {
      g.fillText(quantity.number(low, units), from, y + 26);
    }
    if (Double.isFinite(band.get().most())) {
      g.fillText(quantity.number(high, units), to, y + 26);
    }
    if (Double.isFinite(value)) {
      double x = Math.clamp(from + (value - low) * perUnit, left, left + wide);
      g.setFill(p.ink());
      g.fillPolygon(new double[] {x - 14, x + 14, x}, new double[] {2, 2, 24}, 3);
    }
  }
}
