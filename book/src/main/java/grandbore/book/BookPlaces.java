package grandbore.book;

import java.nio.file.Path;
import java.util.Locale;
import java.util.Map;

/** Where the platform keeps a person's data. */
public final class BookPlaces {
  private BookPlaces() {}

  /** The person's own shop book. */
  public static Path ownBook() {
    return ownBook(System.getProperty("os.name"), System.getProperty("user.home"), System.getenv());
  }

  static Path ownBook(String system, String home, Map<String, String> environment) {
    String os = system.toLowerCase(Locale.ROOT);
    Path folder;
    if (os.contains("win")) {
      String roaming = environment.get("APPDATA");
      folder = roaming == null ? Path.of(home, "AppData", "Roaming") : Path.of(roaming);
    } else if (os.contains("mac")) {
      folder = Path.of(home, "Library", "Application Support");
    } else {
      String data = environment.get("XDG_DATA_HOME");
      folder = data == null || data.isBlank() ? Path.of(home, ".local", "share") : Path.of(data);
    }
    return folder.resolve("grand-bore").resolve("shop-book.sqlite");
  }
}
