package grandbore.core.topend;

import grandbore.core.build.Build;
import grandbore.core.checks.Check;
import grandbore.core.checks.Check.Verdict;
import grandbore.core.checks.CheckList;
import grandbore.core.combination.Cam;
import grandbore.core.combination.Combination;
import grandbore.core.combination.Degreed;
import grandbore.core.combination.Given;
import grandbore.core.combination.ValveTrain;
import grandbore.core.units.Quantity;
import java.util.List;

/** What a degree wheel's readings say: durations, centrelines, and how far to move the cam. */
public final class Degreeing {
  /** A wheel is read to half a degree. */
  private static final double READ = Math.toRadians(1);

  private static final double DURATION = Math.toRadians(2);
  private static final double SLACK = Math.toRadians(0.5);

  private final Cam cam;
  private final Combination c;
  private final Degreed d;
  private final CheckList list;

  private Degreeing(Build build) {
    c = build.combination();
    cam = c.cam();
    d = c.degreed();
    list = new CheckList(build.units());
  }

  /** All that the readings so far allow to be said. */
  public static List<Check> of(Build build) {
    var g = new Degreeing(build);
    g.side(true);
    g.side(false);
    g.slack(true);
    g.slack(false);
    g.separation();
    g.move(true);
    if (g.twoShafts()) {
      g.move(false);
    }
    return g.list.checks();
  }

  /** What the readings of one side allow to be said; only a shaft of its own has a move. */
  public static List<Check> of(Build build, boolean intake) {
    var g = new Degreeing(build);
    g.side(intake);
    g.slack(intake);
    if (intake || g.twoShafts()) {
      g.move(intake);
    }
    return g.list.checks();
  }

  private void side(boolean intake) {
    if (intake) {
      side(
          "intake",
          d.intakeOpens(),
          d.intakeCloses(),
          d.intakeRise(),
          d.intakeFall(),
          cam.intakeDuration().si(),
          cam.intakeCentreline().si());
    } else {
      side(
          "exhaust",
          d.exhaustCloses(),
          d.exhaustOpens(),
          d.exhaustRise(),
          d.exhaustFall(),
          cam.exhaustDuration().si(),
          cam.exhaustCentreline());
    }
  }

  /** Intake centreline read, rad after top centre; not a number where it was not read. */
  public static double intakeCentreline(Degreed d) {
    return centreline(d.intakeOpens(), d.intakeCloses(), d.intakeRise(), d.intakeFall());
  }

  /** Exhaust centreline read, rad before top centre; not a number where it was not read. */
  public static double exhaustCentreline(Degreed d) {
    return centreline(d.exhaustCloses(), d.exhaustOpens(), d.exhaustRise(), d.exhaustFall());
  }

  /**
   * By equal lifts about the nose where they were read, else by the events near and far from top.
   */
  private static double centreline(Given near, Given far, Given rise, Given fall) {
    if (rise.isKnown() && fall.isKnown()) {
      return 0.5 * (rise.si() + fall.si());
    }
    return near.isKnown() && far.isKnown() ? byEvents(near, far) : Double.NaN;
  }

  private static double byEvents(Given near, Given far) {
    return 0.5 * (far.si() + Math.PI - near.si());
  }

  private String degrees(double rad) {
    return list.show(Quantity.ANGLE, rad);
  }

  private void side(
      String side, Given near, Given far, Given rise, Given fall, double duration, double card) {
    boolean events = near.isKnown() && far.isKnown();
    boolean lifts = rise.isKnown() && fall.isKnown();
    if (events) {
      double read = near.si() + far.si() + Math.PI;
      boolean right = Math.abs(read - duration) <= DURATION;
      list.add(
          "degree_" + side + "_duration",
          "Duration, " + side,
          right ? Verdict.GOOD : Verdict.BAD,
          "%s read, %s on the card%s"
              .formatted(
                  degrees(read),
                  degrees(duration),
                  right ? "" : ": another lobe, a worn one, lash, or not 0.050 in"),
          "opens + closes + 180°; 2° is let pass (" + CheckList.PRACTICE + ")");
    }
    if (events && lifts) {
      double a = byEvents(near, far);
      double b = 0.5 * (rise.si() + fall.si());
      boolean alike = Math.abs(a - b) <= READ;
      list.add(
          "degree_" + side + "_methods",
          "Both ways of reading, " + side,
          alike ? Verdict.GOOD : Verdict.BAD,
          alike
              ? "they agree on " + degrees(b)
              : "%s by events, %s by equal lifts: read again, top centre first; a lobe may also be"
                      .formatted(degrees(a), degrees(b))
                  + " steeper on one side",
          "(far event + 180° − near event)/2 against the middle of two equal lifts");
    }
    if (events || lifts) {
      double read = centreline(near, far, rise, fall);
      double off = read - card;
      // Later after top is retarded for the intake; earlier before top is advanced for the exhaust.
      boolean late = side.equals("intake") ? off > 0 : off < 0;
      boolean right = Math.abs(off) <= READ;
      list.add(
          "degree_" + side + "_centreline",
          "Centreline, " + side,
          right ? Verdict.GOOD : Verdict.CLOSE,
          "%s read, %s on the card: %s"
              .formatted(
                  degrees(read),
                  degrees(card),
                  right ? "right" : degrees(Math.abs(off)) + (late ? " late" : " early")),
          lifts ? "the middle of two equal lifts" : "(far event + 180° − near event)/2");
    }
  }

  private void slack(boolean intake) {
    var opens = intake ? d.intakeOpens() : d.exhaustOpens();
    var back = intake ? d.intakeBack() : d.exhaustBack();
    if (!back.isKnown() || !opens.isKnown()) {
      return;
    }
    double slack = Math.abs(back.si() - opens.si());
    list.add(
        intake ? "degree_slack" : "degree_slack_exhaust",
        intake ? "Slack of the drive" : "Slack of the drive, exhaust",
        slack > SLACK ? Verdict.CLOSE : Verdict.GOOD,
        slack > SLACK
            ? "%s: read only while turning the engine its own way; after an overshoot go on two more"
                    .formatted(degrees(slack))
                + " turns"
            : degrees(slack),
        "the same opening read turning forward and turning back");
  }

  private void separation() {
    double in = intakeCentreline(d);
    double out = exhaustCentreline(d);
    if (Double.isNaN(in) || Double.isNaN(out)) {
      return;
    }
    double read = 0.5 * (in + out);
    double wanted = twoShafts() ? 0.5 * (wanted(true) + wanted(false)) : cam.separation().si();
    boolean right = Math.abs(read - wanted) <= READ;
    list.add(
        "degree_separation",
        "Separation",
        right ? Verdict.GOOD : twoShafts() ? Verdict.CLOSE : Verdict.BAD,
        "%s read, %s %s%s"
            .formatted(
                degrees(read),
                degrees(wanted),
                twoShafts() ? "wanted" : "on the card",
                right
                    ? ""
                    : twoShafts()
                        ? ": both cams' moves together set it"
                        : ": it is ground in and no gear moves it"),
        "(intake centreline + exhaust centreline)/2, in cam degrees");
  }

  private boolean twoShafts() {
    return c.valveTrain().shafts() == ValveTrain.Shafts.TWO;
  }

  /** The centreline wanted, else the card's, rad from top centre. */
  private double wanted(boolean intake) {
    var said = intake ? d.wanted() : d.exhaustWanted();
    return said.isKnown()
        ? said.si()
        : intake ? cam.intakeCentreline().si() : cam.exhaustCentreline();
  }

  /**
   * How far a cam is moved. A cam that is advanced comes sooner: its intake centreline falls, its
   * exhaust centreline, which counts before top, rises.
   */
  private void move(boolean intake) {
    double read = intake ? intakeCentreline(d) : exhaustCentreline(d);
    if (Double.isNaN(read)) {
      return;
    }
    double wanted = wanted(intake);
    double late = intake ? read - wanted : wanted - read;
    double step = c.valveHardware().gearStep().si();
    boolean right = Math.abs(late) <= 0.5 * step;
    String side = intake ? "intake" : "exhaust";
    list.add(
        twoShafts() ? "degree_move_" + side : "degree_move",
        twoShafts() ? "Move the %s cam".formatted(side) : "Move the cam",
        right ? Verdict.GOOD : Verdict.CLOSE,
        right
            ? "as near as this adjuster goes"
            : "%s by %s at the crank, %.1f steps of the adjuster"
                .formatted(
                    late > 0 ? "advance" : "retard",
                    degrees(Math.abs(late)),
                    Math.abs(late) / step),
        "%s centreline read %s, wanted %s; one step moves %s at the crank"
            .formatted(side, degrees(read), degrees(wanted), degrees(step)));
  }
}
