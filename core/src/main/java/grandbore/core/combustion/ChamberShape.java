package grandbore.core.combustion;

/**
 * The room above a piston as simple solids: the head's side, a gap between the flats of head and
 * crown, and a dish or a dome. The plug lies on the x axis, a wedge's thick end with it.
 *
 * @param bore m
 * @param headVolume of the chamber in the head, m³
 * @param crownVolume of a dish, m³; of a dome, negative
 * @param gap between the flats at top centre, m
 * @param planArea of the chamber's outline on the head's face, m²
 * @param plugOffset of the plug from the bore's axis, m
 * @param plugs one, or two across from one another
 */
public record ChamberShape(
    ChamberForm form,
    double bore,
    double headVolume,
    double crownVolume,
    double gap,
    double planArea,
    double plugOffset,
    int plugs) {
  /** Of the bore's area, where nobody measured the outline: wedge and bathtub have a quench. */
  private static final double USUAL_PLAN = 0.62;

  /** Depth at a wedge's thin end over that at its thick end. */
  private static final double THIN_END = 0.3;

  /** Across a dish or a dome over the bore. */
  private static final double DISH = 0.75;

  /** What a dome may fill of the chamber above it. */
  private static final double MOST_FILLED = 0.85;

  /** The gap of a plug stands so far in the chamber, m. */
  private static final double REACH = 0.004;

  private static final double LEAST_GAP = 0.0003;

  /**
   * Plug off the bore's middle in a usual two-valve chamber, as a share of the bore: a 14 mm plug
   * that clears two valves which fill a four-inch bore stands so far off their line (geometry).
   */
  private static final double USUAL_PLUG = 0.17;

  /** Either of two plugs off the middle: halfway to the wall. */
  private static final double USUAL_PAIR = 0.25;

  /**
   * A chamber with what nobody stated as it usually is.
   *
   * @param planArea zero where it is not known
   * @param plugOffset zero where it is not known
   */
  public static ChamberShape of(
      ChamberForm form,
      int valves,
      double bore,
      double headVolume,
      double crownVolume,
      double gap,
      double planArea,
      double plugOffset,
      int plugs) {
    var solid = form.over(valves);
    double all = Math.PI / 4 * bore * bore;
    boolean quenched = solid == ChamberForm.WEDGE || solid == ChamberForm.BATHTUB;
    double plan = !quenched ? all : planArea > 0 ? planArea : USUAL_PLAN * all;
    double usual = valves > 2 || solid == ChamberForm.PENT_ROOF ? 0 : USUAL_PLUG * bore;
    double offset = plugOffset > 0 ? plugOffset : plugs > 1 ? USUAL_PAIR * bore : usual;
    return new ChamberShape(
        solid,
        bore,
        headVolume,
        crownVolume,
        Math.max(LEAST_GAP, gap),
        Math.clamp(plan, 0.3 * all, all),
        Math.min(offset, 0.45 * bore),
        plugs);
  }

  double boreArea() {
    return Math.PI / 4 * bore * bore;
  }

  /** Volume with the piston so far below its top, m³. */
  double volume(double depth) {
    return headVolume + crownVolume + (gap + depth) * boreArea();
  }

  /** What its flats squeeze out. */
  public SquishJet squish() {
    var solid = new Solid();
    double chord = 2 * Math.sqrt(Math.max(0, 0.25 * bore * bore - solid.edge * solid.edge));
    return new SquishJet(boreArea() - planArea, chord, gap, boreArea());
  }

  /** Its surfaces, with what is worked out once. */
  final class Solid {
    private final double radius = 0.5 * bore;

    /** Where a wedge's or a bathtub's outline begins, along x. */
    private final double edge = edge();

    private final double depth = depth();
    private final double dish = DISH * radius;
    private final boolean domed = crownVolume < 0 && headVolume > 0;
    private final double filled = domed ? Math.min(MOST_FILLED, -crownVolume / headVolume) : 0;
    private final double dished = crownVolume > 0 ? crownVolume / (Math.PI * dish * dish) : 0;

    /** Height of the roof over the head's face, m. */
    double roof(double x, double y) {
      return switch (form) {
        case WEDGE -> x < edge ? 0 : depth * (THIN_END + (1 - THIN_END) * along(x));
        case BATHTUB -> x < edge ? 0 : depth;
        case HEMISPHERE -> depth * Math.max(0, 1 - (x * x + y * y) / (radius * radius));
        case PENT_ROOF -> depth * Math.max(0, 1 - Math.abs(x) / radius);
        default -> depth;
      };
    }

    /** Height of the plug's gap over the head's face, m. */
    double plugHeight() {
      double roof = roof(plugOffset, 0);
      return roof - Math.min(REACH, 0.5 * (roof + gap));
    }

    /** Height of the crown over its flat, m; negative in a dish. */
    double crown(double x, double y) {
      return domed ? filled * roof(x, y) : dished > 0 && x * x + y * y < dish * dish ? -dished : 0;
    }

    private double along(double x) {
      return (x - edge) / (radius - edge);
    }

    /** Where a segment of the outline's area begins: bisection. */
    private double edge() {
      double low = -radius;
      double high = radius;
      for (int k = 0; k < 60; k++) {
        double at = 0.5 * (low + high);
        double t = at / radius;
        double beyond = radius * radius * (Math.acos(t) - t * Math.sqrt(1 - t * t));
        if (beyond > planArea) {
          low = at;
        } else {
          high = at;
        }
      }
      return low;
    }

    /** Depth that gives the head's volume, m. */
    private double depth() {
      return switch (form) {
        case WEDGE -> headVolume / wedgeArea();
        case BATHTUB -> headVolume / planArea;
        case HEMISPHERE -> 2 * headVolume / boreArea();
        // Of 1 − |x|/R over a circle: π R² − (4/3) R².
        case PENT_ROOF -> headVolume / (radius * radius * (Math.PI - 4.0 / 3));
        default -> headVolume / boreArea();
      };
    }

    /** Volume of a wedge of depth one, by the chords across it. */
    private double wedgeArea() {
      int rows = 400;
      double sum = 0;
      double dx = (radius - edge) / rows;
      for (int k = 0; k < rows; k++) {
        double x = edge + (k + 0.5) * dx;
        sum += 2 * Math.sqrt(radius * radius - x * x) * (THIN_END + (1 - THIN_END) * along(x)) * dx;
      }
      return sum;
    }
  }
}
