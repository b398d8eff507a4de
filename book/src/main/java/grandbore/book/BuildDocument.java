package grandbore.book;

import grandbore.core.build.Build;
import grandbore.core.clearances.Kept;
import grandbore.core.clearances.Reading;
import grandbore.core.clearances.Readings;
import grandbore.core.prediction.BuiltEngine;
import java.util.List;

/** One build with all its readings and notes, as it goes in and out as one document. */
public record BuildDocument(Build build, List<Reading> readings, List<Kept> notes) {
  public BuildDocument {
    readings = List.copyOf(readings);
    notes = List.copyOf(notes);
  }

  /** A build with readings and no notes. */
  public BuildDocument(Build build, List<Reading> readings) {
    this(build, readings, List.of());
  }

  /** The engine with the measured values in place. */
  public BuiltEngine engine() {
    return build.asMeasured(new Readings(readings));
  }
}
