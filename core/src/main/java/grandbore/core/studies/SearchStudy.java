package grandbore.core.studies;

import grandbore.core.changes.Change;
import grandbore.core.changes.Cost;
import grandbore.core.changes.DoesNotFit;
import grandbore.core.combination.Combination;
import grandbore.core.combination.Given;
import grandbore.core.combination.InvalidInput;
import grandbore.core.combination.Specs;
import grandbore.core.doubt.LatinHypercube;
import grandbore.core.doubt.Uncertain;
import grandbore.core.prediction.BuiltEngine;
import grandbore.core.prediction.Fidelity;
import grandbore.core.prediction.WantedBand;
import grandbore.core.runs.Base;
import grandbore.core.runs.Desk;
import grandbore.core.runs.Study;
import grandbore.core.search.Evolution;
import grandbore.core.search.Judged;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/**
 * Looks for the engine that does best within bounds: free inputs over their ranges, changes that
 * may be made or not. Every candidate starts from where the engine as it stands ended.
 *
 * @param free inputs and the range of each; only its ends count
 * @param changes each made or not; of those that set the same input at most one is made
 * @param second weighed against the goal for a trade curve; empty for none
 * @param robust whether a candidate counts by the fifth part of what the spreads of its inputs
 *     allow, and not by itself
 * @param candidates 10 to 20,000
 * @param seed of all random draws
 * @param known what was judged before: a search that was stopped goes on from there
 */
public record SearchStudy(
    BuiltEngine engine,
    WantedBand band,
    List<SweepAxis> free,
    List<Change> changes,
    Goal goal,
    Optional<Goal> second,
    SearchBounds bounds,
    boolean robust,
    int candidates,
    long seed,
    List<Search.Candidate> known)
    implements Study<Search> {
  private static final int FEWEST = 10;
  private static final int MOST = 20_000;

  /** Weights of the second goal, one after the other, where there is one. */
  private static final double[] WEIGHTS = {0, 0.25, 0.5, 0.75, 1};

  /** Samples of the spreads of each candidate that counts by them. */
  private static final int SPREAD = 5;

  /** A candidate of which no engine can be built is worse than any that breaks a bound. */
  private static final double UNBUILT = 1e3;

  public SearchStudy {
    free = List.copyOf(free);
    changes = List.copyOf(changes);
    known = List.copyOf(known);
    if (free.isEmpty() && changes.isEmpty()) {
      throw new InvalidInput(
          "Search", "nothing free", "an input with a range, or a change", "else nothing is sought");
    }
    if (candidates < FEWEST || candidates > MOST) {
      throw new InvalidInput(
          "Candidates", String.valueOf(candidates), "10 to 20,000", "each is a curve");
    }
    if (free.stream().map(SweepAxis::path).distinct().count() < free.size()) {
      throw new InvalidInput(
          "Search", "an input twice", "each input once", "it can have one value");
    }
  }

  @Override
  public String title() {
    return "Search";
  }

  /** What it judges hangs on what was judged before only in what it need not run again. */
  @Override
  public List<Object> key() {
    return List.of(engine, band, free, changes, goal, second, bounds, robust, candidates, seed);
  }

  /** What goes on: what was judged, and what is judged now. */
  private final class Going {
    final Desk<Search> desk;
    final Base base;
    final Rung stands;
    final Map<List<Double>, Search.Candidate> had;
    final List<Search.Candidate> all = new ArrayList<>();
    final List<Uncertain> inputs = robust ? Uncertain.of(engine) : List.of();

    Going(Desk<Search> desk) {
      this.desk = desk;
      base = desk.base(engine, speeds(), Fidelity.LIVE);
      stands = idled(Rung.of(engine, base.curve(), band));
      had =
          known.stream()
              .collect(
                  Collectors.toMap(Search.Candidate::point, c -> c, (a, b) -> a, HashMap::new));
    }

    Search so() {
      return new Search(stands, all, candidates, seed, Optional.empty());
    }

    Judged judge(double[] x, double weight) {
      var point = Arrays.stream(x).boxed().toList();
      var candidate = had.get(point);
      if (candidate == null) {
        candidate = candidate(point);
        had.put(point, candidate);
      } else {
        pieces(robust ? 1 + SPREAD : 1);
      }
      all.add(candidate);
      desk.show(so());
      return weighed(candidate, weight);
    }

    private void pieces(int curves) {
      for (int k = 0; k < curves * speeds().size(); k++) {
        desk.piece();
      }
    }

    /** The same candidate is judged anew by each weight. */
    private Judged weighed(Search.Candidate c, double weight) {
      if (!c.judged().isFeasible() || second.isEmpty()) {
        return c.judged();
      }
      return new Judged(
          (1 - weight) * c.goal() / scale(goal) + weight * c.second() / scale(second.get()), 0);
    }

    private double scale(Goal of) {
      double stood = Math.abs(of.of(stands, band, 0));
      double money = changes.stream().mapToDouble(c -> c.cost().money()).sum();
      return switch (of) {
        case THRIFT -> Math.max(1, money);
        case OCTANE -> 5;
        case PISTON_TO_VALVE -> 1e-3;
        case IDLE_VACUUM -> 10e3;
        default -> Math.max(1, stood);
      };
    }

    private Search.Candidate candidate(List<Double> point) {
      var values = new ArrayList<Double>();
      for (int i = 0; i < free.size(); i++) {
        var ends = free.get(i).values();
        values.add(ends.getFirst() + (ends.getLast() - ends.getFirst()) * point.get(i));
      }
      var chosen = chosen(point.subList(free.size(), point.size()));
      double money = chosen.stream().map(Change::cost).reduce(Cost.NONE, Cost::plus).money();
      try {
        var built = build(values, chosen);
        var rung = idled(Rung.of(built, desk.curve(base, built), band));
        var broken = bounds.broken(rung, band, money);
        double is = robust ? low(built, rung) : goal.of(rung, band, money);
        double beside = second.map(s -> s.of(rung, band, money)).orElse(Double.NaN);
        double violation = broken.stream().mapToDouble(SearchBounds.Broken::by).sum();
        return new Search.Candidate(
            point,
            values,
            chosen,
            money,
            is,
            beside,
            new Judged(is, Double.isNaN(is) ? Math.max(violation, UNBUILT) : violation),
            broken.stream().map(SearchBounds.Broken::words).distinct().toList());
      } catch (DoesNotFit e) {
        pieces(robust ? 1 + SPREAD : 1);
        return new Search.Candidate(
            point,
            values,
            chosen,
            money,
            Double.NaN,
            Double.NaN,
            new Judged(Double.NaN, UNBUILT),
            List.of(String.valueOf(e.getMessage())));
      }
    }

    /** With its idle, where that is looked for or has to hold. */
    private Rung idled(Rung rung) {
      boolean wanted =
          goal.isOfIdle() || second.filter(Goal::isOfIdle).isPresent() || bounds.isOfIdle();
      return wanted ? desk.alone(rung::idling) : rung;
    }

    /** The fifth part of what the spreads allow: the same draws for every candidate. */
    private double low(BuiltEngine built, Rung stands) {
      var points = List.of(LatinHypercube.points(SPREAD, inputs.size(), seed));
      var scores = new ArrayList<Double>();
      scores.add(goal.of(stands, band, 0));
      Batch.run(desk, base, points, u -> drawn(built, u))
          .forEach(r -> scores.add(goal.of(idled(Rung.of(r, band)), band, 0)));
      return scores.stream()
          .filter(s -> !Double.isNaN(s))
          .sorted()
          .skip(1)
          .findFirst()
          .orElse(Double.NaN);
    }

    /** What is free or changed is drawn about its new value, by as much as about its old one. */
    private BuiltEngine drawn(BuiltEngine built, double[] point) {
      var here = Uncertain.of(built);
      var deviations = new double[here.size()];
      var places = new HashMap<String, Double>();
      for (int i = 0; i < inputs.size(); i++) {
        places.put(inputs.get(i).path(), Doubt.deviation(point[i]));
      }
      for (int i = 0; i < here.size(); i++) {
        deviations[i] = places.getOrDefault(here.get(i).path(), 0.0);
      }
      return Uncertain.on(built, here, deviations);
    }
  }

  /**
   * The changes that a point of the unit cube makes: those past the middle, of two that exclude
   * each other the one that lies further.
   */
  List<Change> chosen(List<Double> point) {
    var wished =
        IntStream.range(0, changes.size())
            .filter(i -> point.get(i) >= 0.5)
            .boxed()
            .sorted(Comparator.comparingDouble((Integer i) -> -point.get(i)).thenComparing(i -> i))
            .toList();
    var made = new TreeSet<Integer>();
    var set = new HashSet<String>();
    for (int i : wished) {
      var paths = changes.get(i).sets().keySet();
      if (Collections.disjoint(paths, set)) {
        made.add(i);
        set.addAll(paths);
      }
    }
    return made.stream().map(changes::get).toList();
  }

  private List<Double> speeds() {
    return band.fewSpeeds();
  }

  /** The same search, going on from what was judged before. */
  public SearchStudy from(List<Search.Candidate> judged) {
    return new SearchStudy(
        engine, band, free, changes, goal, second, bounds, robust, candidates, seed, judged);
  }

  /** A combination with what a candidate is made of, the changes first. */
  public Combination on(Combination c, Search.Candidate found) {
    var made = Change.on(c, found.chosen());
    var sets = sets(made, found.values());
    return sets.isEmpty() ? made : new Change("Values found", sets).on(made);
  }

  private Map<String, Object> sets(Combination c, List<Double> values) {
    var sets = new TreeMap<String, Object>();
    for (int i = 0; i < free.size(); i++) {
      var given = (Given) c.at(free.get(i).path());
      sets.put(free.get(i).path(), given.with(values.get(i), given.provenance()));
    }
    return sets;
  }

  /** The engine with values of the free inputs and some changes, the changes first. */
  private BuiltEngine build(List<Double> values, List<Change> chosen) {
    var built = Change.on(engine, chosen);
    var sets = sets(built.combination(), values);
    return sets.isEmpty() ? built : new Change("Values found", sets).on(built);
  }

  @Override
  public Search solve(Desk<Search> desk) {
    double[] weights = second.isPresent() ? WEIGHTS : new double[] {0};
    desk.expect((candidates * (robust ? 1 + SPREAD : 1) + 1) * speeds().size());
    var going = new Going(desk);
    desk.show(going.so());
    int inputs = free.size() + changes.size();
    for (int k = 0; k < weights.length; k++) {
      double weight = weights[k];
      int share = candidates / weights.length;
      new Evolution(inputs, Math.max(FEWEST / weights.length, share), seed + k)
          .search(start(), x -> going.judge(x, weight));
    }
    var found = going.so();
    return found
        .best()
        .map(b -> new Search(going.stands, found.candidates(), candidates, seed, verify(desk, b)))
        .orElse(found);
  }

  /** Where the engine stands now, no change made. */
  private double[] start() {
    var from = new double[free.size() + changes.size()];
    for (int i = 0; i < free.size(); i++) {
      var ends = free.get(i).values();
      double stands = Specs.field(free.get(i).path()).get(engine.combination()).si();
      double at = (stands - ends.getFirst()) / (ends.getLast() - ends.getFirst());
      from[i] = Math.clamp(at, 0, 1);
    }
    Arrays.fill(from, free.size(), from.length, 0.4);
    return from;
  }

  private Optional<Search.Verified> verify(Desk<Search> desk, Search.Candidate best) {
    desk.expect(2 * speeds().size());
    var built = build(best.values(), best.chosen());
    double is = band.meanPower(desk.curve(built, speeds(), Fidelity.FULL));
    double was = band.meanPower(desk.curve(engine, speeds(), Fidelity.FULL));
    return Optional.of(new Search.Verified(is, was));
  }
}
