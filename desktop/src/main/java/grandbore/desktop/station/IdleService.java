package grandbore.desktop.station;

import grandbore.core.prediction.SlowRunning;
import grandbore.core.runs.Urgency;
import grandbore.core.studies.IdleStudy;
import grandbore.desktop.curve.CurveService;
import grandbore.desktop.results.Asking;
import grandbore.desktop.results.ResultService;
import grandbore.desktop.session.Session;
import java.util.Optional;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.ReadOnlyStringProperty;
import javafx.beans.property.ReadOnlyStringWrapper;
import javafx.scene.Node;

/** The idle of the engine on the bench; it is only solved where the brief asks for vacuum. */
final class IdleService {
  private final Session session;
  private final ResultService service;
  private final Asking asking;
  private final ReadOnlyObjectWrapper<Optional<SlowRunning.Idle>> idle =
      new ReadOnlyObjectWrapper<>(Optional.empty());
  private final ReadOnlyStringWrapper status = new ReadOnlyStringWrapper("");
  private boolean known;

  /**
   * @param view that has to be seen
   * @param urgency before or after what else is looked at
   */
  IdleService(Node view, Session session, CurveService curves, Urgency urgency) {
    this.session = session;
    service = new ResultService(curves.runs(), urgency, why -> status.set("✕ " + why));
    asking = new Asking(view, this::ask).when(session.buildProperty(), session.readingsProperty());
  }

  /** Empty where none was asked for, and where no throttle holds one. */
  ReadOnlyObjectProperty<Optional<SlowRunning.Idle>> idleProperty() {
    return idle.getReadOnlyProperty();
  }

  /** Whether what stands is the answer to what is wanted. */
  boolean isKnown() {
    return known;
  }

  /** What goes on, or why there is none; empty where it is known or not wanted. */
  ReadOnlyStringProperty statusProperty() {
    return status.getReadOnlyProperty();
  }

  private void ask() {
    var brief = session.build().combination().brief();
    if (!brief.vacuum().isKnown()) {
      asking.forget();
      service.cancel();
      known = false;
      status.set("");
      idle.set(Optional.empty());
      return;
    }
    if (asking.isNew(session.engine().key(), brief.idle(), brief.vacuum())) {
      known = false;
      status.set("Solving the idle");
      service.ask(
          new IdleStudy(session.engine(), IdleStudy.speed(session.build().combination())),
          solved -> {
            known = true;
            idle.set(solved);
            status.set(
                solved.isPresent()
                    ? ""
                    : "No throttle opening holds that idle, or every runner has its own throttle.");
          });
    }
  }
}
