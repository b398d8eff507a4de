package grandbore.desktop.results;

import grandbore.core.runs.Run;
import grandbore.core.runs.RunQueue;
import grandbore.core.runs.Study;
import grandbore.core.runs.Urgency;
import java.time.Duration;
import java.util.function.Consumer;
import javafx.application.Platform;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/** What one view asks of the queue of runs: a newer wish ends the older. */
public final class ResultService {
  private static final Logger LOG = LoggerFactory.getLogger(ResultService.class);

  /** A run that takes longer is worth a line in the log. */
  private static final Duration SLOW = Duration.ofSeconds(20);

  private final RunQueue runs;
  private final Urgency urgency;
  private final Consumer<String> failed;
  private final ReadOnlyObjectWrapper<Run<?>> now = new ReadOnlyObjectWrapper<>();

  /**
   * @param failed told why a run could not be finished, or that it was stopped
   */
  public ResultService(RunQueue runs, Urgency urgency, Consumer<String> failed) {
    this.runs = runs;
    this.urgency = urgency;
    this.failed = failed;
  }

  /** The run that goes on, {@code null} for none. */
  public ReadOnlyObjectProperty<Run<?>> nowProperty() {
    return now.getReadOnlyProperty();
  }

  /** Asks; what is known before the end is not shown. */
  public <T> void ask(Study<T> study, Consumer<T> then) {
    ask(study, part -> {}, then);
  }

  /**
   * @param part told what is known so far, as often as there is more
   * @param then told the whole
   */
  public <T> void ask(Study<T> study, Consumer<T> part, Consumer<T> then) {
    cancel();
    var run = runs.submit(study, urgency);
    now.set(run);
    run.watch(() -> Platform.runLater(() -> follow(run, part, then)));
  }

  private <T> void follow(Run<T> run, Consumer<T> part, Consumer<T> then) {
    if (now.get() != run) {
      return;
    }
    if (!run.isOver()) {
      run.partial().ifPresent(part);
      return;
    }
    now.set(null);
    var took = run.progress().elapsed();
    if (took.compareTo(SLOW) > 0) {
      LOG.info("{} took {} s", run.title(), took.toSeconds());
    }
    run.result().ifPresent(then);
    if (run.isStopped()) {
      failed.accept("stopped");
    }
    run.failure()
        .ifPresent(
            why -> {
              LOG.error("A run could not be finished: {}", run.title(), why);
              failed.accept(String.valueOf(why.getMessage()));
            });
  }

  /** Ends the run that goes on. */
  public void cancel() {
    var run = now.get();
    now.set(null);
    if (run != null) {
      run.cancel();
    }
  }
}
