package grandbore.desktop.bench;

import grandbore.book.Pictures;
import grandbore.core.clearances.Photo;
import grandbore.desktop.controls.Page;
import grandbore.desktop.controls.PhotoBox;
import grandbore.desktop.controls.Refusal;
import grandbore.desktop.controls.WhenSeen;
import grandbore.desktop.session.Session;
import java.io.IOException;
import java.nio.file.Path;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.TextField;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import javafx.stage.FileChooser;

/** Pictures of the build: copied beside the book, told apart by their checksum. */
public final class PictureRows extends VBox {
  private static final double WIDE = 132;

  private final Session session;
  private final TextField by;
  private final TextField caption = Page.words("picture-caption", "what it shows", 18);
  private final FlowPane shown = new FlowPane(8, 8);
  private final Refusal refusal = new Refusal();

  PictureRows(Session session, TextField by) {
    super(6);
    this.session = session;
    this.by = by;
    setId("pictures");
    var add = new Button("Attach a picture");
    add.setId("picture-add");
    add.setOnAction(
        e -> {
          var chooser = new FileChooser();
          chooser
              .getExtensionFilters()
              .add(new FileChooser.ExtensionFilter("Pictures", "*.png", "*.jpg", "*.jpeg"));
          var file = chooser.showOpenDialog(getScene().getWindow());
          if (file != null) {
            attach(file.toPath());
          }
        });
    var row = new HBox(8, caption, add);
    row.setAlignment(Pos.CENTER_LEFT);
    getChildren().addAll(row, refusal, shown);
    WhenSeen.refresh(this, this::refresh, session.notesProperty());
  }

  /** Copies a picture beside the book and notes it. */
  public void attach(Path file) {
    try {
      session.keep(
          Pictures.attach(file, session.books().pictures(), caption.getText()),
          by.getText().strip());
      caption.clear();
      refusal.clear();
    } catch (IOException e) {
      refusal.say(file.getFileName() + " could not be attached: " + e.getMessage());
    }
  }

  private void refresh() {
    shown.getChildren().clear();
    for (var photo : session.notes(Photo.class)) {
      shown.getChildren().add(new PhotoBox(session.books().pictures(), photo, WIDE));
    }
  }
}
