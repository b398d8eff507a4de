package grandbore.desktop.drawing;

import grandbore.core.clearances.Band;
import grandbore.core.clearances.Doubt;
import grandbore.core.clearances.Ledger;
import grandbore.core.clearances.Measurement;
import grandbore.core.clearances.Reading.Side;
import grandbore.core.combination.BottomEnd;
import grandbore.core.units.UnitSystem;
import grandbore.desktop.look.Look;
import grandbore.desktop.look.Palette;
import grandbore.desktop.session.Session;
import java.util.ArrayList;
import java.util.List;
import javafx.scene.paint.Color;
import javafx.scene.text.TextAlignment;

/** Crank, block or head with the places to measure; a place is chosen by a click on it. */
public final class PlanDrawing extends Drawing {
  private static final double HEIGHT = 148;
  private static final double FRONT = 60;

  private record Spot(int place, Side side, double x, double y, double r) {}

  /** Told which place was clicked. */
  public interface Chosen {
    void place(int number, Side side);
  }

  private final List<Spot> spots = new ArrayList<>();
  private Ledger ledger;
  private List<Doubt> doubts = List.of();
  private Measurement measurement;
  private int place = 1;
  private Side side = Side.NONE;

  public PlanDrawing(Session session, Look look, Chosen chosen) {
    this(session, look, HEIGHT, chosen);
  }

  /**
   * @param height pixels
   */
  public PlanDrawing(Session session, Look look, double height, Chosen chosen) {
    super(session, look, height, false);
    setOnMouseClicked(
        e -> {
          for (var s : spots) {
            if (Math.hypot(e.getX() - s.x, e.getY() - s.y) <= s.r + 4) {
              chosen.place(s.place, s.side);
              return;
            }
          }
        });
  }

  /** Shows a measurement's places, the one that waits for a reading among them. */
  public void show(Ledger now, List<Doubt> odd, Measurement m, int waiting, Side at) {
    ledger = now;
    doubts = odd;
    measurement = m;
    place = waiting;
    side = at;
    redraw();
  }

  @Override
  void draw(Pen pen, Palette palette, double width, double height) {
    spots.clear();
    if (ledger == null) {
      return;
    }
    var b = ledger.combination().bottomEnd();
    switch (measurement.place()) {
      case MAIN, THROW -> crank(pen, palette, b, width, height);
      case ENGINE -> engine(pen, palette, width, height);
      case CYLINDER -> block(pen, palette, b, width, height);
    }
    for (var s : spots) {
      mark(pen, palette, s);
    }
    pen.text("front", palette.soft(), TextAlignment.LEFT, 8, height - 10);
    pen.thin(8, height - 22, 40, height - 22);
    pen.thin(8, height - 22, 14, height - 26);
    pen.thin(8, height - 22, 14, height - 18);
  }

  private void crank(Pen pen, Palette palette, BottomEnd b, double width, double height) {
    int mains = b.mains();
    double step = (width - FRONT - 40) / mains;
    double y = height / 2;
    pen.axis(20, y, width - 10, y);
    for (int i = 0; i < mains; i++) {
      double x = FRONT + step * (i + 0.5);
      pen.box(palette.metal(), x - 0.18 * step, y - 18, 0.36 * step, 36);
      if (i + 1 < mains) {
        boolean up = i % 2 == 0;
        double top = up ? y - 52 : y + 16;
        pen.box(palette.panel(), x + 0.28 * step, top, 0.44 * step, 36);
        pen.thin(x + 0.28 * step, y - 18, x + 0.28 * step, top + 18);
        pen.thin(x + 0.72 * step, y - 18, x + 0.72 * step, top + 18);
        if (measurement.place() == Measurement.Place.THROW) {
          spots.add(new Spot(i + 1, Side.NONE, x + 0.5 * step, top + 18, 16));
        }
      }
      if (measurement.place() == Measurement.Place.MAIN) {
        spots.add(new Spot(i + 1, Side.NONE, x, y, 16));
      }
    }
  }

  private void engine(Pen pen, Palette palette, double width, double height) {
    pen.box(palette.panel(), FRONT, 24, width - FRONT - 40, height - 48);
    pen.axis(30, height / 2, width - 20, height / 2);
    spots.add(new Spot(1, Side.NONE, FRONT + 30, height / 2, 20));
  }

  private void block(Pen pen, Palette palette, BottomEnd b, double width, double height) {
    int banks = b.banks();
    int inRow = b.cylinders() / banks;
    double step = Math.min((width - FRONT - 20) / inRow, height / 1.2);
    double r = Math.min(0.42 * step, (height - 24) / (2.2 * banks));
    double begin = Math.max(FRONT, (width - step * inRow) / 2);
    boolean valves = measurement.sides() == Measurement.Sides.INTAKE_EXHAUST;
    for (int n = 1; n <= b.cylinders(); n++) {
      int row = b.row(n);
      double x = begin + step * (row + 0.5);
      double y = banks == 1 ? height / 2 : height * (b.bank(n) == 0 ? 0.27 : 0.73);
      pen.circle(palette.panel(), x, y, r);
      pen.text(String.valueOf(n), palette.soft(), TextAlignment.CENTER, x - r - 7, y - r + 8);
      if (valves) {
        spots.add(new Spot(n, Side.INTAKE, x - 0.42 * r, y, 0.48 * r));
        spots.add(new Spot(n, Side.EXHAUST, x + 0.5 * r, y, 0.38 * r));
      } else if (measurement.isTwoSided()) {
        spots.add(new Spot(n, Side.THRUST, x, y - 0.5 * r, 0.38 * r));
        spots.add(new Spot(n, Side.OPPOSITE, x, y + 0.5 * r, 0.38 * r));
        pen.axis(x - r, y, x + r, y);
      } else {
        spots.add(new Spot(n, Side.NONE, x, y, 0.7 * r));
      }
    }
  }

  private void mark(Pen pen, Palette palette, Spot s) {
    boolean waits = s.place == place && s.side == side;
    boolean read =
        measurement.isTwoSided()
            ? ledger.readings().side(measurement, s.place, s.side).isPresent()
            : ledger.value(measurement, s.place, s.side, UnitSystem.US).isPresent();
    var verdict =
        measurement.isTwoSided()
            ? java.util.Optional.<Band.Verdict>empty()
            : ledger.verdict(measurement, s.place, s.side);
    Color fill = waits ? palette.dye() : read ? palette.straw() : palette.panel();
    double r = 0.8 * s.r;
    if (doubts.stream().anyMatch(d -> d.isAbout(measurement, s.place, s.side))) {
      pen.circle(palette.panel(), s.x, s.y, r);
      double d = 0.5 * r;
      pen.line(palette.power(), 2.5, s.x - d, s.y - d, s.x + d, s.y + d);
      pen.line(palette.power(), 2.5, s.x - d, s.y + d, s.x + d, s.y - d);
    } else if (!waits && verdict.isPresent() && verdict.get().isOutside()) {
      // The point shows the way: up is too wide, down too tight.
      double up = verdict.get() == Band.Verdict.WIDE ? 1 : -1;
      pen.outline(
          palette.power(),
          s.x - r,
          s.y + 0.6 * up * r,
          s.x + r,
          s.y + 0.6 * up * r,
          s.x,
          s.y - up * r);
    } else {
      pen.circle(fill, s.x, s.y, r);
    }
    if (waits) {
      pen.ghostCircle(s.x, s.y, s.r + 3);
    }
  }
}
