package grandbore.desktop.builds;

import grandbore.book.Summary;
import grandbore.core.clearances.Remark;
import grandbore.core.units.Quantity;
import grandbore.core.units.UnitSystem;
import grandbore.desktop.controls.Page;
import grandbore.desktop.look.Look;
import grandbore.desktop.session.Session;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import java.util.function.Function;
import javafx.beans.property.ReadOnlyStringWrapper;
import javafx.collections.FXCollections;
import javafx.collections.ObservableList;
import javafx.collections.transformation.FilteredList;
import javafx.collections.transformation.SortedList;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.TableColumn;
import javafx.scene.control.TableView;
import javafx.scene.control.TextArea;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/**
 * Every build of the book: found, opened, named, copied, put away, thrown away and brought back.
 */
public final class BuildsPage extends VBox {
  private static final DateTimeFormatter DAY =
      DateTimeFormatter.ofPattern("yyyy-MM-dd HH:mm").withZone(ZoneId.systemDefault());

  /** Which builds are listed. */
  private enum Listed {
    BENCH("in work", Summary.Place.BENCH),
    ARCHIVE("put away", Summary.Place.ARCHIVE),
    BIN("thrown away", Summary.Place.BIN);

    private final String word;
    private final Summary.Place place;

    Listed(String word, Summary.Place place) {
      this.word = word;
      this.place = place;
    }

    @Override
    public String toString() {
      return word;
    }
  }

  private final Session session;
  private final Runnable close;
  private final ObservableList<Summary> all = FXCollections.observableArrayList();
  private final FilteredList<Summary> found = new FilteredList<>(all);
  private final TableView<Summary> table = new TableView<>();
  private final TextField find =
      Page.words("builds-find", "find by name, layout, customer or tag", 24);
  private final ComboBox<Listed> shelf = new ComboBox<>();
  private final HomePane home;
  private final Label says = new Label();
  private final Button undo = Page.button("Undo", "builds-undo");
  private final TextField name = Page.words("builds-name", "name", 26);
  private final TextArea remark = new TextArea();
  private final FlowPane actions = new FlowPane(8, 6);
  private Runnable takeBack = () -> {};
  private boolean copying;
  private long named = -1;

  /**
   * @param look of the drawings
   * @param fresh leads to a new build
   * @param close leads back to the bench
   */
  public BuildsPage(Session session, Look look, Runnable fresh, Runnable close) {
    super(10);
    home = new HomePane(session, look, this::open);
    this.session = session;
    this.close = close;
    setId("builds-page");
    getStyleClass().add("page");
    table.setId("builds-table");
    table.setPlaceholder(new Label("No build here answers to that."));
    columns();
    var sorted = new SortedList<>(found);
    sorted.comparatorProperty().bind(table.comparatorProperty());
    table.setItems(sorted);
    table.setOnMouseClicked(
        e -> {
          if (e.getClickCount() == 2) {
            open();
          }
        });
    table.setOnKeyPressed(
        e -> {
          if (e.getCode() == KeyCode.ENTER) {
            open();
            e.consume();
          }
        });
    shelf.setId("builds-shelf");
    shelf.setAccessibleText("which builds");
    shelf.getItems().setAll(Listed.values());
    shelf.setValue(Listed.BENCH);
    shelf.valueProperty().subscribe(s -> filter());
    find.textProperty().subscribe(t -> filter());
    find.setOnAction(e -> open());
    says.setId("builds-says");
    says.getStyleClass().add("soft");
    undo.setOnAction(e -> takeBack.run());
    Page.show(undo, false);
    remark.setId("builds-remark");
    remark.setPromptText("whose it is, what is to be remembered");
    remark.setPrefRowCount(3);
    remark.setWrapText(true);
    var title = new Label("Builds");
    title.getStyleClass().add("page-title");
    var made = Page.button("New build (Ctrl+N)", "builds-new");
    made.setOnAction(e -> fresh.run());
    var back = Page.button("Back (Esc)", "builds-back");
    back.setCancelButton(true);
    back.setOnAction(e -> close.run());
    var head = new HBox(10, find, shelf, made, back);
    head.setAlignment(Pos.CENTER_LEFT);
    actions.setAlignment(Pos.CENTER_LEFT);
    var line = new HBox(8, says, undo);
    line.setAlignment(Pos.CENTER_LEFT);
    // The cards are as high as they are, the list takes what is left of the room.
    table.setPrefHeight(230);
    table.setMinHeight(190);
    VBox.setVgrow(table, Priority.ALWAYS);
    VBox.setVgrow(home, Priority.SOMETIMES);
    getChildren().addAll(title, head, home, table, actions, notes(), line);
    name.setOnAction(
        e -> {
          if (copying) {
            copy();
          } else {
            rename();
          }
        });
    table.getSelectionModel().selectedItemProperty().subscribe(s -> selected());
    session.books().buildsProperty().subscribe(this::list);
  }

  /** What a name and a remark are written into, for the build on the bench. */
  private HBox notes() {
    var keep = Page.button("Keep the note", "builds-keep");
    keep.setOnAction(
        e -> {
          if (!remark.getText().isBlank()) {
            session.keep(new Remark(remark.getText().strip()), "");
            say("Kept with " + session.build().name());
          }
        });
    var label = new Label("Note on the bench's build");
    label.setMinWidth(USE_PREF_SIZE);
    HBox.setHgrow(remark, Priority.ALWAYS);
    session
        .notesProperty()
        .subscribe(
            n -> {
              var kept = session.notes(Remark.class);
              remark.setText(kept.isEmpty() ? "" : kept.getLast().words());
            });
    var box = new HBox(8, label, remark, keep);
    box.setAlignment(Pos.CENTER_LEFT);
    return box;
  }

  private UnitSystem units() {
    return session.build().units();
  }

  /** Brings the list up to date and puts the cursor where one begins to type. */
  public void begin() {
    copying = false;
    shelf.setValue(Listed.BENCH);
    find.clear();
    say("");
    table.refresh();
    var _ = session.books().refresh();
    find.requestFocus();
    find.selectAll();
  }

  /** Asks for the name of a copy of the build on the bench. */
  public void askCopy() {
    begin();
    for (var s : table.getItems()) {
      if (s.id() == session.id()) {
        table.getSelectionModel().select(s);
      }
    }
    copying = true;
    say("Write the copy's name, then Enter.");
    name.requestFocus();
    name.selectAll();
  }

  private void columns() {
    add("Name", 260, s -> s.isSound() ? s.name() : "▲ " + s.name() + ", can't be opened", false);
    add("Layout", 130, Summary::layout, false);
    add("Displacement", 110, s -> Quantity.DISPLACEMENT.show(s.displacement(), units()), true);
    add(
        "Peak predicted",
        170,
        s ->
            s.power() > 0
                ? "%s at %,.0f rpm"
                    .formatted(
                        Quantity.POWER.show(s.power(), units()),
                        10 * Math.rint(3 * s.speed() / Math.PI))
                : "none yet",
        true);
    add("Measured", 90, s -> "%.0f %%".formatted(100 * s.measured()), true);
    add("Readings", 90, s -> String.valueOf(s.readings()), true);
    add("Last touched", 140, s -> DAY.format(s.touched()), true);
    // The name takes what is left; the bar at the right has its room.
    var rest = table.getColumns().subList(1, table.getColumns().size());
    double others = rest.stream().mapToDouble(TableColumn::getPrefWidth).sum();
    table
        .getColumns()
        .getFirst()
        .prefWidthProperty()
        .bind(table.widthProperty().subtract(others + 20));
  }

  private void add(String head, double width, Function<Summary, String> what, boolean right) {
    var column = new TableColumn<Summary, String>(head);
    column.setCellValueFactory(c -> new ReadOnlyStringWrapper(what.apply(c.getValue())));
    column.setPrefWidth(width);
    if (right) {
      column.setStyle("-fx-alignment: CENTER-RIGHT;");
    }
    table.getColumns().add(column);
  }

  private void list(List<Summary> now) {
    long kept = chosen() == null ? session.id() : chosen().id();
    all.setAll(
        now.stream().sorted(java.util.Comparator.comparing(Summary::touched).reversed()).toList());
    for (var s : table.getItems()) {
      if (s.id() == kept) {
        table.getSelectionModel().select(s);
        return;
      }
    }
    first();
  }

  private void first() {
    if (table.getSelectionModel().getSelectedItem() == null && !table.getItems().isEmpty()) {
      table.getSelectionModel().select(0);
    }
  }

  private void filter() {
    String wanted = find.getText().strip().toLowerCase(Locale.ROOT);
    found.setPredicate(
        s ->
            s.place() == shelf.getValue().place
                && (s.name().toLowerCase(Locale.ROOT).contains(wanted)
                    || s.layout().toLowerCase(Locale.ROOT).contains(wanted)
                    || s.line().filter(l -> l.answersTo(wanted)).isPresent()));
    first();
  }

  private Summary chosen() {
    return table.getSelectionModel().getSelectedItem();
  }

  private void selected() {
    var s = chosen();
    actions.getChildren().clear();
    if (s == null) {
      return;
    }
    // A list that is read again while somebody types leaves what is typed.
    if (s.id() != named) {
      name.setText(s.name());
      named = s.id();
    }
    boolean here = s.id() == session.id();
    actions.getChildren().addAll(action("Open (Enter)", "builds-open", this::open), name);
    actions.getChildren().add(action("Rename", "builds-rename", this::rename));
    if (here) {
      actions.getChildren().add(action("Copy under this name", "builds-copy", this::copy));
    }
    if (!here) {
      for (var to : Listed.values()) {
        if (to.place != s.place()) {
          actions
              .getChildren()
              .add(
                  action(
                      switch (to) {
                        case BENCH -> "Back into work";
                        case ARCHIVE -> "Put away";
                        case BIN -> "Throw away";
                      },
                      "builds-to-" + to.name().toLowerCase(Locale.ROOT),
                      () -> move(s, to)));
        }
      }
    }
  }

  private static Button action(String words, String id, Runnable does) {
    var button = Page.button(words, id);
    button.setOnAction(e -> does.run());
    return button;
  }

  private void say(String words) {
    says.setText(words);
    Page.show(undo, false);
  }

  private void undoable(String words, Runnable back) {
    says.setText(words);
    takeBack =
        () -> {
          back.run();
          say("Taken back.");
        };
    Page.show(undo, true);
  }

  private void open() {
    open(chosen());
  }

  private void open(Summary s) {
    if (s == null) {
      return;
    }
    if (!s.isSound()) {
      say("✕ %s can't be opened: %s".formatted(s.name(), s.trouble()));
      return;
    }
    var _ = session.open(s.id()).thenRun(close);
  }

  private void rename() {
    var s = chosen();
    String wanted = name.getText().strip();
    if (s == null || wanted.equals(s.name())) {
      return;
    }
    var _ =
        session
            .shelf()
            .rename(s.id(), wanted)
            .whenComplete(
                (done, e) -> {
                  if (e != null) {
                    say("✕ " + grandbore.desktop.session.Books.words(e));
                  } else {
                    undoable(
                        "Renamed: " + wanted,
                        () -> {
                          var _ = session.shelf().rename(s.id(), s.name());
                        });
                  }
                });
  }

  private void copy() {
    String wanted = name.getText().strip();
    if (wanted.equals(session.build().name())) {
      say("✕ Write the copy's name into the field first: it has this build's own.");
      name.requestFocus();
      name.selectAll();
      return;
    }
    try {
      copying = false;
      var _ =
          session.shelf().copy(wanted).thenRun(() -> say("Copied: " + wanted + " is on the bench"));
    } catch (IllegalArgumentException e) {
      say("✕ " + e.getMessage());
    }
  }

  private void move(Summary s, Listed to) {
    var from = s.place();
    session.shelf().move(s.id(), to.place);
    undoable("%s is %s.".formatted(s.name(), to), () -> session.shelf().move(s.id(), from));
  }
}
