package grandbore.desktop.controls;

import grandbore.book.Pictures;
import grandbore.core.clearances.Photo;
import java.nio.file.Path;
import javafx.scene.image.Image;
import javafx.scene.image.ImageView;
import javafx.scene.layout.VBox;

/** A picture of the book over its words; where its file is missing or another, the words say so. */
public final class PhotoBox extends VBox {
  /**
   * @param folder of the book's pictures
   * @param wide px
   */
  public PhotoBox(Path folder, Photo photo, double wide) {
    super(2);
    var words = Page.hint(photo.caption());
    words.setMaxWidth(wide);
    getChildren().add(words);
    var wrong = Pictures.trouble(folder, photo);
    if (wrong.isEmpty()) {
      String file = folder.resolve(photo.file()).toUri().toString();
      getChildren().addFirst(new ImageView(new Image(file, wide, 0, true, true, true)));
    } else {
      words.setText(photo.caption() + ": " + wrong.get());
    }
  }
}
