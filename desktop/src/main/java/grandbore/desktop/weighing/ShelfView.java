package grandbore.desktop.weighing;

import grandbore.book.FormatException;
import grandbore.book.PartsCsv;
import grandbore.book.PartsJson;
import grandbore.book.TextFile;
import grandbore.core.changes.DoesNotFit;
import grandbore.core.combination.InvalidInput;
import grandbore.core.shelf.Part;
import grandbore.core.shelf.PartKind;
import grandbore.core.shelf.PartState;
import grandbore.core.shelf.Shelf;
import grandbore.desktop.controls.Page;
import grandbore.desktop.controls.ShownAs;
import grandbore.desktop.controls.WhenSeen;
import grandbore.desktop.session.Session;
import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import javafx.geometry.Pos;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.TextField;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;
import javafx.stage.FileChooser;

/** The shop's parts: what each sets, costs and needs, where it is, and whether it fits here. */
public final class ShelfView extends VBox implements PartCard.Hands {
  /** More cards than are looked through; the rest is found by its words. */
  private static final int SHOWN = 40;

  private final Session session;
  private final PartList parts;
  private final ChangeList ladder;
  private final ComboBox<Optional<PartKind>> kind = new ComboBox<>();
  private final ComboBox<Optional<PartState>> state = new ComboBox<>();
  private final TextField words = Page.words("shelf-words", "name, number or supplier", 16);
  private final Label says = new Label();
  private final PartForm form;
  private final VBox cards = new VBox(8);

  ShelfView(Session session) {
    super(10);
    this.session = session;
    parts = new PartList(session);
    ladder = new ChangeList(session);
    setId("shelf-view");
    form = new PartForm(session, parts, this::closed);
    says.setId("shelf-says");
    says.setWrapText(true);
    says.textProperty().subscribe(t -> Page.show(says, !t.isEmpty()));
    var anyKind = new ArrayList<Optional<PartKind>>(List.of(Optional.empty()));
    List.of(PartKind.values()).forEach(k -> anyKind.add(Optional.of(k)));
    kind.getItems().setAll(anyKind);
    kind.setConverter(ShownAs.of(k -> k.map(PartKind::title).orElse("Parts of all kinds")));
    kind.setId("shelf-kind");
    kind.setAccessibleText("kind of part");
    kind.setValue(Optional.empty());
    var anyState = new ArrayList<Optional<PartState>>(List.of(Optional.empty()));
    List.of(PartState.values()).forEach(s -> anyState.add(Optional.of(s)));
    state.getItems().setAll(anyState);
    state.setConverter(ShownAs.of(s -> s.map(PartState::title).orElse("wherever they are")));
    state.setId("shelf-state");
    state.setAccessibleText("where the part is");
    state.setValue(Optional.empty());
    kind.setOnAction(e -> show());
    state.setOnAction(e -> show());
    words.textProperty().subscribe(t -> show());
    var find = new FlowPane(8, 4, kind, state, words);
    find.setAlignment(Pos.CENTER_LEFT);
    var in = Page.button("From a file", "shelf-in");
    in.setOnAction(e -> in());
    var json = Page.button("Write JSON", "shelf-json");
    json.setOnAction(e -> out("parts.json"));
    var csv = Page.button("Write CSV", "shelf-csv");
    csv.setOnAction(e -> out("parts.csv"));
    var does = new FlowPane(8, 4, newPart(), in, json, csv);
    does.setAlignment(Pos.CENTER_LEFT);
    getChildren().addAll(find, does, form, says, cards);
    WhenSeen.refresh(this, this::show, session.notesProperty(), session.buildProperty());
  }

  /** A new part begins as the one of its kind on the bench. */
  private MenuButton newPart() {
    var menu = new MenuButton("A part as on this engine");
    menu.setId("shelf-new");
    menu.setMinWidth(USE_PREF_SIZE);
    for (var k : PartKind.values()) {
      if (k != PartKind.OTHER) {
        var item = new MenuItem(k.title());
        item.setId("shelf-new-" + k);
        item.setOnAction(
            e -> {
              says.setText("");
              form.begin(k);
            });
        menu.getItems().add(item);
      }
    }
    return menu;
  }

  private void closed() {
    says.setText("");
    show();
  }

  private void show() {
    cards.getChildren().clear();
    try {
      var all = parts.all();
      var found = Shelf.find(all, kind.getValue(), state.getValue(), words.getText());
      found.stream().limit(SHOWN).forEach(p -> cards.getChildren().add(card(p)));
      if (found.size() > SHOWN) {
        cards
            .getChildren()
            .add(Page.hint("and %d more: say more of them".formatted(found.size() - SHOWN)));
      }
      if (found.isEmpty()) {
        cards
            .getChildren()
            .add(
                Page.hint(
                    all.isEmpty()
                        ? "The shelf is empty. A part is put on it as it is on the engine on the"
                            + " bench, from a rung of the ladder, or from a file."
                        : "No part of the shelf is so."));
      }
    } catch (FormatException | InvalidInput e) {
      says.setText("✕ The shelf can't be read: " + e.getMessage());
    }
  }

  private PartCard card(Part part) {
    var combination = session.build().combination();
    String refused = "";
    try {
      part.change().on(combination);
    } catch (DoesNotFit e) {
      refused = e.getMessage();
    }
    return new PartCard(part, session, refused, this);
  }

  @Override
  public void intoLadder(Part part) {
    ladder.add(List.of(part.change()));
    says.setText("● “%s” is on the ladder of this build.".formatted(part.name()));
  }

  @Override
  public void onTheEngine(Part part) {
    session.edit(part.name(), b -> b.with(part.change().on(b.combination())));
    says.setText("● “%s” is on this build; undo takes it off again.".formatted(part.name()));
  }

  @Override
  public void edit(Part part) {
    says.setText("");
    form.edit(part);
  }

  @Override
  public void put(Part part) {
    parts.put(part);
  }

  @Override
  public void remove(Part part) {
    parts.remove(part);
    says.setText("● “%s” is off the shelf; undo brings it back.".formatted(part.name()));
  }

  @Override
  public void trouble(String why) {
    says.setText("✕ " + why);
  }

  private FileChooser chooser() {
    var chooser = new FileChooser();
    chooser
        .getExtensionFilters()
        .add(new FileChooser.ExtensionFilter("Parts (JSON, CSV)", "*.json", "*.csv"));
    return chooser;
  }

  private void in() {
    var file = chooser().showOpenDialog(getScene().getWindow());
    if (file != null) {
      read(file.toPath());
    }
  }

  private void out(String name) {
    var chooser = chooser();
    chooser.setInitialFileName(name);
    var file = chooser.showSaveDialog(getScene().getWindow());
    if (file != null) {
      write(file.toPath());
    }
  }

  private static boolean isCsv(Path file) {
    return file.getFileName().toString().toLowerCase(Locale.ROOT).endsWith(".csv");
  }

  /** Puts the parts of a file on the shelf, all or none; those of a known number are replaced. */
  public void read(Path file) {
    try {
      String text = TextFile.read(file);
      var came = isCsv(file) ? PartsCsv.read(text, session.build().units()) : PartsJson.read(text);
      var known = parts.all();
      long replaced =
          came.stream()
              .filter(c -> known.stream().anyMatch(k -> k.number().equals(c.number())))
              .count();
      parts.put(came.stream().map(c -> Shelf.withPictures(c, known)).toList());
      says.setText(
          "● %d parts came, %d of them in place of one with the same number."
              .formatted(came.size(), replaced));
    } catch (FormatException | InvalidInput e) {
      trouble(file.getFileName() + ": " + e.getMessage());
    }
  }

  /** Writes the whole shelf; as a list where the file is one of comma-separated values. */
  public void write(Path file) {
    try {
      var all = parts.all();
      var units = session.build().units();
      TextFile.write(file, isCsv(file) ? PartsCsv.write(all, units) : PartsJson.write(all, units));
      says.setText(
          "● %d parts are in %s%s"
              .formatted(
                  all.size(),
                  file.getFileName(),
                  isCsv(file) && all.stream().anyMatch(p -> !PartsCsv.holds(p))
                      ? "; tables, kinds and lists of parts are only in JSON."
                      : "."));
    } catch (IOException | FormatException | InvalidInput e) {
      trouble(file.getFileName() + ": " + e.getMessage());
    }
  }
}
