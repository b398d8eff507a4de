package grandbore.desktop.controls;

import java.io.File;
import java.nio.file.Path;
import java.util.Locale;
import java.util.function.Consumer;
import javafx.scene.Node;
import javafx.stage.DirectoryChooser;
import javafx.stage.FileChooser;

/** Asks for a table to read or to write; nothing happens where none is named. */
public final class CsvFile {
  private CsvFile() {}

  /** Hands over the table that is chosen to be read. */
  public static void open(Node from, String title, Consumer<Path> then) {
    open(from, title, "*.csv", then);
  }

  /**
   * Hands over the file that is chosen to be read.
   *
   * @param ending of its name: {@code *.json}
   */
  public static void open(Node from, String title, String ending, Consumer<Path> then) {
    hand(chooser(title, ending).showOpenDialog(from.getScene().getWindow()), then);
  }

  /** Hands over the folder that is chosen to be read. */
  public static void folder(Node from, String title, Consumer<Path> then) {
    var chooser = new DirectoryChooser();
    chooser.setTitle(title);
    hand(chooser.showDialog(from.getScene().getWindow()), then);
  }

  /** Hands over where a table is to be written. */
  public static void save(Node from, String title, String name, Consumer<Path> then) {
    var chooser = chooser(title, "*.csv");
    chooser.setInitialFileName(name);
    if (!name.endsWith(".csv")) {
      chooser.getExtensionFilters().setAll(new FileChooser.ExtensionFilter("Any file", "*"));
    }
    hand(chooser.showSaveDialog(from.getScene().getWindow()), then);
  }

  private static FileChooser chooser(String title, String ending) {
    var chooser = new FileChooser();
    chooser.setTitle(title);
    boolean any = ending.equals("*");
    String name = any ? "Any file" : ending.substring(2).toUpperCase(Locale.ROOT);
    chooser.getExtensionFilters().add(new FileChooser.ExtensionFilter(name, ending));
    return chooser;
  }

  private static void hand(File file, Consumer<Path> then) {
    if (file != null) {
      then.accept(file.toPath());
    }
  }
}
