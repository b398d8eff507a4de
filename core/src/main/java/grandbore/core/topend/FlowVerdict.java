package grandbore.core.topend;

import static grandbore.core.checks.Check.Verdict.BAD;
import static grandbore.core.checks.Check.Verdict.CLOSE;
import static grandbore.core.checks.Check.Verdict.GOOD;

import grandbore.core.build.Build;
import grandbore.core.checks.Check;
import grandbore.core.checks.CheckList;
import grandbore.core.combination.Combination;
import grandbore.core.combination.FlowSheet;
import grandbore.core.flow.FlowCurve;
import grandbore.core.flow.PortSizing;
import grandbore.core.flow.ValvePassage;
import grandbore.core.units.Quantity;
import java.util.List;

/** What a flow sheet says of its port. */
public final class FlowVerdict {
  /** A row that gains less than this share of flow for a tenth more lift stalls. */
  private static final double STALL = 0.008;

  /** No port passes more than what its valve leaves open; readings beyond are wrong. */
  private static final double POSSIBLE = 1.0;

  private static final double GOOD_LOW_LIFT = 0.6;
  private static final double LEAST_EXHAUST = 0.65;
  private static final double MOST_EXHAUST = 0.90;
  private static final double APART = 0.04;

  private final Combination c;
  private final CheckList list;

  private FlowVerdict(Build build) {
    c = build.combination();
    list = new CheckList(build.units());
  }

  /** Both ports, then the two against each other, then cylinder against cylinder. */
  public static List<Check> of(Build build) {
    var v = new FlowVerdict(build);
    var h = v.c.heads();
    var in = ValvePassage.intake(v.c);
    var out = ValvePassage.exhaust(v.c);
    v.port("intake", h.intakeFlow(), h.intakeValves(), in, v.c.intakeLift());
    v.port("exhaust", h.exhaustFlow(), h.exhaustValves(), out, v.c.exhaustLift());
    v.pair();
    v.fitting("intake", h.intakeFlow().fitting());
    v.fitting("exhaust", h.exhaustFlow().fitting());
    v.balance("intake", h.intakeShares());
    v.balance("exhaust", h.exhaustShares());
    return v.list.checks();
  }

  private void port(String side, FlowSheet sheet, int valves, ValvePassage valve, double lift) {
    var rows = sheet.rows();
    double best = 0;
    double worst = Double.MAX_VALUE;
    FlowSheet.Row impossible = null;
    for (var row : rows) {
      double d = PortSizing.discharge(sheet, row, valves, valve);
      best = Math.max(best, d);
      worst = Math.min(worst, d);
      impossible = d > POSSIBLE ? row : impossible;
    }
    list.add(
        side + "_discharge",
        "Discharge coefficient, " + side,
        impossible != null ? BAD : best > GOOD_LOW_LIFT ? GOOD : CLOSE,
        impossible != null
            ? "more than the curtain can pass at %s: valve size, lift or flow is misread"
                .formatted(list.show(Quantity.LENGTH, impossible.lift()))
            : "%.2f at best, %.2f at least".formatted(best, worst),
        "effective area at the sheet's depression over the least section that the valve leaves: "
            + (valve.width() > 0
                ? "frustum of the seat, then slit, then throat less stem (Heywood 1988, 6.7–6.9)"
                : "the curtain π × valve × lift, or the head's area once the curtain is larger")
            + "; above 0.6 at low lift is a good seat ("
            + CheckList.PRACTICE
            + ")");
    stall(side, rows, lift);
  }

  private void stall(String side, List<FlowSheet.Row> rows, double lift) {
    String name = side + "_stall";
    String label = "Port at high lift, " + side;
    for (int i = 1; i < rows.size(); i++) {
      var a = rows.get(i - 1);
      var b = rows.get(i);
      double gain = (b.flow() / a.flow() - 1) / (b.lift() / a.lift() - 1) * 0.1;
      if (gain < 0) {
        list.add(
            name,
            label,
            a.lift() < lift ? BAD : CLOSE,
            "flow falls from %s on: it turns back on itself; this cam lifts to %s"
                .formatted(list.show(Quantity.LENGTH, a.lift()), list.show(Quantity.LENGTH, lift)),
            "flow of each row against the one before");
        return;
      }
      if (gain < STALL && a.lift() < lift) {
        list.add(
            name,
            label,
            CLOSE,
            "stalls from %s on: more lift than that gains next to nothing"
                .formatted(list.show(Quantity.LENGTH, a.lift())),
            "less than %.1f %% of flow for a tenth more lift".formatted(100 * STALL));
        return;
      }
    }
    list.add(
        name,
        label,
        GOOD,
        "flow still rises at " + list.show(Quantity.LENGTH, rows.getLast().lift()),
        "flow of each row against the one before");
  }

  private void pair() {
    var h = c.heads();
    double in = new FlowCurve(h.intakeFlow()).at(c.intakeLift());
    double out = new FlowCurve(h.exhaustFlow()).at(c.exhaustLift());
    double share = out / in;
    boolean usual = share >= LEAST_EXHAUST && share <= MOST_EXHAUST;
    list.add(
        "flow_pair",
        "Exhaust against intake",
        usual ? GOOD : CLOSE,
        "%.0f %% at full lift%s"
            .formatted(
                100 * share,
                usual
                    ? ""
                    : share < LEAST_EXHAUST ? ": wants exhaust duration" : ": more than it needs"),
        "effective areas at this cam's lifts; 65 to 90 % is usual, with 75 to 80 % most often named"
            + " ("
            + CheckList.PRACTICE
            + ")");
  }

  private void fitting(String side, FlowSheet.Fitting fitting) {
    boolean in = side.equals("intake");
    String name = side + "_fitting";
    String label = "Flowed with, " + side;
    switch (fitting) {
      case NOT_STATED -> list.unknown(name, label, "what was on the %s port".formatted(side));
      case PORT_ALONE ->
          list.add(
              name,
              label,
              CLOSE,
              in
                  ? "nothing: a sharp entry costs flow that the engine's runner does not"
                  : "nothing: with a pipe it reads a few percent more, and so does the engine",
              "an intake is usually flowed with a rounded entry, an exhaust with and without a"
                  + " pipe; say which ("
                  + CheckList.PRACTICE
                  + ")");
      case RADIUS_OR_PIPE ->
          list.add(
              name,
              label,
              GOOD,
              in ? "a rounded entry" : "a pipe",
              "as the wave model takes it: the port's own loss, runner and pipe reckoned apart");
      case MANIFOLD ->
          list.add(
              name,
              label,
              CLOSE,
              in ? "the manifold: its loss counts twice" : "the header: its loss counts twice",
              "the wave model reckons runner and primary by themselves; their friction is in this"
                  + " sheet already");
    }
  }

  private void balance(String side, List<Double> shares) {
    if (shares.isEmpty()) {
      return;
    }
    double least = shares.stream().mapToDouble(s -> s).min().orElseThrow();
    double most = shares.stream().mapToDouble(s -> s).max().orElseThrow();
    boolean apart = most / least - 1 > APART;
    list.add(
        side + "_balance",
        "Balance, " + side + " ports",
        apart ? CLOSE : GOOD,
        "%.0f %% from worst to best%s"
            .formatted(
                100 * (most / least - 1),
                apart ? ", worst is cylinder " + (shares.indexOf(least) + 1) : ""),
        "shares of the sheet by cylinder; 4 % is let pass (" + CheckList.PRACTICE + ")");
  }
}
