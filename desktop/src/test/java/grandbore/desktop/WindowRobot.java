package grandbore.desktop;

import java.lang.reflect.InvocationHandler;
import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.Proxy;
import java.util.List;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionException;
import java.util.function.Predicate;
import java.util.function.Supplier;
import javafx.application.Platform;
import javafx.event.Event;
import javafx.geometry.Point2D;
import javafx.scene.Node;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseButton;
import javafx.scene.robot.Robot;
import javafx.stage.Window;
import org.testfx.api.FxRobot;
import org.testfx.service.query.NodeQuery;

/**
 * Looks for nodes on the window's own thread: a curve that arrives rebuilds rows there, and a
 * search from the test's thread would walk through lists as they change. Keys and clicks are those
 * of the platform; between them it waits for what the window has to do and not for a time.
 */
final class WindowRobot extends FxRobot {
  private Robot platform;

  @Override
  public NodeQuery lookup(String query) {
    return onItsThread(() -> careful(super.lookup(query)));
  }

  @Override
  public <T extends Node> NodeQuery lookup(Predicate<T> predicate) {
    return onItsThread(() -> careful(super.lookup(predicate)));
  }

  @Override
  public WindowRobot interact(Runnable does) {
    if (Platform.isFxApplicationThread()) {
      does.run();
      return this;
    }
    onItsThread(
        () -> {
          does.run();
          return null;
        });
    Pulse.await();
    return this;
  }

  @Override
  public WindowRobot clickOn(String query, MouseButton... buttons) {
    return clickOn(lookup(query).<Node>query(), buttons);
  }

  @Override
  public WindowRobot clickOn(Node node, MouseButton... buttons) {
    return clickOn(middle(node), buttons);
  }

  @Override
  public WindowRobot clickOn(Point2D at, MouseButton... buttons) {
    var used = buttons.length == 0 ? new MouseButton[] {MouseButton.PRIMARY} : buttons;
    return interact(() -> platform().mouseMove(at))
        .interact(() -> platform().mousePress(used))
        .interact(() -> platform().mouseRelease(used));
  }

  /** Takes a node by its middle to the middle of another, over half the way. */
  WindowRobot dragOnto(String from, String to) {
    var start = middle(lookup(from).<Node>query());
    var end = middle(lookup(to).<Node>query());
    return interact(() -> platform().mouseMove(start))
        .interact(() -> platform().mousePress(MouseButton.PRIMARY))
        .interact(() -> platform().mouseMove(start.midpoint(end)))
        .interact(() -> platform().mouseMove(end))
        .interact(() -> platform().mouseMove(end.add(1, 1)))
        .interact(() -> platform().mouseRelease(MouseButton.PRIMARY));
  }

  private static Point2D middle(Node node) {
    return onItsThread(
        () -> {
          var in = node.getBoundsInLocal();
          return node.localToScreen(in.getCenterX(), in.getCenterY());
        });
  }

  @Override
  public WindowRobot rightClickOn(String query) {
    return clickOn(query, MouseButton.SECONDARY);
  }

  @Override
  public WindowRobot press(KeyCode... keys) {
    for (var key : keys) {
      interact(() -> platform().keyPress(key));
    }
    return this;
  }

  @Override
  public WindowRobot release(KeyCode... keys) {
    for (var key : keys) {
      interact(() -> platform().keyRelease(key));
    }
    return this;
  }

  @Override
  public WindowRobot type(KeyCode... keys) {
    for (var key : keys) {
      press(key).release(key);
    }
    return this;
  }

  @Override
  public WindowRobot write(String words) {
    return interact(() -> words.chars().forEach(c -> written(Character.toString(c))));
  }

  private static void written(String sign) {
    var window = Window.getWindows().stream().filter(Window::isFocused).findFirst().orElseThrow();
    for (var kind : List.of(KeyEvent.KEY_PRESSED, KeyEvent.KEY_TYPED, KeyEvent.KEY_RELEASED)) {
      var to = window.getScene().getFocusOwner();
      boolean typed = kind == KeyEvent.KEY_TYPED;
      Event.fireEvent(
          to,
          new KeyEvent(
              kind,
              typed ? sign : KeyEvent.CHAR_UNDEFINED,
              typed ? "" : sign,
              KeyCode.UNDEFINED,
              false,
              false,
              false,
              false));
    }
  }

  private Robot platform() {
    if (platform == null) {
      platform = new Robot();
    }
    return platform;
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

  static <T> T onItsThread(Supplier<T> search) {
    try {
      return Platform.isFxApplicationThread()
          ? search.get()
          : CompletableFuture.supplyAsync(search, Platform::runLater).join();
    } catch (CompletionException e) {
      throw e.getCause() instanceof RuntimeException cause ? cause : e;
    }
  }
}
