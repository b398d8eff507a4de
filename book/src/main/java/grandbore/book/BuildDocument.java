package grandbore.book;

import grandbore.core.build.Build;
import grandbore.core.clearances.Reading;
import grandbore.core.clearances.Readings;
import grandbore.core.prediction.BuiltEngine;
import java.util.List;

/** One build with all its readings, as it goes in and out as one document. */
public record BuildDocument(Build build, List<Reading> readings) {
  public BuildDocument {
    readings = List.copyOf(readings);
  }

  /** The engine with the measured values in place. */
  public BuiltEngine engine() {
    return build.asMeasured(new Readings(readings));
  }
}
