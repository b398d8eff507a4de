package grandbore.core.beginning;

import grandbore.core.build.Build;
import grandbore.core.build.SpeedRange;
import grandbore.core.clearances.Application;
import grandbore.core.combination.BottomEnd;
import grandbore.core.combination.Combination;
import grandbore.core.combination.Exhaust;
import grandbore.core.combination.FlowSheet;
import grandbore.core.combination.Given;
import grandbore.core.combination.Intake;
import grandbore.core.combination.Mixture;
import grandbore.core.combination.Provenance;
import grandbore.core.combination.Specs;
import grandbore.core.combination.ValveTrain;
import grandbore.core.combination.Weights;
import grandbore.core.gas.FuelKind;
import grandbore.core.units.Quantity;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** Makes a whole build of what was asked and of the rules. */
public final class Ordinary {
  /** Flow over what the valves' own area would pass without loss, by lift over diameter. */
  private static final double[][] COEFFICIENT = {
    {0.05, 0.13}, {0.10, 0.26}, {0.15, 0.37}, {0.20, 0.45}, {0.25, 0.51}, {0.30, 0.54}, {0.35, 0.56}
  };

  /** 28 inches of water, Pa. */
  private static final double BENCH = 28 * 249.089;

  private static final double AIR = 1.19;
  private static final double ALIKE = 1e-6;

  /** A value that is so many times its usual one, or goes so many times into it, is far from it. */
  private static final double FAR = 2;

  private static final Set<Quantity> OFTEN_FAR = EnumSet.of(Quantity.ANGLE, Quantity.CLEARANCE);

  private Ordinary() {}

  /** Highest speed for such an engine, rev/min: by its piston's mean speed, to 250. */
  public static double highest(double stroke, int valves, Application use) {
    double hard =
        switch (use) {
          case STREET, BOOST -> 17.5;
          case STREET_AND_STRIP -> 19;
          case ENDURANCE -> 20;
          case HILL_CLIMB, ROAD_COURSE -> 21;
          case DRAG -> 22;
        };
    double rpm = 30 * hard * (valves == 4 ? 1.2 : 1) / stroke;
    return Math.clamp(250 * Math.rint(rpm / 250), 3000, 14_000);
  }

  /**
   * The build.
   *
   * @throws grandbore.core.combination.InvalidInput where what was said makes no engine
   */
  public static Build build(Asked asked) {
    double highest =
        asked.highest() > 0
            ? asked.highest()
            : highest(asked.of(Said.STROKE), asked.valves(), asked.use());
    var sizes = new Sizes(asked, highest);
    for (var rule : Rules.ALL) {
      if (!sizes.has(rule.path())) {
        sizes.put(rule.path(), rule.value().applyAsDouble(sizes));
      }
    }
    sizes.put("compression.chamberVolume", chamber(sizes, asked.ratio()));
    var c = asked.arrangement().of(single(asked, sizes)).with("intake.manifold", asked.manifold());
    double from = Math.max(1000, 250 * Math.rint(0.35 * highest / 250));
    var range = new SpeedRange(from, highest);
    return new Build(asked.units(), asked.use(), range, range.asBand(c));
  }

  /** The rule that an assumed input follows as it stands; none where it is another number. */
  public static Optional<String> rule(Build build, String path) {
    return Optional.ofNullable(rules(build).get(path));
  }

  /** The rules that a build's assumed inputs follow as they stand, by the inputs' paths. */
  public static Map<String, String> rules(Build build) {
    var c = build.combination();
    var sizes = new Sizes(build);
    var followed = new HashMap<String, String>();
    for (var rule : Rules.ALL) {
      double is = sizes.at(rule.path());
      boolean assumed = Specs.field(rule.path()).get(c).provenance() == Provenance.ASSUMED;
      if (assumed && isAlike(rule.value().applyAsDouble(sizes), is)) {
        followed.put(rule.path(), rule.words());
      }
    }
    return followed;
  }

  /**
   * What is usual in the place of an input that is far from it; none where it is near, none,
   * unknown, or has no rule or no part in the engine. Angles and clearances are left out: a bend
   * may be any, a clearance is its maker's.
   */
  public static Optional<Unlike> unlike(Build build, String path) {
    var c = build.combination();
    var is = Specs.field(path).get(c);
    if (!is.isKnown() || is.si() == 0 || OFTEN_FAR.contains(is.quantity()) || !c.isFitted(path)) {
      return Optional.empty();
    }
    return Rules.ALL.stream()
        .filter(r -> r.path().equals(path))
        .map(r -> new Unlike(r.value().applyAsDouble(new Sizes(build)), r.words()))
        .filter(u -> Double.isFinite(u.usual()) && u.usual() > 0)
        .filter(u -> isFar(is.si() / u.usual()))
        .findFirst();
  }

  private static boolean isFar(double times) {
    return times > FAR || times < 1 / FAR;
  }

  /**
   * A build with one thing chosen anew. What nobody said and followed its rule follows it on: a
   * cast manifold's branches are not as long as a header's. The valves' lifts stay, so lobes follow
   * their rockers, unless somebody has measured them.
   *
   * @param path of the choice
   * @throws grandbore.core.combination.InvalidInput where what is chosen does not fit
   */
  public static Build choose(Build build, String path, Object choice) {
    var followed = rules(build).keySet();
    var chosen = build.with(build.combination().with(path, choice));
    var c = chosen.combination();
    var sizes = new Sizes(chosen);
    var moved = new HashMap<String, Object>();
    for (var rule : Rules.ALL) {
      var is = Specs.field(rule.path()).get(c);
      boolean lobe = sizes.isKnown(rule.path()) && is.provenance().compareTo(Provenance.CARD) <= 0;
      double next = rule.value().applyAsDouble(sizes);
      if ((lobe || followed.contains(rule.path())) && !isAlike(next, is.si())) {
        sizes.put(rule.path(), next);
        moved.put(rule.path(), is.with(next, is.provenance()));
      }
    }
    return moved.isEmpty() ? chosen : chosen.with(c.with(moved));
  }

  private static boolean isAlike(double value, double is) {
    return Math.abs(value - is) <= ALIKE * Math.abs(is);
  }

  /** The volume that makes the ratio with all else as it is. */
  private static double chamber(Sizes s, double ratio) {
    double land =
        Math.PI / 2 * s.bore() * s.at("compression.landClearance") * s.at("compression.landHeight");
    double gasket =
        Math.PI
            / 4
            * Math.pow(s.at("compression.gasketBore"), 2)
            * s.at("compression.gasketThickness");
    double deck =
        s.at("bottomEnd.blockDeck")
            - s.stroke() / 2
            - s.at("bottomEnd.rodLength")
            - s.at("bottomEnd.pinHeight");
    return s.cylinder() / (ratio - 1)
        - land
        - gasket
        - s.boreArea() * deck
        - s.at("compression.pistonVolume");
  }

  /** One cylinder of it, whole. */
  private static Combination single(Asked asked, Sizes sizes) {
    var groups = kinds(asked);
    for (var f : Specs.fields()) {
      if (sizes.has(f.path())) {
        var from = sizes.isKnown(f.path()) ? Provenance.CARD : Provenance.ASSUMED;
        groups
            .computeIfAbsent(f.group(), g -> new HashMap<>())
            .put(f.name(), given(sizes.at(f.path()), f.spec().quantity(), from));
      }
    }
    var flow = asked.flow();
    double better = flow.isKnown() ? flow.flow() / flow(sizes, true, flow.lift()) : 1;
    var from = flow.isKnown() ? Provenance.CARD : Provenance.ASSUMED;
    groups.get("heads").put("intakeFlow", sheet(sizes, true, better, from));
    groups.get("heads").put("exhaustFlow", sheet(sizes, false, 1, Provenance.ASSUMED));
    double mass = 0.680 * Math.pow(sizes.bore() / 0.1016, 3);
    var parts = new ArrayList<Object>();
    for (var group : Combination.class.getRecordComponents()) {
      var type = group.getType();
      parts.add(
          type == String.class
              ? asked.name()
              : type == Weights.class
                  ? Weights.usual(given(mass, Quantity.MASS, Provenance.ASSUMED))
                  : Specs.make(
                      type.asSubclass(Record.class),
                      groups.getOrDefault(group.getName(), Map.of())));
    }
    return Specs.construct(Combination.class, parts.toArray());
  }

  private static Given given(double si, Quantity quantity, Provenance from) {
    return new Given(si, quantity, from, Given.usualSpread(si, quantity, from));
  }

  /** What is no number, by group; one cylinder stands for all, on one plenum. */
  private static Map<String, Map<String, Object>> kinds(Asked a) {
    boolean street =
        a.use() == Application.STREET
            || a.use() == Application.STREET_AND_STRIP
            || a.use() == Application.BOOST;
    var kinds = new HashMap<String, Map<String, Object>>();
    kinds.put(
        "bottomEnd",
        new HashMap<>(
            Map.of(
                "layout",
                BottomEnd.Layout.INLINE,
                "cylinders",
                1,
                "firingOrder",
                List.of(1),
                "numbering",
                BottomEnd.Numbering.ALTERNATING)));
    kinds.put(
        "heads",
        new HashMap<>(Map.of("intakeValves", a.valves() / 2, "exhaustValves", a.valves() / 2)));
    kinds.put(
        "valveTrain",
        new HashMap<>(
            Map.of(
                "follower",
                a.follower(),
                "shafts",
                ValveTrain.Shafts.usual(a.follower(), a.valves() / 2),
                "stiffness",
                usualTrain(a.follower()).stiffness(),
                "tappetDiameter",
                usualTrain(a.follower()).tappetDiameter())));
    kinds.put(
        "intake",
        new HashMap<>(
            Map.of(
                "manifold",
                Intake.Manifold.PLENUM,
                "fuelling",
                a.fuelling(),
                "heating",
                a.fuelling() == Intake.Fuelling.CARBURETTOR
                    ? Intake.Heating.HEAD_ONLY
                    : Intake.Heating.INSULATED)));
    kinds.put(
        "exhaust",
        new HashMap<>(
            Map.of(
                "kind",
                a.exhaust(),
                "outlet",
                street ? Exhaust.Outlet.SYSTEM : Exhaust.Outlet.OPEN)));
    kinds.put(
        "mixture",
        new HashMap<>(
            Map.of(
                "fuel",
                street ? FuelKind.PUMP_93 : FuelKind.RACE_110,
                "spark",
                Mixture.Spark.BEST_TORQUE)));
    return kinds;
  }

  private static ValveTrain usualTrain(ValveTrain.Follower follower) {
    var one = given(1, Quantity.RATIO, Provenance.ASSUMED);
    var none = given(0, Quantity.CLEARANCE, Provenance.ASSUMED);
    return ValveTrain.usual(follower, one, one, none, none);
  }

  /** Flow of one cylinder's valves at a lift, m³/s. */
  private static double flow(Sizes s, boolean intake, double lift) {
    double d = s.at(intake ? "heads.intakeValve" : "heads.exhaustValve");
    double area = intake ? s.intakeArea() : s.exhaustArea();
    double open = Math.min(lift / d, COEFFICIENT[COEFFICIENT.length - 1][0]);
    double low = 0;
    double coefficient = 0;
    double below = 0;
    for (var row : COEFFICIENT) {
      if (open <= row[0] + 1e-12) {
        coefficient = below + (row[1] - below) * (open - low) / (row[0] - low);
        break;
      }
      low = row[0];
      below = row[1];
    }
    double good = (s.pairs() == 2 ? 1.1 : 1) * (1 + 0.12 * s.hardness());
    return area * coefficient * good * Math.sqrt(2 * BENCH / AIR);
  }

  private static FlowSheet sheet(Sizes s, boolean intake, double better, Provenance from) {
    double d = s.at(intake ? "heads.intakeValve" : "heads.exhaustValve");
    var rows = new ArrayList<FlowSheet.Row>();
    for (var row : COEFFICIENT) {
      double lift = row[0] * d;
      rows.add(new FlowSheet.Row(lift, better * flow(s, intake, lift)));
    }
    return new FlowSheet(BENCH, from, FlowSheet.Fitting.NOT_STATED, rows);
  }
}
