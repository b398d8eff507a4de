package grandbore.desktop.controls;

import java.io.File;
import java.nio.file.Path;
import java.util.function.Consumer;
import javafx.scene.Node;
import javafx.stage.FileChooser;

/** Asks for a table to read or to write; nothing happens where none is named. */
public final class CsvFile {
  private CsvFile() {}

  /** Hands over the table that is chosen to be read. */
  public static void open(Node from, String title, Consumer<Path> then) {
    hand(chooser(title).showOpenDialog(from.getScene().getWindow()), then);
  }

  /** Hands over where a table is to be written. */
  public static void save(Node from, String title, String name, Consumer<Path> then) {
    var chooser = chooser(title);
    chooser.setInitialFileName(name);
    if (!name.endsWith(".csv")) {
      chooser.getExtensionFilters().setAll(new FileChooser.ExtensionFilter("Any file", "*"));
    }
    hand(chooser.showSaveDialog(from.getScene().getWindow()), then);
  }

  private static FileChooser chooser(String title) {
    var chooser = new FileChooser();
    chooser.setTitle(title);
    chooser.getExtensionFilters().add(new FileChooser.ExtensionFilter("CSV", "*.csv"));
    return chooser;
  }

  private static void hand(File file, Consumer<Path> then) {
    if (file != null) {
      then.accept(file.toPath());
    }
  }
}
