package grandbore.desktop.look;

import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.Font;
import org.jfree.chart.JFreeChart;
import org.jfree.chart.axis.NumberAxis;
import org.jfree.chart.fx.ChartViewer;
import org.jfree.chart.fx.interaction.ScrollHandlerFX;
import org.jfree.chart.plot.XYPlot;

/** What all charts wear. */
public final class ChartDress {
  private ChartDress() {}

  /** A chart in the window: the wheel scrolls the page it stands in and zooms with the Ctrl key. */
  public static ChartViewer viewer(JFreeChart chart) {
    var viewer = new ChartViewer(chart, false);
    var canvas = viewer.getCanvas();
    canvas.setTooltipEnabled(false);
    var zoom = new ScrollHandlerFX("wheel");
    canvas.setOnScroll(
        e -> {
          if (e.isShortcutDown()) {
            zoom.handleScroll(canvas, e);
            e.consume();
          }
        });
    return viewer;
  }

  /** Ground, frame and grid of a chart. */
  public static void ground(JFreeChart chart, XYPlot plot, Palette p) {
    chart.setBackgroundPaint(Palette.awt(p.panel()));
    plot.setBackgroundPaint(Palette.awt(p.panel()));
    plot.setOutlinePaint(Palette.awt(p.line()));
    plot.setDomainGridlinePaint(Palette.awt(p.line()));
    plot.setRangeGridlinePaint(Palette.awt(p.line()));
    plot.setDomainGridlineStroke(new BasicStroke(0.6f));
    plot.setRangeGridlineStroke(new BasicStroke(0.6f));
  }

  /** Letters of a chart, as large as the window's text asks. */
  public static Font words(Look look, int normal) {
    return new Font("B612", Font.PLAIN, (int) Math.rint(look.letters(normal)));
  }

  /** Digits of a chart. */
  public static Font numbers(Look look, int normal) {
    return new Font("Hack", Font.PLAIN, (int) Math.rint(look.letters(normal)));
  }

  /** An axis without a line of its own. */
  public static void axis(NumberAxis axis, Color color, Font label, Font ticks) {
    axis.setLabelFont(label);
    axis.setTickLabelFont(ticks);
    axis.setLabelPaint(color);
    axis.setTickLabelPaint(color);
    axis.setAxisLineVisible(false);
    axis.setTickMarksVisible(false);
  }

  /**
   * @param dash {@code null} for a line without gaps
   */
  public static BasicStroke line(float width, float[] dash) {
    return dash == null
        ? new BasicStroke(width)
        : new BasicStroke(width, BasicStroke.CAP_BUTT, BasicStroke.JOIN_ROUND, 1, dash, 0);
  }
}
