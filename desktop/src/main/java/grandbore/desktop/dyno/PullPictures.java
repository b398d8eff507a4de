package grandbore.desktop.dyno;

import grandbore.book.DynoBook;
import grandbore.book.DynoJson;
import grandbore.book.Pictures;
import grandbore.book.PullVerdict;
import grandbore.core.clearances.OnDyno;
import grandbore.desktop.controls.Page;
import grandbore.desktop.controls.PhotoBox;
import grandbore.desktop.session.Session;
import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import javafx.scene.control.Label;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;
import javafx.stage.FileChooser;

/** Pictures of plugs, filter and pan after a pull; they go with the builder's verdict on it. */
public final class PullPictures extends VBox {
  private static final double WIDE = 150;

  private final Session session;
  private final DynoBook.KeptPull pull;
  private final Label trouble = Page.hint("");

  PullPictures(Session session, DynoBook.KeptPull pull) {
    super(6);
    this.session = session;
    this.pull = pull;
    setId("dyno-pictures");
    trouble.textProperty().subscribe(t -> Page.show(trouble, !t.isEmpty()));
    var caption = Page.words("dyno-caption", "plug 3, filter, pan", 14);
    var add = Page.button("Attach a picture", "dyno-picture");
    add.setOnAction(
        e -> {
          var chooser = new FileChooser();
          chooser
              .getExtensionFilters()
              .add(new FileChooser.ExtensionFilter("Pictures", "*.png", "*.jpg", "*.jpeg"));
          var file = chooser.showOpenDialog(getScene().getWindow());
          if (file != null) {
            attach(file.toPath(), caption.getText());
          }
        });
    var shown = new FlowPane(8, 8);
    var folder = session.books().pictures();
    pull.pictures().forEach(p -> shown.getChildren().add(new PhotoBox(folder, p, WIDE)));
    getChildren().addAll(new FlowPane(6, 4, caption, add), trouble, shown);
  }

  /** Copies a picture beside the book and keeps it with the pull. */
  public void attach(Path file, String caption) {
    try {
      var all = new ArrayList<>(pull.pictures());
      all.add(Pictures.attach(file, session.books().pictures(), caption));
      var verdict = pull.verdict().orElse(new PullVerdict(pull.pull().number(), pull.isGood(), ""));
      session.keep(new OnDyno(OnDyno.Kind.VERDICT, DynoJson.write(verdict), List.copyOf(all)), "");
    } catch (IOException e) {
      trouble.setText(
          "✕ %s could not be attached: %s".formatted(file.getFileName(), e.getMessage()));
    }
  }
}
