package grandbore.core.flow;

import grandbore.core.combination.Boost;
import grandbore.core.combination.Combination;
import grandbore.core.combination.Exhaust;
import grandbore.core.combination.Intake;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * The way of the gas through the engine to one cylinder and from it to the tail, straightened:
 * pieces in its order, the cylinder between {@link #intake} and {@link #exhaust}.
 *
 * @param intake from the air to the intake valve
 * @param exhaust from the exhaust valve to the open air
 */
public record GasPath(List<Piece> intake, List<Piece> exhaust) {
  /** Room that a compressor, cooler or turbine takes on the path; no input says it. */
  private static final double MACHINE_LENGTH = 0.16;

  private static final double MACHINE_WIDTH = 0.18;

  /** What a piece is. */
  public enum Part {
    COMPRESSOR,
    COOLER,
    DUCT,
    AIR_BOX,
    THROTTLE,
    SPACER,
    PLENUM,
    RUNNER,
    INTAKE_PORT,
    EXHAUST_PORT,
    PRIMARY,
    SECONDARY,
    COLLECTOR,
    TAIL,
    TURBINE,
    SILENCER
  }

  /**
   * A piece of it.
   *
   * @param length m; a plenum's and a silencer's is the side of a cube of its volume
   * @param entry clear width where the gas comes in, m: the diameter of a circle of its section
   * @param exit clear width where the gas goes out, m
   * @param toScale whether inputs say its size; else it is drawn as usual
   */
  public record Piece(Part part, double length, double entry, double exit, boolean toScale) {
    /** Section at a share of its length, m², the diameter running straight. */
    public double area(double share) {
      double d = entry + share * (exit - entry);
      return Math.PI / 4 * d * d;
    }
  }

  public GasPath {
    intake = List.copyOf(intake);
    exhaust = List.copyOf(exhaust);
  }

  /**
   * Of one cylinder.
   *
   * @param cylinder its number
   */
  public static GasPath of(Combination c, int cylinder) {
    return new GasPath(intake(c, cylinder), exhaust(c));
  }

  private static List<Piece> intake(Combination c, int cylinder) {
    var in = c.intake();
    var all = new ArrayList<Piece>();
    if (c.boost().isFitted()) {
      all.add(machine(Part.COMPRESSOR));
      if (c.boost().cooling().si() > 0) {
        all.add(machine(Part.COOLER));
      }
    }
    if (in.airBox().isKnown()) {
      all.add(round(Part.DUCT, in.ductLength().si(), width(in.ductSection().si())));
      all.add(cube(Part.AIR_BOX, in.airBox().si()));
    }
    double throttle = width(ThrottleSection.each(in));
    all.add(
        new Piece(
            Part.THROTTLE,
            in.throttleLength().si(),
            throttle,
            throttle,
            in.throttleSection().isKnown()));
    if (in.manifold() != Intake.Manifold.INDIVIDUAL) {
      if (in.spacerHeight().isKnown()) {
        double opening = width(in.spacerOpening().si());
        all.add(new Piece(Part.SPACER, in.spacerHeight().si(), opening, opening, true));
      }
      int planes = in.manifold() == Intake.Manifold.DUAL_PLANE ? 2 : 1;
      double wide = width(in.plenumVolume().si() / in.boxLength().si());
      all.add(
          in.isBox()
              ? new Piece(Part.PLENUM, in.boxLength().si(), wide, wide, true)
              : cube(Part.PLENUM, in.plenumVolume().si() / planes));
    }
    all.add(
        new Piece(
            Part.RUNNER,
            in.runnerLength(cylinder),
            width(in.runnerEntry().si()),
            width(in.runnerExit().si()),
            true));
    double port = width(c.heads().intakePortArea());
    all.add(new Piece(Part.INTAKE_PORT, c.heads().intakePortLength().si(), port, port, true));
    return all;
  }

  private static List<Piece> exhaust(Combination c) {
    var x = c.exhaust();
    var all = new ArrayList<Piece>();
    double port = width(c.heads().exhaustPortArea());
    all.add(new Piece(Part.EXHAUST_PORT, c.heads().exhaustPortLength().si(), port, port, true));
    all.add(round(Part.PRIMARY, x.primaryLength().si(), x.primaryDiameter().si()));
    if (x.kind() == Exhaust.Kind.STEPPED) {
      all.add(round(Part.SECONDARY, x.secondaryLength().si(), x.secondaryDiameter().si()));
    }
    all.add(round(Part.COLLECTOR, x.collectorLength().si(), x.collectorDiameter().si()));
    if (x.outlet() == Exhaust.Outlet.SYSTEM || x.balance() == Exhaust.Balance.PIPE) {
      all.add(round(Part.TAIL, x.tailLength().si(), x.collectorDiameter().si()));
    }
    if (c.boost().kind() == Boost.Kind.TURBOCHARGER) {
      all.add(machine(Part.TURBINE));
    }
    if (x.outlet() == Exhaust.Outlet.SYSTEM) {
      all.add(cube(Part.SILENCER, x.silencerVolume().si()));
    }
    return all;
  }

  private static Piece machine(Part part) {
    return new Piece(part, MACHINE_LENGTH, MACHINE_WIDTH, MACHINE_WIDTH, false);
  }

  private static Piece cube(Part part, double volume) {
    double side = Math.cbrt(volume);
    return new Piece(part, side, side, side, true);
  }

  private static Piece round(Part part, double length, double diameter) {
    return new Piece(part, length, diameter, diameter, true);
  }

  private static double width(double area) {
    return Math.sqrt(4 * area / Math.PI);
  }

  /** Of all pieces on one side, m. */
  public static double length(List<Piece> pieces) {
    return pieces.stream().mapToDouble(Piece::length).sum();
  }

  /** A piece; empty where the engine has none such. */
  public Optional<Piece> find(Part part) {
    var all = new ArrayList<>(intake);
    all.addAll(exhaust);
    return all.stream().filter(p -> p.part() == part).findFirst();
  }
}
