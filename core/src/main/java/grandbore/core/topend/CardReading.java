package grandbore.core.topend;

import grandbore.core.build.Build;
import grandbore.core.checks.Check;
import grandbore.core.checks.Check.Verdict;
import grandbore.core.checks.CheckList;
import grandbore.core.combination.Cam;
import grandbore.core.combination.CamCard;
import grandbore.core.combination.Given;
import grandbore.core.combination.Provenance;
import grandbore.core.combination.Specs;
import grandbore.core.units.Measure;
import grandbore.core.units.Quantity;
import grandbore.core.valvetrain.Lobe;
import grandbore.core.valvetrain.PolydyneLobe;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.hipparchus.analysis.MultivariateFunction;
import org.hipparchus.optim.InitialGuess;
import org.hipparchus.optim.MaxEval;
import org.hipparchus.optim.nonlinear.scalar.GoalType;
import org.hipparchus.optim.nonlinear.scalar.ObjectiveFunction;
import org.hipparchus.optim.nonlinear.scalar.noderiv.NelderMeadSimplex;
import org.hipparchus.optim.nonlinear.scalar.noderiv.SimplexOptimizer;

/**
 * A cam card, whatever it states, made into durations at 0.050 in and from seat to seat, lobe
 * lifts, separation and centreline; what on it contradicts itself is named.
 */
public final class CardReading {
  private static final double THOU20 = Measure.INCHES.toSi(0.020);
  private static final double THOU200 = Measure.INCHES.toSi(0.200);
  private static final double MILLIMETRE = 1e-3;

  /** Cards are printed to half a degree, and lobes are not all of one family. */
  private static final double ANGLES_AGREE = Math.toRadians(1.5);

  /** A duration at another lift hangs on the lobe's family: this much is let pass. */
  private static final double SHAPES_AGREE = Math.toRadians(4);

  private static final double LIFTS_AGREE = Measure.INCHES.toSi(0.004);

  private final Cam now;
  private final CamCard card;
  private final double[] rockers;
  private final CheckList list;
  private final Map<String, Given> cam = new HashMap<>();

  private CardReading(Build build) {
    var c = build.combination();
    now = c.cam();
    card = c.camCard();
    rockers =
        new double[] {c.valveTrain().intakeRocker().si(), c.valveTrain().exhaustRocker().si()};
    list = new CheckList(build.units());
  }

  /**
   * What a card comes to.
   *
   * @param cam that it describes; what the card does not say is as it was
   * @param checks what agrees and what does not
   */
  public record Read(Cam cam, List<Check> checks) {}

  /** Reads a build's card; nothing where it says nothing. */
  public static Optional<Read> of(Build build) {
    var r = new CardReading(build);
    r.side(
        "intake",
        new Given[] {
          r.card.intakeSeat(),
          r.card.intakeAt20(),
          r.card.intakeMillimetre(),
          r.card.intakeAt50(),
          r.card.intakeAt200()
        },
        r.card.intakeOpens(),
        r.card.intakeCloses(),
        r.lobe(
            "intake",
            r.card.intakeLobe(),
            r.card.intakeValve(),
            r.now.intakeLobeLift(),
            r.rockers[0]),
        r.now.intakeDuration(),
        r.now.intakeSeat());
    r.side(
        "exhaust",
        new Given[] {
          r.card.exhaustSeat(),
          r.card.exhaustAt20(),
          r.card.exhaustMillimetre(),
          r.card.exhaustAt50(),
          r.card.exhaustAt200()
        },
        r.card.exhaustOpens(),
        r.card.exhaustCloses(),
        r.lobe(
            "exhaust",
            r.card.exhaustLobe(),
            r.card.exhaustValve(),
            r.now.exhaustLobeLift(),
            r.rockers[1]),
        r.now.exhaustDuration(),
        r.now.exhaustSeat());
    r.phase();
    return r.cam.isEmpty()
        ? Optional.empty()
        : Optional.of(new Read(Specs.changed(r.now, r.cam), r.list.checks()));
  }

  private String degrees(double rad) {
    return list.show(Quantity.ANGLE, rad);
  }

  private void agree(
      String name, String label, double a, double b, double within, Quantity q, String how) {
    boolean alike = Math.abs(a - b) <= within;
    list.add(
        name,
        label,
        alike ? Verdict.GOOD : Verdict.BAD,
        alike
            ? "agrees: " + list.show(q, a)
            : "the card contradicts itself: %s against %s"
                .formatted(list.show(q, a), list.show(q, b)),
        how + "; %s is let pass".formatted(list.show(q, within)));
  }

  /** Lobe lift from whichever lift is said. */
  private double lobe(String side, Given lobe, Given valve, Given was, double rocker) {
    if (lobe.isKnown() && valve.isKnown()) {
      agree(
          "card_" + side + "_lift",
          "Lift, " + side,
          lobe.si() * rocker,
          valve.si(),
          LIFTS_AGREE,
          Quantity.LENGTH,
          "lobe lift × rocker ratio %.2f against valve lift".formatted(rocker));
    }
    if (lobe.isKnown() || valve.isKnown()) {
      double lift = lobe.isKnown() ? lobe.si() : valve.si() / rocker;
      cam.put(side + "LobeLift", was.with(lift, Provenance.CARD));
      return lift;
    }
    return was.si();
  }

  private void side(
      String side,
      Given[] durations,
      Given opens,
      Given closes,
      double lobe,
      Given was,
      Given seatWas) {
    double[] lifts = {Lobe.SEAT_LIFT, THOU20, MILLIMETRE, Lobe.CHECKING_LIFT, THOU200};
    String[] names = {"seat", "0.020 in", "1 mm", "0.050 in", "0.200 in"};
    double[] said = new double[5];
    for (int i = 0; i < 5; i++) {
      said[i] = durations[i].si();
    }
    if (opens.isKnown() && closes.isKnown()) {
      double byEvents = opens.si() + closes.si() + Math.PI;
      if (said[3] > 0) {
        agree(
            "card_" + side + "_events",
            "Events and duration, " + side,
            byEvents,
            said[3],
            ANGLES_AGREE,
            Quantity.ANGLE,
            "opens + closes + 180° against the duration at 0.050 in");
      } else {
        said[3] = byEvents;
      }
    }
    var known = new ArrayList<Integer>();
    for (int i = 0; i < 5; i++) {
      if (said[i] > 0) {
        known.add(i);
      }
    }
    if (known.isEmpty()) {
      return;
    }
    double ramp = seatWas.si() - was.si();
    double[] fit = fit(said, lifts, lobe, ramp, known);
    cam.put(side + "Duration", was.with(fit[0], Provenance.CARD));
    cam.put(side + "Seat", seatWas.with(fit[1], Provenance.CARD));
    if (known.size() > 2) {
      var shape = new PolydyneLobe(lobe, fit[0], fit[1]);
      for (int i : known) {
        if (i != 0 && i != 3) {
          agree(
              "card_" + side + "_" + i,
              "Duration at %s, %s".formatted(names[i], side),
              said[i],
              shape.duration(lifts[i]),
              SHAPES_AGREE,
              Quantity.ANGLE,
              "the card's against a smooth lobe of its other numbers");
        }
      }
    }
  }

  /**
   * Durations at 0.050 in and at the seat that fit what is said: as said where both are, else those
   * of the smooth lobe that comes nearest; one number alone keeps the ramps that were.
   */
  private static double[] fit(
      double[] said, double[] lifts, double lobe, double ramp, List<Integer> known) {
    if (said[3] > 0 && said[0] > 0) {
      return new double[] {said[3], said[0]};
    }
    boolean one = known.size() == 1;
    MultivariateFunction miss =
        x -> {
          double duration = said[3] > 0 ? said[3] : x[0];
          double seat = said[0] > 0 ? said[0] : one ? duration + ramp : duration + Math.abs(x[1]);
          if (!(duration > 1.5) || seat < duration + 0.15) {
            return 10 + Math.abs(x[0]) + Math.abs(x[1]);
          }
          var shape = new PolydyneLobe(lobe, duration, seat);
          double sum = 0;
          for (int i : known) {
            sum += Math.pow(shape.duration(lifts[i]) - said[i], 2);
          }
          return sum;
        };
    double guess =
        said[3] > 0 ? said[3] : said[known.getFirst()] * (known.getFirst() < 3 ? 0.85 : 1.5);
    var best =
        new SimplexOptimizer(1e-10, 1e-12)
            .optimize(
                new MaxEval(4000),
                new ObjectiveFunction(miss),
                GoalType.MINIMIZE,
                new InitialGuess(new double[] {guess, ramp}),
                new NelderMeadSimplex(new double[] {0.2, 0.1}))
            .getPoint();
    double duration = said[3] > 0 ? said[3] : best[0];
    double seat = said[0] > 0 ? said[0] : one ? duration + ramp : duration + Math.abs(best[1]);
    return new double[] {duration, seat};
  }

  /** Centrelines, separation and advance: whichever are said, and whether they agree. */
  private void phase() {
    double in = centreline(card.intakeCentreline(), card.intakeOpens(), card.intakeCloses(), true);
    double out =
        centreline(card.exhaustCentreline(), card.exhaustOpens(), card.exhaustCloses(), false);
    double separation = card.separation().si();
    double advance = card.advance().si();
    if (in > 0 && out > 0) {
      double middle = 0.5 * (in + out);
      if (separation > 0) {
        agree(
            "card_separation",
            "Separation",
            separation,
            middle,
            ANGLES_AGREE,
            Quantity.ANGLE,
            "(intake centreline + exhaust centreline)/2 = (%s + %s)/2"
                .formatted(degrees(in), degrees(out)));
      } else {
        separation = middle;
      }
    }
    if (in > 0 && separation > 0 && card.advance().isKnown()) {
      agree(
          "card_advance",
          "Advance",
          advance,
          separation - in,
          ANGLES_AGREE,
          Quantity.ANGLE,
          "separation − intake centreline");
    }
    if (in <= 0 && separation > 0 && out > 0) {
      in = 2 * separation - out;
    }
    if (in <= 0 && separation > 0 && card.advance().isKnown()) {
      in = separation - advance;
    }
    if (in > 0) {
      cam.put("intakeCentreline", now.intakeCentreline().with(in, Provenance.CARD));
    }
    if (separation > 0) {
      cam.put("separation", now.separation().with(separation, Provenance.CARD));
    }
  }

  private double centreline(Given said, Given opens, Given closes, boolean intake) {
    boolean events = opens.isKnown() && closes.isKnown();
    double byEvents =
        intake
            ? 0.5 * (closes.si() + Math.PI - opens.si())
            : 0.5 * (opens.si() + Math.PI - closes.si());
    if (events && said.isKnown()) {
      agree(
          "card_" + (intake ? "intake" : "exhaust") + "_centreline",
          (intake ? "Intake" : "Exhaust") + " centreline",
          said.si(),
          byEvents,
          ANGLES_AGREE,
          Quantity.ANGLE,
          intake ? "(closes + 180° − opens)/2" : "(opens + 180° − closes)/2");
    }
    return said.isKnown() ? said.si() : events ? byEvents : 0;
  }
}
