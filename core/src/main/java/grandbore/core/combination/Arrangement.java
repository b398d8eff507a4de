package grandbore.core.combination;

import grandbore.core.combination.BottomEnd.Layout;
import grandbore.core.combination.BottomEnd.Numbering;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Arrangements of cylinders that are usually built, with an ordinary firing order each (common
 * practice, no source). Odd numbers stand on one bank and even numbers on the other.
 */
public enum Arrangement {
  SINGLE("Single", Layout.INLINE, List.of(1)),
  TWIN_360("Twin, 360° crank", Layout.INLINE, List.of(1, 2)),
  TWIN_180("Twin, 180° crank", Layout.INLINE, List.of(1, 2), 180, 540),
  VEE_TWIN_90("V-twin, 90°", Layout.VEE, List.of(1, 2), 270, 450),
  VEE_TWIN_45("V-twin, 45°", Layout.VEE, List.of(1, 2), 315, 405),
  INLINE_3("In-line three", Layout.INLINE, List.of(1, 3, 2)),
  INLINE_4("In-line four", Layout.INLINE, List.of(1, 3, 4, 2)),
  INLINE_5("In-line five", Layout.INLINE, List.of(1, 2, 4, 5, 3)),
  INLINE_6("In-line six", Layout.INLINE, List.of(1, 5, 3, 6, 2, 4)),
  VEE_6("V6", Layout.VEE, List.of(1, 2, 3, 4, 5, 6)),
  VEE_6_ODD("V6, uneven", Layout.VEE, List.of(1, 6, 5, 4, 3, 2), 150, 90, 150, 90, 150, 90),
  VEE_8_CROSS("V8, cross-plane", Layout.VEE, List.of(1, 8, 4, 3, 6, 5, 7, 2)),
  VEE_8_FLAT("V8, flat-plane", Layout.VEE, List.of(1, 8, 5, 4, 7, 2, 3, 6)),
  VEE_10("V10", Layout.VEE, List.of(1, 10, 9, 4, 3, 6, 5, 8, 7, 2)),
  VEE_12("V12", Layout.VEE, List.of(1, 12, 5, 8, 3, 10, 11, 2, 7, 6, 9, 4)),
  FLAT_4("Flat four", Layout.FLAT, List.of(1, 3, 2, 4)),
  FLAT_6("Flat six", Layout.FLAT, List.of(1, 6, 3, 2, 5, 4));

  private final String label;
  private final Layout layout;
  private final List<Integer> order;
  private final List<Double> intervals;

  Arrangement(String label, Layout layout, List<Integer> order, double... intervals) {
    this.label = label;
    this.layout = layout;
    this.order = order;
    this.intervals = Arrays.stream(intervals).boxed().toList();
  }

  public String label() {
    return label;
  }

  public Layout layout() {
    return layout;
  }

  public int cylinders() {
    return order.size();
  }

  /** The arrangement of a bottom end, where it is one of these. */
  public static Optional<Arrangement> of(BottomEnd b) {
    return Arrays.stream(values())
        .filter(
            a ->
                a.layout == b.layout()
                    && a.order.equals(b.firingOrder())
                    && a.intervals.equals(b.firingIntervals()))
        .findFirst();
  }

  private static Given angle(PartSizes fits, double rad) {
    return fits.bankAngle().with(rad, Provenance.ASSUMED);
  }

  /** Angle between two banks in a vee at which this arrangement is usually built. */
  private double bankDegrees() {
    return switch (this) {
      case VEE_TWIN_45 -> 45;
      case VEE_TWIN_90, VEE_6_ODD, VEE_8_CROSS, VEE_8_FLAT -> 90;
      case VEE_6, VEE_12 -> 60;
      case VEE_10 -> 72;
      default -> 0;
    };
  }

  /** A combination arranged so; what no longer fits it is taken back to the plain choice. */
  public Combination of(Combination c) {
    var b = c.bottomEnd();
    var bottom =
        Specs.construct(
            BottomEnd.class,
            layout,
            order.size(),
            order,
            intervals,
            Numbering.ALTERNATING,
            b.bore(),
            b.stroke(),
            b.rodLength(),
            b.blockDeck(),
            b.pinHeight(),
            b.pinOffset(),
            b.mainJournal(),
            b.rodJournal());
    int bank = order.size() / bottom.banks();
    var x = c.exhaust();
    if (bottom.banks() < 2) {
      x = Specs.rebuild(x, "balance", Exhaust.Balance.NONE);
    }
    if (x.kind() == Exhaust.Kind.STEPPED && (bank < 4 || bank % 2 != 0)) {
      x = Specs.rebuild(x, "kind", Exhaust.Kind.HEADERS);
    }
    var in = Specs.rebuild(c.intake(), "runnerChanges", List.of());
    if (in.manifold() == Intake.Manifold.DUAL_PLANE
        && (order.size() < 4 || order.size() % 2 != 0)) {
      in = Specs.rebuild(in, "manifold", Intake.Manifold.PLENUM);
    }
    var heads = Specs.rebuild(c.heads(), "intakeShares", List.of());
    heads = Specs.rebuild(heads, "exhaustShares", List.of());
    var turned = c.partSizes();
    if (layout == Layout.FLAT) {
      turned = Specs.rebuild(turned, "bankAngle", angle(turned, Math.PI));
    } else if (bankDegrees() > 0) {
      turned = Specs.rebuild(turned, "bankAngle", angle(turned, Math.toRadians(bankDegrees())));
    }
    return Specs.changed(
        c,
        Map.of(
            "bottomEnd",
            bottom,
            "partSizes",
            turned,
            "heads",
            heads,
            "intake",
            in,
            "exhaust",
            x,
            "mixture",
            Specs.rebuild(c.mixture(), "byCylinder", List.of())));
  }
}
