package grandbore.core.clearances;

import grandbore.core.clearances.Application.Wear;
import grandbore.core.combination.Combination;
import grandbore.core.combination.PartSizes;
import grandbore.core.units.Quantity;
import grandbore.core.units.UnitSystem;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/**
 * The bands of one engine: its maker's figures, else common practice for the use, else the shop's
 * own rules. Practice's figures have no source; those for ring lands, guides, cam, gears, pump and
 * plugs come from memory.
 */
public final class Bands {
  private static final double INCH = 0.0254;
  private static final double OPEN = Double.POSITIVE_INFINITY;

  /** A ring gap has a least value; this much above it still seals. */
  private static final double WIDEST_GAP = 1.35;

  private final Combination c;
  private final Application application;
  private final List<Rule> rules;

  /**
   * @param rules makers' figures and the shop's own, the latest last
   */
  public Bands(Combination c, Application application, List<Rule> rules) {
    this.c = c;
    this.application = application;
    this.rules = List.copyOf(rules);
  }

  /** Whether racing's bands hold for a use. */
  public static boolean isRace(Application application) {
    return application.wear() != Wear.STREET;
  }

  /** The band that counts, where there is one. */
  public Optional<Band> of(Measurement m, Reading.Side side) {
    return all(m, side).stream().findFirst();
  }

  /** Every school's band, the one that counts first. */
  public List<Band> all(Measurement m, Reading.Side side) {
    var found = new ArrayList<Band>();
    said(m, side, Band.Source.MAKER).ifPresent(found::add);
    found.addAll(practice(m, side));
    said(m, side, Band.Source.HOUSE).ifPresent(found::add);
    return found;
  }

  private Optional<Band> said(Measurement m, Reading.Side side, Band.Source source) {
    return rules.stream()
        .filter(r -> r.measurement() == m && r.side() == side && r.source() == source)
        .reduce((a, b) -> b)
        .map(r -> r.band(c.bottomEnd().bore().si()));
  }

  private List<Band> practice(Measurement m, Reading.Side side) {
    var b = c.bottomEnd();
    boolean street = application.wear() == Wear.STREET;
    boolean intake = side == Reading.Side.INTAKE;
    boolean aluminium = c.partSizes().rodMaterial() == PartSizes.RodMaterial.ALUMINIUM;
    return switch (m) {
      case MAIN_BEARING -> List.of(bearing(b.mainJournal().si(), street));
      case ROD_BEARING -> List.of(bearing(b.rodJournal().si(), street));
      case CRANK_END_PLAY -> inches(0.004, 0.008, "");
      case ROD_SIDE ->
          b.layout() == grandbore.core.combination.BottomEnd.Layout.VEE
              ? inches(street ? 0.010 : 0.014, street ? 0.020 : 0.022, "a pair of steel rods")
              : List.of();
      case ROD_FILLET -> inches(0.010, OPEN, "so that the shell's edge never rides the radius");
      case PISTON_WALL -> List.of(pistonWall(street));
      case TOP_RING_GAP -> List.of(gap(byWear(0.0045, 0.0050, 0.0063), ""));
      case SECOND_RING_GAP ->
          List.of(
              gap(
                  byWear(0.0050, 0.0055, 0.0068),
                  "larger than the top's, so that no pressure" + " lifts the top ring: "),
              gap(byWear(0.0040, 0.0045, 0.0057), "older school, smaller than the top's: "));
      case RING_SIDE -> inches(0.0010, street ? 0.0030 : 0.0020, "");
      case QUENCH ->
          aluminium
              ? inches(0.045, 0.060, "aluminium rods grow and stretch")
              : inches(street ? 0.035 : 0.030, 0.045, "steel rods");
      case VALVE_TO_PISTON -> {
        double more = aluminium ? 0.030 : 0;
        yield inches(
            (intake ? street ? 0.100 : 0.080 : street ? 0.120 : 0.100) + more,
            OPEN,
            aluminium ? "0.030 in more for aluminium rods" : "");
      }
      case VALVE_POCKET -> inches(street ? 0.050 : 0.040, OPEN, "all around");
      case VALVE_GUIDE ->
          intake ? inches(0.0010, 0.0025, "") : inches(0.0015, 0.0030, "it runs hotter");
      case COIL_BIND -> inches(street ? 0.060 : 0.050, OPEN, "at full lift");
      case RETAINER -> inches(0.050, OPEN, "at full lift");
      case ROCKER -> inches(0.030, OPEN, "through the whole lift");
      case CAM_END_PLAY -> inches(0.004, 0.010, "");
      case BACKLASH -> inches(0.001, 0.006, "");
      case GEAR_MESH -> inches(0.003, 0.010, "");
      case PUMP_END -> inches(0.001, 0.003, "");
      case PUMP_SIDE -> inches(0.002, 0.006, "");
      case PLUG_TO_PISTON -> inches(0.050, OPEN, "strap and threads, at top centre");
      case LASH -> lash(intake);
      default -> List.of();
    };
  }

  private double byWear(double street, double race, double boost) {
    return switch (application.wear()) {
      case STREET -> street;
      case RACE -> race;
      case BOOST -> boost;
    };
  }

  private static List<Band> inches(double least, double most, String rule) {
    return List.of(new Band(least * INCH, most * INCH, rule, Band.Source.PRACTICE));
  }

  /** The cam's own lash, as its card says it, give and take a thou. */
  private List<Band> lash(boolean intake) {
    double lash = (intake ? c.valveTrain().intakeLash() : c.valveTrain().exhaustLash()).si();
    return lash == 0
        ? List.of()
        : List.of(
            new Band(
                Math.max(0, lash - 0.001 * INCH),
                lash + 0.001 * INCH,
                "the card's lash, a thou either way",
                Band.Source.PRACTICE));
  }

  private static Band bearing(double journal, boolean street) {
    double low = street ? 0.0008 : 0.0010;
    double high = street ? 0.0010 : 0.0013;
    return new Band(
        low * journal,
        high * journal,
        "%s to %s for each inch of a %s journal"
            .formatted(thou(low), thou(high), Quantity.LENGTH.show(journal, UnitSystem.US)),
        Band.Source.PRACTICE);
  }

  /** Stated at a bore of 4 in; goes with the bore. */
  private Band pistonWall(boolean street) {
    var material = c.partSizes().pistonMaterial();
    double[] at =
        switch (material) {
          case HYPEREUTECTIC -> new double[] {0.0015, 0.0025};
          case FORGED_LOW_EXPANSION ->
              street ? new double[] {0.0025, 0.0035} : new double[] {0.0030, 0.0040};
          case FORGED_HIGH_TOUGHNESS ->
              street ? new double[] {0.0035, 0.0045} : new double[] {0.0045, 0.0060};
        };
    double scale = c.bottomEnd().bore().si() / (4 * INCH) * INCH;
    return new Band(
        at[0] * scale,
        at[1] * scale,
        "%s to %s at a 4 in bore, %s, gone with the bore"
            .formatted(
                thou(at[0]),
                thou(at[1]),
                material.name().toLowerCase(Locale.ROOT).replace('_', ' ')),
        Band.Source.PRACTICE);
  }

  private Band gap(double factor, String school) {
    double bore = c.bottomEnd().bore().si();
    return new Band(
        factor * bore,
        WIDEST_GAP * factor * bore,
        "%sat least %s for each inch of a %s bore"
            .formatted(school, thou(factor), Quantity.LENGTH.show(bore, UnitSystem.US)),
        Band.Source.PRACTICE);
  }

  private static String thou(double perInch) {
    return String.format(Locale.ROOT, "%.4f in", perInch);
  }

  /** How far the places may differ among themselves, where practice says. */
  public static Optional<Double> spreadAllowed(Measurement m, Application application) {
    boolean street = application.wear() == Wear.STREET;
    return switch (m) {
      case DECK -> Optional.of(street ? 0.004 * INCH : 0.002 * INCH);
      case CHAMBER -> Optional.of(street ? 1e-6 : 0.5e-6);
      default -> Optional.empty();
    };
  }
}
