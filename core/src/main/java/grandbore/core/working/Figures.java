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
    var measured = build.with(build.asMeasured(readings).combination());
    return Stream.of(
            new BottomEndFigures(measured),
            new BalanceFigures(measured),
            new CompressionFigures(measured),
            new WorksheetFigures(measured),
            new CamFigures(measured),
            new BreathingFigures(measured))
        .flatMap(f -> f.figures().stream())
        .toList();
  }
}
