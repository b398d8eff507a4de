package grandbore.desktop.plot;

import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import java.util.function.Consumer;
import java.util.function.Supplier;
import javafx.embed.swing.SwingFXUtils;
import javafx.scene.control.Button;
import javafx.scene.control.Tooltip;
import javafx.scene.input.Clipboard;
import javafx.scene.input.ClipboardContent;
import javafx.scene.layout.HBox;
import javafx.stage.FileChooser;
import org.jfree.chart.JFreeChart;
import org.kordamp.ikonli.Ikon;
import org.kordamp.ikonli.javafx.FontIcon;
import org.kordamp.ikonli.materialdesign2.MaterialDesignC;
import org.kordamp.ikonli.materialdesign2.MaterialDesignD;

/** What every plot can do: go into a file, and into the clipboard as picture and table. */
public final class PlotTools extends HBox {
  private final String title;
  private final JFreeChart chart;
  private final Supplier<String> abscissa;
  private final Supplier<List<Line>> lines;
  private final Consumer<String> said;

  /**
   * @param id of the plot; the buttons' are that and “-export” and “-copy”
   * @param abscissa heads the first column of a table
   * @param lines what is drawn now
   * @param said told how it went
   */
  public PlotTools(
      String id,
      String title,
      JFreeChart chart,
      Supplier<String> abscissa,
      Supplier<List<Line>> lines,
      Consumer<String> said) {
    super(2);
    this.title = title;
    this.chart = chart;
    this.abscissa = abscissa;
    this.lines = lines;
    this.said = said;
    var copy =
        button(
            id + "-copy",
            MaterialDesignC.CONTENT_COPY,
            "Copy " + title,
            "Into the clipboard: picture and table");
    copy.setOnAction(e -> copy());
    var save =
        button(id + "-export", MaterialDesignD.DOWNLOAD, "Export " + title, "SVG, PNG or CSV");
    save.setOnAction(e -> ask());
    getChildren().addAll(copy, save);
    setMinWidth(USE_PREF_SIZE);
  }

  private static Button button(String id, Ikon what, String name, String tip) {
    var icon = new FontIcon(what);
    icon.setIconSize(16);
    var button = new Button();
    button.setGraphic(icon);
    button.getStyleClass().add("flat");
    button.setId(id);
    button.setAccessibleText(name);
    button.setTooltip(new Tooltip(tip));
    return button;
  }

  private void copy() {
    try {
      var content = new ClipboardContent();
      content.putString(PlotExport.table(abscissa.get(), lines.get()));
      content.putImage(SwingFXUtils.toFXImage(PlotExport.picture(chart), null));
      Clipboard.getSystemClipboard().setContent(content);
      said.accept("In the clipboard as picture and table");
    } catch (IOException e) {
      said.accept("✕ can't be copied: " + e.getMessage());
    }
  }

  private void ask() {
    var chooser = new FileChooser();
    chooser.setTitle("Export " + title);
    chooser.setInitialFileName(
        title.replaceAll("\\W+", "-").toLowerCase(java.util.Locale.ROOT) + ".svg");
    chooser
        .getExtensionFilters()
        .addAll(
            new FileChooser.ExtensionFilter("Drawing", "*.svg"),
            new FileChooser.ExtensionFilter("Picture", "*.png"),
            new FileChooser.ExtensionFilter("Table", "*.csv"));
    var file = chooser.showSaveDialog(getScene().getWindow());
    if (file != null) {
      save(file.toPath());
    }
  }

  /** Writes the plot as the file's ending asks. */
  public void save(Path file) {
    try {
      PlotExport.write(chart, abscissa.get(), lines.get(), file);
      said.accept("Written: " + file);
    } catch (IOException e) {
      said.accept("✕ " + file + " can't be written: " + e.getMessage());
    }
  }
}
