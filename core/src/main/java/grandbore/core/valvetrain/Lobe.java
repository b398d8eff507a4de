package grandbore.core.valvetrain;

import grandbore.core.combination.Combination;
import grandbore.core.combination.LiftTable;
import grandbore.core.combination.Provenance;
import java.util.ArrayList;
import org.hipparchus.analysis.solvers.BisectionSolver;

/** Tappet lift over crank angle, the nose at zero. */
public sealed interface Lobe permits PolydyneLobe, MeasuredLobe {
  /** Tappet lift at which the trade states duration, m. */
  double CHECKING_LIFT = 1.27e-3;

  /** Tappet lift from which seat duration counts, m. */
  double SEAT_LIFT = 0.1524e-3;

  /** A flank's angle is found to this, rad: by halving, because a measured ramp may be uneven. */
  double ANGLE_FOUND = 1e-12;

  /** More halvings than that takes. */
  int MOST_TRIES = 100;

  /** Tappet lift, m, at a crank angle from the nose. */
  double lift(double angle);

  /** Crank angle from where the tappet first moves to the nose, rad. */
  double opening();

  /** Lift at the nose, m. */
  double peak();

  /** Crank angle for which the tappet stands above a lift, rad; zero where it never does. */
  default double duration(double above) {
    return above >= peak() ? 0 : flank(above, 1) + flank(above, -1);
  }

  /** From the nose to where one flank comes down to a lift. */
  private double flank(double above, int side) {
    return new BisectionSolver(ANGLE_FOUND)
        .solve(MOST_TRIES, angle -> lift(side * angle) - above, 0, opening() + 0.6);
  }

  /** The lobe as a table, a row every two crank degrees from where it begins to where it ends. */
  default LiftTable table(Provenance from) {
    var rows = new ArrayList<LiftTable.Row>();
    int reach = (int) Math.ceil(Math.toDegrees(opening()) / 2);
    for (int i = -reach; i <= reach; i++) {
      double angle = Math.toRadians(2 * i);
      rows.add(new LiftTable.Row(angle, lift(angle)));
    }
    return new LiftTable(from, rows);
  }

  /** The intake's lobe. */
  static Lobe intake(Combination c) {
    var cam = c.cam();
    return of(
        cam.intakeTable(),
        cam.intakeLobeLift().si(),
        cam.intakeDuration().si(),
        cam.intakeSeat().si());
  }

  /** The exhaust's lobe. */
  static Lobe exhaust(Combination c) {
    var cam = c.cam();
    return of(
        cam.exhaustTable(),
        cam.exhaustLobeLift().si(),
        cam.exhaustDuration().si(),
        cam.exhaustSeat().si());
  }

  /** The measured lobe where there is one, else one made from the card. */
  private static Lobe of(LiftTable table, double lift, double duration, double seatDuration) {
    return table.isGiven()
        ? new MeasuredLobe(table)
        : new PolydyneLobe(lift, duration, seatDuration);
  }
}
