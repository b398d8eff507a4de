package grandbore.desktop.curve;

import grandbore.core.prediction.EngineKey;
import grandbore.core.studies.Doubt;
import grandbore.core.studies.DoubtStudy;
import java.util.Optional;
import javafx.beans.property.BooleanProperty;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.SimpleBooleanProperty;
import javafx.beans.property.SimpleObjectProperty;

/** The band of doubt as the window holds it: whether it is wanted, and as far as it is known. */
public final class BandOfDoubt {
  /**
   * @param of the engine whose inputs were drawn from their spreads
   */
  public record Known(EngineKey of, Doubt doubt) {
    /** Whether all samples are in. */
    public boolean isWhole() {
      return doubt.samples().size() + doubt.refused() >= doubt.wanted();
    }
  }

  private final BooleanProperty wanted = new SimpleBooleanProperty();
  private final ObjectProperty<Integer> samples = new SimpleObjectProperty<>(DoubtStudy.USUAL);
  private final ObjectProperty<Optional<Known>> known =
      new SimpleObjectProperty<>(Optional.empty());

  /** Whether it shall be drawn round the curve. */
  public BooleanProperty wantedProperty() {
    return wanted;
  }

  /** How many samples make it. */
  public ObjectProperty<Integer> samplesProperty() {
    return samples;
  }

  /** Grows while the samples are run. */
  public ObjectProperty<Optional<Known>> knownProperty() {
    return known;
  }
}
