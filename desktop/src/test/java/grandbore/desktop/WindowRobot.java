package grandbore.desktop;

import java.lang.reflect.InvocationHandler;
import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.Proxy;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionException;
import java.util.function.Predicate;
import java.util.function.Supplier;
import javafx.application.Platform;
import javafx.scene.Node;
import org.testfx.api.FxRobot;
import org.testfx.service.query.NodeQuery;

/**
 * Looks for nodes on the window's own thread: a curve that arrives rebuilds rows there, and a
 * search from the test's thread would walk through lists as they change.
 */
final class WindowRobot extends FxRobot {
  @Override
  public NodeQuery lookup(String query) {
    return onItsThread(() -> careful(super.lookup(query)));
  }

  @Override
  public <T extends Node> NodeQuery lookup(Predicate<T> predicate) {
    return onItsThread(() -> careful(super.lookup(predicate)));
  }

  private static NodeQuery careful(NodeQuery query) {
    InvocationHandler handler =
        (_, method, arguments) ->
            onItsThread(
                () -> {
                  try {
                    var found = method.invoke(query, arguments);
                    return found instanceof NodeQuery next ? careful(next) : found;
                  } catch (InvocationTargetException e) {
                    throw new CompletionException(e.getCause());
                  } catch (IllegalAccessException e) {
                    throw new IllegalStateException(e);
                  }
                });
    return (NodeQuery)
        Proxy.newProxyInstance(
            NodeQuery.class.getClassLoader(), new Class<?>[] {NodeQuery.class}, handler);
  }

  private static <T> T onItsThread(Supplier<T> search) {
    try {
      return Platform.isFxApplicationThread()
          ? search.get()
          : CompletableFuture.supplyAsync(search, Platform::runLater).join();
    } catch (CompletionException e) {
      throw e.getCause() instanceof RuntimeException cause ? cause : e;
    }
  }
}
