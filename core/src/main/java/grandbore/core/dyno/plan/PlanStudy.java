package grandbore.core.dyno.plan;

import grandbore.core.changes.Change;
import grandbore.core.changes.DoesNotFit;
import grandbore.core.combination.Combination;
import grandbore.core.combination.Given;
import grandbore.core.combination.Intake;
import grandbore.core.combination.Mixture;
import grandbore.core.combination.Provenance;
import grandbore.core.dyno.effects.Jets;
import grandbore.core.dyno.effects.Repeats;
import grandbore.core.dyno.plan.PlannedPull.Kind;
import grandbore.core.flow.ThrottleSection;
import grandbore.core.prediction.BuiltEngine;
import grandbore.core.prediction.Fidelity;
import grandbore.core.prediction.WantedBand;
import grandbore.core.runs.Desk;
import grandbore.core.runs.Study;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;

/**
 * Plans a day: safe pulls first, then one change at a time, each run on the model from the engine
 * with the spark of its most power held.
 *
 * @param engine as it is to be pulled
 * @param repeats how well pulls repeat, usual where it is not known
 * @param jets main jets that are fitted, where they were said
 */
public record PlanStudy(BuiltEngine engine, WantedBand band, Repeats repeats, Optional<Jets> jets)
    implements Study<PullPlan> {
  /** Spark that is kept back in the first pull, rad, and lambda that is at most run (practice). */
  private static final double KEPT_BACK = Math.toRadians(6);

  private static final double SAFE_LAMBDA = 0.85;
  private static final double SPACER = 0.0254;
  private static final double CAM_STEP = Math.toRadians(4);
  private static final double LASH_STEP = 0.1e-3;

  private record Step(
      Kind kind, String what, String why, Map<String, Object> sets, double minutes) {}

  @Override
  public String title() {
    return "Plan of pulls";
  }

  @Override
  public List<Object> key() {
    return List.of(engine.key(), band, repeats, jets);
  }

  @Override
  public PullPlan solve(Desk<PullPlan> desk) {
    var c = engine.combination();
    var speeds = band.fewSpeeds();
    var best = sparked(Mixture.Spark.BEST_TORQUE, c.mixture().advance());
    var top = desk.curve(best, speeds, Fidelity.PLACED).bestPoint();
    double spark = top.map(p -> p.spark()).orElse(Math.toRadians(30));
    double round = Math.toRadians(Math.rint(Math.toDegrees(spark)));
    var held = sparked(Mixture.Spark.FIXED, measured(c.mixture().advance(), round));
    var steps = steps(held.combination(), round);
    desk.expect(speeds.size() * (2 + steps.size()));
    var base = desk.base(held, speeds, Fidelity.PLACED);
    double stands = band.meanPower(base.curve());
    var pulls = new ArrayList<PlannedPull>(beginning(round - KEPT_BACK));
    var engines = new ArrayList<BuiltEngine>();
    var fitting = new ArrayList<Step>();
    for (var s : steps) {
      try {
        engines.add(new Change(s.what, s.sets).on(held));
        fitting.add(s);
      } catch (DoesNotFit e) {
        // What this engine can't have is no pull.
      }
    }
    var curves = desk.curves(base, engines);
    for (int k = 0; k < fitting.size(); k++) {
      var s = fitting.get(k);
      pulls.add(
          new PlannedPull(
              s.kind,
              s.what,
              s.why,
              Optional.of(new Change(s.what, s.sets)),
              s.minutes,
              band.meanPower(curves.get(k)) / stands - 1,
              repeats.counts(2, 1)));
    }
    return new PullPlan(pulls, round - KEPT_BACK, Math.min(SAFE_LAMBDA, c.mixture().lambda().si()));
  }

  private BuiltEngine sparked(Mixture.Spark kind, Given advance) {
    return new Change("Spark", Map.of("mixture.spark", kind, "mixture.advance", advance))
        .on(engine);
  }

  private static Given measured(Given was, double si) {
    return was.with(si, Provenance.MEASURED);
  }

  private static List<PlannedPull> beginning(double safe) {
    var none = Optional.<Change>empty();
    double nan = Double.NaN;
    String safely = "%.0f°".formatted(Math.toDegrees(safe));
    return List.of(
        new PlannedPull(
            Kind.WARM_UP,
            "Run in and warm up at light load until water and oil stand still; look for leaks",
            "two pulls are a pair only as warm as one another",
            none,
            20,
            nan,
            nan),
        new PlannedPull(
            Kind.FIRST,
            "First pull, " + safely + " of spark and a rich mixture, to two thirds of the speed",
            "does it run, does oil pressure hold, do the meters agree",
            none,
            10,
            nan,
            nan),
        new PlannedPull(
            Kind.REPEAT,
            "The same again, to full speed",
            "how well pulls repeat",
            none,
            6,
            nan,
            nan),
        new PlannedPull(
            Kind.REPEAT,
            "And once more",
            "two differences tell it better than one",
            none,
            6,
            nan,
            nan));
  }

  private List<Step> steps(Combination c, double spark) {
    var all = new ArrayList<Step>();
    for (double off : new double[] {-4, -2, 2, 4}) {
      var s = measured(c.mixture().advance(), spark + Math.toRadians(off));
      all.add(
          new Step(
              Kind.SPARK,
              "Spark %.0f°".formatted(Math.toDegrees(spark) + off),
              "the hill of torque over spark",
              Map.of("mixture.advance", s),
              6));
    }
    double lambda = c.mixture().lambda().si();
    for (double off : new double[] {-0.03, 0.03}) {
      all.add(
          new Step(
              Kind.MIXTURE,
              "%s to lambda %.2f".formatted(off < 0 ? "Richer" : "Leaner", lambda + off),
              fuel(c, lambda, lambda + off),
              Map.of("mixture.lambda", measured(c.mixture().lambda(), lambda + off)),
              c.intake().fuelling() == Intake.Fuelling.CARBURETTOR ? 15 : 5));
    }
    spacer(c, all);
    cam(c, all);
    for (double off : new double[] {-LASH_STEP, LASH_STEP}) {
      var t = c.valveTrain();
      var sets = new TreeMap<String, Object>();
      sets.put("valveTrain.intakeLash", measured(t.intakeLash(), t.intakeLash().si() + off));
      sets.put("valveTrain.exhaustLash", measured(t.exhaustLash(), t.exhaustLash().si() + off));
      if (t.intakeLash().si() > LASH_STEP && t.exhaustLash().si() > LASH_STEP) {
        all.add(
            new Step(
                Kind.LASH,
                "Lash %+.1f mm (%+.3f in)".formatted(1e3 * off, off / 0.0254),
                "a cheap way to feel what more or less cam would do",
                sets,
                20));
      }
    }
    return all;
  }

  /** What makes one lambda another. */
  private String fuel(Combination c, double lambda, double other) {
    String share = "%+.0f %%".formatted(100 * (lambda / other - 1));
    if (c.intake().fuelling() != Intake.Fuelling.CARBURETTOR) {
      return "the map, " + share + " of fuel";
    }
    return jets.map(j -> "jets %s mm for %s".formatted(j.making(lambda, other).words(), j.words()))
        .orElse("jets, area " + share);
  }

  private static void spacer(Combination c, List<Step> all) {
    var in = c.intake();
    if (in.fuelling() != Intake.Fuelling.CARBURETTOR
        || in.manifold() == Intake.Manifold.INDIVIDUAL) {
      return;
    }
    var sets = new TreeMap<String, Object>();
    sets.put("intake.spacerHeight", measured(in.spacerHeight(), in.spacerHeight().si() + SPACER));
    if (!in.spacerHeight().isKnown()) {
      double bores = in.throttles() * ThrottleSection.each(in);
      sets.put("intake.spacerOpening", in.spacerOpening().with(bores, Provenance.ASSUMED));
    }
    all.add(
        new Step(
            Kind.SPACER,
            "Spacer, 25 mm (1 in) more",
            in.spacerHeight().isKnown()
                ? "more room under the carburettor"
                : "more room under the carburettor, a hole for each bore",
            sets,
            20));
  }

  private static void cam(Combination c, List<Step> all) {
    for (double off : new double[] {-CAM_STEP, CAM_STEP}) {
      var was = c.cam().intakeCentreline();
      all.add(
          new Step(
              Kind.CAM,
              "Cam %.0f° %s".formatted(Math.toDegrees(CAM_STEP), off < 0 ? "advanced" : "retarded"),
              "moves the whole curve down or up in speed",
              Map.of("cam.intakeCentreline", measured(was, was.si() + off)),
              75));
    }
  }
}
