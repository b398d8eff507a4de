package grandbore.desktop.drawing;

import grandbore.core.combination.Combination;
import grandbore.core.mechanics.Balance;
import grandbore.desktop.look.Palette;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.stream.IntStream;
import javafx.scene.text.TextAlignment;

/**
 * The crank along its length, to one scale, at a crank angle: mains, throws, cheeks with their
 * counterweights. Widths that no input says share the bore spacing in usual parts.
 */
public final class CrankAlong {
  /** Of the room from one throw to the next: pin, main bearing; the rest is two cheeks. */
  private static final double PIN = 0.4;

  private static final double MAIN = 0.28;

  /** A counterweight's fan, half of it, rad. */
  private static final double FAN = Math.toRadians(70);

  private static final double FRAME = 20;

  /**
   * One throw.
   *
   * @param middle of its pin along the crank, m from the crank's middle, toward the back
   * @param up of its pin over the crank's axis, m
   * @param cylinders whose rods are on it
   */
  public record Throw(double middle, double up, List<Integer> cylinders) {}

  private final Combination c;
  private final Balance balance;

  public CrankAlong(Combination c, Balance balance) {
    this.c = c;
    this.balance = balance;
  }

  /** All throws from the front, at a crank angle after cylinder one's top centre, rad. */
  public List<Throw> throwsAt(double angle) {
    double radius = c.bottomEnd().stroke().si() / 2;
    int rods = Balance.rodsOnThrow(c);
    var along =
        IntStream.rangeClosed(1, c.bottomEnd().cylinders())
            .boxed()
            .sorted(Comparator.comparingDouble(balance::place))
            .toList();
    var all = new ArrayList<Throw>();
    for (int i = 0; i < along.size(); i += rods) {
      var here = along.subList(i, Math.min(i + rods, along.size()));
      double middle = here.stream().mapToDouble(balance::place).average().orElse(0);
      double up = radius * Math.cos(balance.throwAt(here.getFirst(), angle));
      all.add(new Throw(middle, up, List.copyOf(here)));
    }
    return List.copyOf(all);
  }

  /** Draws it into a box of so many pixels. */
  void draw(Pen pen, Palette palette, double angle, double x, double y, double w, double h) {
    var b = c.bottomEnd();
    var all = throwsAt(angle);
    double step = step(all);
    var known = c.partSizes().journalWidth();
    double pin = known.isKnown() ? Math.min(known.si(), 0.6 * step) : PIN * step;
    double main = MAIN * step;
    double cheek = Math.max(0.04 * step, (step - pin - main) / 2);
    double radius = b.stroke().si() / 2;
    var fitted = c.partSizes().counterweightRadius();
    double weight = fitted.isKnown() ? fitted.si() : 1.8 * radius;
    double high = Math.max(weight, radius + b.rodJournal().si());
    double length = (all.size() - 1) * step + pin + 2 * cheek + 2 * main;
    double scale = Math.min((w - 2 * FRAME) / length, (h - 2 * FRAME) / (2 * high));
    double cx = x + w / 2;
    double axis = y + h / 2;
    double mainHalf = b.mainJournal().si() / 2 * scale;
    pen.axis(cx - length * scale / 2 - 8, axis, cx + length * scale / 2 + 8, axis);
    int every = every(all.size(), b.mains());
    for (int k = 0; k <= all.size(); k++) {
      if (k % every == 0 || k == all.size()) {
        double at = cx + ((k - all.size() / 2.0) * step - main / 2) * scale;
        pen.box(palette.metal(), at, axis - mainHalf, main * scale, 2 * mainHalf);
      }
    }
    double pinHalf = b.rodJournal().si() / 2 * scale;
    for (var t : all) {
      double at = cx + t.middle() * scale;
      double pinY = axis - t.up() * scale;
      double half = pin / 2 * scale;
      double[] ends = cheek(t.up() / radius, radius, weight, 0.6 * b.rodJournal().si());
      for (double left : new double[] {at - half - cheek * scale, at + half}) {
        pen.box(
            palette.panel(),
            left,
            axis - ends[1] * scale,
            cheek * scale,
            (ends[1] - ends[0]) * scale);
      }
      pen.box(palette.metal(), at - half, pinY - pinHalf, 2 * half, 2 * pinHalf);
      pen.text(
          String.join(" ", t.cylinders().stream().map(String::valueOf).toList()),
          palette.ink(),
          TextAlignment.CENTER,
          at,
          pinY);
    }
  }

  /** From one throw to the next, m. */
  private double step(List<Throw> all) {
    return all.size() < 2
        ? c.partSizes().boreSpacing().si()
        : (all.getLast().middle() - all.getFirst().middle()) / (all.size() - 1);
  }

  /** Throws from one main bearing to the next. */
  private static int every(int crankpins, int mains) {
    return Math.max(1, (int) Math.rint((double) crankpins / Math.max(1, mains - 1)));
  }

  /**
   * How far a cheek with its counterweight reaches under and over the axis, m, as it is seen from
   * the side.
   *
   * @param up cosine of the throw from upright
   */
  private static double[] cheek(double up, double radius, double weight, double round) {
    double angle = Math.acos(Math.clamp(up, -1, 1));
    double low = Math.min(0, radius * up) - round;
    double high = Math.max(0, radius * up) + round;
    for (int i = -8; i <= 8; i++) {
      double y = -weight * Math.cos(angle + FAN * i / 8);
      low = Math.min(low, y);
      high = Math.max(high, y);
    }
    return new double[] {low, high};
  }
}
