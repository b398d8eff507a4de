package grandbore.desktop;

import grandbore.book.BookException;
import grandbore.book.BookPlaces;
import grandbore.book.ShopBook;
import grandbore.desktop.look.Look;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Locale;
import javafx.application.Application;

/** Starts the window: {@code demo [--pictures DIR]}, {@code --book FILE}, or the own book. */
public final class Main {
  private static final int REFUSED = 2;

  private Main() {}

  public static void main(String[] arguments) {
    // Numbers are shown with a point, whatever the system's language; a comma is understood.
    Locale.setDefault(Locale.Category.FORMAT, Locale.ROOT);
    var _ = Look.wake();
    try {
      var start = start(arguments);
      WindowApp.prepare(start);
    } catch (BookException | IllegalArgumentException e) {
      System.err.println(e.getMessage());
      System.exit(REFUSED);
    }
    Application.launch(WindowApp.class, arguments);
  }

  private static Start start(String[] arguments) {
    boolean headless = "none".equals(System.getProperty("grandbore.display"));
    Path book = null;
    Path pictures = null;
    boolean demo = false;
    for (int i = 0; i < arguments.length; i++) {
      String a = arguments[i];
      if (a.equals("demo")) {
        demo = true;
      } else if (a.startsWith("--book=")) {
        book = Path.of(a.substring("--book=".length()));
      } else if (a.equals("--book") && i + 1 < arguments.length) {
        book = Path.of(arguments[++i]);
      } else if (a.equals("--pictures") && i + 1 < arguments.length) {
        pictures = Path.of(arguments[++i]);
      } else {
        throw new IllegalArgumentException(
            "Unknown option “%s”; allowed: demo, --book FILE, --pictures FOLDER".formatted(a));
      }
    }
    if (demo) {
      try {
        var folder = Files.createTempDirectory("grand-bore-demo");
        var demoBook = ShopBook.open(folder.resolve("demo-book.sqlite"));
        StartPage.demo(demoBook);
        return new Start(
            Door.of(demoBook),
            true,
            headless,
            pictures == null ? folder : pictures,
            pictures != null);
      } catch (IOException e) {
        throw new IllegalArgumentException("No folder for the demo: " + e.getMessage(), e);
      }
    }
    if (headless) {
      throw new IllegalArgumentException(
          "There is no display for the window; “./grand-bore demo” and the command line work"
              + " without one");
    }
    var at = book == null ? BookPlaces.ownBook() : book;
    LogFile.begin(at.toAbsolutePath().getParent());
    return new Start(Door.open(at), false, false, null, false);
  }

  /**
   * How to start.
   *
   * @param door to the book
   * @param demo whether the demo's builds are put in and, with no display, its curve printed
   * @param folder where pictures go
   * @param allPictures one of every station instead of one
   */
  record Start(Door door, boolean demo, boolean headless, Path folder, boolean allPictures) {}
}
