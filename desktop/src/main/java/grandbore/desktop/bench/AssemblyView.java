package grandbore.desktop.bench;

import grandbore.core.clearances.AssemblyCheck;
import grandbore.core.clearances.Kept;
import grandbore.core.clearances.Tick;
import grandbore.desktop.controls.Page;
import grandbore.desktop.controls.WhenSeen;
import grandbore.desktop.session.Session;
import java.util.Locale;
import java.util.Optional;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** What is checked while it goes together, signed for one by one; pictures beside it. */
final class AssemblyView extends VBox {
  private final Session session;
  private final VBox rows = new VBox(4);
  private final TextField by = Page.words("signed-by", "name", 10);

  AssemblyView(Session session) {
    super(10);
    this.session = session;
    var signer = new HBox(8, new Label("Signed by"), by);
    signer.setAlignment(Pos.CENTER_LEFT);
    getChildren()
        .addAll(
            signer,
            rows,
            Page.part("Pictures"),
            new PictureRows(session, by),
            Page.caution(
                "Common practice; the makers of the parts go before it. At the first start: hearing"
                    + " and eyes covered, clear of belts and fan, an extinguisher at hand, exhaust"
                    + " gas led outside."));
    WhenSeen.refresh(this, this::refresh, session.notesProperty());
  }

  private void refresh() {
    rows.getChildren().clear();
    boolean skipped = false;
    for (var check : AssemblyCheck.values()) {
      var signed = signed(session, check.tick());
      skipped |= signed.isEmpty();
      rows.getChildren().add(row(check, signed, skipped && signed.isPresent()));
    }
  }

  /** The note by which something is signed for, where it is. */
  static Optional<Kept> signed(Session session, Tick tick) {
    return session.bench().notes().stream()
        .filter(k -> !k.struck() && k.note().equals(tick))
        .findFirst();
  }

  private HBox row(AssemblyCheck check, Optional<Kept> signed, boolean early) {
    var button = new Button(signed.isPresent() ? "Take back" : "Sign");
    button.setId("sign-" + check.name().toLowerCase(Locale.ROOT));
    button.setMinWidth(84);
    button.setOnAction(
        e ->
            signed.ifPresentOrElse(
                k -> session.strikeNote(k.id(), true),
                () -> session.keep(check.tick(), by.getText().strip())));
    var shape = new Label(signed.isPresent() ? "●" : "○");
    var label = new Label(check.label());
    label.setWrapText(true);
    var price = new Label(signed.map(k -> done(k, early)).orElse("else: " + check.price()));
    price.getStyleClass().add(early ? "near" : "soft");
    price.setWrapText(true);
    var text = new VBox(0, label, price);
    var row = new HBox(10, button, shape, text);
    row.setAlignment(Pos.CENTER_LEFT);
    return row;
  }

  private static String done(Kept k, boolean early) {
    return "%s%s%s"
        .formatted(
            k.by().isEmpty() ? "signed" : "signed by " + k.by(),
            ", " + k.at().toString().substring(0, 16).replace('T', ' '),
            early ? "; ◐ before what comes first in the order" : "");
  }
}
