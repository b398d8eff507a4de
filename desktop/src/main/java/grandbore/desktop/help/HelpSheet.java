package grandbore.desktop.help;

import grandbore.desktop.controls.Page;
import java.util.Arrays;
import javafx.application.Platform;
import javafx.scene.control.Button;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextField;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/** The guide over the bench: its pages on the left, the one that is read on the right. */
public final class HelpSheet extends BorderPane {
  private static final double WIDTH = 940;
  private static final double HEIGHT = 640;
  private static final double PAGES = 230;

  private final TextField typed = Page.words("help-words", "a word that stands on the page", 16);
  private final ListView<HelpPage> pages = new ListView<>();
  private final ScrollPane read = new ScrollPane();

  /**
   * @param close takes the sheet away
   */
  public HelpSheet(Runnable close) {
    getStyleClass().addAll("page", "find", "help");
    setId("help");
    setMaxSize(WIDTH, HEIGHT);
    typed.setAccessibleText("words to look for in the guide");
    typed.textProperty().subscribe(this::find);
    pages.setId("help-pages");
    pages.setAccessibleText("pages of the guide");
    pages.setCellFactory(l -> new PageCell());
    pages.getSelectionModel().selectedItemProperty().subscribe(this::show);
    pages.setPlaceholder(Page.hint("Stands on no page."));
    VBox.setVgrow(pages, Priority.ALWAYS);
    read.setFitToWidth(true);
    read.setId("help-read");
    var done = new Button("Close");
    done.setId("help-close");
    done.setOnAction(e -> close.run());
    var left = new VBox(8, typed, pages, done);
    left.setPrefWidth(PAGES);
    left.setMinWidth(PAGES);
    setLeft(left);
    setCenter(read);
  }

  /** Goes to a page and one of its parts; to its top for an empty one. */
  public void open(HelpPage page, String part) {
    typed.clear();
    pages.getSelectionModel().select(page);
    pages.scrollTo(Math.max(0, page.ordinal() - 4));
    pages.requestFocus();
    if (!part.isEmpty()) {
      // Where it stands is known once it is laid out.
      Platform.runLater(() -> scroll(part));
    }
  }

  private void scroll(String part) {
    applyCss();
    layout();
    var text = (HelpText) read.getContent();
    double hidden = text.getHeight() - read.getViewportBounds().getHeight();
    double top = text.mark(part);
    read.setVvalue(hidden <= 0 ? 0 : Math.min(1, top / hidden));
  }

  private void find(String words) {
    var chosen = pages.getSelectionModel().getSelectedItem();
    pages
        .getItems()
        .setAll(
            Arrays.stream(HelpPage.values())
                .filter(p -> words.isBlank() || p.says(words.trim()))
                .toList());
    if (pages.getItems().contains(chosen)) {
      pages.getSelectionModel().select(chosen);
    } else {
      pages.getSelectionModel().selectFirst();
    }
  }

  private void show(HelpPage page) {
    if (page != null) {
      read.setContent(new HelpText(page));
      read.setVvalue(0);
    }
  }

  /** A page by its title. */
  private static final class PageCell extends ListCell<HelpPage> {
    @Override
    protected void updateItem(HelpPage page, boolean empty) {
      super.updateItem(page, empty);
      setText(empty || page == null ? null : page.title());
    }
  }
}
