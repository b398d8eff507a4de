package grandbore.desktop.weighing;

import grandbore.core.prediction.BuiltEngine;
import grandbore.core.prediction.WantedBand;
import grandbore.core.runs.Urgency;
import grandbore.core.studies.Doubt;
import grandbore.core.studies.DoubtStudy;
import grandbore.desktop.curve.BandOfDoubt;
import grandbore.desktop.curve.CurveService;
import grandbore.desktop.results.Asking;
import grandbore.desktop.results.Paced;
import grandbore.desktop.results.ResultService;
import grandbore.desktop.session.Session;
import java.util.Optional;
import javafx.beans.property.ReadOnlyStringProperty;
import javafx.beans.property.ReadOnlyStringWrapper;
import javafx.util.Duration;

/** Keeps the band of doubt in step with the bench, as long as it is wanted. */
public final class DoubtService {
  private static final Duration REST = Duration.millis(500);

  /** The draws are the same for the same engine, so that two looks at it agree. */
  private static final long SEED = 1;

  private final Session session;
  private final BandOfDoubt band;
  private final ResultService service;
  private final Asking asking;
  private final Paced paced = new Paced();
  private final ReadOnlyStringWrapper trouble = new ReadOnlyStringWrapper("");

  public DoubtService(Session session, CurveService curves) {
    this.session = session;
    band = curves.doubt();
    service = new ResultService(curves.runs(), Urgency.STUDY, trouble::set);
    asking =
        new Asking(band.wantedProperty()::get, REST, this::sample)
            .when(session.benchProperty(), band.samplesProperty());
    band.wantedProperty()
        .subscribe(
            is -> {
              if (is) {
                asking.soon();
              } else {
                service.cancel();
                asking.forget();
              }
            });
  }

  /** The band that the curve's pane draws. */
  BandOfDoubt band() {
    return band;
  }

  ResultService service() {
    return service;
  }

  /** Why it could not be sampled; empty where it could. */
  ReadOnlyStringProperty troubleProperty() {
    return trouble.getReadOnlyProperty();
  }

  /** Samples once more, after it was stopped by hand. */
  void again() {
    asking.again();
  }

  private void sample() {
    if (session.bench().contradiction().isPresent()) {
      return;
    }
    var engine = session.engine();
    var speeds = session.build().speeds();
    var wants = WantedBand.of(session.build().combination().brief());
    // Spreads count: a reading that says what was assumed narrows the band.
    int samples = band.samplesProperty().get();
    if (!asking.isNew(engine, speeds, wants, samples)) {
      return;
    }
    trouble.set("");
    service.ask(
        new DoubtStudy(engine, wants, speeds.from(), speeds.to(), samples, SEED),
        part -> grow(engine, part),
        whole -> show(engine, whole));
  }

  private void grow(BuiltEngine engine, Doubt part) {
    if (Double.isFinite(part.score().low()) && paced.isDue()) {
      show(engine, part);
    }
  }

  private void show(BuiltEngine engine, Doubt doubt) {
    band.knownProperty().set(Optional.of(new BandOfDoubt.Known(engine.key(), doubt)));
  }
}
