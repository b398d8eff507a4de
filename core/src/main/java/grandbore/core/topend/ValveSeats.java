package grandbore.core.topend;

import static grandbore.core.checks.Check.Verdict.BAD;
import static grandbore.core.checks.Check.Verdict.CLOSE;
import static grandbore.core.checks.Check.Verdict.GOOD;

import grandbore.core.build.Build;
import grandbore.core.checks.Check;
import grandbore.core.checks.CheckList;
import grandbore.core.combination.Given;
import grandbore.core.flow.ValvePassage;
import grandbore.core.units.Measure;
import grandbore.core.units.Quantity;
import java.util.List;

/** Seats, margins and throats against what valve jobs are usually left at. */
public final class ValveSeats {
  private static final double INCH = Measure.INCHES.toSi(1);

  /** Narrower seats pass more and carry less heat; common practice, no source. */
  private static final double[] INTAKE_SEAT = {0.030 * INCH, 0.060 * INCH};

  private static final double[] EXHAUST_SEAT = {0.050 * INCH, 0.090 * INCH};

  /** Thinner edges burn and cup; common practice, no source. */
  private static final double INTAKE_MARGIN = 0.032 * INCH;

  private static final double EXHAUST_MARGIN = 0.045 * INCH;

  /** Throat over valve; common practice, no source. */
  private static final double NARROW = 0.84;

  private static final double WIDE = 0.92;

  private final CheckList list;

  private ValveSeats(Build build) {
    list = new CheckList(build.units());
  }

  /** Both sides: seat, margin, throat. */
  public static List<Check> of(Build build) {
    var v = new ValveSeats(build);
    var c = build.combination();
    var s = c.seats();
    v.seat("intake", s.intakeWidth(), INTAKE_SEAT);
    v.seat("exhaust", s.exhaustWidth(), EXHAUST_SEAT);
    v.margin("intake", s.intakeMargin(), INTAKE_MARGIN);
    v.margin("exhaust", s.exhaustMargin(), EXHAUST_MARGIN);
    v.throat("intake", s.intakeThroat(), ValvePassage.intake(c));
    v.throat("exhaust", s.exhaustThroat(), ValvePassage.exhaust(c));
    return v.list.checks();
  }

  private String show(double si) {
    return list.show(Quantity.CLEARANCE, si);
  }

  private void seat(String side, Given width, double[] usual) {
    String label = "Seat width, " + side;
    if (!width.isKnown()) {
      list.unknown(side + "_seat", label, "the %s seat's width".formatted(side));
      return;
    }
    boolean narrow = width.si() < usual[0];
    boolean wide = width.si() > usual[1];
    list.add(
        side + "_seat",
        label,
        narrow || wide ? CLOSE : GOOD,
        narrow
            ? "narrow: flows well, carries little heat, wears"
            : wide ? "wide: cool and lasting, costs flow at low lift" : show(width.si()),
        "%s against %s to %s (%s)"
            .formatted(show(width.si()), show(usual[0]), show(usual[1]), CheckList.PRACTICE));
  }

  private void margin(String side, Given margin, double least) {
    String label = "Valve margin, " + side;
    if (!margin.isKnown()) {
      list.unknown(side + "_margin", label, "the %s valve's margin".formatted(side));
      return;
    }
    list.add(
        side + "_margin",
        label,
        margin.si() < 0.6 * least ? BAD : margin.si() < least ? CLOSE : GOOD,
        margin.si() < least ? "thin: another valve before it burns" : show(margin.si()),
        "%s against at least %s (%s); the valve's maker goes before it"
            .formatted(show(margin.si()), show(least), CheckList.PRACTICE));
  }

  private void throat(String side, Given throat, ValvePassage valve) {
    String label = "Throat, " + side;
    if (!throat.isKnown()) {
      list.unknown(side + "_throat", label, "the %s port's throat".formatted(side));
      return;
    }
    double share = throat.si() / valve.head();
    list.add(
        side + "_throat",
        label,
        share >= 1 ? BAD : share < NARROW || share > WIDE ? CLOSE : GOOD,
        "%.0f %% of the valve%s"
            .formatted(
                100 * share,
                share >= 1
                    ? ": there is no seat"
                    : share > WIDE
                        ? ": little seat left"
                        : share < NARROW ? ": it chokes before the valve does" : ""),
        "throat ÷ valve; %.0f to %.0f %% is usual (%s). From a lift of %s the throat, not the"
                .formatted(100 * NARROW, 100 * WIDE, CheckList.PRACTICE, show(valve.throatRules()))
            + " valve, is the narrowest.");
  }
}
