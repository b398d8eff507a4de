package grandbore.core.working;

import grandbore.core.build.Build;
import grandbore.core.clearances.Readings;
import java.util.List;
import java.util.stream.Stream;

/** The figures a builder works out on paper, each with its working. */
public final class Figures {
  private Figures() {}

  /** All figures of a build with its readings, in the order of the stations. */
  public static List<Figure> of(Build build, Readings readings) {
    return Stream.of(
            new BottomEndFigures(build, readings),
            new BalanceFigures(build, readings),
            new SqueezeFigures(build, readings),
            new WorksheetFigures(build, readings),
            new CamFigures(build, readings),
            new BreathingFigures(build, readings))
        .flatMap(f -> f.figures().stream())
        .toList();
  }
}
