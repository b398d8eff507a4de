package grandbore.desktop.curve;

import static org.assertj.core.api.Assertions.assertThat;

import grandbore.book.BuildDocument;
import grandbore.book.ShopBook;
import grandbore.core.demo.DemoBuilds;
import grandbore.desktop.session.Beginning;
import grandbore.desktop.session.Session;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.TimeUnit;
import java.util.function.Supplier;
import javafx.application.Platform;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.testfx.api.FxToolkit;

/** A solver that breaks is told of, with what to do; nothing waits for it for ever. */
class FailingSolverTest {
  @TempDir Path folder;

  private static <T> T onTheWindowsThread(Supplier<T> what) {
    return CompletableFuture.supplyAsync(what, Platform::runLater).join();
  }

  @Test
  void aBrokenRunEndsWithItsReason() throws Exception {
    FxToolkit.registerPrimaryStage();
    var book = ShopBook.open(folder.resolve("book.sqlite"));
    book.add(new BuildDocument(DemoBuilds.paddockFour(), List.of()));
    var beginning = Beginning.of(book);
    var session = onTheWindowsThread(() -> new Session(book, beginning));
    var service =
        onTheWindowsThread(
            () ->
                new CurveService(
                    session,
                    (desk, engine, speeds, fidelity, starts) -> {
                      throw new IllegalStateException("a pipe of no length");
                    }));
    long end = System.nanoTime() + TimeUnit.SECONDS.toNanos(20);
    while (onTheWindowsThread(() -> service.stateProperty().get().isRunning())
        && System.nanoTime() < end) {
      Thread.onSpinWait();
    }
    var state = onTheWindowsThread(() -> service.stateProperty().get());
    assertThat(state.isRunning()).isFalse();
    assertThat(state.problem())
        .contains("could not be solved (a pipe of no length)")
        .contains("take the last change back");
    onTheWindowsThread(
        () -> {
          service.close();
          session.close();
          return true;
        });
  }
}
