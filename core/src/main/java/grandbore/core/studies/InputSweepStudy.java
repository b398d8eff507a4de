package grandbore.core.studies;

import grandbore.core.combination.InvalidInput;
import grandbore.core.combination.Specs;
import grandbore.core.prediction.BuiltEngine;
import grandbore.core.prediction.Fidelity;
import grandbore.core.prediction.WantedBand;
import grandbore.core.runs.Desk;
import grandbore.core.runs.Study;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/**
 * Curves of one engine over one of its inputs, or over two; each starts from where the engine as it
 * stands ended.
 *
 * @param speeds rev/min, spanning the band
 * @param idle whether each is idled too
 */
public record InputSweepStudy(
    BuiltEngine engine, List<SweepAxis> axes, List<Double> speeds, WantedBand band, boolean idle)
    implements Study<InputSweep> {
  private static final int MOST_AXES = 2;

  /** An idle takes as long as so many speeds. */
  static final int IDLE = 60;

  public InputSweepStudy {
    axes = List.copyOf(axes);
    speeds = List.copyOf(speeds);
    if (axes.isEmpty() || axes.size() > MOST_AXES) {
      throw new InvalidInput("Sweep", axes.size() + " inputs", "1 or 2", "more can't be drawn");
    }
    if (axes.stream().map(SweepAxis::path).distinct().count() < axes.size()) {
      throw new InvalidInput(
          "Sweep", "twice " + axes.getFirst().path(), "two inputs", "a map has two sides");
    }
  }

  /** One whose engines are not idled. */
  public InputSweepStudy(
      BuiltEngine engine, List<SweepAxis> axes, List<Double> speeds, WantedBand band) {
    this(engine, axes, speeds, band, false);
  }

  @Override
  public String title() {
    return "Sweep: "
        + axes.stream()
            .map(a -> Specs.field(a.path()).spec().label().toLowerCase(Locale.ROOT))
            .collect(Collectors.joining(" and "));
  }

  @Override
  public List<Object> key() {
    return List.of(
        engine.key(), axes, speeds, band, idle ? IdleStudy.speed(engine.combination()) : 0);
  }

  @Override
  public InputSweep solve(Desk<InputSweep> desk) {
    int slow = axes.size() == 1 ? 1 : axes.getFirst().values().size();
    int fast = axes.getLast().values().size();
    desk.expect((1 + slow * fast) * (speeds.size() + (idle ? IDLE : 0)));
    var base = desk.base(engine, speeds, Fidelity.PLACED);
    var stands = idled(desk, Rung.of(engine, base.curve(), band));
    var rungs = new ArrayList<Rung>();
    var places = IntStream.range(0, slow * fast).boxed().toList();
    for (var few : Batch.few(places)) {
      Batch.run(desk, base, few, k -> with(k / fast, k % fast))
          .forEach(r -> rungs.add(idled(desk, Rung.of(r, band))));
      desk.show(new InputSweep(stands, axes, rungs));
    }
    return new InputSweep(stands, axes, rungs);
  }

  private Rung idled(Desk<?> desk, Rung rung) {
    if (!idle) {
      return rung;
    }
    var with = desk.alone(rung::idling);
    for (int k = 0; k < IDLE; k++) {
      desk.piece();
    }
    return with;
  }

  /** The engine with the value of each axis at a step. */
  private BuiltEngine with(int slow, int fast) {
    var set = axes.getLast().set(engine.combination(), fast).on(engine);
    return axes.size() > 1 ? axes.getFirst().set(engine.combination(), slow).on(set) : set;
  }
}
