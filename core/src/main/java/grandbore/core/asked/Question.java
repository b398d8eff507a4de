package grandbore.core.asked;

import grandbore.core.changes.Change;
import grandbore.core.prediction.BuiltEngine;
import grandbore.core.prediction.Curve;
import grandbore.core.prediction.Fidelity;
import grandbore.core.prediction.WantedBand;
import grandbore.core.runs.Study;
import grandbore.core.studies.CompareStudy;
import grandbore.core.studies.Doubt;
import grandbore.core.studies.DoubtStudy;
import grandbore.core.studies.Goal;
import grandbore.core.studies.InputSweep;
import grandbore.core.studies.InputSweepStudy;
import grandbore.core.studies.Ladder;
import grandbore.core.studies.LadderStudy;
import grandbore.core.studies.Search;
import grandbore.core.studies.SearchBounds;
import grandbore.core.studies.SearchStudy;
import grandbore.core.studies.SweepAxis;
import grandbore.core.units.UnitSystem;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.stream.Collectors;

/** What a study asks, of whatever engine. */
public sealed interface Question {
  /**
   * A question put to an engine.
   *
   * @param study to be run
   * @param answer what its result is told as
   * @param <T> its result
   */
  record Posed<T>(Study<T> study, BiFunction<T, UnitSystem, Answer> answer) {}

  /** What it is called. */
  String title();

  /** The study of an engine. */
  Posed<?> to(BuiltEngine engine);

  /**
   * What each of several changes gives.
   *
   * @param pairs whether each two are run together as well
   */
  record OfLadder(List<Change> changes, List<Double> speeds, WantedBand band, boolean pairs)
      implements Question {
    public OfLadder {
      changes = List.copyOf(changes);
      speeds = List.copyOf(speeds);
    }

    @Override
    public String title() {
      return LadderStudy.title(changes.size());
    }

    @Override
    public Posed<Ladder> to(BuiltEngine engine) {
      return new Posed<>(new LadderStudy(engine, changes, speeds, band, pairs), Answers::of);
    }
  }

  /** One input over a range, or two as a map. */
  record OfSweep(List<SweepAxis> axes, List<Double> speeds, WantedBand band, boolean idle)
      implements Question {
    public OfSweep {
      axes = List.copyOf(axes);
      speeds = List.copyOf(speeds);
    }

    @Override
    public String title() {
      return (axes.size() == 1 ? "Sweep of " : "Map of ") + Answers.names(axes);
    }

    @Override
    public Posed<InputSweep> to(BuiltEngine engine) {
      return new Posed<>(
          new InputSweepStudy(engine, axes, speeds, band, idle),
          (found, units) -> Answers.of(found, idle, units));
    }
  }

  /** The best within bounds. */
  record OfSearch(
      WantedBand band,
      List<SweepAxis> free,
      List<Change> changes,
      Goal goal,
      Optional<Goal> second,
      SearchBounds bounds,
      boolean robust,
      int candidates,
      long seed)
      implements Question {
    public OfSearch {
      free = List.copyOf(free);
      changes = List.copyOf(changes);
    }

    /** What a study asks. */
    public static OfSearch of(SearchStudy s) {
      return new OfSearch(
          s.band(),
          s.free(),
          s.changes(),
          s.goal(),
          s.second(),
          s.bounds(),
          s.robust(),
          s.candidates(),
          s.seed());
    }

    @Override
    public String title() {
      return "Search for the best " + goal.label();
    }

    @Override
    public Posed<Search> to(BuiltEngine engine) {
      var study =
          new SearchStudy(
              engine,
              band,
              free,
              changes,
              goal,
              second,
              bounds,
              robust,
              candidates,
              seed,
              List.of());
      return new Posed<>(study, (found, units) -> Answers.of(found, this, units));
    }
  }

  /** How far the curve may lie off. */
  record OfDoubt(WantedBand band, double from, double to, int samples, long seed)
      implements Question {
    @Override
    public String title() {
      return "Band of doubt";
    }

    @Override
    public Posed<Doubt> to(BuiltEngine engine) {
      return new Posed<>(
          new DoubtStudy(engine, band, from, to, samples, seed),
          (found, units) -> Answers.of(found, band, units));
    }
  }

  /**
   * Another engine that one is held against.
   *
   * @param engine as it was measured then
   */
  record Rival(String name, BuiltEngine engine) {}

  /** Engines side by side. */
  record OfBeside(List<Rival> others, List<Double> speeds, WantedBand band) implements Question {
    public OfBeside {
      others = List.copyOf(others);
      speeds = List.copyOf(speeds);
    }

    @Override
    public String title() {
      return "Beside " + others.stream().map(Rival::name).collect(Collectors.joining(", "));
    }

    @Override
    public Posed<List<Curve>> to(BuiltEngine engine) {
      var engines = new ArrayList<BuiltEngine>();
      engines.add(engine);
      others.forEach(o -> engines.add(o.engine()));
      return new Posed<>(
          new CompareStudy(engines, speeds, Fidelity.PLACED),
          (curves, units) -> BesideAnswer.of(this, engines, curves, units));
    }
  }
}
