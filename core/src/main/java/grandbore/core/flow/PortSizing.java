package grandbore.core.flow;

import grandbore.core.combination.Combination;
import grandbore.core.combination.FlowSheet;
import grandbore.core.valvetrain.ValveLift;
import grandbore.core.valvetrain.ValveMotion;

/** Whether valves and ports are large enough for an engine and its speed. */
public final class PortSizing {
  /** Filling falls from here on: C. F. Taylor, volume 1, chapter 6, from memory. */
  public static final double LIMIT = 0.6;

  private static final int ROWS = 1440;

  private PortSizing() {}

  /**
   * Mean flow coefficient of the intake valve over its opening, of the valve's own area: effective
   * area from the flow sheet over π/4 × diameter², all valves of a cylinder.
   */
  public static double meanCoefficient(Combination c) {
    var h = c.heads();
    var curve = new FlowCurve(h.intakeFlow());
    ValveLift lift = ValveMotion.intake(c).still();
    double sum = 0;
    int open = 0;
    for (int i = 0; i < ROWS; i++) {
      double l = lift.at(4 * Math.PI * i / ROWS);
      if (l > 0) {
        sum += curve.at(l);
        open++;
      }
    }
    return sum / open / valveArea(c);
  }

  private static double valveArea(Combination c) {
    double d = c.heads().intakeValve().si();
    return c.heads().intakeValves() * Math.PI / 4 * d * d;
  }

  /**
   * Inlet Mach index: piston area × mean piston speed over valve area × coefficient × sound speed.
   */
  public static double machIndex(Combination c, double speed) {
    double piston = c.bottomEnd().stroke().si() * speed / Math.PI;
    double sound = Math.sqrt(1.4 * 287.05 * c.weather().temperature().si());
    return c.bottomEnd().boreArea() * piston / (valveArea(c) * meanCoefficient(c) * sound);
  }

  /** Crank speed at which the index comes to its limit, rad/s. */
  public static double limitingSpeed(Combination c) {
    return LIMIT / machIndex(c, 1);
  }

  /** Mean speed in the intake port while the piston draws, m/s. */
  public static double portSpeed(Combination c, double speed) {
    double piston = c.bottomEnd().stroke().si() * speed / Math.PI;
    return piston * c.bottomEnd().boreArea() / c.heads().intakePortArea();
  }

  /** Discharge coefficient of a row: effective area over the section its valves leave open. */
  public static double discharge(
      FlowSheet sheet, FlowSheet.Row row, int valves, ValvePassage valve) {
    return FlowCurve.effectiveArea(row.flow(), sheet.depression())
        / (valves * valve.area(row.lift()));
  }

  /**
   * The same combination with intake valves larger by a share, its ports flowing as much better.
   */
  public static Combination largerValve(Combination c, double share) {
    var h = c.heads();
    var sheet = h.intakeFlow();
    double more = (1 + share) * (1 + share);
    var rows =
        sheet.rows().stream()
            .map(r -> new FlowSheet.Row(r.lift() * (1 + share), r.flow() * more))
            .toList();
    return c.with("heads.intakeFlow", sheet.with(rows))
        .with(
            "heads.intakeValve",
            h.intakeValve().with(h.intakeValve().si() * (1 + share), h.intakeValve().provenance()));
  }

  /**
   * The same combination with an intake port of another section, its length and sheet as they are.
   */
  public static Combination portSection(Combination c, double share) {
    var v = c.heads().intakePortVolume();
    return c.with("heads.intakePortVolume", v.with(v.si() * (1 + share), v.provenance()));
  }
}
