package grandbore.desktop.job;

import grandbore.book.JobJson;
import grandbore.core.clearances.OnJob;
import grandbore.core.combination.BottomEnd;
import grandbore.core.job.parts.EnginePart;
import grandbore.core.job.parts.Item;
import grandbore.core.job.parts.ItemState;
import grandbore.core.job.parts.Together;
import grandbore.desktop.controls.Page;
import grandbore.desktop.controls.ShownAs;
import grandbore.desktop.controls.WhenSeen;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import javafx.beans.property.ReadOnlyStringWrapper;
import javafx.geometry.Pos;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.TableColumn;
import javafx.scene.control.TableView;
import javafx.scene.control.TextField;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;

/** The parts of the engine by their places: where each is, what it is worth, where it goes best. */
public final class PartsView extends VBox {
  private final JobState state;
  private final TableView<Item> table = new TableView<>();
  private final ComboBox<Optional<ItemState>> where = new ComboBox<>();
  private final TextField words = Page.words("items-words", "part, maker, number or marks", 20);
  private final Label sum = Page.hint("");
  private final VBox rules = new VBox(3);
  private final ItemForm form;
  private final MatchPane match;

  PartsView(JobState state) {
    super(10);
    this.state = state;
    setId("items-view");
    form = new ItemForm(state);
    match = new MatchPane(state);
    rules.setId("items-rules");
    sum.setId("items-sum");
    var anywhere = new ArrayList<Optional<ItemState>>(List.of(Optional.empty()));
    List.of(ItemState.values()).forEach(s -> anywhere.add(Optional.of(s)));
    where.getItems().setAll(anywhere);
    where.setConverter(ShownAs.of(s -> s.map(ItemState::title).orElse("wherever they are")));
    where.setValue(Optional.empty());
    where.setId("items-where");
    where.setAccessibleText("where the part is");
    where.setOnAction(e -> refresh());
    words.textProperty().subscribe(t -> refresh());
    var find = new FlowPane(8, 6, where, words, add());
    find.setAlignment(Pos.CENTER_LEFT);
    table.setId("items-table");
    table.setPrefHeight(320);
    table.setPlaceholder(new Label("No part of this engine is so."));
    columns();
    table.getSelectionModel().selectedItemProperty().subscribe(i -> form.show(i));
    getChildren()
        .addAll(
            find,
            sum,
            table,
            form,
            Page.part("What belongs together"),
            rules,
            match,
            new FitsPane(state));
    WhenSeen.refresh(this, this::refresh, state.plannedProperty());
  }

  private BottomEnd bottom() {
    return state.session().build().combination().bottomEnd();
  }

  /** Parts are added where they are missing, all places of a kind at once. */
  private MenuButton add() {
    var menu = new MenuButton("Add a part");
    menu.setId("items-add");
    menu.setMinWidth(USE_PREF_SIZE);
    for (var part : EnginePart.values()) {
      var item = new MenuItem(part.title());
      item.setId("items-add-" + part);
      item.setOnAction(e -> add(part));
      menu.getItems().add(item);
    }
    return menu;
  }

  private void add(EnginePart part) {
    var had = state.job().items(part);
    int places = part.places(bottom());
    var all = new ArrayList<OnJob>();
    int number = Integer.parseInt(state.next(OnJob.Kind.ITEM, "K").substring(1));
    for (int place = 1; place <= places; place++) {
      int here = place;
      if (had.stream().noneMatch(i -> i.place() == here)) {
        // Numbers that are taken in between are left out.
        while (isTaken("K" + number)) {
          number++;
        }
        all.add(JobJson.note(Item.wanted("K" + number, part, place)));
        number++;
      }
    }
    if (all.isEmpty()) {
      all.add(JobJson.note(Item.wanted("K" + number, part, 0)));
    }
    state.keep(all);
  }

  private boolean isTaken(String id) {
    return state.session().bench().notes().stream()
        .anyMatch(
            k -> k.note() instanceof OnJob j && j.kind() == OnJob.Kind.ITEM && j.key().equals(id));
  }

  private void columns() {
    column("Part", 162, i -> i.part().at(i.place(), bottom()));
    column("State", 108, i -> i.state().title());
    column("Worth", 132, i -> (i.reused() ? "used, " : "") + i.condition().title());
    column("From", 156, Item::supplier);
    column("Price", 56, i -> i.price() > 0 ? "%,.0f".formatted(i.price()) : "");
    column("Promised", 146, this::promised);
    table.getColumns().get(4).setStyle("-fx-alignment: CENTER-RIGHT;");
  }

  /** The day, and by how much it was put off since it was told first. */
  private String promised(Item i) {
    if (i.promised() == null || i.state() != ItemState.ORDERED) {
      return "";
    }
    var first = state.plannedProperty().get().book().promisedFirst().get(i.id());
    long off = first == null ? 0 : i.promised().toEpochDay() - first.toEpochDay();
    return i.promised()
        + (i.promised().isBefore(state.today())
            ? ", late"
            : off > 0 ? ", put off %d d".formatted(off) : "");
  }

  private void column(String head, double width, java.util.function.Function<Item, String> what) {
    var column = new TableColumn<Item, String>(head);
    column.setCellValueFactory(c -> new ReadOnlyStringWrapper(what.apply(c.getValue())));
    column.setPrefWidth(width);
    table.getColumns().add(column);
  }

  private void refresh() {
    if (state.plannedProperty().get() == null) {
      return;
    }
    var chosen = table.getSelectionModel().getSelectedItem();
    String text = words.getText().strip().toLowerCase(Locale.ROOT);
    var all = state.job().items();
    var found =
        all.stream()
            .filter(i -> where.getValue().isEmpty() || where.getValue().get() == i.state())
            .filter(i -> words(i).contains(text))
            .sorted(java.util.Comparator.comparing(Item::part).thenComparingInt(Item::place))
            .toList();
    table.getItems().setAll(found);
    if (chosen != null) {
      found.stream()
          .filter(i -> i.id().equals(chosen.id()))
          .findFirst()
          .ifPresent(i -> table.getSelectionModel().select(i));
    }
    form.show(table.getSelectionModel().getSelectedItem());
    long here = all.stream().filter(i -> i.state().isHere()).count();
    sum.setText(
        all.isEmpty()
            ? "No part is in the list. A kind of part is added at all of its places at once."
            : "%d parts, %d of them here, %d ordered, %d still to be ordered"
                .formatted(
                    all.size(),
                    here,
                    all.stream().filter(i -> i.state() == ItemState.ORDERED).count(),
                    all.stream().filter(i -> i.state() == ItemState.WANTED).count()));
    rules();
  }

  private String words(Item i) {
    return String.join(
            " ", i.part().at(i.place(), bottom()), i.maker(), i.number(), i.supplier(), i.marks())
        .toLowerCase(Locale.ROOT);
  }

  private void rules() {
    rules.getChildren().clear();
    var broken = Together.broken(state.job().items());
    for (var b : broken) {
      var label = new Label("◐ " + b.says());
      label.setWrapText(true);
      label.getStyleClass().add("near");
      rules.getChildren().add(label);
    }
    if (broken.isEmpty()) {
      rules
          .getChildren()
          .add(
              Page.hint(
                  "● Nothing that ran together is parted, nothing new lacks"
                      + " what goes with it."));
    }
  }
}
