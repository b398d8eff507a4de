package grandbore.desktop.curve;

import grandbore.book.DynoJson;
import grandbore.core.clearances.OnDyno;
import grandbore.core.prediction.EngineKey;
import grandbore.core.studies.Doubt;
import grandbore.core.studies.DoubtStudy;
import grandbore.core.studies.ModelSpread;
import grandbore.desktop.session.Session;
import java.util.Optional;
import javafx.beans.property.BooleanProperty;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
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

  private final ReadOnlyObjectWrapper<ModelSpread> model =
      new ReadOnlyObjectWrapper<>(ModelSpread.OWN);

  /** The band of the builds of a shop, which may know more of the model than it does itself. */
  BandOfDoubt(Session session) {
    session.notesProperty().subscribe(n -> model.set(newest(session)));
  }

  private static ModelSpread newest(Session session) {
    return session.notes(OnDyno.class).stream()
        .filter(n -> n.kind() == OnDyno.Kind.CASES)
        .reduce((one, later) -> later)
        .map(n -> DynoJson.spread(n.document()))
        .orElse(ModelSpread.OWN);
  }

  /** The model's own doubt: of its checks, or of the engines that the shop pooled. */
  public ReadOnlyObjectProperty<ModelSpread> modelProperty() {
    return model.getReadOnlyProperty();
  }

  public ModelSpread model() {
    return model.get();
  }

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
