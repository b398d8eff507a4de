package grandbore.desktop.job;

import grandbore.book.Pictures;
import grandbore.core.clearances.OnJob;
import grandbore.core.clearances.Photo;
import grandbore.desktop.controls.CsvFile;
import grandbore.desktop.controls.Page;
import grandbore.desktop.controls.PhotoBox;
import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import javafx.scene.control.TextField;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;

/** Pictures of a step or a part: copied beside the book, told apart by their checksum. */
public final class JobPictures extends VBox {
  private static final double WIDE = 132;

  private final JobState state;
  private final TextField caption;
  private final FlowPane shown = new FlowPane(8, 8);
  private OnJob of;

  /**
   * @param id begins the ids of its field and button
   */
  JobPictures(JobState state, String id) {
    super(6);
    this.state = state;
    setId(id + "-pictures");
    caption = Fields.field(id + "-caption", "what it shows", 16);
    var add = Page.button("Attach a picture", id + "-picture");
    add.setOnAction(e -> CsvFile.open(this, "Picture", "*", this::attach));
    getChildren().addAll(Page.row(caption, add), shown);
  }

  /** Shows the pictures of something, and takes more of it. */
  void show(OnJob what) {
    of = what;
    shown.getChildren().clear();
    var planned = state.plannedProperty().get();
    var all =
        planned == null
            ? List.<Photo>of()
            : planned.book().pictures().getOrDefault(what.kind() + "/" + what.key(), List.of());
    var folder = state.session().books().pictures();
    all.forEach(p -> shown.getChildren().add(new PhotoBox(folder, p, WIDE)));
  }

  /** Copies a picture beside the book and keeps it with what is shown. */
  public void attach(Path file) {
    try {
      var photo =
          Pictures.attach(file, state.session().books().pictures(), caption.getText().strip());
      state.keep(new OnJob(of.kind(), of.key(), of.document(), List.of(photo)));
      caption.clear();
    } catch (IOException e) {
      state
          .troubleProperty()
          .set("✕ %s could not be attached: %s".formatted(file.getFileName(), e.getMessage()));
    }
  }
}
