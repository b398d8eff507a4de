package grandbore.desktop.job;

import grandbore.book.JobBook;
import grandbore.core.asked.Answer;
import grandbore.core.job.parts.Interfaces;
import grandbore.desktop.controls.AnswerTable;
import grandbore.desktop.controls.Page;
import grandbore.desktop.session.Books;
import java.util.List;
import java.util.Locale;
import javafx.scene.control.Label;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.layout.VBox;

/** In what the parts of another build match this one's. */
final class FitsPane extends VBox {
  private final JobState state;
  private final Label says = Page.hint("");
  private final VBox table = new VBox();

  FitsPane(JobState state) {
    super(8);
    this.state = state;
    setId("fits-pane");
    says.setId("fits-says");
    says.textProperty().subscribe(t -> Page.show(says, !t.isEmpty()));
    var menu = new MenuButton("Against another build");
    menu.setId("fits-build");
    menu.setMinWidth(USE_PREF_SIZE);
    menu.setOnShowing(e -> offer(menu));
    getChildren().addAll(Page.part("What fits"), menu, says, table);
  }

  private void offer(MenuButton menu) {
    menu.getItems().clear();
    var session = state.session();
    for (var b : session.books().builds()) {
      if (b.isSound() && b.id() != session.id()) {
        var item = new MenuItem(b.name());
        item.setOnAction(e -> compare(b.id(), b.name()));
        menu.getItems().add(item);
      }
    }
    if (menu.getItems().isEmpty()) {
      var none = new MenuItem("The book has no other build");
      none.setDisable(true);
      menu.getItems().add(none);
    }
  }

  /** Compares what both builds' parts have to match in. */
  void compare(long build, String name) {
    var _ =
        state
            .session()
            .books()
            .notes(build)
            .whenComplete(
                (notes, wrong) -> {
                  if (wrong != null) {
                    says.setText("✕ " + Books.words(wrong));
                  } else {
                    state.tried(
                        () ->
                            show(
                                name,
                                Interfaces.of(
                                    state.job().items(), JobBook.of(notes).job().items())));
                  }
                });
  }

  private void show(String name, List<Interfaces.Compared> all) {
    table.getChildren().clear();
    says.setText(
        all.isEmpty()
            ? "○ Nothing that both have says what it has to match in: write it with the part."
            : "");
    if (!all.isEmpty()) {
      table
          .getChildren()
          .add(
              new AnswerTable(
                  new Answer.Table(
                      "parts of both, and what they have to match in",
                      List.of("Part", "In", "Here", name, "So it"),
                      all.stream().map(FitsPane::row).toList())));
    }
  }

  private static List<String> row(Interfaces.Compared c) {
    return List.of(
        c.part().title(),
        c.name().toLowerCase(Locale.ROOT),
        c.one(),
        c.other(),
        switch (c.fit()) {
              case MATCHES -> "● ";
              case DIFFERS -> "▲ ";
              case UNKNOWN -> "○ ";
            }
            + c.fit().title());
  }
}
